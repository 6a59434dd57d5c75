package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.text.WordForms;

/**
 * What keywords are about: stems of the words of the trade, and what words of any trade say ("cheap"). Little words are left
 * out. Terms are numbered, those of the trade first. Cannot change.
 */
final class Terms {

    /** Behind these a keyword tells more of its thing and names no other. */
    private static final Map<String, Set<String>> BEHIND = Map.of(
            "en",
                    Set.of(
                            "for", "with", "without", "on", "in", "to", "under", "from", "of", "near", "at", "by", "vs",
                            "versus", "and", "or"),
            "de",
                    Set.of(
                            "für", "mit", "ohne", "auf", "in", "zu", "unter", "von", "aus", "im", "am", "bei", "und",
                            "oder", "als", "zum", "zur", "an", "nach"));

    private final SameWords same;
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
     * @param settings whose stop words and muted words say nothing
     */
    static Terms of(List<String> texts, GroupSettings settings, String language) {
        return new Terms(texts, settings, language);
    }

    private Terms(List<String> keywords, GroupSettings settings, String language) {
        this.same = SameWords.of(language).with(settings.same(), WordForms.stems(language));
        Written written = new Written(keywords, language, same.words());
        WordForms stems = WordForms.stems(language);
        Set<String> behind = BEHIND.getOrDefault(language, Set.of());
        Map<String, Integer> numbers = new HashMap<>();
        List<int[]> thingsOf = new ArrayList<>();
        List<int[]> saidOf = new ArrayList<>();
        this.heads = new int[keywords.size()];
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            List<String> words = written.words(keyword);
            IntArrayList own = new IntArrayList();
            IntArrayList said = new IntArrayList();
            int head = -1;
            boolean closed = false;
            for (int at = 0; at < words.size(); at++) {
                String word = words.get(at);
                closed |= behind.contains(word) && !own.isEmpty();
                if (settings.muted().contains(word)) {
                    continue;
                }
                SameWords.Match match = same.match(words, at, stems);
                if (match != null && !same.ofTrade(match.meaning())) {
                    said.add(match.meaning());
                    at += match.words() - 1;
                } else if (match != null || !settings.stopWords().contains(word)) {
                    // Words that mean the same here are one as words of the trade are.
                    String one =
                            match == null ? word : same.meaning(match.meaning()).name();
                    int term = numbers.computeIfAbsent(stems.of(one), stem -> {
                        this.texts.add(stem);
                        shown.add(one);
                        units.add(Written.unit(one));
                        return numbers.size();
                    });
                    at += match == null ? 0 : match.words() - 1;
                    own.add(term);
                    if (!closed && !units.get(term) && !Character.isDigit(word.charAt(0))) {
                        head = term;
                    }
                }
            }
            heads[keyword] = head;
            slips.set(keyword, written.slips(keyword));
            thingsOf.add(own.intStream().distinct().toArray());
            saidOf.add(said.intStream().distinct().toArray());
        }
        this.things = numbers.size();
        int[] place = new int[same.size()];
        Arrays.fill(place, -1);
        IntArrayList meanings = new IntArrayList();
        RaggedInts.Builder all = new RaggedInts.Builder();
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            for (int term : thingsOf.get(keyword)) {
                all.add(term);
            }
            for (int meaning : saidOf.get(keyword)) {
                if (place[meaning] < 0) {
                    place[meaning] = things + meanings.size();
                    meanings.add(meaning);
                    texts.add(same.meaning(meaning).name());
                    shown.add(same.meaning(meaning).name());
                }
                all.add(place[meaning]);
            }
            all.endRow();
        }
        this.rows = all.seal();
        this.meaningOf = meanings.toIntArray();
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
