package smorgas.core.serve;

import java.text.Normalizer;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import smorgas.core.figure.ColumnRole;
import smorgas.core.fold.Gathered;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.text.Words;

/** Where ad groups lead to. */
final class PlanPaging {

    /** A theme that needs no more than its spaces changed, as most do. */
    private static final Pattern PLAIN = Pattern.compile("[a-z0-9]+(?: [a-z0-9]+)*");

    private static final Pattern MARKS = Pattern.compile("\\p{M}+");

    private final PlanPages pages;
    private final double sharedWords;
    private final Inherited inherited;
    private final Map<String, Set<String>> listed;

    /** @param sharedWords the least part of the words of a theme that a picked page shares */
    PlanPaging(PlanPages pages, Keywords keywords, Inherited inherited, double sharedWords) {
        this.pages = pages;
        this.sharedWords = sharedWords;
        this.inherited = inherited;
        this.listed = pages.picked() ? listed(keywords) : Map.of();
    }

    /** The page of an ad group of which no hand has said one. */
    Optional<String> of(String theme, int[] members) {
        return Optional.<String>empty()
                .or(() -> pages.inherited() ? inherited.page(members) : Optional.empty())
                .or(() -> pages.picked() ? picked(theme) : Optional.empty())
                .or(() -> pages.pattern().isEmpty()
                        ? Optional.empty()
                        : Optional.of(pages.pattern().replace(PlanPages.SLUG, slug(theme))));
    }

    /** A theme as addresses have it: {@code bee-hive}. */
    static String slug(String theme) {
        if (PLAIN.matcher(theme).matches()) {
            return theme.replace(' ', '-');
        }
        String slug = String.join(
                        "-",
                        Words.of(
                                MARKS.matcher(Normalizer.normalize(theme.toLowerCase(Locale.ROOT), Normalizer.Form.NFD))
                                        .replaceAll("")
                                        .replace("\u00DF", "ss")))
                .replaceAll("[^\\p{L}\\p{N}-]+", "")
                .replaceAll("-{2,}", "-");
        return slug.isEmpty() ? "-" : slug;
    }

    /** The page whose address shares most words with the theme; of equal ones the shorter, then the first. */
    private Optional<String> picked(String theme) {
        Set<String> words = stems(theme);
        String best = null;
        int most = 0;
        for (Map.Entry<String, Set<String>> page : listed.entrySet()) {
            int shared = 0;
            for (String word : words) {
                shared += page.getValue().contains(word) ? 1 : 0;
            }
            boolean shorter = best != null && page.getKey().length() < best.length();
            if (shared > most || shared == most && most > 0 && shorter) {
                best = page.getKey();
                most = shared;
            }
        }
        return most >= sharedWords * words.size() ? Optional.ofNullable(best) : Optional.empty();
    }

    /** Every page that a list tells which is not a competitor's, with the words of its address. */
    private static Map<String, Set<String>> listed(Keywords keywords) {
        Map<String, Set<String>> listed = new LinkedHashMap<>();
        for (String page : Gathered.told(keywords, ColumnRole.LANDING_PAGE, BasketInfo.Kind.COMPETITOR)) {
            if (PlanPages.isPage(page)) {
                listed.put(page, stems(page.replaceFirst("https?://[^/]*", "")));
            }
        }
        return listed;
    }

    /** Words without their plural s: addresses say "hives" where themes say "hive". */
    private static Set<String> stems(String text) {
        Set<String> stems = new HashSet<>();
        for (String word : Words.of(text.toLowerCase(Locale.ROOT).replaceAll("[-_/.?=&+]", " "))) {
            stems.add(word.length() > 3 && word.endsWith("s") ? word.substring(0, word.length() - 1) : word);
        }
        return stems;
    }
}
