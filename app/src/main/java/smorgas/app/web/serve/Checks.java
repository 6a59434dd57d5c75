package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.app.web.show.Show;
import smorgas.app.web.sift.SiftQuery;
import smorgas.core.board.Board;
import smorgas.core.column.Figure;
import smorgas.core.recipe.Condition;
import smorgas.core.serve.PlanCheck;

/** What the check found, in sentences, each with what mends it. */
final class Checks {

    /**
     * Something odd.
     *
     * @param kind by which its act is asked for
     * @param must whether it is to be mended, or else worth a look
     * @param what how many of what
     * @param why what is wrong with it
     * @param searches that it touches; empty if none are known
     * @param at where the first ad group of it stands, as the query of the page; empty if it is about none
     * @param act what a button does about all of it; empty if there is none
     * @param link where a link leads to, and its words; empty if there is none
     */
    record Check(
            String kind,
            boolean must,
            String what,
            String why,
            String searches,
            List<String> samples,
            String at,
            String act,
            String link,
            String linkWords) {}

    private record Words(String one, String many, String why) {}

    private static final Map<PlanCheck.Kind, Words> WORDS = Map.ofEntries(
            Map.entry(PlanCheck.Kind.HELD_BACK, new Words("keyword is", "keywords are", "held back, as listed below")),
            Map.entry(
                    PlanCheck.Kind.TWICE,
                    new Words("keyword is", "keywords are", "in two ad groups, which bid against each other")),
            Map.entry(
                    PlanCheck.Kind.NO_BID,
                    new Words("keyword has", "keywords have", "no bid, for its figure is unknown")),
            Map.entry(
                    PlanCheck.Kind.LARGE,
                    new Words(
                            "ad group has", "ad groups have", "more than 50 keywords: one ad rarely answers so many")),
            Map.entry(PlanCheck.Kind.SINGLE, new Words("ad group has", "ad groups have", "one keyword only")),
            Map.entry(
                    PlanCheck.Kind.MIXED,
                    new Words("ad group mixes", "ad groups mix", "those who want to know and those who buy")),
            Map.entry(PlanCheck.Kind.NO_PAGE, new Words("ad group has", "ad groups have", "no page to lead to")),
            Map.entry(PlanCheck.Kind.NO_AD, new Words("ad group has", "ad groups have", "no ad")),
            Map.entry(
                    PlanCheck.Kind.THIN_AD,
                    new Words(
                            "ad group has",
                            "ad groups have",
                            "fewer than two ads, or an ad of fewer than three headlines and two descriptions")),
            Map.entry(PlanCheck.Kind.CUT_TEXT, new Words("text of ads was", "texts of ads were", "too long and cut")),
            Map.entry(
                    PlanCheck.Kind.OPEN_FIELD,
                    new Words("ad group has", "ad groups have", "an ad with a field that nothing stands for")),
            Map.entry(
                    PlanCheck.Kind.SAME_NAME,
                    new Words("ad group is", "ad groups are", "told from another by a number only")),
            Map.entry(
                    PlanCheck.Kind.LEFTOVERS,
                    new Words("leftover is", "leftovers are", "searched for and not in the plan")),
            Map.entry(
                    PlanCheck.Kind.NO_SEARCHES,
                    new Words("keyword has", "keywords have", "no searches that any list tells")));

    private static final Set<PlanCheck.Kind> MUST =
            EnumSet.of(PlanCheck.Kind.HELD_BACK, PlanCheck.Kind.TWICE, PlanCheck.Kind.OPEN_FIELD);

    private Checks() {}

    static List<Check> of(Board board, String base) {
        List<Check> checks = new ArrayList<>();
        for (PlanCheck.Finding one : board.check()) {
            Words words = WORDS.get(one.kind());
            checks.add(new Check(
                    one.kind().name(),
                    MUST.contains(one.kind()),
                    Show.count(one.count(), words.one(), words.many()),
                    words.why(),
                    one.searches() == 0 ? "" : Show.count(one.searches(), "search", "searches"),
                    one.samples(),
                    one.adGroups().isEmpty() ? "" : at(one.adGroups().getFirst()),
                    act(one.kind()),
                    link(one.kind(), base),
                    linkWords(one.kind())));
        }
        return checks;
    }

    private static String at(int adGroup) {
        return "?open=" + adGroup + "&from=" + adGroup / PlanTree.PAGE * PlanTree.PAGE;
    }

    private static String act(PlanCheck.Kind kind) {
        return switch (kind) {
            case HELD_BACK -> "Drop them";
            case SINGLE -> "They join their neighbour";
            case LEFTOVERS -> "Serve them too";
            default -> "";
        };
    }

    private static String link(PlanCheck.Kind kind, String base) {
        return switch (kind) {
            case MIXED -> base + "/group?intentApart=INFORMATIONAL";
            case LARGE -> base + "/group?view=list";
            case NO_AD, THIN_AD, CUT_TEXT, OPEN_FIELD -> base + "/ads";
            case NO_PAGE -> "#pages";
            case NO_BID -> "#bids";
            case TWICE -> base + "/negatives";
            case NO_SEARCHES -> base + "/sift" + SiftQuery.urlOf(new Condition.FigureUnknown(Figure.SEARCHES));
            case HELD_BACK, SINGLE, SAME_NAME, LEFTOVERS -> "";
        };
    }

    private static String linkWords(PlanCheck.Kind kind) {
        return switch (kind) {
            case MIXED -> "Try them apart";
            case LARGE -> "Break them down";
            case NO_AD, THIN_AD, CUT_TEXT, OPEN_FIELD -> "To the ads";
            case NO_PAGE -> "Choose pages";
            case NO_BID -> "Choose bids";
            case TWICE -> "Keep them apart";
            case NO_SEARCHES -> "Show them";
            case HELD_BACK, SINGLE, SAME_NAME, LEFTOVERS -> "";
        };
    }
}
