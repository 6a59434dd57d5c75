package smorgas.core.fold;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.gather.Lines;

/**
 * Takes figures that belong together from one line of each keyword: a high bid of one list beside the low bid of another
 * would be a range that nobody has told, and may be none. Lines of the lead spelling come before those of others, for a
 * rare misspelling has prices of its own; then those that tell more of the family.
 */
final class FamilyMerger {

    private static final int NONE = -1;

    private final Merge merge;
    private final Figure key;
    private final Set<Figure> family;
    /** By keyword: the line chosen so far, the twofold middle of its key, and how much speaks for it. */
    private final int[] chosen;

    private final long[] twice;
    private final byte[] favour;

    private FamilyMerger(Merge merge, Figure key, Set<Figure> family, int keywords) {
        this.merge = merge;
        this.key = key;
        this.family = family;
        this.chosen = new int[keywords];
        this.twice = new long[keywords];
        this.favour = new byte[keywords];
        Arrays.fill(chosen, NONE);
    }

    /** What is known of each line. */
    record Input(List<Lines> baskets, int[] starts, int[] keywordOfLine, int[] spellingOfLine, int[] leads) {
        /** The same, of which only what is made up is told, or only the rest. */
        Input telling(boolean madeUp) {
            return new Input(
                    baskets.stream().map(lines -> lines.telling(madeUp)).toList(),
                    starts,
                    keywordOfLine,
                    spellingOfLine,
                    leads);
        }
    }

    /** The merged columns of all families that are not added up; what is, and what stands alone, is left to the others. */
    static Map<Figure, FigureColumn> merged(Input input, Map<Figure, Merge> merges) {
        Map<Figure, FigureColumn> merged = new EnumMap<>(Figure.class);
        for (Figure key : Figure.values()) {
            Merge merge = Objects.requireNonNull(merges.get(key));
            boolean first = key.family().iterator().next() == key;
            if (first && together(key.family(), merge) && has(input.baskets(), key.family())) {
                FamilyMerger merger = new FamilyMerger(merge, key, key.family(), input.leads().length);
                merger.choose(input);
                merger.take(input, merged);
            }
        }
        return merged;
    }

    /** Whether one line gives all of a family: sums and means are made of all lines, and the largest of one figure stays so. */
    static boolean together(Set<Figure> family, Merge merge) {
        return switch (merge) {
            case SUM, AVERAGE -> false;
            case LARGEST, BEST -> family.size() > 1;
            case FIRST, LATEST -> true;
        };
    }

    private static boolean has(List<Lines> baskets, Set<Figure> family) {
        return baskets.stream()
                .anyMatch(lines -> family.stream().anyMatch(f -> lines.figure(f).isPresent()));
    }

    private void choose(Input input) {
        for (int b = 0; b < input.baskets().size(); b++) {
            Lines lines = input.baskets().get(b);
            List<FigureColumn> columns =
                    family.stream().flatMap(f -> lines.figure(f).stream()).toList();
            FigureColumn keyed = lines.figure(key).orElse(null);
            int start = input.starts()[b];
            for (int row = 0; row < lines.size() && !columns.isEmpty(); row++) {
                int keyword = input.keywordOfLine()[start + row];
                int known = 0;
                for (FigureColumn column : columns) {
                    known += column.known(row) ? 1 : 0;
                }
                if (keyword >= 0 && known > 0) {
                    boolean lead = input.spellingOfLine()[start + row] == input.leads()[keyword];
                    long middle = keyed != null && keyed.known(row) ? keyed.twiceMiddle(row) : FigureColumn.UNKNOWN;
                    offer(keyword, start + row, middle, (byte) ((lead ? 64 : 0) + known));
                }
            }
        }
    }

    private void offer(int keyword, int line, long middle, byte speaksFor) {
        boolean wins = chosen[keyword] == NONE || beats(keyword, middle, speaksFor);
        if (wins) {
            chosen[keyword] = line;
            twice[keyword] = middle;
            favour[keyword] = speaksFor;
        }
    }

    private boolean beats(int keyword, long middle, byte speaksFor) {
        boolean asMuch = speaksFor == favour[keyword];
        return switch (merge) {
            case LATEST -> speaksFor > favour[keyword] || asMuch;
            case LARGEST, BEST -> {
                if (middle == FigureColumn.UNKNOWN || twice[keyword] == FigureColumn.UNKNOWN) {
                    yield middle != FigureColumn.UNKNOWN;
                }
                boolean better = merge == Merge.LARGEST ? middle > twice[keyword] : middle < twice[keyword];
                yield better || middle == twice[keyword] && speaksFor > favour[keyword];
            }
            default -> speaksFor > favour[keyword];
        };
    }

    private void take(Input input, Map<Figure, FigureColumn> merged) {
        for (Figure figure : family) {
            if (!has(input.baskets(), Set.of(figure))) {
                continue;
            }
            FigureColumn.Builder builder = FigureColumn.Builder.ofSize(chosen.length);
            for (int keyword = 0; keyword < chosen.length; keyword++) {
                if (chosen[keyword] != NONE) {
                    int found = Arrays.binarySearch(
                            input.starts(), 0, input.baskets().size(), chosen[keyword]);
                    int basket = lastOf(input.starts(), found < 0 ? -found - 2 : found, input.baskets());
                    int row = chosen[keyword] - input.starts()[basket];
                    FigureColumn column =
                            input.baskets().get(basket).figure(figure).orElse(null);
                    if (column != null && column.known(row)) {
                        builder.set(keyword, column.low(row), column.high(row));
                    }
                }
            }
            merged.put(figure, builder.seal());
        }
    }

    /** Of several baskets that begin at one line all but the last are empty. */
    private static int lastOf(int[] starts, int basket, List<Lines> baskets) {
        int last = basket;
        while (last + 1 < baskets.size() && starts[last + 1] == starts[basket]) {
            last++;
        }
        return last;
    }
}
