package smorgas.bench;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the measurements named as arguments, or all of them. */
public final class Bench {

    private Bench() {}

    /** A measurement. */
    private interface Run {
        void run(Path folder, String script) throws Exception;
    }

    private static final List<String> USUAL = List.of(
            "start",
            "table",
            "batch",
            "merging",
            "folding",
            "flips",
            "sifting",
            "sifting-large",
            "values",
            "plans",
            "dials",
            "grouping",
            "experts",
            "same",
            "doubts",
            "storing",
            "workbooks",
            "stages");

    private static final Map<String, Run> ALL = new TreeMap<>(Map.ofEntries(
            Map.entry("stages", (folder, script) -> stages()),
            Map.entry("batch", (folder, script) -> batch(folder, script)),
            Map.entry("merging", (folder, script) -> Merging.run(folder, 1_000_000)),
            Map.entry("folding", (folder, script) -> FoldRuns.run(folder)),
            Map.entry("flips", (folder, script) -> flips(folder, script)),
            Map.entry("sifting", (folder, script) -> sifting(folder, script)),
            Map.entry("sifting-large", (folder, script) -> Server.sifting(script, folder, 1_000_000, 8)),
            Map.entry("values", (folder, script) -> Values.run(100_000)),
            Map.entry("plans", (folder, script) -> plans()),
            Map.entry("memory", (folder, script) -> memory()),
            Map.entry("again", (folder, script) -> Again.run(180_000)),
            Map.entry("combining", (folder, script) -> Combining.run()),
            Map.entry("logs", (folder, script) -> WaysIn.logs(folder)),
            Map.entry("phrases", (folder, script) -> WaysIn.pages()),
            Map.entry("suggestions", (folder, script) -> Suggestions.run(script, folder)),
            Map.entry("dials", (folder, script) -> dials(folder, script)),
            Map.entry("grouping", (folder, script) -> Grouping.run(folder)),
            Map.entry("experts", (folder, script) -> Experts.run()),
            Map.entry("languages", (folder, script) -> OtherLanguages.run()),
            Map.entry("doubts", (folder, script) -> DoubtfulFirst.run()),
            Map.entry("same", (folder, script) -> SameMeaning.run(false)),
            Map.entry("same-told", (folder, script) -> SameMeaning.run(true)),
            Map.entry("similarity", (folder, script) -> similarity()),
            Map.entry("similarity-long", (folder, script) -> LongLists.run()),
            Map.entry("similarity-loss", (folder, script) -> SimilarityLoss.run()),
            Map.entry("similarity-large", (folder, script) -> SimilaritySpeed.run(1_000_000)),
            Map.entry("labelled", (folder, script) -> Grouping.labelled(folder)),
            Map.entry("storing", (folder, script) -> Storing.run(script, folder, 1_000_000)),
            Map.entry("workbooks", (folder, script) -> Workbooks.run(100_000)),
            Map.entry("table", (folder, script) -> Server.table(script, folder, 100_000)),
            Map.entry("start", (folder, script) -> Server.start(script, folder))));

    public static void main(String[] args) throws Exception {
        List<String> wanted = args.length == 0 ? USUAL : List.of(args);
        String script = System.getProperty("smorgas.script", "./smorgas");
        Path folder = Server.folder();
        System.out.printf(
                "JDK %s, %d processors%n",
                Runtime.version(), Runtime.getRuntime().availableProcessors());
        for (String name : wanted) {
            Run run = ALL.get(name);
            if (run == null) {
                System.err.println("smorgas: there is no measurement \"" + name + "\"; choose of "
                        + String.join(", ", ALL.keySet()));
                System.exit(2);
            } else {
                run.run(folder, script);
            }
        }
    }

    private static void stages() throws Exception {
        new Runner(new OptionsBuilder().include(Stages.class.getName()).build()).run();
    }

    private static void batch(Path folder, String script) throws Exception {
        new WholeRuns(folder, script).run(100_000);
        new WholeRuns(folder, script).run(1_000_000);
    }

    private static void flips(Path folder, String script) throws Exception {
        Server.flips(script, folder, 10_000);
        Server.flips(script, folder, 100_000);
    }

    private static void sifting(Path folder, String script) throws Exception {
        Sifting.run(100_000);
        Sifting.run(1_000_000);
        Server.sifting(script, folder, 10_000, 60);
        Server.sifting(script, folder, 100_000, 40);
    }

    private static void plans() throws Exception {
        Plans.run(10_000);
        Plans.run(100_000);
    }

    private static void memory() throws Exception {
        MemoryUse.run(20_000);
        MemoryUse.run(330_000);
    }

    private static void dials(Path folder, String script) throws Exception {
        Server.dials(script, folder, 10_000, 40);
        Server.dials(script, folder, 100_000, 20);
    }

    private static void similarity() throws Exception {
        SimilaritySpeed.run(10_000, 100_000);
        SimilaritySpeed.runDense(10_000, 100_000);
    }
}
