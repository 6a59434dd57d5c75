package smorgas.core.fold;

import it.unimi.dsi.fastutil.longs.LongArrayList;
import it.unimi.dsi.fastutil.longs.LongArrays;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.apache.commons.text.similarity.DamerauLevenshteinDistance;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.language.Accents;
import smorgas.core.language.Lexicon;
import smorgas.core.language.Punctuation;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.FoldRules;

/**
 * Proposes misspellings: a rare word close to a far more frequent one. Close means an optimal string alignment distance
 * of 1, or 2 for long words. Words of the dictionary, words with a digit, words that were refused and forms of one word
 * are never taken for misspellings.
 *
 * <p>This file is written for speed: pairs are found by the texts that are left when a letter or two are taken out, which
 * close words share; only those pairs are measured.
 */
public final class Misspellings {

    /**
     * A proposal.
     *
     * @param wrongCount spellings with the rare word
     * @param rightCount spellings with the frequent word
     * @param distance 1 or 2
     * @param confidence 0 to 1; grows with how much more frequent the right word is and how little differs
     */
    public record Proposal(
            String wrong, String right, int wrongCount, int rightCount, int distance, double confidence) {}

    private final Folding folding;
    private final FoldRules.Misspelling rules;
    private final TextDictionary words = new TextDictionary(1 << 12);
    private final int[] counts;
    private final Set<String> dictionary;
    private final Set<String> listed;
    private final WordForms plurals;
    private final WordForms stems;
    private final DamerauLevenshteinDistance distance = new DamerauLevenshteinDistance(2);

    private Misspellings(Tokens tokens, Folding folding, Set<String> right) {
        this.folding = folding;
        this.rules = folding.rules().misspelling();
        this.listed = right;
        this.dictionary = Lexicon.of(folding.language()).dictionary();
        this.plurals = WordForms.plurals(folding.language());
        this.stems = WordForms.stems(folding.language());
        Punctuation punctuation = new Punctuation(folding.language());
        Accents accents = new Accents(folding.language());
        RaggedInts.Builder builder = new RaggedInts.Builder();
        for (int token = 0; token < tokens.tokens().size(); token++) {
            punctuation
                    .words(tokens.tokens().text(token), false)
                    .forEach(word -> builder.add(words.intern(accents.plain(word))));
            builder.endRow();
        }
        RaggedInts wordsOf = builder.seal();
        this.counts = new int[words.size()];
        for (int spelling = 0; spelling < tokens.rows().size(); spelling++) {
            tokens.rows().forEach(spelling, token -> wordsOf.forEach(token, word -> counts[word]++));
        }
    }

    /**
     * What looks misspelt in these spellings and was neither accepted nor refused; most confident first. Which kinds of
     * folding are on makes no difference.
     */
    public static List<Proposal> of(Prepared prepared, Folding folding) {
        return of(prepared, folding, Set.of());
    }

    /**
     * The same, sparing some words.
     *
     * @param right words that are right though no dictionary has them, such as brands; tidy
     */
    public static List<Proposal> of(Prepared prepared, Folding folding, Set<String> right) {
        return new Misspellings(prepared.tokens(), folding, right).find();
    }

    private List<Proposal> find() {
        long[] index = index();
        List<Proposal> found = new ArrayList<>();
        for (int word = 0; word < counts.length; word++) {
            String text = words.text(word);
            if (mayBeWrong(text)) {
                Proposal best = best(word, index);
                if (best != null) {
                    found.add(best);
                }
            }
        }
        found.sort(Comparator.comparingDouble((Proposal p) -> -p.confidence())
                .thenComparingInt(p -> -p.rightCount())
                .thenComparing(Proposal::wrong));
        return found;
    }

    private boolean mayBeWrong(String text) {
        return text.length() >= rules.shortest()
                && text.length() <= rules.longest()
                && text.chars().allMatch(Character::isLetter)
                && !known(text)
                && !folding.misspellings().containsKey(text)
                && !folding.refused().contains(text);
    }

    /** In the dictionary, or the possessive of a word in it as it is left when its apostrophe is gone. */
    private boolean known(String text) {
        return dictionary.contains(text)
                || listed.contains(text)
                || text.endsWith("s") && dictionary.contains(text.substring(0, text.length() - 1));
    }

    /** Hashes of what frequent words leave when letters are taken out, with the word, sorted. */
    private long[] index() {
        LongArrayList entries = new LongArrayList();
        for (int word = 0; word < counts.length; word++) {
            String text = words.text(word);
            if (counts[word] >= rules.timesTransposed()
                    && text.length() >= rules.shortest()
                    && text.length() <= rules.longest()
                    && text.chars().allMatch(Character::isLetter)
                    && !folding.misspellings().containsKey(text)) {
                int number = word;
                rests(text, hash -> entries.add((long) hash << 32 | number));
            }
        }
        long[] sorted = entries.toLongArray();
        LongArrays.parallelQuickSort(sorted);
        return sorted;
    }

    private interface HashSink {
        void accept(int hash);
    }

    /** The text itself, and it without one letter, or without two if it is long. */
    private void rests(String text, HashSink sink) {
        int length = text.length();
        sink.accept(hash(text, length, length));
        boolean two = length >= rules.longWord() - 2;
        for (int i = 0; i < length; i++) {
            sink.accept(hash(text, i, length));
            for (int j = i + 1; two && j < length; j++) {
                sink.accept(hash(text, i, j));
            }
        }
    }

    private static int hash(String text, int without, int orThis) {
        int hash = 0;
        for (int i = 0; i < text.length(); i++) {
            if (i != without && i != orThis) {
                hash = 31 * hash + text.charAt(i);
            }
        }
        return hash;
    }

    private @Nullable Proposal best(int word, long[] index) {
        String wrong = words.text(word);
        Nearest best = new Nearest(word, wrong);
        rests(wrong, hash -> {
            for (int i = first(index, hash); i < index.length && (int) (index[i] >> 32) == hash; i++) {
                best.look((int) index[i]);
            }
        });
        return best.proposal();
    }

    private static int first(long[] index, int hash) {
        int place = LongArrays.binarySearch(index, (long) hash << 32);
        return place < 0 ? -place - 1 : place;
    }

    private final class Nearest {
        private final int word;
        private final String wrong;
        private int right = -1;
        private int least;

        Nearest(int word, String wrong) {
            this.word = word;
            this.wrong = wrong;
        }

        void look(int other) {
            if (other == word || other == right || counts[other] < rules.timesTransposed() * counts[word]) {
                return;
            }
            String text = words.text(other);
            if (counts[other] < rules.times() * counts[word] && !transposed(text, wrong)) {
                return;
            }
            int most = Math.min(wrong.length(), text.length()) >= rules.longWord() ? 2 : 1;
            if (Math.abs(text.length() - wrong.length()) > most) {
                return;
            }
            int far = distance.apply(wrong, text);
            boolean close = far > 0 && far <= most;
            if (close && !sameWord(text) && (right < 0 || betterThanBest(far, other, text))) {
                right = other;
                least = far;
            }
        }

        /** Whether two neighbouring letters changed places, and nothing else. */
        private static boolean transposed(String one, String other) {
            int at = 0;
            while (at < one.length() && at < other.length() && one.charAt(at) == other.charAt(at)) {
                at++;
            }
            return one.length() == other.length()
                    && at + 1 < one.length()
                    && one.charAt(at) == other.charAt(at + 1)
                    && one.charAt(at + 1) == other.charAt(at)
                    && one.substring(at + 2).equals(other.substring(at + 2));
        }

        private boolean betterThanBest(int far, int other, String text) {
            if (far != least) {
                return far < least;
            }
            return counts[other] != counts[right]
                    ? counts[other] > counts[right]
                    : text.compareTo(words.text(right)) < 0;
        }

        private boolean sameWord(String text) {
            return plurals.of(text).equals(plurals.of(wrong)) || stems.of(text).equals(stems.of(wrong));
        }

        @Nullable
        Proposal proposal() {
            if (right < 0) {
                return null;
            }
            String text = words.text(right);
            return new Proposal(wrong, text, counts[word], counts[right], least, confidence(text));
        }

        /** Weights set by hand and tried on a published list of misspellings; see MisspellingsTest. */
        private double confidence(String text) {
            // In most lists a right word is five to fifty times as frequent: the scale is for these.
            double confidence = .4 + .2 * Math.min(1.5, Math.log10(counts[right] / (double) counts[word]));
            confidence += dictionary.isEmpty() || dictionary.contains(text) ? .15 : -.1;
            confidence += wrong.charAt(0) == text.charAt(0) ? .1 : -.1;
            confidence += least == 1 ? 0 : -.15;
            confidence += wrong.length() >= 6 ? .05 : -.1;
            return Math.clamp(confidence, 0, 1);
        }
    }
}
