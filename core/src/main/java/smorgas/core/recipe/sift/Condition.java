package smorgas.core.recipe.sift;

import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Stream;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * What a keyword must fulfil for a rule or a view to take it. Conditions are values; the sift room runs them. Each
 * prints itself as the sentence that pages show. Words are compared as the project folds them: where singular and plural
 * are folded, "hives" is the word "hive" too.
 */
public sealed interface Condition {

    /** The most characters of a text that is looked for. */
    int LONGEST_TEXT = 500;

    /** The condition in words, to follow "keywords": {@code with the word "hive"}. */
    Message sentence();

    /** The keyword has this word, or these words next to each other in this order. */
    record HasWord(String word) implements Condition {
        public HasWord {
            ConditionTexts.bounded(word);
        }

        @Override
        public Stream<String> texts() {
            return Stream.of(word);
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.with-the-words", word.strip().contains(" "), word);
        }
    }

    /** The keyword has these words in a certain place; others may stand between them where an order is asked for. */
    record Worded(Placing placing, String words) implements Condition {
        public Worded {
            ConditionTexts.bounded(words);
        }

        @Override
        public Stream<String> texts() {
            return Stream.of(words);
        }

        @Override
        public Message sentence() {
            return placing.sentence(words);
        }
    }

    /** The keyword has one of these words or phrases at least. */
    record HasAnyWord(List<String> words) implements Condition {
        public HasAnyWord {
            words = List.copyOf(words);
            if (words.isEmpty()) {
                throw new Refusal("sift.condition.choose-word-least");
            }
            words.forEach(ConditionTexts::bounded);
        }

        @Override
        public Stream<String> texts() {
            return words.stream();
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.any-words", ConditionTexts.listed(words));
        }
    }

    /** The keyword has a word or phrase of this word list, in the version that the project has taken. */
    record OnList(String list) implements Condition {
        @Override
        public Stream<String> texts() {
            return Stream.of(list);
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.word-list", list);
        }
    }

    /** The lead spelling has this tidy text anywhere in it, also inside a word; the empty text is in every keyword. */
    record HasText(String text) implements Condition {
        public HasText {
            ConditionTexts.bounded(text);
        }

        @Override
        public Stream<String> texts() {
            return Stream.of(text);
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.with-in-them", text);
        }
    }

    /** The lead spelling has a part that this regular expression describes; it is run in linear time. */
    record Matches(String pattern) implements Condition {
        public Matches {
            ConditionTexts.bounded(pattern);
            Patterns.compile(pattern);
        }

        @Override
        public Stream<String> texts() {
            return Stream.of(pattern);
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.match-pattern", pattern);
        }
    }

    /**
     * The keyword has so many of something.
     *
     * @param what can be counted, see {@link Fact.Use#COUNT}
     */
    record Count(Computed what, Bounds bounds) implements Condition {
        public Count {
            if (!what.isFor(Fact.Use.COUNT)) {
                throw new Refusal("sift.condition.of-there-is-no", what.word());
            }
        }

        @Override
        public Message sentence() {
            return Message.of(
                    "sift.condition.with",
                    bounds.told(
                            number -> String.format(Locale.ENGLISH, "%,d", number),
                            what.word(),
                            Message.of("sift.condition.any-number", what.word())));
        }
    }

    /**
     * A figure of the keyword is known, and its middle lies between the bounds.
     *
     * @param bounds in parts of the figure's unit, see {@link Figure#scale()}
     */
    record FigureWithin(Figure figure, Bounds bounds) implements Condition {
        @Override
        public Message sentence() {
            if (figure == Figure.SEARCHES && !bounds.open()) {
                return Message.of(
                        "sift.condition.with",
                        bounds.told(parts -> ConditionTexts.amount(figure, parts), figure.word(), Message.NONE));
            }
            Message label = figure.word();
            return bounds.open()
                    ? Message.of("sift.condition.which-known", label)
                    : Message.of(
                            "sift.condition.with-a-of",
                            label,
                            bounds.told(parts -> ConditionTexts.amount(figure, parts), Message.NONE, Message.NONE));
        }
    }

    /** No list tells this figure of the keyword. */
    record FigureUnknown(Figure figure) implements Condition {
        @Override
        public Message sentence() {
            return Message.of("sift.condition.which-list-tells", figure.label());
        }
    }

    /** Some line of the keyword is in a basket of this name. */
    record InBasket(String name) implements Condition {
        @Override
        public Stream<String> texts() {
            return Stream.of(name);
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.in-basket", name);
        }
    }

    /** The keyword's baskets are exactly these, by their names; no other has it. */
    record InExactly(SortedSet<String> names) implements Condition {
        public InExactly {
            names = Collections.unmodifiableSortedSet(new TreeSet<>(names));
        }

        @Override
        public Message sentence() {
            return names.size() == 1
                    ? Message.of("sift.condition.only-basket", names.first())
                    : Message.of("sift.condition.exactly-baskets", String.join("\", \"", names));
        }
    }

    /** The lead spelling has a digit, as sizes, years and models do. */
    record HasDigit() implements Condition {
        @Override
        public Message sentence() {
            return Message.of("sift.condition.number-them");
        }
    }

    /** The keyword has a letter of this script. */
    record HasScript(Cleaning.Script script) implements Condition {
        @Override
        public Message sentence() {
            return Message.of("sift.condition.letters", script.label());
        }
    }

    /** The keyword has this tag, given by hand or by a rule above the one that asks. */
    record HasTag(String tag) implements Condition {
        @Override
        public Stream<String> texts() {
            return Stream.of(tag);
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.tagged", tag);
        }
    }

    /** The keyword's status is this one. A view may ask for it; a rule must not, for rules make statuses. */
    record Stands(Status status) implements Condition {
        @Override
        public Message sentence() {
            return Message.of("sift.condition.that-are", status.label());
        }
    }

    /** What the keyword is for, above all, is this. */
    record Intended(Intent intent) implements Condition {
        @Override
        public Message sentence() {
            return Message.of("sift.condition.that-are", intent.label());
        }
    }

    /** The class of the keyword's priority has this name. For views only, for shares are taken of what rules leave. */
    record Prioritised(String name) implements Condition {
        @Override
        public Stream<String> texts() {
            return Stream.of(name);
        }

        @Override
        public Message sentence() {
            return Message.of("sift.condition.of-the-priority", name);
        }
    }

    /**
     * What is worked out of the keyword by the researcher's assumptions is known, and its middle lies between the bounds. For
     * views only, for it may be assumed of tags and groups.
     *
     * @param what see {@link Fact.Use#VIEW}
     * @param bounds in whole units
     */
    record Valued(Computed what, Bounds bounds) implements Condition {
        public Valued {
            if (!what.isFor(Fact.Use.VIEW)) {
                throw new Refusal("sift.condition.number-ask", what.word());
            }
        }

        @Override
        public Message sentence() {
            return bounds.open()
                    ? Message.of("sift.condition.which-known", what.word())
                    : Message.of(
                            "sift.condition.with-of",
                            what.word(),
                            bounds.told(
                                    number -> String.format(Locale.ENGLISH, "%,d", number),
                                    Message.NONE,
                                    Message.NONE));
        }
    }

    /** All of the parts hold; with no parts it holds always. */
    record AllOf(List<Condition> parts) implements Condition {
        public AllOf {
            parts = List.copyOf(parts);
        }

        @Override
        public List<Condition> within() {
            return parts;
        }

        @Override
        public Message sentence() {
            return parts.isEmpty()
                    ? Message.of("sift.condition.any-kind")
                    : ConditionTexts.joined(parts, "sift.condition.and");
        }
    }

    /** One of the parts holds at least; with no parts it never holds. */
    record AnyOf(List<Condition> parts) implements Condition {
        public AnyOf {
            parts = List.copyOf(parts);
        }

        @Override
        public List<Condition> within() {
            return parts;
        }

        @Override
        public Message sentence() {
            return parts.isEmpty()
                    ? Message.of("sift.condition.of-no-kind")
                    : ConditionTexts.joined(parts, "sift.condition.or");
        }
    }

    /** None of the parts holds; with no parts it holds always. */
    record NoneOf(List<Condition> parts) implements Condition {
        public NoneOf {
            parts = List.copyOf(parts);
        }

        @Override
        public List<Condition> within() {
            return parts;
        }

        @Override
        public Message sentence() {
            return parts.isEmpty()
                    ? Message.of("sift.condition.any-kind")
                    : Message.of("sift.condition.not", ConditionTexts.joined(parts, "sift.condition.nor"));
        }
    }

    /** Searches a month are known and their middle is at least this. */
    static Condition searchesFrom(long searches) {
        return new FigureWithin(Figure.SEARCHES, Bounds.from(searches));
    }

    /** The parts of a condition that combines others; empty for one that stands alone. */
    default List<Condition> within() {
        return List.of();
    }

    /** The texts of its own that somebody has typed or picked. */
    default Stream<String> texts() {
        return Stream.of();
    }

    /** Itself and everything in it. */
    default Stream<Condition> all() {
        return Stream.concat(Stream.of(this), within().stream().flatMap(Condition::all));
    }

    /** Whether it asks for a status anywhere in it, which no rule may. */
    default boolean asksForStatus() {
        return asks(part -> part instanceof Stands);
    }

    /** Whether it asks anywhere in it for what follows from rules, which none of these may. */
    default boolean followsFromRules() {
        return asks(part -> part instanceof Stands || part instanceof Prioritised || part instanceof Valued);
    }

    /** Whether it asks for what keywords are for anywhere in it. */
    default boolean asksForIntent() {
        return asks(part -> part instanceof Intended);
    }

    /** Whether it asks anywhere in it for something that was decided or worked out of a keyword. */
    default boolean asksBeyond() {
        return followsFromRules() || asksForTag() || asksForIntent();
    }

    /** Whether it asks for a tag anywhere in it. */
    default boolean asksForTag() {
        return asks(part -> part instanceof HasTag);
    }

    /** @throws Refusal if it asks for no text anywhere in it, which only a page may while somebody types */
    default void requireTexts() {
        all().flatMap(Condition::texts).filter(String::isBlank).findFirst().ifPresent(blank -> {
            throw new Refusal("sift.condition.say-which-word-text");
        });
    }

    private boolean asks(Predicate<Condition> kind) {
        return all().anyMatch(kind);
    }
}
