package smorgas.core.sift;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Tidy;

/** Counts the words and phrases of some keywords. */
public final class WordCounts {

    /**
     * In how many of the keywords a word or phrase stands, in all and by status.
     *
     * @param searches known searches a month of these keywords
     */
    public record WordCount(String word, int count, Searched searches, int kept, int undecided, int dropped) {}

    /** What a list of words is sorted by; ties go by count, then by the text. */
    public enum By {
        COUNT,
        SEARCHES,
        UNDECIDED,
        DROPPED,
        WORD
    }

    /** Where little words make a phrase one that says nothing. */
    public enum Little {
        /** They are words like others. */
        SHOWN,
        /** A phrase that begins or ends with one is left out, and so is one alone. */
        NOT_AT_EDGES,
        /** A phrase with one anywhere is left out. */
        NOWHERE
    }

    /**
     * What is asked for.
     *
     * @param shortest words of a phrase at least, from 1
     * @param longest words of a phrase at most, up to {@link Phrases#LONGEST}
     * @param containing a text that the phrase has in it; empty for any
     * @param judged whether those of which no keyword is undecided are shown too
     * @param most how many are wanted
     */
    public record Asked(int shortest, int longest, By by, String containing, Little little, boolean judged, int most) {

        public Asked {
            if (shortest < 1 || longest > Phrases.LONGEST || shortest > longest || most < 1) {
                throw new IllegalArgumentException("lengths of " + shortest + " to " + longest + " words");
            }
        }

        /** The commonest single words, whatever they are. */
        public static Asked words(int most) {
            return new Asked(1, 1, By.COUNT, "", Little.SHOWN, true, most);
        }
    }

    /**
     * The words found.
     *
     * @param all how many there are in all, of which {@code words} are the first
     * @param folded how many were left out because all their keywords are judged
     */
    public record Found(List<WordCount> words, int all, int folded) {}

    private final Keywords keywords;
    private final Phrases phrases;
    private final Statuses statuses;
    private final Asked asked;
    private final boolean[] little;
    private final String containing;
    private final Comparator<WordCount> order;
    private int all;
    private int folded;

    private WordCounts(Phrases phrases, Statuses statuses, Set<String> littleWords, Asked asked) {
        this.keywords = phrases.keywords();
        this.phrases = phrases;
        this.statuses = statuses;
        this.asked = asked;
        this.containing = Tidy.of(asked.containing());
        this.order = orderBy(asked.by());
        this.little = new boolean[phrases.folded().size()];
        for (int word = 0; word < little.length; word++) {
            little[word] = littleWords.contains(phrases.folded().text(word));
        }
    }

    /**
     * The words and phrases of these keywords, each keyword counted once for each.
     *
     * @param view the keywords
     * @param phrases of all keywords
     * @param littleWords words that say little by themselves
     */
    public static Found of(BitSet view, Phrases phrases, Statuses statuses, Set<String> littleWords, Asked asked) {
        return new WordCounts(phrases, statuses, littleWords, asked).run(view);
    }

    private Found run(BitSet view) {
        PriorityQueue<WordCount> best = new PriorityQueue<>(asked.most() + 1, order.reversed());
        for (int length = asked.shortest(); length <= asked.longest(); length++) {
            count(view, length, best);
        }
        List<WordCount> words = new ArrayList<>(best);
        words.sort(order);
        return new Found(List.copyOf(words), all, folded);
    }

    private static Comparator<WordCount> orderBy(By by) {
        Comparator<WordCount> byCount =
                Comparator.comparingInt(WordCount::count).reversed().thenComparing(WordCount::word);
        return switch (by) {
            case COUNT -> byCount;
            case SEARCHES ->
                Comparator.<WordCount>comparingLong(word -> word.searches().sum())
                        .reversed()
                        .thenComparing(byCount);
            case UNDECIDED ->
                Comparator.comparingInt(WordCount::undecided).reversed().thenComparing(byCount);
            case DROPPED ->
                Comparator.comparingInt(WordCount::dropped).reversed().thenComparing(byCount);
            case WORD -> Comparator.comparing(WordCount::word);
        };
    }

    /** Counts one length; only what may be among the first becomes a text. */
    private void count(BitSet view, int length, PriorityQueue<WordCount> best) {
        Tally tally = tally(view, phrases.length(length));
        for (int i = 0; i < tally.met.size(); i++) {
            int phrase = tally.met.getInt(i);
            if (!says(length, phrase) || !contains(length, phrase)) {
                continue;
            }
            if (!asked.judged() && tally.of(Status.UNDECIDED, phrase) == 0) {
                folded++;
                continue;
            }
            all++;
            if (mayBeAmong(best, tally, phrase)) {
                WordCount word = tally.word(phrase, phrases.text(length, phrase));
                if (best.size() < asked.most()) {
                    best.add(word);
                } else if (order.compare(word, best.element()) < 0) {
                    best.remove();
                    best.add(word);
                }
            }
        }
    }

    /** What is counted of each phrase of one length. */
    private static final class Tally {
        final int[] count;
        final long[] twice;
        final BitSet made = new BitSet();
        final int[][] byStatus;
        final IntArrayList met = new IntArrayList();

        Tally(int phrases) {
            count = new int[phrases];
            twice = new long[phrases];
            byStatus = new int[Status.values().length][phrases];
        }

        int of(Status status, int phrase) {
            return byStatus[status.ordinal()][phrase];
        }

        WordCount word(int phrase, String text) {
            return new WordCount(
                    text,
                    count[phrase],
                    new Searched(twice[phrase] / 2, made.get(phrase)),
                    of(Status.KEPT, phrase),
                    of(Status.UNDECIDED, phrase),
                    of(Status.DROPPED, phrase));
        }
    }

    private Tally tally(BitSet view, Phrases.Length of) {
        Tally tally = new Tally(of.size());
        int[] lastSeen = new int[of.size()];
        Arrays.fill(lastSeen, -1);
        @Nullable FigureColumn searches = keywords.figure(Figure.SEARCHES).orElse(null);
        for (int k = view.nextSetBit(0); k >= 0; k = view.nextSetBit(k + 1)) {
            long searched = searches != null && searches.known(k) ? searches.twiceMiddle(k) : 0;
            boolean simulated = searches != null && searches.simulated(k);
            int[] status = tally.byStatus[statuses.of(k).ordinal()];
            int places = of.rows.length(k);
            for (int place = 0; place < places; place++) {
                int phrase = of.rows.get(k, place);
                if (lastSeen[phrase] != k) {
                    if (tally.count[phrase] == 0) {
                        tally.met.add(phrase);
                    }
                    lastSeen[phrase] = k;
                    tally.count[phrase]++;
                    status[phrase]++;
                    tally.twice[phrase] += searched;
                    if (simulated) {
                        tally.made.set(phrase);
                    }
                }
            }
        }
        return tally;
    }

    /** Whether it is not surely behind all that are kept already. */
    private boolean mayBeAmong(PriorityQueue<WordCount> best, Tally tally, int phrase) {
        if (best.size() < asked.most()) {
            return true;
        }
        WordCount last = best.element();
        return switch (asked.by()) {
            case COUNT -> tally.count[phrase] >= last.count();
            case SEARCHES -> tally.twice[phrase] / 2 >= last.searches().sum();
            case UNDECIDED -> tally.of(Status.UNDECIDED, phrase) >= last.undecided();
            case DROPPED -> tally.of(Status.DROPPED, phrase) >= last.dropped();
            case WORD -> true;
        };
    }

    private boolean says(int length, int phrase) {
        if (asked.little() == Little.SHOWN) {
            return true;
        }
        int at = phrase;
        for (int n = length; n >= 1; n--) {
            int word = phrases.length(n).lastWords[at];
            boolean edge = n == length || n == 1;
            if (little[word] && (edge || asked.little() == Little.NOWHERE)) {
                return false;
            }
            at = phrases.length(n).parents[at];
        }
        return true;
    }

    private boolean contains(int length, int phrase) {
        return containing.isEmpty() || phrases.text(length, phrase).contains(containing);
    }
}
