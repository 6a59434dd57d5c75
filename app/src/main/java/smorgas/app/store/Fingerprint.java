package smorgas.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import smorgas.core.recipe.Doer;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import tools.jackson.databind.JsonNode;

/**
 * What this version writes, as one short text: it follows from the first migration, from the register of entry kinds with
 * their fields, and from who may make an act. Until version 1.0 those change in place, so that what another version wrote is
 * told by it and refused.
 */
final class Fingerprint {

    /** That of this version. */
    static final String OURS = made();

    /** How it is called in files. */
    static final String FIELD = "fingerprint";

    private static final String FIRST_TABLES = "/db/migration/V1__first_tables.sql";

    private Fingerprint() {}

    /**
     * Looks whether this version wrote a file.
     *
     * @param what the key of what the file is, as a sentence begins
     * @throws Refusal with a sentence without a full stop
     */
    static void require(String what, JsonNode file) {
        if (!OURS.equals(file.path(FIELD).stringValue(""))) {
            throw new Refusal("store.fingerprint.written-another-version-smorgas", Message.of(what));
        }
    }

    private static String made() {
        Set<String> types = new TreeSet<>();
        EntryKinds.ALL.forEach(kind -> tell(kind.type(), types));
        tell(Doer.class, types);
        String kinds = EntryKinds.ALL.stream()
                .map(kind ->
                        kind.name() + " " + kind.format() + " " + kind.type().getSimpleName())
                .collect(Collectors.joining("\n"));
        return TallyMarks.hash(tables() + "\n" + kinds + "\n" + String.join("\n", types))
                .substring(0, 16);
    }

    /** Statements only, however they are laid out. */
    private static String tables() {
        try (InputStream in = Objects.requireNonNull(Fingerprint.class.getResourceAsStream(FIRST_TABLES))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .replaceAll("--.*", "")
                    .replaceAll("\\s+", " ");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Adds what a type of ours is made of, and the types in it. */
    private static void tell(Type type, Set<String> types) {
        if (type instanceof ParameterizedType of) {
            Arrays.stream(of.getActualTypeArguments()).forEach(argument -> tell(argument, types));
            return;
        }
        Class<?> plain = (Class<?>) type;
        if (!plain.getName().startsWith("smorgas.")) {
            return;
        }
        if (plain.isEnum()) {
            types.add(plain.getName()
                    + Arrays.stream((Enum<?>[]) plain.getEnumConstants())
                            .map(Enum::name)
                            .toList());
        } else if (plain.isRecord()) {
            RecordComponent[] fields = plain.getRecordComponents();
            String told = Arrays.stream(fields)
                    .map(field -> field.getName() + ":" + field.getGenericType().getTypeName())
                    .collect(Collectors.joining(","));
            if (types.add(plain.getName() + "(" + told + ")")) {
                Arrays.stream(fields).forEach(field -> tell(field.getGenericType(), types));
            }
        } else if (plain.getPermittedSubclasses() != null && types.add(plain.getName())) {
            Arrays.stream(plain.getPermittedSubclasses()).forEach(one -> tell(one, types));
        }
    }
}
