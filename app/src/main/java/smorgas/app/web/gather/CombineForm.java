package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import smorgas.app.web.show.Fields;
import smorgas.core.recipe.gather.CombineSettings;
import smorgas.core.text.Message;

/**
 * Words to be combined as the fields of their form.
 *
 * @param columns always {@value CombineSettings#MOST_COLUMNS}; those without words are not in it
 * @param most as it was typed
 */
record CombineForm(
        List<Column> columns,
        String between,
        String before,
        String behind,
        boolean once,
        String most,
        String name,
        String group) {

    /** One column; {@code at} is its place, from 0. */
    record Column(int at, String words, boolean optional, boolean anywhere) {}

    /** An empty form, but for what words the first columns begin with. */
    static CombineForm of(List<List<String>> words, String name, String group) {
        return new CombineForm(
                IntStream.range(0, CombineSettings.MOST_COLUMNS)
                        .mapToObj(at ->
                                new Column(at, at < words.size() ? String.join("\n", words.get(at)) : "", false, false))
                        .toList(),
                " ",
                "",
                "",
                true,
                String.valueOf(CombineSettings.USUAL),
                name,
                group);
    }

    /** What was asked before. */
    static CombineForm of(CombineSettings asked, String name) {
        List<Column> columns = new ArrayList<>();
        for (int at = 0; at < CombineSettings.MOST_COLUMNS; at++) {
            CombineSettings.Column known =
                    at < asked.columns().size() ? asked.columns().get(at) : null;
            columns.add(
                    known == null
                            ? new Column(at, "", false, false)
                            : new Column(at, String.join("\n", known.words()), known.optional(), known.anywhere()));
        }
        return new CombineForm(
                columns,
                asked.between(),
                asked.before(),
                asked.behind(),
                asked.once(),
                String.valueOf(asked.most()),
                name,
                "");
    }

    /** As the fields of a request have it. */
    static CombineForm of(Fields fields) {
        return new CombineForm(
                IntStream.range(0, CombineSettings.MOST_COLUMNS)
                        .mapToObj(at -> new Column(
                                at,
                                fields.text("words" + at),
                                fields.has("optional" + at),
                                fields.has("anywhere" + at)))
                        .toList(),
                fields.has("between") ? fields.text("between") : " ",
                fields.text("before"),
                fields.text("behind"),
                fields.has("once"),
                fields.text("most"),
                fields.text("name"),
                fields.text("group"));
    }

    /** The same with more words in a column. */
    CombineForm with(int at, List<String> words) {
        List<Column> next = columns.stream()
                .map(column -> column.at() != at
                        ? column
                        : new Column(
                                at,
                                column.words().isBlank()
                                        ? String.join("\n", words)
                                        : column.words().stripTrailing() + "\n" + String.join("\n", words),
                                column.optional(),
                                column.anywhere()))
                .toList();
        return new CombineForm(next, between, before, behind, once, most, name, group);
    }

    /**
     * What it asks for.
     *
     * @throws smorgas.core.text.Refusal with a sentence, if a field cannot be meant
     */
    CombineSettings read() {
        return new CombineSettings(
                columns.stream()
                        .filter(column -> !column.words().isBlank())
                        .map(column -> new CombineSettings.Column(
                                column.words().lines().toList(), column.optional(), column.anywhere()))
                        .toList(),
                between,
                before,
                behind,
                once,
                Fields.whole(most, Message.of("unit.phrases")));
    }
}
