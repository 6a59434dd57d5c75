package smorgas.core.fold;

import java.util.Arrays;
import java.util.List;
import smorgas.core.column.FigureColumn;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.FoldDecision;

/**
 * Which spellings are one keyword, hands included, and which of them leads.
 *
 * @param keywordOf of each spelling its keyword, from 0 in the order in which they are first met; -1 if it is set aside
 * @param leads of each keyword the spelling that stands for it
 */
record Merges(int[] keywordOf, int[] leads) {

    /** Keys with what hands decided about them. */
    static Merges of(Tokens tokens, Folding folding, WordFolds.Keys keys) {
        int[] keywordOf = folding.decisions().isEmpty()
                ? keys.of()
                : new Decided(tokens.spellings(), keys, folding.decisions()).keywordOf();
        // A hand may have taken apart what only tells.
        int[] brought =
                folding.decisions().isEmpty() ? keywordOf : tokens.spellings().onlyBrought(keywordOf);
        return new Merges(brought, leads(tokens, folding.leads(), brought));
    }

    int size() {
        return leads.length;
    }

    private static int[] leads(Tokens tokens, List<String> chosen, int[] keywordOf) {
        int keywords = 0;
        for (int keyword : keywordOf) {
            keywords = Math.max(keywords, keyword + 1);
        }
        int[] leads = new int[keywords];
        Arrays.fill(leads, Spellings.NONE);
        for (int spelling = 0; spelling < keywordOf.length; spelling++) {
            int keyword = keywordOf[spelling];
            if (keyword >= 0 && (leads[keyword] < 0 || leadsBefore(tokens, spelling, leads[keyword]))) {
                leads[keyword] = spelling;
            }
        }
        for (String text : chosen) {
            int spelling = tokens.spellings().find(text);
            if (spelling >= 0 && keywordOf[spelling] >= 0) {
                leads[keywordOf[spelling]] = spelling;
            }
        }
        return leads;
    }

    /** One that is brought, then most searches, then in most baskets, then most often seen, then shortest, then alphabetical. */
    private static boolean leadsBefore(Tokens tokens, int one, int other) {
        Spellings spellings = tokens.spellings();
        int order = Boolean.compare(spellings.brings(other), spellings.brings(one));
        if (order == 0) {
            order = Long.compare(known(spellings.twiceSearches(other)), known(spellings.twiceSearches(one)));
        }
        if (order == 0) {
            order = Integer.compare(spellings.basketCount(other), spellings.basketCount(one));
        }
        if (order == 0) {
            order = Integer.compare(spellings.lines(other), spellings.lines(one));
        }
        if (order == 0) {
            order = Integer.compare(
                    spellings.text(one).length(), spellings.text(other).length());
        }
        return order == 0 ? spellings.text(one).compareTo(spellings.text(other)) < 0 : order < 0;
    }

    private static long known(long searches) {
        return searches == FigureColumn.UNKNOWN ? -1 : searches;
    }

    /** Keywords as a forest of keys and of spellings that were taken out. */
    private static final class Decided {
        private final Spellings spellings;
        private final int[] clusterOf;
        private int[] parents;
        private int clusters;

        Decided(Spellings spellings, WordFolds.Keys keys, List<FoldDecision> decisions) {
            this.spellings = spellings;
            this.clusterOf = keys.of().clone();
            this.clusters = keys.size();
            this.parents = new int[clusters + 64];
            for (int i = 0; i < parents.length; i++) {
                parents[i] = i;
            }
            decisions.forEach(this::apply);
        }

        private void apply(FoldDecision decision) {
            int[] found = decision.texts().stream()
                    .mapToInt(spellings::find)
                    .filter(spelling -> spelling >= 0 && clusterOf[spelling] >= 0)
                    .toArray();
            switch (decision) {
                case FoldDecision.Apart apart -> {
                    for (int spelling : found) {
                        clusterOf[spelling] = fresh();
                    }
                }
                case FoldDecision.Together together -> {
                    for (int spelling : found) {
                        parents[root(clusterOf[spelling])] = root(clusterOf[found[0]]);
                    }
                }
            }
        }

        private int fresh() {
            if (clusters == parents.length) {
                parents = Arrays.copyOf(parents, clusters * 2);
                for (int i = clusters; i < parents.length; i++) {
                    parents[i] = i;
                }
            }
            return clusters++;
        }

        private int root(int cluster) {
            int root = cluster;
            while (parents[root] != root) {
                parents[root] = parents[parents[root]];
                root = parents[root];
            }
            return root;
        }

        int[] keywordOf() {
            int[] numbers = new int[clusters];
            Arrays.fill(numbers, Spellings.NONE);
            int[] keywordOf = new int[clusterOf.length];
            int next = 0;
            for (int spelling = 0; spelling < keywordOf.length; spelling++) {
                if (clusterOf[spelling] < 0) {
                    keywordOf[spelling] = Spellings.NONE;
                    continue;
                }
                int root = root(clusterOf[spelling]);
                if (numbers[root] < 0) {
                    numbers[root] = next++;
                }
                keywordOf[spelling] = numbers[root];
            }
            return keywordOf;
        }
    }
}
