package smorgas.app.store;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import smorgas.core.recipe.Entry;
import smorgas.core.text.Message;

/** What a database holds, in marks that can be compared: of projects, baskets and the newest word lists. Grows with acts. */
final class TallyMarks {

    private final Map<Long, OfProject> projects = new TreeMap<>();
    private final Map<Long, OfBasket> baskets = new TreeMap<>();
    private final Map<String, OfList> lists = new TreeMap<>();
    private long bytes;

    /** One line of the file. */
    sealed interface Mark {
        String line();
    }

    /**
     * A project.
     *
     * @param entries how many its history has
     * @param sum over kind, format and body of all of them, in order; of none it is empty
     */
    record OfProject(long project, long version, long entries, String sum) implements Mark {
        @Override
        public String line() {
            return String.join(
                    " ",
                    "project",
                    String.valueOf(project),
                    String.valueOf(version),
                    String.valueOf(entries),
                    sum.isEmpty() ? "-" : sum);
        }

        /** With one more entry at its end. */
        OfProject and(String kind, int format, String body) {
            return new OfProject(
                    project,
                    version,
                    entries + 1,
                    hash(sum + "\n" + (entries + 1) + " " + kind + " " + format + "\n" + body));
        }

        OfProject and(Entry entry) {
            return and(Json.kind(entry), Json.format(entry), Json.body(entry));
        }

        OfProject at(long other) {
            return new OfProject(project, other, entries, sum);
        }
    }

    /** A basket, which never changes; {@code fingerprint} is empty for one from before there were any. */
    record OfBasket(long basket, long project, long bytes, String fingerprint) implements Mark {
        @Override
        public String line() {
            return String.join(
                    " ",
                    "basket",
                    String.valueOf(basket),
                    String.valueOf(project),
                    String.valueOf(bytes),
                    fingerprint.isEmpty() ? "-" : fingerprint);
        }
    }

    /** The newest version of a word list of the pantry. */
    record OfList(String name, long version, String sum) implements Mark {
        static OfList of(String name, long version, String words) {
            return new OfList(name, version, hash(words));
        }

        @Override
        public String line() {
            return String.join(
                    " ", "list", String.valueOf(version), sum, URLEncoder.encode(name, StandardCharsets.UTF_8));
        }
    }

    /** How large the database was when it was closed in order; it is at least so large when it is opened next. */
    record Closed(long bytes) implements Mark {
        @Override
        public String line() {
            return "closed " + bytes;
        }
    }

    static TallyMarks parse(List<String> lines) {
        TallyMarks marks = new TallyMarks();
        for (String line : lines) {
            String[] parts = line.split(" ");
            Mark mark =
                    switch (parts[0]) {
                        case "project" ->
                            new OfProject(
                                    Long.parseLong(parts[1]),
                                    Long.parseLong(parts[2]),
                                    Long.parseLong(parts[3]),
                                    dashed(parts[4]));
                        case "basket" ->
                            new OfBasket(
                                    Long.parseLong(parts[1]),
                                    Long.parseLong(parts[2]),
                                    Long.parseLong(parts[3]),
                                    dashed(parts[4]));
                        case "closed" -> new Closed(Long.parseLong(parts[1]));
                        case "list" ->
                            new OfList(
                                    URLDecoder.decode(parts[3], StandardCharsets.UTF_8),
                                    Long.parseLong(parts[1]),
                                    parts[2]);
                        default -> throw new IllegalArgumentException(line);
                    };
            marks.put(mark);
        }
        return marks;
    }

    private static String dashed(String text) {
        return text.equals("-") ? "" : text;
    }

    List<String> lines() {
        List<String> lines = new ArrayList<>();
        projects.values().forEach(mark -> lines.add(mark.line()));
        baskets.values().forEach(mark -> lines.add(mark.line()));
        lists.values().forEach(mark -> lines.add(mark.line()));
        return lines;
    }

    void put(Mark mark) {
        switch (mark) {
            case OfProject project -> projects.put(project.project(), project);
            case OfBasket basket -> baskets.put(basket.basket(), basket);
            case OfList list -> lists.put(list.name(), list);
            case Closed closed -> bytes = closed.bytes();
        }
    }

    void remove(List<Long> gone) {
        projects.keySet().removeAll(gone);
        baskets.values().removeIf(basket -> gone.contains(basket.project()));
    }

    /** Bytes that the database has at least; 0 if it was not closed in order. */
    long bytes() {
        return bytes;
    }

    /** The mark of a project; of one that is not known, that of a project without an act. */
    OfProject project(long id) {
        return projects.getOrDefault(id, new OfProject(id, 0, 0, ""));
    }

    Collection<OfProject> projects() {
        return projects.values();
    }

    /** What must be there by these marks and is not there by the others, in words; empty if all is. */
    List<Message> missingIn(TallyMarks there) {
        List<Message> missing = new ArrayList<>();
        for (OfProject project : projects.values()) {
            OfProject found = there.projects.get(project.project());
            if (found == null) {
                missing.add(Message.of("store.tally-marks.project", project.project()));
            } else if (found.version() < project.version() || found.entries() < project.entries()) {
                missing.add(Message.of("store.tally-marks.last-acts", project.project()));
            }
        }
        for (OfBasket basket : baskets.values()) {
            if (!basket.equals(there.baskets.get(basket.basket()))) {
                missing.add(Message.of("store.tally-marks.basket", basket.basket()));
            }
        }
        for (OfList list : lists.values()) {
            OfList found = there.lists.get(list.name());
            if (found == null
                    || found.version() < list.version()
                    || found.version() == list.version() && !found.equals(list)) {
                missing.add(Message.of("store.tally-marks.word-list", list.name()));
            }
        }
        return missing;
    }

    /** One short text for all of it: equal for equal marks. */
    String digest() {
        return hash(String.join("\n", lines())).substring(0, 8);
    }

    static String hash(String text) {
        try {
            byte[] sum = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(sum, 0, 12);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every JDK has SHA-256", e);
        }
    }
}
