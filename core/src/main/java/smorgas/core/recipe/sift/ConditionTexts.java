package smorgas.core.recipe.sift;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import smorgas.core.figure.Figure;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Texts in conditions, and sentences of several. */
final class ConditionTexts {

    private ConditionTexts() {}

    /** Refuses what is too long to be looked for. */
    static void bounded(String text) {
        if (text.length() > Condition.LONGEST_TEXT) {
            throw new Refusal("sift.condition-texts.text-look-characters-most", Condition.LONGEST_TEXT);
        }
    }

    /**
     * Parts as one sentence; what combines several itself stands in brackets.
     *
     * @param key how two of them are joined
     */
    static Message joined(List<Condition> parts, String key) {
        List<Message> sentences = parts.stream()
                .map(part -> part.within().size() > 1 && !excludes(part)
                        ? Message.of("sift.condition.several", part.sentence())
                        : part.sentence())
                .toList();
        return Message.joined(sentences, place -> excludes(parts.get(place)) ? "sift.condition.but" : key);
    }

    private static boolean excludes(Condition part) {
        return part instanceof Condition.NoneOf;
    }

    /** The first few of some words, and how many more there are. */
    static Message listed(List<String> words) {
        int shown = Math.min(4, words.size());
        String first = "\"" + String.join("\", \"", words.subList(0, shown)) + "\"";
        return words.size() > shown
                ? Message.of("sift.condition-texts.and-more", first, words.size() - shown)
                : Message.verbatim(first);
    }

    /** So much of a figure, in its unit. */
    static String amount(Figure figure, long parts) {
        BigDecimal amount = BigDecimal.valueOf(parts)
                .divide(BigDecimal.valueOf(figure.scale()))
                .stripTrailingZeros();
        return amount.scale() <= 0
                ? String.format(Locale.ENGLISH, "%,d", amount.toBigInteger())
                : amount.toPlainString();
    }
}
