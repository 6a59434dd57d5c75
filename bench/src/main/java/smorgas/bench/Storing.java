package smorgas.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.RowSink;

/**
 * Gathering lists in the running application beside the barest way to the same rows on disk: the core's reader and arrays
 * in chunks through UNNEST, which was the fastest of those tried, into the same database with the same durability.
 */
final class Storing {

    private static final int CHUNK = 10_000;

    private Storing() {}

    static void run(String script, Path folder, int lines) throws IOException, InterruptedException, SQLException {
        List<Path> files = MadeLists.write(folder, lines);
        long ours = Long.MAX_VALUE;
        long theirs = Long.MAX_VALUE;
        for (int round = 0; round < 2; round++) {
            theirs = Math.min(theirs, bare(folder.resolve("bare-" + round), files));
        }
        try (Server server = new Server(script, folder.resolve("storing"))) {
            for (int round = 0; round < 2; round++) {
                ours = Math.min(ours, server.gather(files));
            }
        }
        System.out.printf(
                Locale.ENGLISH,
                "%n%,d lines of %d CSV files stored durably, the better of 2: the application, from the request until all"
                        + " are gathered (upload, bytes kept, lines stored, keywords folded) %,d ms; the core's reader and"
                        + " UNNEST inserts alone %,d ms: %.2f times%n",
                lines,
                files.size(),
                ours,
                theirs,
                ours / (double) theirs);
    }

    private static long bare(Path database, List<Path> files) throws IOException, SQLException {
        long begun = System.nanoTime();
        try (Connection connection = DriverManager.getConnection(
                        "jdbc:h2:file:" + database + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE");
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "create table line (basket_id bigint not null, row_no integer not null, line_no integer not"
                            + " null, cells varchar not null, primary key (basket_id, row_no))");
            connection.setAutoCommit(false);
            for (int file = 0; file < files.size(); file++) {
                try (Loader loader = new Loader(connection, file)) {
                    BasketReader.read("list", Files.readAllBytes(files.get(file)), loader);
                }
                connection.commit();
            }
        }
        return (System.nanoTime() - begun) / 1_000_000;
    }

    private static final class Loader implements RowSink, AutoCloseable {
        private final PreparedStatement insert;
        private final List<Integer> numbers = new ArrayList<>();
        private final List<Integer> lines = new ArrayList<>();
        private final List<String> cells = new ArrayList<>();
        private int stored;

        Loader(Connection connection, int basket) throws SQLException {
            insert = connection.prepareStatement(
                    "insert into line select " + basket + ", r, l, c from unnest(?, ?, ?) as t(r, l, c)");
        }

        @Override
        public void row(int line, String[] row) {
            numbers.add(stored++);
            lines.add(line);
            cells.add(String.join("\u001F", row));
            if (cells.size() == CHUNK) {
                flush();
            }
        }

        private void flush() {
            try {
                insert.setObject(1, numbers.toArray(Integer[]::new));
                insert.setObject(2, lines.toArray(Integer[]::new));
                insert.setObject(3, cells.toArray(String[]::new));
                insert.executeUpdate();
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
            numbers.clear();
            lines.clear();
            cells.clear();
        }

        @Override
        public void close() throws SQLException {
            flush();
            insert.close();
        }
    }
}
