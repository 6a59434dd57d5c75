package smorgas.core.language;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.SequencedMap;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.GZIPInputStream;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/**
 * What is known of a language: the word lists and the {@code grammar.properties} of its folder, each read once. A list that it
 * does not have is empty. Another language is added as a folder and a line in {@code languages.txt}. Cannot change; safe for
 * many threads.
 */
public final class Lexicon {

    private static final Map<String, Lexicon> KNOWN = new ConcurrentHashMap<>();

    /** The codes of the languages whose words are known (ISO 639-1). */
    public static final List<String> CODES = read("languages.txt");

    private final String code;
    private final Map<String, List<String>> lists = new ConcurrentHashMap<>();
    private final Map<String, Set<String>> sets = new ConcurrentHashMap<>();
    private final Properties grammar = new Properties();

    private Lexicon(String code) {
        this.code = code;
        try {
            grammar.load(new StringReader(String.join("\n", lines("grammar.properties"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** That of a language (ISO 639-1); an empty one if its words are not known. */
    public static Lexicon of(String code) {
        return KNOWN.computeIfAbsent(CODES.contains(code) ? code : "", Lexicon::new);
    }

    /** What the language of a code is called; the code itself where its words are not known. */
    public static Message nameOf(String code) {
        return CODES.contains(code) ? of(code).name() : Message.verbatim(code);
    }

    /** What the language is called. */
    public Message name() {
        return Message.of("language." + code);
    }

    /** Stop words: little words on which no group forms by itself ("for", "the"). */
    public SortedSet<String> stopWords() {
        return tidy("stop");
    }

    /** Little words, which a keyword can do without ("suit for beekeepers"). */
    public SortedSet<String> littleWords() {
        return tidy("little");
    }

    /** Words that open a question ("how", "what"). */
    public SortedSet<String> questionOpeners() {
        return tidy("questions");
    }

    /** Words of those who are about to buy ("buy", "near me"). */
    public SortedSet<String> buyingWords() {
        return tidy("buying");
    }

    /** Words that ask for a price ("cheap", "cost"). */
    public SortedSet<String> priceWords() {
        return tidy("price");
    }

    /** Words for which most shops want no ads, by the name of what they have in common. */
    public SequencedMap<String, List<String>> starterNegatives() {
        SequencedMap<String, List<String>> named = parts("negatives");
        named.values().forEach(words -> words.replaceAll(Tidy::of));
        return named;
    }

    /** How customers speak around a thing, which {@code {}} stands for, by the name of a form. */
    public SequencedMap<String, List<String>> brainstorm() {
        return parts("brainstorm");
    }

    /** Words that a dictionary knows, in all their forms. */
    public Set<String> dictionary() {
        return sets.computeIfAbsent(
                "dictionary", name -> Collections.unmodifiableSet(new HashSet<>(lines(name + ".txt.gz"))));
    }

    /** The word that {@code &} stands for; empty if it is not known. */
    String and() {
        return grammar.getProperty("and", "");
    }

    /** The stemmer of further forms of a word, as {@link WordForms} names it; empty for none. */
    String stems() {
        return grammar.getProperty("stems", "");
    }

    /** The rule of singular and plural, as {@link WordForms} names it; empty for none. */
    String plurals() {
        return grammar.getProperty("plurals", "");
    }

    /** Letters that are written otherwise without accents than is common, as rules of ICU's transforms; empty for none. */
    String accents() {
        return grammar.getProperty("accents", "");
    }

    /** What stands before an apostrophe and says little, such as an article that lost its vowel. */
    public Set<String> elided() {
        return Set.copyOf(words("elided"));
    }

    /** Whether compounds are written as one word. */
    public boolean compounds() {
        return grammar.containsKey("joining");
    }

    /** What stands between the parts of a compound: nothing, or one of some letters. */
    public List<String> joining() {
        return compounds()
                ? words("joining").stream()
                        .map(letters -> letters.equals("-") ? "" : letters)
                        .toList()
                : List.of("");
    }

    /** Words behind which a keyword tells more of its thing and names no other. */
    public Set<String> behind() {
        return Set.copyOf(words("behind"));
    }

    /** Whether the first noun is what a keyword is of, and what stands behind it tells more of it. */
    public boolean firstHead() {
        return grammar.getProperty("head", "").equals("first");
    }

    /** What people write who look for something where they are. */
    public List<String> near() {
        return words("near");
    }

    /** Words that places stand behind. */
    public Set<String> beforePlaces() {
        return Set.copyOf(words("before-places"));
    }

    /** Words that stand behind a place. */
    public Set<String> afterPlaces() {
        return Set.copyOf(words("after-places"));
    }

    /** Letters that few other languages have. */
    public String letters() {
        return grammar.getProperty("letters", "");
    }

    /** The currency that is guessed where a list tells none (ISO 4217). */
    public String currency() {
        return grammar.getProperty("currency", "EUR");
    }

    private List<String> words(String field) {
        String all = grammar.getProperty(field, "");
        return all.isEmpty() ? List.of() : Arrays.asList(all.split(", "));
    }

    private SortedSet<String> tidy(String list) {
        SortedSet<String> words = new TreeSet<>();
        lines(list + ".txt").stream().map(Tidy::of).forEach(words::add);
        return words;
    }

    /** The lines of a list by the names in brackets that they stand under. */
    private SequencedMap<String, List<String>> parts(String list) {
        SequencedMap<String, List<String>> parts = new LinkedHashMap<>();
        for (String line : lines(list + ".txt")) {
            if (line.startsWith("[")) {
                parts.putLast(line.substring(1, line.length() - 1), new ArrayList<>());
            } else {
                parts.lastEntry().getValue().add(line);
            }
        }
        return parts;
    }

    /** The lines of one of its files but for blank ones and comments; none if it does not have it. */
    public List<String> lines(String file) {
        return lists.computeIfAbsent(file, name -> code.isEmpty() ? List.of() : read(code + "/" + name));
    }

    static List<String> read(String file) {
        try (InputStream in = Lexicon.class.getResourceAsStream(file)) {
            if (in == null) {
                return List.of();
            }
            InputStream plain = file.endsWith(".gz") ? new GZIPInputStream(in) : in;
            return new String(plain.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
