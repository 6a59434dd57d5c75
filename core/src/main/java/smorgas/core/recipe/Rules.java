package smorgas.core.recipe;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Objects;
import java.util.SortedMap;
import java.util.TreeMap;
import smorgas.core.recipe.fold.FoldRules;
import smorgas.core.recipe.group.SimilarityRules;
import smorgas.core.recipe.group.ThemeRules;
import smorgas.core.recipe.serve.PlanRules;
import smorgas.core.recipe.value.IntentRules;
import smorgas.core.text.Refusal;

/**
 * Everything that decides what the same lines and decisions come to, beside the code: the numbers of each room, what holds
 * where nobody has chosen, and the word lists. Cannot change. A project keeps the number of its rules.
 *
 * @param number from 1; what a project keeps
 * @param fold of Fold
 * @param similarity of groups by similarity
 * @param themes of groups by themes
 * @param intents of what keywords are for
 * @param plan of the plan
 * @param settings what holds where nobody has chosen
 * @param data by file, the first digits of the SHA-256 of each word list that ships
 */
public record Rules(
        int number,
        FoldRules fold,
        SimilarityRules similarity,
        ThemeRules themes,
        IntentRules intents,
        PlanRules plan,
        StandardSettings settings,
        SortedMap<String, String> data) {

    /** Those of a new project. */
    public static final Rules NEWEST = new Rules(
            1,
            FoldRules.FIRST,
            SimilarityRules.FIRST,
            ThemeRules.FIRST,
            IntentRules.FIRST,
            PlanRules.FIRST,
            StandardSettings.FIRST,
            manifest(1));

    /**
     * The rules with a number.
     *
     * @throws Refusal if this version has none of that number
     */
    public static Rules numbered(int number) {
        if (number != NEWEST.number) {
            throw new Refusal("recipe.rules.follows-rules-version-smorgas", number, NEWEST.number);
        }
        return NEWEST;
    }

    private static SortedMap<String, String> manifest(int number) {
        SortedMap<String, String> files = new TreeMap<>();
        try (InputStream in = Objects.requireNonNull(
                        Rules.class.getResourceAsStream("/smorgas/core/rules/data-" + number + ".txt"));
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            lines.lines().map(line -> line.split(" ")).forEach(parts -> files.put(parts[0], parts[1]));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Collections.unmodifiableSortedMap(files);
    }
}
