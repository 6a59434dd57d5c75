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
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/** Everything that is known of one keyword: from which lines, why it stands as it does, where it went. */
record Story(
        String keyword,
        Message status,
        boolean byHand,
        List<Source> sources,
        Message group,
        Message exported,
        Message intent,
        Message estimatedValue,
        Message priority,
        String note) {

    private static final int SOURCES = 60;

    /** What adds less to a similarity is not worth a word. */
    private static final double LEAST_TOLD = .05;

    /** One line that was folded in, with what brought it there, the figures that its basket gives and its other columns as they stand. */
    record Source(String text, String basket, String line, Message by, Message figures, String others) {}

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
                Message.of(
                        "list.comma",
                        board.statuses().of(keyword).label(),
                        new MatchedWords(keywords, board.recipe().sifting().lists())
                                .sentence(board.statuses().reason(keyword), keyword)),
                board.statuses().reason(keyword) instanceof Reason.ByHand,
                sources,
                group(keyword, board),
                exported(keyword, board),
                intent(keyword, board),
                EstimatedValuePanel.how(board, keyword),
                PriorityPanel.how(board, keyword),
                board.facts().exported(Computed.NOTE, keyword));
    }

    /** What it is for and why, what else is seen in it; empty if nothing is known. */
    static Message intent(int keyword, Board board) {
        List<Intent> seen = board.intents().seen(keyword);
        if (seen.isEmpty()) {
            return Message.NONE;
        }
        List<Message> others = seen.stream().skip(1).map(Intent::label).toList();
        Message lead = Message.of(
                "sift.story.intent",
                Message.of(seen.getFirst().label().key() + ".title"),
                board.intents().reason(keyword));
        Message told = others.isEmpty()
                ? Message.of("sentence", lead)
                : Message.of("sift.story.seen-too", lead, Message.joined("list.comma", others));
        return board.intents().dear(keyword) ? Message.of("sift.story.many-bid", told) : told;
    }

    private static Message figures(Keywords keywords, Keywords.Occurrence occurrence) {
        List<Message> told = new ArrayList<>();
        for (Figure figure : Figure.values()) {
            Optional<FigureColumn> column = keywords.figureAt(occurrence, figure);
            column.ifPresent(c ->
                    told.add(Message.of("sift.story.figure", figure.word(), Show.figure(figure, c, occurrence.row()))));
        }
        return Message.joined("list.dot", told);
    }

    private static Message group(int keyword, Board board) {
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        int group = grouping.groupOf(keyword);
        if (group == Grouping.OUTSIDE) {
            return Message.of("sift.story.group-because-dropped");
        }
        if (group == Grouping.UNGROUPED) {
            return ungrouped(keyword, board);
        }
        Explained.Why why = groups.explained().why(keyword);
        Message because = because(keyword, why, board);
        Message next = why.next()
                .map(other -> Message.of(
                        "sift.story.next-best-would-more",
                        groups.name(other),
                        Show.percent(why.nextTightness()),
                        why.lead() < 0,
                        Show.percent(Math.abs(why.lead()))))
                .orElse(Message.NONE);
        return Message.of("sift.story.in", groups.name(group), because, next);
    }

    private static Message ungrouped(int keyword, Board board) {
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        if (grouping.settings().method().byWords()) {
            return Message.of("sift.story.ungrouped-theme-enough-keywords");
        }
        Explained.Why why = groups.explained().why(keyword);
        return Message.of(
                "sift.story.waits-group-when-they",
                grouping.since().get(keyword),
                why.next()
                        .map(other -> Message.of(
                                "sift.story.the-nearest-is-with",
                                groups.name(other),
                                Show.percent(why.nextTightness()),
                                reasons(keyword, other, board)))
                        .orElse(Message.NONE));
    }

    private static Message because(int keyword, Explained.Why why, Board board) {
        Grouping grouping = board.groups().grouping();
        Message tight = Message.of("sift.story.of-its-weight", Show.percent(why.tightness()));
        boolean similarity = !grouping.settings().method().byWords();
        Message like = Message.of("sift.story.like-others", Show.percent(why.tightness()));
        return switch (grouping.by(keyword)) {
            case ADOPTED ->
                Message.of(
                        "sift.story.where-when-groups-adopted",
                        similarity
                                ? Message.of(
                                        "sift.story.and-like", like, reasons(keyword, grouping.groupOf(keyword), board))
                                : Message.NONE);
            case THEME ->
                similarity
                        ? Message.of("sift.story.because", like, reasons(keyword, grouping.groupOf(keyword), board))
                        : Message.of(
                                "sift.story.because-which-carries",
                                quoted(why.by()),
                                why.by().size(),
                                tight);
            case RULE -> Message.of("sift.story.because-rule-puts");
            case HAND -> Message.of("sift.story.because-hand-put");
            case LOCK -> Message.of("sift.story.because-hand-locked-group");
            case JOIN -> Message.of("sift.story.because-own-group-joined");
            case PLACE -> Message.of("sift.story.nearest-group-theme-took", quoted(why.by()), tight);
            case REST -> Message.of("sift.story.all-theme-took");
        };
    }

    /** What makes it like the others of its group, and which are nearest. */
    private static Message reasons(int keyword, int group, Board board) {
        return board.groups()
                .grouping()
                .nearness()
                .reasons(keyword, group)
                .map(reasons -> {
                    List<Message> parts = new ArrayList<>();
                    reasons.words().stream()
                            .filter(word -> word.share() >= LEAST_TOLD)
                            .forEach(word -> parts.add(Message.of(
                                    "sift.story.what-means-same",
                                    word.text(),
                                    word.same(),
                                    Show.percent(word.share()))));
                    if (reasons.meaning() >= LEAST_TOLD) {
                        parts.add(Message.of("sift.story.meaning", Show.percent(reasons.meaning())));
                    }
                    if (reasons.company() >= LEAST_TOLD) {
                        parts.add(Message.of("sift.story.same-company", Show.percent(reasons.company())));
                    }
                    String nearest = reasons.nearest().stream()
                            .map(other -> "\"" + board.keywords().text(other) + "\"")
                            .collect(Collectors.joining(", "));
                    return Message.of(
                            "sift.story.text",
                            List.copyOf(parts),
                            (nearest.isEmpty() ? Message.NONE : Message.of("sift.story.most-like", nearest)));
                })
                .orElse(Message.NONE);
    }

    private static Message quoted(List<String> words) {
        return Message.of("sift.story.the-word", words.size(), String.join("\", \"", words));
    }

    private static Message exported(int keyword, Board board) {
        String text = board.keywords().text(keyword);
        Plan plan = board.plan();
        var held = plan.notExported().stream()
                .filter(h -> h.keyword().equals(text))
                .findFirst();
        if (held.isPresent()) {
            return Message.of("sift.story.not-exported-from-plan", held.get().why());
        }
        Map<String, List<Message>> types = plan.rows()
                .filter(row -> row.keyword().equals(text))
                .collect(Collectors.groupingBy(
                        Plan.Row::adGroup,
                        LinkedHashMap::new,
                        Collectors.mapping(row -> row.matchType().label(), Collectors.toList())));
        return types.isEmpty()
                ? Message.of("sift.story.not-in-the-plan")
                : Message.joined(
                        "list.sentences",
                        types.entrySet().stream()
                                .map(e -> Message.of(
                                        "sift.story.exported-in-as",
                                        e.getKey(),
                                        Message.joined("list.and", e.getValue())))
                                .toList());
    }
}
