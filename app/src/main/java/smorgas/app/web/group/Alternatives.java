package smorgas.app.web.group;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.SequencedMap;
import org.springframework.ui.Model;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Previews;
import smorgas.core.board.Board;
import smorgas.core.group.read.Agreement;
import smorgas.core.group.read.Changes;
import smorgas.core.group.read.Groups;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** Named alternatives beside what is adopted, each with its figures, and two of them against each other. */
final class Alternatives {

    /** What the adopted settings are called here; no alternative can be, for a name is never empty. */
    private static final String ADOPTED = "";

    /** Of the preview, in addresses; no kept grouping has a name that begins with a blank. */
    private static final String PREVIEW = " shown";

    /**
     * A column of the comparison.
     *
     * @param name empty for what is adopted
     * @param dials as a query, by which it can be looked at
     * @param agrees with the base, adjusted Rand index and normalised mutual information; empty for the base itself
     */
    record Column(
            String name,
            Message shown,
            String dials,
            List<String> figures,
            String agrees,
            String shares,
            boolean base,
            boolean beside,
            boolean kept,
            String baseUrl,
            String besideUrl) {}

    private final Board adopted;
    private final GroupQuery query;
    private final SequencedMap<String, Board> boards = new LinkedHashMap<>();

    private final Wording wording;

    Alternatives(Board adopted, Board shown, GroupQuery query, Previews previews, Wording wording) {
        this.wording = wording;
        this.adopted = adopted;
        this.query = query;
        boards.put(ADOPTED, adopted);
        if (shown != adopted) {
            boards.put(PREVIEW, shown);
        }
        adopted.recipe()
                .grouping()
                .alternatives()
                .forEach((name, settings) ->
                        boards.put(name, previews.of(adopted, settings, new Previews.Part.Nothing())));
    }

    /** Groupings beside each other. */
    record Compared(
            List<Column> columns, List<Message> figureNames, Message baseName, Message besideName, boolean two) {}

    void compare(Model model) {
        String base = boards.containsKey(query.value("base")) ? query.value("base") : ADOPTED;
        String beside = boards.containsKey(query.value("beside"))
                        && !query.value("beside").equals(base)
                ? query.value("beside")
                : boards.keySet().stream()
                        .filter(name -> !name.equals(base))
                        .reduce((first, second) -> second)
                        .orElse(base);
        List<Column> columns = new ArrayList<>();
        boards.forEach((name, board) -> columns.add(column(name, board, base, beside)));
        Shown.in(
                model,
                new Compared(
                        columns,
                        GroupViews.figures(adopted.groups(), adopted.groups()).stream()
                                .map(GroupViews.FigureView::name)
                                .toList(),
                        shownAs(base),
                        shownAs(beside),
                        !base.equals(beside)));
        if (!base.equals(beside)) {
            Groups from = boards.get(base).groups();
            Groups to = boards.get(beside).groups();
            Changes changes = Changes.between(from, to);
            Shown.in(
                    model,
                    new Between(ChangeView.of(changes, from, to, query), FlowHtml.of(changes, from, to, wording)));
        }
    }

    /** What lies between two of them. */
    record Between(ChangeView between, FlowHtml.Picture betweenPicture) {}

    private static Message shownAs(String name) {
        return switch (name) {
            case ADOPTED -> Message.of("group.alternatives.adopted");
            case PREVIEW -> Message.of("group.alternatives.shown");
            default -> Message.verbatim(name);
        };
    }

    private Column column(String name, Board board, String base, String beside) {
        Groups groups = board.groups();
        boolean is = name.equals(base);
        // Where nothing is grouped there is nothing to agree about.
        Agreement agreement = is
                        || groups.grouping().grouped() + groups.grouping().ungrouped() == 0
                ? null
                : Agreement.of(groups.grouping(), boards.get(base).groups().grouping());
        return new Column(
                name,
                shownAs(name),
                name.equals(ADOPTED)
                        ? ""
                        : Dials.query(board.recipe().grouping().settings()),
                GroupViews.figures(groups, groups).stream()
                        .map(GroupViews.FigureView::now)
                        .toList(),
                agreement == null ? "" : String.format(Locale.ENGLISH, "%.2f", agreement.adjustedRand()),
                agreement == null ? "" : String.format(Locale.ENGLISH, "%.2f", agreement.mutualInformation()),
                is,
                name.equals(beside),
                adopted.recipe().grouping().alternatives().containsKey(name),
                query.with("base", name, "beside", name.equals(beside) ? base : beside),
                query.with("beside", name));
    }
}
