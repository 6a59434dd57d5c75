package smorgas.app.store;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.gather.Reading;
import smorgas.core.group.engine.Engines;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.RecipeTaken;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.ConditionKind;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.serve.PlanLayout;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/**
 * The JSON of entries, readings and recipes; {@link EntryKinds} tells what each kind of entry is called.
 */
public final class Json {

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
    private interface ConditionNames {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "does")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Cleaning.Replace.class, name = "replace"),
        @JsonSubTypes.Type(value = Cleaning.Affix.class, name = "affix"),
        @JsonSubTypes.Type(value = Cleaning.KeepScripts.class, name = "keep-scripts"),
        @JsonSubTypes.Type(value = Cleaning.StripYears.class, name = "strip-years"),
        @JsonSubTypes.Type(value = Cleaning.StripPhrases.class, name = "strip-phrases")
    })
    private interface CleaningNames {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Rule.Gives.class, name = "give"),
        @JsonSubTypes.Type(value = Rule.Tags.class, name = "tag")
    })
    private interface DoesNames {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "by")
    private interface MethodNames {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "by")
    private interface AskedNames {}

    @JsonIgnoreProperties("refused")
    private interface ReadingFields {}

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .addMixIn(Condition.class, ConditionNames.class)
            .registerSubtypes(ConditionKind.ALL.stream()
                    .map(kind -> new NamedType(kind.type(), kind.name()))
                    .toArray(NamedType[]::new))
            .addMixIn(Rule.Does.class, DoesNames.class)
            .addMixIn(Method.class, MethodNames.class)
            .registerSubtypes(Engines.kinds().stream()
                    .map(kind -> new NamedType(kind.method(), kind.name()))
                    .toArray(NamedType[]::new))
            .addMixIn(Cleaning.class, CleaningNames.class)
            .addMixIn(Asked.class, AskedNames.class)
            .registerSubtypes(Asked.KINDS.entrySet().stream()
                    .map(kind -> new NamedType(kind.getValue(), kind.getKey()))
                    .toArray(NamedType[]::new))
            .addMixIn(Reading.class, ReadingFields.class)
            .addModule(MessageJson.module())
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private Json() {}

    /** The persisted name of an entry's kind. */
    public static String kind(Entry entry) {
        return EntryKinds.of(entry).name();
    }

    /** The format in which an entry of its kind is written today. */
    static int format(Entry entry) {
        return EntryKinds.of(entry).format();
    }

    /** Whether this version can read entries of a kind and format. */
    static boolean knows(String kind, int format) {
        return EntryKinds.find(kind, format) != null;
    }

    static String body(Entry entry) {
        return MAPPER.writeValueAsString(
                entry instanceof RecipeTaken taken
                        ? Map.of(
                                "name",
                                taken.name(),
                                "entries",
                                taken.entries().stream().map(Json::exported).toList())
                        : entry);
    }

    /**
     * Reads an entry back.
     *
     * @throws Refusal with a sentence for people, if the kind, the format or the body is not known
     */
    static Entry entry(String kind, int format, String body) {
        EntryKinds.Kind known = EntryKinds.find(kind, format);
        if (known == null) {
            throw new Refusal("store.json.entry-format-known-version", kind, format);
        }
        try {
            if (kind.equals(EntryKinds.RECIPE_TAKEN)) {
                JsonNode taken = MAPPER.readTree(body);
                return new RecipeTaken(taken.path("name").stringValue(""), exportedEntries(taken.path("entries")));
            }
            Entry read = MAPPER.treeToValue(MAPPER.readTree(body), known.type());
            Complete.require(read, "body");
            return read;
        } catch (tools.jackson.core.JacksonException | Refusal e) {
            throw new Refusal(Message.of("store.json.entry-cannot-read", kind, told(e)), e);
        }
    }

    /** What is wrong, without the names of our classes. */
    private static Message told(RuntimeException fault) {
        if (fault.getCause() instanceof NullPointerException) {
            return Message.of("store.json.value-missing");
        }
        if (fault.getCause() instanceof Refusal refused) {
            return refused.message();
        }
        String message = fault instanceof tools.jackson.core.JacksonException json
                ? json.getOriginalMessage()
                : String.valueOf(fault.getMessage());
        return Message.verbatim(
                message.replaceAll(" ?\\(class [^)]*\\)", "").replaceAll("`?smorgas\\.[\\w.$]*[.$](\\w+)`?", "$1"));
    }

    /** What a tool of ours was asked for, as a text that {@link #asked(String)} reads back. */
    static String asked(Asked asked) {
        return MAPPER.writerFor(Asked.class).writeValueAsString(asked);
    }

    static Asked asked(String json) {
        return MAPPER.readValue(json, Asked.class);
    }

    /** A condition as one line of text, to stand in an address. */
    public static String text(Condition condition) {
        return MAPPER.writerFor(Condition.class).writeValueAsString(condition);
    }

    /**
     * Reads a condition back.
     *
     * @throws Refusal if the text is none
     */
    public static Condition condition(String text) {
        try {
            Condition read = MAPPER.readValue(text, Condition.class);
            Complete.require(read, "condition");
            return read;
        } catch (tools.jackson.core.JacksonException e) {
            throw new Refusal(Message.of("store.json.this-is-no-condition", e.getOriginalMessage()), e);
        }
    }

    static String reading(Reading reading) {
        return MAPPER.writeValueAsString(reading);
    }

    /** A reading as it was noted; empty if that is damaged. */
    static Optional<Reading> reading(@Nullable String json) {
        try {
            Reading read = MAPPER.readValue(json == null ? "null" : json, Reading.class);
            Complete.require(read, "reading");
            return Optional.of(read);
        } catch (tools.jackson.core.JacksonException | IllegalArgumentException | NullPointerException e) {
            return Optional.empty();
        }
    }

    static String readAs(ReadAs readAs) {
        return MAPPER.writeValueAsString(readAs);
    }

    static ReadAs readAs(@Nullable String json) {
        return json == null ? ReadAs.FOUND : MAPPER.readValue(json, ReadAs.class);
    }

    /**
     * Reads a layout of the ad plan back.
     *
     * @throws Refusal with a sentence, if the text is none
     */
    public static PlanLayout layout(String json) {
        try {
            PlanLayout read = MAPPER.readValue(json, PlanLayout.class);
            Complete.require(read, "layout");
            return read;
        } catch (tools.jackson.core.JacksonException e) {
            throw new Refusal(Message.of("store.json.this-is-no-layout", told(e)), e);
        }
    }

    /** Any value of plain records, maps and lists, indented. */
    public static String pretty(Object value) {
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(value);
    }

    /** Parses a JSON text; throws an unchecked exception of the JSON library if it is none. */
    static JsonNode tree(String json) {
        return MAPPER.readTree(json);
    }

    /** An entry as the exported recipe writes it. */
    static Map<String, Object> exported(Entry entry) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("kind", kind(entry));
        fields.put("format", format(entry));
        fields.put("body", MAPPER.readTree(body(entry)));
        return fields;
    }

    /**
     * Reads back what {@link #exported} made of some entries.
     *
     * @throws Refusal with a sentence that tells which of them is wrong
     */
    static List<Entry> exportedEntries(JsonNode nodes) {
        List<Entry> entries = new ArrayList<>();
        for (JsonNode node : nodes) {
            try {
                String kind = node.path("kind").stringValue("");
                if (!EntryKinds.ofRecipe().contains(kind)) {
                    throw new Refusal("store.json.kind-none", kind, List.copyOf(EntryKinds.ofRecipe()));
                }
                entries.add(entry(
                        kind, node.path("format").intValue(0), node.path("body").toString()));
            } catch (Refusal e) {
                throw new Refusal(Message.of("store.json.entry", entries.size() + 1, e.message()), e);
            }
        }
        return entries;
    }
}
