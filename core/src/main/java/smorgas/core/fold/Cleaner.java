package smorgas.core.fold;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UScript;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.UnaryOperator;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.sift.Patterns;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Makes the cleanings of a recipe on tidy texts; what comes out is tidy again. Safe for many threads. */
public final class Cleaner {

    private final List<UnaryOperator<String>> steps;

    private Cleaner(List<UnaryOperator<String>> steps) {
        this.steps = steps;
    }

    /** Makes these, one after the other. */
    public static Cleaner of(List<Folding.NumberedCleaning> cleanings) {
        return new Cleaner(
                cleanings.stream().map(numbered -> step(numbered.cleaning())).toList());
    }

    /** Whether nothing is ever changed. */
    boolean idle() {
        return steps.isEmpty();
    }

    /**
     * The text after all of them; empty if nothing is left or the keyword is not wanted.
     *
     * @throws Refusal if one of them makes it longer than texts may become
     */
    public String clean(String tidy) {
        String text = tidy;
        for (UnaryOperator<String> step : steps) {
            String next = step.apply(text);
            text = next.equals(text) ? text : Tidy.of(bounded(next, tidy));
        }
        return text;
    }

    private static String bounded(String made, String from) {
        if (made.length() > Math.max(Cleaning.LONGEST_MADE, from.length())) {
            throw new Refusal("fold.cleaner.cleanings-would-make-more", Cleaning.LONGEST_MADE, shortened(from));
        }
        return made;
    }

    private static String shortened(String text) {
        return text.length() <= SHOWN ? text : text.substring(0, SHOWN) + "\u2026";
    }

    private static final int SHOWN = 40;

    /**
     * Looks whether a cleaning can be made at all.
     *
     * @throws Refusal with a sentence for people, if its pattern is none
     */
    public static void check(Cleaning cleaning) {
        step(cleaning);
    }

    private static UnaryOperator<String> step(Cleaning cleaning) {
        return switch (cleaning) {
            case Cleaning.Replace replace -> replacing(replace);
            case Cleaning.Affix affix -> text -> affixed(text, Tidy.of(affix.before()), Tidy.of(affix.behind()));
            case Cleaning.KeepScripts keep -> keeping(keep);
            case Cleaning.StripYears years -> {
                Pattern pattern = Pattern.compile("(^|[^\\pL\\pN])(?:19|20)[0-9]{2}($|[^\\pL\\pN])");
                yield text -> again(pattern, text, "$1$2");
            }
            case Cleaning.StripPhrases strip -> {
                List<String> longestFirst = strip.phrases().stream()
                        .map(Tidy::of)
                        .filter(phrase -> !phrase.isEmpty())
                        .sorted(Comparator.comparingInt(String::length)
                                .reversed()
                                .thenComparing(phrase -> phrase))
                        .toList();
                yield text -> without(longestFirst, text);
            }
        };
    }

    private static UnaryOperator<String> replacing(Cleaning.Replace replace) {
        // What stands in a tidy text is tidy; what is put in is made so with the rest of the text.
        return switch (replace.match()) {
            case ANYWHERE -> {
                String find = replace.find().toLowerCase(Locale.ROOT);
                yield text -> text.replace(find, replace.with());
            }
            case WORDS -> {
                String find = Tidy.of(replace.find());
                yield text -> replaced(text, find, replace.with());
            }
            case PATTERN -> {
                Pattern pattern = Patterns.compile(replace.find());
                String with = withParts(replace.with(), pattern.groupCount());
                yield text -> pattern.matcher(text).replaceAll(with);
            }
        };
    }

    /** What is put in, where {@code $1} stands for what the first pair of brackets has matched; any other sign for itself. */
    private static String withParts(String with, int parts) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < with.length(); i++) {
            int part = with.charAt(i) == '$' && i + 1 < with.length() ? with.charAt(i + 1) - '0' : -1;
            if (part >= 0 && part <= Math.min(9, parts)) {
                out.append('$').append(part);
                i++;
            } else {
                out.append(Matcher.quoteReplacement(String.valueOf(with.charAt(i))));
            }
        }
        return out.toString();
    }

    /** Neighbouring matches share what parts them, so that one pass leaves every other one. */
    private static String again(Pattern pattern, String text, String with) {
        String before = text;
        String after = pattern.matcher(before).replaceAll(with);
        while (!after.equals(before)) {
            before = after;
            after = pattern.matcher(before).replaceAll(with);
        }
        return after;
    }

    private static String without(List<String> phrases, String text) {
        String left = text;
        for (String phrase : phrases) {
            if (left.length() >= phrase.length()) {
                left = replaced(left, phrase, "");
            }
        }
        return left;
    }

    /** Whole words only: what stands before and behind must be a space or the end. */
    private static String replaced(String text, String words, String with) {
        if (words.isEmpty() || !text.contains(words)) {
            return text;
        }
        StringBuilder out = new StringBuilder();
        int from = 0;
        for (int at = text.indexOf(words); at >= 0; at = text.indexOf(words, at + 1)) {
            int end = at + words.length();
            boolean whole = at >= from
                    && (at == 0 || text.charAt(at - 1) == ' ')
                    && (end == text.length() || text.charAt(end) == ' ');
            if (whole) {
                out.append(text, from, at).append(with);
                from = end;
            }
        }
        return out.append(text, from, text.length()).toString();
    }

    private static String affixed(String text, String before, String behind) {
        String front = before.isEmpty() || text.equals(before) || text.startsWith(before + " ") ? "" : before + " ";
        String back = behind.isEmpty() || text.equals(behind) || text.endsWith(" " + behind) ? "" : " " + behind;
        return text.isEmpty() ? text : front + text + back;
    }

    private static UnaryOperator<String> keeping(Cleaning.KeepScripts keep) {
        Set<Integer> wanted = new HashSet<>();
        keep.scripts()
                .forEach(script ->
                        wanted.add(UCharacter.getPropertyValueEnum(com.ibm.icu.lang.UProperty.SCRIPT, script.name())));
        return text -> text.codePoints().allMatch(c -> {
                    int script = UScript.getScript(c);
                    return script == UScript.COMMON || script == UScript.INHERITED || wanted.contains(script);
                })
                ? text
                : "";
    }

    /** What a cleaning would do, before it is made. */
    public record Preview(int changed, int setAside, List<Sample> samples) {}

    /** One text before and after. */
    public record Sample(String before, String after) {}

    private static final int SAMPLES = 12;

    /** What one more cleaning would do to spellings as those of the folding leave them. */
    public static Preview preview(Spellings spellings, Folding folding, Cleaning one) {
        Cleaner before = of(folding.cleanings());
        UnaryOperator<String> step = step(one);
        int changed = 0;
        int setAside = 0;
        List<Sample> samples = new ArrayList<>();
        for (int spelling = 0; spelling < spellings.size(); spelling++) {
            String text = before.clean(spellings.text(spelling));
            String after = text.isEmpty() ? text : Tidy.of(bounded(step.apply(text), text));
            if (!after.equals(text)) {
                changed++;
                setAside += after.isEmpty() ? 1 : 0;
                if (samples.size() < SAMPLES) {
                    samples.add(new Sample(text, after));
                }
            }
        }
        return new Preview(changed, setAside, samples);
    }
}
