package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.List;
import smorgas.app.web.show.Show;
import smorgas.app.web.sift.SiftQuery;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Overlap;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.text.Message;

/**
 * How baskets overlap: the commonest combinations with their bar, and the pairs.
 *
 * @param names by place
 * @param more combinations that are not shown
 * @param competitors links to keywords that so many competitors have; empty with less than two
 */
record OverlapView(
        List<String> names, List<Combination> combinations, int more, List<Pair> pairs, List<Link> competitors) {

    /**
     * A combination of baskets.
     *
     * @param in by place, whether the basket is in it
     * @param bar thousandths of the largest
     */
    record Combination(List<Boolean> in, String keywords, int bar, String url, Message tells) {}

    /** A row of the pairs: a basket, and how many keywords it shares with each. */
    record Pair(String name, List<Shared> shared) {}

    /** One cell of the pairs; {@code percent} of the smaller of the two. */
    record Shared(String keywords, int percent, boolean self) {}

    /** A way to some keywords. */
    record Link(String words, String url) {}

    private static final int SHOWN = 12;
    private static final int MOST_PAIRS = 12;

    static OverlapView of(Keywords keywords, Overlap overlap) {
        List<String> names = keywords.baskets().stream().map(Lines::name).toList();
        List<Overlap.Combination> all = overlap.combinations();
        int largest = all.isEmpty() ? 1 : all.getFirst().keywords();
        List<Combination> shown = new ArrayList<>();
        for (Overlap.Combination combination : all.subList(0, Math.min(SHOWN, all.size()))) {
            List<Boolean> in = new ArrayList<>();
            List<String> of = new ArrayList<>();
            for (int place = 0; place < names.size(); place++) {
                in.add(combination.places().get(place));
                if (combination.places().get(place)) {
                    of.add(names.get(place));
                }
            }
            Message count = Message.of("count.keywords", combination.keywords());
            shown.add(new Combination(
                    in,
                    Show.count(combination.keywords()),
                    Math.round(1_000f * combination.keywords() / largest),
                    SiftQuery.urlOfOnly(of),
                    Message.of("gather.overlap-view.only-in", count, of.size(), List.copyOf(of))));
        }
        return new OverlapView(
                names, shown, Math.max(0, all.size() - SHOWN), pairs(names, overlap), competitors(keywords.baskets()));
    }

    private static List<Pair> pairs(List<String> names, Overlap overlap) {
        List<Pair> pairs = new ArrayList<>();
        int shown = Math.min(names.size(), MOST_PAIRS);
        for (int a = 0; a < shown; a++) {
            List<Shared> shared = new ArrayList<>();
            for (int b = 0; b < shown; b++) {
                int both = overlap.shared(a, b);
                int smaller = Math.max(1, Math.min(overlap.shared(a, a), overlap.shared(b, b)));
                shared.add(new Shared(Show.count(both), Math.round(100f * both / smaller), a == b));
            }
            pairs.add(new Pair(names.get(a), shared));
        }
        return pairs;
    }

    private static List<Link> competitors(List<Lines> baskets) {
        long lists = baskets.stream()
                .filter(lines -> lines.info().kind() == BasketInfo.Kind.COMPETITOR)
                .count();
        List<Link> links = new ArrayList<>();
        for (int least = 2; least <= Math.min(6, lists); least++) {
            links.add(new Link(String.valueOf(least), SiftQuery.urlOfCompetitors(least)));
        }
        return links;
    }
}
