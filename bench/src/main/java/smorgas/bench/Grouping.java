package smorgas.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.group.Grouper;
import smorgas.core.group.GroupingInput;
import smorgas.core.group.Planted;
import smorgas.core.group.engine.EngineCache;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.group.read.Agreement;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.recipe.group.SimilarityRules;
import smorgas.core.text.Tidy;

/** The group engine: how fast, and how well it finds known themes and published labels beside k-means. */
final class Grouping {

    /** K-means starts at random, and some starts end badly: its figures are those of many seeds. */
    private static final int SEEDS = 20;

    /** Of so many texts and more only a few seeds are tried, for each takes a minute. */
    private static final int MANY_TEXTS = 2_000;

    private static final int SEEDS_OF_MANY_TEXTS = 3;

    private static final int ITERATIONS = 30;

    private Grouping() {}

    static void run(Path folder) throws IOException, InterruptedException {
        speed();
        planted();
        labelled(folder);
        beside100000();
    }

    private static smorgas.core.group.Grouping group(Keywords keywords) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        return Grouper.group(
                GroupingInput.of(keywords.folded(), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                Rules.NEWEST.settings().byThemes("en"));
    }

    /** As {@link #group}, but never more than so many groups. */
    private static smorgas.core.group.Grouping about(Keywords keywords, int groups) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        Pass pass = Rules.NEWEST.settings().themes().passes().getFirst();
        return Grouper.group(
                GroupingInput.of(keywords.folded(), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                Rules.NEWEST
                        .settings()
                        .byThemes("en")
                        .withPasses(new Pass(
                                pass.smallest(),
                                Pass.ANY,
                                groups,
                                pass.shortest(),
                                pass.longest(),
                                pass.anyOrder(),
                                0)));
    }

    /** As {@link #group}, but what no theme takes joins the group whose theme it shares most with, if it shares anything. */
    private static smorgas.core.group.Grouping placed(Keywords keywords) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        GroupSettings standard = Rules.NEWEST.settings().byThemes("en");
        return Grouper.group(
                GroupingInput.of(keywords.folded(), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                new GroupSettings(
                        new Method.ByThemes(
                                standard.themes(Rules.NEWEST.settings().themes())
                                        .passes(),
                                standard.themes(Rules.NEWEST.settings().themes())
                                        .rank()),
                        standard.forms(),
                        GroupSettings.Ungrouped.PLACED,
                        0,
                        standard.stopWords(),
                        standard.stopAt(),
                        standard.ignored(),
                        SameHere.NOTHING,
                        Set.of()));
    }

    /** All keywords, as any engine is asked for them that knows nothing of what they mean. */
    static Question question(Keywords keywords, GroupSettings settings, String language, SimilarityRules similarity) {
        int[] all = IntStream.range(0, keywords.size()).toArray();
        return new Question(
                new ThemeWords(keywords.folded(), settings, language),
                keywords::text,
                all,
                all,
                Map.of(),
                Question.Barred.NOTHING,
                language,
                MeaningVectors.NONE,
                similarity,
                Rules.NEWEST.themes(),
                new EngineCache(MemoryLimit.ENOUGH));
    }

    private static Question question(Keywords keywords) {
        return question(keywords, Rules.NEWEST.settings().byThemes("en"), "en", Rules.NEWEST.similarity());
    }

    /** The group of each keyword, each ungrouped one in one of its own. */
    static int[] ungroupedAlone(int[] group) {
        return IntStream.range(0, group.length)
                .map(keyword -> group[keyword] < 0 ? -2 - keyword : group[keyword])
                .toArray();
    }

    private static int[] kMeans(Question question, int clusters, long seed, int iterations) {
        return new KMeansPeer(clusters, seed, iterations).find(question).group();
    }

    private static int[] found(smorgas.core.group.Grouping grouping, int keywords) {
        return IntStream.range(0, keywords).map(grouping::groupOf).toArray();
    }

    private static void speed() {
        System.out.println("\n| regrouping, warm, the best | keywords | groups | ms |\n|---|---:|---:|---:|");
        double before = 0;
        for (int lines : new int[] {10_000, 100_000, 1_000_000}) {
            // Each list is let go before the next: what is kept for nothing costs the collector time.
            best("made lists", fold(MadeLists.phrases(lines)), lines);
            double taken =
                    best("planted themes", Planted.make(lines / 33, 33, 1).fold(), lines);
            if (lines == 1_000_000) {
                System.out.printf(
                        Locale.ENGLISH, "%nTen times the keywords take %.1f times as long.%n", taken / before);
            }
            before = taken;
        }
    }

    private static double best(String what, Keywords keywords, int lines) {
        // Folded words are the fold's affair.
        keywords.folded();
        // What the list before left must not be collected while this one is measured.
        System.gc();
        int rounds = lines > 500_000 ? 10 : lines > 50_000 ? 15 : 60;
        long best = Long.MAX_VALUE;
        int groups = 0;
        for (int round = 0; round < rounds; round++) {
            long begun = System.nanoTime();
            groups = group(keywords).size();
            best = Math.min(best, System.nanoTime() - begun);
        }
        System.out.printf(Locale.ENGLISH, "| %s | %,d | %,d | %,.0f |%n", what, keywords.size(), groups, best / 1e6);
        return best / 1e6;
    }

    static Keywords fold(List<String> texts) {
        StringBuilder list = new StringBuilder("keyword\n");
        texts.forEach(
                text -> list.append('"').append(text.replace("\"", "\"\"")).append("\"\n"));
        return Folder.fold(List.of(BasketReader.lines(1, "made", list.toString().getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow()));
    }

    private static void planted() throws IOException, InterruptedException {
        System.out.println("\n| 300 planted themes | groups | precision (things) | recall (themes) | F1 (themes) |"
                + "\n|---|---:|---:|---:|---:|");
        for (int each : new int[] {12, 30}) {
            Planted planted = Planted.make(300, each, 1);
            Keywords keywords = planted.fold();
            smorgas.core.group.Grouping ours = group(keywords);
            print(
                    "core, " + each + " keywords each",
                    ours.size(),
                    planted.judge(keywords, found(ours, keywords.size())));
            print(
                    "k-means told 300, " + each + " keywords each",
                    300,
                    planted.judge(keywords, kMeans(question(keywords), 300, 1, ITERATIONS)));
            for (TextClusters.Clustered peer : TextClusters.of(keywords, 300)) {
                print(
                        peer.name() + " told 300, " + peer.millis() + " ms",
                        peer.count(),
                        planted.judge(keywords, peer.groups()));
            }
        }
    }

    private static void print(String what, int groups, Planted.Judged judged) {
        System.out.printf(
                Locale.ENGLISH,
                "| %s | %,d | %.3f | %.3f | %.3f |%n",
                what,
                groups,
                judged.things().precision(),
                judged.themes().recall(),
                judged.themes().f());
    }

    static void labelled(Path folder) throws IOException, InterruptedException {
        System.out.println("\n| labelled short texts | groups | NMI | ARI | B-cubed F1 |\n|---|---:|---:|---:|---:|");
        for (LabelledSets.Labelled set : LabelledSets.all(folder)) {
            Keywords keywords = fold(set.texts());
            int[] labels = labels(set, keywords);
            smorgas.core.group.Grouping ours = group(keywords);
            int[] found = found(ours, keywords.size());
            print(set.name() + ": core, ungrouped as one", ours.size() + 1, List.of(Agreement.of(found, labels)));
            print(
                    set.name() + ": core, ungrouped each alone",
                    ours.size(),
                    List.of(Agreement.of(ungroupedAlone(found), labels)));
            smorgas.core.group.Grouping placed = placed(keywords);
            print(
                    set.name() + ": core, ungrouped placed in the nearest group, others as one",
                    placed.size() + 1,
                    List.of(Agreement.of(found(placed, keywords.size()), labels)));
            Question question = question(keywords);
            besideKMeans(set.name(), question, labels, ours.size() + 1);
            int[] broadest = broadest(ours, keywords);
            int count = (int) Arrays.stream(broadest).distinct().count();
            print(set.name() + ": core, the broadest themes", count, List.of(Agreement.of(broadest, labels)));
            besideKMeans(set.name(), question, labels, count);
            for (TextClusters.Clustered peer : TextClusters.of(keywords, ours.size())) {
                print(
                        set.name() + ": " + peer.name() + ", " + peer.millis() + " ms",
                        peer.count() + 1,
                        List.of(Agreement.of(peer.groups(), labels)));
                smorgas.core.group.Grouping alike = about(keywords, peer.count());
                print(
                        set.name() + ": core told about " + peer.count(),
                        alike.size() + 1,
                        List.of(Agreement.of(found(alike, keywords.size()), labels)));
            }
        }
    }

    private static void besideKMeans(String name, Question question, int[] labels, int groups) {
        int seeds = labels.length < MANY_TEXTS ? SEEDS : SEEDS_OF_MANY_TEXTS;
        List<Agreement> byAgreement = IntStream.rangeClosed(1, seeds)
                .mapToObj(seed -> Agreement.of(kMeans(question, groups, seed, ITERATIONS), labels))
                .sorted(Comparator.comparingDouble(Agreement::adjustedRand))
                .toList();
        print(name + ": k-means, mean of " + seeds + " seeds", groups, byAgreement);
        print(name + ": k-means, the seed of the median ARI", groups, List.of(byAgreement.get(seeds / 2)));
        print(name + ": k-means, the seed of the best ARI", groups, List.of(byAgreement.getLast()));
    }

    /** For each keyword the theme at the top of the tree that its group belongs to; -1 for ungrouped keywords. */
    private static int[] broadest(smorgas.core.group.Grouping grouping, Keywords keywords) {
        ThemeTree tree = new Groups(grouping, keywords, Optional.empty(), Map.of()).tree();
        return IntStream.range(0, keywords.size())
                .map(keyword -> grouping.groupOf(keyword) < 0 ? -1 : tree.at(grouping.groupOf(keyword), 1))
                .toArray();
    }

    private static int[] labels(LabelledSets.Labelled set, Keywords keywords) {
        Map<String, Integer> numbers = new HashMap<>();
        int[] labels = new int[keywords.size()];
        Arrays.fill(labels, -1);
        for (int i = 0; i < set.texts().size(); i++) {
            int label = numbers.computeIfAbsent(set.labels().get(i), fresh -> numbers.size());
            keywords.find(Tidy.of(set.texts().get(i)))
                    .filter(k -> labels[k] < 0)
                    .ifPresent(k -> labels[k] = label);
        }
        return labels;
    }

    private static void print(String what, int groups, List<Agreement> agreements) {
        System.out.printf(
                Locale.ENGLISH,
                "| %s | %,d | %.3f | %.3f | %.3f |%n",
                what,
                groups,
                agreements.stream()
                        .mapToDouble(Agreement::mutualInformation)
                        .average()
                        .orElseThrow(),
                agreements.stream()
                        .mapToDouble(Agreement::adjustedRand)
                        .average()
                        .orElseThrow(),
                agreements.stream().mapToDouble(Agreement::f).average().orElseThrow());
    }

    /** Two iterations of k-means at 100,000 are enough to compare, and for no longer than this. */
    private static final long PATIENCE = 90_000;

    private static void beside100000() throws InterruptedException {
        Planted planted = Planted.make(300, 330, 1);
        Keywords keywords = planted.fold();
        long ours = Long.MAX_VALUE;
        for (int round = 0; round < 8; round++) {
            long begun = System.nanoTime();
            group(keywords);
            ours = Math.min(ours, System.nanoTime() - begun);
        }
        Question question = question(keywords);
        Thread peer = new Thread(() -> kMeans(question, 300, 1, 2));
        peer.setDaemon(true);
        long begun = System.nanoTime();
        peer.start();
        peer.join(PATIENCE);
        long theirs = System.nanoTime() - begun;
        System.out.printf(
                Locale.ENGLISH,
                "%n%,d keywords: core %,.0f ms; k-means told 300, two iterations, %s %,.0f ms: %.0f times%n",
                keywords.size(),
                ours / 1e6,
                peer.isAlive() ? "not done after" : "took",
                theirs / 1e6,
                theirs / (double) ours);
    }
}
