package smorgas.core.recipe.serve;

import java.util.List;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * The texts of an ad, with fields in braces where something of its ad group stands.
 *
 * @param headlines at most {@value #MOST_HEADLINES}
 * @param descriptions at most {@value #MOST_DESCRIPTIONS}
 * @param paths parts of the address that is shown; at most {@value #MOST_PATHS}
 */
public record AdTemplate(List<String> headlines, List<String> descriptions, List<String> paths) {

    /** What ad platforms share (from memory): so many of each, and so many characters. */
    public static final int MOST_HEADLINES = 15;

    public static final int MOST_DESCRIPTIONS = 4;
    public static final int MOST_PATHS = 2;
    public static final int LONGEST_HEADLINE = 30;
    public static final int LONGEST_DESCRIPTION = 90;
    public static final int LONGEST_PATH = 15;

    private static final int LONGEST = 500;

    public AdTemplate {
        headlines = checked(headlines, MOST_HEADLINES, Message.of("serve.ad-template.headlines"));
        descriptions = checked(descriptions, MOST_DESCRIPTIONS, Message.of("serve.ad-template.descriptions"));
        paths = checked(paths, MOST_PATHS, Message.of("serve.ad-template.parts-path"));
        if (headlines.isEmpty()) {
            throw new Refusal("serve.ad-template.ad-headline-least");
        }
    }

    private static List<String> checked(List<String> texts, int most, Message what) {
        if (texts.size() > most) {
            throw new Refusal("serve.ad-template.ad-most", most, what, texts.size());
        }
        for (String text : texts) {
            if (text.isBlank()
                    || Characters.count(text) > LONGEST
                    || text.chars().anyMatch(Character::isISOControl)) {
                throw new Refusal("serve.ad-template.text-ad-1-characters", LONGEST);
            }
            Formulas.refuse(Message.of("serve.ad-template.text-ad"), text);
        }
        return List.copyOf(texts);
    }
}
