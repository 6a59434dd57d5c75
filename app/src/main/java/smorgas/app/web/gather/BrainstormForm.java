package smorgas.app.web.gather;

import java.util.EnumSet;
import java.util.Set;
import smorgas.app.web.show.Fields;
import smorgas.core.recipe.gather.Brainstorm;
import smorgas.core.recipe.gather.Brainstorm.Form;

/** What is written of customers, as the fields of its form. */
record BrainstormForm(String offer, String customers, String problems, Set<Form> forms, String name) {

    /** Nothing is written yet. */
    static final BrainstormForm EMPTY = new BrainstormForm("", "", "", EnumSet.allOf(Form.class), "");

    /** What was asked before. */
    static BrainstormForm of(Brainstorm asked, String name) {
        return new BrainstormForm(asked.offer(), asked.customers(), asked.problems(), asked.forms(), name);
    }

    /** As a request has it. */
    static BrainstormForm of(Fields fields) {
        return new BrainstormForm(
                fields.text("offer"),
                fields.text("customers"),
                fields.text("problems"),
                fields.ticked(Form.class, "forms"),
                fields.text("name"));
    }

    /**
     * What it asks for.
     *
     * @throws smorgas.core.text.Refusal with a sentence, if nothing is written or no form of phrases is ticked
     */
    Brainstorm read(String language) {
        return new Brainstorm(offer, customers, problems, forms, language);
    }
}
