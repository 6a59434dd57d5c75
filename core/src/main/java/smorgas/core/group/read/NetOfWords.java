package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.ThemeWords;

/**
 * The commonest words of the keywords that are grouped or left over, and which of them occur together.  *
 * @param words the commonest first
 * @param links the most frequent first
 */
public record NetOfWords(List<Word> words, List<Link> links) {

    /** A word, and in how many keywords it is. */
    public record Word(String text, int keywords) {}

    /** Two words by their places in the list, and how many keywords have both. */
    public record Link(int one, int other, int keywords) {}

    /**
     * The net.
     *
     * @param words at most
     * @param links at most; two keywords at least make one
     */
    public static NetOfWords of(Groups groups, int words, int links) {
        Grouping grouping = groups.grouping();
        ThemeWords of = grouping.words();
        int[] counts = counts(grouping);
        int[] order = new int[of.size()];
        Arrays.setAll(order, word -> word);
        IntArrays.quickSort(order, (a, b) -> {
            int byCount = Integer.compare(counts[b], counts[a]);
            return byCount != 0 ? byCount : Integer.compare(a, b);
        });
        int size = (int) Arrays.stream(order)
                .limit(words)
                .filter(word -> counts[word] > 1)
                .count();
        int[] place = new int[of.size()];
        Arrays.fill(place, -1);
        for (int i = 0; i < size; i++) {
            place[order[i]] = i;
        }
        List<Link> found = links(together(grouping, place, size));
        List<Word> commonest = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            commonest.add(new Word(of.text(order[i]), counts[order[i]]));
        }
        return new NetOfWords(
                List.copyOf(commonest), found.stream().limit(links).toList());
    }

    /** In how many keywords each word is that may be shown. */
    private static int[] counts(Grouping grouping) {
        ThemeWords of = grouping.words();
        int[] counts = new int[of.size()];
        for (int keyword = 0; keyword < of.rows().size(); keyword++) {
            if (grouping.groupOf(keyword) != Grouping.OUTSIDE) {
                for (int word : distinct(of.rows().row(keyword))) {
                    counts[word] += of.stop(word) || of.fragment(word) || of.ignored(word) ? 0 : 1;
                }
            }
        }
        return counts;
    }

    /** In how many keywords two of the words shown are, the one of the lower place first. */
    private static int[][] together(Grouping grouping, int[] place, int size) {
        RaggedInts rows = grouping.words().rows();
        int[][] together = new int[size][size];
        for (int keyword = 0; keyword < rows.size(); keyword++) {
            if (grouping.groupOf(keyword) != Grouping.OUTSIDE) {
                int[] here = Arrays.stream(rows.row(keyword))
                        .map(word -> place[word])
                        .filter(at -> at >= 0)
                        .sorted()
                        .distinct()
                        .toArray();
                for (int i = 0; i < here.length; i++) {
                    for (int j = i + 1; j < here.length; j++) {
                        together[here[i]][here[j]]++;
                    }
                }
            }
        }
        return together;
    }

    private static List<Link> links(int[][] together) {
        List<Link> found = new ArrayList<>();
        for (int i = 0; i < together.length; i++) {
            for (int j = i + 1; j < together.length; j++) {
                if (together[i][j] > 1) {
                    found.add(new Link(i, j, together[i][j]));
                }
            }
        }
        found.sort(Comparator.<Link>comparingInt(link -> -link.keywords())
                .thenComparingInt(Link::one)
                .thenComparingInt(Link::other));
        return found;
    }

    private static int[] distinct(int[] row) {
        return Arrays.stream(row).distinct().toArray();
    }
}
