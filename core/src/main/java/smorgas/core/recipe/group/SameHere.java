package smorgas.core.recipe.group;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import smorgas.core.text.Refusal;

/**
 * Which words mean the same in a project, beside those that do in any trade: they count as one when groups form, and fold no
 * keywords.
 *
 * @param sets tidy words and phrases, at least two in each, none in two of them
 * @param apart tidy words that mean the same as no other, whatever a shipped list says
 */
public record SameHere(List<SortedSet<String>> sets, SortedSet<String> apart) {

    /** Nothing but what the shipped lists say. */
    public static final SameHere NOTHING = new SameHere(List.of(), new TreeSet<>());

    public SameHere {
        sets = sets.stream()
                .<SortedSet<String>>map(set -> Collections.unmodifiableSortedSet(new TreeSet<>(set)))
                .toList();
        Set<String> all = new HashSet<>();
        for (SortedSet<String> set : sets) {
            if (set.size() < 2 || !set.stream().allMatch(all::add)) {
                throw new Refusal("group.same-here.give-least-two-words");
            }
        }
        all.addAll(apart);
        if (all.stream().anyMatch(String::isBlank)) {
            throw new Refusal("group.same-here.name-words-mean-same");
        }
        apart = Collections.unmodifiableSortedSet(new TreeSet<>(apart));
    }

    /** After some words were joined, with all that mean the same as one of them already. */
    public SameHere joined(Collection<String> words) {
        SortedSet<String> one = new TreeSet<>(words);
        List<SortedSet<String>> next = new ArrayList<>();
        for (SortedSet<String> set : sets) {
            if (Collections.disjoint(set, words)) {
                next.add(set);
            } else {
                one.addAll(set);
            }
        }
        if (one.size() > 1) {
            next.add(one);
        }
        SortedSet<String> others = new TreeSet<>(apart);
        others.removeAll(words);
        return new SameHere(next, others);
    }

    /** After some words were told apart from all others. */
    public SameHere parted(Collection<String> words) {
        List<SortedSet<String>> next = new ArrayList<>();
        for (SortedSet<String> set : sets) {
            SortedSet<String> left = new TreeSet<>(set);
            left.removeAll(words);
            if (left.size() > 1) {
                next.add(left);
            }
        }
        SortedSet<String> more = new TreeSet<>(apart);
        more.addAll(words);
        return new SameHere(next, more);
    }

    /** After words that were told apart count again as a shipped list says. */
    public SameHere asShipped(Collection<String> words) {
        SortedSet<String> fewer = new TreeSet<>(apart);
        fewer.removeAll(words);
        return new SameHere(sets, fewer);
    }
}
