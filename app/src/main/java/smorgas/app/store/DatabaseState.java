package smorgas.app.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * What a look into a database finds.
 *
 * @param marks what is there
 * @param missing what must be there and is not, in words
 */
record DatabaseState(TallyMarks marks, List<Message> missing) {

    /**
     * Reads without writing.
     *
     * @param must what must be there
     * @throws Refusal if a newer version has made it
     */
    static DatabaseState at(Connection connection, TallyMarks must) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            if (!has(statement, "flyway_schema_history", "version")) {
                return new DatabaseState(new TallyMarks(), must.missingIn(new TallyMarks()));
            }
            TallyMarks found = new TallyMarks();
            List<Message> missing = new ArrayList<>();
            histories(statement, found, must, missing);
            baskets(statement, found);
            lists(statement, found);
            missing.addAll(must.missingIn(found));
            return new DatabaseState(found, missing);
        }
    }

    /** Why it is of another version, if its tables are others than this version makes, or newer than it knows. */
    static Optional<Message> ofAnother(Connection connection, int newest) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            if (!has(statement, "flyway_schema_history", "version")) {
                return Optional.empty();
            }
            try (ResultSet found = statement.executeQuery(
                    "select coalesce(max(cast(\"version\" as integer)), 0) from \"flyway_schema_history\""
                            + " where \"version\" is not null")) {
                found.next();
                if (found.getInt(1) > newest) {
                    return Optional.of(Message.of("store.database-state.newer-tables", found.getInt(1), newest));
                }
                if (found.getInt(1) > 0 && !made(statement).equals(Fingerprint.OURS)) {
                    return Optional.of(Message.of("store.database-state.before-first"));
                }
                return Optional.empty();
            }
        }
    }

    /** The fingerprint of what made it; empty if it has none. */
    private static String made(Statement statement) throws SQLException {
        if (!has(statement, "MADE_BY", "FINGERPRINT")) {
            return "";
        }
        try (ResultSet found = statement.executeQuery("select fingerprint from made_by")) {
            return found.next() ? found.getString(1) : "";
        }
    }

    private static void histories(Statement statement, TallyMarks found, TallyMarks must, List<Message> missing)
            throws SQLException {
        try (ResultSet rows = statement.executeQuery("select id, version from project order by id")) {
            while (rows.next()) {
                found.put(new TallyMarks.OfProject(rows.getLong(1), rows.getLong(2), 0, ""));
            }
        }
        try (ResultSet rows = statement.executeQuery(
                "select project_id, seq, kind, format, body from entry order by project_id, seq")) {
            while (rows.next()) {
                TallyMarks.OfProject before = found.project(rows.getLong(1));
                String kind = rows.getString(3);
                int format = rows.getInt(4);
                if (!Json.knows(kind, format)) {
                    throw new Refusal(
                            "store.data-folder.of-another",
                            Message.of("store.database-state.unknown-act", rows.getLong(1), kind, format));
                }
                TallyMarks.OfProject after = before.and(kind, format, rows.getString(5));
                found.put(after);
                TallyMarks.OfProject wanted = must.project(after.project());
                if (wanted.entries() == after.entries() && !wanted.sum().equals(after.sum())) {
                    missing.add(Message.of("store.database-state.history", after.project()));
                }
            }
        }
    }

    private static void baskets(Statement statement, TallyMarks found) throws SQLException {
        try (ResultSet rows = statement.executeQuery(
                "select id, project_id, size_bytes, fingerprint from basket where reading is not null")) {
            while (rows.next()) {
                found.put(
                        new TallyMarks.OfBasket(rows.getLong(1), rows.getLong(2), rows.getLong(3), rows.getString(4)));
            }
        }
    }

    private static void lists(Statement statement, TallyMarks found) throws SQLException {
        try (ResultSet rows = statement.executeQuery("select name, version, words from word_list order by version")) {
            while (rows.next()) {
                found.put(TallyMarks.OfList.of(rows.getString(1), rows.getLong(2), rows.getString(3)));
            }
        }
    }

    private static boolean has(Statement statement, String table, String column) throws SQLException {
        try (ResultSet found = statement.executeQuery("select 1 from information_schema.columns where table_name = '"
                + table + "' and column_name = '" + column + "'")) {
            return found.next();
        }
    }
}
