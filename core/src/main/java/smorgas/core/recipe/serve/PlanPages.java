package smorgas.core.recipe.serve;

import java.util.regex.Pattern;
import smorgas.core.text.Refusal;

/**
 * Where ad groups lead to, the first of these that is known: what a hand said, the page of an own campaign, one of the pages
 * that lists tell, the pattern.
 *
 * @param inherited whether the page that most lines of own campaigns lead to is taken
 * @param picked whether one is picked of all pages that lists tell, by the words that it shares with the theme
 * @param pattern an address with {@value #SLUG} where the theme stands; empty for none
 */
public record PlanPages(boolean inherited, boolean picked, String pattern) {

    /** Stands in the pattern for the theme as addresses have it: small letters, with hyphens between words. */
    public static final String SLUG = "{theme}";

    /** An address as people type it, with nothing in it that a program on the way could take for something else. */
    private static final Pattern PAGE = Pattern.compile("https?://[^\\s\"'<>\\p{Cntrl}]{1,2000}");

    /** What own campaigns lead to. */
    public static final PlanPages INHERITED = new PlanPages(true, false, "");

    public PlanPages {
        pattern = pattern.strip();
        if (!pattern.isEmpty() && !isPage(pattern.replace(SLUG, "theme"))) {
            throw new Refusal("serve.plan-pages.address-page-write-https", pattern);
        }
    }

    /** Whether a text has the form of an address; whether there is such a page nobody looks. */
    public static boolean isPage(String text) {
        return PAGE.matcher(text).matches();
    }
}
