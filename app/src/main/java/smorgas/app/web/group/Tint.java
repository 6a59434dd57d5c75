package smorgas.app.web.group;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Stream;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** What the map tells by how dark an area is: five steps, each a fifth of the groups, but status by its share. */
final class Tint {

    /** The steps, from light to dark; 0 stands for unknown. */
    static final int STEPS = 5;

    /** What can be told. */
    enum By {
        TIGHTNESS("tint.tightness", "tint.tightness.little", "tint.tightness.much"),
        BID("tint.bid", "tint.bid.little", "tint.bid.much"),
        STATUS("tint.status", "tint.status.little", "tint.status.much");

        private final Message label;
        private final Message little;
        private final Message much;

        By(String label, String little, String much) {
            this.label = Message.of(label);
            this.little = Message.of(little);
            this.much = Message.of(much);
        }

        public Message label() {
            return label;
        }

        /** Its name in addresses and styles. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** What the lightest step says. */
        public Message little() {
            return little;
        }

        /** What the darkest step says. */
        public Message much() {
            return much;
        }

        static By of(String name) {
            return Stream.of(values())
                    .filter(by -> by.key().equals(name))
                    .findFirst()
                    .orElse(TIGHTNESS);
        }
    }

    private final Board board;
    private final By by;
    private final double[] values;
    private final double[] known;

    Tint(Board board, By by) {
        this.board = board;
        this.by = by;
        int size = board.groups().grouping().size();
        this.values = new double[size];
        for (int group = 0; group < size; group++) {
            values[group] = switch (by) {
                case TIGHTNESS -> board.groups().grouping().nearness().measures(group) ? tightness(group) : -1;
                case STATUS -> kept(group);
                case BID -> board.groups().bid(group).orElse(-1);
            };
        }
        this.known = Arrays.stream(values).filter(value -> value >= 0).sorted().toArray();
    }

    private double tightness(int group) {
        return board.groups().grouping().meanTightness(group);
    }

    private double kept(int group) {
        RaggedInts members = board.groups().grouping().members();
        int kept = 0;
        for (int i = 0; i < members.length(group); i++) {
            kept += board.statuses().of(members.get(group, i)) == Status.KEPT ? 1 : 0;
        }
        return kept / (double) Math.max(1, members.length(group));
    }

    /** 1 to {@link #STEPS}, or 0 for a group of which it is unknown. */
    int step(int group) {
        double value = values[group];
        if (value < 0) {
            return 0;
        }
        if (by == By.STATUS) {
            return 1 + (int) Math.min(STEPS - 1, value * STEPS);
        }
        int below = Arrays.binarySearch(known, value);
        while (below > 0 && known[below - 1] == value) {
            below--;
        }
        return 1 + (int) Math.min(STEPS - 1, (long) below * STEPS / Math.max(1, known.length));
    }

    /** What it is of a group, in words; empty if it is unknown. */
    Message told(int group) {
        double value = values[group];
        if (value < 0) {
            return Message.NONE;
        }
        return switch (by) {
            case TIGHTNESS -> Message.of("tint.tightness.told", Show.percent(value));
            case STATUS -> Message.of("tint.status.told", Show.percent(value));
            case BID -> Message.of("tint.bid.told", Show.money(board.groups().bid(group)));
        };
    }
}
