package smorgas.core.figure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import smorgas.core.text.Message;

/**
 * Something that can be told of every keyword: a {@link Figure} that lists carry, or something {@link Computed}. The one
 * register from which tables, sorting, conditions, tables for reading and the keyword's story know what there is.
 */
public sealed interface Fact permits Figure, Computed {

    /** Where it can be met. */
    enum Use {
        /** As a column of the keyword table that can be chosen. */
        COLUMN,
        /** As a column of it that is shown until others are chosen, where there is something to show. */
        COLUMN_AT_FIRST,
        /** As what a table is sorted by. */
        SORT,
        /** As a column of the table of keywords that is written for reading. */
        EXPORT,
        /** As a number of things that a condition bounds. */
        COUNT,
        /** As a number that follows from what was decided, which a view may bound and a rule may not. */
        VIEW
    }

    /** The step that it follows from; what follows from acts is no part of an order that is worked out once. */
    enum Since {
        FOLDED,
        JUDGED,
        GROUPED,
        /** From the lists themselves, which are read for the keywords that are shown. */
        LISTED
    }

    /** What it is called in files; in addresses and in the recipe in small letters. */
    String name();

    /** The heading of its column in files that programs read. */
    String fixedName();

    /** The fixed name in a row of such files: small, unless it is an abbreviation. */
    default String fixedWord() {
        return fixedName().equals(fixedName().toUpperCase(Locale.ENGLISH))
                ? fixedName()
                : fixedName().toLowerCase(Locale.ENGLISH);
    }

    /** Its heading, in the trade's words. */
    default Message label() {
        return Message.of("fact." + text());
    }

    /** Whether it is a number, or else texts. */
    boolean number();

    Since since();

    Set<Use> uses();

    /** Whether one wants the small or first ones first. */
    boolean rises();

    /** The name in addresses. */
    default String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Parts of the unit in one unit, of a number; at least 1. */
    long scale();

    /** The label within a sentence. */
    default Message word() {
        return Message.of("fact." + text() + ".word");
    }

    private String text() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    default boolean isFor(Use use) {
        return uses().contains(use);
    }

    /** All, in the order of tables. */
    static List<Fact> all() {
        return Order.ALL;
    }

    /** All that are for something, in the order of tables. */
    static List<Fact> all(Use use) {
        return Order.ALL.stream().filter(fact -> fact.isFor(use)).toList();
    }

    /** The one of this name, in any case. */
    static Optional<Fact> find(String name) {
        return Order.ALL.stream()
                .filter(fact -> fact.name().equalsIgnoreCase(name))
                .findFirst();
    }

    /** Keyword, status and reason before the figures, the rest behind them; trend, worth and priority beside searches. */
    final class Order {
        private static final List<Fact> ALL = inOrder();

        private Order() {}

        private static List<Fact> inOrder() {
            List<Fact> all = new ArrayList<>(List.of(Computed.KEYWORD, Computed.STATUS, Computed.REASON));
            all.addAll(Arrays.asList(Figure.values()));
            all.addAll(
                    all.indexOf(Figure.SEARCHES) + 1,
                    List.of(Computed.TREND, Computed.ESTIMATED_VALUE, Computed.PRIORITY));
            Arrays.stream(Computed.values()).filter(fact -> !all.contains(fact)).forEach(all::add);
            return List.copyOf(all);
        }
    }
}
