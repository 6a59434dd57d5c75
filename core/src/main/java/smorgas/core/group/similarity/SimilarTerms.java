package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.doubles.DoubleArrayList;
import it.unimi.dsi.fastutil.ints.Int2DoubleOpenHashMap;
import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.Arrays;
import smorgas.core.group.same.SameWords;

/** For each term those that are like it in part: by their letters, or because a list says so. Cannot change. */
final class SimilarTerms {

    private final LetterSimilarity.Like[] like;

    SimilarTerms(Terms terms, SameWords same, LetterSimilarity letters) {
        this.like = new LetterSimilarity.Like[terms.size()];
        for (int term = 0; term < like.length; term++) {
            like[term] = term < terms.things() ? letters.of(term) : said(term, terms, same);
        }
    }

    private static LetterSimilarity.Like said(int term, Terms terms, SameWords same) {
        IntArrayList others = new IntArrayList();
        DoubleArrayList values = new DoubleArrayList();
        for (int other = terms.things(); other < terms.size(); other++) {
            double similarity = other == term ? 0 : same.similarity(terms.meaning(term), terms.meaning(other));
            if (similarity > 0) {
                others.add(other);
                values.add(similarity);
            }
        }
        return new LetterSimilarity.Like(others.toIntArray(), floats(values));
    }

    private static float[] floats(DoubleArrayList values) {
        float[] floats = new float[values.size()];
        for (int i = 0; i < floats.length; i++) {
            floats[i] = (float) values.getDouble(i);
        }
        return floats;
    }

    /** The vector with a part of each term's weight at the terms like it. */
    Sparse soften(Sparse vector) {
        boolean alone = Arrays.stream(vector.places()).allMatch(term -> like[term].terms().length == 0);
        if (alone) {
            return vector;
        }
        Int2DoubleOpenHashMap sum = new Int2DoubleOpenHashMap();
        for (int i = 0; i < vector.places().length; i++) {
            int term = vector.places()[i];
            float weight = vector.values()[i];
            sum.addTo(term, weight);
            LetterSimilarity.Like others = like[term];
            for (int j = 0; j < others.terms().length; j++) {
                sum.addTo(others.terms()[j], weight * others.values()[j]);
            }
        }
        int[] places = sum.keySet().toIntArray();
        Arrays.sort(places);
        float[] values = new float[places.length];
        for (int i = 0; i < places.length; i++) {
            values[i] = (float) sum.get(places[i]);
        }
        return new Sparse(places, values);
    }
}
