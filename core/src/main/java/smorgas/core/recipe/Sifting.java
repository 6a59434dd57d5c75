package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.SortedMap;
import java.util.TreeMap;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;

/**
 * What was decided of keeping and dropping, and of how keywords are looked at.
 *
 * @param decisions by tidy text, the status that a hand gave last; the latest decision comes last
 * @param rules in the order in which they judge
 * @param tags by tag, what a hand said of tidy texts: whether they have it; the latest decision comes last
 * @param lists the word lists that the project has taken, by name
 * @param views saved filters by name, in the order in which they were saved first
 * @param columns of the keyword table, in order; empty until some were chosen
 * @param nextRule the number for the next rule
 */
public record Sifting(
        SequencedMap<String, Status> decisions,
        List<Rule> rules,
        SortedMap<String, SequencedMap<String, Boolean>> tags,
        SortedMap<String, WordList> lists,
        SequencedMap<String, Condition> views,
        List<String> columns,
        int nextRule) {

    /** Nothing decided. */
    static final Sifting EMPTY = new Sifting(
            new LinkedHashMap<>(), List.of(), new TreeMap<>(), new TreeMap<>(), new LinkedHashMap<>(), List.of(), 1);

    public Sifting {
        decisions = Collections.unmodifiableSequencedMap(decisions);
        rules = List.copyOf(rules);
        tags = Collections.unmodifiableSortedMap(tags);
        lists = Collections.unmodifiableSortedMap(lists);
        views = Collections.unmodifiableSequencedMap(views);
        columns = List.copyOf(columns);
    }

    /**
     * After some entries, in order; one about a rule that does not exist any more changes nothing. What a hand said of
     * thousands of keywords is copied once, not for each of them.
     */
    Sifting after(List<SiftEntry> entries) {
        Draft draft = new Draft(this);
        entries.forEach(draft::apply);
        return draft.sifting();
    }

    /** Decisions being changed. */
    private static final class Draft {
        private final SequencedMap<String, Status> decisions;
        private final List<Rule> rules;
        private final SortedMap<String, SequencedMap<String, Boolean>> tags = new TreeMap<>();
        private final SortedMap<String, WordList> lists;
        private final SequencedMap<String, Condition> views;
        private List<String> columns;
        private int nextRule;

        Draft(Sifting before) {
            decisions = new LinkedHashMap<>(before.decisions);
            rules = new ArrayList<>(before.rules);
            before.tags.forEach((tag, said) -> tags.put(tag, new LinkedHashMap<>(said)));
            lists = new TreeMap<>(before.lists);
            views = new LinkedHashMap<>(before.views);
            columns = before.columns;
            nextRule = before.nextRule;
        }

        Sifting sifting() {
            return new Sifting(decisions, rules, tags, lists, views, columns, nextRule);
        }

        void apply(SiftEntry entry) {
            switch (entry) {
                case SiftEntry.Judged judged -> {
                    judged.texts().forEach(text -> decisions.putLast(text, judged.status()));
                    judged.also().forEach(text -> decisions.putLast(text, judged.status()));
                }
                case SiftEntry.GivenBack back -> {
                    back.texts().forEach(decisions::remove);
                    back.also().forEach(decisions::remove);
                }
                case SiftEntry.RuleAdded added -> {
                    // A recipe from elsewhere may give a number twice: the later rule wins.
                    rules.removeIf(rule -> rule.number() == added.rule().number());
                    rules.add(added.rule());
                    nextRule = Math.max(nextRule, added.rule().number() + 1);
                }
                case SiftEntry.RuleChanged changed ->
                    rules.replaceAll(rule -> rule.number() == changed.rule().number() ? changed.rule() : rule);
                case SiftEntry.RuleRemoved removed -> rules.removeIf(rule -> rule.number() == removed.number());
                case SiftEntry.RuleMoved moved -> Numbered.move(rules, Rule::number, moved.number(), moved.place());
                case SiftEntry.Tagged tagged -> tag(tagged);
                case SiftEntry.ViewSaved saved -> views.put(saved.name(), saved.what());
                case SiftEntry.ViewRemoved removed -> views.remove(removed.name());
                case SiftEntry.ListTaken taken -> lists.put(taken.list().name(), taken.list());
                case SiftEntry.ColumnsChosen chosen -> columns = chosen.columns();
            }
        }

        private void tag(SiftEntry.Tagged tagged) {
            SequencedMap<String, Boolean> said = tags.computeIfAbsent(tagged.tag(), tag -> new LinkedHashMap<>());
            tagged.texts().forEach(text -> said.putLast(text, tagged.on()));
            tagged.also().forEach(text -> said.putLast(text, tagged.on()));
        }
    }

    /** Whether it says the same in the same order: of two decisions on one keyword the later holds. */
    boolean sameAs(Sifting other) {
        return equals(other)
                && judgesAs(other)
                && List.copyOf(views.entrySet()).equals(List.copyOf(other.views.entrySet()));
    }

    /** Whether judging would come out the same; of two decisions in one keyword the later wins, so their order counts. */
    public boolean judgesAs(Sifting other) {
        return rules.equals(other.rules)
                && tagsAs(other)
                && lists.equals(other.lists)
                && List.copyOf(decisions.entrySet()).equals(List.copyOf(other.decisions.entrySet()));
    }

    /** Whether some rule asks for what keywords are for. */
    public boolean asksForIntent() {
        return rules.stream().anyMatch(rule -> rule.when().asksForIntent());
    }

    private boolean tagsAs(Sifting other) {
        return tags.equals(other.tags)
                && tags.keySet().stream().allMatch(tag -> inOrder(tag).equals(other.inOrder(tag)));
    }

    private List<java.util.Map.Entry<String, Boolean>> inOrder(String tag) {
        return List.copyOf(tags.getOrDefault(tag, new LinkedHashMap<>()).entrySet());
    }
}
