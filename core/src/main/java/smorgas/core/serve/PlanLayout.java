package smorgas.core.serve;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * How a plan is laid out as a table, as somebody wants it: which rows, which columns in which order and by which names, and
 * how match types and keyword insertion are written.
 *
 * @param name not blank, at most 100 characters
 * @param between what stands between cells
 * @param rows what has rows; at least one
 * @param words how match types are written
 * @param insertion how keyword insertion is written, with {@value #DEFAULT} where the text stands that is shown else
 * @param enabled what stands in the column of the status
 * @param columns from 1 to {@value #MOST_COLUMNS}
 */
public record PlanLayout(
        String name,
        Between between,
        Set<Kind> rows,
        Words words,
        String insertion,
        String enabled,
        List<Column> columns) {

    /** The most columns. */
    public static final int MOST_COLUMNS = 100;

    /** Stands for the text of an insertion. */
    public static final String DEFAULT = "{default}";

    /** How insertion is written in ads here (common to ad platforms). */
    public static final String USUAL_INSERTION = "{KeyWord:" + DEFAULT + "}";

    private static final int LONGEST = 200;

    public PlanLayout {
        name = name.strip();
        columns = List.copyOf(columns);
        if (name.isEmpty() || Characters.count(name) > 100) {
            throw new Refusal("serve.plan-layout.say-name-layout-most");
        }
        if (rows.isEmpty()) {
            throw new Refusal("serve.plan-layout.say-what-rows-such");
        }
        rows = Collections.unmodifiableSet(EnumSet.copyOf(rows));
        if (columns.isEmpty() || columns.size() > MOST_COLUMNS) {
            throw new Refusal("serve.plan-layout.layout-1-columns", MOST_COLUMNS);
        }
        if (!insertion.contains(DEFAULT)) {
            throw new Refusal("serve.plan-layout.how-insertion-written-must", DEFAULT);
        }
        bounded(Message.of("serve.plan-layout.status"), enabled);
        bounded(Message.of("serve.plan-layout.insertion"), insertion);
    }

    private static void bounded(Message what, String text) {
        Formulas.refuse(what, text);
        if (Characters.count(text) > LONGEST) {
            throw new Refusal("serve.plan-layout.most-characters", what, LONGEST);
        }
    }

    /** What stands between cells. */
    public enum Between {
        COMMA("between.comma", ','),
        SEMICOLON("between.semicolon", ';'),
        TAB("between.tab", '\t');

        private final Message label;
        private final char sign;

        Between(String label, char sign) {
            this.label = Message.of(label);
            this.sign = sign;
        }

        public Message label() {
            return label;
        }

        char sign() {
            return sign;
        }
    }

    /** What a row can tell of. */
    public enum Kind {
        CAMPAIGN("serve.plan-table.campaigns"),
        AD_GROUP("serve.plan-table.ad-groups"),
        KEYWORD("serve.plan-table.keywords"),
        NEGATIVE("serve.plan-table.negatives"),
        AD("serve.plan-table.ads");

        private final Message label;

        Kind(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /**
     * How match types are written.
     *
     * @param signs whether the keyword itself says it by signs
     * @param negative what is written of a negative, with {@code {type}} where its match type stands
     */
    public record Words(boolean signs, String broad, String phrase, String exact, String negative) {
        public Words {
            for (String word : List.of(broad, phrase, exact, negative)) {
                bounded(Message.of("serve.plan-layout.match-type"), word);
            }
        }

        /** As the table of the plan has it. */
        public static final Words USUAL = new Words(false, "Broad", "Phrase", "Exact", "Negative {type}");
    }

    /** What stands in a column. */
    public enum Field {
        CAMPAIGN("campaign"),
        AD_GROUP("ad group"),
        KEYWORD("keyword"),
        MATCH_TYPE("match type"),
        BID("bid"),
        PAGE("page"),
        STATUS("status"),
        /** What the row tells of. */
        KIND("kind"),
        HEADLINE("headline"),
        DESCRIPTION("description"),
        PATH("path"),
        /** The same in every row. */
        TEXT("text");

        private final String label;

        Field(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Whether there are several of it, so that a column says which. */
        public boolean several() {
            return this == HEADLINE || this == DESCRIPTION || this == PATH;
        }
    }

    /**
     * A column.
     *
     * @param number of a headline, description or part of a path, from 1; 0 for others
     * @param text of the same text in every row; else empty
     */
    public record Column(String heading, Field field, int number, String text) {

        private static final int MOST = 50;

        public Column {
            heading = heading.strip();
            if (heading.isEmpty()) {
                throw new Refusal("serve.plan-layout.every-column-heading");
            }
            bounded(Message.of("serve.plan-layout.heading"), heading);
            bounded(Message.of("serve.plan-layout.text"), text);
            if (field.several() ? number < 1 || number > MOST : number != 0) {
                throw new Refusal("serve.plan-layout.say-which-such-1", field.label());
            }
        }

        /**
         * A column as a line says it: the heading, an equals sign, and a field, or a text in quotes.
         *
         * @throws Refusal with a sentence without a full stop, if the line cannot be meant
         */
        public static Column read(String line) {
            int equals = line.lastIndexOf('=');
            String heading =
                    equals < 0 ? line.strip() : line.substring(0, equals).strip();
            String what = (equals < 0 ? line : line.substring(equals + 1)).strip();
            if (what.length() > 1 && what.startsWith("\"") && what.endsWith("\"")) {
                return new Column(heading, Field.TEXT, 0, what.substring(1, what.length() - 1));
            }
            String name = what.toLowerCase(Locale.ENGLISH).replaceAll(" \\d+$", "");
            String number = what.replaceAll("^.*?(\\d{0,3})$", "$1");
            return Arrays.stream(Field.values())
                    .filter(field -> field != Field.TEXT && field.label().equals(name))
                    .findFirst()
                    .map(field -> new Column(heading, field, number.isEmpty() ? 0 : Integer.parseInt(number), ""))
                    .orElseThrow(() -> new Refusal("serve.plan-layout.nothing-plan", what, fields()));
        }

        /** The line that says it. */
        public String line() {
            return heading + " = "
                    + (field == Field.TEXT ? '"' + text + '"' : field.label() + (number > 0 ? " " + number : ""));
        }
    }

    /** What can stand in a column, in words. */
    public static Message fields() {
        return Message.of(
                "serve.plan-layout.fields",
                Arrays.stream(Field.values())
                        .filter(field -> field != Field.TEXT)
                        .map(field -> field.label() + (field.several() ? " 1" : ""))
                        .toList());
    }

    /** The columns as lines say them. */
    public String lines() {
        return columns.stream().map(Column::line).collect(Collectors.joining("\n"));
    }

    /** A layout to begin with. */
    public static PlanLayout usual(String name) {
        return new PlanLayout(
                name,
                Between.COMMA,
                EnumSet.of(Kind.KEYWORD, Kind.NEGATIVE),
                Words.USUAL,
                USUAL_INSERTION,
                "Enabled",
                List.of(
                        Column.read("Campaign = campaign"),
                        Column.read("Ad group = ad group"),
                        Column.read("Keyword = keyword"),
                        Column.read("Match type = match type"),
                        Column.read("Max CPC = bid"),
                        Column.read("Final URL = page")));
    }

    /** The plan in this layout. */
    public PlanFormat format() {
        return new LayoutTable(this);
    }

    /** The name as that of a file: letters, digits and dashes. */
    String fileName() {
        String plain = name.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        return "layout-" + (plain.isEmpty() ? "own" : plain) + (between == Between.TAB ? ".tsv" : ".csv");
    }
}
