package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.stream.Stream;

/**
 * What was decided of what keywords are for and may bring.
 *
 * @param intents by tidy text, what a hand said; the latest decision comes last
 * @param words by word or phrase, what a hand said of all keywords with it; the latest decision comes last
 */
public record Valuing(SequencedMap<String, Intent> intents, SequencedMap<String, Intent> words) {

    /** Nothing decided. */
    public static final Valuing NONE = new Valuing(new LinkedHashMap<>(), new LinkedHashMap<>());

    public Valuing {
        intents = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(intents));
        words = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(words));
    }

    /** After some entries, in order. */
    Valuing after(List<ValueEntry> entries) {
        SequencedMap<String, Intent> said = new LinkedHashMap<>(intents);
        SequencedMap<String, Intent> worded = new LinkedHashMap<>(words);
        for (ValueEntry entry : entries) {
            switch (entry) {
                case ValueEntry.IntentSaid one ->
                    Stream.concat(one.texts().stream(), one.also().stream())
                            .forEach(text -> put(said, text, one.intent(), one.on()));
                case ValueEntry.IntentWorded one -> put(worded, one.word(), one.intent(), one.on());
            }
        }
        return new Valuing(said, worded);
    }

    private static void put(SequencedMap<String, Intent> map, String key, Intent intent, boolean on) {
        if (on) {
            map.putLast(key, intent);
        } else {
            map.remove(key);
        }
    }

    /** Whether it says the same in the same order: of two decisions on one keyword the later holds. */
    public boolean sameAs(Valuing other) {
        return List.copyOf(intents.entrySet()).equals(List.copyOf(other.intents.entrySet()))
                && List.copyOf(words.entrySet()).equals(List.copyOf(other.words.entrySet()));
    }
}
