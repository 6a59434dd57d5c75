package smorgas.app.web.band;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Show;
import smorgas.app.work.Finding;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Lines;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/**
 * The drawn flow from lines to plan rows. All heights are to one scale: lines per pixel. Each piece is a link to just
 * what it stands for.
 *
 * @param pieces shapes from left to right
 * @param labels the words beside what peels away
 * @param stations the five steps with their one figure
 * @param pending whether the groups are still being computed
 */
public record Band(List<Piece> pieces, List<Label> labels, List<Station> stations, boolean pending) {

    /** A shape with its role for the style sheet, what it tells, and where it leads. */
    public record Piece(String path, String role, Message tells, String url) {}

    /** A text at a place; {@code x} is a share of the width such as {@code 12.5%}, so that letters are never stretched. */
    public record Label(String x, double y, Message text, String role) {}

    /** A step on the band; {@code x} as of a label. */
    public record Station(String x, Message name, Message figure, String url, String path) {}

    static final double TOP = 6;
    /** Pixels that a basket is high of which nothing flows on. */
    private static final double THREAD = 2;

    /** Pixels that all lines together are high. */
    static final double HEIGHT = 58;

    private static final double STRANDS = 70;
    private static final double FOLD = 300;
    private static final double SIFT = 540;
    private static final double GROUP = 780;
    private static final double SERVE = 1_010;
    private static final double END = 1_230;
    private static final double WIDTH = 1_240;
    private static final int TINTS = 8;
    private static final int NAMED_GROUPS = 6;

    /** Draws the band of a snapshot; without groups it ends at Group, marked pending unless they could not be found. */
    public static Band draw(String base, Snapshot snapshot, Finding groups) {
        return new Drawing(base, snapshot.board(), groups).draw();
    }

    private static final class Drawing {
        private final String base;
        private final Board board;
        private final Finding finding;
        private final boolean groupsKnown;
        private final List<Piece> pieces = new ArrayList<>();
        private final List<Label> labels = new ArrayList<>();
        private final double scale;

        Drawing(String base, Board board, Finding groups) {
            this.base = base;
            this.board = board;
            this.finding = groups;
            this.groupsKnown = groups == Finding.FOUND;
            this.scale = HEIGHT / Math.max(1, lines());
        }

        private int lines() {
            return board.keywords().linesInUse();
        }

        private double high(int count) {
            return count * scale;
        }

        Band draw() {
            if (lines() > 0) {
                strands();
                folded();
                sifted();
                if (groupsKnown) {
                    groups();
                } else {
                    pieces.add(new Piece(
                            ribbon(new Edge(GROUP, TOP, left()), new Edge(SERVE, TOP, left())),
                            "pending",
                            Message.of(finding == Finding.FAILED ? "band.not-found-groups" : "band.finding-groups"),
                            base + "/group"));
                }
            }
            return new Band(pieces, labels, stations(), finding == Finding.UNDER_WAY);
        }

        private void strands() {
            Keywords keywords = board.keywords();
            double gap = Math.min(2, 12.0 / keywords.baskets().size());
            double from = TOP - 2;
            double to = TOP;
            int tint = 0;
            for (Lines basket : keywords.baskets()) {
                // What only tells about keywords is a thread beside the flow.
                double thick = basket.brings() ? high(basket.size()) : THREAD;
                String path = "M0," + n(from) + "H" + n(STRANDS) + curve(STRANDS, from, FOLD, to) + "V" + n(to + thick)
                        + curve(FOLD, to + thick, STRANDS, from + thick) + "H0Z";
                pieces.add(new Piece(
                        path,
                        (basket.brings() ? "strand tint-" : "strand tells tint-") + (tint++ % TINTS + 1),
                        Message.of("band.basket", basket.name(), basket.size(), basket.brings()),
                        base + "/sift?basket=" + Show.encoded(basket.name())));
                from += thick + gap;
                to += basket.brings() ? thick : 0;
            }
        }

        private int keywords() {
            return board.keywords().size();
        }

        private void folded() {
            int folded = lines() - keywords();
            double body = high(keywords());
            pieces.add(new Piece(
                    ribbon(new Edge(FOLD, TOP, body), new Edge(SIFT, TOP, body)),
                    "keywords",
                    Message.of("count.keywords", keywords()),
                    base + "/sift"));
            peel(FOLD, TOP + body, folded, "folded", base + "/fold");
        }

        private void sifted() {
            int kept = board.statuses().count(Status.KEPT);
            int undecided = board.statuses().count(Status.UNDECIDED);
            int dropped = board.statuses().count(Status.DROPPED);
            double y = TOP;
            flow(y, high(kept), "kept", Message.of("band.kept", kept), "kept");
            y += high(kept);
            flow(y, high(undecided), "undecided", Message.of("band.undecided", undecided), "undecided");
            y += high(undecided);
            peel(SIFT, y, dropped, "dropped", base + "/sift?status=dropped");
        }

        private void flow(double y, double thick, String role, Message tells, String status) {
            if (thick > 0) {
                pieces.add(new Piece(
                        ribbon(new Edge(SIFT, y, thick), new Edge(GROUP, y, thick)),
                        role,
                        tells,
                        base + "/sift?status=" + status));
            }
        }

        private double left() {
            return high(board.statuses().count(Status.KEPT) + board.statuses().count(Status.UNDECIDED));
        }

        private void groups() {
            Groups groups = board.groups();
            int[] order = groups.order();
            int ungrouped = groups.grouping().ungrouped();
            double y = TOP;
            double to = TOP - 3;
            int rest = 0;
            for (int i = 0; i < order.length; i++) {
                int size = groups.keywords(order[i]);
                if (i >= NAMED_GROUPS) {
                    rest += size;
                    continue;
                }
                double thick = high(size);
                pieces.add(new Piece(
                        ribbon(new Edge(GROUP, y, thick), new Edge(SERVE, to, thick)),
                        "group",
                        Message.of("band.group", groups.name(order[i]), size),
                        base + "/group?group=" + Show.encoded(groups.grouping().key(order[i]))));
                y += thick;
                to += thick + 1.5;
            }
            if (rest > 0) {
                pieces.add(new Piece(
                        ribbon(new Edge(GROUP, y, high(rest)), new Edge(SERVE, to, high(rest))),
                        "group rest",
                        Message.of("band.more-groups", order.length - NAMED_GROUPS, rest),
                        base + "/group"));
                y += high(rest);
                to += high(rest) + 1.5;
            }
            if (ungrouped > 0) {
                pieces.add(new Piece(
                        ribbon(new Edge(GROUP, y, high(ungrouped)), new Edge(SERVE, to, high(ungrouped))),
                        "ungrouped",
                        Message.of("band.ungrouped", ungrouped),
                        base + "/group?ungrouped=true"));
            }
            exported();
        }

        private void exported() {
            int exported = board.planCount().keywords();
            double thick = high(exported);
            if (exported > 0) {
                pieces.add(new Piece(
                        ribbon(new Edge(SERVE, TOP, thick), new Edge(END, TOP, thick)),
                        "exported",
                        Message.of("band.exported", board.planCount().rows(), exported, estimatedValue()),
                        base + "/serve"));
            }
        }

        /** What everything that is left may bring, if anything is assumed. */
        private Message estimatedValue() {
            Message told = Expected.of(board.estimatedValueLeft()).brief();
            return told.isEmpty() ? Message.NONE : Message.of("band.band.all-left-month", told);
        }

        /** What all of it may bring, beside how much is left; not before the groups of which something is assumed are found. */
        private Message estimatedValueLeft() {
            if (!groupsKnown && !board.recipe().valuing().byGroup().isEmpty()) {
                return Message.NONE;
            }
            Message estimatedValue = Expected.of(board.estimatedValueLeft()).estimatedValue();
            return estimatedValue.isEmpty() ? Message.NONE : Message.of("band.estimated-value", estimatedValue);
        }

        /** What leaves the flow, and by which word: a ribbon that bends down and ends at its count. */
        private void peel(double x, double y, int count, String role, String url) {
            if (count == 0) {
                return;
            }
            double shown = Math.max(1, high(count));
            Message tells = Message.of("band.peel." + role, count);
            double foot = TOP + HEIGHT + 12;
            double end = x + 66;
            pieces.add(new Piece(
                    "M" + n(x) + "," + n(y) + "C" + n(x + 40) + "," + n(y) + " " + n(end) + "," + n(y + 6) + " "
                            + n(end)
                            + "," + n(foot) + "H" + n(end - Math.min(shown, 34)) + "C" + n(end - Math.min(shown, 34))
                            + ","
                            + n(y + shown) + " " + n(x + 20) + "," + n(y + shown) + " " + n(x) + "," + n(y + shown)
                            + "Z",
                    role,
                    tells,
                    url));
            labels.add(new Label(share(end + 6), foot, tells, role));
        }

        private List<Station> stations() {
            int keywords = keywords();
            Message unknown = finding == Finding.FAILED ? Message.of("band.not-found") : Message.verbatim("\u2026");
            Message grouped = groupsKnown
                    ? Message.of("count.groups", board.groups().grouping().size())
                    : unknown;
            Message rows =
                    groupsKnown ? Message.of("band.rows", board.planCount().rows()) : unknown;
            return List.of(
                    station(0, 0, Message.of("count.lines", lines())),
                    station(FOLD, 1, Message.of("count.keywords", keywords)),
                    station(
                            SIFT,
                            2,
                            Message.of(
                                    "band.left",
                                    keywords - board.statuses().count(Status.DROPPED),
                                    estimatedValueLeft())),
                    station(GROUP, 3, grouped),
                    station(SERVE, 4, rows));
        }

        private Station station(double x, int step, Message figure) {
            var place = smorgas.app.web.show.Step.values()[step];
            return new Station(share(x), place.label(), figure, base + "/" + place.path(), place.path());
        }

        /** Where a ribbon begins or ends: its upper corner, and how thick it is there. */
        private record Edge(double x, double y, double thick) {

            double foot() {
                return y + Math.max(0.6, thick);
            }
        }

        private static String ribbon(Edge from, Edge to) {
            return "M" + n(from.x) + "," + n(from.y) + curve(from.x, from.y, to.x, to.y) + "V" + n(to.foot())
                    + curve(to.x, to.foot(), from.x, from.foot()) + "Z";
        }

        private static String curve(double x1, double y1, double x2, double y2) {
            double middle = (x1 + x2) / 2;
            return "C" + n(middle) + "," + n(y1) + " " + n(middle) + "," + n(y2) + " " + n(x2) + "," + n(y2);
        }

        private static String share(double x) {
            return n(100 * x / WIDTH) + "%";
        }

        private static String n(double number) {
            return String.format(Locale.ROOT, "%.1f", number);
        }
    }
}
