package smorgas.core.source;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import it.unimi.dsi.fastutil.longs.LongArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import smorgas.core.figure.ColumnRole;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.text.Characters;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * Takes phrases out of pages. A phrase of so many words is looked for only where both its shorter ones stand often enough (the rule of
 * Agrawal and Srikant 1994: what is frequent has only frequent parts) and its place among hashes has been met often enough (Park,
 * Chen and Yu 1995), so that counts are exact and memory holds. One that stands
 * nowhere but within a longer one is not told apart from it.
 */
public final class PhraseFinder {

    /** So many different phrases are held; of more one cannot choose anyway. */
    private static final int MOST_PHRASES = 3_000_000;

    /** Places in which runs of words are counted before they are told apart. */
    private static final int BUCKETS = 1 << 25;

    private static final int PAGES_TOLD = 5;

    private final PhraseSettings wanted;
    private final Set<String> stopWords;
    private final PhraseWords words;
    private final List<PhraseWords.Page> pages = new ArrayList<>();
    private final List<Message> problems = new ArrayList<>();

    /**
     * A phrase.
     *
     * @param weight the sum of what its places count
     * @param times that it stands on the pages
     * @param pages on how many
     * @param most the pages where it stands most, with how often, at most {@value #PAGES_TOLD}
     */
    public record Phrase(String text, long weight, int times, int pages, Map<String, Integer> most) {}

    /**
     * What came of pages.
     *
     * @param phrases of the greatest weight first
     * @param pages that were read
     * @param problems pages that could not be, each a sentence
     */
    public record Result(List<Phrase> phrases, int pages, List<Message> problems) {

        /** As a list to be gathered. */
        public MadeList list() {
            return new MadeList(
                    List.of(
                            MadeList.Column.KEYWORD,
                            new MadeList.Column("weight", ColumnRole.OTHER),
                            new MadeList.Column("times", ColumnRole.OTHER),
                            new MadeList.Column("pages", ColumnRole.OTHER),
                            new MadeList.Column("most on", ColumnRole.OTHER)),
                    phrases.stream()
                            .map(phrase -> List.of(
                                    phrase.text(),
                                    String.valueOf(phrase.weight()),
                                    String.valueOf(phrase.times()),
                                    String.valueOf(phrase.pages()),
                                    told(phrase.most())))
                            .toList());
        }

        /** Pages with how often, in words. */
        public static String told(Map<String, Integer> most) {
            return most.entrySet().stream()
                    .map(page -> page.getKey() + " " + page.getValue())
                    .collect(Collectors.joining("; "));
        }
    }

    public PhraseFinder(PhraseSettings wanted) {
        this.wanted = wanted;
        this.stopWords = Set.copyOf(wanted.stopWords());
        this.words = new PhraseWords(wanted);
    }

    /** Takes a page in; one that is none becomes a problem. A text without markup is a page of runs that end with its lines. */
    public void add(String name, byte[] page) {
        try {
            pages.add(words.page(name, page));
        } catch (Refusal refused) {
            problems.add(Message.of("sentence", refused.message()));
        }
    }

    /** Phrases of one length that stand often enough. */
    private static final class Level {
        private final LongArrayList keys = new LongArrayList();
        private final IntArrayList times = new IntArrayList();
        private final IntArrayList pages = new IntArrayList();
        private final LongArrayList weights = new LongArrayList();
        /** By page and place, the number of the phrase that begins there; below 0 for none. */
        private final List<int[]> at = new ArrayList<>();
        /** The words of each. */
        private final List<int[]> words = new ArrayList<>();
    }

    /**
     * The phrases.
     *
     * @throws Refusal with a sentence, if there are too many to choose from
     */
    public Result result() {
        List<Level> levels = new ArrayList<>();
        Level before = null;
        for (int length = 1; length <= wanted.words().most(); length++) {
            Level level = level(length, before);
            if (level.keys.isEmpty()) {
                break;
            }
            levels.add(level);
            before = level;
        }
        return new Result(chosen(levels), pages.size(), List.copyOf(problems));
    }

    private Level level(int length, @Nullable Level before) {
        Level level = new Level();
        Long2IntOpenHashMap known = new Long2IntOpenHashMap();
        known.defaultReturnValue(-1);
        IntArrayList last = new IntArrayList();
        byte[] met = met(length, before);
        for (int page = 0; page < pages.size(); page++) {
            PhraseWords.Page of = pages.get(page);
            int[] at = new int[of.words().length];
            Arrays.fill(at, -1);
            for (int place = 0; place + length <= of.words().length; place++) {
                long key = key(of, page, place, length, before);
                if (key < 0 || met.length > 0 && met[bucket(key)] < Math.min(wanted.times(), Byte.MAX_VALUE)) {
                    continue;
                }
                int number = known.get(key);
                if (number < 0) {
                    number = level.keys.size();
                    if (number >= MOST_PHRASES) {
                        throw new Refusal("source.finder.more-than-3-000");
                    }
                    known.put(key, number);
                    level.keys.add(key);
                    level.times.add(0);
                    level.pages.add(0);
                    level.weights.add(0);
                    last.add(-1);
                }
                at[place] = number;
                level.times.set(number, level.times.getInt(number) + 1);
                level.weights.set(number, level.weights.getLong(number) + of.weights()[place]);
                if (last.getInt(number) != page) {
                    last.set(number, page);
                    level.pages.set(number, level.pages.getInt(number) + 1);
                }
            }
            level.at.add(at);
        }
        return frequent(level, before);
    }

    /** How often each bucket was met; of phrases that may stand once, or of single words, nothing is to be spared. */
    private byte[] met(int length, @Nullable Level before) {
        if (wanted.times() == 1 || before == null) {
            return new byte[0];
        }
        byte[] met = new byte[BUCKETS];
        for (int page = 0; page < pages.size(); page++) {
            PhraseWords.Page of = pages.get(page);
            for (int place = 0; place + length <= of.words().length; place++) {
                long key = key(of, page, place, length, before);
                if (key >= 0) {
                    int bucket = bucket(key);
                    met[bucket] += (byte) (met[bucket] < Byte.MAX_VALUE ? 1 : 0);
                }
            }
        }
        return met;
    }

    private static int bucket(long key) {
        return (int) (key * 0x9E3779B97F4A7C15L >>> 39);
    }

    private static long key(PhraseWords.Page of, int page, int place, int length, @Nullable Level before) {
        if (before == null) {
            return of.words()[place];
        }
        int[] at = before.at.get(page);
        return at[place] < 0 || at[place + 1] < 0 ? -1 : (long) at[place] << 32 | of.words()[place + length - 1];
    }

    /** Only what stands often enough, on pages enough, numbered anew. */
    private Level frequent(Level all, @Nullable Level before) {
        Level level = new Level();
        int[] renumbered = new int[all.keys.size()];
        for (int number = 0; number < renumbered.length; number++) {
            boolean often = all.times.getInt(number) >= wanted.times() && all.pages.getInt(number) >= wanted.pages();
            renumbered[number] = often ? level.keys.size() : -1;
            if (often) {
                long key = all.keys.getLong(number);
                level.keys.add(key);
                level.times.add(all.times.getInt(number));
                level.pages.add(all.pages.getInt(number));
                level.weights.add(all.weights.getLong(number));
                level.words.add(wordsOf(key, before));
            }
        }
        for (int[] at : all.at) {
            for (int place = 0; place < at.length; place++) {
                at[place] = at[place] < 0 ? -1 : renumbered[at[place]];
            }
            level.at.add(at);
        }
        return level;
    }

    private static int[] wordsOf(long key, @Nullable Level before) {
        if (before == null) {
            return new int[] {(int) key};
        }
        int[] start = before.words.get((int) (key >>> 32));
        int[] whole = Arrays.copyOf(start, start.length + 1);
        whole[start.length] = (int) key;
        return whole;
    }

    private List<Phrase> chosen(List<Level> levels) {
        List<Phrase> chosen = new ArrayList<>();
        // By length, those that stand only within a chosen one of a word more.
        boolean[] within = {};
        for (int length = levels.size(); length >= 1; length--) {
            Level level = levels.get(length - 1);
            boolean[] shorter =
                    new boolean[length == 1 ? 0 : levels.get(length - 2).keys.size()];
            boolean[] fits = new boolean[level.keys.size()];
            for (int number = 0; number < fits.length; number++) {
                fits[number] = fits(level.words.get(number));
            }
            if (length > 1) {
                cover(level, levels.get(length - 2), fits, shorter);
            }
            for (int number = 0; number < fits.length; number++) {
                fits[number] &= !(number < within.length && within[number]);
            }
            Most most = new Most(level, fits);
            for (int number = 0; number < fits.length; number++) {
                if (fits[number]) {
                    chosen.add(new Phrase(
                            text(level.words.get(number)),
                            level.weights.getLong(number),
                            level.times.getInt(number),
                            level.pages.getInt(number),
                            most.of(number)));
                }
            }
            within = shorter;
        }
        chosen.sort(Comparator.comparingLong(Phrase::weight)
                .thenComparingInt(Phrase::times)
                .reversed()
                .thenComparing(Phrase::text));
        return chosen;
    }

    /** Marks the shorter phrases that stand as often as a longer one that fits and holds them. */
    private void cover(Level level, Level shorter, boolean[] fits, boolean[] covered) {
        for (int page = 0; page < pages.size(); page++) {
            int[] at = level.at.get(page);
            int[] parts = shorter.at.get(page);
            for (int place = 0; place + 1 < at.length; place++) {
                if (at[place] >= 0 && fits[at[place]]) {
                    for (int part : new int[] {parts[place], parts[place + 1]}) {
                        covered[part] |= shorter.times.getInt(part) == level.times.getInt(at[place]);
                    }
                }
            }
        }
    }

    /** The pages on which phrases stand most, as flat tables, for there are many phrases. */
    private final class Most {
        private final int[] page;
        private final int[] times;

        Most(Level level, boolean[] wanted) {
            page = new int[PAGES_TOLD * wanted.length];
            times = new int[PAGES_TOLD * wanted.length];
            int[] here = new int[wanted.length];
            IntArrayList met = new IntArrayList();
            for (int number = 0; number < pages.size(); number++) {
                for (int phrase : level.at.get(number)) {
                    if (phrase >= 0 && wanted[phrase] && here[phrase]++ == 0) {
                        met.add(phrase);
                    }
                }
                for (int phrase : met.toIntArray()) {
                    put(phrase, number, here[phrase]);
                    here[phrase] = 0;
                }
                met.clear();
            }
        }

        /** Of as many on two pages the first page stays before. */
        private void put(int phrase, int number, int count) {
            int first = PAGES_TOLD * phrase;
            int at = first + PAGES_TOLD - 1;
            if (times[at] >= count) {
                return;
            }
            for (; at > first && times[at - 1] < count; at--) {
                times[at] = times[at - 1];
                page[at] = page[at - 1];
            }
            times[at] = count;
            page[at] = number;
        }

        private Map<String, Integer> of(int phrase) {
            Map<String, Integer> most = new LinkedHashMap<>();
            for (int at = PAGES_TOLD * phrase; at < PAGES_TOLD * (phrase + 1) && times[at] > 0; at++) {
                most.merge(pages.get(page[at]).name(), times[at], Integer::sum);
            }
            return most;
        }
    }

    private boolean fits(int[] phrase) {
        int characters = Characters.count(text(phrase));
        return phrase.length >= wanted.words().least()
                && characters >= wanted.characters().least()
                && characters <= wanted.characters().most()
                && !stopWords.contains(words.word(phrase[0]))
                && !stopWords.contains(words.word(phrase[phrase.length - 1]));
    }

    private String text(int[] phrase) {
        return Arrays.stream(phrase).mapToObj(words::word).collect(Collectors.joining(" "));
    }
}
