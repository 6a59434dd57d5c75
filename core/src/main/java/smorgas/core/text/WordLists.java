package smorgas.core.text;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.GZIPInputStream;

/** The word lists that ship with the application, a word a line, by ISO 639-1 code of their language. */
public final class WordLists {

    private static final Map<String, List<String>> READ = new ConcurrentHashMap<>();
    private static final Map<String, Set<String>> DICTIONARIES = new ConcurrentHashMap<>();

    private WordLists() {}

    /** Stop words: little words on which no group forms by itself ("for", "the"); empty without a list. */
    public static SortedSet<String> stopWords(String language) {
        return tidy("stop-", language);
    }

    /** Little words, which a keyword can do without ("suit for beekeepers"); empty without a list. */
    public static SortedSet<String> littleWords(String language) {
        return tidy("little-", language);
    }

    /** Words that open a question ("how", "what"); empty without a list. */
    public static SortedSet<String> questionOpeners(String language) {
        return tidy("questions-", language);
    }

    /** Words of those who are about to buy ("buy", "near me"); empty without a list. */
    public static SortedSet<String> buyingWords(String language) {
        return tidy("buying-", language);
    }

    /** Words that ask for a price ("cheap", "cost"); empty without a list. */
    public static SortedSet<String> priceWords(String language) {
        return tidy("price-", language);
    }

    /** Words for which most shops want no ads, by the name of what they have in common; empty without a list. */
    public static SequencedMap<String, List<String>> starterNegatives(String language) {
        SequencedMap<String, List<String>> lists = parts("negatives-" + language + ".txt");
        lists.values().forEach(words -> words.replaceAll(Tidy::of));
        return lists;
    }

    /** How customers speak around a thing, which {@code {}} stands for, by the name of a form; empty without a list. */
    public static SequencedMap<String, List<String>> brainstorm(String language) {
        return parts("brainstorm-" + language + ".txt");
    }

    /** The lines of a list by the names in brackets that they stand under. */
    private static SequencedMap<String, List<String>> parts(String file) {
        SequencedMap<String, List<String>> parts = new LinkedHashMap<>();
        for (String line : lines(file)) {
            if (line.startsWith("[")) {
                parts.putLast(line.substring(1, line.length() - 1), new ArrayList<>());
            } else {
                parts.lastEntry().getValue().add(line);
            }
        }
        return parts;
    }

    /** Words that a dictionary of the language knows, in all their forms; empty without one. */
    public static Set<String> dictionary(String language) {
        return DICTIONARIES.computeIfAbsent(
                language, l -> Collections.unmodifiableSet(new HashSet<>(lines("words-" + l + ".txt.gz"))));
    }

    private static SortedSet<String> tidy(String kind, String language) {
        SortedSet<String> words = new TreeSet<>();
        lines(kind + language + ".txt").stream().map(Tidy::of).forEach(words::add);
        return words;
    }

    /** The lines of a shipped file but for blank ones and comments; none if there is no such file. */
    static List<String> lines(String file) {
        return READ.computeIfAbsent(file, WordLists::read);
    }

    private static List<String> read(String file) {
        if (!file.matches("[a-z-]+\\.txt(\\.gz)?")) {
            return List.of();
        }
        try (InputStream in = WordLists.class.getResourceAsStream(file)) {
            if (in == null) {
                return List.of();
            }
            InputStream plain = file.endsWith(".gz") ? new GZIPInputStream(in) : in;
            List<String> lines = new ArrayList<>();
            new String(plain.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .forEach(lines::add);
            return List.copyOf(lines);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
