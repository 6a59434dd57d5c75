package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import smorgas.app.web.show.Show;
import smorgas.app.web.sift.SiftQuery;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Status;
import smorgas.core.serve.CheckKind;
import smorgas.core.serve.PlanCheck;
import smorgas.core.text.Message;

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
            Message what,
            Message why,
            Message searches,
            List<String> samples,
            String at,
            Message act,
            String link,
            Message linkWords,
            List<InSeveral> twice) {}

    /** A keyword of several ad groups, each of which can be the one that keeps it. */
    record InSeveral(String keyword, List<Place> places) {}

    /** A group by its key and its name. */
    record Place(String key, String name) {}

    /** So many keywords are decided one by one at a time. */
    private static final int MOST_TWICE = 50;

    private Checks() {}

    static List<Check> of(Board board, String base) {
        List<Check> checks = new ArrayList<>();
        for (PlanCheck.Finding one : board.check()) {
            CheckKind kind = one.kind();
            checks.add(new Check(
                    kind.name(),
                    kind.must(),
                    kind.count(one.count()),
                    kind.why(),
                    one.searches().sum() == 0 ? Message.NONE : Show.searches(one.searches()),
                    one.samples(),
                    one.adGroups().isEmpty() ? "" : at(one.adGroups().getFirst()),
                    kind.fix().map(CheckKind.Fix::words).orElse(Message.NONE),
                    kind.leads().map(leads -> link(leads.place(), base)).orElse(""),
                    kind.leads().map(CheckKind.Leads::words).orElse(Message.NONE),
                    kind == CheckKind.TWICE ? twice(board) : List.of()));
        }
        return checks;
    }

    private static List<InSeveral> twice(Board board) {
        Groups groups = board.groups();
        SortedMap<String, InSeveral> found = new TreeMap<>();
        for (int group = 0; group < groups.grouping().size(); group++) {
            for (int keyword : groups.grouping().also().row(group)) {
                String text = board.keywords().text(keyword);
                if (board.statuses().of(keyword) != Status.DROPPED) {
                    found.computeIfAbsent(text, none -> new InSeveral(text, places(groups, keyword)));
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

    private static String link(CheckKind.Place place, String base) {
        return switch (place) {
            case INTENTS_APART -> base + "/group?intentApart=INFORMATIONAL";
            case GROUPS -> base + "/group?view=list";
            case ADS -> base + "/ads";
            case PAGES -> "#pages";
            case BIDS -> "#bids";
            case NEGATIVES -> base + "/negatives";
            case UNKNOWN_SEARCHES -> base + "/sift" + SiftQuery.urlOf(new Condition.FigureUnknown(Figure.SEARCHES));
            case NAMES -> "#names";
        };
    }
}
