package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** An entry about what is kept and dropped, and how it is looked at. */
public sealed interface SiftEntry extends Entry {
    /**
     * A decision: a hand gave these keywords this status.
     *
     * @param texts the lead spellings of the keywords at that time, tidy; distinct, not empty
     * @param also the tidy texts of their other spellings, so that the decision finds its keyword however it is folded later
     */
    record Judged(List<String> texts, List<String> also, Status status) implements SiftEntry {
        public Judged {
            texts = List.copyOf(texts);
            // Entries from before keywords had several tidy texts do not have it.
            also = also == null ? List.of() : List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("recipe.sift-entry.nothing-judged");
            }
        }

        /** A decision on keywords that have one tidy text each. */
        public Judged(List<String> texts, Status status) {
            this(texts, List.of(), status);
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts, also);
        }

        @Override
        public Message sentence() {
            Message what = Entry.oneOrCount(texts, "count.keywords");
            return switch (status) {
                case KEPT -> Message.of("recipe.sift-entry.kept", what);
                case UNDECIDED -> Message.of("recipe.sift-entry.left-undecided", what);
                case DROPPED -> Message.of("recipe.sift-entry.dropped", what);
            };
        }
    }

    /**
     * Keywords were given back to the rules: what a hand said of their status holds no more.
     *
     * @param texts lead spellings, at least one
     * @param also the tidy texts of their other spellings
     */
    record GivenBack(List<String> texts, List<String> also) implements SiftEntry {
        public GivenBack {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("recipe.sift-entry.nothing-given-back");
            }
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts, also);
        }

        @Override
        public Message sentence() {
            return Message.of(
                    "recipe.sift-entry.gave-back-rules",
                    (texts.size() == 1
                            ? Message.verbatim("\"" + texts.getFirst() + "\"")
                            : Message.of("recipe.sift-entry.keyword", texts.size())));
        }
    }

    /** A rule was put below the others. */
    record RuleAdded(Rule rule) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule:" + rule.number());
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.sift-entry.new-rule", rule.sentence());
        }
    }

    /** A rule was put otherwise; it keeps its number and its place. */
    record RuleChanged(Rule rule) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule:" + rule.number());
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.sift-entry.rule-now", rule.number(), rule.sentence());
        }
    }

    /** A rule was taken away. */
    record RuleRemoved(int number) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule:" + number);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.sift-entry.took-rule-away", number);
        }
    }

    /** A rule was moved to a place among the others, counted from 0; past the end means the end. */
    record RuleMoved(int number, int place) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule order");
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.sift-entry.moved-rule-place", number, place + 1);
        }
    }

    /**
     * A decision: a hand gave these keywords a tag, or took it from them.
     *
     * @param texts the lead spellings of the keywords at that time, tidy; distinct, not empty
     * @param also the tidy texts of their other spellings
     */
    record Tagged(List<String> texts, List<String> also, String tag, boolean on) implements SiftEntry {
        public Tagged {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("recipe.sift-entry.nothing-picked-tagged");
            }
            if (tag.isBlank() || tag.length() > 60) {
                throw new Refusal("recipe.sift-entry.tag-1-60-characters");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>();
            texts.forEach(text -> keys.add("tag:" + tag + ":" + text));
            also.forEach(text -> keys.add("tag:" + tag + ":" + text));
            return keys;
        }

        @Override
        public Message sentence() {
            Message what = Entry.oneOrCount(texts, "count.keywords");
            return on
                    ? Message.of("recipe.sift-entry.tagged", what, tag)
                    : Message.of("recipe.sift-entry.took-tag-from", tag, what);
        }
    }

    /** A filter was saved under a name; one of that name before is replaced. */
    record ViewSaved(String name, Condition what) implements SiftEntry {
        public ViewSaved {
            if (name.isBlank() || name.length() > 60) {
                throw new Refusal("recipe.sift-entry.view-name-1-60");
            }
            what.requireTexts();
        }

        @Override
        public Set<String> touches() {
            return Set.of("view:" + name);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.sift-entry.saved-view", name);
        }
    }

    /** A saved filter was taken away. */
    record ViewRemoved(String name) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("view:" + name);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.sift-entry.took-view-away", name);
        }
    }

    /** A word list of the pantry was taken into the project, or a newer version of one. */
    record ListTaken(WordList list) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("list:" + list.name());
        }

        @Override
        public Message sentence() {
            return Message.of(
                    "recipe.sift-entry.took-list-version-word",
                    list.name(),
                    list.version(),
                    list.words().size());
        }
    }

    /**
     * The columns of the keyword table were chosen.
     *
     * @param columns their names, in order
     */
    record ColumnsChosen(List<String> columns) implements SiftEntry {
        public ColumnsChosen {
            columns = List.copyOf(columns);
        }

        @Override
        public Set<String> touches() {
            return Set.of("columns");
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.sift-entry.chose-column", columns.size());
        }
    }
}
