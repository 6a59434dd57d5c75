package smorgas.bench;

import java.nio.file.Path;
import java.util.List;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the measurements named as arguments, or all of them. */
public final class Bench {

    private Bench() {}

    public static void main(String[] args) throws Exception {
        List<String> wanted = args.length == 0
                ? List.of(
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
                        "stages")
                : List.of(args);
        String script = System.getProperty("smorgas.script", "./smorgas");
        Path folder = Served.folder();
        System.out.printf(
                "JDK %s, %d processors%n",
                Runtime.version(), Runtime.getRuntime().availableProcessors());
        for (String name : wanted) {
            switch (name) {
                case "stages" ->
                    new Runner(new OptionsBuilder()
                                    .include(Stages.class.getName())
                                    .build())
                            .run();
                case "batch" -> {
                    new WholeRuns(folder, script).run(100_000);
                    new WholeRuns(folder, script).run(1_000_000);
                }
                case "merging" -> Merging.run(folder, 1_000_000);
                case "folding" -> FoldRuns.run(folder);
                case "flips" -> {
                    Served.flips(script, folder, 10_000);
                    Served.flips(script, folder, 100_000);
                }
                case "sifting" -> {
                    Sifting.run(100_000);
                    Sifting.run(1_000_000);
                    Served.sifting(script, folder, 10_000, 60);
                    Served.sifting(script, folder, 100_000, 40);
                }
                case "values" -> Values.run(100_000);
                case "plans" -> {
                    Plans.run(10_000);
                    Plans.run(100_000);
                }
                case "memory" -> {
                    MemoryUse.run(20_000);
                    MemoryUse.run(330_000);
                }
                case "again" -> Again.run(180_000);
                case "pairing" -> Pairings.run();
                case "logs" -> WaysIn.logs(folder);
                case "gleaning" -> WaysIn.pages();
                case "foraging" -> Foraging.run(script, folder);
                case "sifting-large" -> Served.sifting(script, folder, 1_000_000, 8);
                case "dials" -> {
                    Served.dials(script, folder, 10_000, 40);
                    Served.dials(script, folder, 100_000, 20);
                }
                case "grouping" -> Grouping.run(folder);
                case "experts" -> Experts.run();
                case "languages" -> OtherLanguages.run();
                case "doubts" -> DoubtfulFirst.run();
                case "same" -> SameMeaning.run(false);
                case "same-told" -> SameMeaning.run(true);
                case "likeness" -> {
                    LikenessSpeed.run(10_000, 100_000);
                    LikenessSpeed.runDense(10_000, 100_000);
                }
                case "likeness-long" -> LongLists.run();
                case "likeness-loss" -> LikenessLoss.run();
                case "likeness-large" -> LikenessSpeed.run(1_000_000);
                case "labelled" -> Grouping.labelled(folder);
                case "storing" -> Storing.run(script, folder, 1_000_000);
                case "workbooks" -> Workbooks.run(100_000);
                case "table" -> Served.table(script, folder, 100_000);
                case "start" -> Served.start(script, folder);
                default -> {
                    System.err.println("smorgas: there is no measurement \"" + name
                            + "\"; choose of start, table, batch, merging, folding, flips, sifting, "
                            + "sifting-large, values, plans, pairing, logs, gleaning, "
                            + "foraging, dials, grouping, experts, likeness, likeness-long, likeness-loss, likeness-large, "
                            + "labelled, storing, workbooks, stages");
                    System.exit(2);
                }
            }
        }
    }
}
