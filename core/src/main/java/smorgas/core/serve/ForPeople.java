package smorgas.core.serve;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;
import org.dhatim.fastexcel.Workbook;
import smorgas.core.draw.Drawing;
import smorgas.core.draw.PngDrawing;
import smorgas.core.draw.SvgDrawing;
import smorgas.core.text.Message;

/** What leaves for people: the report and the plan of pages, as page, text, table and print. */
final class ForPeople {

    static final List<PlanFormat> ALL = List.of(
            new Text(
                    "plan-report.html",
                    Message.of("serve.for-people.report-page-own"),
                    "text/html",
                    (what, to) -> HtmlDocument.write(Report.of(what), "en", to)),
            new Binary(
                    "plan-report.pdf",
                    Message.of("serve.for-people.report-pdf"),
                    "application/pdf",
                    (what, to) -> PdfDocument.write(Report.of(what), to)),
            new Binary(
                    "plan-report.docx",
                    Message.of("serve.for-people.report-docx-edit"),
                    "application/vnd.openxmlformats-officedocument.wordprocessingml.document",
                    (what, to) -> DocxDocument.write(Report.of(what), to)),
            new Text(
                    "plan-report.md",
                    Message.of("serve.for-people.report-markdown"),
                    "text/markdown",
                    (what, to) -> MarkdownDocument.write(Report.of(what), to)),
            vector("flow", Message.of("serve.for-people.from-lines-plan"), Pictures::flow),
            raster("flow", Message.of("serve.for-people.from-lines-plan"), Pictures::flow),
            vector("map", Message.of("serve.for-people.map-groups"), Pictures::map),
            raster("map", Message.of("serve.for-people.map-groups"), Pictures::map),
            vector("lists", Message.of("serve.for-people.what-lists-share"), Pictures::overlap),
            raster("lists", Message.of("serve.for-people.what-lists-share"), Pictures::overlap),
            new Text("plan-of-pages.csv", Message.of("serve.for-people.pages-write-csv"), "text/csv", ForPeople::pages),
            new Binary(
                    "plan-of-pages.xlsx",
                    Message.of("serve.for-people.pages-write-xlsx"),
                    PlanWorkbook.MEDIA_TYPE,
                    ForPeople::pagesAsWorkbook),
            new Text(
                    "plan-of-pages.md",
                    Message.of("serve.for-people.pages-write-markdown"),
                    "text/markdown",
                    (what, to) -> MarkdownDocument.write(PagePlan.document(what), to)));

    private ForPeople() {}

    /** Writes a text. */
    private interface Writing {
        void write(Handover what, Writer to) throws IOException;
    }

    private static void pages(Handover what, Writer to) {
        // Not closed, for that would close what it writes to.
        @SuppressWarnings("resource")
        Csv csv = new Csv(to);
        csv.row(PagePlan.headings(what).toArray(String[]::new));
        PagePlan.rows(what).forEach(row -> csv.row(row.toArray(String[]::new)));
        csv.flush();
    }

    private static void pagesAsWorkbook(Handover what, OutputStream to) {
        try {
            Workbook book = Sheet.book(to);
            Sheet sheet = new Sheet(book, what.text("serve.page-plan.pages"), PagePlan.headings(what), PagePlan.WIDTHS);
            for (List<String> row : PagePlan.rows(what)) {
                Object[] cells = row.toArray();
                for (int column = cells.length - PagePlan.NUMBERS; column < cells.length; column++) {
                    cells[column] = number(row.get(column));
                }
                sheet.row(cells);
            }
            sheet.finish();
            book.finish();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A number where it is one; what is made up carries its mark. */
    private static Object number(String cell) {
        return cell.matches("\\d+") ? (Object) Long.valueOf(cell) : cell;
    }

    private static PlanFormat.For use(String mediaType) {
        return mediaType.startsWith("image") ? PlanFormat.For.PICTURES : PlanFormat.For.PEOPLE;
    }

    private static final class Text extends TextPlanFormat {
        private final Writing writing;

        Text(String file, Message label, String mediaType, Writing writing) {
            super(file, label, mediaType);
            this.writing = writing;
        }

        @Override
        public For use() {
            return ForPeople.use(mediaType());
        }

        @Override
        void write(Handover what, Writer to) throws IOException {
            writing.write(what, to);
        }
    }

    private static PlanFormat vector(String name, Message label, Function<Handover, Drawing> drawn) {
        return new Text(
                "plan-picture-" + name + ".svg",
                Message.of("serve.for-people.svg", label),
                "image/svg+xml",
                (what, to) -> SvgDrawing.write(drawn.apply(what), to));
    }

    private static PlanFormat raster(String name, Message label, Function<Handover, Drawing> drawn) {
        return new Binary(
                "plan-picture-" + name + ".png",
                Message.of("serve.for-people.png", label),
                "image/png",
                (what, to) -> PngDrawing.write(drawn.apply(what), to));
    }

    private record Binary(String file, Message label, String mediaType, BiConsumer<Handover, OutputStream> writing)
            implements PlanFormat {
        @Override
        public For use() {
            return ForPeople.use(mediaType);
        }

        @Override
        public void write(Handover what, OutputStream to) {
            writing.accept(what, to);
        }
    }
}
