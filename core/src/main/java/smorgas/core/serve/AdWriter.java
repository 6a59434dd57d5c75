package smorgas.core.serve;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import com.ibm.icu.util.ULocale;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.text.Formulas;

/**
 * Writes ads from templates. Lengths are counted as typed, full-width letters as two (from memory, common to ad platforms); what
 * is too long is cut between words and marked.
 */
public final class AdWriter {

    private static final Pattern FIELD = Pattern.compile("\\{([^{}]{1,200})}");

    /** As ad platforms write a field that they fill (common practice). */
    private static final Pattern INSERTED = Pattern.compile("\\{KeyWord:([^{}]*)}");

    private static final Pattern SPACES = Pattern.compile("[\\s/]+");

    /** Below this no character is full-width (Unicode, East Asian Width). */
    private static final int FIRST_WIDE = 0x1100;

    private final Map<String, String> words;

    AdWriter(Map<String, String> words) {
        this.words = words;
    }

    /** The ad of a template for an ad group. */
    Plan.Ad write(AdTemplate template, String theme, String keyword) {
        Set<String> shortened = new HashSet<>();
        return new Plan.Ad(
                texts(template.headlines(), AdTemplate.LONGEST_HEADLINE, theme, keyword, shortened),
                texts(template.descriptions(), AdTemplate.LONGEST_DESCRIPTION, theme, keyword, shortened),
                texts(template.paths(), AdTemplate.LONGEST_PATH, theme, keyword, shortened).stream()
                        .map(AdWriter::path)
                        .toList(),
                shortened);
    }

    /** A path has no spaces. */
    private static String path(String text) {
        return SPACES.matcher(text).replaceAll("-");
    }

    /** Each once: of two that come to the same one says nothing. */
    private List<String> texts(
            List<String> templates, int longest, String theme, String keyword, Set<String> shortened) {
        Set<String> texts = new LinkedHashSet<>();
        for (String template : templates) {
            String text = filled(template, theme, keyword);
            if (width(text) > longest) {
                text = fit(text, longest);
                shortened.add(text);
            }
            // A keyword may begin so; nothing that a spreadsheet would run leaves with the plan.
            if (!text.isBlank() && !Formulas.runs(text)) {
                texts.add(text);
            }
        }
        return List.copyOf(texts);
    }

    private String filled(String template, String theme, String keyword) {
        return template.indexOf('{') < 0
                ? template
                : FIELD.matcher(template)
                        .replaceAll(found -> Matcher.quoteReplacement(value(found.group(1), theme, keyword)));
    }

    private String value(String field, String theme, String keyword) {
        if (field.toLowerCase(Locale.ROOT).startsWith(PlanAds.INSERT)) {
            String shown = field.substring(PlanAds.INSERT.length()).strip();
            return "{KeyWord:" + filledIn(shown, theme) + "}";
        }
        return switch (field) {
            case PlanAds.THEME -> theme;
            case "Theme" -> title(theme);
            case PlanAds.KEYWORD -> keyword;
            case "Keyword" -> title(keyword);
            // What nobody has said yet stays as it is written, to be seen.
            default -> words.getOrDefault(field, "{" + field + "}");
        };
    }

    /** The default of an inserted keyword may be the theme. */
    private static String filledIn(String shown, String theme) {
        return shown.isEmpty() || shown.equalsIgnoreCase(PlanAds.THEME) ? title(theme) : shown;
    }

    private static String title(String text) {
        return UCharacter.toTitleCase(ULocale.ROOT, text, null);
    }

    /** How long a text is as platforms count it; of an inserted keyword its default counts. */
    public static int width(String text) {
        String shown = text.indexOf('{') < 0 ? text : INSERTED.matcher(text).replaceAll("$1");
        return shown.codePoints().map(AdWriter::width).sum();
    }

    private static int width(int character) {
        if (character < FIRST_WIDE) {
            return 1;
        }
        int wide = UCharacter.getIntPropertyValue(character, UProperty.EAST_ASIAN_WIDTH);
        return wide == UCharacter.EastAsianWidth.FULLWIDTH || wide == UCharacter.EastAsianWidth.WIDE ? 2 : 1;
    }

    /** The text without its last words, or without the end of its only one. */
    static String fit(String text, int longest) {
        String fit = text.strip();
        while (width(fit) > longest) {
            int space = fit.lastIndexOf(' ');
            int field = fit.lastIndexOf('{');
            if (field >= 0 && space > field) {
                // An inserted keyword is kept whole or left out.
                fit = fit.substring(0, field);
            } else if (space > 0) {
                fit = fit.substring(0, space);
            } else {
                fit = fit.substring(0, fit.offsetByCodePoints(fit.length(), -1));
            }
            fit = fit.strip();
        }
        return fit.replaceAll("[,;:&+-]+$", "").strip();
    }
}
