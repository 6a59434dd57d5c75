package smorgas.app.standin;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import smorgas.core.source.Source;
import smorgas.core.text.Message;
import smorgas.core.text.Words;

/**
 * Suggests phrases of an invented corpus as services of this kind do: those in which all words of the query stand in their order,
 * the last one begun, and single letters as beginnings of words; the most searched first, ten at most. It is always the same, it
 * takes its time, and it fails now and then, always at the same queries.
 */
final class Suggester implements Source {

    private static final int ANSWERS = 10;
    private static final int FAILS_ONCE = 41;
    private static final int FAILS_EVER = 397;

    private final String name;
    private final long millis;
    private final List<Phrase> corpus;
    /** The places of phrases by each of their words, so that few need be looked at. */
    private final NavigableMap<String, BitSet> byWord = new TreeMap<>();
    /** Queries that failed once already. */
    private final Map<String, Boolean> failed = new ConcurrentHashMap<>();

    private record Phrase(String text, List<String> words, int searched) {}

    /**
     * A stand-in.
     *
     * @param millis that an answer takes
     * @param corpus the phrases it knows
     */
    Suggester(String name, long millis, List<String> corpus) {
        this.name = name;
        this.millis = millis;
        List<Phrase> phrases = new ArrayList<>();
        corpus.forEach(text -> phrases.add(new Phrase(text, Words.of(text), searched(text))));
        phrases.sort(Comparator.comparingInt(Phrase::searched).reversed().thenComparing(Phrase::text));
        this.corpus = List.copyOf(phrases);
        for (int place = 0; place < this.corpus.size(); place++) {
            for (String word : this.corpus.get(place).words()) {
                byWord.computeIfAbsent(word, none -> new BitSet()).set(place);
            }
        }
    }

    /** Short phrases are searched more. */
    private int searched(String text) {
        return (int) (Integer.toUnsignedLong((text + name).hashCode() * 0x9E3779B9) % 1_000_000 / text.length());
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public Limits limits() {
        return new Limits(0, 5_000);
    }

    @Override
    public List<String> suggest(Query query) throws Fault, InterruptedException {
        Thread.sleep(millis);
        int draw = Math.floorMod((query.text() + name).hashCode(), FAILS_EVER);
        if (draw == 0) {
            throw new Fault(Message.of("standin.suggester.refuses-one"));
        }
        if (draw % FAILS_ONCE == 1 && failed.putIfAbsent(query.text(), true) == null) {
            throw new Fault(Message.of("standin.suggester.too-much-do"));
        }
        if (!query.language().equals("en")) {
            return List.of();
        }
        List<String> words = Words.of(query.text());
        return words.isEmpty()
                ? List.of()
                : withFirst(words).stream()
                        .mapToObj(corpus::get)
                        .filter(phrase -> holds(phrase.words(), words))
                        .limit(ANSWERS)
                        .map(Phrase::text)
                        .toList();
    }

    /** The places of phrases that have the first word of a query, or one that begins with it where that is enough. */
    private BitSet withFirst(List<String> words) {
        String first = words.getFirst();
        if (words.size() > 1 && first.length() > 1) {
            return byWord.getOrDefault(first, new BitSet());
        }
        BitSet begun = new BitSet();
        byWord.subMap(first, first + Character.MAX_VALUE).values().forEach(begun::or);
        return begun;
    }

    private static boolean holds(List<String> phrase, List<String> query) {
        int at = 0;
        for (int word = 0; word < query.size(); word++) {
            String wanted = query.get(word);
            boolean begun = word == query.size() - 1 || wanted.length() == 1;
            while (at < phrase.size()
                    && !(begun
                            ? phrase.get(at).startsWith(wanted)
                            : phrase.get(at).equals(wanted))) {
                at++;
            }
            if (at++ >= phrase.size()) {
                return false;
            }
        }
        return !query.isEmpty();
    }
}
