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

/** What leaves for people: the report and the plan of pages, as page, text, table and print. */
final class ForPeople {

    static final List<PlanFormat> ALL = List.of(
            new Text(
                    "plan-report.html",
                    "Report, a page of its own",
                    "text/html",
                    (what, to) -> HtmlDocument.write(Report.of(what), "en", to)),
            new Binary(
                    "plan-report.pdf",
                    "Report, PDF",
                    "application/pdf",
                    (what, to) -> PdfDocument.write(Report.of(what), to)),
            new Binary(
                    "plan-report.docx",
                    "Report, DOCX to edit",
                    "application/vnd.openxmlformats-officedocument.wordprocessingml.document",
                    (what, to) -> DocxDocument.write(Report.of(what), to)),
            new Text(
                    "plan-report.md",
                    "Report, Markdown",
                    "text/markdown",
                    (what, to) -> MarkdownDocument.write(Report.of(what), to)),
            vector("flow", "From lines to plan", Pictures::flow),
            raster("flow", "From lines to plan", Pictures::flow),
            vector("map", "Map of the groups", Pictures::map),
            raster("map", "Map of the groups", Pictures::map),
            vector("lists", "What the lists share", Pictures::overlap),
            raster("lists", "What the lists share", Pictures::overlap),
            new Text("plan-of-pages.csv", "Pages to write, CSV", "text/csv", ForPeople::pages),
            new Binary(
                    "plan-of-pages.xlsx", "Pages to write, XLSX", PlanWorkbook.MEDIA_TYPE, ForPeople::pagesAsWorkbook),
            new Text(
                    "plan-of-pages.md",
                    "Pages to write, Markdown",
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
        csv.row(PagePlan.HEADINGS.toArray(String[]::new));
        PagePlan.rows(what).forEach(row -> csv.row(row.toArray(String[]::new)));
        csv.flush();
    }

    private static void pagesAsWorkbook(Handover what, OutputStream to) {
        try {
            Workbook book = Sheet.book(to);
            Sheet sheet = new Sheet(book, "Pages", PagePlan.HEADINGS, PagePlan.WIDTHS);
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

        Text(String file, String label, String mediaType, Writing writing) {
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

    private static PlanFormat vector(String name, String label, Function<Handover, Drawing> drawn) {
        return new Text(
                "plan-picture-" + name + ".svg",
                label + ", SVG",
                "image/svg+xml",
                (what, to) -> SvgDrawing.write(drawn.apply(what), to));
    }

    private static PlanFormat raster(String name, String label, Function<Handover, Drawing> drawn) {
        return new Binary(
                "plan-picture-" + name + ".png",
                label + ", PNG",
                "image/png",
                (what, to) -> PngDrawing.write(drawn.apply(what), to));
    }

    private record Binary(String file, String label, String mediaType, BiConsumer<Handover, OutputStream> writing)
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
