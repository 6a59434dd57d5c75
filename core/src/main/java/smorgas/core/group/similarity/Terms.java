package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.concurrent.ConcurrentSkipListMap;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.same.IntendedWords;
import smorgas.core.group.same.SameWords;
import smorgas.core.language.Lexicon;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.SimilarityRules;

/**
 * What keywords are about: stems of the words of the trade, and what words of any trade say ("cheap"). Little words are left
 * out. Terms are numbered, those of the trade first. Cannot change.
 */
final class Terms {

    private final SameWords same;
    private final boolean firstHeads;
    private final RaggedInts rows;
    private final int[] heads;
    private final BitSet slips = new BitSet();
    private final List<String> texts = new ArrayList<>();
    /** Each term as a keyword writes it. */
    private final List<String> shown = new ArrayList<>();

    private final List<Boolean> units = new ArrayList<>();
    private final int things;
    private final int[] meaningOf;

    /**
     * Reads keywords.
     *
     * @param texts their lead spellings, tidy
     * @param settings whose stop words and ignored words say nothing
     */
    static Terms of(List<String> texts, GroupSettings settings, String language, SimilarityRules.Reading rules) {
        return new Terms(texts, settings, language, rules);
    }

    private Terms(List<String> keywords, GroupSettings settings, String language, SimilarityRules.Reading rules) {
        this.same = SameWords.of(language).with(settings.same(), WordForms.stems(language));
        this.firstHeads = Lexicon.of(language).firstHead();
        IntendedWords written = new IntendedWords(keywords, language, same.words(), rules);
        TermPart.By by = new TermPart.By(
                written, same, settings, language, Lexicon.of(language).behind());
        NavigableMap<Integer, TermPart> parts = new ConcurrentSkipListMap<>();
        Cores.run(keywords.size(), Similarity.FEW, (from, to) -> parts.put(from, new TermPart(by, from, to)));
        Iterator<int[]> ofPart = numbered(parts.values()).iterator();
        this.things = texts.size();
        this.heads = new int[keywords.size()];
        int[] place = new int[same.size()];
        Arrays.fill(place, -1);
        IntArrayList meanings = new IntArrayList();
        RaggedInts.Builder all = new RaggedInts.Builder();
        int keyword = 0;
        for (TermPart part : parts.values()) {
            int[] numbers = ofPart.next();
            for (int i = 0; i < part.keywords(); i++) {
                heads[keyword] = things(part, i, numbers, all);
                slips.set(keyword++, part.slips(i));
                said(part, i, place, meanings, all);
                all.endRow();
            }
        }
        this.rows = all.seal();
        this.meaningOf = meanings.toIntArray();
    }

    /** By part the number of each of its terms over all of them, in the order in which they first come. */
    private List<int[]> numbered(Collection<TermPart> parts) {
        Map<String, Integer> known = new HashMap<>();
        List<int[]> numbers = new ArrayList<>();
        for (TermPart part : parts) {
            int[] own = new int[part.texts().size()];
            for (int term = 0; term < own.length; term++) {
                String one = part.shown().get(term);
                own[term] = known.computeIfAbsent(part.texts().get(term), stem -> {
                    texts.add(stem);
                    shown.add(one);
                    units.add(IntendedWords.unit(one));
                    return known.size();
                });
            }
            numbers.add(own);
        }
        return numbers;
    }

    /** Adds what a keyword is about, once each; the term that it is one of, or -1. */
    private int things(TermPart part, int keyword, int[] numbers, RaggedInts.Builder row) {
        int head = -1;
        for (int at = part.from(keyword); at < part.to(keyword); at++) {
            if (part.term(at) >= 0) {
                int term = numbers[part.term(at)];
                if (part.heads(at) && !units.get(term) && (head < 0 || !firstHeads)) {
                    head = term;
                }
                if (part.first(keyword, at)) {
                    row.add(term);
                }
            }
        }
        return head;
    }

    /** Adds what else it says, each meaning numbered behind the terms of the trade when it first comes. */
    private void said(TermPart part, int keyword, int[] place, IntArrayList meanings, RaggedInts.Builder row) {
        for (int at = part.from(keyword); at < part.to(keyword); at++) {
            if (part.term(at) < 0) {
                int meaning = part.said(at);
                if (place[meaning] < 0) {
                    place[meaning] = things + meanings.size();
                    meanings.add(meaning);
                    texts.add(same.meaning(meaning).name());
                    shown.add(same.meaning(meaning).name());
                }
                row.add(place[meaning]);
            }
        }
    }

    /** The words that say the same, by which these terms were read. */
    SameWords same() {
        return same;
    }

    int size() {
        return texts.size();
    }

    /** How many terms are of the trade; the others are meanings. */
    int things() {
        return things;
    }

    /** The terms of each keyword, once each. */
    RaggedInts rows() {
        return rows;
    }

    /** The term that a keyword is one of, as "converter" in "standing desk converter"; -1 if it names none. */
    int head(int keyword) {
        return heads[keyword];
    }

    /** Whether a word of a keyword looks misspelt. */
    boolean slips(int keyword) {
        return slips.get(keyword);
    }

    String text(int term) {
        return texts.get(term);
    }

    /** A term as some keyword writes it, not as a stem. */
    String shown(int term) {
        return shown.get(term);
    }

    /** Whether a term stands for several words that mean the same. */
    boolean several(int term) {
        return term >= things || same.here(texts.get(term));
    }

    boolean unit(int term) {
        return term < things && units.get(term);
    }

    /** Whether a term says little, as words of buying do. */
    boolean little(int term) {
        return term >= things && same.meaning(meaning(term)).kind().equals("little");
    }

    /** The number of a meaning in {@link SameWords}; of terms from {@link #things()} on. */
    int meaning(int term) {
        return meaningOf[term - things];
    }
}
