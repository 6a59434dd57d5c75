package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import smorgas.core.column.RaggedInts;

/**
 * The commonest words of the keywords that are grouped or left over, and which of them occur together. Laid out by springs
 * after Fruchterman and Reingold (1991), beginning on a circle, so that it always comes out the same.
 *
 * @param words the commonest first
 * @param links the most frequent first
 */
public record NetOfWords(List<Word> words, List<Link> links) {

    private static final int ITERATIONS = 200;
    private static final double GRAVITY = .9;

    /** A word, in how many keywords it is, and where. */
    public record Word(String text, int keywords, double x, double y) {}

    /** Two words by their places in the list, and how many keywords have both. */
    public record Link(int one, int other, int keywords) {}

    /**
     * The net.
     *
     * @param words at most
     * @param links at most; two keywords at least make one
     */
    public static NetOfWords of(Groups groups, int words, int links, double width, double height) {
        Grouping grouping = groups.grouping();
        ThemeWords of = grouping.words();
        RaggedInts rows = of.rows();
        int[] counts = new int[of.size()];
        for (int keyword = 0; keyword < rows.size(); keyword++) {
            if (grouping.groupOf(keyword) != Grouping.OUTSIDE) {
                for (int word : distinct(rows.row(keyword))) {
                    counts[word] += of.stop(word) || of.fragment(word) || of.muted(word) ? 0 : 1;
                }
            }
        }
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
        List<Link> found = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            for (int j = i + 1; j < size; j++) {
                if (together[i][j] > 1) {
                    found.add(new Link(i, j, together[i][j]));
                }
            }
        }
        found.sort(Comparator.<Link>comparingInt(link -> -link.keywords())
                .thenComparingInt(Link::one)
                .thenComparingInt(Link::other));
        List<Link> shown = found.stream().limit(links).toList();
        double[][] at = springs(size, shown, width, height);
        List<Word> laid = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            laid.add(new Word(of.text(order[i]), counts[order[i]], at[i][0], at[i][1]));
        }
        return new NetOfWords(List.copyOf(laid), shown);
    }

    private static int[] distinct(int[] row) {
        return Arrays.stream(row).distinct().toArray();
    }

    private static double[][] springs(int size, List<Link> links, double width, double height) {
        double[][] at = new double[size][2];
        for (int i = 0; i < size; i++) {
            double angle = 2 * Math.PI * i / Math.max(1, size);
            at[i][0] = width / 2 * (1 + .8 * Math.cos(angle));
            at[i][1] = height / 2 * (1 + .8 * Math.sin(angle));
        }
        double ideal = .8 * Math.sqrt(width * height / Math.max(1, size));
        double most = links.isEmpty() ? 1 : links.getFirst().keywords();
        for (int round = 0; round < ITERATIONS; round++) {
            double[][] push = new double[size][2];
            for (int i = 0; i < size; i++) {
                for (int j = 0; j < size; j++) {
                    if (i != j) {
                        pull(push, at, i, j, distance -> -ideal * ideal / distance);
                    }
                }
            }
            for (Link link : links) {
                double strength = .1 + .5 * link.keywords() / most;
                pull(push, at, link.one(), link.other(), distance -> strength * distance * distance / ideal);
                pull(push, at, link.other(), link.one(), distance -> strength * distance * distance / ideal);
            }
            // A weak pull to the middle keeps words at hand that stand with few others; wider than high, as the room
            // is.
            for (int i = 0; i < size; i++) {
                push[i][0] += GRAVITY * (width / 2 - at[i][0]);
                push[i][1] += GRAVITY * width / height * (height / 2 - at[i][1]);
            }
            double heat = width / 10 * (1 - round / (double) ITERATIONS);
            for (int i = 0; i < size; i++) {
                double length = Math.max(1e-6, Math.hypot(push[i][0], push[i][1]));
                double step = Math.min(length, heat) / length;
                at[i][0] = Math.clamp(at[i][0] + push[i][0] * step, .06 * width, .94 * width);
                at[i][1] = Math.clamp(at[i][1] + push[i][1] * step, .05 * height, .92 * height);
            }
        }
        return at;
    }

    private interface Force {
        double at(double distance);
    }

    private static void pull(double[][] push, double[][] at, int one, int other, Force force) {
        double dx = at[other][0] - at[one][0];
        double dy = at[other][1] - at[one][1];
        double distance = Math.max(1e-3, Math.hypot(dx, dy));
        push[one][0] += dx / distance * force.at(distance);
        push[one][1] += dy / distance * force.at(distance);
    }
}
