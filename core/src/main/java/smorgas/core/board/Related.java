package smorgas.core.board;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.fold.Keywords;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Tidy;

/** A project's own phrases that are related to others: by pages that answer both, by competitors that have both, by what they mean. */
public final class Related {

    /** Of so many keywords what they mean is compared; of more the first. */
    private static final int MOST_MEANT = 100;
    /** From this product of two vectors of length 1 on two texts mean about the same; found by looking at the demo's pairs. */
    private static final double NEAR = .55;

    private Related() {}

    /**
     * A related keyword.
     *
     * @param pages that both have
     * @param competitors that have it and one of the others; told only where pages or meaning relate it too, for competitors have
     *     thousands
     * @param nearness of what it means to the nearest of the others, 0 to 1; 0 if it is not known or far
     * @param score what they are put in order by: the nearness, and for each shared page the more the fewer keywords it has, for
     *     everything leads to a site's first page
     */
    public record Term(int keyword, int pages, int competitors, double nearness, double score) {}

    /** Pages that keywords share with some, and what these count for: a page that many have counts for little. */
    private record Shared(Map<Integer, Integer> pages, Map<Integer, Double> scores) {

        static Shared with(Keywords keywords, BitSet to) {
            Map<Long, List<TextColumn>> columns = columns(keywords);
            Map<String, IntArrayList> byPage = new HashMap<>();
            for (int keyword = 0; keyword < keywords.size(); keyword++) {
                for (String page : Related.pages(keywords, columns, keyword)) {
                    byPage.computeIfAbsent(page, none -> new IntArrayList()).add(keyword);
                }
            }
            Shared shared = new Shared(new HashMap<>(), new HashMap<>());
            Set<String> seen = new HashSet<>();
            to.stream().forEach(keyword -> Related.pages(keywords, columns, keyword).stream()
                    .filter(seen::add)
                    .forEach(page -> byPage.get(page).forEach(other -> {
                        shared.pages.merge(other, 1, Integer::sum);
                        shared.scores.merge(
                                other, 1 / Math.log(1 + byPage.get(page).size()), Double::sum);
                    })));
            return shared;
        }
    }

    /**
     * The related ones: those that are not dropped before the others, the nearest first, and of as near ones what more competitors have.
     *
     * @param to the keywords that they are related to; not among them
     */
    public static List<Term> of(Board board, BitSet to, MeaningVectors meaning, int most) {
        Keywords keywords = board.keywords();
        Shared shared = Shared.with(keywords, to);
        List<float[]> vectors = vectors(keywords, to, meaning);
        BitSet theirs = new BitSet();
        to.stream().forEach(keyword -> theirs.or(competitors(keywords, keyword)));
        List<Term> terms = new ArrayList<>();
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            if (to.get(keyword)) {
                continue;
            }
            int pages = shared.pages().getOrDefault(keyword, 0);
            double nearness = nearness(keywords, keyword, vectors, meaning);
            if (pages > 0 || nearness > 0) {
                BitSet both = competitors(keywords, keyword);
                both.and(theirs);
                terms.add(new Term(
                        keyword,
                        pages,
                        both.cardinality(),
                        nearness,
                        nearness + shared.scores().getOrDefault(keyword, 0.0)));
            }
        }
        Comparator<Term> nearest = Comparator.comparingDouble(Term::score)
                .thenComparingInt(Term::competitors)
                .reversed();
        terms.sort(Comparator.comparing((Term term) -> board.statuses().of(term.keyword()) == Status.DROPPED)
                .thenComparing(nearest)
                .thenComparingInt(Term::keyword));
        return terms.subList(0, Math.min(most, terms.size()));
    }

    /** The columns of pages of every basket that has some. */
    private static Map<Long, List<TextColumn>> columns(Keywords keywords) {
        Map<Long, List<TextColumn>> columns = new HashMap<>();
        keywords.baskets().forEach(lines -> {
            List<TextColumn> pages = lines.texts(ColumnRole.LANDING_PAGE);
            if (!pages.isEmpty()) {
                columns.put(lines.basket(), pages);
            }
        });
        return columns;
    }

    private static Set<String> pages(Keywords keywords, Map<Long, List<TextColumn>> columns, int keyword) {
        Set<String> pages = new HashSet<>();
        if (!columns.isEmpty()) {
            for (Keywords.Occurrence occurrence : keywords.occurrences(keyword)) {
                columns.getOrDefault(occurrence.basket(), List.of())
                        .forEach(column -> pages.add(column.text(occurrence.row())));
            }
        }
        pages.remove("");
        return pages;
    }

    /** The places of the baskets of competitors that a keyword is in. */
    private static BitSet competitors(Keywords keywords, int keyword) {
        BitSet places = keywords.basketPlaces(keyword);
        BitSet rivals = new BitSet();
        IntStream.range(0, keywords.baskets().size())
                .filter(place -> places.get(place)
                        && !keywords.baskets().get(place).info().competitor().isEmpty())
                .forEach(rivals::set);
        return rivals;
    }

    private static List<float[]> vectors(Keywords keywords, BitSet to, MeaningVectors meaning) {
        List<float[]> vectors = new ArrayList<>();
        to.stream().limit(MOST_MEANT).forEach(keyword -> {
            float[] vector = meaning.of(Tidy.of(keywords.text(keyword)));
            if (vector != null) {
                vectors.add(vector);
            }
        });
        return vectors;
    }

    private static double nearness(Keywords keywords, int keyword, List<float[]> vectors, MeaningVectors meaning) {
        float @Nullable [] vector = vectors.isEmpty() ? null : meaning.of(Tidy.of(keywords.text(keyword)));
        double nearest = 0;
        for (float[] other : vector == null ? List.<float[]>of() : vectors) {
            double product = 0;
            for (int at = 0; at < other.length; at++) {
                product += other[at] * vector[at];
            }
            nearest = Math.max(nearest, product);
        }
        return nearest >= NEAR ? nearest : 0;
    }
}
