package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import smorgas.core.figure.Searched;
import smorgas.core.group.Grouping;

/**
 * How groups belong to broader themes: hive, in it hive stand, in it wooden hive stand. The broader theme of a theme is,
 * of the sets of its words that several themes share, the one with most words; of equal ones the one that more themes
 * share, then the heaviest. A broader theme need not be a group of its own. Cannot change.
 */
public final class ThemeTree {

    private static final int NONE = -1;

    /**
     * A theme in the tree.
     *
     * @param text its words
     * @param group the group that has just this theme, or -1
     * @param parent the number of the broader theme's node, or -1 at the top
     * @param depth from 1 at the top
     * @param keywords in the groups of this theme and of all narrower ones
     * @param searches of those
     */
    public record Node(String text, int group, int parent, int depth, int keywords, Searched searches) {}

    private final Node[] nodes;
    private final int[] nodeOf;
    private final List<List<Integer>> children;

    private ThemeTree(Node[] nodes, int[] nodeOf) {
        this.nodes = nodes;
        this.nodeOf = nodeOf;
        this.children = new ArrayList<>();
        for (int node = 0; node <= nodes.length; node++) {
            children.add(new ArrayList<>());
        }
        for (int node = 0; node < nodes.length; node++) {
            children.get(nodes[node].parent() + 1).add(node);
        }
        children.forEach(under -> under.sort((a, b) -> {
            int bySearches =
                    Long.compare(nodes[b].searches().sum(), nodes[a].searches().sum());
            int byKeywords = bySearches != 0 ? bySearches : Integer.compare(nodes[b].keywords(), nodes[a].keywords());
            return byKeywords != 0 ? byKeywords : nodes[a].text().compareTo(nodes[b].text());
        }));
    }

    /** Words of a set under construction, and how many themes have all of them. */
    private record Shared(int[] words, int themes) {}

    static ThemeTree of(Groups groups) {
        return new Builder(groups).build();
    }

    private static final class Builder {
        private final Groups groups;
        private final Grouping grouping;
        private final Map<IntList, Shared> shared = new HashMap<>();
        private final Map<IntList, Integer> numbers = new HashMap<>();
        private final List<String> texts = new ArrayList<>();
        private final List<Integer> groupOf = new ArrayList<>();
        private final List<Integer> parents = new ArrayList<>();

        Builder(Groups groups) {
            this.groups = groups;
            this.grouping = groups.grouping();
        }

        ThemeTree build() {
            for (int group = 0; group < grouping.size(); group++) {
                share(Grouping.set(grouping.themeWords(group)));
            }
            int[] nodeOf = new int[grouping.size()];
            for (int group = 0; group < nodeOf.length; group++) {
                nodeOf[group] = place(group, Grouping.set(grouping.themeWords(group)));
                groupOf.set(nodeOf[group], group);
            }
            return new ThemeTree(sums(nodeOf), nodeOf);
        }

        /** Counts a theme among those that have each set of its words. */
        private void share(int[] theme) {
            for (int[] part : parts(theme)) {
                shared.merge(key(part), new Shared(part, 1), (a, b) -> new Shared(a.words(), a.themes() + 1));
            }
        }

        /** The node of a group, made if it is not there yet. */
        private int place(int group, int[] theme) {
            if (theme.length == 0) {
                return add(grouping.key(group), group, NONE);
            }
            // A group that says more than the words that its keywords have in common stands under these.
            boolean just = grouping.words()
                    .find(grouping.key(group))
                    .map(words -> Arrays.equals(Grouping.set(words), theme))
                    .orElse(false);
            int node = node(theme, just ? grouping.key(group) : "", grouping.themeWords(group));
            return just && groupOf.get(node) < 0 ? node : add(grouping.key(group), group, node);
        }

        private int add(String text, int group, int parent) {
            texts.add(text);
            groupOf.add(group);
            parents.add(parent);
            return texts.size() - 1;
        }

        /** The node of a set of words, made with all that are above it if it is not there yet. */
        private int node(int[] words, String text, int[] written) {
            Integer known = numbers.get(key(words));
            if (known != null) {
                if (!text.isEmpty()) {
                    texts.set(known, text);
                }
                return known;
            }
            int[] broader = broader(words);
            int parent = broader.length == 0 ? NONE : node(broader, "", written);
            int node = add(text.isEmpty() ? inOrder(words, written) : text, NONE, parent);
            numbers.put(key(words), node);
            return node;
        }

        /** Words in the order in which the theme that they are of has them. */
        private String inOrder(int[] words, int[] written) {
            IntList inOrder = new IntArrayList(words.length);
            for (int word : written) {
                if (Arrays.binarySearch(words, word) >= 0 && !inOrder.contains(word)) {
                    inOrder.add(word);
                }
            }
            return grouping.words().text(inOrder.toIntArray());
        }

        private int[] broader(int[] words) {
            int own = shared.get(key(words)).themes();
            Shared best = new Shared(new int[0], 0);
            for (int[] part : parts(words)) {
                Shared candidate = shared.get(key(part));
                // What no more themes share says nothing broader.
                if (part.length < words.length && candidate.themes() > own && better(candidate, best)) {
                    best = candidate;
                }
            }
            return best.words();
        }

        private boolean better(Shared one, Shared other) {
            if (one.words().length != other.words().length) {
                return one.words().length > other.words().length;
            }
            if (one.themes() != other.themes()) {
                return one.themes() > other.themes();
            }
            double weight = weight(one) - weight(other);
            return Math.abs(weight) > 1e-9 ? weight > 0 : Arrays.compare(one.words(), other.words()) < 0;
        }

        private double weight(Shared set) {
            double sum = 0;
            for (int word : set.words()) {
                sum += grouping.weights()[word];
            }
            return sum;
        }

        private Node[] sums(int[] nodeOf) {
            int[] keywords = new int[texts.size()];
            Searched[] searches = new Searched[texts.size()];
            Arrays.fill(searches, Searched.NOTHING);
            int[] depth = new int[texts.size()];
            for (int group = 0; group < nodeOf.length; group++) {
                for (int node = nodeOf[group]; node != NONE; node = parents.get(node)) {
                    keywords[node] += groups.keywords(group);
                    searches[node] = searches[node].plus(groups.searches(group));
                }
            }
            Node[] nodes = new Node[texts.size()];
            for (int node = 0; node < nodes.length; node++) {
                for (int above = node; above != NONE; above = parents.get(above)) {
                    depth[node]++;
                }
                nodes[node] = new Node(
                        texts.get(node),
                        groupOf.get(node),
                        parents.get(node),
                        depth[node],
                        keywords[node],
                        searches[node]);
            }
            return nodes;
        }

        private static IntList key(int[] words) {
            return IntArrayList.wrap(words);
        }

        /**
         * All sets of some of the words, the whole too. Of a long theme, which only a hand makes, each word, each two and the
         * whole: all sets of thirty words are a thousand million.
         */
        private List<int[]> parts(int[] words) {
            List<int[]> parts = new ArrayList<>();
            if (words.length > grouping.rules().mostShared()) {
                for (int one = 0; one < words.length; one++) {
                    parts.add(new int[] {words[one]});
                    for (int other = one + 1; other < words.length; other++) {
                        parts.add(new int[] {words[one], words[other]});
                    }
                }
                parts.add(words);
                return parts;
            }
            for (int mask = 1; mask < 1 << words.length; mask++) {
                int[] part = new int[Integer.bitCount(mask)];
                int size = 0;
                for (int i = 0; i < words.length; i++) {
                    if ((mask >> i & 1) == 1) {
                        part[size++] = words[i];
                    }
                }
                parts.add(part);
            }
            return parts;
        }
    }

    public int size() {
        return nodes.length;
    }

    public Node node(int number) {
        return nodes[number];
    }

    /** The number of the node with this text that has others under it; -1 if there is none today. */
    public int find(String text) {
        for (int node = 0; node < nodes.length; node++) {
            if (nodes[node].text().equals(text) && !children.get(node + 1).isEmpty()) {
                return node;
            }
        }
        return NONE;
    }

    /** Whether a group lies below a broader theme, or is it; of no theme none does. */
    public boolean within(int group, String theme) {
        int top = find(theme);
        int node = nodeOf(group);
        while (node >= 0 && node != top) {
            node = node(node).parent();
        }
        return top >= 0 && node == top;
    }

    /** The node of a group. */
    public int nodeOf(int group) {
        return nodeOf[group];
    }

    /** The texts of the broader themes of a group, the broadest first; empty for one at the top. */
    public List<String> above(int group) {
        List<String> above = new ArrayList<>();
        for (int node = nodes[nodeOf[group]].parent(); node != NONE; node = nodes[node].parent()) {
            above.addFirst(nodes[node].text());
        }
        return above;
    }

    /** The nodes under one, most searched first; -1 asks for those at the top. */
    public List<Integer> under(int node) {
        return List.copyOf(children.get(node + 1));
    }

    /** The theme at this depth that a group belongs to: itself, if it is no deeper. */
    public int at(int group, int depth) {
        int node = nodeOf[group];
        while (nodes[node].depth() > depth) {
            node = nodes[node].parent();
        }
        return node;
    }
}
