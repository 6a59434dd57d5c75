package smorgas.core.source;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/**
 * What a short text is about: the runs of words between stop words and marks, each scored by the sum over its words of how many words
 * stand beside each in such runs, itself included, for each time that it stands (Rose, Engel, Cramer and Cowley 2010, rapid automatic
 * keyword extraction).
 */
final class Extraction {

    /** A run of words, and its score. */
    record Run(String text, double score) {}

    private Extraction() {}

    /** The runs, the highest score first, then as they stand in the text. */
    static List<Run> of(String text, Set<String> stopWords) {
        List<List<String>> runs = runs(text, stopWords);
        Map<String, Integer> times = new HashMap<>();
        Map<String, Integer> beside = new HashMap<>();
        for (List<String> run : runs) {
            for (String word : run) {
                times.merge(word, 1, Integer::sum);
                beside.merge(word, run.size(), Integer::sum);
            }
        }
        Map<String, Double> scores = new LinkedHashMap<>();
        for (List<String> run : runs) {
            scores.putIfAbsent(
                    String.join(" ", run),
                    run.stream()
                            .mapToDouble(word -> (double) beside.get(word) / times.get(word))
                            .sum());
        }
        return scores.entrySet().stream()
                .map(run -> new Run(run.getKey(), run.getValue()))
                .sorted(Comparator.comparingDouble(Run::score).reversed())
                .toList();
    }

    /** The runs of words in the order in which they stand. */
    static List<List<String>> runs(String text, Set<String> stopWords) {
        List<List<String>> runs = new ArrayList<>();
        List<String> run = new ArrayList<>();
        for (String line : text.lines().toList()) {
            for (Words.Piece piece : Words.pieces(Tidy.of(line))) {
                boolean joins = piece.word() && !stopWords.contains(piece.text());
                if (joins) {
                    run.add(piece.text());
                } else if (piece.word() || !piece.text().isBlank()) {
                    run = ended(runs, run);
                }
            }
            run = ended(runs, run);
        }
        return runs;
    }

    private static List<String> ended(List<List<String>> runs, List<String> run) {
        if (!run.isEmpty()) {
            runs.add(run);
        }
        return new ArrayList<>();
    }
}
