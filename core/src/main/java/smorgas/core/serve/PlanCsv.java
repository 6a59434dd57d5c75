package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.Locale;

/**
 * Writes a plan as RFC 4180 CSV with the columns that ad platforms share: Campaign, Ad group, Keyword, Match type, Max
 * CPC. Nothing is neutralised here, for a platform must get the keyword itself: what would need it is held back.
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
            out.writeRecord("Campaign", "Ad group", "Keyword", "Match type", "Max CPC");
            plan.rows()
                    .forEach(row -> out.writeRecord(
                            row.campaign(),
                            row.adGroup(),
                            row.keyword(),
                            row.matchType().label(),
                            row.maxCpc()));
            for (Plan.Campaign campaign : plan.campaigns()) {
                for (Plan.Negative negative : campaign.negatives()) {
                    // A negative phrase blocks every search with the phrase in it.
                    String type = "Negative " + negative.matchType().label().toLowerCase(Locale.ENGLISH);
                    out.writeRecord(campaign.name(), "", negative.keyword(), type, "");
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
