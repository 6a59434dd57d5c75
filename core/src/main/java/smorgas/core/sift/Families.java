package smorgas.core.sift;

import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.core.column.RaggedInts;
import smorgas.core.fold.FoldedWords;
import smorgas.core.fold.Keywords;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Words;

/**
 * Works out what kinds of words some keywords have. Lists tell openers, buying words, price words, places and brands;
 * the rest is read off the keywords. Each keyword is laid to the word in it that says most: words weigh ln(1 + N/df) at
 * first, and then anew by how unevenly they are spread over the words that keywords are laid to (one minus the entropy
 * of that spread, divided by its greatest value). A word that occurs with few others is a thing, one that occurs with
 * everything a modifier.
 */
public final class Families {

    /** A likely kind of word. */
    public enum Family {
        OPENERS("family.openers", "family.openers.because"),
        BUYING("family.buying", "family.buying.because"),
        PRICE("family.price", "family.price.because"),
        PLACES("family.places", "family.places.because"),
        NUMBERS("family.numbers", "family.numbers.because"),
        BRANDS("family.brands", "family.brands.because"),
        OTHER_MEANINGS("family.other-meanings", "family.other-meanings.because"),
        MODIFIERS("family.modifiers", "family.modifiers.because"),
        THINGS("family.things", "family.things.because");

        private final Message label;
        private final Message because;

        Family(String label, String because) {
            this.label = Message.of(label);
            this.because = Message.of(because);
        }

        public Message label() {
            return label;
        }

        /** What its words have in common. */
        public Message because() {
            return because;
        }
    }

    /** A word of a family, and how the keywords with it stand. */
    public record Member(String word, int count, int kept, int undecided, int dropped) {}

    private static final int FEWEST = 3;
    /** Fewer keywords say nothing about what a word occurs with. */
    private static final int ENOUGH = 8;

    private static final int ROUNDS = 3;
    /** Shares of a keyword's weight that lie in one of so many equal steps count as nearly equal. */
    private static final int STEPS = 6;

    private static final double CONCENTRATED = .55;
    private static final double SPREAD = .3;
    private static final double MOSTLY = .6;
    private final BitSet view;
    private final FoldedWords folded;
    private final RaggedInts rows;
    private final Keywords keywords;
    private final int[] count;
    private final int[][] byStatus;
    private final Map<WordList.Kind, Set<String>> lists;
    private final Set<String> little;

    private Families(
            BitSet view,
            Keywords keywords,
            Statuses statuses,
            Map<WordList.Kind, Set<String>> lists,
            Set<String> little) {
        this.view = view;
        this.keywords = keywords;
        this.folded = keywords.folded();
        this.rows = folded.rows();
        this.lists = lists;
        this.little = little;
        this.count = new int[folded.size()];
        this.byStatus = new int[Status.values().length][folded.size()];
        int[] lastSeen = new int[folded.size()];
        Arrays.fill(lastSeen, -1);
        for (int k = view.nextSetBit(0); k >= 0; k = view.nextSetBit(k + 1)) {
            int status = statuses.of(k).ordinal();
            for (int place = 0; place < rows.length(k); place++) {
                int word = rows.get(k, place);
                if (lastSeen[word] != k) {
                    lastSeen[word] = k;
                    count[word]++;
                    byStatus[status][word]++;
                }
            }
        }
    }

    /**
     * The families of these keywords' words, each word in one of them at most; words that fewer than three keywords have
     * are left out. Most common first, ties by the text.
     *
     * @param lists words and phrases by kind of list, tidy
     * @param little words that say little by themselves; they are in no family unless a list has them
     */
    public static Map<Family, List<Member>> of(
            BitSet view,
            Keywords keywords,
            Statuses statuses,
            Map<WordList.Kind, Set<String>> lists,
            Set<String> little) {
        return new Families(view, keywords, statuses, lists, little).run();
    }

    private Map<Family, List<Member>> run() {
        Map<Family, List<Member>> found = new EnumMap<>(Family.class);
        for (Family family : Family.values()) {
            found.put(family, new ArrayList<>());
        }
        Set<String> dictionary = Lexicon.of(keywords.folding().language()).dictionary();
        int[] behindPlacing = behindPlacing();
        Signs signs = new Signs(dictionary, behindPlacing, inPlacesCompany(behindPlacing), capitals(), spread());
        for (int word = 0; word < count.length; word++) {
            if (count[word] >= FEWEST) {
                Family family = family(word, signs);
                if (family != null) {
                    found.get(family).add(member(word));
                }
            }
        }
        found.values()
                .forEach(members -> members.sort(
                        Comparator.comparingInt(Member::count).reversed().thenComparing(Member::word)));
        return found;
    }

    private Member member(int word) {
        return new Member(
                folded.text(word),
                count[word],
                byStatus[Status.KEPT.ordinal()][word],
                byStatus[Status.UNDECIDED.ordinal()][word],
                byStatus[Status.DROPPED.ordinal()][word]);
    }

    /** What tells of the families of words: known words, how often each is behind a word that places, and so on. */
    private record Signs(Set<String> dictionary, int[] behindPlacing, BitSet alike, BitSet capitals, double[] spread) {

        boolean unknown(String word) {
            return !dictionary.isEmpty() && !dictionary.contains(word);
        }
    }

    private @org.jspecify.annotations.Nullable Family family(int word, Signs signs) {
        String text = folded.text(word);
        for (Map.Entry<WordList.Kind, Family> listed : LISTED.entrySet()) {
            if (lists.getOrDefault(listed.getKey(), Set.of()).contains(text)) {
                return listed.getValue();
            }
        }
        if (little.contains(text) || text.length() < 2) {
            return null;
        }
        int kept = byStatus[Status.KEPT.ordinal()][word];
        int dropped = byStatus[Status.DROPPED.ordinal()][word];
        if (text.chars().anyMatch(Character::isDigit)) {
            return Family.NUMBERS;
        }
        if (signs.behindPlacing[word] >= FEWEST && signs.behindPlacing[word] >= MOSTLY * count[word]) {
            return Family.PLACES;
        }
        boolean unknown = signs.unknown(text);
        boolean capital = signs.capitals.get(word);
        if (signs.alike.get(word) && (unknown || signs.dictionary.isEmpty() || capital)) {
            return Family.PLACES;
        }
        if (unknown || capital) {
            return Family.BRANDS;
        }
        if (dropped >= FEWEST
                && byStatus[Status.UNDECIDED.ordinal()][word] > 0
                && dropped >= MOSTLY * (dropped + kept)) {
            return Family.OTHER_MEANINGS;
        }
        if (count[word] < ENOUGH) {
            return null;
        }
        double spread = signs.spread[word];
        return spread <= SPREAD ? Family.MODIFIERS : spread >= CONCENTRATED ? Family.THINGS : null;
    }

    private static final Map<WordList.Kind, Family> LISTED = new EnumMap<>(Map.of(
            WordList.Kind.QUESTION_OPENERS, Family.OPENERS,
            WordList.Kind.BUYING, Family.BUYING,
            WordList.Kind.PRICE, Family.PRICE,
            WordList.Kind.PLACES, Family.PLACES,
            WordList.Kind.BRANDS, Family.BRANDS));

    /** How often each word stands behind a word that places stand behind. */
    private int[] behindPlacing() {
        boolean[] placing = new boolean[folded.size()];
        boolean[] closing = new boolean[folded.size()];
        String language = keywords.folding().language();
        Lexicon.of(language).beforePlaces().forEach(word -> mark(word, placing));
        Lexicon.of(language).afterPlaces().forEach(word -> mark(word, closing));
        int[] behind = new int[folded.size()];
        for (int k = view.nextSetBit(0); k >= 0; k = view.nextSetBit(k + 1)) {
            int length = rows.length(k);
            for (int place = 0; place < length; place++) {
                boolean after = place > 0 && placing[rows.get(k, place - 1)];
                boolean before = place + 1 < length && closing[rows.get(k, place + 1)];
                behind[rows.get(k, place)] += after || before ? 1 : 0;
            }
        }
        return behind;
    }

    private void mark(String word, boolean[] words) {
        folded.find(word).filter(found -> found.length == 1).ifPresent(found -> words[found[0]] = true);
    }

    /**
     * Words that keep the company of places: in most of their keywords the other words are just those that a place has beside
     * it in another, as in {@code beekeeping course otterwick}, {@code beekeeping course saltholm}.
     */
    private BitSet inPlacesCompany(int[] behindPlacing) {
        Set<String> places = lists.getOrDefault(WordList.Kind.PLACES, Set.of());
        BitSet known = new BitSet(folded.size());
        for (int word = 0; word < count.length; word++) {
            boolean placed = behindPlacing[word] >= FEWEST && behindPlacing[word] >= MOSTLY * count[word];
            known.set(word, places.contains(folded.text(word)) || placed);
        }
        BitSet alike = new BitSet(folded.size());
        if (known.isEmpty()) {
            return alike;
        }
        Set<String> company = new HashSet<>();
        for (int k = view.nextSetBit(0); k >= 0; k = view.nextSetBit(k + 1)) {
            for (int place = 0; place < rows.length(k); place++) {
                if (rows.length(k) > 1 && known.get(rows.get(k, place))) {
                    company.add(besides(k, place));
                }
            }
        }
        int[] kept = new int[folded.size()];
        for (int k = view.nextSetBit(0); k >= 0; k = view.nextSetBit(k + 1)) {
            for (int place = 0; place < rows.length(k); place++) {
                kept[rows.get(k, place)] += rows.length(k) > 1 && company.contains(besides(k, place)) ? 1 : 0;
            }
        }
        for (int word = 0; word < count.length; word++) {
            alike.set(word, kept[word] >= FEWEST && kept[word] >= MOSTLY * count[word]);
        }
        return alike;
    }

    /** The other words of a keyword and where the one left out stands. */
    private String besides(int keyword, int without) {
        StringBuilder others = new StringBuilder();
        for (int place = 0; place < rows.length(keyword); place++) {
            others.append(place == without ? -1 : rows.get(keyword, place)).append(' ');
        }
        return others.toString();
    }

    /** Words that some line writes with a capital behind a word that has none. */
    private BitSet capitals() {
        BitSet found = new BitSet(folded.size());
        keywords.forEachLine(text -> {
            if (!text.isEmpty() && Character.isLowerCase(text.charAt(0)) && hasCapital(text)) {
                for (String word : Words.of(text)) {
                    if (Character.isUpperCase(word.charAt(0))
                            && word.chars().skip(1).anyMatch(Character::isLowerCase)) {
                        folded.find(word).filter(w -> w.length == 1).ifPresent(w -> found.set(w[0]));
                    }
                }
            }
        });
        return found;
    }

    private static boolean hasCapital(String text) {
        for (int i = 1; i < text.length(); i++) {
            if (Character.isUpperCase(text.charAt(i))) {
                return true;
            }
        }
        return false;
    }

    /** How unevenly each word is spread over the words that keywords are laid to: 0 evenly, 1 all with one. */
    private double[] spread() {
        double[] rarity = new double[count.length];
        int all = view.cardinality();
        for (int word = 0; word < count.length; word++) {
            boolean counts = count[word] >= FEWEST && !little.contains(folded.text(word));
            rarity[word] = counts ? Math.log(1 + all / (double) count[word]) : 0;
        }
        double[] weights = rarity.clone();
        double[] spread = new double[count.length];
        int[] laidTo = new int[rows.size()];
        for (int round = 0; round <= ROUNDS; round++) {
            lay(weights, laidTo);
            Arrays.fill(spread, 0);
            for (int word = 0; word < count.length; word++) {
                if (rarity[word] > 0) {
                    spread[word] = unevenness(word, laidTo);
                    weights[word] = rarity[word] * Math.max(.02, spread[word]);
                }
            }
        }
        return spread;
    }

    private void lay(double[] weights, int[] laidTo) {
        for (int k = view.nextSetBit(0); k >= 0; k = view.nextSetBit(k + 1)) {
            double total = 0;
            for (int place = 0; place < rows.length(k); place++) {
                total += weights[rows.get(k, place)];
            }
            int best = -1;
            for (int place = 0; place < rows.length(k); place++) {
                int word = rows.get(k, place);
                if (weights[word] > 0 && (best < 0 || better(word, best, weights, total))) {
                    best = word;
                }
            }
            laidTo[k] = best;
        }
    }

    /** Of nearly equal weight the commoner word, then by the text, so that the order of input does not count. */
    private boolean better(int word, int other, double[] weights, double total) {
        long step = Math.round(STEPS * weights[word] / total);
        long otherStep = Math.round(STEPS * weights[other] / total);
        if (step != otherStep) {
            return step > otherStep;
        }
        return count[word] != count[other]
                ? count[word] > count[other]
                : folded.text(word).compareTo(folded.text(other)) < 0;
    }

    private double unevenness(int word, int[] laidTo) {
        Int2IntOpenHashMap with = new Int2IntOpenHashMap();
        int total = 0;
        RaggedInts keywordsOf = folded.keywordsOf();
        for (int i = 0; i < keywordsOf.length(word); i++) {
            int keyword = keywordsOf.get(word, i);
            if (view.get(keyword) && laidTo[keyword] >= 0) {
                with.addTo(laidTo[keyword], 1);
                total++;
            }
        }
        if (total < 2) {
            return 1;
        }
        double entropy = 0;
        for (int part : with.values()) {
            double share = part / (double) total;
            entropy -= share * Math.log(share);
        }
        return 1 - entropy / Math.log(total);
    }
}
