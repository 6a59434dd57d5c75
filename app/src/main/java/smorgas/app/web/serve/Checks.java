package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import smorgas.app.web.show.Show;
import smorgas.app.web.sift.SiftQuery;
import smorgas.core.board.Board;
import smorgas.core.column.Figure;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Condition;
import smorgas.core.recipe.Standing;
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
            String linkWords,
            List<Twice> twice) {}

    /** A keyword of several ad groups, each of which can be the one that keeps it. */
    record Twice(String keyword, List<Place> places) {}

    /** A group by its key and its name. */
    record Place(String key, String name) {}

    /** So many keywords are settled one by one at a time. */
    private static final int MOST_TWICE = 50;

    private record Words(String one, String many, String why) {}

    private static final Map<PlanCheck.Kind, Words> WORDS = Map.ofEntries(
            Map.entry(PlanCheck.Kind.HELD_BACK, new Words("keyword is", "keywords are", "held back, as listed below")),
            Map.entry(
                    PlanCheck.Kind.TWICE,
                    new Words("keyword is", "keywords are", "in two ad groups, which bid against each other")),
            Map.entry(
                    PlanCheck.Kind.SHADOWED,
                    new Words(
                            "keyword is",
                            "keywords are",
                            "answered by a broader one of another ad group too, and no negative steers them")),
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
                    one.searches().sum() == 0 ? "" : Show.searches(one.searches()),
                    one.samples(),
                    one.adGroups().isEmpty() ? "" : at(one.adGroups().getFirst()),
                    act(one.kind()),
                    link(one.kind(), base),
                    linkWords(one.kind()),
                    one.kind() == PlanCheck.Kind.TWICE ? twice(board) : List.of()));
        }
        return checks;
    }

    private static List<Twice> twice(Board board) {
        Groups groups = board.groups();
        SortedMap<String, Twice> found = new TreeMap<>();
        for (int group = 0; group < groups.grouping().size(); group++) {
            for (int keyword : groups.grouping().also().row(group)) {
                String text = board.keywords().text(keyword);
                if (board.standings().of(keyword) != Standing.DROPPED) {
                    found.computeIfAbsent(text, none -> new Twice(text, places(groups, keyword)));
                }
            }
        }
        return found.values().stream().limit(MOST_TWICE).toList();
    }

    /** The groups that a keyword is in, its own first. */
    static List<Place> places(Groups groups, int keyword) {
        Grouping grouping = groups.grouping();
        List<Place> places = new ArrayList<>();
        if (grouping.groupOf(keyword) >= 0) {
            places.add(place(groups, grouping.groupOf(keyword)));
        }
        for (int group = 0; group < grouping.size(); group++) {
            if (IntStream.of(grouping.also().row(group)).anyMatch(one -> one == keyword)) {
                places.add(place(groups, group));
            }
        }
        return places;
    }

    private static Place place(Groups groups, int group) {
        return new Place(groups.grouping().key(group), groups.name(group));
    }

    private static String at(int adGroup) {
        return "?open=" + adGroup + "&from=" + adGroup / PlanTree.PAGE * PlanTree.PAGE;
    }

    private static String act(PlanCheck.Kind kind) {
        return switch (kind) {
            case HELD_BACK -> "Drop them";
            case SINGLE -> "They join their neighbour";
            case SHADOWED -> "Keep all apart by negatives";
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
            case SHADOWED -> base + "/negatives";
            case NO_SEARCHES -> base + "/sift" + SiftQuery.urlOf(new Condition.FigureUnknown(Figure.SEARCHES));
            case SAME_NAME -> "#names";
            case HELD_BACK, TWICE, SINGLE, LEFTOVERS -> "";
        };
    }

    private static String linkWords(PlanCheck.Kind kind) {
        return switch (kind) {
            case MIXED -> "Try them apart";
            case LARGE -> "Break them down";
            case NO_AD, THIN_AD, CUT_TEXT, OPEN_FIELD -> "To the ads";
            case NO_PAGE -> "Choose pages";
            case NO_BID -> "Choose bids";
            case SHADOWED -> "One by one";
            case NO_SEARCHES -> "Show them";
            case SAME_NAME -> "Choose names";
            case HELD_BACK, TWICE, SINGLE, LEFTOVERS -> "";
        };
    }
}
