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
import smorgas.core.recipe.sift.Standing;
import smorgas.core.text.Tidy;

/** Counts the words and phrases of some keywords. */
public final class WordCounts {

    /**
     * In how many of the keywords a word or phrase stands, in all and by standing.
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
    private final Standings standings;
    private final Asked asked;
    private final boolean[] little;
    private final String containing;
    private final Comparator<WordCount> order;
    private int all;
    private int folded;

    private WordCounts(Phrases phrases, Keywords keywords, Standings standings, Set<String> littleWords, Asked asked) {
        this.keywords = keywords;
        this.phrases = phrases;
        this.standings = standings;
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
    public static Found of(
            BitSet view,
            Phrases phrases,
            Keywords keywords,
            Standings standings,
            Set<String> littleWords,
            Asked asked) {
        return new WordCounts(phrases, keywords, standings, littleWords, asked).run(view);
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
        Phrases.Length of = phrases.length(length);
        int[] count = new int[of.size()];
        long[] twice = new long[of.size()];
        BitSet made = new BitSet();
        int[][] byStanding = new int[Standing.values().length][of.size()];
        int[] lastSeen = new int[of.size()];
        Arrays.fill(lastSeen, -1);
        IntArrayList met = new IntArrayList();
        @Nullable FigureColumn searches = keywords.figure(Figure.SEARCHES).orElse(null);
        for (int k = view.nextSetBit(0); k >= 0; k = view.nextSetBit(k + 1)) {
            long searched = searches != null && searches.known(k) ? searches.twiceMiddle(k) : 0;
            boolean simulated = searches != null && searches.simulated(k);
            int[] standing = byStanding[standings.of(k).ordinal()];
            int places = of.rows.length(k);
            for (int place = 0; place < places; place++) {
                int phrase = of.rows.get(k, place);
                if (lastSeen[phrase] != k) {
                    if (count[phrase] == 0) {
                        met.add(phrase);
                    }
                    lastSeen[phrase] = k;
                    count[phrase]++;
                    standing[phrase]++;
                    twice[phrase] += searched;
                    if (simulated) {
                        made.set(phrase);
                    }
                }
            }
        }
        int[] undecided = byStanding[Standing.UNDECIDED.ordinal()];
        for (int i = 0; i < met.size(); i++) {
            int phrase = met.getInt(i);
            if (says(length, phrase) && contains(length, phrase)) {
                if (!asked.judged() && undecided[phrase] == 0) {
                    folded++;
                    continue;
                }
                all++;
                if (mayBeAmong(best, count[phrase], twice[phrase] / 2, undecided[phrase], byStanding, phrase)) {
                    WordCount word = new WordCount(
                            phrases.text(length, phrase),
                            count[phrase],
                            new Searched(twice[phrase] / 2, made.get(phrase)),
                            byStanding[Standing.KEPT.ordinal()][phrase],
                            undecided[phrase],
                            byStanding[Standing.DROPPED.ordinal()][phrase]);
                    if (best.size() < asked.most()) {
                        best.add(word);
                    } else if (order.compare(word, best.element()) < 0) {
                        best.remove();
                        best.add(word);
                    }
                }
            }
        }
    }

    /** Whether it is not surely behind all that are kept already. */
    private boolean mayBeAmong(
            PriorityQueue<WordCount> best, int count, long searches, int undecided, int[][] byStanding, int phrase) {
        if (best.size() < asked.most()) {
            return true;
        }
        WordCount last = best.element();
        return switch (asked.by()) {
            case COUNT -> count >= last.count();
            case SEARCHES -> searches >= last.searches().sum();
            case UNDECIDED -> undecided >= last.undecided();
            case DROPPED -> byStanding[Standing.DROPPED.ordinal()][phrase] >= last.dropped();
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
