package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.core.group.same.IntendedWords;
import smorgas.core.group.same.SameWords;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.group.GroupSettings;

/**
 * What one core reads of some keywords that stand next to each other: their terms, numbered in the order in which they first
 * come here. Part by part they are numbered anew, as if one had read them all.
 */
final class TermPart {

    /** What all parts read by. */
    record By(IntendedWords written, SameWords same, GroupSettings settings, String language, Set<String> behind) {}

    private final By by;
    private final WordForms stems;
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<String> texts = new ArrayList<>();
    private final List<String> shown = new ArrayList<>();
    /** By keyword one after the other: what is in it, as {@link #term} and {@link #said} say. */
    private final IntArrayList read = new IntArrayList();

    private final IntArrayList ends = new IntArrayList();
    private final BitSet slips = new BitSet();

    TermPart(By by, int from, int to) {
        this.by = by;
        // For one thread: it remembers.
        this.stems = WordForms.stems(by.language());
        for (int keyword = from; keyword < to; keyword++) {
            read(by.written().words(keyword));
            ends.add(read.size());
            slips.set(keyword - from, by.written().slips(keyword));
        }
    }

    private void read(List<String> words) {
        int begun = read.size();
        boolean closed = false;
        boolean named = false;
        for (int at = 0; at < words.size(); at++) {
            String word = words.get(at);
            closed |= named && by.behind().contains(word);
            if (by.settings().ignored().contains(word)) {
                continue;
            }
            SameWords.Match match = by.same().match(words, at, stems);
            if (match != null && !by.same().ofTrade(match.meaning())) {
                if (!stands(-1 - match.meaning(), begun, read.size())) {
                    read.add((-1 - match.meaning()) << 1);
                }
                at += match.words() - 1;
            } else if (match != null || !by.settings().stopWords().contains(word)) {
                // Words that mean the same here are one as words of the trade are.
                String one = match == null
                        ? word
                        : by.same().meaning(match.meaning()).name();
                boolean heads = !closed && !Character.isDigit(word.charAt(0));
                read.add(number(one) << 1 | (heads ? 1 : 0));
                named = true;
                at += match == null ? 0 : match.words() - 1;
            }
        }
    }

    /** Whether a term, or a meaning as {@link #what} tells it, stands between two places. */
    private boolean stands(int what, int from, int to) {
        for (int at = from; at < to; at++) {
            if (what(at) == what) {
                return true;
            }
        }
        return false;
    }

    /** The term at a place; below zero where there is a meaning. */
    private int what(int at) {
        return read.getInt(at) >> 1;
    }

    private int number(String one) {
        String stem = stems.of(one);
        Integer known = numbers.get(stem);
        if (known != null) {
            return known;
        }
        numbers.put(stem, texts.size());
        texts.add(stem);
        shown.add(one);
        return texts.size() - 1;
    }

    /** The terms, each as a stem. */
    List<String> texts() {
        return texts;
    }

    /** The same as some keyword writes them. */
    List<String> shown() {
        return shown;
    }

    int keywords() {
        return ends.size();
    }

    /** Whether a word of a keyword looks misspelt. */
    boolean slips(int keyword) {
        return slips.get(keyword);
    }

    int from(int keyword) {
        return keyword == 0 ? 0 : ends.getInt(keyword - 1);
    }

    int to(int keyword) {
        return ends.getInt(keyword);
    }

    /** The term at a place; -1 where something is said that is of no trade. A keyword may have one more than once. */
    int term(int at) {
        return Math.max(-1, what(at));
    }

    /** Whether the term at a place of a keyword stands at none before it. */
    boolean first(int keyword, int at) {
        return !stands(what(at), from(keyword), at);
    }

    /** Whether the term at a place may be what its keyword is one of, if it is no unit. */
    boolean heads(int at) {
        return (read.getInt(at) & 1) == 1;
    }

    /** The meaning at a place where there is no term. */
    int said(int at) {
        return -1 - what(at);
    }
}
