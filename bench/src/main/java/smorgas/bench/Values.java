package smorgas.bench;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import smorgas.core.board.Orders;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.Valuing;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.recipe.value.Span;
import smorgas.core.sift.Matcher;
import smorgas.core.value.Apart;
import smorgas.core.value.EstimatedValue;
import smorgas.core.value.Intents;
import smorgas.core.value.Priority;
import smorgas.core.value.SearchWords;

/**
 * What keywords may bring, their priority and what they must not trigger: the core's work after a change of an assumption, a weight or a
 * negative. Worth over a view beside an embedded analytic SQL engine, on the same keywords in the same run.
 */
final class Values {

    private static final int ROUNDS = 40;
    private static final int WARM_UP = 10;

    private Values() {}

    static void run(int lines) throws SQLException {
        Keywords keywords = keywords(lines);
        System.out.printf(
                Locale.ENGLISH,
                "%nValues of %,d keywords, ms, median and 95th percentile of %d%n",
                keywords.size(),
                ROUNDS);
        estimatedValue(keywords);
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        Intents intents = intents(keywords);
        measured("all intents", round -> intents(keywords));
        measured(
                "priority by other weights",
                round -> Priority.of(
                        keywords,
                        intents,
                        new PrioritySettings(
                                Map.of(
                                        PrioritySettings.Factor.SEARCHES, 40 + round % 20,
                                        PrioritySettings.Factor.BID, -20,
                                        PrioritySettings.Factor.INTENT, 30),
                                PrioritySettings.FOR_ADS.intents(),
                                new LinkedHashMap<>(),
                                PrioritySettings.FOR_ADS.classes()),
                        all));
        negatives(keywords);
        apart(keywords);
    }

    interface Round {
        Object work(int round);
    }

    private static void measured(String what, Round work) {
        measured(what, ROUNDS, WARM_UP, work);
    }

    static void measured(String what, int rounds, int warmUp, Round work) {
        long[] took = new long[rounds];
        for (int round = -warmUp; round < rounds; round++) {
            long begun = System.nanoTime();
            Object result = work.work(round + warmUp);
            long ended = System.nanoTime();
            if (result == null) {
                throw new IllegalStateException("nothing came of it");
            }
            if (round >= 0) {
                took[round] = ended - begun;
            }
        }
        told(what, took);
    }

    private static void told(String what, long[] took) {
        Arrays.sort(took);
        System.out.printf(
                Locale.ENGLISH,
                "  %-58s %8.1f %8.1f%n",
                what,
                took[took.length / 2] / 1e6,
                took[took.length * 95 / 100] / 1e6);
    }

    private static Valuing assumed(int share) {
        return Recipe.of(
                        List.of(new ValueEntry.AssumptionsSet(
                                "",
                                "",
                                new Assumptions(
                                        Map.of(
                                                Assumed.CLICK_SHARE, Span.of(share),
                                                Assumed.CONVERSION_RATE, Span.of(250),
                                                Assumed.VALUE, Span.of(40_000_000)),
                                        CostBy.CPC_OR_BIDS))),
                        "en")
                .valuing();
    }

    private static EstimatedValue estimatedValueOf(Keywords keywords, int share) {
        return EstimatedValue.of(keywords, assumed(share), tag -> new BitSet(), key -> new int[0]);
    }

    /** Another share of clicks each time, as somebody types it. */
    private static Intents intents(Keywords keywords) {
        Valuing none = Recipe.empty("en").valuing();
        return Intents.of(keywords, "en", Map.of(), none, new Matcher(keywords)::match, Rules.NEWEST.intents());
    }

    private static void estimatedValue(Keywords keywords) throws SQLException {
        FigureColumn searches = keywords.figure(Figure.SEARCHES).orElseThrow();
        measured("estimated value, cost and return summed over a view", round -> {
            BitSet view = view(searches, round);
            return estimatedValueOf(keywords, 2_000 + round).sum(view);
        });
        measured("the table sorted by estimated-value", round -> {
            Numbers values = estimatedValueOf(keywords, 2_000 + round).numbers(EstimatedValue.Part.VALUE);
            int[] rank = new int[keywords.size()];
            long[] sorted = IntStream.range(0, rank.length)
                    .filter(values::known)
                    .mapToLong(values::twiceMiddle)
                    .sorted()
                    .distinct()
                    .toArray();
            Arrays.setAll(
                    rank,
                    keyword -> values.known(keyword) ? Arrays.binarySearch(sorted, values.twiceMiddle(keyword)) : -1);
            return Orders.byRank(IntStream.range(0, rank.length).toArray(), rank, true);
        });
        besidePeer(keywords, searches);
    }

    private static void besidePeer(Keywords keywords, FigureColumn searches) throws SQLException {
        try (Connection db = DriverManager.getConnection("jdbc:duckdb:")) {
            Sifting.fill(db, keywords);
            long[] core = new long[ROUNDS];
            long[] peer = new long[ROUNDS];
            for (int round = -WARM_UP; round < ROUNDS; round++) {
                int share = 2_000 + round + WARM_UP;
                long begun = System.nanoTime();
                double ours = estimatedValueOf(keywords, share)
                        .sum(view(searches, round + WARM_UP))
                        .parts()
                        .get(EstimatedValue.Part.VALUE)
                        .middle();
                long between = System.nanoTime();
                double theirs = summed(db, share, round + WARM_UP);
                long ended = System.nanoTime();
                if (Math.abs(ours - theirs) > Math.abs(theirs) * 1e-9) {
                    throw new IllegalStateException(ours + " here, " + theirs + " there");
                }
                if (round >= 0) {
                    core[round] = between - begun;
                    peer[round] = ended - between;
                }
            }
            told("the same, all five sums, in turns with the peer: core", core);
            told("the same, the value alone: DuckDB", peer);
        }
    }

    /** The keywords with so many searches and more. */
    private static BitSet view(FigureColumn searches, int least) {
        BitSet view = new BitSet();
        for (int keyword = 0; keyword < searches.size(); keyword++) {
            view.set(keyword, searches.low(keyword) >= least);
        }
        return view;
    }

    private static double summed(Connection db, int share, int least) throws SQLException {
        try (PreparedStatement select = db.prepareStatement(
                "select sum(searches * (? / 10000.0) * 0.025 * 40 * 100), sum(searches * (? / 10000.0) * cpc)"
                        + " from keyword where searches >= ?")) {
            select.setInt(1, share);
            select.setInt(2, share);
            select.setInt(3, least);
            try (ResultSet sum = select.executeQuery()) {
                sum.next();
                return sum.getDouble(1);
            }
        }
    }

    private static void negatives(Keywords keywords) {
        Random random = new Random(5);
        String[] drawn = random.ints(1_000, 0, keywords.size())
                .mapToObj(keyword -> {
                    String[] words = keywords.text(keyword).split(" ");
                    int from = random.nextInt(words.length);
                    return String.join(" ", Arrays.copyOfRange(words, from, Math.min(words.length, from + 2)));
                })
                .toArray(String[]::new);
        measured("the words of all searches", round -> SearchWords.of(keywords.size(), keywords::text));
        SearchWords words = SearchWords.of(keywords.size(), keywords::text);
        for (MatchType type : MatchType.values()) {
            measured("1,000 negatives held against all, " + type.fixedName().toLowerCase(Locale.ENGLISH), round -> {
                int blocked = 0;
                for (String negative : drawn) {
                    blocked += words.blocked(negative, type).cardinality();
                }
                return blocked;
            });
        }
    }

    /** Neighbouring keywords by text are in one group, so that groups overlap as those of one trade do. */
    private static void apart(Keywords keywords) {
        int groups = 2_500;
        SearchWords words = SearchWords.of(keywords.size(), keywords::text);
        Integer[] byText = IntStream.range(0, keywords.size()).boxed().toArray(Integer[]::new);
        Arrays.sort(byText, java.util.Comparator.comparing(keywords::text));
        int[][] members = new int[groups][];
        for (int group = 0; group < groups; group++) {
            members[group] = Arrays.stream(byText, (int) ((long) group * byText.length / groups), (int)
                            ((group + 1L) * byText.length / groups))
                    .mapToInt(keyword -> keyword)
                    .toArray();
        }
        for (MatchType type : List.of(MatchType.PHRASE, MatchType.BROAD)) {
            long[] took = new long[7];
            int found = 0;
            for (int round = -3; round < took.length; round++) {
                long begun = System.nanoTime();
                found = Apart.of(
                                words,
                                members,
                                Set.of(type),
                                Set.of(),
                                keyword -> 1,
                                Rules.NEWEST.plan().longestSearch())
                        .size();
                if (round >= 0) {
                    took[round] = System.nanoTime() - begun;
                }
            }
            told(
                    String.format(
                            Locale.ENGLISH,
                            "2,500 groups kept apart, %s, %,d negatives",
                            type.fixedName().toLowerCase(Locale.ENGLISH),
                            found),
                    took);
        }
    }

    private static Keywords keywords(int lines) {
        return Folder.fold(List.of(lines(lines)));
    }

    /** A list of so many keywords. */
    static Lines lines(int lines) {
        StringBuilder list = new StringBuilder("Keyword,Search volume,CPC\n");
        Set<String> phrases = new java.util.LinkedHashSet<>();
        for (int size = lines; phrases.size() < lines; size *= 2) {
            phrases.addAll(MadeLists.phrases(size));
        }
        int i = 0;
        for (String phrase : phrases) {
            if (i < lines) {
                list.append(phrase)
                        .append(',')
                        .append(10 + i % 5_000)
                        .append(',')
                        .append(1 + i % 3)
                        .append(".5\n");
                i++;
            }
        }
        return BasketReader.lines(1, "made", list.toString().getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
    }
}
