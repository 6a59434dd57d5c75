package smorgas.core.language;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
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

    /** The Snowball stemmers by the names that a language has them under. */
    private static final Map<String, Supplier<SnowballStemmer>> STEMMERS = Map.ofEntries(
            Map.entry("english", EnglishStemmer::new),
            Map.entry("german", GermanStemmer::new),
            Map.entry("french", FrenchStemmer::new),
            Map.entry("spanish", SpanishStemmer::new),
            Map.entry("italian", ItalianStemmer::new),
            Map.entry("portuguese", PortugueseStemmer::new),
            Map.entry("dutch", DutchStemmer::new),
            Map.entry("swedish", SwedishStemmer::new),
            Map.entry("danish", DanishStemmer::new),
            Map.entry("norwegian", NorwegianStemmer::new),
            Map.entry("finnish", FinnishStemmer::new));

    private final UnaryOperator<String> form;

    private WordForms(UnaryOperator<String> form) {
        this.form = form;
    }

    /** Singular and plural: English by rule and list, others by Lucene's minimal stemmers; other languages: unchanged. */
    public static WordForms plurals(String language) {
        String rule = Lexicon.of(language).plurals();
        return switch (rule) {
            case "" -> new WordForms(word -> word);
            case "english" -> new WordForms(English.PLURALS::form);
            // The French one looks at the length with the ending and so parts short words from their plurals.
            case "french" -> {
                Minimal minimal = new Minimal(rule);
                yield new WordForms(word -> minimal.form(word.matches(".*[sxz]") ? word : word + "s"));
            }
            default -> new WordForms(new Minimal(rule)::form);
        };
    }

    /**
     * The same, and further: German plurals that change a vowel, at the end of longer words too, by a list; French ones with
     * an x.
     *
     * @param accents whether the words come without accents, as {@link Accents} leaves them
     */
    public static WordForms morePlurals(String language, boolean accents) {
        WordForms usual = plurals(language);
        return switch (Lexicon.of(language).plurals()) {
            case "german" -> new WordForms(german(new GermanPlurals(accents), usual));
            case "french" -> new WordForms(word -> usual.form.apply(FrenchPlurals.common(word)));
            default -> usual;
        };
    }

    private static UnaryOperator<String> german(GermanPlurals changed, WordForms usual) {
        return word -> usual.form.apply(changed.apply(word));
    }

    /** Further forms by the Snowball stemmers (Porter 2001); a language without one: unchanged. */
    public static WordForms stems(String language) {
        Supplier<SnowballStemmer> stemmers = STEMMERS.get(Lexicon.of(language).stems());
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

        Minimal(String rule) {
            filter = switch (rule) {
                case "german" -> new GermanMinimalStemFilter(one);
                case "french" -> new FrenchMinimalStemFilter(one);
                case "spanish" -> new SpanishPluralStemFilter(one);
                case "portuguese" -> new PortugueseMinimalStemFilter(one);
                case "swedish" -> new SwedishMinimalStemFilter(one);
                case "norwegian" -> new NorwegianMinimalStemFilter(one);
                default -> throw new IllegalArgumentException("no plurals for " + rule);
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
