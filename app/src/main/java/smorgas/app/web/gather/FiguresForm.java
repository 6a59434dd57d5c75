package smorgas.app.web.gather;

import smorgas.app.web.show.Fields;
import smorgas.core.recipe.gather.Estimation;

/**
 * What a planner is to be asked, as the fields of its form.
 *
 * @param from whose keywords: a place of {@link WordsFrom}; empty for all of the project
 */
record FiguresForm(String from, String planner, String language, String place, String name) {

    /** As a request has it. */
    static FiguresForm of(Fields fields) {
        return new FiguresForm(
                fields.text("from"),
                fields.text("planner"),
                fields.text("language"),
                fields.text("place"),
                fields.text("name"));
    }

    /** What was asked before. */
    static FiguresForm of(Estimation asked, String name) {
        return new FiguresForm("", asked.planner(), asked.language(), asked.place(), name);
    }

    /**
     * What it asks for.
     *
     * @throws smorgas.core.text.Refusal with a sentence, if a field cannot be meant
     */
    Estimation read() {
        return new Estimation(planner, language, place);
    }
}
