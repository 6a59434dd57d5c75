package smorgas.bench;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.duckdb.DuckDBAppender;
import org.duckdb.DuckDBConnection;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.sift.Matcher;

/** The same five conditions run by the core and by an embedded analytic SQL engine, on the same keywords in one run. */
final class Sifting {

    private static final int ROUNDS = 30;
    private static final int WARM_UP = 10;

    private Sifting() {}

    static void run(int lines) throws SQLException {
        Keywords keywords = keywords(lines);
        try (Connection db = DriverManager.getConnection("jdbc:duckdb:")) {
            fill(db, keywords);
            long[] core = new long[ROUNDS];
            long[] peer = new long[ROUNDS];
            for (int round = -WARM_UP; round < ROUNDS; round++) {
                int least = 100 + round + WARM_UP;
                long begun = System.nanoTime();
                // A matcher of its own, so that nothing is remembered.
                int found = new Matcher(keywords).match(condition(least)).cardinality();
                long ours = System.nanoTime() - begun;
                begun = System.nanoTime();
                int counted = count(db, least);
                long theirs = System.nanoTime() - begun;
                if (found != counted || found == 0) {
                    throw new IllegalStateException(found + " keywords found here, " + counted + " there");
                }
                if (round >= 0) {
                    core[round] = ours;
                    peer[round] = theirs;
                }
            }
            Arrays.sort(core);
            Arrays.sort(peer);
            System.out.printf(
                    Locale.ENGLISH,
                    "%nFiltering %,d keywords by five conditions, medians of %d: core %.2f ms, DuckDB %.2f ms, %.2f times%n",
                    keywords.size(),
                    ROUNDS,
                    core[ROUNDS / 2] / 1e6,
                    peer[ROUNDS / 2] / 1e6,
                    core[ROUNDS / 2] / (double) peer[ROUNDS / 2]);
        }
    }

    private static Keywords keywords(int lines) {
        StringBuilder list = new StringBuilder("Keyword,Search volume,CPC\n");
        List<String> phrases = MadeLists.phrases(lines);
        for (int i = 0; i < lines; i++) {
            list.append(phrases.get(i))
                    .append(' ')
                    .append(i)
                    .append(',')
                    .append(i % 5_000)
                    .append(",0.5\n");
        }
        return Folder.fold(List.of(BasketReader.lines(1, "made", list.toString().getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow()));
    }

    private static Condition condition(int least) {
        return new Condition.AllOf(List.of(
                new Condition.HasText("ba"),
                Condition.searchesFrom(least),
                new Condition.FigureWithin(Figure.CPC, Bounds.upTo(1_000_000)),
                new Condition.Count(Computed.WORDS, new Bounds(2L, 4L)),
                new Condition.NoneOf(List.of(new Condition.HasText("zz")))));
    }

    /** The keywords with searches and CPC, as a table of the peer. */
    static void fill(Connection db, Keywords keywords) throws SQLException {
        try (Statement statement = db.createStatement()) {
            statement.execute("create table keyword (text varchar, searches bigint, cpc bigint)");
        }
        try (DuckDBAppender rows = db.unwrap(DuckDBConnection.class).createAppender("main", "keyword")) {
            for (int k = 0; k < keywords.size(); k++) {
                rows.beginRow();
                rows.append(keywords.text(k));
                rows.append(keywords.figure(Figure.SEARCHES).orElseThrow().low(k));
                rows.append(keywords.figure(Figure.CPC).orElseThrow().low(k));
                rows.endRow();
            }
        }
    }

    private static int count(Connection db, int least) throws SQLException {
        try (PreparedStatement select = db.prepareStatement(
                "select count(*) from keyword where contains(text, 'ba') and searches >= ? and cpc <= 1000000"
                        + " and length(text) - length(replace(text, ' ', '')) + 1 between 2 and 4"
                        + " and not contains(text, 'zz')")) {
            select.setInt(1, least);
            try (ResultSet count = select.executeQuery()) {
                count.next();
                return count.getInt(1);
            }
        }
    }
}
