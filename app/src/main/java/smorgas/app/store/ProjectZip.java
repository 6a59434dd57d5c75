package smorgas.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Enumeration;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Doer;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Rules;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** What stands in a project file, read part by part; whatever is wrong with it is a {@link Refusal} with a sentence. */
final class ProjectZip {

    /** The newest format that is read. */
    static final int FORMAT = 1;

    static final String TOLD = "project.json";
    private static final String NAMES = "project\\.json|(baskets|exported)/\\d{1,9}";

    private static final int MOST_FILES = 20_000;

    /** What one file may unpack to, which is more than a list that is gathered has, and all together. */
    private static final int LARGEST = 256 << 20;

    static final long LARGEST_IN_ALL = 4L << 30;

    private static final long MOST_ACTS = 1_000_000_000_000_000L;

    private ProjectZip() {}

    /** A list of a file with what is told of it. */
    record Listed(long number, String name, byte[] bytes, JsonNode told) {}

    /** Hands over one list after the other, so that only one need be in memory; what all of them unpack to is bounded. */
    static void eachList(ZipFile zip, JsonNode told, Consumer<Listed> take) throws IOException {
        long all = 0;
        for (JsonNode one : told.path("baskets")) {
            long number = one.path("number").asLong(-1);
            String name = text(one, "name");
            ZipEntry entry = zip.getEntry("baskets/" + number);
            if (entry == null || name.isBlank()) {
                throw new Refusal("store.project-zip.list-missing-file", shown(name));
            }
            byte[] bytes = bytes(zip, entry);
            all += bytes.length;
            if (all > LARGEST_IN_ALL) {
                throw new Refusal("store.project-zip.lists-file-unpack-more");
            }
            take.accept(new Listed(number, name, bytes, one));
        }
    }

    /** The acts of a history with the numbers that its lists have here. */
    static List<History.Step> acts(JsonNode told, Map<Long, Long> numbers) {
        List<History.Step> steps = new ArrayList<>();
        for (JsonNode act : told.path("history")) {
            int number = steps.size() + 1;
            steps.add(new History.Step(number, entry(act, number, numbers), state(act, number), version(act)));
        }
        return steps;
    }

    /** The version of a project that is told; versions count acts, so that more than a thousand million million are none. */
    static long version(JsonNode node) {
        long version = node.path("version").asLong(0);
        if (version < 0 || version > MOST_ACTS) {
            throw new Refusal("store.project-zip.version-project-file-which", version);
        }
        return version;
    }

    /** Who or what made an act. */
    static Doer doer(JsonNode act) {
        String kind = text(act, "by");
        return Arrays.stream(Doer.Kind.values())
                .filter(one -> one.name().equals(kind))
                .findFirst()
                .map(one -> new Doer(one, text(act, "doer")))
                .orElseThrow(() -> new Refusal("store.project-zip.act-project-file-made", shown(kind)));
    }

    /** What the largest part of a file says it unpacks to, in bytes. */
    static long largest(ZipFile zip) {
        return zip.stream().mapToLong(ZipEntry::getSize).max().orElse(0);
    }

    static void requireKnown(JsonNode told) {
        int format = told.path("project").asInt(0);
        if (format > FORMAT) {
            throw new Refusal("store.project-zip.project-file-format-made", format, FORMAT);
        }
        if (format < 1) {
            throw new Refusal("store.project-zip.project-file-project-json");
        }
        Fingerprint.require("store.fingerprint.this-project-file", told);
        rules(told);
    }

    /** The rules that its project follows. */
    static Rules rules(JsonNode told) {
        return Rules.numbered(told.path("rules").asInt(0));
    }

    /** What it says of itself may be a lie; what is read is bounded too. */
    static void check(ZipFile zip) {
        if (zip.size() > MOST_FILES) {
            throw new Refusal("store.project-zip.project-file-holds-more", MOST_FILES);
        }
        for (Enumeration<? extends ZipEntry> all = zip.entries(); all.hasMoreElements(); ) {
            String name = all.nextElement().getName();
            if (!name.matches(NAMES)) {
                throw new Refusal("store.project-zip.project-file-holds", shown(name));
            }
        }
    }

    static String shown(String text) {
        return Bounded.shown(text);
    }

    static String text(JsonNode node, String field) {
        String text = node.path(field).asString("");
        if (text.length() > 2_000) {
            throw new Refusal("store.project-zip.project-file-too-long", field);
        }
        return text;
    }

    static JsonNode told(ZipFile zip) throws IOException {
        ZipEntry entry = zip.getEntry(TOLD);
        if (entry == null) {
            throw new Refusal("store.project-zip.project-file-holds-project");
        }
        try {
            return Json.tree(new String(bytes(zip, entry), StandardCharsets.UTF_8));
        } catch (JacksonException e) {
            throw new Refusal(Message.of("store.project-zip.project-json-file-cannot"), e);
        }
    }

    static byte[] bytes(ZipFile zip, ZipEntry entry) throws IOException {
        try (InputStream in = zip.getInputStream(entry)) {
            // More than it says of itself is not read: so much memory was claimed for it.
            byte[] bytes = in.readNBytes(Math.clamp(entry.getSize(), 0, LARGEST));
            if (in.read() >= 0 && bytes.length < LARGEST) {
                throw new Refusal("store.project-zip.file-larger-than-file", shown(entry.getName()));
            }
            if (entry.getSize() > LARGEST) {
                throw new Refusal("store.project-zip.file-unpacks-more-than", shown(entry.getName()));
            }
            return bytes;
        }
    }

    static OffsetDateTime time(JsonNode node, String field) {
        return Bounded.time(node.path(field).asString(""), Message.of("store.bounded.field-of-file", field));
    }

    static Entry entry(JsonNode act, int number, Map<Long, Long> numbers) {
        String kind = act.path("kind").asString("");
        int format = act.path("format").asInt(0);
        if (!Json.knows(kind, format)) {
            throw new Refusal("store.project-zip.act-project-file-format", number, shown(kind), format);
        }
        Entry entry = Json.entry(kind, format, act.path("body").toString());
        if (!(entry instanceof BasketEntry ofBasket)) {
            return entry;
        }
        return ofBasket.renumbered(old -> {
            Long made = numbers.get(old);
            if (made == null) {
                throw new Refusal("store.project-zip.act-project-file-about", number);
            }
            return made;
        });
    }

    static History.State state(JsonNode act, int number) {
        try {
            return History.State.valueOf(act.path("state").asString(""));
        } catch (IllegalArgumentException e) {
            throw new Refusal(Message.of("store.project-zip.act-project-file-neither", number), e);
        }
    }
}
