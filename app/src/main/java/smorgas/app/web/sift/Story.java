package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Explained;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.value.Intent;
import smorgas.core.serve.Plan;
import smorgas.core.sift.MatchedWords;
import smorgas.core.sift.Reason;
import smorgas.core.text.Tidy;

/** Everything that is known of one keyword: from which lines, why it stands as it does, where it went. */
record Story(
        String keyword,
        String standing,
        boolean byHand,
        List<Source> sources,
        String group,
        String served,
        String intent,
        String worth,
        String promise,
        String note) {

    private static final int SOURCES = 60;

    /** What adds less to a likeness is not worth a word. */
    private static final double LEAST_TOLD = .05;

    /** One line that was folded in, with what brought it there, the figures that its basket gives and its other columns as they stand. */
    record Source(String text, String basket, String line, String by, String figures, String others) {}

    static Optional<Story> of(String text, Board board, Function<Keywords.Occurrence, String> others) {
        return board.keywords().find(text).map(keyword -> of(keyword, board, others));
    }

    private static Story of(int keyword, Board board, Function<Keywords.Occurrence, String> others) {
        Keywords keywords = board.keywords();
        List<Source> sources = new ArrayList<>();
        for (Keywords.Occurrence o : keywords.occurrences(keyword)) {
            if (sources.size() == SOURCES) {
                break;
            }
            sources.add(new Source(
                    o.text(),
                    o.basketName(),
                    Show.count(o.lineNumber()),
                    board.foldReport().broughtBy(keyword, Tidy.of(o.text())).label(),
                    figures(keywords, o),
                    others.apply(o)));
        }
        return new Story(
                keywords.text(keyword),
                board.standings().of(keyword).label() + ", "
                        + new MatchedWords(keywords, board.recipe().sifting().lists())
                                .sentence(board.standings().reason(keyword), keyword),
                board.standings().reason(keyword) instanceof Reason.ByHand,
                sources,
                group(keyword, board),
                served(keyword, board),
                intent(keyword, board),
                WorthPanel.how(board, keyword),
                PromisePanel.how(board, keyword),
                board.facts().exported(Computed.NOTE, keyword));
    }

    /** What it is for and why, what else is seen in it; empty if nothing is known. */
    static String intent(int keyword, Board board) {
        List<Intent> seen = board.intents().seen(keyword);
        if (seen.isEmpty()) {
            return "";
        }
        String others = seen.stream().skip(1).map(Intent::label).collect(Collectors.joining(", "));
        String lead = seen.getFirst().label();
        return Character.toUpperCase(lead.charAt(0)) + lead.substring(1) + ": "
                + board.intents().reason(keyword) + (others.isEmpty() ? "." : "; " + others + " is seen in it too.")
                + (board.intents().dear(keyword)
                        ? " Many bid for it, and more than for most, so people may buy by it."
                        : "");
    }

    private static String figures(Keywords keywords, Keywords.Occurrence occurrence) {
        List<String> told = new ArrayList<>();
        for (Figure figure : Figure.values()) {
            Optional<FigureColumn> column = keywords.figureAt(occurrence, figure);
            column.ifPresent(c -> told.add(figure.label().toLowerCase(java.util.Locale.ENGLISH) + " "
                    + Show.figure(figure, c, occurrence.row())));
        }
        return String.join(" \u00B7 ", told);
    }

    private static String group(int keyword, Board board) {
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        int group = grouping.groupOf(keyword);
        if (group == Grouping.OUTSIDE) {
            return "In no group, because it is Dropped.";
        }
        if (group == Grouping.LEFTOVER) {
            return ungrouped(keyword, board);
        }
        Explained.Why why = groups.explained().why(keyword);
        String in = "In \"" + groups.name(group) + "\", ";
        String because = because(keyword, why, board);
        String next = why.next()
                .map(other -> " The next best would be \"" + groups.name(other) + "\" with "
                        + Show.percent(why.nextTightness()) + ", "
                        + (why.lead() < 0 ? "more by " : "less by ") + Show.percent(Math.abs(why.lead())) + ".")
                .orElse("");
        return in + because + next;
    }

    private static String ungrouped(int keyword, Board board) {
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        if (grouping.settings().method().byWords()) {
            return "A leftover: no theme with enough keywords has its words.";
        }
        Explained.Why why = groups.explained().why(keyword);
        return (grouping.since().get(keyword)
                        ? "It waits: it was in no group when they were settled, or came since."
                        : "A leftover: no group is near enough.")
                + why.next()
                        .map(other -> " The nearest is \"" + groups.name(other) + "\" with "
                                + Show.percent(why.nextTightness()) + reasons(keyword, other, board) + ".")
                        .orElse("");
    }

    private static String because(int keyword, Explained.Why why, Board board) {
        Grouping grouping = board.groups().grouping();
        String tight = Show.percent(why.tightness()) + " of its weight";
        boolean likeness = !grouping.settings().method().byWords();
        String like = "it is " + Show.percent(why.tightness()) + " like the others there";
        return switch (grouping.by(keyword)) {
            case SETTLED ->
                "where it was when the groups were settled"
                        + (likeness ? "; " + like + reasons(keyword, grouping.groupOf(keyword), board) : "") + ".";
            case THEME ->
                likeness
                        ? "because " + like + reasons(keyword, grouping.groupOf(keyword), board) + "."
                        : "because it has " + quoted(why.by()) + ", "
                                + (why.by().size() == 1 ? "which carries " : "which carry ") + tight + ".";
            case RULE -> "because a rule puts it there.";
            case HAND -> "because a hand put it there.";
            case LOCK -> "because a hand has locked the group with it.";
            case JOIN -> "because its own group was joined into this one.";
            case SEAT ->
                "the nearest group: no theme took it, and with " + quoted(why.by()) + " it shares " + tight
                        + " with this one.";
            case REST -> "with all that no theme took.";
        };
    }

    /** What makes it like the others of its group, and which are nearest. */
    private static String reasons(int keyword, int group, Board board) {
        return board.groups()
                .grouping()
                .nearness()
                .reasons(keyword, group)
                .map(reasons -> {
                    List<String> parts = new ArrayList<>();
                    reasons.words().stream()
                            .filter(word -> word.share() >= LEAST_TOLD)
                            .forEach(word -> parts.add("\"" + word.text() + "\""
                                    + (word.same() ? " and what means the same " : " ") + Show.percent(word.share())));
                    if (reasons.meaning() >= LEAST_TOLD) {
                        parts.add("meaning " + Show.percent(reasons.meaning()));
                    }
                    if (reasons.company() >= LEAST_TOLD) {
                        parts.add("the same neighbours " + Show.percent(reasons.company()));
                    }
                    String nearest = reasons.nearest().stream()
                            .map(other -> "\"" + board.keywords().text(other) + "\"")
                            .collect(Collectors.joining(", "));
                    return " (" + String.join(", ", parts) + ")" + (nearest.isEmpty() ? "" : ", most like " + nearest);
                })
                .orElse("");
    }

    private static String quoted(List<String> words) {
        return (words.size() == 1 ? "the word \"" : "the words \"") + String.join("\", \"", words) + "\"";
    }

    private static String served(int keyword, Board board) {
        String text = board.keywords().text(keyword);
        Plan plan = board.plan();
        var held =
                plan.heldBack().stream().filter(h -> h.keyword().equals(text)).findFirst();
        if (held.isPresent()) {
            return "Held back from the plan: it " + held.get().why() + ".";
        }
        Map<String, List<String>> types = plan.rows()
                .filter(row -> row.keyword().equals(text))
                .collect(Collectors.groupingBy(
                        Plan.Row::adGroup,
                        LinkedHashMap::new,
                        Collectors.mapping(row -> row.matchType().label(), Collectors.toList())));
        return types.isEmpty()
                ? "Not in the plan."
                : types.entrySet().stream()
                        .map(e -> "Served in \"" + e.getKey() + "\" as " + String.join(" and ", e.getValue()) + ".")
                        .collect(Collectors.joining(" "));
    }
}
