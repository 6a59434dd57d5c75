package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.stream.Stream;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.FeedbackSettings;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;

/**
 * What was decided of what keywords are for and may bring.
 *
 * @param intents by tidy text, what a hand said; the latest decision comes last
 * @param ruled by condition, what a hand said of all keywords that fulfil it; the latest decision comes last
 * @param assumptions what is assumed of all keywords
 * @param byTag what is assumed otherwise of those with a tag; of a keyword with several the latest holds
 * @param byGroup what is assumed otherwise of those in a group, by its key; stronger than what is of its tags
 * @param clicks how many clicks each place draws
 * @param feedback how reports are read
 * @param priority how priority is judged
 */
public record Valuing(
        SequencedMap<String, Intent> intents,
        SequencedMap<Condition, Intent> ruled,
        Assumptions assumptions,
        SequencedMap<String, Assumptions> byTag,
        SequencedMap<String, Assumptions> byGroup,
        ClickTable clicks,
        FeedbackSettings feedback,
        PrioritySettings priority) {

    /** Nothing decided. */
    static Valuing standard(StandardSettings settings) {
        return new Valuing(
                new LinkedHashMap<>(),
                new LinkedHashMap<>(),
                Assumptions.NONE,
                new LinkedHashMap<>(),
                new LinkedHashMap<>(),
                settings.clicks(),
                settings.feedback(),
                PrioritySettings.NONE);
    }

    public Valuing {
        intents = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(intents));
        ruled = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(ruled));
        byTag = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(byTag));
        byGroup = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(byGroup));
    }

    /** After some entries, in order. */
    public Valuing after(List<ValueEntry> entries) {
        SequencedMap<String, Intent> said = new LinkedHashMap<>(intents);
        SequencedMap<Condition, Intent> rules = new LinkedHashMap<>(ruled);
        SequencedMap<String, Assumptions> tags = new LinkedHashMap<>(byTag);
        SequencedMap<String, Assumptions> groups = new LinkedHashMap<>(byGroup);
        Assumptions all = assumptions;
        ClickTable table = clicks;
        FeedbackSettings reports = feedback;
        PrioritySettings judged = priority;
        for (ValueEntry entry : entries) {
            switch (entry) {
                case ValueEntry.IntentSaid one ->
                    Stream.concat(one.texts().stream(), one.also().stream())
                            .forEach(text -> put(said, text, one.intent(), one.on()));
                case ValueEntry.IntentWorded one ->
                    put(rules, new Condition.HasWord(one.word()), one.intent(), one.on());
                case ValueEntry.IntentRuled one -> put(rules, one.when(), one.intent(), one.on());
                case ValueEntry.AssumptionsSet one -> {
                    boolean some = one.assumptions().says();
                    if (!one.tag().isEmpty()) {
                        put(tags, one.tag(), one.assumptions(), some);
                    } else if (!one.group().isEmpty()) {
                        put(groups, one.group(), one.assumptions(), some);
                    } else {
                        all = one.assumptions();
                    }
                }
                case ValueEntry.ClickTableSet one -> table = one.table();
                case ValueEntry.FeedbackSet one -> reports = one.settings();
                case ValueEntry.PrioritySet one -> judged = one.settings();
            }
        }
        return new Valuing(said, rules, all, tags, groups, table, reports, judged);
    }

    private static <K, T> void put(SequencedMap<K, T> map, K key, T value, boolean on) {
        if (on) {
            map.putLast(key, value);
        } else {
            map.remove(key);
        }
    }

    /** Whether anything is assumed of what keywords may bring. */
    public boolean assumes() {
        return assumptions.says() || !byTag.isEmpty() || !byGroup.isEmpty();
    }

    /** Whether it says the same of intents, in the same order: of two decisions on one keyword the later holds. */
    public boolean intentsAs(Valuing other) {
        return same(intents, other.intents) && same(ruled, other.ruled);
    }

    /** Whether it assumes the same of what keywords may bring. */
    public boolean estimatedValueAs(Valuing other) {
        return assumptions.equals(other.assumptions)
                && same(byTag, other.byTag)
                && same(byGroup, other.byGroup)
                && clicks.equals(other.clicks);
    }

    /** Whether it says the same in the same order. */
    public boolean sameAs(Valuing other) {
        return equals(other) && intentsAs(other) && estimatedValueAs(other);
    }

    private static <K, T> boolean same(SequencedMap<K, T> one, SequencedMap<K, T> other) {
        return List.copyOf(one.entrySet()).equals(List.copyOf(other.entrySet()));
    }
}
