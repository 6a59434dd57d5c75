package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.SortedSet;
import java.util.TreeSet;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.SameHere;

/**
 * What was decided of groups.
 *
 * @param settings how groups form
 * @param alternatives settings kept by name, in the order in which they were kept first
 * @param rules those that make groups, of the highest priority first
 * @param decisions what a hand decided of groups
 * @param refused offers about groups that are made no more
 * @param nextRule the number for the next rule
 */
public record GroupDecisions(
        GroupSettings settings,
        SequencedMap<String, GroupSettings> alternatives,
        List<GroupRule> rules,
        GroupsByHand decisions,
        SortedSet<String> refused,
        int nextRule) {

    public GroupDecisions {
        alternatives = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(alternatives));
        rules = List.copyOf(rules);
        refused = Collections.unmodifiableSortedSet(new TreeSet<>(refused));
    }

    /** Nothing decided but how groups form. */
    static GroupDecisions standard(GroupSettings settings) {
        return new GroupDecisions(settings, new LinkedHashMap<>(), List.of(), GroupsByHand.NONE, new TreeSet<>(), 1);
    }

    /** After an entry; one about a rule that does not exist any more changes nothing. */
    GroupDecisions after(GroupEntry entry) {
        return switch (entry) {
            case GroupDecision decision -> with(decisions.after(List.of(decision)));
            case GroupEntry.WordsIgnored ignored -> with(ignored(ignored));
            case GroupEntry.WordsSame words -> with(settings.with(same(words)));
            case GroupEntry.OffersRefused offers -> refused(offers);
            case GroupEntry.GroupSettingsChosen chosen -> with(chosen.settings());
            case GroupEntry.GroupsAdopted adopted ->
                with(adopted.settings()).with(decisions.after(List.of(adopted.adopted())));
            case GroupEntry.AlternativeKept kept -> {
                SequencedMap<String, GroupSettings> next = new LinkedHashMap<>(alternatives);
                next.put(kept.name(), kept.settings());
                yield new GroupDecisions(settings, next, rules, decisions, refused, nextRule);
            }
            case GroupEntry.AlternativeDropped dropped -> {
                SequencedMap<String, GroupSettings> next = new LinkedHashMap<>(alternatives);
                next.remove(dropped.name());
                yield new GroupDecisions(settings, next, rules, decisions, refused, nextRule);
            }
            case GroupEntry.GroupRuleSet set -> {
                List<GroupRule> next = new ArrayList<>(rules);
                Numbered.put(next, GroupRule::number, set.rule());
                yield with(next, Math.max(nextRule, set.rule().number() + 1));
            }
            case GroupEntry.GroupRuleRemoved removed ->
                with(
                        rules.stream()
                                .filter(rule -> rule.number() != removed.number())
                                .toList(),
                        nextRule);
            case GroupEntry.GroupRuleMoved moved -> {
                List<GroupRule> next = new ArrayList<>(rules);
                Numbered.move(next, GroupRule::number, moved.number(), moved.place());
                yield with(next, nextRule);
            }
        };
    }

    private GroupDecisions refused(GroupEntry.OffersRefused offers) {
        SortedSet<String> next = new TreeSet<>(refused);
        if (offers.on()) {
            next.addAll(offers.offers());
        } else {
            next.removeAll(offers.offers());
        }
        return new GroupDecisions(settings, alternatives, rules, decisions, next, nextRule);
    }

    /** After some entries, in order: what a hand said of thousands of keywords is copied once, not for each of them. */
    GroupDecisions after(List<GroupEntry> entries) {
        GroupDecisions next = this;
        List<GroupDecision> further = new ArrayList<>();
        for (GroupEntry entry : entries) {
            if (entry instanceof GroupDecision decision) {
                further.add(decision);
            } else if (entry instanceof GroupEntry.GroupsAdopted adopted) {
                next = next.with(adopted.settings());
                further.add(adopted.adopted());
            } else {
                next = next.after(entry);
            }
        }
        // Decisions and the rest know nothing of each other.
        return next.with(decisions.after(further));
    }

    private SameHere same(GroupEntry.WordsSame entry) {
        SameHere same = settings.same();
        for (List<String> set : entry.sets()) {
            same = switch (entry.way()) {
                case SAME -> same.joined(set);
                case APART -> same.parted(set);
                case AS_SHIPPED -> same.asShipped(set);
            };
        }
        return same;
    }

    private GroupSettings ignored(GroupEntry.WordsIgnored entry) {
        SortedSet<String> words = new TreeSet<>(settings.ignored());
        if (entry.ignored()) {
            words.addAll(entry.words());
        } else {
            words.removeAll(entry.words());
        }
        return settings.withIgnored(words);
    }

    private GroupDecisions with(List<GroupRule> otherRules, int next) {
        return new GroupDecisions(settings, alternatives, otherRules, decisions, refused, next);
    }

    private GroupDecisions with(GroupsByHand others) {
        return new GroupDecisions(settings, alternatives, rules, others, refused, nextRule);
    }

    /** The same with other settings, to look at before they are chosen. */
    public GroupDecisions with(GroupSettings others) {
        return new GroupDecisions(others, alternatives, rules, decisions, refused, nextRule);
    }

    /** Whether it says the same in the same order. */
    boolean sameAs(GroupDecisions other) {
        return equals(other)
                && decisions.sameAs(other.decisions)
                && List.copyOf(alternatives.entrySet()).equals(List.copyOf(other.alternatives.entrySet()));
    }

    /** Whether the same keywords would be grouped the same. */
    public boolean groupsAs(GroupDecisions other) {
        return settings.equals(other.settings) && rules.equals(other.rules) && decisions.sameAs(other.decisions);
    }

    /** Whether it counts what keywords are for. */
    public boolean asksForIntent() {
        return !settings.intentsApart().isEmpty()
                || rules.stream().anyMatch(rule -> rule.when().asksForIntent());
    }

    /** Whether some group is made by a rule that asks for tags, which judging may change. */
    public boolean asksForTags() {
        return rules.stream().anyMatch(rule -> rule.when().asksForTag());
    }
}
