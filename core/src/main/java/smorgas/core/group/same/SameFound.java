package smorgas.core.group.same;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.text.Words;

/**
 * Words of keywords that count as one.
 *
 * @param name by which they go
 * @param here whether a project says so; else a shipped list does
 * @param words as keywords write them, and how many keywords have each; at least one
 */
public record SameFound(String name, boolean here, SortedMap<String, Integer> words) {

    /** How many keywords have one of the words, each counted for every one that it has. */
    public int keywords() {
        return words.values().stream().mapToInt(Integer::intValue).sum();
    }

    /** What counts as one in some keywords, that of the project first, then by how many keywords have it. */
    public static List<SameFound> in(List<String> texts, SameHere here, String language) {
        WordForms stems = WordForms.stems(language);
        SameWords same = SameWords.of(language).with(here, stems);
        Map<Integer, SortedMap<String, Integer>> found = new TreeMap<>();
        Set<String> elided = IntendedWords.elided(language);
        for (String text : texts) {
            List<String> words = Words.of(text).stream()
                    .map(word -> IntendedWords.withoutArticle(word, elided))
                    .toList();
            for (int at = 0; at < words.size(); at++) {
                SameWords.Match match = same.match(words, at, stems);
                if (match != null) {
                    String phrase = String.join(" ", words.subList(at, at + match.words()));
                    found.computeIfAbsent(match.meaning(), fresh -> new TreeMap<>())
                            .merge(phrase, 1, Integer::sum);
                    at += match.words() - 1;
                }
            }
        }
        List<SameFound> all = new ArrayList<>();
        found.forEach((meaning, words) -> {
            boolean said =
                    here.sets().stream().anyMatch(set -> words.keySet().stream().anyMatch(set::contains));
            all.add(new SameFound(same.meaning(meaning).name(), said, words));
        });
        all.sort(Comparator.comparing(SameFound::here)
                .thenComparing(SameFound::keywords)
                .reversed()
                .thenComparing(SameFound::name));
        return all;
    }
}
