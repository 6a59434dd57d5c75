package smorgas.core.group.same;

import it.unimi.dsi.fastutil.ints.IntOpenHashSet;
import it.unimi.dsi.fastutil.ints.IntSet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.text.similarity.LevenshteinDistance;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.recipe.group.SimilarityRules;

/**
 * Words that may mean the same in a project, found in its own keywords: two that stand in the same surroundings ("climbing ...
 * near me"), the more of them the likelier, and the likelier the less the meaning of keywords changes where one stands for the
 * other.
 */
public final class SameProposals {

    /** A surrounding with more words in it tells of a list, not of words that mean the same. */
    private static final int CROWDED = 40;

    private static final int LONGEST = 12;

    /** Words apart by no more letters, or no greater part of the shorter, are forms or misspellings of each other. */
    private static final int LETTERS = 2;

    private static final double LETTERS_OF_LONG = .4;

    private static final double COMMON = .2;
    private static final int MANY = 20;

    /** Words of any trade ("cheap") seldom mean the same as another; a list says of most which. */
    private static final double SAID = .3;

    private static final double SAID_KNOWN = .6;

    /** Keywords that differ by one word are alike in any case; what matters is how little is missing. */
    private static final double STRICT = 24;

    private static final String KIND = "same | ";

    /** Whether the key of an offer is that of a pair. */
    public static boolean isKey(String key) {
        return key.startsWith(KIND);
    }

    /**
     * A pair that may mean the same.
     *
     * @param one the word that more keywords have, as most write it
     * @param other the other word
     * @param ones how many keywords have the one
     * @param others how many have the other
     * @param surroundings how many they share
     * @param example a keyword with the one and the same with the other
     * @param meaning how alike such keywords are on the whole in what they mean, -1 to 1; NaN where that is not known
     * @param score by which they are in order; higher is likelier
     */
    public record Proposal(
            String one,
            String other,
            int ones,
            int others,
            int surroundings,
            List<String> example,
            double meaning,
            double score) {

        /** What tells the offer apart. */
        public String key() {
            return KIND + (one.compareTo(other) < 0 ? one + " | " + other : other + " | " + one);
        }
    }

    /** How a word stands in a keyword. */
    private record Place(int word, int keyword) {}

    private final List<String> texts;
    private final SimilarityRules.Reading reading;
    private final String language;
    private final SameWords same;
    private final SameHere here;
    private final WordForms stems;
    private final GroupSettings settings;
    private final MeaningVectors vectors;

    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<Map<String, Integer>> forms = new ArrayList<>();
    private final List<IntSet> having = new ArrayList<>();
    private final List<Integer> contextsOf = new ArrayList<>();

    /**
     * Of these keywords.
     *
     * @param texts tidy
     * @param rules how words are read
     */
    public SameProposals(
            List<String> texts,
            GroupSettings settings,
            String language,
            MeaningVectors vectors,
            SimilarityRules rules) {
        this.reading = rules.reading();
        this.texts = texts;
        this.language = language;
        this.settings = settings;
        this.here = settings.same();
        this.stems = WordForms.stems(language);
        this.same = SameWords.of(language);
        this.vectors = vectors;
    }

    /** The likeliest pairs, the likeliest first, so many at most. */
    public List<Proposal> find(int most) {
        List<Proposal> found = new ArrayList<>();
        examples(bySurrounding()).forEach((pair, examples) -> {
            int one = (int) (pair >> 32);
            int other = pair.intValue();
            if (may(one, other)) {
                found.add(proposal(one, other, examples));
            }
        });
        found.sort(Comparator.comparingDouble(Proposal::score).reversed().thenComparing(Proposal::key));
        return List.copyOf(found.subList(0, Math.min(most, found.size())));
    }

    /** By what stands around them the words that stand there. */
    private Map<String, List<Place>> bySurrounding() {
        Map<String, List<Place>> bySurrounding = new HashMap<>();
        IntendedWords written = new IntendedWords(texts, language, same.words(), reading);
        for (int keyword = 0; keyword < texts.size(); keyword++) {
            List<String> words = written.words(keyword);
            if (words.size() < 2 || words.size() > LONGEST) {
                continue;
            }
            List<String> stemmed = words.stream().map(stems::of).toList();
            for (int at = 0; at < words.size(); at++) {
                String word = words.get(at);
                if (says(word) && othersSay(words, at)) {
                    int number = number(stemmed.get(at), word, keyword);
                    bySurrounding
                            .computeIfAbsent(surrounding(stemmed, at), s -> new ArrayList<>(2))
                            .add(new Place(number, keyword));
                }
            }
        }
        return bySurrounding;
    }

    /** By pair of words the keywords in which they stand alike, and among how many others. */
    private Map<Long, List<int[]>> examples(Map<String, List<Place>> bySurrounding) {
        Map<Long, List<int[]>> shared = new HashMap<>();
        for (List<Place> places : bySurrounding.values()) {
            int[] distinct = places.stream().mapToInt(Place::word).distinct().toArray();
            for (int word : distinct) {
                contextsOf.set(word, contextsOf.get(word) + 1);
            }
            if (distinct.length < 2 || distinct.length > CROWDED) {
                continue;
            }
            for (int i = 0; i < places.size(); i++) {
                for (int j = i + 1; j < places.size(); j++) {
                    int a = places.get(i).word();
                    int b = places.get(j).word();
                    if (a != b) {
                        boolean rising = a < b;
                        shared.computeIfAbsent((long) Math.min(a, b) << 32 | Math.max(a, b), p -> new ArrayList<>(1))
                                .add(new int[] {
                                    places.get(rising ? i : j).keyword(),
                                    places.get(rising ? j : i).keyword(),
                                    distinct.length
                                });
                    }
                }
            }
        }
        return shared;
    }

    /** Whether a word can mean the same as another at all: no size, nothing that is ignored, no little word. */
    private boolean says(String word) {
        return word.length() > 2
                && word.chars().allMatch(Character::isLetter)
                && !settings.stopWords().contains(word)
                && !settings.ignored().contains(word);
    }

    private boolean othersSay(List<String> words, int at) {
        for (int i = 0; i < words.size(); i++) {
            if (i != at && !settings.stopWords().contains(words.get(i))) {
                return true;
            }
        }
        return false;
    }

    private int number(String stem, String word, int keyword) {
        int number = numbers.computeIfAbsent(stem, fresh -> {
            forms.add(new HashMap<>());
            having.add(new IntOpenHashSet());
            contextsOf.add(0);
            return numbers.size();
        });
        forms.get(number).merge(word, 1, Integer::sum);
        having.get(number).add(keyword);
        return number;
    }

    private static String surrounding(List<String> words, int at) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < words.size(); i++) {
            text.append(i == at ? "_" : words.get(i)).append(' ');
        }
        return text.toString();
    }

    /** The word as most keywords write it. */
    private String text(int word) {
        return forms.get(word).entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .orElseThrow()
                .getKey();
    }

    /** Not if the two count as one already, or as alike by their letters, or are two things that any trade keeps apart. */
    private boolean may(int one, int other) {
        String a = text(one);
        String b = text(other);
        boolean known = here.sets().stream().anyMatch(set -> set.contains(a) && set.contains(b));
        return !known
                && !a.startsWith(b)
                && !b.startsWith(a)
                && !(same.words().contains(a) && same.words().contains(b))
                && !common(one)
                && !common(other)
                && !meet(one, other)
                && !likeByLetters(a, b);
    }

    /** Misspellings and forms of each other count as alike anyway. */
    private static boolean likeByLetters(String one, String other) {
        int apart = LevenshteinDistance.getDefaultInstance().apply(one, other);
        return apart <= Math.max(LETTERS, LETTERS_OF_LONG * Math.min(one.length(), other.length()));
    }

    /** What a good part of the keywords has is what the list is about. */
    private boolean common(int word) {
        return having.get(word).size() > Math.max(MANY, COMMON * texts.size());
    }

    /** Who says the same twice in one keyword is rare. */
    private boolean meet(int one, int other) {
        IntSet fewer = having.get(one).size() < having.get(other).size() ? having.get(one) : having.get(other);
        IntSet more = fewer == having.get(one) ? having.get(other) : having.get(one);
        return fewer.intStream().anyMatch(more::contains);
    }

    /** How alike the keywords of examples are on average, and the pair that is most alike; NaN and the first if no meaning is known. */
    private record ExamplesSimilarity(double mean, int[] best) {

        boolean known() {
            return !Double.isNaN(mean);
        }
    }

    private ExamplesSimilarity meant(List<int[]> examples) {
        double sum = 0;
        int known = 0;
        int[] best = examples.getFirst();
        double most = -1;
        for (int[] pair : examples) {
            float[] a = vectors.of(texts.get(pair[0]));
            float[] b = vectors.of(texts.get(pair[1]));
            if (a != null && b != null) {
                double like = 0;
                for (int i = 0; i < a.length; i++) {
                    like += a[i] * b[i];
                }
                sum += like;
                known++;
                if (like > most) {
                    most = like;
                    best = pair;
                }
            }
        }
        return new ExamplesSimilarity(known == 0 ? Double.NaN : sum / known, best);
    }

    private Proposal proposal(int one, int other, List<int[]> examples) {
        ExamplesSimilarity meant = meant(examples);
        double weight = 0;
        for (int[] pair : examples) {
            weight += 1 / Math.log(1 + pair[2]);
        }
        double together = weight / Math.sqrt((double) contextsOf.get(one) * contextsOf.get(other));
        int more = Math.max(having.get(one).size(), having.get(other).size());
        boolean said = same.words().contains(text(one)) || same.words().contains(text(other));
        double score = Math.log(1 + examples.size())
                / Math.log(2 + more)
                * (said ? meant.known() ? SAID_KNOWN : SAID : 1)
                * (meant.known() ? Math.sqrt(together) * Math.pow(Math.max(0, meant.mean()), STRICT) : together);
        boolean commoner = having.get(one).size() >= having.get(other).size();
        int first = commoner ? one : other;
        int second = commoner ? other : one;
        return new Proposal(
                text(first),
                text(second),
                having.get(first).size(),
                having.get(second).size(),
                examples.size(),
                List.of(texts.get(meant.best()[commoner ? 0 : 1]), texts.get(meant.best()[commoner ? 1 : 0])),
                meant.mean(),
                score);
    }
}
