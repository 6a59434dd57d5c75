package smorgas.app;

import java.util.ArrayList;
import java.util.List;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;

/** Recipes of English projects whose groups form by themes, as tests want them that say which groups come. */
public final class Themed {

    private Themed() {}

    /** These entries after the choice of themes. */
    public static Recipe recipe(List<? extends Entry> entries) {
        List<Entry> all = new ArrayList<>(entries);
        all.addFirst(new GroupEntry.GroupSettingsChosen(Rules.NEWEST.settings().byThemes("en")));
        return Recipe.of(all, "en");
    }
}
