package smorgas.core.serve;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.util.ULocale;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.text.Characters;

/** Names of campaigns and ad groups by a pattern; no two in one place are the same, whatever their case. */
final class PlanNaming {

    /** What some platforms refuse in names (common practice); letters of any script are taken. */
    private static final Pattern ODD = Pattern.compile("[^\\p{L}\\p{M}\\p{N} _&/.,:|+'#-]+");

    private final PlanNames names;

    PlanNaming(PlanNames names) {
        this.names = names;
    }

    /** A theme with its capitals as chosen. */
    String cased(String theme, boolean byHand) {
        return switch (names.letters()) {
            case AS_THEY_ARE -> theme;
            case TITLE -> byHand ? theme : UCharacter.toTitleCase(ULocale.ROOT, theme, null);
            case SMALL -> theme.toLowerCase(Locale.ROOT);
            case CAPITALS -> theme.toUpperCase(Locale.ROOT);
        };
    }

    /**
     * A name by the pattern of campaigns.
     *
     * @param part what the campaign does not share with others; empty if there is one only
     * @param own what a hand calls it; empty for the pattern
     */
    String campaign(String part, String own, Set<String> taken) {
        if (!own.isEmpty()) {
            return free(own, taken);
        }
        boolean nowhere = !part.isEmpty() && !names.campaign().contains(PlanNames.PART);
        String pattern = nowhere ? names.campaign() + " " + PlanNames.PART : names.campaign();
        return free(filled(pattern, Map.of(PlanNames.PART, part, PlanNames.DATE, names.date())), taken);
    }

    /**
     * A name by the pattern of ad groups.
     *
     * @param fields what stands for each field
     * @param must what must be in it beside the theme, so that it can be told from others of the theme; empty if nothing must
     */
    String adGroup(Map<String, String> fields, String must, Set<String> taken) {
        boolean nowhere = !must.isEmpty() && !names.adGroup().contains(must);
        return free(filled(nowhere ? names.adGroup() + " " + must : names.adGroup(), fields), taken);
    }

    private static String filled(String pattern, Map<String, String> fields) {
        String name = pattern;
        for (Map.Entry<String, String> field : fields.entrySet()) {
            name = name.replace(field.getKey(), field.getValue());
        }
        return name;
    }

    /** The name as it may be, with a number behind it if another has it. */
    private String free(String name, Set<String> taken) {
        String fit = names.plain()
                ? ODD.matcher(name).replaceAll(" ").replaceAll(" {2,}", " ").strip()
                : name;
        String free = within(fit, "");
        for (int number = 2; !taken.add(free.toLowerCase(Locale.ROOT)); number++) {
            free = within(fit, " " + number);
        }
        return free;
    }

    /** Between what stands before and behind every name, cut between words if it is too long. */
    private String within(String name, String number) {
        String behind = number + names.suffix();
        int room = names.longest() - Characters.count(names.prefix()) - Characters.count(behind);
        return names.prefix() + cut(name, Math.max(1, room)) + behind;
    }

    /** The text with no more than so many characters, without a word that would be cut through where that can be. */
    static String cut(String text, int most) {
        if (Characters.count(text) <= most) {
            return text;
        }
        String head = text.substring(0, text.offsetByCodePoints(0, most));
        int space = head.lastIndexOf(' ');
        boolean whole = text.charAt(head.length()) == ' ';
        return (whole || space <= 0 ? head : head.substring(0, space)).strip();
    }

    /** Names that nobody has taken yet. */
    static Set<String> none() {
        return new HashSet<>();
    }
}
