package smorgas.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.fold.FoldKind;

/** Reading and merging in the core beside a database that does the like: both warm, in this process, the best of some. */
final class Merging {

    private static final int ROUNDS = 6;

    private static final Folding TIDY_ONLY =
            Folding.standard("en", Rules.NEWEST).with(EnumSet.noneOf(FoldKind.class));

    private Merging() {}

    static void run(Path folder, int lines) throws IOException, SQLException {
        List<Path> files = MadeLists.write(folder, lines);
        long ours = Long.MAX_VALUE;
        long theirs = Long.MAX_VALUE;
        int keywords = 0;
        long groups = 0;
        try (Connection connection = DriverManager.getConnection("jdbc:duckdb:");
                Statement statement = connection.createStatement()) {
            statement.execute("set threads to 2");
            for (int round = 0; round < ROUNDS; round++) {
                long start = System.nanoTime();
                keywords = merged(files).size();
                ours = Math.min(ours, System.nanoTime() - start);
                start = System.nanoTime();
                groups = grouped(statement, files);
                theirs = Math.min(theirs, System.nanoTime() - start);
            }
        }
        System.out.printf(
                Locale.ENGLISH,
                "%nReading and merging %,d lines of %d CSV files, warm, the best of %d rounds, at most %,d MB of heap:"
                        + " core %,d ms (%,d keywords with words, spellings, all figures); DuckDB with 2 threads, group by"
                        + " lower(trim(keyword)) with max(searches) %,d ms (%,d groups): %.1f times%n",
                lines,
                files.size(),
                ROUNDS,
                Runtime.getRuntime().maxMemory() >> 20,
                ours / 1_000_000,
                keywords,
                theirs / 1_000_000,
                groups,
                ours / (double) theirs);
    }

    private static Keywords merged(List<Path> files) {
        Lines[] baskets = new Lines[files.size()];
        IntStream.range(0, baskets.length).parallel().forEach(i -> {
            try {
                baskets[i] = BasketReader.lines(
                                i, files.get(i).getFileName().toString(), Files.readAllBytes(files.get(i)))
                        .lines()
                        .orElseThrow();
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        });
        // The peer folds nothing but letter case and spaces.
        return Folder.fold(List.of(baskets), TIDY_ONLY);
    }

    private static long grouped(Statement statement, List<Path> files) throws SQLException {
        String names = files.stream().map(file -> "'" + file + "'").collect(Collectors.joining(", "));
        statement.execute(
                "create or replace table merged as select lower(trim(\"Keyword\")) k, max(\"Search volume\") s"
                        + " from read_csv([" + names + "]) group by 1");
        try (ResultSet count = statement.executeQuery("select count(*) from merged")) {
            count.next();
            return count.getLong(1);
        }
    }
}
