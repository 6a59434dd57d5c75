package smorgas.core.recipe;

import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * Who or what made an act.
 *
 * @param name of the client, person or second opinion, at most {@value #LONGEST} characters; empty for all others
 */
public record Doer(Kind kind, String name) {

    private static final int LONGEST = 200;

    /** Whoever works with Smorgas. */
    public static final Doer YOU = of(Kind.YOU);

    /** What made it. */
    public enum Kind {
        YOU("doer.you"),
        IMPORT("doer.import"),
        TOOL("doer.tool"),
        SCHEDULE("doer.schedule"),
        RECIPE("doer.recipe"),
        CLIENT("doer.client"),
        PERSON("doer.person"),
        SECOND_OPINION("doer.second-opinion");

        private final Message label;

        Kind(String label) {
            this.label = Message.of(label);
        }
    }

    public Doer {
        name = name.strip();
        if (name.length() > LONGEST) {
            throw new Refusal("recipe.doer.who-made-act-name", LONGEST);
        }
    }

    /** One without a name. */
    public static Doer of(Kind kind) {
        return new Doer(kind, "");
    }

    /** For people: its name, else what it is. */
    public Message label() {
        return name.isEmpty() ? kind.label : Message.verbatim(name);
    }
}
