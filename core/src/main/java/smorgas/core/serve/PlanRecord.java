package smorgas.core.serve;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * What a plan had in it when it was exported, compactly, to be compared with what it has later.
 *
 * @param rows in the order in which they left
 */
public record PlanRecord(List<Row> rows) {

    private static final String BETWEEN = "\n";
    private static final int CELLS = 8;

    /** More than any plan has: what is packed may be of somebody else. */
    private static final long MOST_CHARACTERS = 400_000_000;

    /** What a row is of. */
    public enum Kind {
        AD_GROUP,
        KEYWORD,
        NEGATIVE,
        AD
    }

    /**
     * One row.
     *
     * @param type the match type in words; of keywords and negatives only
     * @param bid as it is written; empty for none
     * @param texts of an ad: headlines, descriptions and path, a line each
     */
    public record Row(
            Kind kind,
            String campaign,
            String adGroup,
            String keyword,
            String type,
            String bid,
            String page,
            String texts) {

        /** What tells it from other rows, whatever it costs and wherever it leads. */
        Row key() {
            return new Row(kind, campaign, adGroup, keyword, type, "", "", texts);
        }
    }

    public PlanRecord {
        rows = List.copyOf(rows);
    }

    /** Of a plan as it is now. */
    public static PlanRecord of(Plan plan) {
        return new PlanRecord(PlanRow.of(
                        plan,
                        EnumSet.of(PlanRow.Kind.AD_GROUP, PlanRow.Kind.KEYWORD, PlanRow.Kind.NEGATIVE, PlanRow.Kind.AD))
                .map(row -> new Row(
                        Kind.valueOf(row.kind().name()),
                        row.campaign(),
                        row.adGroup(),
                        row.keyword(),
                        row.typeInWords(),
                        row.bid(),
                        row.page(),
                        texts(row.ad())))
                .toList());
    }

    /** The same in campaigns of other names: behind a prefix. */
    public PlanRecord inCampaigns(String prefix) {
        return new PlanRecord(rows.stream()
                .map(row -> new Row(
                        row.kind(),
                        prefix + row.campaign(),
                        row.adGroup(),
                        row.keyword(),
                        row.type(),
                        row.bid(),
                        row.page(),
                        row.texts()))
                .toList());
    }

    private static String texts(Plan.Ad ad) {
        List<String> all = new ArrayList<>();
        ad.headlines().forEach(text -> all.add("Headline: " + text));
        ad.descriptions().forEach(text -> all.add("Description: " + text));
        ad.paths().forEach(text -> all.add("Path: " + text));
        return String.join(BETWEEN, all);
    }

    /** As it is kept: gzip of rows in CSV. */
    public byte[] packed() {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Writer to = new OutputStreamWriter(new GZIPOutputStream(bytes), StandardCharsets.UTF_8);
                CsvWriter out = CsvWriter.builder().build(to)) {
            rows.forEach(row -> out.writeRecord(
                    row.kind().name(),
                    row.campaign(),
                    row.adGroup(),
                    row.keyword(),
                    row.type(),
                    row.bid(),
                    row.page(),
                    row.texts()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /**
     * What was kept.
     *
     * @throws Refusal if it is none
     */
    public static PlanRecord read(byte[] packed) {
        List<Row> rows = new ArrayList<>();
        try (CsvReader<CsvRecord> in = CsvReader.builder()
                .ofCsvRecord(new InputStreamReader(
                        new GZIPInputStream(new ByteArrayInputStream(packed)), StandardCharsets.UTF_8))) {
            long characters = 0;
            for (CsvRecord cells : in) {
                if (cells.getFieldCount() != CELLS) {
                    throw new Refusal("serve.plan-record.what-exported-then-cannot");
                }
                characters +=
                        cells.getFields().stream().mapToInt(String::length).sum();
                if (characters > MOST_CHARACTERS) {
                    throw new Refusal("serve.plan-record.what-exported-then-unpacks", MOST_CHARACTERS);
                }
                rows.add(new Row(
                        Kind.valueOf(cells.getField(0)),
                        cells.getField(1),
                        cells.getField(2),
                        cells.getField(3),
                        cells.getField(4),
                        cells.getField(5),
                        cells.getField(6),
                        cells.getField(7)));
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new Refusal(Message.of("serve.plan-record.what-exported-then-cannot"), e);
        }
        return new PlanRecord(rows);
    }
}
