package smorgas.core.recipe.sift;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import smorgas.core.figure.Figure;
import smorgas.core.text.Refusal;

/** Texts in conditions, and sentences of several. */
final class ConditionTexts {

    private ConditionTexts() {}

    /** Refuses what is too long to be looked for. */
    static void bounded(String text) {
        if (text.length() > Condition.LONGEST_TEXT) {
            throw new Refusal("A text to look for has " + Condition.LONGEST_TEXT + " characters at most");
        }
    }

    /** Parts as one sentence; what combines several itself stands in brackets. */
    static String joined(List<Condition> parts, String by) {
        StringBuilder sentence = new StringBuilder();
        for (Condition part : parts) {
            boolean excludes = part instanceof Condition.NoneOf;
            if (!sentence.isEmpty()) {
                sentence.append(excludes ? " but " : by);
            }
            boolean several = part.within().size() > 1 && !excludes;
            sentence.append(several ? "(" + part.sentence() + ")" : part.sentence());
        }
        return sentence.toString();
    }

    /** The first few of some words, and how many more there are. */
    static String listed(List<String> words) {
        int shown = Math.min(4, words.size());
        String more = words.size() > shown ? String.format(Locale.ENGLISH, " and %,d more", words.size() - shown) : "";
        return "\"" + String.join("\", \"", words.subList(0, shown)) + "\"" + more;
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
