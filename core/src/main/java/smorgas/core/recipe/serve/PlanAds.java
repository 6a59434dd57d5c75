package smorgas.core.recipe.serve;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * How ads are written.
 *
 * @param inherited whether ad groups take the ads that own campaigns have for their keywords
 * @param templates of which each ad group gets an ad each, beside those
 * @param words what stands for fields of one's own, such as an offer, by the name of the field
 */
public record PlanAds(boolean inherited, List<AdTemplate> templates, SequencedMap<String, String> words) {

    /** The theme of the ad group; with a capital, Each Word With One. */
    public static final String THEME = "theme";

    /** Its most searched keyword. */
    public static final String KEYWORD = "keyword";

    /** Begins a field in which the platform puts the keyword that was searched; behind it stands what is shown if that is too long. */
    public static final String INSERT = "insert:";

    /** The most templates. */
    public static final int MOST = 3;

    private static final int MOST_WORDS = 40;

    /** What own campaigns have, and nothing of ours. */
    public static final PlanAds INHERITED = new PlanAds(true, List.of(), new LinkedHashMap<>());

    public PlanAds {
        templates = List.copyOf(templates);
        words = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(words));
        if (templates.size() > MOST) {
            throw new Refusal("serve.plan-ads.most-templates-ads", MOST, templates.size());
        }
        if (words.size() > MOST_WORDS) {
            throw new Refusal("serve.plan-ads.most-fields-your-own", MOST_WORDS, words.size());
        }
        words.forEach((name, text) -> {
            if (!name.matches("[\\p{L}\\p{N} _-]{1,40}") || name.equals(THEME) || name.equals(KEYWORD)) {
                throw new Refusal("serve.plan-ads.field-your-own-name", name);
            }
            if (text.length() > 200 || text.chars().anyMatch(Character::isISOControl)) {
                throw new Refusal("serve.plan-ads.what-stands-most-200", name);
            }
            Formulas.refuse(Message.of("serve.plan-ads.text-for", name), text);
        });
    }
}
