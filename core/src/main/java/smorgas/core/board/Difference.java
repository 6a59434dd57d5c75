package smorgas.core.board;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.column.FigureColumn;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/**
 * What is otherwise at one time than at another, keyword by keyword: two points of a project, two harvests, two runs. A keyword is
 * the same if one has a spelling of the other or would be folded into it, so that another spelling is no change.
 */
public final class Difference {

    private static final int GONE = -1;

    /** What can be otherwise; a keyword may be in several. */
    public enum Kind {
        NEW("changed.new"),
        GONE("changed.gone"),
        SEARCHED("changed.searched"),
        /** Its searches are others, and about what they were in the same months of the year before. */
        SEASON("changed.season"),
        DROPPED("changed.dropped"),
        /** It was dropped and is no more. */
        BACK("changed.back"),
        KEPT("changed.kept"),
        /** It is new, and nothing has judged it. */
        WAITING("changed.waiting"),
        MOVED("changed.moved");

        private final Message label;

        Kind(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /**
     * One keyword that is otherwise.
     *
     * @param text its lead spelling now; if it is gone, as it was
     * @param was what it was, in words; empty if it was not there
     * @param is what it is, in words; empty if it is gone
     * @param twiceSearches now, or as it was if it is gone; {@link FigureColumn#UNKNOWN} if not known
     * @param simulated whether those searches are made up
     * @param season of what is searched otherwise, the months that came and those of the year before, in words; empty if not known
     * @param weight by which those of a kind are put in order, the larger first
     */
    public record Row(
            Kind kind,
            String text,
            Message was,
            Message is,
            long twiceSearches,
            boolean simulated,
            Message season,
            long weight) {}

    private final Map<Kind, List<Row>> rows = new EnumMap<>(Kind.class);
    private final int before;
    private final int after;
    private final int same;
    private final boolean groups;

    private Difference(Standpoint old, Standpoint now, boolean groups) {
        this.groups = groups;
        this.before = old.size();
        this.after = now.size();
        boolean[] met = new boolean[old.size()];
        int[] was = counterparts(old, now, met);
        this.same = (int) Arrays.stream(was).filter(one -> one != GONE).count();
        for (int keyword = 0; keyword < was.length; keyword++) {
            if (was[keyword] == GONE) {
                fresh(now, keyword);
            } else {
                changed(old, was[keyword], now, keyword);
            }
        }
        for (int keyword = 0; keyword < met.length; keyword++) {
            if (!met[keyword]) {
                add(Kind.GONE, old, keyword, old.status(keyword).label(), Message.NONE);
            }
        }
        rows.values()
                .forEach(list -> list.sort(
                        Comparator.comparingLong(Row::weight).reversed().thenComparing(Row::text)));
    }

    /** Between two times; groups are compared too only if they are wanted, for they may have to be found first. */
    public static Difference between(Standpoint old, Standpoint now, boolean groups) {
        return new Difference(old, now, groups);
    }

    /** Of each keyword that of before which it is; those that are met are marked. */
    private static int[] counterparts(Standpoint old, Standpoint now, boolean[] met) {
        int[] was = new int[now.size()];
        for (int keyword = 0; keyword < was.length; keyword++) {
            was[keyword] = counterpart(old, now, keyword);
            if (was[keyword] != GONE) {
                met[was[keyword]] = true;
            }
        }
        // What is spelled as nobody spelled it then is what it would be folded into now.
        for (int keyword = 0; keyword < met.length; keyword++) {
            if (!met[keyword]) {
                int is = now.meant(old.text(keyword)).orElse(GONE);
                if (is != GONE && was[is] == GONE) {
                    was[is] = keyword;
                    met[keyword] = true;
                }
            }
        }
        return was;
    }

    /** The keyword of before that is this one; by its lead spelling, or else by another of its spellings. */
    private static int counterpart(Standpoint old, Standpoint now, int keyword) {
        Optional<Integer> found = old.find(now.text(keyword));
        if (found.isPresent()) {
            return found.get();
        }
        for (String spelling : now.spellings(keyword)) {
            Optional<Integer> other = old.find(spelling);
            if (other.isPresent()) {
                return other.get();
            }
        }
        return GONE;
    }

    private void fresh(Standpoint now, int keyword) {
        Status status = now.status(keyword);
        add(Kind.NEW, now, keyword, Message.NONE, status.label());
        if (status == Status.UNDECIDED) {
            add(Kind.WAITING, now, keyword, Message.NONE, status.label());
        } else if (status == Status.DROPPED) {
            add(Kind.DROPPED, now, keyword, Message.NONE, now.reason(keyword));
        }
    }

    private void changed(Standpoint old, int was, Standpoint now, int is) {
        searched(old, was, now, is);
        judged(old, was, now, is);
        if (groups && !old.groupKey(was).equals(now.groupKey(is))) {
            String here = old.group(was);
            String there = now.group(is);
            // A group that is found by similarity may have another key and be the one it was.
            if (!here.equals(there)) {
                add(Kind.MOVED, now, is, Message.verbatim(here), Message.verbatim(there));
            }
        }
    }

    private void searched(Standpoint old, int was, Standpoint now, int is) {
        long twice = now.twiceSearches(is);
        long before2 = old.twiceSearches(was);
        if (twice != before2) {
            boolean both = twice != FigureColumn.UNKNOWN && before2 != FigureColumn.UNKNOWN;
            Optional<Season> season = both ? Season.between(old.months(was), now.months(is)) : Optional.empty();
            Kind kind = season.filter(Season::usual).isPresent() ? Kind.SEASON : Kind.SEARCHED;
            rows.computeIfAbsent(kind, none -> new ArrayList<>())
                    .add(new Row(
                            kind,
                            now.text(is),
                            told(before2),
                            told(twice),
                            twice,
                            now.simulated(is),
                            season.map(Season::told).orElse(Message.NONE),
                            both ? Math.abs(twice - before2) : Math.max(twice, before2)));
        }
    }

    private void judged(Standpoint old, int was, Standpoint now, int is) {
        Status from = old.status(was);
        Status to = now.status(is);
        if (from != to) {
            if (to == Status.DROPPED) {
                add(Kind.DROPPED, now, is, from.label(), now.reason(is));
            } else if (from == Status.DROPPED) {
                add(Kind.BACK, now, is, old.reason(was), to.label());
            }
            if (to == Status.KEPT) {
                add(Kind.KEPT, now, is, from.label(), now.reason(is));
            }
        }
    }

    private static Message told(long twice) {
        return twice == FigureColumn.UNKNOWN ? Message.NONE : Message.verbatim(String.valueOf(twice / 2));
    }

    private void add(Kind kind, Standpoint of, int keyword, Message was, Message is) {
        long twice = of.twiceSearches(keyword);
        rows.computeIfAbsent(kind, none -> new ArrayList<>())
                .add(new Row(kind, of.text(keyword), was, is, twice, of.simulated(keyword), Message.NONE, twice));
    }

    /** Those of a kind, the most searched first; of what is searched otherwise those that changed most. */
    public List<Row> rows(Kind kind) {
        return rows.getOrDefault(kind, List.of());
    }

    /** All of them, kind by kind. */
    public List<Row> rows() {
        return Arrays.stream(Kind.values()).flatMap(kind -> rows(kind).stream()).toList();
    }

    /** How many keywords there were. */
    public int before() {
        return before;
    }

    /** How many there are. */
    public int after() {
        return after;
    }

    /** How many are there at both times. */
    public int same() {
        return same;
    }

    /** Whether groups were compared. */
    public boolean groups() {
        return groups;
    }

    /** Whether nothing is otherwise. */
    public boolean nothing() {
        return rows.isEmpty();
    }
}
