package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.LongUnaryOperator;
import smorgas.core.column.Figure;
import smorgas.core.column.Merge;
import smorgas.core.text.Formulas;

/**
 * One act in a project's history. An entry is never changed; undo moves a mark. Its persisted name and format are the
 * store's affair.
 */
public sealed interface Entry
        permits Entry.OfBasket,
                Entry.OfFolding,
                Entry.MergeChosen,
                Entry.Judged,
                Entry.GivenBack,
                Entry.NegativeSettled,
                Entry.RuleAdded,
                Entry.RuleChanged,
                Entry.RuleRemoved,
                Entry.RuleMoved,
                Entry.Tagged,
                Entry.ViewSaved,
                Entry.ViewRemoved,
                Entry.ListTaken,
                Entry.ColumnsChosen,
                Entry.WordsMuted,
                Entry.GroupSettingsChosen,
                Entry.AlternativeKept,
                Entry.AlternativeDropped,
                Entry.GroupRuleSet,
                Entry.GroupRuleRemoved,
                Entry.GroupRuleMoved,
                Entry.PlanSettingsChosen,
                GroupPin,
                RecipeTaken {

    /**
     * What the act touches, as keys of which two acts share one if and only if the later could surprise the earlier: two
     * tabs that touch different things may both act.
     */
    Set<String> touches();

    /** Whether this act might surprise those who touched these things since the page was shown on which it was made. */
    default boolean surprises(Set<String> between) {
        return !Collections.disjoint(between, touches());
    }

    /** What was done, in the past tense, without a full stop. */
    String sentence();

    /**
     * Checks what no act may bring any more, though histories and recipes from before may hold it.
     *
     * @throws IllegalArgumentException with a sentence without a full stop
     */
    default void requireFit() {
        // Most acts have nothing that was allowed once.
    }

    /** An entry about baskets: it belongs to one project's inputs and is in no exported recipe. */
    sealed interface OfBasket extends Entry {
        long basket();

        String name();

        /** The same act about other baskets, as a copied project has them. */
        default OfBasket renumbered(LongUnaryOperator number) {
            long other = number.applyAsLong(basket());
            return switch (this) {
                case BasketAdded e -> new BasketAdded(other, e.name());
                case BasketRemoved e -> new BasketRemoved(other, e.name());
                case BasketDescribed e -> new BasketDescribed(other, e.info());
                case BasketSwitched e -> new BasketSwitched(other, e.name(), e.on());
                case BasketReadAs e -> new BasketReadAs(other, e.name(), e.readAs());
                case BasketRenewed e -> new BasketRenewed(other, number.applyAsLong(e.by()), e.name());
            };
        }

        @Override
        default Set<String> touches() {
            return Set.of("basket:" + basket());
        }
    }

    /** A basket's lines came into the project. */
    record BasketAdded(long basket, String name) implements OfBasket {
        @Override
        public String sentence() {
            return "Gathered " + name;
        }
    }

    /** A basket's lines left the project; its bytes stay until the bin is emptied. */
    record BasketRemoved(long basket, String name) implements OfBasket {
        @Override
        public String sentence() {
            return "Took away basket " + name;
        }
    }

    /** What a basket is and where it came from was written down, its name among it. */
    record BasketDescribed(long basket, BasketInfo info) implements OfBasket {
        @Override
        public String name() {
            return info.name();
        }

        @Override
        public String sentence() {
            return "Described basket " + name();
        }
    }

    /** A basket was switched off, and its lines left the project; or on again. */
    record BasketSwitched(long basket, String name, boolean on) implements OfBasket {
        @Override
        public String sentence() {
            return "Switched basket " + name + (on ? " on" : " off");
        }
    }

    /** How a basket's bytes are read was put right. */
    record BasketReadAs(long basket, String name, ReadAs readAs) implements OfBasket {
        @Override
        public void requireFit() {
            readAs.requireKnown();
        }

        @Override
        public String sentence() {
            return "Read basket " + name + " otherwise";
        }
    }

    /** A basket was gathered again: the basket {@code by} takes its place. */
    record BasketRenewed(long basket, long by, String name) implements OfBasket {
        @Override
        public String sentence() {
            return "Gathered " + name + " again";
        }
    }

    /** An entry about what is one keyword. */
    sealed interface OfFolding extends Entry {}

    /** The project follows the rules of another edition. */
    record EditionChosen(Edition edition) implements OfFolding {
        @Override
        public Set<String> touches() {
            return Set.of("edition");
        }

        @Override
        public String sentence() {
            return "Follows edition " + edition.number() + ": " + edition.what();
        }
    }

    /** A kind of folding was switched on or off. */
    record FoldKindSwitched(FoldKind kind, boolean on) implements OfFolding {
        @Override
        public Set<String> touches() {
            return Set.of("fold:" + kind);
        }

        @Override
        public String sentence() {
            return "Switched folding of " + kind.label().toLowerCase(Locale.ENGLISH) + (on ? " on" : " off");
        }
    }

    /**
     * The list of little words was changed.
     *
     * @param words all of it, tidy and distinct
     */
    record LittleWordsChosen(List<String> words) implements OfFolding {
        public LittleWordsChosen {
            words = List.copyOf(words);
        }

        @Override
        public Set<String> touches() {
            return Set.of("little words");
        }

        @Override
        public String sentence() {
            return "Set the list of little words to " + count(words.size(), "word");
        }
    }

    /** Words that look misspelt were accepted as such, or said to be right. */
    record MisspellingsJudged(List<WordPair> pairs, boolean accepted) implements OfFolding {
        public MisspellingsJudged {
            pairs = List.copyOf(pairs);
            if (pairs.isEmpty()) {
                throw new IllegalArgumentException("No misspelling was chosen");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>();
            pairs.forEach(pair -> keys.add("misspelling:" + pair.wrong()));
            return keys;
        }

        @Override
        public String sentence() {
            WordPair first = pairs.getFirst();
            if (pairs.size() > 1) {
                return (accepted ? "Accepted " : "Refused ") + count(pairs.size(), "misspelling");
            }
            return accepted
                    ? "Took \"" + first.wrong() + "\" for \"" + first.right() + "\""
                    : "Left \"" + first.wrong() + "\" as it is";
        }
    }

    /** A pin: each of these tidy texts is a keyword of its own. */
    record SpellingsTakenOut(List<String> texts) implements OfFolding {
        public SpellingsTakenOut {
            texts = List.copyOf(texts);
            if (texts.isEmpty()) {
                throw new IllegalArgumentException("No spelling was chosen");
            }
        }

        @Override
        public Set<String> touches() {
            return keywords(texts);
        }

        @Override
        public String sentence() {
            return texts.size() == 1
                    ? "Took \"" + texts.getFirst() + "\" out of its keyword"
                    : "Took " + count(texts.size(), "spelling") + " apart";
        }
    }

    /** A pin: the keywords that these tidy texts are in are one. */
    record KeywordsJoined(List<String> texts) implements OfFolding {
        public KeywordsJoined {
            texts = List.copyOf(texts);
            if (texts.size() < 2) {
                throw new IllegalArgumentException("Choose two keywords or more to be joined");
            }
        }

        @Override
        public Set<String> touches() {
            return keywords(texts);
        }

        @Override
        public String sentence() {
            return "Joined " + count(texts.size(), "keyword") + " into \"" + texts.getFirst() + "\"";
        }
    }

    /** A pin: this tidy text is the lead spelling of the keyword that it is in. */
    record LeadChosen(String text) implements OfFolding {
        @Override
        public Set<String> touches() {
            return keywords(List.of(text));
        }

        @Override
        public String sentence() {
            return "Made \"" + text + "\" the lead spelling";
        }
    }

    /** A cleaning was put behind the others. */
    record CleaningAdded(int number, Cleaning cleaning) implements OfFolding {
        public CleaningAdded {
            Rule.checkNumber(number);
        }

        @Override
        public Set<String> touches() {
            return Set.of("cleaning:" + number);
        }

        @Override
        public String sentence() {
            return "Cleaning: " + cleaning.sentence();
        }
    }

    /** A cleaning was taken away. */
    record CleaningRemoved(int number) implements OfFolding {
        @Override
        public Set<String> touches() {
            return Set.of("cleaning:" + number);
        }

        @Override
        public String sentence() {
            return "Took cleaning " + number + " away";
        }
    }

    /** The keys of keywords and of their other spellings. */
    static Set<String> keywords(List<String> texts, List<String> also) {
        Set<String> keys = keywords(texts);
        keys.addAll(keywords(also));
        return keys;
    }

    /** The keys of keywords. */
    static Set<String> keywords(List<String> texts) {
        Set<String> keys = new LinkedHashSet<>();
        texts.forEach(text -> keys.add("keyword:" + text));
        return keys;
    }

    /** So many of these, in words. */
    static String count(int some, String one) {
        return String.format(Locale.ENGLISH, "%,d %s", some, some == 1 ? one : one + "s");
    }

    /** How a figure is merged when lines disagree was chosen. */
    record MergeChosen(Figure figure, Merge merge) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("merge:" + figure);
        }

        @Override
        public String sentence() {
            return figure.label() + " now take " + merge.label();
        }
    }

    /**
     * A pin: a hand gave these keywords this standing.
     *
     * @param texts the lead spellings of the keywords at that time, tidy; distinct, not empty
     * @param also the tidy texts of their other spellings, so that the pin finds its keyword however it is folded later
     */
    record Judged(List<String> texts, List<String> also, Standing standing) implements Entry {
        public Judged {
            texts = List.copyOf(texts);
            // Entries from before keywords had several tidy texts do not have it.
            also = also == null ? List.of() : List.copyOf(also);
            if (texts.isEmpty()) {
                throw new IllegalArgumentException("nothing was judged");
            }
        }

        /** A pin on keywords that have one tidy text each. */
        public Judged(List<String> texts, Standing standing) {
            this(texts, List.of(), standing);
        }

        @Override
        public Set<String> touches() {
            return keywords(texts, also);
        }

        @Override
        public String sentence() {
            String what = texts.size() == 1 ? "\"" + texts.getFirst() + "\"" : count(texts.size(), "keyword");
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
    record GivenBack(List<String> texts, List<String> also) implements Entry {
        public GivenBack {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new IllegalArgumentException("nothing was given back");
            }
        }

        @Override
        public Set<String> touches() {
            return keywords(texts, also);
        }

        @Override
        public String sentence() {
            return "Gave " + (texts.size() == 1 ? "\"" + texts.getFirst() + "\"" : count(texts.size(), "keyword"))
                    + " back to the rules";
        }
    }

    /**
     * A negative that blocks what the plan serves leaves all the same, or is held back again.
     *
     * @param word as the rule names it, tidy
     */
    record NegativeSettled(String word, boolean leaves) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("negative:" + word);
        }

        @Override
        public String sentence() {
            return leaves
                    ? "Serves the negative \"" + word + "\" whatever it blocks"
                    : "Holds the negative \"" + word + "\" back where it blocks what is served";
        }
    }

    /** A rule was put below the others. */
    record RuleAdded(Rule rule) implements Entry {
        @Override
        public void requireFit() {
            rule.when().requireFit();
        }

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
    record RuleChanged(Rule rule) implements Entry {
        @Override
        public void requireFit() {
            rule.when().requireFit();
        }

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
    record RuleRemoved(int number) implements Entry {
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
    record RuleMoved(int number, int place) implements Entry {
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
    record Tagged(List<String> texts, List<String> also, String tag, boolean on) implements Entry {
        public Tagged {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new IllegalArgumentException("Nothing was picked to be tagged");
            }
            if (tag.isBlank() || tag.length() > 60) {
                throw new IllegalArgumentException("A tag has 1 to 60 characters");
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
            String what = texts.size() == 1 ? "\"" + texts.getFirst() + "\"" : count(texts.size(), "keyword");
            return on ? "Tagged " + what + " \"" + tag + "\"" : "Took the tag \"" + tag + "\" from " + what;
        }
    }

    /** A filter was saved under a name; one of that name before is replaced. */
    record ViewSaved(String name, Condition what) implements Entry {
        @Override
        public void requireFit() {
            what.requireFit();
        }

        public ViewSaved {
            if (name.isBlank() || name.length() > 60) {
                throw new IllegalArgumentException("A view has a name of 1 to 60 characters");
            }
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
    record ViewRemoved(String name) implements Entry {
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
    record ListTaken(WordList list) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("list:" + list.name());
        }

        @Override
        public String sentence() {
            return "Took the list \"" + list.name() + "\", version " + list.version() + ", of "
                    + count(list.words().size(), "word");
        }
    }

    /**
     * The columns of the keyword table were chosen.
     *
     * @param columns their names, in order
     */
    record ColumnsChosen(List<String> columns) implements Entry {
        public ColumnsChosen {
            columns = List.copyOf(columns);
        }

        @Override
        public Set<String> touches() {
            return Set.of("columns");
        }

        @Override
        public String sentence() {
            return "Chose " + count(columns.size(), "column");
        }
    }

    /** Words were muted, or are heard again. */
    record WordsMuted(List<String> words, boolean muted) implements Entry {
        public WordsMuted {
            words = List.copyOf(words);
            if (words.isEmpty()) {
                throw new IllegalArgumentException("No word was chosen");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>(Set.of("groups"));
            words.forEach(word -> keys.add("muted:" + word));
            return keys;
        }

        @Override
        public String sentence() {
            String what = words.size() == 1 ? "\"" + words.getFirst() + "\"" : count(words.size(), "word");
            return (muted ? "Muted " : "No longer muted ") + what;
        }
    }

    /** The dials of Group were set. */
    record GroupSettingsChosen(GroupSettings settings) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("groups");
        }

        @Override
        public String sentence() {
            Pass first = settings.passes().getFirst();
            String more =
                    settings.passes().size() > 1 ? ", in " + settings.passes().size() + " passes" : "";
            return "Set the groups to " + first.smallest() + " keywords and more, themes of " + first.shortest()
                    + " to " + first.longest() + " words" + more;
        }
    }

    /** Settings of Group were kept under a name, to be looked at beside others; nothing else changes. */
    record AlternativeKept(String name, GroupSettings settings) implements Entry {
        public AlternativeKept {
            GroupRule.checkName(name);
        }

        @Override
        public Set<String> touches() {
            return Set.of("alternative:" + name);
        }

        @Override
        public String sentence() {
            return "Kept the alternative \"" + name + "\"";
        }
    }

    /** An alternative is no longer kept. */
    record AlternativeDropped(String name) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("alternative:" + name);
        }

        @Override
        public String sentence() {
            return "Forgot the alternative \"" + name + "\"";
        }
    }

    /** A rule that makes a group was put below the others, or in the place of the one that had its number. */
    record GroupRuleSet(GroupRule rule) implements Entry {
        @Override
        public void requireFit() {
            Formulas.refuse(GroupRule.NAME_OF, rule.name());
            rule.when().requireFit();
        }

        @Override
        public Set<String> touches() {
            return Set.of("group rule:" + rule.number());
        }

        @Override
        public String sentence() {
            return "Rule for groups: " + rule.sentence();
        }
    }

    /** A rule that makes a group was taken away. */
    record GroupRuleRemoved(int number) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule:" + number);
        }

        @Override
        public String sentence() {
            return "Took away rule " + number + " for groups";
        }
    }

    /** A rule that makes a group was moved to a place among the others, counted from 0; past the end means the end. */
    record GroupRuleMoved(int number, int place) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule order");
        }

        @Override
        public String sentence() {
            return "Moved rule " + number + " for groups to place " + (place + 1);
        }
    }

    /** The choices of Serve were set. */
    record PlanSettingsChosen(PlanSettings settings) implements Entry {
        @Override
        public Set<String> touches() {
            return Set.of("plan");
        }

        @Override
        public String sentence() {
            return "Set the plan for campaign " + settings.campaign();
        }
    }
}
