package smorgas.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.core.language.Lexicon;
import smorgas.core.language.WordForms;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** TF-IDF vectors for peers, each of length 1: of stems without stop words, or of the 3- and 4-grams of the letters. */
final class Vectors {

    private Vectors() {}

    static double[][] stems(ExpertList list) {
        WordForms stems = WordForms.stems(list.language());
        Set<String> stop = Lexicon.of(list.language()).stopWords();
        List<Set<String>> parts = new ArrayList<>();
        for (String keyword : list.keywords()) {
            Set<String> of = new HashSet<>();
            for (String word : Words.of(Tidy.of(keyword))) {
                if (!stop.contains(word)) {
                    of.add(stems.of(word));
                }
            }
            parts.add(of);
        }
        return weighed(parts);
    }

    static double[][] letters(ExpertList list) {
        List<Set<String>> parts = new ArrayList<>();
        for (String keyword : list.keywords()) {
            String text = " " + Tidy.of(keyword) + " ";
            Set<String> of = new HashSet<>();
            for (int length = 3; length <= 4; length++) {
                for (int at = 0; at + length <= text.length(); at++) {
                    of.add(text.substring(at, at + length));
                }
            }
            parts.add(of);
        }
        return weighed(parts);
    }

    private static double[][] weighed(List<Set<String>> parts) {
        Map<String, Integer> counts = new HashMap<>();
        parts.forEach(of -> of.forEach(part -> counts.merge(part, 1, Integer::sum)));
        Map<String, Integer> columns = new HashMap<>();
        counts.keySet().stream().sorted().forEach(part -> columns.put(part, columns.size()));
        double[][] rows = new double[parts.size()][columns.size()];
        for (int i = 0; i < rows.length; i++) {
            double length = 0;
            for (String part : parts.get(i)) {
                double weight = 1 + Math.log((1.0 + rows.length) / (1 + counts.get(part)));
                rows[i][columns.get(part)] = weight;
                length += weight * weight;
            }
            for (int column = 0; column < rows[i].length && length > 0; column++) {
                rows[i][column] /= Math.sqrt(length);
            }
        }
        return rows;
    }
}
