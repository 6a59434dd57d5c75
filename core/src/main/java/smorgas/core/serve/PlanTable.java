package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.Writer;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import smorgas.core.text.Message;

/**
 * Writes a plan as a table of RFC 4180, with commas or tabs between cells, in the columns that ad platforms share. Nothing is
 * neutralised here, for a platform must get the keyword itself: what would need it is not exported.
 */
public final class PlanTable extends TextPlanFormat {

    /** A column: its heading and what stands in it. */
    record Column(String heading, Function<PlanRow, String> cell) {}

    private static final Column CAMPAIGN = new Column("Campaign", PlanRow::campaign);
    private static final Column AD_GROUP = new Column("Ad group", PlanRow::adGroup);
    private static final Column KEYWORD = new Column("Keyword", PlanRow::keyword);
    private static final Column MATCH_TYPE = new Column("Match type", PlanRow::typeInWords);
    private static final Column MAX_CPC = new Column("Max CPC", PlanRow::bid);
    private static final Column PAGE = new Column("Final URL", PlanRow::page);
    private static final Column STATUS = new Column("Status", row -> row.negative() ? "" : "Enabled");

    private static final Column TYPE = new Column("Type", row -> row.negative() ? "Negative keyword" : "Keyword");

    private static final Set<PlanRow.Kind> BID_ON = EnumSet.of(PlanRow.Kind.KEYWORD, PlanRow.Kind.NEGATIVE);

    /** Keywords and negatives. */
    static final PlanTable CSV = new PlanTable("plan.csv", Message.verbatim("CSV"), ',', BID_ON, PlanTable::plain);

    static final PlanTable TSV = new PlanTable("plan.tsv", Message.verbatim("TSV"), '\t', BID_ON, PlanTable::plain);

    /** Campaigns, ad groups, keywords, negatives and ads in one table, each with whether it runs. */
    static final PlanTable EVERYTHING = new PlanTable(
            "plan-everything.csv",
            Message.of("serve.plan-table.everything"),
            ',',
            EnumSet.allOf(PlanRow.Kind.class),
            PlanTable::everything);

    /** The keyword says by signs how close a search must come. */
    static final PlanTable SIGNS = new PlanTable(
            "plan-signs.csv",
            Message.of("serve.plan-table.signs"),
            ',',
            BID_ON,
            plan -> withPage(
                    plan, List.of(CAMPAIGN, AD_GROUP, new Column("Keyword", PlanRow::inSigns), TYPE, MAX_CPC)));

    /** What the table of everything holds, a file each. */
    static final List<PlanFormat> EACH = List.of(
            each(
                    "plan-campaigns.csv",
                    Message.of("serve.plan-table.campaigns"),
                    PlanRow.Kind.CAMPAIGN,
                    CAMPAIGN,
                    STATUS),
            each(
                    "plan-ad-groups.csv",
                    Message.of("serve.plan-table.ad-groups"),
                    PlanRow.Kind.AD_GROUP,
                    CAMPAIGN,
                    AD_GROUP,
                    STATUS,
                    MAX_CPC,
                    PAGE),
            each(
                    "plan-keywords.csv",
                    Message.of("serve.plan-table.keywords"),
                    PlanRow.Kind.KEYWORD,
                    CAMPAIGN,
                    AD_GROUP,
                    KEYWORD,
                    MATCH_TYPE,
                    STATUS,
                    MAX_CPC,
                    PAGE),
            each(
                    "plan-negatives.csv",
                    Message.of("serve.plan-table.negatives"),
                    PlanRow.Kind.NEGATIVE,
                    CAMPAIGN,
                    AD_GROUP,
                    KEYWORD,
                    MATCH_TYPE),
            each(
                    "plan-ads.csv",
                    Message.of("serve.plan-table.ads"),
                    PlanRow.Kind.AD,
                    CAMPAIGN,
                    AD_GROUP,
                    STATUS,
                    PAGE));

    private static PlanTable each(String file, Message label, PlanRow.Kind kind, Column... columns) {
        return new PlanTable(file, label, ',', EnumSet.of(kind), plan -> {
            List<Column> all = new ArrayList<>(List.of(columns));
            if (kind == PlanRow.Kind.AD) {
                texts(plan, all);
            }
            return all;
        });
    }

    private final char between;
    private final Set<PlanRow.Kind> kinds;
    private final Function<Plan, List<Column>> columns;

    private PlanTable(
            String file, Message label, char between, Set<PlanRow.Kind> kinds, Function<Plan, List<Column>> columns) {
        super(file, label, mediaType(between));
        this.between = between;
        this.kinds = kinds;
        this.columns = columns;
    }

    /** Of a table with this sign between cells. */
    static String mediaType(char between) {
        return between == '\t' ? "text/tab-separated-values" : "text/csv";
    }

    private static List<Column> plain(Plan plan) {
        return withPage(plan, List.of(CAMPAIGN, AD_GROUP, KEYWORD, MATCH_TYPE, MAX_CPC));
    }

    /** With the page behind the others, if any ad group has one. */
    private static List<Column> withPage(Plan plan, List<Column> columns) {
        List<Column> all = new ArrayList<>(columns);
        if (plan.hasPages()) {
            all.add(PAGE);
        }
        return all;
    }

    private static List<Column> everything(Plan plan) {
        List<Column> all = new ArrayList<>(List.of(CAMPAIGN, AD_GROUP, KEYWORD, MATCH_TYPE, STATUS, MAX_CPC, PAGE));
        texts(plan, all);
        return all;
    }

    private static void texts(Plan plan, List<Column> into) {
        numbered("Headline", most(plan, Plan.Ad::headlines), Plan.Ad::headlines, into);
        numbered("Description", most(plan, Plan.Ad::descriptions), Plan.Ad::descriptions, into);
        numbered("Path", most(plan, Plan.Ad::paths), Plan.Ad::paths, into);
    }

    private static int most(Plan plan, Function<Plan.Ad, List<String>> texts) {
        return plan.campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .flatMap(group -> group.ads().stream())
                .mapToInt(ad -> texts.apply(ad).size())
                .max()
                .orElse(0);
    }

    private static void numbered(String heading, int count, Function<Plan.Ad, List<String>> texts, List<Column> into) {
        IntStream.range(0, count)
                .forEach(i -> into.add(new Column(heading + " " + (i + 1), row -> {
                    List<String> all = texts.apply(row.ad());
                    return i < all.size() ? all.get(i) : "";
                })));
    }

    @Override
    public For use() {
        return kinds.size() == 1 ? For.PARTS : For.PLATFORMS;
    }

    @Override
    public boolean usual() {
        return this == CSV;
    }

    @Override
    void write(Handover what, Writer to) {
        // Not closed, for that would close what it writes to.
        CsvWriter out = CsvWriter.builder()
                .fieldSeparator(between)
                .lineDelimiter(LineDelimiter.CRLF)
                .build(to);
        Column[] all = columns.apply(what.plan()).toArray(Column[]::new);
        out.writeRecord(Stream.of(all).map(Column::heading).toArray(String[]::new));
        String[] cells = new String[all.length];
        PlanRow.of(what.plan(), kinds).forEach(row -> {
            for (int i = 0; i < cells.length; i++) {
                cells[i] = all[i].cell().apply(row);
            }
            out.writeRecord(cells);
        });
        flush(out);
    }

    private static void flush(CsvWriter out) {
        try {
            out.flush();
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
