package smorgas.core.recipe;

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
        YOU("you"),
        IMPORT("import"),
        TOOL("a tool"),
        SCHEDULE("schedule"),
        RECIPE("recipe"),
        CLIENT("client"),
        PERSON("person"),
        SECOND_OPINION("second opinion");

        private final String label;

        Kind(String label) {
            this.label = label;
        }
    }

    public Doer {
        name = name.strip();
        if (name.length() > LONGEST) {
            throw new Refusal("Who made an act has a name of at most " + LONGEST + " characters");
        }
    }

    /** One without a name. */
    public static Doer of(Kind kind) {
        return new Doer(kind, "");
    }

    /** For people: its name, else what it is. */
    public String label() {
        return name.isEmpty() ? kind.label : name;
    }
}
