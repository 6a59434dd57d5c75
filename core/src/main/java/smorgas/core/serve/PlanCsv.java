package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * Writes a plan as RFC 4180 CSV with the columns that ad platforms share: Campaign, Ad group, Keyword, Match type, Max
 * CPC, and Final URL if any ad group has a page. Nothing is neutralised here, for a platform must get the keyword itself: what would need it is held back.
 */
public final class PlanCsv implements PlanFormat {

    @Override
    public String file() {
        return "plan.csv";
    }

    @Override
    public String label() {
        return "CSV";
    }

    @Override
    public String mediaType() {
        return "text/csv";
    }

    @Override
    public void write(Plan plan, Writer to) {
        try (CsvWriter out =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(to)) {
            boolean pages = plan.hasPages();
            record(out, pages, "Campaign", "Ad group", "Keyword", "Match type", "Max CPC", "Final URL");
            plan.rows()
                    .forEach(row -> record(
                            out,
                            pages,
                            row.campaign(),
                            row.adGroup(),
                            row.keyword(),
                            row.matchType().label(),
                            row.maxCpc(),
                            row.page()));
            for (Plan.Campaign campaign : plan.campaigns()) {
                for (Plan.AdGroup group : campaign.adGroups()) {
                    negatives(out, pages, campaign.name(), group.name(), group.negatives());
                }
                negatives(out, pages, campaign.name(), "", campaign.negatives());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void negatives(
            CsvWriter out, boolean pages, String campaign, String group, List<Plan.Negative> negatives) {
        for (Plan.Negative negative : negatives) {
            // A negative phrase blocks every search with the phrase in it.
            String type = "Negative " + negative.matchType().label().toLowerCase(Locale.ENGLISH);
            record(out, pages, campaign, group, negative.keyword(), type, "", "");
        }
    }

    /** Writes a row, without its last cell if no ad group has a page. */
    private static void record(CsvWriter out, boolean pages, String... cells) {
        out.writeRecord(pages ? cells : Arrays.copyOf(cells, cells.length - 1));
    }
}
