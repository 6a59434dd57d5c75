package smorgas.app.store;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import smorgas.core.column.Figure;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldKind;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.PlanSettings;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * A recipe outside the application: the entries in force, in order, without those about baskets. Every default is
 * written out first, so that a later default never changes an old recipe. See {@code docs/recipe.md}.
 */
public record RecipeFile(String language, List<Entry> entries) {

    /** The format of the file as a whole. */
    public static final int FORMAT = 1;

    public RecipeFile {
        entries = List.copyOf(entries);
    }

    /** The recipe that a project's entries in force come to, defaults first. */
    public static RecipeFile of(String language, List<Entry> effective) {
        List<Entry> entries = new ArrayList<>();
        Folding folding = Folding.standard(language);
        for (FoldKind kind : FoldKind.values()) {
            entries.add(new Entry.FoldKindSwitched(kind, folding.on().contains(kind)));
        }
        entries.add(new Entry.LittleWordsChosen(List.copyOf(folding.littleWords())));
        entries.add(new Entry.GroupSettingsChosen(GroupSettings.standard(language)));
        entries.add(new Entry.PlanSettingsChosen(PlanSettings.standard()));
        for (Figure figure : Figure.values()) {
            entries.add(new Entry.MergeChosen(figure, figure.standardMerge()));
        }
        effective.stream().filter(entry -> !(entry instanceof Entry.OfBasket)).forEach(entries::add);
        return new RecipeFile(language, entries);
    }

    /** The file's text. */
    public String json() {
        Map<String, Object> file = new LinkedHashMap<>();
        file.put("recipe", FORMAT);
        file.put("language", language);
        file.put("entries", entries.stream().map(Json::exported).toList());
        return Json.pretty(file);
    }

    /**
     * Reads a file.
     *
     * @throws IllegalArgumentException with a sentence that tells which entry is wrong
     */
    public static RecipeFile parse(String json) {
        JsonNode file;
        try {
            file = Json.tree(json);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("This is no JSON: " + e.getOriginalMessage(), e);
        }
        if (!file.path("recipe").isInt() || file.path("recipe").intValue() != FORMAT) {
            throw new IllegalArgumentException(
                    "This is no recipe of format " + FORMAT + ": it should begin with {\"recipe\": " + FORMAT + "}");
        }
        List<Entry> entries = new ArrayList<>();
        int number = 0;
        for (JsonNode node : file.path("entries")) {
            number++;
            try {
                String kind = node.path("kind").stringValue("");
                if (!Json.kindsOfRecipe().contains(kind)) {
                    throw new IllegalArgumentException(
                            "The kind \"" + kind + "\" is none of " + String.join(", ", Json.kindsOfRecipe()));
                }
                entries.add(Json.entry(
                        kind, node.path("format").intValue(0), node.path("body").toString()));
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException("Entry " + number + ": " + e.getMessage(), e);
            }
        }
        return new RecipeFile(file.path("language").stringValue("en"), entries);
    }
}
