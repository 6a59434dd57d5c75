package smorgas.core.group;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.IntFunction;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.group.hand.Hand;

/** By which key each group goes that an engine found: that by which a hand knows it, if it does. */
final class HandKeys {

    private final ThemeWords words;
    private final Hand hand;
    /** By the words of a theme in any order, the key by which a hand knows its group. */
    private final Map<String, String> known = new HashMap<>();

    HandKeys(ThemeWords words, Hand hand, Set<String> ofRules) {
        this.words = words;
        this.hand = hand;
        // Of two that are the same theme the first in the order of texts.
        hand.keys().stream().filter(key -> !ofRules.contains(key)).forEach(key -> words.find(key)
                .ifPresent(theme -> known.putIfAbsent(inAnyOrder(theme), key)));
    }

    /** What two themes of the same words have in common, in whatever order these stand. */
    private static String inAnyOrder(int[] theme) {
        return Arrays.toString(Arrays.stream(theme).sorted().distinct().toArray());
    }

    /**
     * What a theme's group is known by: as a hand knows it already, for other lists may turn its words round or show them in
     * another form; else its words as they stand.
     */
    String of(int[] theme) {
        return known.getOrDefault(inAnyOrder(theme), words.text(theme));
    }

    /**
     * What tells the groups apart. A group that goes by one of its keywords goes by the one by which a hand knows it, if it has
     * that.
     */
    String[] of(Engine.Found found, int[] scope, IntFunction<String> texts) {
        String[] keys = new String[found.themes().length];
        for (int group = 0; group < keys.length; group++) {
            keys[group] = found.keys()[group].isEmpty() ? of(found.themes()[group]) : found.keys()[group];
        }
        Set<String> byHand = hand.keys();
        Set<Integer> taken = new HashSet<>();
        for (int i = 0; i < scope.length && !byHand.isEmpty(); i++) {
            int group = found.group()[i];
            String text = texts.apply(scope[i]);
            // Not by one that a hand took out of it to make a group of its own.
            boolean leaves = text.equals(hand.placed().get(scope[i]));
            if (group >= 0 && !found.keys()[group].isEmpty() && byHand.contains(text) && !leaves && taken.add(group)) {
                keys[group] = text;
            }
        }
        return keys;
    }
}
