package smorgas.core.sift;

import com.google.re2j.Pattern;
import com.ibm.icu.lang.UScript;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.figure.Computed;
import smorgas.core.fold.FoldedWords;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Patterns;
import smorgas.core.recipe.sift.Placing;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/**
 * Runs conditions over the keywords of one fold. What depends on nothing else is remembered for the conditions asked for
 * last, as rules and views ask the same again and again. Safe for many threads.
 */
public final class Matcher {

    /** Of fewer words of sixty-four keywords one core looks at them all. */
    private static final int FEW_WORDS = 128;

    private static final int REMEMBERED = 200;

    /** A text of these only never reaches over the edge of a word: between them UAX #29 sets no boundary. */
    private static final java.util.regex.Pattern WITHIN_A_WORD = java.util.regex.Pattern.compile("[a-z0-9]+");

    private final Keywords keywords;
    private final Map<String, WordList> lists;
    private final Map<Condition, BitSet> known = new LinkedHashMap<>(64, .75f, true);

    /** For keywords of a project that has taken these word lists, by name. */
    public Matcher(Keywords keywords, Map<String, WordList> lists) {
        this.keywords = keywords;
        this.lists = Map.copyOf(lists);
    }

    /** For a project without word lists. */
    public Matcher(Keywords keywords) {
        this(keywords, Map.of());
    }

    public Keywords keywords() {
        return keywords;
    }

    /**
     * The keywords that fulfil a condition.
     *
     * @throws IllegalArgumentException if it asks for more than what keywords are: see {@link #match(Condition, Beyond)}
     */
    public BitSet match(Condition condition) {
        return match(condition, ConditionContext.NOTHING);
    }

    /** The keywords that fulfil a condition, which may ask for what is known beyond them. */
    public BitSet match(Condition condition, ConditionContext beyond) {
        if (condition.asksBeyond()) {
            return find(condition, beyond, null);
        }
        synchronized (known) {
            BitSet found = known.get(condition);
            if (found != null) {
                return (BitSet) found.clone();
            }
        }
        BitSet found = find(condition, beyond, null);
        synchronized (known) {
            known.put(condition, found);
            if (known.size() > REMEMBERED) {
                known.remove(known.keySet().iterator().next());
            }
        }
        return (BitSet) found.clone();
    }

    /**
     * Finds anew.
     *
     * @param among if given, only these are looked at where each keyword has to be
     */
    private BitSet find(Condition condition, ConditionContext beyond, @Nullable BitSet among) {
        return switch (condition) {
            case Condition.HasWord has -> keywords.withWord(has.word());
            case Condition.Worded worded -> worded(worded);
            case Condition.HasAnyWord any -> withAny(any.words());
            case Condition.OnList on ->
                lists.containsKey(on.list()) ? withAny(lists.get(on.list()).words()) : new BitSet();
            case Condition.HasText has -> withText(Tidy.of(has.text()), among);
            case Condition.Matches matches -> matching(Patterns.compile(matches.pattern()), among);
            case Condition.Count count -> counted(count, among);
            case Condition.FigureWithin within ->
                keywords.figure(within.figure())
                        .map(column -> within(column, within.bounds(), among))
                        .orElseGet(BitSet::new);
            case Condition.FigureUnknown unknown ->
                keywords.figure(unknown.figure())
                        .map(column -> select(among, keyword -> !column.known(keyword)))
                        .orElseGet(this::all);
            case Condition.InBasket in -> keywords.inBasket(in.name());
            case Condition.InExactly in -> {
                BitSet wanted = keywords.places(in.names());
                yield select(among, keyword -> keywords.basketPlaces(keyword).equals(wanted));
            }
            case Condition.HasDigit has ->
                select(among, keyword -> keywords.text(keyword).codePoints().anyMatch(Character::isDigit));
            case Condition.HasScript has -> inScript(script(has.script()), among);
            case Condition.HasTag has -> beyond.tag().apply(has.tag());
            case Condition.Stands stands -> beyond.status().apply(stands.status());
            case Condition.Intended is -> beyond.intent().apply(is.intent());
            case Condition.Prioritised prioritised -> beyond.priority().apply(prioritised.name());
            case Condition.Valued valued ->
                valued(
                        beyond.numbers().apply(valued.what()),
                        valued.bounds().times(valued.what().scale()),
                        among);
            case Condition.AllOf every -> allOf(every.parts(), beyond);
            case Condition.AnyOf any -> anyOf(any.parts(), beyond);
            case Condition.NoneOf none -> {
                BitSet found = anyOf(none.parts(), beyond);
                found.flip(0, keywords.size());
                yield found;
            }
        };
    }

    private BitSet withText(String text, @Nullable BitSet among) {
        return WITHIN_A_WORD.matcher(text).matches()
                ? withWordsThatHave(text, among)
                : select(among, keyword -> keywords.text(keyword).contains(text));
    }

    private BitSet matching(Pattern pattern, @Nullable BitSet among) {
        return select(among, keyword -> pattern.matcher(keywords.text(keyword)).find());
    }

    private BitSet inScript(int script, @Nullable BitSet among) {
        return select(
                among, keyword -> keywords.text(keyword).codePoints().anyMatch(c -> UScript.hasScript(c, script)));
    }

    private BitSet valued(Numbers numbers, Bounds bounds, @Nullable BitSet among) {
        return select(among, keyword -> numbers.known(keyword) && bounds.holdTwice(numbers.twiceMiddle(keyword)));
    }

    private BitSet allOf(List<Condition> parts, ConditionContext beyond) {
        BitSet found = all();
        // What is read off an index or a column comes first; texts are looked at for what it leaves.
        for (Condition part : parts) {
            if (!readsTexts(part)) {
                found.and(match(part, beyond));
            }
        }
        for (Condition part : parts) {
            if (readsTexts(part) && !found.isEmpty()) {
                found.and(remembered(part).orElseGet(() -> find(part, beyond, found)));
            }
        }
        return found;
    }

    private Optional<BitSet> remembered(Condition condition) {
        synchronized (known) {
            return Optional.ofNullable(known.get(condition));
        }
    }

    private static boolean readsTexts(Condition condition) {
        return switch (condition) {
            case Condition.HasText text -> !WITHIN_A_WORD.matcher(text.text()).matches();
            case Condition.Matches pattern -> true;
            case Condition.HasScript script -> true;
            case Condition.HasDigit digit -> true;
            case Condition.Count count -> count.what() == Computed.WORDS || count.what() == Computed.CHARACTERS;
            default -> false;
        };
    }

    private BitSet anyOf(List<Condition> parts, ConditionContext beyond) {
        BitSet found = new BitSet(keywords.size());
        for (Condition part : parts) {
            found.or(match(part, beyond));
        }
        return found;
    }

    private static int script(Cleaning.Script script) {
        return UScript.getCodeFromName(script.name());
    }

    private BitSet within(FigureColumn column, Bounds bounds, @Nullable BitSet among) {
        return select(among, keyword -> column.known(keyword) && bounds.holdTwice(column.twiceMiddle(keyword)));
    }

    private BitSet counted(Condition.Count count, @Nullable BitSet among) {
        Numbers numbers = keywords.numbers(count.what());
        return select(among, keyword -> count.bounds().hold(numbers.low(keyword)));
    }

    /** By the rarest of the words at first: most words are in few keywords. */
    private BitSet worded(Condition.Worded worded) {
        FoldedWords folded = keywords.folded();
        int[] words = folded.find(worded.words()).orElse(null);
        if (words == null) {
            return new BitSet();
        }
        BitSet found = new BitSet(keywords.size());
        folded.keywordsOf().forEach(words[0], found::set);
        for (int i = 1; i < words.length; i++) {
            BitSet with = new BitSet(keywords.size());
            folded.keywordsOf().forEach(words[i], with::set);
            found.and(with);
        }
        found.stream()
                .filter(keyword -> !placed(keyword, words, worded.placing()))
                .forEach(found::clear);
        return found;
    }

    private boolean placed(int keyword, int[] words, Placing placing) {
        FoldedWords folded = keywords.folded();
        int length = folded.rows().length(keyword);
        return switch (placing) {
            case ANY_ORDER -> true;
            case STARTS -> folded.at(keyword, 0, words);
            case ENDS -> folded.at(keyword, length - words.length, words);
            case EXACTLY -> length == words.length && folded.at(keyword, 0, words);
            case IN_ORDER -> {
                int next = 0;
                for (int i = 0; i < length && next < words.length; i++) {
                    next += folded.rows().get(keyword, i) == words[next] ? 1 : 0;
                }
                yield next == words.length;
            }
        };
    }

    private BitSet withAny(List<String> entries) {
        FoldedWords folded = keywords.folded();
        BitSet found = new BitSet(keywords.size());
        for (String entry : entries) {
            folded.find(entry).ifPresent(words -> {
                if (words.length == 1) {
                    folded.keywordsOf().forEach(words[0], found::set);
                } else {
                    found.or(folded.together(words));
                }
            });
        }
        return found;
    }

    private BitSet all() {
        BitSet all = new BitSet(keywords.size());
        all.set(0, keywords.size());
        return all;
    }

    /** Every word that has the text in it, then every keyword with one of these words: there are far fewer words. */
    private BitSet withWordsThatHave(String text, @Nullable BitSet among) {
        TextDictionary vocabulary = keywords.vocabulary();
        boolean[] has = new boolean[vocabulary.size()];
        for (int word = 0; word < has.length; word++) {
            has[word] = vocabulary.text(word).contains(text);
        }
        RaggedInts words = keywords.words();
        return select(among, keyword -> {
            for (int i = words.length(keyword) - 1; i >= 0; i--) {
                if (has[words.get(keyword, i)]) {
                    return true;
                }
            }
            return false;
        });
    }

    /** On all cores, sixty-four keywords at a time, so that no two cores write into one word of the result. */
    private BitSet select(@Nullable BitSet among, IntPredicate test) {
        long[] asked = (among == null ? all() : among).toLongArray();
        long[] found = new long[asked.length];
        Cores.run(asked.length, FEW_WORDS, (from, to) -> {
            for (int word = from; word < to; word++) {
                for (long left = asked[word]; left != 0; left &= left - 1) {
                    int bit = Long.numberOfTrailingZeros(left);
                    found[word] |= test.test(word * Long.SIZE + bit) ? 1L << bit : 0;
                }
            }
        });
        return BitSet.valueOf(found);
    }

    /** Why a condition, or a part of it, cannot find anything at present: a sentence for each; empty if it may. */
    public List<Message> doubts(Condition condition) {
        List<Message> doubts = new ArrayList<>();
        condition.all().forEach(part -> {
            switch (part) {
                case Condition.FigureWithin within -> figure(within.figure(), doubts);
                case Condition.OnList on -> {
                    if (!lists.containsKey(on.list())) {
                        doubts.add(Message.of("sift.matcher.project-list-take-from", on.list()));
                    }
                }
                case Condition.InBasket in -> {
                    if (keywords.places(java.util.Set.of(in.name())).isEmpty()) {
                        doubts.add(Message.of("sift.matcher.basket-present", in.name()));
                    }
                }
                case Condition.HasWord has -> word(has.word(), doubts);
                case Condition.Worded worded -> word(worded.words(), doubts);
                default -> {
                    // The others can be asked of any keywords.
                }
            }
        });
        return doubts;
    }

    private void figure(smorgas.core.figure.Figure figure, List<Message> doubts) {
        if (keywords.figure(figure).isEmpty()) {
            doubts.add(Message.of("sift.matcher.basket-tells-keywords", figure.label()));
        }
    }

    private void word(String words, List<Message> doubts) {
        if (keywords.folded().find(words).isEmpty()) {
            doubts.add(Message.of("sift.matcher.keyword-present", words));
        }
    }
}
