package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;

/**
 * Writes a plan as RFC 4180 CSV with the columns that ad platforms share: Campaign, Ad group, Keyword, Match type, Max
 * CPC. Nothing is neutralised here, for a platform must get the keyword itself: what would need it is held back.
 */
public final class PlanCsv {

    /** The match type of a negative that blocks every search with the phrase in it. */
    public static final String NEGATIVE = "Negative phrase";

    private PlanCsv() {}

    /** Writes the plan and closes the writer. */
    public static void write(Plan plan, Writer to) {
        try (CsvWriter out =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(to)) {
            out.writeRecord("Campaign", "Ad group", "Keyword", "Match type", "Max CPC");
            for (Plan.Row row : plan.rows()) {
                out.writeRecord(row.campaign(), row.adGroup(), row.keyword(), row.matchType(), row.maxCpc());
            }
            for (Plan.Negative negative : plan.negatives()) {
                out.writeRecord(negative.campaign(), "", negative.keyword(), NEGATIVE, "");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
