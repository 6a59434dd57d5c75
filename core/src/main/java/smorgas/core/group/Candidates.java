package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import java.util.Arrays;
import java.util.BitSet;
import smorgas.core.column.RaggedInts;
import smorgas.core.fold.FoldedWords;
import smorgas.core.recipe.GroupSettings;

/**
 * The phrases on which groups may form: runs of words that stand next to each other in at least as many keywords as the
 * smallest group has, without muted words, neither beginning nor ending with a stop word or a lone letter. Found length by
 * length: a phrase can only be frequent if its beginning is (Agrawal and Srikant 1994), so rare ones are never extended.
 *
 * <p>This file is written for speed: phrases are ints, and a phrase of n words is the pair of its first n - 1 and its
 * last word.
 */
final class Candidates {

    private static final int NONE = -1;

    private final RaggedInts words;
    private final FoldedWords folded;
    private final GroupSettings settings;
    private final boolean[] muted;
    private final boolean[] edge;

    private final Long2IntOpenHashMap phrases = new Long2IntOpenHashMap();
    private final IntArrayList parents = new IntArrayList();
    private final IntArrayList lastWords = new IntArrayList();
    private final IntArrayList lengths = new IntArrayList();
    private final IntArrayList counts = new IntArrayList();
    private final IntArrayList lastSeenIn = new IntArrayList();

    /** By length - 1: the phrase that begins at each token, or {@link #NONE}. Tokens are counted over the scope. */
    private final int[][] phraseAt;

    private final int[] scope;
    private final int[] firstToken;
    /** For each phrase its place among the candidates in the order of their texts, or {@link #NONE}. */
    private int[] rankOf = {};

    private int[] byRank = {};

    Candidates(FoldedWords folded, BitSet inScope, GroupSettings settings) {
        this.words = folded.rows();
        this.folded = folded;
        this.settings = settings;
        this.muted = new boolean[folded.size()];
        this.edge = new boolean[folded.size()];
        this.scope = inScope.stream().toArray();
        this.firstToken = new int[scope.length + 1];
        this.phraseAt = new int[settings.longest()][];
        phrases.defaultReturnValue(NONE);
        for (int i = 0; i < scope.length; i++) {
            firstToken[i + 1] = firstToken[i] + words.length(scope[i]);
        }
        for (int w = 0; w < muted.length; w++) {
            String word = folded.text(w);
            edge[w] = settings.stopWords().contains(word)
                    || word.length() == 1 && Character.isLetter(word.charAt(0)) && word.charAt(0) < 0x250;
        }
        for (String word : settings.muted()) {
            folded.find(word).filter(found -> found.length == 1).ifPresent(found -> muted[found[0]] = true);
        }
        find();
    }

    private void find() {
        for (int length = 1; length <= settings.longest(); length++) {
            extendTo(length);
        }
        IntArrayList candidates = new IntArrayList();
        for (int p = 0; p < counts.size(); p++) {
            if (lengths.getInt(p) >= settings.shortest()
                    && counts.getInt(p) >= settings.smallest()
                    && !edge[lastWords.getInt(p)]) {
                candidates.add(p);
            }
        }
        int[] sorted = candidates.toIntArray();
        String[] texts = new String[counts.size()];
        for (int p : sorted) {
            texts[p] = text(p);
        }
        // Ties are broken by the text, never by the order in which keywords came.
        IntArrays.quickSort(sorted, (a, b) -> texts[a].compareTo(texts[b]));
        byRank = sorted;
        rankOf = new int[counts.size()];
        Arrays.fill(rankOf, NONE);
        for (int rank = 0; rank < sorted.length; rank++) {
            rankOf[sorted[rank]] = rank;
        }
    }

    private void extendTo(int length) {
        int[] here = new int[firstToken[scope.length]];
        Arrays.fill(here, NONE);
        phraseAt[length - 1] = here;
        for (int i = 0; i < scope.length; i++) {
            int keyword = scope[i];
            for (int token = firstToken[i]; token + length <= firstToken[i + 1]; token++) {
                int last = words.get(keyword, token - firstToken[i] + length - 1);
                int parent = length == 1 ? NONE : phraseAt[length - 2][token];
                boolean begins =
                        length == 1 ? !edge[last] : parent != NONE && counts.getInt(parent) >= settings.smallest();
                if (begins && !muted[last]) {
                    here[token] = count(parent, last, length, i);
                }
            }
        }
    }

    private int count(int parent, int last, int length, int seenIn) {
        long key = ((long) parent + 1) << 32 | last;
        int phrase = phrases.get(key);
        if (phrase == NONE) {
            phrase = counts.size();
            phrases.put(key, phrase);
            parents.add(parent);
            lastWords.add(last);
            lengths.add(length);
            counts.add(0);
            lastSeenIn.add(NONE);
        }
        if (lastSeenIn.getInt(phrase) != seenIn) {
            lastSeenIn.set(phrase, seenIn);
            counts.set(phrase, counts.getInt(phrase) + 1);
        }
        return phrase;
    }

    private String text(int phrase) {
        String last = folded.text(lastWords.getInt(phrase));
        int parent = parents.getInt(phrase);
        return parent == NONE ? last : text(parent) + " " + last;
    }

    /** How many candidates there are; they are numbered by the order of their texts. */
    int size() {
        return byRank.length;
    }

    String textOf(int candidate) {
        return text(byRank[candidate]);
    }

    /** In how many keywords of the scope the candidate stands. */
    int members(int candidate) {
        return counts.getInt(byRank[candidate]);
    }

    int length(int candidate) {
        return lengths.getInt(byRank[candidate]);
    }

    /** The keywords of the scope, rising. */
    int[] scope() {
        return scope;
    }

    /** The candidate of this length that begins at a token of the scope's i-th keyword; -1 if none does. */
    int at(int i, int token, int length) {
        int[] row = phraseAt[length - 1];
        int phrase = row[firstToken[i] + token];
        return phrase == NONE ? NONE : rankOf[phrase];
    }

    boolean isMuted(int word) {
        return muted[word];
    }
}
