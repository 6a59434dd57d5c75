package smorgas.core.serve;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import org.openpdf.text.DocumentException;
import org.openpdf.text.Element;
import org.openpdf.text.Font;
import org.openpdf.text.PageSize;
import org.openpdf.text.Phrase;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.BaseFont;
import org.openpdf.text.pdf.ColumnText;
import org.openpdf.text.pdf.PdfPCell;
import org.openpdf.text.pdf.PdfPTable;
import org.openpdf.text.pdf.PdfPageEventHelper;
import org.openpdf.text.pdf.PdfWriter;

/** A document as PDF (ISO 32000) on A4, in fonts that have Latin, Greek and Cyrillic letters. */
final class PdfDocument {

    private static final float SMALL = 8.5f;
    private static final float PLAIN = 10;
    private static final float LARGE = 13;
    private static final float TITLE = 18;
    private static final float MARGIN = 48;
    private static final float PADDING = 3;
    private static final float ABOVE = 12;
    private static final int WHOLE = 100;

    private static final String REGULAR = "DejaVuSans.ttf";
    private static final String BOLD = "DejaVuSans-Bold.ttf";

    private final Font small;
    private final Font smallBold;
    private final Font plain;
    private final Font large;
    private final Font title;

    private PdfDocument() {
        BaseFont regular = font(REGULAR);
        BaseFont bold = font(BOLD);
        small = new Font(regular, SMALL);
        smallBold = new Font(bold, SMALL);
        plain = new Font(regular, PLAIN);
        large = new Font(bold, LARGE);
        title = new Font(bold, TITLE);
    }

    static void write(Document document, OutputStream to) {
        try {
            new PdfDocument().print(document, to);
        } catch (DocumentException e) {
            throw new IllegalStateException(e);
        }
    }

    private static BaseFont font(String name) {
        try (InputStream in = Objects.requireNonNull(PdfDocument.class.getResourceAsStream("fonts/" + name))) {
            return BaseFont.createFont(name, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, false, in.readAllBytes(), null);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void print(Document document, OutputStream to) throws DocumentException {
        org.openpdf.text.Document pages =
                new org.openpdf.text.Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN + ABOVE);
        PdfWriter writer = PdfWriter.getInstance(pages, to);
        writer.setCloseStream(false);
        writer.setPageEvent(new Foot(document.title(), small));
        pages.addTitle(document.title());
        pages.open();
        pages.add(paragraph(document.title(), title, 0));
        for (Document.Block block : document.blocks()) {
            switch (block) {
                case Document.Heading heading -> pages.add(paragraph(heading.text(), large, ABOVE));
                case Document.Paragraph text -> pages.add(paragraph(text.text(), plain, PADDING));
                case Document.Table table -> pages.add(table(table));
            }
        }
        pages.close();
    }

    private static org.openpdf.text.Paragraph paragraph(String text, Font font, float above) {
        org.openpdf.text.Paragraph paragraph = new org.openpdf.text.Paragraph(text, font);
        paragraph.setSpacingBefore(above);
        paragraph.setSpacingAfter(PADDING);
        return paragraph;
    }

    private PdfPTable table(Document.Table table) throws DocumentException {
        PdfPTable made = new PdfPTable(table.headings().size());
        made.setWidthPercentage(WHOLE);
        made.setSpacingBefore(PADDING);
        made.setHeaderRows(1);
        made.setSplitLate(false);
        float[] widths = new float[table.shares().size()];
        for (int column = 0; column < widths.length; column++) {
            widths[column] = table.shares().get(column);
        }
        made.setWidths(widths);
        row(table, table.headings(), smallBold, made);
        table.rows().forEach(row -> row(table, row, small, made));
        return made;
    }

    private static void row(Document.Table table, List<String> cells, Font font, PdfPTable into) {
        for (int column = 0; column < cells.size(); column++) {
            PdfPCell cell = new PdfPCell(new Phrase(cells.get(column), font));
            cell.setBorder(Rectangle.BOTTOM);
            cell.setBorderWidth(.4f);
            cell.setPaddingBottom(PADDING);
            cell.setHorizontalAlignment(table.numbers().get(column) ? Element.ALIGN_RIGHT : Element.ALIGN_LEFT);
            into.addCell(cell);
        }
    }

    /** The title and the number of the page at its foot. */
    private static final class Foot extends PdfPageEventHelper {
        private final String title;
        private final Font font;

        Foot(String title, Font font) {
            this.title = title;
            this.font = font;
        }

        @Override
        public void onEndPage(PdfWriter writer, org.openpdf.text.Document pages) {
            ColumnText.showTextAligned(
                    writer.getDirectContent(),
                    Element.ALIGN_LEFT,
                    new Phrase(title + ", made with Smorgas", font),
                    pages.left(),
                    pages.bottom() - ABOVE,
                    0);
            ColumnText.showTextAligned(
                    writer.getDirectContent(),
                    Element.ALIGN_RIGHT,
                    new Phrase(String.valueOf(writer.getPageNumber()), font),
                    pages.right(),
                    pages.bottom() - ABOVE,
                    0);
        }
    }
}
