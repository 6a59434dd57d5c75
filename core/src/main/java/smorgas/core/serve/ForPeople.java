package smorgas.core.serve;

import java.io.IOException;
import java.io.OutputStream;
import java.io.Writer;
import java.util.List;
import java.util.function.Function;

/** What leaves for people: the report and the plan of pages, as page, text, table and print. */
final class ForPeople {

    static final List<PlanFormat> ALL = List.of(
            new Text(
                    "plan-report.html",
                    "Report, a page of its own",
                    "text/html",
                    (what, to) -> HtmlDocument.write(Report.of(what), "en", to)),
            new Print("plan-report.pdf", "Report, PDF", Report::of),
            new Text(
                    "plan-report.md",
                    "Report, Markdown",
                    "text/markdown",
                    (what, to) -> MarkdownDocument.write(Report.of(what), to)),
            new Text("plan-of-pages.csv", "Pages to write, CSV", "text/csv", ForPeople::pages),
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

    private static final class Text extends TextFormat {
        private final String file;
        private final String label;
        private final String type;
        private final Writing writing;

        Text(String file, String label, String type, Writing writing) {
            this.file = file;
            this.label = label;
            this.type = type;
            this.writing = writing;
        }

        @Override
        public String file() {
            return file;
        }

        @Override
        public String label() {
            return label;
        }

        @Override
        public String mediaType() {
            return type;
        }

        @Override
        void write(Handover what, Writer to) throws IOException {
            writing.write(what, to);
        }
    }

    private record Print(String file, String label, Function<Handover, Document> made) implements PlanFormat {
        @Override
        public String mediaType() {
            return "application/pdf";
        }

        @Override
        public void write(Handover what, OutputStream to) {
            PdfDocument.write(made.apply(what), to);
        }
    }
}
