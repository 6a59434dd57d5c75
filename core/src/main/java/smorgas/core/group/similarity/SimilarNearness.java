package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.IntOpenHashSet;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;
import smorgas.core.group.engine.Nearness;

/** Near is a keyword to a group to whose other members it is alike. */
final class SimilarNearness implements Nearness {

    private static final int NEAREST = 3;

    private final Membership result;
    private final Similarity similarity;
    private final Terms terms;
    /** The number of each keyword among those that grew; -1 for others. */
    private final int[] place;

    private final int[] keywordAt;
    private final Similarity.@Nullable Sum[] sums;

    SimilarNearness(Membership result, Similarity similarity, Terms terms, int[] place) {
        this.terms = terms;
        this.result = result;
        this.similarity = similarity;
        this.place = place;
        this.sums = new Similarity.Sum[result.groups()];
        this.keywordAt = new int[similarity.size()];
        for (int keyword = 0; keyword < place.length; keyword++) {
            if (place[keyword] >= 0) {
                keywordAt[place[keyword]] = keyword;
            }
        }
        for (int group = 0; group < sums.length; group++) {
            int[] members = Arrays.stream(result.members().row(group))
                    .map(keyword -> place[keyword])
                    .filter(at -> at >= 0)
                    .toArray();
            sums[group] = members.length == 0 ? null : similarity.sum(members);
        }
    }

    @Override
    public double of(int keyword, int group) {
        Similarity.Sum sum = sums[group];
        if (sum == null || place[keyword] < 0) {
            return 0;
        }
        Similarity.Sum own = similarity.sum(place[keyword]);
        double all = similarity.between(own, sum);
        if (result.groupOf(keyword) != group) {
            return all;
        }
        // To the others only: nothing is more like a keyword than itself.
        int others = sum.size() - 1;
        return others == 0 ? 1 : Math.max(0, (all * sum.size() - similarity.between(own, own)) / others);
    }

    @Override
    public void forEach(int keyword, IntConsumer group) {
        if (place[keyword] < 0) {
            return;
        }
        IntOpenHashSet met = new IntOpenHashSet();
        for (int other : similarity.links()[place[keyword]]) {
            int of = result.groupOf(keywordAt[other]);
            if (of >= 0 && met.add(of)) {
                group.accept(of);
            }
        }
    }

    @Override
    public boolean measures(int group) {
        return sums[group] != null;
    }

    @Override
    public double between(int group, int other) {
        Similarity.Sum one = sums[group];
        Similarity.Sum two = sums[other];
        return one == null || two == null ? 0 : similarity.between(one, two);
    }

    @Override
    public double alike(int keyword, int other) {
        return place[keyword] < 0 || place[other] < 0
                ? 0
                : similarity.between(similarity.sum(place[keyword]), similarity.sum(place[other]));
    }

    @Override
    public Optional<Reasons> reasons(int keyword, int group) {
        Similarity.Sum sum = sums[group];
        if (sum == null || place[keyword] < 0) {
            return Optional.empty();
        }
        boolean member = result.groupOf(keyword) == group;
        if (member && sum.size() == 1) {
            return Optional.empty();
        }
        Similarity.Parts parts = similarity.parts(place[keyword], sum, member);
        if (parts.whole() <= 0) {
            return Optional.empty();
        }
        List<Reasons.Word> words = new ArrayList<>();
        parts.terms()
                .forEach((term, part) ->
                        words.add(new Reasons.Word(terms.shown(term), terms.several(term), part / parts.whole())));
        words.sort(Comparator.comparingDouble(Reasons.Word::share).reversed().thenComparing(Reasons.Word::text));
        List<Integer> nearest = Arrays.stream(similarity.links()[place[keyword]])
                .map(at -> keywordAt[at])
                .filter(other -> result.groupOf(other) == group)
                .limit(NEAREST)
                .boxed()
                .toList();
        return Optional.of(
                new Reasons(words, parts.meaning() / parts.whole(), parts.company() / parts.whole(), nearest));
    }
}
