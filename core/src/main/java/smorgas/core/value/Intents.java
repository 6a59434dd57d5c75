package smorgas.core.value;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.RaggedInts;
import smorgas.core.figure.Figure;
import smorgas.core.fold.FoldedWords;
import smorgas.core.fold.Keywords;
import smorgas.core.language.Units;
import smorgas.core.recipe.Valuing;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.IntentRules;
import smorgas.core.text.Message;

/**
 * What each keyword is for, and why. Several intents can be seen in one keyword; the one with the strongest cue leads, and a
 * hand's word beats all. Cues are words of shipped lists and of word lists that the project has taken (brands, places and
 * those of an intent), and sizes. Common practice; no formula of a publication.
 */
public final class Intents {

    private static final String UNITS = Units.OF_SIZES.stream().sorted().collect(Collectors.joining("|", "(", ")"));

    private static final Pattern NUMBER = Pattern.compile("\\d+([.,]\\d+)?");
    private static final Pattern UNIT = Pattern.compile(UNITS, Pattern.CASE_INSENSITIVE);

    /** A number with its unit in one word, such as 60m or 10x8. */
    private static final Pattern SIZE =
            Pattern.compile("\\d+([.,]\\d+)?" + UNITS + "|\\d+x\\d+", Pattern.CASE_INSENSITIVE);

    private static final byte UNKNOWN = -1;

    private final Keywords keywords;
    private final IntentRules rules;
    private final List<Cue> cues;
    /** Of each keyword the number of the leading intent, or {@link #UNKNOWN}. */
    private final byte[] lead;

    private final byte[] strength;
    /** Of each keyword a bit for every intent that is seen in it. */
    private final byte[] seen;
    /** Of each keyword the cue that leads; -1 for a hand or none. */
    private final int[] by;
    /** Those for which others bid high. */
    private final BitSet bidFor = new BitSet();

    private Intents(Keywords keywords, List<Cue> cues, IntentRules rules) {
        this.keywords = keywords;
        this.rules = rules;
        this.cues = cues;
        int size = keywords.size();
        this.lead = new byte[size];
        java.util.Arrays.fill(lead, UNKNOWN);
        this.strength = new byte[size];
        this.seen = new byte[size];
        this.by = new int[size];
        java.util.Arrays.fill(by, -1);
    }

    /**
     * Of the keywords of a project.
     *
     * @param language without a shipped list only lists and hands say something
     * @param matching the keywords that fulfil a condition
     * @param rules how strong signs are
     * @param lists the word lists that the project has taken, by name
     */
    public static Intents of(
            Keywords keywords,
            String language,
            Map<String, WordList> lists,
            Valuing valuing,
            Function<Condition, BitSet> matching,
            IntentRules rules) {
        List<Cue> cues = new ArrayList<>(Cue.shipped(language).stream()
                .filter(cue -> holds(cue, language, lists))
                .toList());
        Set<String> known =
                cues.stream().map(cue -> cue.intent() + " " + cue.words()).collect(Collectors.toSet());
        lists.values().forEach(list -> ofList(list, rules).ifPresent(cue -> list.words().stream()
                .filter(word -> !list.name().equals(list.kind().shippedName(language))
                        || !known.contains(cue.intent() + " " + word))
                .forEach(word -> cues.add(new Cue(cue.intent(), cue.strength(), Cue.Form.HAS, word)))));
        Intents intents = new Intents(keywords, cues, rules);
        for (int cue = 0; cue < cues.size(); cue++) {
            intents.apply(cue, intents.with(cues.get(cue)));
        }
        // Of two of which something was said the later one leads.
        valuing.ruled().reversed().forEach((when, intent) -> {
            cues.add(
                    new Cue(intent, rules.said(), Cue.Form.SAID, when.sentence().toString()));
            intents.apply(cues.size() - 1, matching.apply(when));
        });
        intents.dear();
        intents.bidFor.stream().forEach(keyword -> intents.seen[keyword] |= (byte) (1 << Intent.COMMERCIAL.ordinal()));
        intents.hands(valuing);
        return intents;
    }

    /** What the words of a list say; empty if nothing. */
    private static Optional<Cue> ofList(WordList list, IntentRules rules) {
        return switch (list.kind()) {
            case BRANDS -> Optional.of(new Cue(Intent.NAVIGATIONAL, rules.ofABrand(), Cue.Form.HAS, ""));
            case PLACES -> Optional.of(new Cue(Intent.LOCAL, rules.ofAPlace(), Cue.Form.HAS, ""));
            default -> list.kind().intent().map(intent -> new Cue(intent, rules.ofAList(), Cue.Form.HAS, ""));
        };
    }

    /**
     * The words that ship for a language, each kind to be edited as a list: where a project has taken it, words that are on it no
     * more say nothing, and those that came to it say what the others of it say.
     */
    public static Map<WordList.Kind, List<String>> shipped(String language) {
        Map<WordList.Kind, List<String>> lists = new EnumMap<>(WordList.Kind.class);
        for (WordList.Kind kind : WordList.Kind.values()) {
            List<String> words = Cue.shipped(language).stream()
                    .filter(cue -> kind.intent().filter(cue.intent()::equals).isPresent()
                            && !cue.words().isEmpty())
                    .map(Cue::words)
                    .distinct()
                    .toList();
            if (!words.isEmpty()) {
                lists.put(kind, words);
            }
        }
        return lists;
    }

    /** Whether a shipped cue holds for a project that has taken some lists. */
    private static boolean holds(Cue cue, String language, Map<String, WordList> lists) {
        return cue.words().isEmpty()
                || lists.values().stream()
                        .filter(list -> list.kind()
                                        .intent()
                                        .filter(cue.intent()::equals)
                                        .isPresent()
                                && list.name().equals(list.kind().shippedName(language)))
                        .allMatch(list -> list.words().contains(cue.words()));
    }

    private BitSet with(Cue cue) {
        return switch (cue.form()) {
            case SIZE -> sized();
            case ELSE -> all();
            case HAS, BEGINS, SAID -> named(cue);
        };
    }

    private void apply(int number, BitSet with) {
        Cue cue = cues.get(number);
        boolean anything = cue.form() == Cue.Form.ELSE;
        byte bit = (byte) (1 << cue.intent().ordinal());
        for (int keyword = with.nextSetBit(0); keyword >= 0; keyword = with.nextSetBit(keyword + 1)) {
            if (!anything || seen[keyword] == 0) {
                seen[keyword] |= bit;
            }
            if (cue.strength() > strength[keyword]) {
                strength[keyword] = (byte) cue.strength();
                lead[keyword] = (byte) cue.intent().ordinal();
                by[keyword] = number;
            }
        }
    }

    private BitSet named(Cue cue) {
        FoldedWords folded = keywords.folded();
        Optional<int[]> phrase = folded.find(cue.words());
        if (phrase.isEmpty()) {
            return new BitSet();
        }
        BitSet with = folded.together(phrase.get());
        if (cue.form() == Cue.Form.BEGINS) {
            for (int keyword = with.nextSetBit(0); keyword >= 0; keyword = with.nextSetBit(keyword + 1)) {
                if (!folded.at(keyword, 0, phrase.get())) {
                    with.clear(keyword);
                }
            }
        }
        return with;
    }

    private BitSet all() {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        return all;
    }

    /** Looked for in the distinct words: texts are many more. */
    private BitSet sized() {
        BitSet sizes = vocabulary(SIZE);
        BitSet numbers = vocabulary(NUMBER);
        BitSet units = vocabulary(UNIT);
        RaggedInts words = keywords.words();
        BitSet sized = new BitSet();
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            for (int i = 0; i < words.length(keyword); i++) {
                int word = words.get(keyword, i);
                boolean apart =
                        numbers.get(word) && i + 1 < words.length(keyword) && units.get(words.get(keyword, i + 1));
                if (apart || sizes.get(word)) {
                    sized.set(keyword);
                }
            }
        }
        return sized;
    }

    private BitSet vocabulary(Pattern pattern) {
        BitSet found = new BitSet();
        for (int word = 0; word < keywords.vocabulary().size(); word++) {
            found.set(word, pattern.matcher(keywords.vocabulary().text(word)).matches());
        }
        return found;
    }

    /**
     * Where many bid, and more than for most, somebody earns by it. It is seen beside what words say and never leads: no list
     * labelled by judgement has said yet how far to trust it.
     */
    private void dear() {
        Optional<FigureColumn> bids = keywords.figure(Figure.HIGH_BID).or(() -> keywords.figure(Figure.CPC));
        Optional<FigureColumn> competition = keywords.figure(Figure.COMPETITION);
        if (bids.isEmpty() || competition.isEmpty()) {
            return;
        }
        FigureColumn bid = bids.get();
        long[] known = IntStream.range(0, keywords.size())
                .filter(bid::known)
                .mapToLong(bid::twiceMiddle)
                .sorted()
                .toArray();
        if (known.length == 0) {
            return;
        }
        // Where most have one bid, it is not high.
        int others = rules.dearest() - 1;
        int from = (known.length * others + others) / rules.dearest();
        long dear = Math.max(known[Math.min(known.length - 1, from)], known[known.length / 2] + 1);
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            boolean sought = competition.get().known(keyword)
                    && competition.get().twiceMiddle(keyword) >= 2 * rules.muchCompetition();
            if (sought && bid.known(keyword) && bid.twiceMiddle(keyword) >= dear) {
                bidFor.set(keyword);
            }
        }
    }

    /** Whether many bid for it, and more than for most: a sign that people buy by it. */
    public boolean dear(int keyword) {
        return bidFor.get(keyword);
    }

    private void hands(Valuing valuing) {
        valuing.intents().forEach((text, intent) -> keywords.meant(text).ifPresent(keyword -> {
            lead[keyword] = (byte) intent.ordinal();
            seen[keyword] |= (byte) (1 << intent.ordinal());
            by[keyword] = -1;
        }));
    }

    /** What leads in a keyword; empty where nothing says anything. */
    public Optional<Intent> lead(int keyword) {
        return lead[keyword] == UNKNOWN ? Optional.empty() : Optional.of(Intent.values()[lead[keyword]]);
    }

    /** All that are seen in a keyword, the leading one first. */
    public List<Intent> seen(int keyword) {
        return SEEN.get(lead[keyword] + 1).get(seen[keyword]);
    }

    /** The same in words. */
    public List<String> told(int keyword) {
        return TOLD.get(lead[keyword] + 1).get(seen[keyword]);
    }

    /** Behind the number of what leads, from 0 for nothing, what is seen by its bits: few among millions of keywords. */
    private static final List<List<List<Intent>>> SEEN = IntStream.rangeClosed(0, Intent.values().length)
            .mapToObj(lead -> IntStream.range(0, 1 << Intent.values().length)
                    .mapToObj(bits -> Stream.concat(
                                    Stream.of(Intent.values()).filter(intent -> intent.ordinal() == lead - 1),
                                    Stream.of(Intent.values()).filter(intent -> (bits >> intent.ordinal() & 1) == 1))
                            .distinct()
                            .toList())
                    .toList())
            .toList();

    private static final List<List<List<String>>> TOLD = SEEN.stream()
            .map(ofLead -> ofLead.stream()
                    .map(all -> all.stream().map(Intent::fixedName).toList())
                    .toList())
            .toList();

    /** Why the leading one leads, without a full stop; empty where none does. */
    public Message reason(int keyword) {
        if (lead[keyword] == UNKNOWN) {
            return Message.NONE;
        }
        @Nullable Cue cue = by[keyword] < 0 ? null : cues.get(by[keyword]);
        return cue == null
                ? Message.of("value.intents.by-hand")
                : switch (cue.form()) {
                    case SIZE -> Message.of("value.intents.names-size");
                    case ELSE -> Message.of("value.intents.nothing-says-more");
                    case SAID -> Message.of("value.intents.said", cue.words());
                    case BEGINS -> Message.of("value.intents.begins-with", cue.words());
                    case HAS -> Message.of("value.intents.has", cue.words());
                };
    }

    /** The keywords in which an intent leads. */
    public BitSet with(Intent intent) {
        BitSet with = new BitSet(lead.length);
        for (int keyword = 0; keyword < lead.length; keyword++) {
            with.set(keyword, lead[keyword] == intent.ordinal());
        }
        return with;
    }

    /** How many of some keywords each intent leads in. */
    public Map<Intent, Integer> mix(int[] some) {
        Map<Intent, Integer> mix = new EnumMap<>(Intent.class);
        Arrays.stream(some).forEach(keyword -> lead(keyword).ifPresent(intent -> mix.merge(intent, 1, Integer::sum)));
        return mix;
    }

    /**
     * Whether some keywords mix those who want to know with those who want to buy: one ad and one page
     * do not answer both (common practice).
     */
    public boolean mixed(int[] some) {
        Map<Intent, Integer> mix = mix(some);
        int informational = mix.getOrDefault(Intent.INFORMATIONAL, 0);
        int others = mix.values().stream().mapToInt(count -> count).sum() - informational;
        int fewer = Math.min(informational, others);
        return fewer > 0 && fewer >= rules.mixed() * some.length;
    }

    /**
     * What most of some keywords are for.
     *
     * @param keywords how many of them
     */
    public record Most(Intent intent, int keywords) {}

    /** What most of some keywords are for; of equal ones the first of the trade's five; empty if of none it is known. */
    public Optional<Most> most(int[] some) {
        return mix(some).entrySet().stream()
                .max(Map.Entry.<Intent, Integer>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .map(most -> new Most(most.getKey(), most.getValue()));
    }
}
