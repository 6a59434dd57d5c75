package smorgas.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BiConsumer;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.carrot2.clustering.Cluster;
import org.carrot2.clustering.ClusteringAlgorithm;
import org.carrot2.clustering.Document;
import org.carrot2.clustering.kmeans.BisectingKMeansClusteringAlgorithm;
import org.carrot2.clustering.lingo.LingoClusteringAlgorithm;
import org.carrot2.clustering.stc.STCClusteringAlgorithm;
import org.carrot2.language.LanguageComponents;
import smorgas.core.fold.Keywords;

/** The three clusterers of a library for texts, told how many groups to make. */
final class TextClusters {

    private static final long PATIENCE_SECONDS = 60;

    /** Of more keywords two of the three were not done after a minute, and cannot be stopped. */
    private static final int MOST_OF_SLOW = 1_500;

    /** A clusterer for so many keywords at most, made for a number of groups. */
    private record Peer(String name, int most, IntFunction<ClusteringAlgorithm> of) {}

    /** Which group each keyword is in, -1 for none. */
    record Clustered(String name, int[] groups, int count, long millis) {}

    private record Numbered(int number, String text) implements Document {
        @Override
        public void visitFields(BiConsumer<String, String> fields) {
            fields.accept("text", text);
        }
    }

    private static final List<Peer> PEERS = List.of(
            new Peer("suffix-tree clustering", Integer.MAX_VALUE, groups -> {
                STCClusteringAlgorithm algorithm = new STCClusteringAlgorithm();
                algorithm.maxClusters.set(groups);
                algorithm.maxBaseClusters.set(Math.max(300, groups));
                return algorithm;
            }),
            new Peer("singular-value clustering", MOST_OF_SLOW, groups -> {
                LingoClusteringAlgorithm algorithm = new LingoClusteringAlgorithm();
                algorithm.desiredClusterCount.set(Math.min(100, groups));
                return algorithm;
            }),
            new Peer("bisecting k-means", MOST_OF_SLOW, groups -> {
                BisectingKMeansClusteringAlgorithm algorithm = new BisectingKMeansClusteringAlgorithm();
                algorithm.clusterCount.set(groups);
                return algorithm;
            }));

    private TextClusters() {}

    /** What each makes of the keywords; one that is not done in time, or cannot make so many groups, is told and left out. */
    static List<Clustered> of(Keywords keywords, int groups) throws IOException, InterruptedException {
        LanguageComponents english = LanguageComponents.loader().load().language("English");
        java.util.ArrayList<Clustered> all = new java.util.ArrayList<>();
        for (Peer peer : PEERS) {
            if (keywords.size() > peer.most()) {
                continue;
            }
            FutureTask<Clustered> task = new FutureTask<>(() -> run(peer, keywords, groups, english));
            Thread thread = new Thread(task);
            thread.setDaemon(true);
            thread.start();
            try {
                all.add(task.get(PATIENCE_SECONDS, TimeUnit.SECONDS));
            } catch (TimeoutException e) {
                System.out.println(peer.name() + " on " + keywords.size() + " keywords: not done after "
                        + PATIENCE_SECONDS + " s");
            } catch (java.util.concurrent.ExecutionException e) {
                System.out.println(peer.name() + ": " + e.getCause().getMessage());
            }
        }
        return all;
    }

    private static Clustered run(Peer peer, Keywords keywords, int groups, LanguageComponents english) {
        long begun = System.nanoTime();
        List<Cluster<Numbered>> clusters = peer.of()
                .apply(groups)
                .cluster(IntStream.range(0, keywords.size()).mapToObj(k -> new Numbered(k, keywords.text(k))), english);
        long millis = (System.nanoTime() - begun) / 1_000_000;
        int[] found = new int[keywords.size()];
        Arrays.fill(found, -1);
        // A text may be in several of theirs: the first is the one with the best score.
        for (int cluster = 0; cluster < clusters.size(); cluster++) {
            for (Numbered document : clusters.get(cluster).getDocuments()) {
                found[document.number()] = found[document.number()] < 0 ? cluster : found[document.number()];
            }
        }
        // Those that the first ones have left nothing are none.
        int count = (int)
                Arrays.stream(found).filter(group -> group >= 0).distinct().count();
        return new Clustered(peer.name(), found, count, millis);
    }
}
