package smorgas.app.web.sift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.ConditionKind;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * A condition as it is built by picking: parts of which all, any or none of the rows must hold, and all parts must hold
 * together. Stands in the fields of a form and in the address of its page.
 */
public record Built(List<Part> parts) {

    private static final int MOST_ROWS = 60;

    /** How the rows of a part combine. */
    public enum How {
        ALL("built-how.all"),
        ANY("built-how.any"),
        NONE("built-how.none");

        private final Message label;

        How(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /** Rows that combine in one way. */
    public record Part(How how, List<Row> rows) {}

    /**
     * One thing that is asked, as it stands in its fields.
     *
     * @param kind the key of its {@link ConditionKind.Form}
     */
    public record Row(String kind, String value, String least, String most) {
        static final Row EMPTY = new Row("word", "", "", "");
    }

    /** What came of reading the fields: the condition, if one is asked yet, and what is wrong with rows. */
    public record Read(Optional<Condition> condition, List<Message> faults) {}

    static Built empty() {
        return new Built(List.of(new Part(How.ALL, List.of(Row.EMPTY))));
    }

    /** The form as it was sent, with a row or a part added or a row taken away if that was asked. */
    static Built of(MultiValueMap<String, String> fields) {
        List<String> hows = fields.getOrDefault("how", List.of("ALL"));
        List<List<Row>> rows = new ArrayList<>();
        hows.forEach(how -> rows.add(new ArrayList<>()));
        List<String> partOf = fields.getOrDefault("part", List.of());
        String gone = String.valueOf(fields.getFirst("without"));
        for (int i = 0; i < Math.min(partOf.size(), MOST_ROWS); i++) {
            int part = number(partOf.get(i));
            if (part >= 0 && part < rows.size() && !gone.equals(String.valueOf(i))) {
                rows.get(part)
                        .add(new Row(
                                at(fields, "kind", i),
                                at(fields, "value", i),
                                at(fields, "least", i),
                                at(fields, "most", i)));
            }
        }
        int more = number(String.valueOf(fields.getFirst("more")));
        if (more >= 0 && more < rows.size()) {
            rows.get(more).add(Row.EMPTY);
        }
        List<Part> parts = new ArrayList<>();
        for (int part = 0; part < rows.size(); part++) {
            if (!rows.get(part).isEmpty()) {
                parts.add(new Part(how(hows.get(part)), rows.get(part)));
            }
        }
        if (fields.containsKey("another")) {
            parts.add(new Part(How.ANY, List.of(Row.EMPTY)));
        }
        return parts.isEmpty() ? empty() : new Built(parts);
    }

    private static String at(MultiValueMap<String, String> fields, String name, int place) {
        List<String> values = fields.getOrDefault(name, List.of());
        return place < values.size() ? values.get(place).strip() : "";
    }

    private static int number(String text) {
        return text.matches("\\d{1,4}") ? Integer.parseInt(text) : -1;
    }

    private static How how(String name) {
        return Arrays.stream(How.values())
                .filter(how -> how.name().equals(name))
                .findFirst()
                .orElse(How.ALL);
    }

    /** The fields that a condition stands in; what the form cannot show is left out. */
    static Built of(Condition condition, Decimals decimals) {
        List<Part> parts = new ArrayList<>();
        List<Row> alone = new ArrayList<>();
        List<Condition> together = condition instanceof Condition.AllOf all ? all.parts() : List.of(condition);
        for (Condition part : together) {
            switch (part) {
                case Condition.AllOf all -> parts.add(new Part(How.ALL, rows(all.parts(), decimals)));
                case Condition.AnyOf any -> parts.add(new Part(How.ANY, rows(any.parts(), decimals)));
                case Condition.NoneOf none -> parts.add(new Part(How.NONE, rows(none.parts(), decimals)));
                default -> row(part, decimals).ifPresent(alone::add);
            }
        }
        if (!alone.isEmpty()) {
            parts.addFirst(new Part(How.ALL, alone));
        }
        return parts.isEmpty() ? empty() : new Built(parts);
    }

    private static List<Row> rows(List<Condition> conditions, Decimals decimals) {
        return conditions.stream()
                .map(part -> row(part, decimals))
                .flatMap(Optional::stream)
                .toList();
    }

    /** The condition that the fields come to; rows that are not filled in ask nothing. */
    Read read(Decimals decimals) {
        List<Message> faults = new ArrayList<>();
        List<Condition> conditions = new ArrayList<>();
        for (Part part : parts) {
            List<Condition> rows = new ArrayList<>();
            for (Row row : part.rows()) {
                try {
                    condition(row, decimals).ifPresent(rows::add);
                } catch (Refusal e) {
                    faults.add(Message.of("sentence", e.message()));
                }
            }
            if (!rows.isEmpty()) {
                conditions.add(
                        switch (part.how()) {
                            case ALL -> rows.size() == 1 ? rows.getFirst() : new Condition.AllOf(rows);
                            case ANY -> rows.size() == 1 ? rows.getFirst() : new Condition.AnyOf(rows);
                            case NONE -> new Condition.NoneOf(rows);
                        });
            }
        }
        Optional<Condition> condition = conditions.isEmpty()
                ? Optional.empty()
                : Optional.of(conditions.size() == 1 ? conditions.getFirst() : new Condition.AllOf(conditions));
        return new Read(condition, faults);
    }

    /** The condition of a row; empty if nothing is filled in. */
    private static Optional<Condition> condition(Row row, Decimals decimals) {
        ConditionKind.Form form = ConditionKind.form(row.kind())
                .orElseThrow(() -> new Refusal(
                        row.kind().startsWith("figure:")
                                ? Message.of(
                                        "sift.built.there-is-no-figure",
                                        row.kind().substring("figure:".length()))
                                : Message.of("sift.built.nothing-called-can-asked", row.kind())));
        return form.condition(
                row.value(), form.asks() == ConditionKind.Asks.NUMBERS ? bounds(form, row, decimals) : Bounds.ANY);
    }

    private static Bounds bounds(ConditionKind.Form form, Row row, Decimals decimals) {
        // Things are counted as searches are: in whole ones.
        Figure figure = form.figure() == null ? Figure.SEARCHES : form.figure();
        FigureReader reader = new FigureReader(decimals);
        return new Bounds(
                read(reader, row.least(), figure) ? reader.low() : null,
                read(reader, row.most(), figure) ? reader.high() : null);
    }

    /** Whether a number is asked. */
    private static boolean read(FigureReader reader, String text, Figure figure) {
        return switch (reader.read(text, figure)) {
            case READ -> true;
            case EMPTY -> false;
            case FAULT -> throw new Refusal("sift.built.is-no-number", text);
        };
    }

    /** The row that a condition stands in; empty for one that combines others, or that no form can show. */
    private static Optional<Row> row(Condition condition, Decimals decimals) {
        return ConditionKind.fill(condition).map(filled -> {
            Figure figure = ConditionKind.form(filled.key()).orElseThrow().figure();
            long scale = figure == null ? 1 : figure.scale();
            return new Row(
                    filled.key(),
                    filled.text(),
                    shown(filled.bounds().least(), scale, decimals),
                    shown(filled.bounds().most(), scale, decimals));
        });
    }

    private static String shown(@Nullable Long parts, long scale, Decimals decimals) {
        String plain = parts == null
                ? ""
                : BigDecimal.valueOf(parts)
                        .divide(BigDecimal.valueOf(scale))
                        .stripTrailingZeros()
                        .toPlainString();
        // As it is read back: 1.125 would be a thousand where commas part the decimals.
        return decimals == Decimals.COMMA ? plain.replace('.', ',') : plain;
    }
}
