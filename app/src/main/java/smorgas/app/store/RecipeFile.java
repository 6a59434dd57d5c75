package smorgas.app.store;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import smorgas.core.figure.Figure;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.RecipeTaken;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * A recipe outside the application: the entries in force, in order, without those about baskets. Every default is
 * written out first, so that a later default never changes an old recipe. See {@code docs/recipe.md}.
 */
public record RecipeFile(Rules rules, String language, List<Entry> entries) {

    /** The format of the file as a whole. */
    public static final int FORMAT = 1;

    public RecipeFile {
        entries = List.copyOf(entries);
    }

    /** The recipe that a project's entries in force come to, defaults first. */
    public static RecipeFile of(Rules rules, String language, List<Entry> effective) {
        List<Entry> entries = new ArrayList<>();
        if (effective.stream().anyMatch(RecipeTaken.class::isInstance)) {
            // The recipe that was taken has them written out.
            return new RecipeFile(rules, language, Recipe.decisions(effective));
        }
        Folding folding = Folding.standard(language, rules);
        for (FoldKind kind : FoldKind.values()) {
            entries.add(new FoldEntry.FoldKindSwitched(kind, folding.on().contains(kind)));
        }
        entries.add(new FoldEntry.LittleWordsChosen(List.copyOf(folding.littleWords())));
        entries.add(new GroupEntry.GroupSettingsChosen(rules.settings().grouping(language)));
        entries.add(new ServeEntry.PlanSettingsChosen(rules.settings().plan()));
        for (Figure figure : Figure.values()) {
            entries.add(new FoldEntry.MergeChosen(figure, folding.merges().get(figure)));
        }
        entries.addAll(Recipe.decisions(effective));
        return new RecipeFile(rules, language, entries);
    }

    /** The file's text. */
    public String json() {
        Map<String, Object> file = new LinkedHashMap<>();
        file.put("recipe", FORMAT);
        file.put(Fingerprint.FIELD, Fingerprint.OURS);
        file.put("rules", rules.number());
        file.put("language", language);
        file.put("entries", entries.stream().map(Json::exported).toList());
        return Json.pretty(file);
    }

    /**
     * Reads a file.
     *
     * @throws Refusal with a sentence that tells which entry is wrong
     */
    public static RecipeFile parse(String json) {
        JsonNode file;
        try {
            file = Json.tree(json);
        } catch (JacksonException e) {
            throw new Refusal(Message.of("store.recipe-file.this-is-no-json", e.getOriginalMessage()), e);
        }
        if (!file.path("recipe").isInt() || file.path("recipe").intValue() != FORMAT) {
            throw new Refusal("store.recipe-file.recipe-format-should-begin", FORMAT);
        }
        Fingerprint.require("store.fingerprint.this-recipe", file);
        return new RecipeFile(
                Rules.numbered(file.path("rules").asInt(1)),
                file.path("language").stringValue("en"),
                Json.exportedEntries(file.path("entries")));
    }

    /**
     * The act of following the recipe in a file.
     *
     * @param name the file's
     * @param language of the project that is to follow it
     * @throws Refusal with a sentence that tells what is wrong and in which entry, or that the recipe is
     *     for another language
     */
    public static RecipeTaken take(String name, byte[] bytes, String language) {
        RecipeFile file;
        try {
            file = parse(new String(bytes, StandardCharsets.UTF_8).replaceFirst("^\uFEFF", ""));
        } catch (Refusal e) {
            throw new Refusal(Message.of("store.recipe-file.in-file", name, e.message()), e);
        }
        if (!file.language().equals(language)) {
            throw new Refusal(
                    "store.recipe-file.recipe-keywords-project-make",
                    name,
                    Lexicon.nameOf(file.language()),
                    Lexicon.nameOf(language));
        }
        return new RecipeTaken(name, file.entries());
    }
}
