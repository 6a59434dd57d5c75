package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.Writer;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.text.Message;

/** Writes a plan as a table in a layout of somebody's own; nothing is neutralised, as in {@link PlanTable}. */
final class LayoutTable extends TextPlanFormat {

    private static final Pattern INSERTION = Pattern.compile("\\{KeyWord:([^}]*)}");

    private final PlanLayout layout;

    LayoutTable(PlanLayout layout) {
        super(
                layout.fileName(),
                Message.verbatim(layout.name()),
                PlanTable.mediaType(layout.between().sign()));
        this.layout = layout;
    }

    @Override
    void write(Handover what, Writer to) throws IOException {
        // Not closed, for that would close what it writes to.
        CsvWriter out = CsvWriter.builder()
                .fieldSeparator(layout.between().sign())
                .lineDelimiter(LineDelimiter.CRLF)
                .build(to);
        List<PlanLayout.Column> columns = layout.columns();
        out.writeRecord(columns.stream().map(PlanLayout.Column::heading).toArray(String[]::new));
        Set<PlanRow.Kind> kinds = EnumSet.noneOf(PlanRow.Kind.class);
        layout.rows().forEach(kind -> kinds.add(PlanRow.Kind.valueOf(kind.name())));
        String[] cells = new String[columns.size()];
        PlanRow.of(what.plan(), kinds).forEach(row -> {
            for (int i = 0; i < cells.length; i++) {
                cells[i] = cell(columns.get(i), row);
            }
            out.writeRecord(cells);
        });
        out.flush();
    }

    private String cell(PlanLayout.Column column, PlanRow row) {
        return switch (column.field()) {
            case CAMPAIGN -> row.campaign();
            case AD_GROUP -> row.adGroup();
            case KEYWORD -> layout.words().signs() ? row.inSigns() : row.keyword();
            case MATCH_TYPE -> type(row);
            case BID -> row.bid();
            case PAGE -> row.page();
            case STATUS -> row.negative() ? "" : layout.enabled();
            case KIND -> row.kind().name().toLowerCase(Locale.ENGLISH).replace('_', ' ');
            case HEADLINE -> at(row.ad().headlines(), column.number());
            case DESCRIPTION -> at(row.ad().descriptions(), column.number());
            case PATH -> at(row.ad().paths(), column.number());
            case TEXT -> column.text();
        };
    }

    private String at(List<String> texts, int number) {
        return number > texts.size()
                ? ""
                : INSERTION
                        .matcher(texts.get(number - 1))
                        .replaceAll(found -> Matcher.quoteReplacement(
                                layout.insertion().replace(PlanLayout.DEFAULT, found.group(1))));
    }

    private String type(PlanRow row) {
        if (row.matchType().isEmpty()) {
            return "";
        }
        PlanLayout.Words words = layout.words();
        MatchType type = row.matchType().getFirst();
        String word =
                switch (type) {
                    case BROAD -> words.broad();
                    case PHRASE -> words.phrase();
                    case EXACT -> words.exact();
                };
        return row.negative() ? words.negative().replace("{type}", word.toLowerCase(Locale.ENGLISH)) : word;
    }
}
