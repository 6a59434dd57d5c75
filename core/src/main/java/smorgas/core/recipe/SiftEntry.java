package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Standing;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Refusal;

/** An entry about what is kept and dropped, and how it is looked at. */
public sealed interface SiftEntry extends Entry {
    /**
     * A pin: a hand gave these keywords this standing.
     *
     * @param texts the lead spellings of the keywords at that time, tidy; distinct, not empty
     * @param also the tidy texts of their other spellings, so that the pin finds its keyword however it is folded later
     */
    record Judged(List<String> texts, List<String> also, Standing standing) implements SiftEntry {
        public Judged {
            texts = List.copyOf(texts);
            // Entries from before keywords had several tidy texts do not have it.
            also = also == null ? List.of() : List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("nothing was judged");
            }
        }

        /** A pin on keywords that have one tidy text each. */
        public Judged(List<String> texts, Standing standing) {
            this(texts, List.of(), standing);
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts, also);
        }

        @Override
        public String sentence() {
            String what = texts.size() == 1 ? "\"" + texts.getFirst() + "\"" : Entry.count(texts.size(), "keyword");
            return switch (standing) {
                case KEPT -> "Kept " + what;
                case UNDECIDED -> "Left " + what + " undecided";
                case DROPPED -> "Dropped " + what;
            };
        }
    }

    /**
     * Keywords were given back to the rules: what a hand said of their standing holds no more.
     *
     * @param texts lead spellings, at least one
     * @param also the tidy texts of their other spellings
     */
    record GivenBack(List<String> texts, List<String> also) implements SiftEntry {
        public GivenBack {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("nothing was given back");
            }
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts, also);
        }

        @Override
        public String sentence() {
            return "Gave " + (texts.size() == 1 ? "\"" + texts.getFirst() + "\"" : Entry.count(texts.size(), "keyword"))
                    + " back to the rules";
        }
    }

    /** A rule was put below the others. */
    record RuleAdded(Rule rule) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule:" + rule.number());
        }

        @Override
        public String sentence() {
            return "New rule: " + rule.sentence();
        }
    }

    /** A rule was put otherwise; it keeps its number and its place. */
    record RuleChanged(Rule rule) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule:" + rule.number());
        }

        @Override
        public String sentence() {
            return "Rule " + rule.number() + " is now: " + rule.sentence();
        }
    }

    /** A rule was taken away. */
    record RuleRemoved(int number) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule:" + number);
        }

        @Override
        public String sentence() {
            return "Took rule " + number + " away";
        }
    }

    /** A rule was moved to a place among the others, counted from 0; past the end means the end. */
    record RuleMoved(int number, int place) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("rule order");
        }

        @Override
        public String sentence() {
            return "Moved rule " + number + " to place " + (place + 1);
        }
    }

    /**
     * A pin: a hand gave these keywords a tag, or took it from them.
     *
     * @param texts the lead spellings of the keywords at that time, tidy; distinct, not empty
     * @param also the tidy texts of their other spellings
     */
    record Tagged(List<String> texts, List<String> also, String tag, boolean on) implements SiftEntry {
        public Tagged {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("Nothing was picked to be tagged");
            }
            if (tag.isBlank() || tag.length() > 60) {
                throw new Refusal("A tag has 1 to 60 characters");
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
        public String sentence() {
            String what = texts.size() == 1 ? "\"" + texts.getFirst() + "\"" : Entry.count(texts.size(), "keyword");
            return on ? "Tagged " + what + " \"" + tag + "\"" : "Took the tag \"" + tag + "\" from " + what;
        }
    }

    /** A filter was saved under a name; one of that name before is replaced. */
    record ViewSaved(String name, Condition what) implements SiftEntry {
        public ViewSaved {
            if (name.isBlank() || name.length() > 60) {
                throw new Refusal("A view has a name of 1 to 60 characters");
            }
            what.requireTexts();
        }

        @Override
        public Set<String> touches() {
            return Set.of("view:" + name);
        }

        @Override
        public String sentence() {
            return "Saved the view \"" + name + "\"";
        }
    }

    /** A saved filter was taken away. */
    record ViewRemoved(String name) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("view:" + name);
        }

        @Override
        public String sentence() {
            return "Took the view \"" + name + "\" away";
        }
    }

    /** A word list of the pantry was taken into the project, or a newer version of one. */
    record ListTaken(WordList list) implements SiftEntry {
        @Override
        public Set<String> touches() {
            return Set.of("list:" + list.name());
        }

        @Override
        public String sentence() {
            return "Took the list \"" + list.name() + "\", version " + list.version() + ", of "
                    + Entry.count(list.words().size(), "word");
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
        public String sentence() {
            return "Chose " + Entry.count(columns.size(), "column");
        }
    }
}
