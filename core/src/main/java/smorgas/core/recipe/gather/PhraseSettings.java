package smorgas.core.recipe.gather;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * What is taken from pages.
 *
 * @param weights by part of a page, what a phrase in it counts, 1 to {@value #HEAVIEST}; parts that are not in it are left out
 * @param from only what stands behind this text, tidy; empty for all
 * @param to and before this one, tidy; empty for all
 * @param characters of a phrase, at least and at most
 * @param words of a phrase, at least and at most, of 1 to {@value #LONGEST}
 * @param times that a phrase stands on the pages at least
 * @param pages on which it stands at least
 * @param stopWords words with which a phrase neither begins nor ends; tidy
 * @param badWords words that no phrase has; tidy
 * @param language ISO 639-1 code
 * @param addresses of pages that were fetched, so that they can be again; empty for files and pastes
 */
public record PhraseSettings(
        Map<Part, Integer> weights,
        String from,
        String to,
        Range characters,
        Range words,
        int times,
        int pages,
        List<String> stopWords,
        List<String> badWords,
        String language,
        List<String> addresses) {

    public static final int HEAVIEST = 100;
    public static final int LONGEST = 8;

    private static final int MOST_WORDS = 20_000;

    /** A least and a most. */
    public record Range(int least, int most) {}

    /** Parts of a page. */
    public enum Part {
        TITLE("page-part.title", 5),
        HEADINGS("page-part.headings", 3),
        META("page-part.meta", 2),
        LINKS("page-part.links", 1),
        ALTERNATIVES("page-part.alternatives", 1),
        TEXT("page-part.text", 1);

        private final Message label;
        private final int usual;

        Part(String label, int usual) {
            this.label = Message.of(label);
            this.usual = usual;
        }

        public Message label() {
            return label;
        }

        /** What a phrase in it counts unless one says otherwise. */
        public int usual() {
            return usual;
        }
    }

    public PhraseSettings {
        weights = weights.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(weights));
        from = Tidy.of(from);
        to = Tidy.of(to);
        stopWords = tidy(stopWords);
        badWords = tidy(badWords);
        addresses = List.copyOf(addresses);
        if (weights.isEmpty()) {
            throw new Refusal("gather.phrases.choose-part-pages-least");
        }
        weights.forEach((part, weight) -> {
            if (weight < 1 || weight > HEAVIEST) {
                throw new Refusal("gather.phrases.part-counts-1", HEAVIEST);
            }
        });
        range(characters, 1, 200, "characters");
        range(words, 1, LONGEST, "words");
        if (times < 1 || pages < 1) {
            throw new Refusal("gather.phrases.phrase-stands-once-least");
        }
    }

    private static List<String> tidy(List<String> words) {
        List<String> tidy = words.stream()
                .map(Tidy::of)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        if (tidy.size() > MOST_WORDS) {
            throw new Refusal("gather.phrases.most-20-000-stop");
        }
        return tidy;
    }

    private static void range(Range range, int least, int most, String what) {
        if (range.least() < least || range.most() > most || range.least() > range.most()) {
            throw new Refusal("gather.phrases.phrase-least-above-most", least, most, what);
        }
    }
}
