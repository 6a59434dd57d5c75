package smorgas.core.fold;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.recipe.Folding;
import smorgas.core.text.Tidy;

/**
 * What two sets of texts have apart and together, each text once, in the order in which they were given.
 *
 * @param left only the left has these
 * @param right only the right has these
 * @param both these are in both, as the left writes them
 */
public record Comparison(List<String> left, List<String> right, List<String> both) {

    public Comparison {
        left = List.copyOf(left);
        right = List.copyOf(right);
        both = List.copyOf(both);
    }

    /**
     * Compares two sets.
     *
     * @param folding by which meaning they are compared, the texts of the result being tidy; empty for letter by letter
     */
    public static Comparison of(Collection<String> left, Collection<String> right, Optional<Folding> folding) {
        List<String> all = new ArrayList<>(left);
        all.addAll(right);
        List<Object> keys = folding.map(by -> meanings(all, by)).orElseGet(() -> List.copyOf(all));
        Map<Object, String> ours = new LinkedHashMap<>();
        Map<Object, String> theirs = new LinkedHashMap<>();
        for (int i = 0; i < all.size(); i++) {
            String text = folding.isPresent() ? Tidy.of(all.get(i)) : all.get(i);
            if (!text.isBlank()) {
                (i < left.size() ? ours : theirs).putIfAbsent(keys.get(i), text);
            }
        }
        return new Comparison(
                without(ours, theirs),
                without(theirs, ours),
                ours.keySet().stream()
                        .filter(theirs::containsKey)
                        .map(ours::get)
                        .toList());
    }

    private static List<String> without(Map<Object, String> some, Map<Object, String> others) {
        return some.keySet().stream()
                .filter(key -> !others.containsKey(key))
                .map(some::get)
                .toList();
    }

    private static List<Object> meanings(List<String> texts, Folding folding) {
        Spellings spellings = Spellings.ofTexts(texts);
        Tokens tokens = new Tokens(spellings, Cleaner.of(List.of()));
        int[] keywordOf = Merges.of(tokens, folding, WordFolds.keys(tokens, folding, folding.on()))
                .keywordOf();
        List<Object> keys = new ArrayList<>();
        for (int spelling : spellings.ofLine()) {
            keys.add(spelling == Spellings.NONE ? Spellings.NONE : keywordOf[spelling]);
        }
        return keys;
    }
}
