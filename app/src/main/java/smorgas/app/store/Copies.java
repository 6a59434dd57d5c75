package smorgas.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sql.DataSource;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * Copies of the whole database in {@code copies} beside it: consistent ones, also while it is worked with. The newest are
 * kept, older ones make room. A copy's name says when it was made and what was in it, so that none is made of what has
 * not changed since.
 */
public final class Copies {

    static final String FOLDER = "copies";

    /** Named in the folder of copies, it asks a running server to make one. */
    static final String WANTED = "wanted";

    private static final DateTimeFormatter WHEN =
            DateTimeFormatter.ofPattern("uuuu-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

    private final Path folder;
    private final DataSource database;
    private final int kept;
    private final Clock clock;

    /** @param kept how many copies there are at most; from 1 */
    public Copies(Path data, DataSource database, int kept, Clock clock) {
        this.folder = data.resolve(FOLDER);
        this.database = database;
        this.kept = Math.max(1, kept);
        this.clock = clock;
    }

    /** Makes a copy if what is in the database is not in the newest copy already; the copy made. */
    public synchronized Optional<Path> makeIfChanged() throws IOException, SQLException {
        OwnerOnly.folder(folder);
        try (Connection connection = database.getConnection()) {
            String digest = digest(connection);
            if (all(folder).stream()
                    .findFirst()
                    .filter(copy -> copy.toString().endsWith("-" + digest + ".zip"))
                    .isPresent()) {
                return Optional.empty();
            }
            Path copy = folder.resolve("copy-" + WHEN.format(clock.instant()) + "-" + digest + ".zip");
            write(connection, copy);
            for (Path old : all(folder).stream().skip(kept).toList()) {
                Files.deleteIfExists(old);
            }
            return Optional.of(copy);
        }
    }

    /** Makes a copy, if one is needed, because another process has asked for it; true if it had. */
    public synchronized boolean makeIfWanted() throws IOException, SQLException {
        Path wanted = folder.resolve(WANTED);
        if (!Files.exists(wanted)) {
            return false;
        }
        makeIfChanged();
        Files.delete(wanted);
        return true;
    }

    /**
     * A copy that was made.
     *
     * @param name of its file
     * @param bytes how large it is
     * @param at when it was made, in universal time, as {@code 2026-05-01 09:30}
     */
    public record Copy(String name, long bytes, String at) {}

    /** The copies there are, the newest first. */
    public List<Copy> made() throws IOException {
        List<Copy> made = new ArrayList<>();
        for (Path copy : all(folder)) {
            String name = copy.getFileName().toString();
            String at = name.replaceAll("^copy-(\\d{4}-\\d\\d-\\d\\d)-(\\d\\d)(\\d\\d).*$", "$1 $2:$3");
            made.add(new Copy(name, Files.size(copy), at));
        }
        return made;
    }

    /** The file of a copy, if there is one of this name. */
    public Optional<Path> find(String name) throws IOException {
        return all(folder).stream()
                .filter(copy -> copy.getFileName().toString().equals(name))
                .findFirst();
    }

    private static String digest(Connection connection) throws SQLException {
        StringBuilder all = new StringBuilder();
        try (Statement statement = connection.createStatement();
                var rows = statement.executeQuery("select id, name, version, binned_at from project order by id")) {
            while (rows.next()) {
                all.append(rows.getLong(1))
                        .append(' ')
                        .append(rows.getLong(3))
                        .append(' ')
                        .append(rows.getString(2));
                all.append(' ').append(rows.getString(4)).append('\n');
            }
        }
        try (Statement statement = connection.createStatement();
                var rows =
                        statement.executeQuery("select (select count(*) from basket), (select count(*) from word_list),"
                                + " (select count(*) from removed_list), (select count(*) from plan_layout),"
                                + " (select count(*) from plan_layout where removed), (select count(*) from offer),"
                                + " (select count(*) from offer where state = 'WAITING'), (select count(*) from asked_again),"
                                + " (select count(*) from exported), (select count(*) from exported where removed)")) {
            rows.next();
            for (int column = 1; column <= rows.getMetaData().getColumnCount(); column++) {
                all.append(rows.getLong(column)).append(' ');
            }
        }
        return TallyMarks.hash(all.toString()).substring(0, 8);
    }

    /** Copies a database as it stands at one moment into a ZIP file; there is either the whole file or none. */
    static void write(Connection connection, Path copy) throws SQLException {
        Path part = copy.resolveSibling(copy.getFileName() + ".part");
        try (Statement statement = connection.createStatement()) {
            OwnerOnly.create(part);
            statement.execute("backup to '" + part.toString().replace("'", "''") + "'");
            OwnerOnly.close(part);
            Files.move(part, copy, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            throw new Refusal(Message.of("store.copies.not-written", copy.toString(), e.getMessage()), e);
        }
    }

    /**
     * Has the server that works on a folder make a copy, and takes it.
     *
     * @throws Refusal if it does not within ten minutes
     */
    public static void ask(Path data, Path to) throws IOException, InterruptedException {
        Path folder = data.resolve(FOLDER);
        OwnerOnly.folder(folder);
        Path wanted = folder.resolve(WANTED);
        OwnerOnly.create(wanted);
        for (int tries = 0; Files.exists(wanted); tries++) {
            if (tries == 3_000) {
                Files.deleteIfExists(wanted);
                throw new Refusal("store.copies.not-made-in-time", data.toString());
            }
            Thread.sleep(200);
        }
        List<Path> copies = all(folder);
        if (copies.isEmpty()) {
            throw new Refusal("store.copies.not-made", data.toString());
        }
        Files.copy(copies.getFirst(), to);
        OwnerOnly.close(to);
    }

    /** Where a database goes that a copy takes the place of. */
    static Path replaced(Path data, Clock clock) throws IOException {
        Path folder = data.resolve(FOLDER);
        OwnerOnly.folder(folder);
        String name = "replaced-" + WHEN.format(clock.instant());
        Path free = folder.resolve(name + ".mv.db");
        for (int n = 2; Files.exists(free); n++) {
            free = folder.resolve(name + "-" + n + ".mv.db");
        }
        return free;
    }

    /** Takes the database out of a copy; a database that is not packed is taken as it is. */
    static void unpack(Path copy, Path to) throws IOException {
        try (InputStream in = Files.newInputStream(copy)) {
            boolean packed = in.read() == 'P' && in.read() == 'K';
            if (!packed) {
                Files.copy(copy, to, StandardCopyOption.REPLACE_EXISTING);
                return;
            }
        }
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(copy))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().endsWith(DataFolder.DATABASE)) {
                    try (OutputStream out = Files.newOutputStream(to)) {
                        zip.transferTo(out);
                    }
                    return;
                }
            }
        } catch (java.util.zip.ZipException | java.io.EOFException e) {
            Files.deleteIfExists(to);
            throw new Refusal(Message.of("store.copies.damaged", copy.toString(), e.getMessage()), e);
        }
        Files.deleteIfExists(to);
        throw new Refusal("store.copies.no-copy", copy.toString());
    }

    /** The rolling copies in a folder of copies, the newest first. */
    static List<Path> all(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.getFileName().toString().matches("copy-.*\\.zip"))
                    // Of two made in one second the names tell nothing.
                    .sorted(java.util.Comparator.comparing(Copies::second)
                            .thenComparing(file -> file.toFile().lastModified())
                            .reversed())
                    .toList();
        }
    }

    private static String second(Path file) {
        String name = file.getFileName().toString();
        return name.substring(0, Math.max(0, name.lastIndexOf('-')));
    }

    /** What one can do with a folder whose database is not what it was. */
    static Message waysBack(Path data) {
        List<Path> copies;
        try {
            copies = all(data.resolve(FOLDER));
        } catch (IOException e) {
            copies = List.of();
        }
        if (copies.isEmpty()) {
            return Message.of(
                    "store.copies.none-to-go-back-to", data.resolve(FOLDER).toString(), data.toString(), Tally.NAME);
        }
        return Message.of(
                "store.copies.go-back-to", copies.size(), copies.getFirst().toString(), data.toString(), Tally.NAME);
    }
}
