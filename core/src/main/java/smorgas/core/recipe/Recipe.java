package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import smorgas.core.column.Figure;
import smorgas.core.column.Merge;

/**
 * What the entries in force come to: which baskets are in, the pins, the rules in their order, the settings. A pure
 * function of the entries and the language; cannot change.
 *
 * @param baskets the project's baskets, those switched off too, in the order they came
 * @param folding what decides which lines are one keyword
 * @param merges how each figure is merged when lines disagree
 * @param pins by tidy text, the standing that a hand gave last; the latest decision comes last
 * @param rules in the order in which they judge
 * @param tags by tag, what a hand said of tidy texts: whether they have it; the latest decision comes last
 * @param lists the word lists that the project has taken, by name
 * @param views saved filters by name, in the order in which they were saved first
 * @param columns of the keyword table, in order; empty until some were chosen
 * @param alternatives settings of Group kept by name, in the order in which they were kept first
 * @param groupRules rules that make groups, those of the highest priority first
 * @param groupPins what a hand decided of groups
 * @param negatives words that leave as negatives though they block what the plan serves
 * @param nextRule the number for the next rule
 * @param nextGroupRule the number for the next rule that makes a group
 */
public record Recipe(
        List<BasketState> baskets,
        Folding folding,
        Map<Figure, Merge> merges,
        SequencedMap<String, Standing> pins,
        List<Rule> rules,
        SortedMap<String, SequencedMap<String, Boolean>> tags,
        SortedMap<String, WordList> lists,
        SequencedMap<String, Condition> views,
        List<String> columns,
        GroupSettings groups,
        SequencedMap<String, GroupSettings> alternatives,
        List<GroupRule> groupRules,
        GroupPins groupPins,
        PlanSettings plan,
        SortedSet<String> negatives,
        int nextRule,
        int nextGroupRule) {

    /** The recipe of a project in which nothing was decided. */
    public static Recipe empty(String language) {
        return of(List.of(), language);
    }

    /**
     * Applies the entries in order. An entry about a rule that does not exist any more changes nothing.
     *
     * @param language decides the stop words until settings were chosen
     */
    public static Recipe of(List<Entry> entries, String language) {
        return of(entries, language, Edition.NEWEST);
    }

    /**
     * Applies the entries in order.
     *
     * @param edition that of the project, until an entry chooses another
     */
    public static Recipe of(List<Entry> entries, String language, Edition edition) {
        Map<Long, BasketState> baskets = new LinkedHashMap<>();
        Map<Figure, Merge> merges = new EnumMap<>(Figure.class);
        for (Figure figure : Figure.values()) {
            merges.put(figure, figure.standardMerge());
        }
        Folding folding = Folding.standard(language, edition);
        SequencedMap<String, Standing> pins = new LinkedHashMap<>();
        List<Rule> rules = new ArrayList<>();
        SortedMap<String, SequencedMap<String, Boolean>> tags = new TreeMap<>();
        SortedMap<String, WordList> lists = new TreeMap<>();
        SequencedMap<String, Condition> views = new LinkedHashMap<>();
        List<String> columns = List.of();
        GroupSettings groups = GroupSettings.standard(language);
        SequencedMap<String, GroupSettings> alternatives = new LinkedHashMap<>();
        List<GroupRule> groupRules = new ArrayList<>();
        GroupPins groupPins = GroupPins.NONE;
        PlanSettings plan = PlanSettings.standard();
        SortedSet<String> negatives = new TreeSet<>();
        int nextRule = 1;
        int nextGroupRule = 1;
        for (Entry entry : RecipeTaken.inForce(entries)) {
            switch (entry) {
                case Entry.OfBasket ofBasket -> apply(baskets, ofBasket);
                case Entry.MergeChosen chosen -> merge(merges, chosen, folding.edition());
                case Entry.OfFolding ofFolding -> folding = folding.after(ofFolding);
                case Entry.Judged judged -> {
                    judged.texts().forEach(text -> pins.putLast(text, judged.standing()));
                    judged.also().forEach(text -> pins.putLast(text, judged.standing()));
                }
                case Entry.GivenBack back -> {
                    back.texts().forEach(pins::remove);
                    back.also().forEach(pins::remove);
                }
                case Entry.NegativeSettled settled -> {
                    if (settled.leaves()) {
                        negatives.add(settled.word());
                    } else {
                        negatives.remove(settled.word());
                    }
                }
                case Entry.RuleAdded added -> {
                    // A recipe from elsewhere may give a number twice: the later rule wins.
                    rules.removeIf(rule -> rule.number() == added.rule().number());
                    rules.add(added.rule());
                    nextRule = Math.max(nextRule, added.rule().number() + 1);
                }
                case Entry.RuleChanged changed ->
                    rules.replaceAll(rule -> rule.number() == changed.rule().number() ? changed.rule() : rule);
                case Entry.Tagged tagged -> tag(tags, tagged);
                case Entry.ViewSaved saved -> views.put(saved.name(), saved.what());
                case Entry.ViewRemoved removed -> views.remove(removed.name());
                case Entry.ListTaken taken -> lists.put(taken.list().name(), taken.list());
                case Entry.ColumnsChosen chosen -> columns = chosen.columns();
                case Entry.RuleRemoved removed -> rules.removeIf(rule -> rule.number() == removed.number());
                case Entry.RuleMoved moved -> move(rules, Rule::number, moved.number(), moved.place());
                case Entry.WordsMuted muted -> groups = mute(groups, muted);
                case Entry.GroupSettingsChosen chosen -> groups = chosen.settings();
                case Entry.AlternativeKept kept -> alternatives.put(kept.name(), kept.settings());
                case Entry.AlternativeDropped dropped -> alternatives.remove(dropped.name());
                case Entry.GroupRuleSet set -> {
                    set(groupRules, set.rule());
                    nextGroupRule = Math.max(nextGroupRule, set.rule().number() + 1);
                }
                case Entry.GroupRuleRemoved removed -> groupRules.removeIf(rule -> rule.number() == removed.number());
                case Entry.GroupRuleMoved moved -> move(groupRules, GroupRule::number, moved.number(), moved.place());
                case GroupPin pin -> groupPins = groupPins.after(pin);
                case Entry.PlanSettingsChosen chosen -> plan = chosen.settings();
                case RecipeTaken taken ->
                    throw new IllegalStateException("its entries stand in its place: " + taken.name());
            }
        }
        return new Recipe(
                List.copyOf(baskets.values()),
                folding,
                Collections.unmodifiableMap(merges),
                Collections.unmodifiableSequencedMap(pins),
                List.copyOf(rules),
                Collections.unmodifiableSortedMap(tags),
                Collections.unmodifiableSortedMap(lists),
                Collections.unmodifiableSequencedMap(views),
                columns,
                groups,
                Collections.unmodifiableSequencedMap(alternatives),
                List.copyOf(groupRules),
                groupPins,
                plan,
                Collections.unmodifiableSortedSet(negatives),
                nextRule,
                nextGroupRule);
    }

    /** The decisions that count, in order: nothing about baskets, and of a recipe that was taken its own. */
    public static List<Entry> decisions(List<Entry> entries) {
        return RecipeTaken.inForce(entries).stream()
                .filter(entry -> !(entry instanceof Entry.OfBasket))
                .toList();
    }

    /** From the second edition on, figures that belong together are merged in one way: that of the first of them. */
    private static void merge(Map<Figure, Merge> merges, Entry.MergeChosen chosen, Edition edition) {
        merges.put(chosen.figure(), chosen.merge());
        if (edition.atLeast(Edition.SECOND)) {
            chosen.figure().family().forEach(figure -> merges.put(figure, chosen.merge()));
        }
    }

    /** An entry about a basket that is not there (any more) changes nothing. */
    private static void apply(Map<Long, BasketState> baskets, Entry.OfBasket entry) {
        long basket = entry.basket();
        switch (entry) {
            case Entry.BasketAdded added ->
                baskets.put(basket, new BasketState(basket, added.name(), Optional.empty(), ReadAs.FOUND, true));
            case Entry.BasketRemoved removed -> baskets.remove(basket);
            case Entry.BasketDescribed described ->
                baskets.computeIfPresent(basket, (key, state) -> state.described(described.info()));
            case Entry.BasketSwitched switched ->
                baskets.computeIfPresent(basket, (key, state) -> state.switched(switched.on()));
            case Entry.BasketReadAs read -> baskets.computeIfPresent(basket, (key, state) -> state.read(read.readAs()));
            case Entry.BasketRenewed renewed -> renew(baskets, renewed);
        }
    }

    /** The newer version takes the place of the older one in the order of the baskets. */
    private static void renew(Map<Long, BasketState> baskets, Entry.BasketRenewed renewed) {
        if (!baskets.containsKey(renewed.basket())) {
            return;
        }
        List<BasketState> inOrder = List.copyOf(baskets.values());
        baskets.clear();
        for (BasketState state : inOrder) {
            BasketState next = state.basket() == renewed.basket() ? state.renewed(renewed.by()) : state;
            baskets.put(next.basket(), next);
        }
    }

    private static void tag(SortedMap<String, SequencedMap<String, Boolean>> tags, Entry.Tagged tagged) {
        SequencedMap<String, Boolean> pins = tags.computeIfAbsent(tagged.tag(), tag -> new LinkedHashMap<>());
        tagged.texts().forEach(text -> pins.putLast(text, tagged.on()));
        tagged.also().forEach(text -> pins.putLast(text, tagged.on()));
    }

    private static <R> void move(List<R> rules, ToIntFunction<R> number, int moved, int place) {
        for (int i = 0; i < rules.size(); i++) {
            if (number.applyAsInt(rules.get(i)) == moved) {
                R rule = rules.remove(i);
                rules.add(Math.clamp(place, 0, rules.size()), rule);
                return;
            }
        }
    }

    /** In the place of the rule of that number, or below the others. */
    private static void set(List<GroupRule> rules, GroupRule rule) {
        for (int i = 0; i < rules.size(); i++) {
            if (rules.get(i).number() == rule.number()) {
                rules.set(i, rule);
                return;
            }
        }
        rules.add(rule);
    }

    private static GroupSettings mute(GroupSettings groups, Entry.WordsMuted muted) {
        SortedSet<String> words = new TreeSet<>(groups.muted());
        if (muted.muted()) {
            words.addAll(muted.words());
        } else {
            words.removeAll(muted.words());
        }
        return groups.withMuted(words);
    }

    /** The recipe with other group settings, to look at before they are chosen. */
    public Recipe withGroups(GroupSettings settings) {
        return new Recipe(
                baskets,
                folding,
                merges,
                pins,
                rules,
                tags,
                lists,
                views,
                columns,
                settings,
                alternatives,
                groupRules,
                groupPins,
                plan,
                negatives,
                nextRule,
                nextGroupRule);
    }

    /** Whether it says the same in the same order: of two decisions on one keyword the later holds. */
    public boolean sameAs(Recipe other) {
        return equals(other)
                && judgesAs(other)
                && groupPins.sameAs(other.groupPins)
                && List.copyOf(views.entrySet()).equals(List.copyOf(other.views.entrySet()))
                && List.copyOf(alternatives.entrySet()).equals(List.copyOf(other.alternatives.entrySet()));
    }

    /** Whether the same keywords would be grouped the same. */
    public boolean groupsAs(Recipe other) {
        return groups.equals(other.groups) && groupRules.equals(other.groupRules) && groupPins.sameAs(other.groupPins);
    }

    /** Whether judging would come out the same; of two pins in one keyword the later wins, so their order counts. */
    public boolean judgesAs(Recipe other) {
        return rules.equals(other.rules)
                && tags.equals(other.tags)
                && tags.entrySet().stream()
                        .allMatch(tag -> List.copyOf(tag.getValue().entrySet())
                                .equals(List.copyOf(Objects.requireNonNull(other.tags.get(tag.getKey()))
                                        .entrySet())))
                && lists.equals(other.lists)
                && List.copyOf(pins.entrySet()).equals(List.copyOf(other.pins.entrySet()));
    }
}
