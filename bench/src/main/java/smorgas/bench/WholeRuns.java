package smorgas.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** The batch command over made lists, and what general-purpose tools need for a part of its work on the same files. */
final class WholeRuns {

    private final Path folder;
    private final String script;

    WholeRuns(Path folder, String script) {
        this.folder = folder;
        this.script = script;
    }

    void run(int lines) throws IOException, InterruptedException, SQLException {
        List<Path> files = MadeLists.write(folder, lines);
        long bytes = 0;
        for (Path file : files) {
            bytes += Files.size(file);
        }
        System.out.printf("%n%,d lines in %d CSV files, %,d bytes%n%n", lines, files.size(), bytes);
        System.out.println("| run | does | ms |");
        System.out.println("|---|---|---:|");
        row("`LC_ALL=C sort -u`", "distinct rows", sort(files));
        database(files);
        List<String> command = new ArrayList<>(List.of(script, "batch"));
        for (Path file : files) {
            command.addAll(List.of("--in", file.toString()));
        }
        command.addAll(List.of("--out", folder.resolve("out").toString()));
        Processes.Run batch = Processes.run(Map.of("SMORGAS_JAVA_OPTS", "-Xmx4g"), command);
        row("`./smorgas batch`, 4 GiB of heap", "everything, whole process", batch.millis());
        String counts = batch.printed()
                .lines()
                .filter(line ->
                        line.matches("\\s*\"(keywords|groups|ungrouped|gather|fold|sift|group|serve)\" : \\d+,?"))
                .map(line -> line.strip().replaceAll("[\",]", "").replace(" : ", " "))
                .collect(Collectors.joining(", "));
        System.out.println("\nOf that run, stages in ms: " + counts);
    }

    private static void row(String run, String does, long millis) {
        System.out.printf("| %s | %s | %,d |%n", run, does, millis);
    }

    private long sort(List<Path> files) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(
                List.of("sort", "-u", "-o", folder.resolve("sorted").toString()));
        files.forEach(file -> command.add(file.toString()));
        return Processes.run(Map.of("LC_ALL", "C"), command).millis();
    }

    /** Reads all files, folds by lower case, takes the largest searches, writes a CSV; warm, the better of two. */
    private void database(List<Path> files) throws SQLException {
        String names = files.stream().map(file -> "'" + file + "'").collect(Collectors.joining(", "));
        String query = "copy (select lower(trim(\"Keyword\")) k, max(\"Search volume\") s, count(*) n from read_csv(["
                + names + "]) group by 1) to '" + folder.resolve("peer.csv") + "' (header)";
        long best = Long.MAX_VALUE;
        try (Connection connection = DriverManager.getConnection("jdbc:duckdb:");
                Statement statement = connection.createStatement()) {
            for (int round = 0; round < 2; round++) {
                long start = System.nanoTime();
                statement.execute(query);
                best = Math.min(best, (System.nanoTime() - start) / 1_000_000);
            }
        }
        row("DuckDB", "read, group by lower case, largest searches, write; warm", best);
    }
}
