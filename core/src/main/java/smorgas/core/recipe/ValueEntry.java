package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.FeedbackSettings;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PromiseSettings;
import smorgas.core.text.Refusal;

/** An entry about what keywords are for and may bring; it changes no standing and no group. */
public sealed interface ValueEntry extends Entry {

    /**
     * A pin: a hand said what these keywords are for, or left that to their words again.
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
                throw new Refusal("Nothing was picked of which an intent could be said");
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
        public String sentence() {
            String what = texts.size() == 1 ? "\"" + texts.getFirst() + "\"" : Entry.count(texts.size(), "keyword");
            return !on
                    ? "Left the intent of " + what + " to the words"
                    : "Said that " + what + (texts.size() == 1 ? " is " : " are ") + intent.label();
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
                throw new Refusal("Say with which word");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("intent word:" + word);
        }

        @Override
        public String sentence() {
            return on
                    ? "Said that keywords with \"" + word + "\" are " + intent.label()
                    : "Left the intent of keywords with \"" + word + "\" to their words";
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
                throw new Refusal(
                        "What keywords are for cannot be said by tags, intents or what follows from rules: keywords "
                                + when.sentence());
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("intent rule:" + when.sentence());
        }

        @Override
        public String sentence() {
            return on
                    ? "Said that keywords " + when.sentence() + " are " + intent.label()
                    : "Left the intent of keywords " + when.sentence() + " to their words";
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
                throw new Refusal("Assume it of a tag or of a group");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("assumptions:" + tag + "\n" + group);
        }

        @Override
        public String sentence() {
            String what = !tag.isEmpty()
                    ? " of the tag \"" + tag + "\""
                    : !group.isEmpty() ? " of the group \"" + group + "\"" : "";
            return !assumptions.says()
                    ? "Took the assumptions" + what + " away"
                    : "Set the assumptions" + what + " about worth";
        }
    }

    /** How many clicks each place draws was said. */
    record ClickTableSet(ClickTable table) implements ValueEntry {
        @Override
        public Set<String> touches() {
            return Set.of("click table");
        }

        @Override
        public String sentence() {
            return "Took clicks by place from \"" + table.name() + "\"";
        }
    }

    /** How reports are read was said. */
    record FeedbackSet(FeedbackSettings settings) implements ValueEntry {
        @Override
        public Set<String> touches() {
            return Set.of("feedback");
        }

        @Override
        public String sentence() {
            return "Judges terms of reports after " + Entry.count(settings.clicks(), "click") + ", reports "
                    + (settings.added() ? "added up" : "one at a time");
        }
    }

    /** How promise is judged was said; with no weights there is no verdict. */
    record PromiseSet(PromiseSettings settings) implements ValueEntry {
        @Override
        public Set<String> touches() {
            return Set.of("promise");
        }

        @Override
        public String sentence() {
            return settings.asks()
                    ? "Judges promise by " + Entry.count(settings.weights().size(), "weight") + " in "
                            + settings.classes().size() + (settings.classes().size() == 1 ? " class" : " classes")
                    : "Judges no promise";
        }
    }
}
