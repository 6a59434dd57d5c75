package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.FeedbackSettings;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** An entry about what keywords are for and may bring; it changes no status and no group. */
public sealed interface ValueEntry extends Entry {

    /**
     * A decision: a hand said what these keywords are for, or left that to their words again.
     *
     * @param texts lead spellings, tidy; at least one
     * @param also the tidy texts of their other spellings
     * @param on false to leave it to the words again, whatever the intent
     */
    record IntentSaid(List<String> texts, List<String> also, Intent intent, boolean on) implements ValueEntry {
        public IntentSaid {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("recipe.value-entry.nothing-picked-which-intent");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>();
            texts.forEach(text -> keys.add("intent:" + text));
            also.forEach(text -> keys.add("intent:" + text));
            return keys;
        }

        @Override
        public Message sentence() {
            Message what = Entry.oneOrCount(texts, "count.keywords");
            return !on
                    ? Message.of("recipe.value-entry.left-intent-words", what)
                    : Message.of("recipe.value-entry.said-that-is", what, texts.size(), intent.label());
        }
    }

    /**
     * What every keyword with a word or phrase is for was said, or left to all its words again; it holds for lists that come
     * later too. What a hand says of one keyword is stronger.
     *
     * @param word tidy
     * @param on false to leave it to the words again, whatever the intent
     */
    record IntentWorded(String word, Intent intent, boolean on) implements ValueEntry {
        public IntentWorded {
            if (word.isBlank()) {
                throw new Refusal("recipe.value-entry.say-which-word");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("intent word:" + word);
        }

        @Override
        public Message sentence() {
            return on
                    ? Message.of("recipe.value-entry.said-keywords", word, intent.label())
                    : Message.of("recipe.value-entry.left-intent-keywords-their", word);
        }
    }

    /**
     * What every keyword that fulfils a condition is for was said, or left to its words again; as {@link IntentWorded}, of more
     * than a word.
     *
     * @param when asks for nothing that was decided or worked out of keywords, an intent among it
     * @param on false to leave it to the words again, whatever the intent
     */
    record IntentRuled(Condition when, Intent intent, boolean on) implements ValueEntry {
        public IntentRuled {
            when.requireTexts();
            if (when.asksBeyond()) {
                throw new Refusal("recipe.value-entry.what-keywords-cannot-said", when.sentence());
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("intent rule:" + when.sentence());
        }

        @Override
        public Message sentence() {
            return on
                    ? Message.of("recipe.value-entry.said-keywords-2", when.sentence(), intent.label())
                    : Message.of("recipe.value-entry.left-intent-keywords-their-2", when.sentence());
        }
    }

    /**
     * What is assumed of what keywords may bring was said.
     *
     * @param tag of whose keywords; empty for those of the group, or of all
     * @param group the key of the group of whose keywords; empty for those of the tag, or of all
     * @param assumptions empty to assume nothing of its own
     */
    record AssumptionsSet(String tag, String group, Assumptions assumptions) implements ValueEntry {
        public AssumptionsSet {
            if (!tag.isEmpty() && !group.isEmpty()) {
                throw new Refusal("recipe.value-entry.assume-tag-group");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("assumptions:" + tag + "\n" + group);
        }

        @Override
        public Message sentence() {
            Message what = !tag.isEmpty()
                    ? Message.of("recipe.value-entry.of-the-tag", tag)
                    : !group.isEmpty() ? Message.of("recipe.value-entry.of-the-group", group) : Message.NONE;
            return !assumptions.says()
                    ? Message.of("recipe.value-entry.took-assumptions-away", what)
                    : Message.of("recipe.value-entry.set-assumptions-about-estimated-value", what);
        }
    }

    /** How many clicks each place draws was said. */
    record ClickTableSet(ClickTable table) implements ValueEntry {
        @Override
        public Set<String> touches() {
            return Set.of("click table");
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.value-entry.took-clicks-place-from", table.name());
        }
    }

    /** How reports are read was said. */
    record FeedbackSet(FeedbackSettings settings) implements ValueEntry {
        @Override
        public Set<String> touches() {
            return Set.of("feedback");
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.value-entry.judges-terms-reports-after", settings.clicks(), settings.added());
        }
    }

    /** How priority is judged was said; with no weights there is no verdict. */
    record PrioritySet(PrioritySettings settings) implements ValueEntry {
        @Override
        public Set<String> touches() {
            return Set.of("priority");
        }

        @Override
        public Message sentence() {
            return settings.asks()
                    ? Message.of(
                            "recipe.value-entry.judges-priority-weight-class",
                            settings.weights().size(),
                            settings.classes().size())
                    : Message.of("recipe.value-entry.judges-priority");
        }
    }
}
