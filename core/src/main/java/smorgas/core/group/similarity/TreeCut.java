package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import smorgas.core.recipe.group.Method;

/**
 * Cuts a tree of joins into groups. A group that is too large is divided where its parts are least alike, and again; what
 * would be too small a part goes to the part beside it that has room. No keyword is left out.
 */
final class TreeCut {

    private final Dendrogram tree;
    private final Method.BySimilarity method;

    TreeCut(Dendrogram tree, Method.BySimilarity method) {
        this.tree = tree;
        this.method = method;
    }

    /**
     * A group as it was cut.
     *
     * @param members rising
     * @param divided whether it is a part of one that was too large
     */
    record Piece(int[] members, boolean divided) {}

    /** The groups of keywords at least so much alike, those of the first keywords first; also those of one keyword. */
    List<Piece> groups(double like) {
        int leaves = tree.size();
        int[] left = new int[tree.joins()];
        int[] right = new int[tree.joins()];
        // By the first keyword of a group, the node that the group is.
        int[] node = new int[leaves];
        Arrays.setAll(node, keyword -> keyword);
        int[] count = new int[leaves + tree.joins()];
        Arrays.fill(count, 0, leaves, 1);
        boolean[] root = new boolean[count.length];
        Arrays.fill(root, 0, leaves, true);
        for (int m = 0; m < tree.joins() && tree.like(m) >= like; m++) {
            left[m] = node[tree.into(m)];
            right[m] = node[tree.from(m)];
            root[left[m]] = false;
            root[right[m]] = false;
            node[tree.into(m)] = leaves + m;
            count[leaves + m] = count[left[m]] + count[right[m]];
            root[leaves + m] = true;
        }
        List<Piece> groups = new ArrayList<>();
        for (int top = 0; top < root.length; top++) {
            if (root[top]) {
                divide(top, count, left, right, groups);
            }
        }
        groups.sort((a, b) -> Integer.compare(a.members()[0], b.members()[0]));
        return groups;
    }

    private void divide(int top, int[] count, int[] left, int[] right, List<Piece> groups) {
        int leaves = tree.size();
        if (method.largest() == 0 || count[top] <= method.largest()) {
            int[] members = members(top, count[top], left, right);
            Arrays.sort(members);
            groups.add(new Piece(members, false));
            return;
        }
        // The parts in the order of the tree, so that those beside each other are the most alike.
        List<int[]> parts = new ArrayList<>();
        IntArrayList open = new IntArrayList(new int[] {top});
        while (!open.isEmpty()) {
            int node = open.removeInt(open.size() - 1);
            if (count[node] <= method.largest()) {
                parts.add(members(node, count[node], left, right));
            } else {
                open.add(right[node - leaves]);
                open.add(left[node - leaves]);
            }
        }
        for (int[] part : fitted(parts)) {
            Arrays.sort(part);
            groups.add(new Piece(part, true));
        }
    }

    /** Parts that are too small go to the one before; if it has no room, the two share what they have. */
    private List<int[]> fitted(List<int[]> parts) {
        int least = Math.max(2, method.smallest());
        List<IntArrayList> fitted = new ArrayList<>();
        for (int[] part : parts) {
            IntArrayList last = fitted.isEmpty() ? null : fitted.getLast();
            if (last == null || part.length >= least && last.size() >= least) {
                fitted.add(new IntArrayList(part));
                continue;
            }
            last.addElements(last.size(), part);
            if (last.size() > method.largest()) {
                int half = last.size() / 2;
                fitted.add(new IntArrayList(last.subList(half, last.size())));
                last.size(half);
            }
        }
        return fitted.stream().map(IntArrayList::toIntArray).toList();
    }

    private int[] members(int top, int size, int[] left, int[] right) {
        int leaves = tree.size();
        int[] members = new int[size];
        int found = 0;
        IntArrayList open = new IntArrayList(size);
        open.add(top);
        while (!open.isEmpty()) {
            int node = open.removeInt(open.size() - 1);
            if (node < leaves) {
                members[found++] = node;
            } else {
                open.add(left[node - leaves]);
                open.add(right[node - leaves]);
            }
        }
        return members;
    }
}
