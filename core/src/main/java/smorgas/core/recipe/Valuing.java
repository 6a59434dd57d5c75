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
 */
public record Valuing(SequencedMap<String, Intent> intents) {

    /** Nothing decided. */
    public static final Valuing NONE = new Valuing(new LinkedHashMap<>());

    public Valuing {
        intents = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(intents));
    }

    /** After some entries, in order. */
    Valuing after(List<ValueEntry> entries) {
        SequencedMap<String, Intent> next = new LinkedHashMap<>(intents);
        for (ValueEntry entry : entries) {
            switch (entry) {
                case ValueEntry.IntentSaid said ->
                    Stream.concat(said.texts().stream(), said.also().stream()).forEach(text -> {
                        if (said.on()) {
                            next.putLast(text, said.intent());
                        } else {
                            next.remove(text);
                        }
                    });
            }
        }
        return new Valuing(next);
    }

    /** Whether it says the same in the same order: of two decisions on one keyword the later holds. */
    boolean sameAs(Valuing other) {
        return List.copyOf(intents.entrySet()).equals(List.copyOf(other.intents.entrySet()));
    }
}
