package smorgas.core.source;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/**
 * Keywords out of what people write: each sentence of a text that is short enough, such as the questions of a mailbox. A sentence ends
 * where UAX #29 says so, and with its line, unless the next line goes on with a small letter.
 */
public final class Sentences {

    /** A line of at least so many signs may go on in the next. */
    private static final int WRAPPED_FROM = 50;

    /** No keyword is longer, whatever a word is. */
    private static final int LONGEST = 200;

    /** A longer sentence is left out as it is: looking for the marks around it would take long. */
    private static final int LOOKED_AT = 1_000;

    /** Marks around a sentence; what belongs to a word stays, such as # or a sign of money before it, % or a bracket behind it. */
    private static final Pattern AROUND =
            Pattern.compile("^[\\s\\p{P}\\p{S}&&[^#$\u20ac\u00a3]]+|[\\s\\p{P}&&[^%)\\]]]+$");

    private static final Pattern QUESTION = Pattern.compile(".*[?\uff1f\u061f\u037e][\\s\\p{P}]*", Pattern.DOTALL);

    /**
     * What was found.
     *
     * @param keywords each once, as they stand in the text
     * @param left how many sentences were left out: too short, too long, or no question where questions were asked for
     */
    public record Found(List<String> keywords, int left) {}

    private Sentences() {}

    /**
     * Reads a text, also of a page.
     *
     * @param language ISO 639-1
     * @throws smorgas.core.text.Refusal if it is too large
     */
    public static Found of(String name, byte[] text, String language, Asked.Sentences wanted) {
        BreakIterator ends = BreakIterator.getSentenceInstance(ULocale.forLanguageTag(language));
        Set<String> keywords = new LinkedHashSet<>();
        int left = 0;
        for (String paragraph : paragraphs(PageTexts.of(name, text))) {
            ends.setText(paragraph);
            int start = ends.first();
            for (int end = ends.next(); end != BreakIterator.DONE; end = ends.next()) {
                String sentence = paragraph.substring(start, end);
                String keyword = sentence.length() > LOOKED_AT ? sentence : keyword(sentence);
                if (sentence.length() <= LOOKED_AT && fits(sentence, keyword, wanted)) {
                    keywords.add(keyword);
                } else if (!keyword.isEmpty()) {
                    left++;
                }
                start = end;
            }
        }
        return new Found(List.copyOf(keywords), left);
    }

    private static String keyword(String sentence) {
        String bare = AROUND.matcher(sentence).replaceAll("");
        boolean open = bare.indexOf('(') >= 0 || bare.indexOf('[') >= 0;
        return Tidy.of(open ? bare : bare.replaceAll("[\\s\\p{P}&&[^%]]+$", ""));
    }

    private static boolean fits(String sentence, String keyword, Asked.Sentences wanted) {
        int words = Words.of(keyword).size();
        return words >= wanted.fewest()
                && words <= wanted.most()
                && keyword.length() <= LONGEST
                && (!wanted.questions() || QUESTION.matcher(sentence).matches());
    }

    private static List<String> paragraphs(List<PageTexts.Run> runs) {
        List<String> paragraphs = new ArrayList<>();
        StringBuilder paragraph = new StringBuilder();
        for (PageTexts.Run run : runs) {
            String line = run.text().strip();
            if (line.isEmpty()) {
                continue;
            }
            if (paragraph.length() >= WRAPPED_FROM && Character.isLowerCase(line.codePointAt(0))) {
                paragraph.append(' ').append(line);
            } else {
                paragraphs.add(paragraph.toString());
                paragraph = new StringBuilder(line);
            }
        }
        paragraphs.add(paragraph.toString());
        return paragraphs;
    }
}
