package smorgas.core.group.hand;

import java.util.BitSet;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.GroupsByHand;

/**
 * What a hand decided of groups, by the keywords of one fold. A text that no keyword has any more decides nothing.
 *
 * @param decisions what it decided, by texts; what is said there of groups alone holds as it is
 * @param placed by keyword the key of the group where a hand put it; empty for none
 * @param locked by key, the keywords that are in it, and no others
 * @param barred by keyword, the keys of groups in which it never is
 * @param alsoIn by keyword, the keys of groups in which it is beside its own
 * @param adopted by keyword the key of the group that it was adopted in; empty while groups form by themselves
 */
public record Hand(
        GroupsByHand decisions,
        SortedMap<Integer, String> placed,
        SortedMap<String, BitSet> locked,
        SortedMap<Integer, SortedSet<String>> barred,
        SortedMap<Integer, SortedSet<String>> alsoIn,
        SortedMap<Integer, String> adopted) {

    /** A hand that has decided nothing. */
    public static final Hand NONE = new Hand(
            GroupsByHand.NONE, new TreeMap<>(), new TreeMap<>(), new TreeMap<>(), new TreeMap<>(), new TreeMap<>());

    /** The decisions by keyword; of two decisions on one keyword the later holds. */
    public static Hand of(GroupsByHand decisions, Keywords keywords) {
        SortedMap<Integer, String> placed = new TreeMap<>();
        decisions.placed().forEach((text, group) -> keywords.meant(text).ifPresent(k -> placed.put(k, group)));
        SortedMap<String, BitSet> locked = new TreeMap<>();
        decisions.locked().forEach((group, texts) -> {
            BitSet in = new BitSet();
            texts.forEach(text -> keywords.meant(text).ifPresent(in::set));
            locked.put(group, in);
        });
        SortedMap<Integer, String> adopted = new TreeMap<>();
        decisions.adopted().forEach((text, group) -> keywords.meant(text)
                .ifPresent(k -> adopted.putIfAbsent(k, group)));
        return new Hand(
                decisions,
                placed,
                locked,
                byKeyword(decisions.barred(), keywords),
                byKeyword(decisions.alsoIn(), keywords),
                adopted);
    }

    private static SortedMap<Integer, SortedSet<String>> byKeyword(
            Map<String, SortedSet<String>> byText, Keywords keywords) {
        SortedMap<Integer, SortedSet<String>> sets = new TreeMap<>();
        byText.forEach(
                (text, groups) -> keywords.meant(text).ifPresent(k -> sets.computeIfAbsent(k, fresh -> new TreeSet<>())
                        .addAll(groups)));
        return sets;
    }

    /** Every key by which a hand knows a group. */
    public SortedSet<String> keys() {
        SortedSet<String> keys = new TreeSet<>(placed.values());
        keys.addAll(decisions.made());
        keys.addAll(decisions.joined().keySet());
        keys.addAll(decisions.joined().values());
        keys.addAll(decisions.split().keySet());
        keys.addAll(locked.keySet());
        barred.values().forEach(keys::addAll);
        alsoIn.values().forEach(keys::addAll);
        keys.addAll(decisions.names().keySet());
        return keys;
    }

    public boolean bars(int keyword, String group) {
        SortedSet<String> groups = barred.get(keyword);
        return groups != null && groups.contains(group);
    }
}
