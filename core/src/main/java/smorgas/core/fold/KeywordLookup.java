package smorgas.core.fold;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.FoldKind;

/**
 * Finds the keyword into which a text would be folded that no list has, by comparing folded words. What a hand decided of
 * "bee suit" so holds next month, when only "bee suits" is in the lists. Safe for many threads.
 */
final class KeywordLookup {

    static final int NONE = -1;

    private final FoldedWords words;
    private final Folding folding;
    private final Cleaner cleaner;
    private final BitSet little = new BitSet();
    private final Map<String, Integer> known = new ConcurrentHashMap<>();

    KeywordLookup(FoldedWords words, Folding folding) {
        this.words = words;
        this.folding = folding;
        this.cleaner = Cleaner.of(folding.cleanings());
        for (String word : folding.littleWords()) {
            words.find(word).filter(found -> found.length == 1).ifPresent(found -> little.set(found[0]));
        }
    }

    /** The keyword that the tidy text would be folded into; -1 if there is none, or if a hand took such ones apart. */
    int find(String tidy) {
        return known.computeIfAbsent(tidy, this::search);
    }

    private int search(String tidy) {
        int[] key =
                words.find(withoutLittle(cleaner.clean(tidy))).map(this::key).orElse(new int[0]);
        int found = NONE;
        if (key.length > 0) {
            int rarest = key[0];
            for (int word : key) {
                rarest = words.keywordsOf().length(word) < words.keywordsOf().length(rarest) ? word : rarest;
            }
            for (int keyword : words.keywordsOf().row(rarest)) {
                if (Arrays.equals(key, key(words.rows().row(keyword)))) {
                    if (found != NONE) {
                        return NONE;
                    }
                    found = keyword;
                }
            }
        }
        return found;
    }

    /** Little words go as texts, for the keywords may have none of them. */
    private String withoutLittle(String text) {
        if (!folding.on().contains(FoldKind.LITTLE_WORDS)) {
            return text;
        }
        String rest = Arrays.stream(text.split(" "))
                .filter(word -> !folding.littleWords().contains(word))
                .collect(Collectors.joining(" "));
        return rest.isEmpty() ? text : rest;
    }

    /** The folded words of a text as the kinds that work on whole texts leave them. */
    private int[] key(int[] row) {
        IntStream key = Arrays.stream(row);
        if (folding.on().contains(FoldKind.LITTLE_WORDS) && !Arrays.stream(row).allMatch(little::get)) {
            key = key.filter(word -> !little.get(word));
        }
        if (folding.on().contains(FoldKind.REPEATED)) {
            key = key.distinct();
        }
        return folding.on().contains(FoldKind.ORDER) ? key.sorted().toArray() : key.toArray();
    }
}
