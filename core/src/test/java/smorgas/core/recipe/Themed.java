package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.List;

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
