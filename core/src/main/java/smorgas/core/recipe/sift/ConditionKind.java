package smorgas.core.recipe.sift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * A kind of condition: what it is called where conditions are written down, and the forms in which it is asked for by
 * picking. Pages, files and the tests of the documentation know from here what can be asked.
 *
 * @param name where it is written down
 * @param forms in the order in which they are offered; none for a condition that no single row can ask
 * @param filled the form and its fields that say what a condition of this type says
 */
public record ConditionKind<C extends Condition>(
        String name, Class<C> type, List<Form> forms, Function<C, Optional<Filled>> filled) {

    /** Where forms are offered together. */
    public enum Heading {
        WORDS("condition-heading.words"),
        TEXT("condition-heading.text"),
        COUNTS("condition-heading.counts"),
        FIGURES("condition-heading.figures"),
        PLACES("condition-heading.places");

        private final Message label;

        Heading(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /** What the fields of a form ask for. */
    public enum Asks {
        /** A text, which counts when it is tidy. */
        TEXT,
        /** A text as it stands. */
        PATTERN,
        /** One or two numbers. */
        NUMBERS,
        NOTHING,
        LIST,
        BASKET,
        TAG,
        SCRIPT,
        STATUS,
        INTENT,
        PRIORITY
    }

    /**
     * One way to ask.
     *
     * @param key tells it apart in forms
     * @param label to follow "the keyword"
     * @param figure the figure that is asked for, as which its bounds are read; null for anything else
     * @param made the condition, from the text and the bounds that were filled in
     */
    public record Form(
            String key,
            Heading heading,
            Message label,
            Asks asks,
            @Nullable Figure figure,
            BiFunction<String, Bounds, Condition> made) {

        /**
         * The condition that filled fields ask for; empty if nothing is filled in.
         *
         * @throws Refusal with a sentence without a full stop
         */
        public Optional<Condition> condition(String text, Bounds bounds) {
            boolean filled =
                    switch (asks) {
                        case NOTHING -> true;
                        case NUMBERS -> !bounds.open();
                        case TEXT -> !Tidy.of(text).isEmpty();
                        default -> !text.isEmpty();
                    };
            return filled ? Optional.of(made.apply(text, bounds)) : Optional.empty();
        }
    }

    /** A form as it is filled in; texts or bounds are empty where it asks for none. */
    public record Filled(String key, String text, Bounds bounds) {}

    /** Every kind. */
    public static final List<ConditionKind<?>> ALL = List.of(
            kind(
                    "has-word",
                    Condition.HasWord.class,
                    has -> text("word", has.word()),
                    words("word", Message.of("sift.condition-kind.word-phrase"), Condition.HasWord::new)),
            kind(
                    "has-any-word",
                    Condition.HasAnyWord.class,
                    any -> text("any-word", String.join(", ", any.words())),
                    asking(
                            "any-word",
                            Heading.WORDS,
                            Message.of("sift.condition-kind.any-words"),
                            Asks.TEXT,
                            text -> new Condition.HasAnyWord(phrases(text)))),
            kind(
                    "worded",
                    Condition.Worded.class,
                    worded -> text(key(worded.placing()), worded.words()),
                    placed(Placing.ANY_ORDER, Message.of("sift.condition-kind.words-any-order")),
                    placed(Placing.IN_ORDER, Message.of("sift.condition-kind.words-order")),
                    placed(Placing.EXACTLY, Message.of("sift.condition-kind.is-exactly")),
                    placed(Placing.STARTS, Message.of("sift.condition-kind.starts-with")),
                    placed(Placing.ENDS, Message.of("sift.condition-kind.ends-with"))),
            kind(
                    "on-list",
                    Condition.OnList.class,
                    on -> text("list", on.list()),
                    asking(
                            "list",
                            Heading.WORDS,
                            Message.of("sift.condition-kind.word-list"),
                            Asks.LIST,
                            Condition.OnList::new)),
            kind(
                    "has-text",
                    Condition.HasText.class,
                    has -> text("text", has.text()),
                    asking(
                            "text",
                            Heading.TEXT,
                            Message.of("sift.condition-kind.text-also-inside-word"),
                            Asks.TEXT,
                            text -> new Condition.HasText(Tidy.of(text)))),
            kind(
                    "matches",
                    Condition.Matches.class,
                    matches -> text("pattern", matches.pattern()),
                    asking(
                            "pattern",
                            Heading.TEXT,
                            Message.of("sift.condition-kind.matches-pattern"),
                            Asks.PATTERN,
                            Condition.Matches::new)),
            kind(
                    "has-digit",
                    Condition.HasDigit.class,
                    has -> text("digit", ""),
                    asking(
                            "digit",
                            Heading.TEXT,
                            Message.of("sift.condition-kind.has-a-number-in"),
                            Asks.NOTHING,
                            text -> new Condition.HasDigit())),
            kind(
                    "has-script",
                    Condition.HasScript.class,
                    has -> text("script", has.script().name()),
                    asking(
                            "script",
                            Heading.TEXT,
                            Message.of("sift.condition-kind.letters-script"),
                            Asks.SCRIPT,
                            name -> new Condition.HasScript(named(Cleaning.Script.values(), name)))),
            kind(
                    "count",
                    Condition.Count.class,
                    count -> Optional.of(new Filled(count.what().key(), "", count.bounds())),
                    counts()),
            kind(
                    "figure-within",
                    Condition.FigureWithin.class,
                    within -> Optional.of(new Filled("figure:" + within.figure().name(), "", within.bounds())),
                    figures(
                            "figure:",
                            Message.NONE,
                            Asks.NUMBERS,
                            figure -> (text, bounds) -> new Condition.FigureWithin(figure, bounds))),
            kind(
                    "figure-unknown",
                    Condition.FigureUnknown.class,
                    unknown -> text("unknown:" + unknown.figure().name(), ""),
                    figures(
                            "unknown:",
                            Message.of("sift.condition-kind.is-not-told"),
                            Asks.NOTHING,
                            figure -> (text, bounds) -> new Condition.FigureUnknown(figure))),
            kind(
                    "in-basket",
                    Condition.InBasket.class,
                    in -> text("basket", in.name()),
                    asking(
                            "basket",
                            Heading.PLACES,
                            Message.of("sift.condition-kind.is-in-the-basket"),
                            Asks.BASKET,
                            Condition.InBasket::new)),
            kind("in-exactly", Condition.InExactly.class, in -> Optional.empty()),
            kind(
                    "has-tag",
                    Condition.HasTag.class,
                    has -> text("tag", has.tag()),
                    asking(
                            "tag",
                            Heading.PLACES,
                            Message.of("sift.condition-kind.has-the-tag"),
                            Asks.TAG,
                            Condition.HasTag::new)),
            kind(
                    "stands",
                    Condition.Stands.class,
                    stands -> text("status", stands.status().name()),
                    asking(
                            "status",
                            Heading.PLACES,
                            Message.of("sift.condition-kind.stands-views-only"),
                            Asks.STATUS,
                            name -> new Condition.Stands(named(Status.values(), name)))),
            kind(
                    "intended",
                    Condition.Intended.class,
                    is -> text("intent", is.intent().name()),
                    asking(
                            "intent",
                            Heading.PLACES,
                            Message.of("sift.condition-kind.has-the-intent"),
                            Asks.INTENT,
                            name -> new Condition.Intended(named(Intent.values(), name)))),
            kind(
                    "prioritised",
                    Condition.Prioritised.class,
                    prioritised -> text("priority", prioritised.name()),
                    asking(
                            "priority",
                            Heading.PLACES,
                            Message.of("sift.condition-kind.priority-views-only"),
                            Asks.PRIORITY,
                            Condition.Prioritised::new)),
            kind(
                    "valued",
                    Condition.Valued.class,
                    valued -> Optional.of(new Filled("valued:" + valued.what().key(), "", valued.bounds())),
                    valued()),
            kind("all-of", Condition.AllOf.class, all -> Optional.empty()),
            kind("any-of", Condition.AnyOf.class, any -> Optional.empty()),
            kind("none-of", Condition.NoneOf.class, none -> Optional.empty()));

    private static <C extends Condition> ConditionKind<C> kind(
            String name, Class<C> type, Function<C, Optional<Filled>> filled, Form... forms) {
        return new ConditionKind<>(name, type, List.of(forms), filled);
    }

    private static Optional<Filled> text(String key, String text) {
        return Optional.of(new Filled(key, text, Bounds.ANY));
    }

    private static Form asking(
            String key, Heading heading, Message label, Asks asks, Function<String, Condition> made) {
        return new Form(key, heading, label, asks, null, (text, bounds) -> made.apply(text));
    }

    private static Form words(String key, Message label, Function<String, Condition> made) {
        return asking(key, Heading.WORDS, label, Asks.TEXT, text -> made.apply(Tidy.of(text)));
    }

    private static String key(Placing placing) {
        return placing.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static Form placed(Placing placing, Message label) {
        return words(key(placing), label, text -> new Condition.Worded(placing, text));
    }

    private static Form[] counts() {
        return Arrays.stream(Computed.values())
                .filter(fact -> fact.isFor(Fact.Use.COUNT))
                .map(fact -> new Form(
                        fact.key(),
                        Heading.COUNTS,
                        Message.of("sift.condition-kind.number-of", fact.word()),
                        Asks.NUMBERS,
                        null,
                        (text, bounds) -> new Condition.Count(fact, bounds)))
                .toArray(Form[]::new);
    }

    private static Form[] valued() {
        return Fact.all(Fact.Use.VIEW).stream()
                .map(Computed.class::cast)
                .map(fact -> new Form(
                        "valued:" + fact.key(),
                        Heading.FIGURES,
                        Message.of("sift.condition-kind.views-only", fact.word()),
                        Asks.NUMBERS,
                        null,
                        (text, bounds) -> new Condition.Valued(fact, bounds)))
                .toArray(Form[]::new);
    }

    private static Form[] figures(
            String before, Message behind, Asks asks, Function<Figure, BiFunction<String, Bounds, Condition>> made) {
        return Arrays.stream(Figure.values())
                .map(figure -> new Form(
                        before + figure.name(),
                        Heading.FIGURES,
                        behind.isEmpty()
                                ? figure.label()
                                : Message.of("sift.condition-kind.figure", figure.label(), behind),
                        asks,
                        figure,
                        made.apply(figure)))
                .toArray(Form[]::new);
    }

    /** With commas they are phrases, as they stand; without any, each word is one. */
    private static List<String> phrases(String text) {
        return Arrays.stream(text.split(text.matches("(?s).*[,\\n].*") ? "[,\\n]" : "\\s+"))
                .map(Tidy::of)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
    }

    private static <E extends Enum<E>> E named(E[] values, String name) {
        return Arrays.stream(values)
                .filter(value -> value.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Refusal("sift.condition-kind.nothing-called-can-asked", name));
    }

    /** All forms as they are offered: by their headings, of figures in the order of these. */
    public static List<Form> offered() {
        List<Form> forms = new ArrayList<>();
        for (Heading heading : Heading.values()) {
            ALL.stream()
                    .flatMap(kind -> kind.forms().stream())
                    .filter(form -> form.heading() == heading)
                    .sorted(java.util.Comparator.comparingInt(form -> form.figure() == null
                            ? Integer.MAX_VALUE
                            : form.figure().ordinal()))
                    .forEach(forms::add);
        }
        return forms;
    }

    /** The form of this key. */
    public static Optional<Form> form(String key) {
        return ALL.stream()
                .flatMap(kind -> kind.forms().stream())
                .filter(form -> form.key().equals(key))
                .findFirst();
    }

    /** The form that says what a condition says, filled in; empty if no single row can. */
    public static Optional<Filled> fill(Condition condition) {
        return ALL.stream()
                .filter(kind -> kind.type().isInstance(condition))
                .findFirst()
                .flatMap(kind -> kind.filledIn(condition));
    }

    private Optional<Filled> filledIn(Condition condition) {
        return filled.apply(type.cast(condition));
    }
}
