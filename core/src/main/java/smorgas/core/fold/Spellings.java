package smorgas.core.fold;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.TextDictionary;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.text.Tidy;

/**
 * The distinct tidy texts of some baskets, numbered in the order in which they are first met, with what is known of each;
 * what every way of folding begins with. Cannot change.
 */
public final class Spellings {

    /** For lines of which tidying leaves nothing. */
    static final int NONE = -1;

    private final List<Lines> baskets;
    private final int[] starts;
    private final TextDictionary texts;
    private final int[] ofLine;
    private final int[] lines;
    private final int[] basketCounts;
    private final long[] searches;
    /** Those that some line brings; null if all are. */
    private final @Nullable BitSet brought;

    private int nothing;

    private Spellings(List<Lines> baskets) {
        this.baskets = List.copyOf(baskets);
        this.starts = new int[baskets.size() + 1];
        for (int b = 0; b < baskets.size(); b++) {
            starts[b + 1] = starts[b] + baskets.get(b).size();
        }
        this.texts = new TextDictionary(starts[baskets.size()]);
        this.ofLine = new int[starts[baskets.size()]];
        for (int b = 0; b < baskets.size(); b++) {
            String[] tidy = tidy(baskets.get(b));
            for (int row = 0; row < tidy.length; row++) {
                boolean empty = tidy[row].isEmpty();
                ofLine[starts[b] + row] = empty ? NONE : texts.intern(tidy[row]);
                nothing += empty ? 1 : 0;
            }
        }
        this.lines = new int[texts.size()];
        this.basketCounts = new int[texts.size()];
        this.searches = new long[texts.size()];
        this.brought = baskets.stream().allMatch(Lines::brings) ? null : brought();
        count();
    }

    private BitSet brought() {
        BitSet found = new BitSet(texts.size());
        for (int b = 0; b < baskets.size(); b++) {
            for (int line = starts[b]; line < starts[b + 1] && baskets.get(b).brings(); line++) {
                if (ofLine[line] != NONE) {
                    found.set(ofLine[line]);
                }
            }
        }
        return found;
    }

    private Spellings(Collection<String> loose) {
        this.baskets = List.of();
        this.starts = new int[] {0};
        this.texts = new TextDictionary(loose.size());
        this.ofLine = loose.stream()
                .map(Tidy::of)
                .mapToInt(text -> text.isEmpty() ? NONE : texts.intern(text))
                .toArray();
        this.lines = new int[texts.size()];
        this.basketCounts = new int[texts.size()];
        this.searches = new long[texts.size()];
        this.brought = null;
        count();
    }

    /** The spellings of texts that are in no basket; each text is a line. */
    static Spellings ofTexts(Collection<String> texts) {
        return new Spellings(texts);
    }

    /** The spellings of these baskets. */
    public static Spellings of(List<Lines> baskets) {
        return new Spellings(baskets);
    }

    private static String[] tidy(Lines basket) {
        String[] tidy = new String[basket.size()];
        IntStream rows = IntStream.range(0, basket.size());
        // Tidying a line depends on that line only, so the order of work does not matter.
        (basket.size() > 5_000 ? rows.parallel() : rows).forEach(row -> {
            tidy[row] = Tidy.of(basket.text(row));
            // Kept in the text: the dictionary, which one thread fills, finds it there.
            tidy[row].hashCode();
        });
        return tidy;
    }

    private void count() {
        Arrays.fill(searches, FigureColumn.UNKNOWN);
        int[] lastBasket = new int[texts.size()];
        Arrays.fill(lastBasket, NONE);
        for (int b = 0; b < baskets.size(); b++) {
            Optional<FigureColumn> column = baskets.get(b).figure(Figure.SEARCHES);
            for (int line = starts[b]; line < starts[b + 1]; line++) {
                int spelling = ofLine[line];
                if (spelling == NONE) {
                    continue;
                }
                lines[spelling]++;
                if (lastBasket[spelling] != b) {
                    lastBasket[spelling] = b;
                    basketCounts[spelling]++;
                }
                int row = line - starts[b];
                // What is made up does not say which spelling leads.
                if (column.isPresent()
                        && column.get().known(row)
                        && !column.get().simulated(row)) {
                    searches[spelling] =
                            Math.max(searches[spelling], column.get().twiceMiddle(row));
                }
            }
        }
    }

    /** Whether a basket that brings keywords has it; others only tell about keywords. */
    boolean brings(int spelling) {
        return brought == null || brought.get(spelling);
    }

    /** How many spellings some line brings. */
    int broughtCount() {
        return brought == null ? size() : brought.cardinality();
    }

    /** The numbers of keys by spelling, without those that no line brings; numbered anew in the order of the spellings. */
    int[] onlyBrought(int[] keyOf) {
        if (brought == null) {
            return keyOf;
        }
        int[] numbers = new int[keyOf.length + 1];
        Arrays.fill(numbers, NONE);
        BitSet stays = new BitSet();
        for (int spelling = 0; spelling < keyOf.length; spelling++) {
            if (keyOf[spelling] >= 0 && brought.get(spelling)) {
                stays.set(keyOf[spelling]);
            }
        }
        int[] kept = new int[keyOf.length];
        int next = 0;
        for (int spelling = 0; spelling < keyOf.length; spelling++) {
            int key = keyOf[spelling];
            if (key >= 0 && stays.get(key) && numbers[key] < 0) {
                numbers[key] = next++;
            }
            kept[spelling] = key >= 0 ? numbers[key] : NONE;
        }
        return kept;
    }

    List<Lines> baskets() {
        return baskets;
    }

    /** Lines are numbered over all baskets: where each basket's begin, and their number in all. */
    int[] starts() {
        return starts;
    }

    /** The spelling of each line, or {@link #NONE}. */
    int[] ofLine() {
        return ofLine;
    }

    public int size() {
        return texts.size();
    }

    public String text(int spelling) {
        return texts.text(spelling);
    }

    /** The spelling with this tidy text, or -1. */
    public int find(String tidy) {
        return texts.find(tidy);
    }

    /** Lines with this spelling; at least 1. */
    public int lines(int spelling) {
        return lines[spelling];
    }

    /** In how many baskets it stands. */
    int basketCount(int spelling) {
        return basketCounts[spelling];
    }

    /** Twice the most searches a month that a line gives it; {@link FigureColumn#UNKNOWN} if none does. */
    public long twiceSearches(int spelling) {
        return searches[spelling];
    }

    /** Lines of which tidying left nothing. */
    int nothing() {
        return nothing;
    }
}
