package smorgas.core.text;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.de.GermanMinimalStemFilter;
import org.apache.lucene.analysis.es.SpanishPluralStemFilter;
import org.apache.lucene.analysis.fr.FrenchMinimalStemFilter;
import org.apache.lucene.analysis.no.NorwegianMinimalStemFilter;
import org.apache.lucene.analysis.pt.PortugueseMinimalStemFilter;
import org.apache.lucene.analysis.sv.SwedishMinimalStemFilter;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.tartarus.snowball.SnowballStemmer;
import org.tartarus.snowball.ext.DanishStemmer;
import org.tartarus.snowball.ext.DutchStemmer;
import org.tartarus.snowball.ext.EnglishStemmer;
import org.tartarus.snowball.ext.FinnishStemmer;
import org.tartarus.snowball.ext.FrenchStemmer;
import org.tartarus.snowball.ext.GermanStemmer;
import org.tartarus.snowball.ext.ItalianStemmer;
import org.tartarus.snowball.ext.NorwegianStemmer;
import org.tartarus.snowball.ext.PortugueseStemmer;
import org.tartarus.snowball.ext.SpanishStemmer;
import org.tartarus.snowball.ext.SwedishStemmer;

/**
 * One form for words that differ in their ending only. Words with a digit are left alone: sizes and numbers never fold.
 * For one thread.
 */
public final class WordForms {

    private static final Map<String, Supplier<SnowballStemmer>> STEMMERS = Map.ofEntries(
            Map.entry("en", EnglishStemmer::new),
            Map.entry("de", GermanStemmer::new),
            Map.entry("fr", FrenchStemmer::new),
            Map.entry("es", SpanishStemmer::new),
            Map.entry("it", ItalianStemmer::new),
            Map.entry("pt", PortugueseStemmer::new),
            Map.entry("nl", DutchStemmer::new),
            Map.entry("sv", SwedishStemmer::new),
            Map.entry("da", DanishStemmer::new),
            Map.entry("no", NorwegianStemmer::new),
            Map.entry("fi", FinnishStemmer::new));

    private static final Set<String> PLURALS = Set.of("en", "de", "fr", "es", "pt", "sv", "no");

    private final UnaryOperator<String> form;

    private WordForms(UnaryOperator<String> form) {
        this.form = form;
    }

    /** Singular and plural: English by rule and list, others by Lucene's minimal stemmers; other languages: unchanged. */
    public static WordForms plurals(String language) {
        if (language.equals("en")) {
            return new WordForms(English.PLURALS::form);
        }
        if (!PLURALS.contains(language)) {
            return new WordForms(word -> word);
        }
        Minimal minimal = new Minimal(language);
        // The French one looks at the length with the ending and so parts short words from their plurals.
        return language.equals("fr")
                ? new WordForms(word -> minimal.form(word.matches(".*[sxz]") ? word : word + "s"))
                : new WordForms(minimal::form);
    }

    /**
     * The same, and further: German plurals that change a vowel, at the end of longer words too, by a list; French ones with
     * an x.
     *
     * @param accents whether the words come without accents, as {@link Accents} leaves them
     */
    public static WordForms morePlurals(String language, boolean accents) {
        WordForms usual = plurals(language);
        return switch (language) {
            case "de" -> new WordForms(german(new GermanPlurals(accents), usual));
            case "fr" -> new WordForms(word -> usual.form.apply(FrenchPlurals.common(word)));
            default -> usual;
        };
    }

    private static UnaryOperator<String> german(GermanPlurals changed, WordForms usual) {
        return word -> usual.form.apply(changed.apply(word));
    }

    /** Further forms by the Snowball stemmers (Porter 2001); a language without one: unchanged. */
    public static WordForms stems(String language) {
        Supplier<SnowballStemmer> stemmers = STEMMERS.get(language);
        if (stemmers == null) {
            return new WordForms(word -> word);
        }
        SnowballStemmer stemmer = stemmers.get();
        // A list has far fewer words than places where they stand.
        Map<String, String> known = new HashMap<>();
        return new WordForms(asked -> known.computeIfAbsent(asked, word -> {
            stemmer.setCurrent(word);
            stemmer.stem();
            return stemmer.getCurrent();
        }));
    }

    /** The form that the word shares with its like. */
    public String of(String word) {
        for (int i = 0; i < word.length(); i++) {
            if (Character.isDigit(word.charAt(i))) {
                return word;
            }
        }
        return form.apply(word);
    }

    /** Read when it is first needed; never changes. */
    private static final class English {
        private static final EnglishPlurals PLURALS = new EnglishPlurals();
    }

    /** Lucene's stemmers are to be had as filters of a stream of words only. */
    private static final class Minimal {

        private final One one = new One();
        private final TokenStream filter;

        Minimal(String language) {
            filter = switch (language) {
                case "de" -> new GermanMinimalStemFilter(one);
                case "fr" -> new FrenchMinimalStemFilter(one);
                case "es" -> new SpanishPluralStemFilter(one);
                case "pt" -> new PortugueseMinimalStemFilter(one);
                case "sv" -> new SwedishMinimalStemFilter(one);
                case "no" -> new NorwegianMinimalStemFilter(one);
                default -> throw new IllegalArgumentException("no plurals for " + language);
            };
        }

        String form(String word) {
            one.next = word;
            try {
                filter.incrementToken();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return one.term.toString();
        }
    }

    private static final class One extends TokenStream {
        private final CharTermAttribute term = addAttribute(CharTermAttribute.class);
        private String next = "";

        @Override
        public boolean incrementToken() {
            clearAttributes();
            term.setEmpty().append(next);
            return true;
        }
    }
}
