package smorgas.core.serve;

import java.awt.Color;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.openpdf.text.DocumentException;
import org.openpdf.text.Element;
import org.openpdf.text.Font;
import org.openpdf.text.Image;
import org.openpdf.text.PageSize;
import org.openpdf.text.Phrase;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.BaseFont;
import org.openpdf.text.pdf.ColumnText;
import org.openpdf.text.pdf.PdfPCell;
import org.openpdf.text.pdf.PdfPTable;
import org.openpdf.text.pdf.PdfPageEventHelper;
import org.openpdf.text.pdf.PdfTemplate;
import org.openpdf.text.pdf.PdfWriter;
import smorgas.core.draw.Drawing;
import smorgas.core.draw.Fonts;

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

    private final Font small;
    private final Font smallBold;
    private final Font plain;
    private final Font large;
    private final Font title;

    private PdfDocument() {
        BaseFont regular = font("DejaVuSans.ttf", Fonts.regular());
        BaseFont bold = font("DejaVuSans-Bold.ttf", Fonts.bold());
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

    private static BaseFont font(String name, byte[] bytes) {
        try {
            return BaseFont.createFont(name, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, false, bytes, null);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void print(Document document, OutputStream to) throws DocumentException {
        org.openpdf.text.Document pages =
                new org.openpdf.text.Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN + ABOVE);
        PdfWriter writer = PdfWriter.getInstance(pages, to);
        writer.setCloseStream(false);
        writer.setPageEvent(new Foot(document.title() + " \u00B7 " + document.madeWith(), small));
        pages.addTitle(document.title());
        pages.open();
        pages.add(paragraph(document.title(), title, 0));
        for (Document.Block block : document.blocks()) {
            switch (block) {
                case Document.Heading heading -> pages.add(paragraph(heading.text(), large, ABOVE));
                case Document.Paragraph text -> pages.add(paragraph(text.text(), plain, PADDING));
                case Document.Picture picture -> pages.add(picture(picture.drawing(), writer, pages));
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

    /** Drawn, not painted, so that it is sharp however near one looks. */
    private Image picture(Drawing drawing, PdfWriter writer, org.openpdf.text.Document pages) {
        float scale = (pages.right() - pages.left()) / (float) drawing.width();
        PdfTemplate to = writer.getDirectContent()
                .createTemplate((float) drawing.width() * scale, (float) drawing.height() * scale);
        to.concatCTM(scale, 0, 0, -scale, 0, (float) drawing.height() * scale);
        for (Drawing.Shape shape : drawing.shapes()) {
            switch (shape) {
                case Drawing.Block block -> {
                    to.setColorFill(Color.decode(block.fill()));
                    to.rectangle((float) block.x(), (float) block.y(), (float) block.width(), (float) block.height());
                    to.fill();
                }
                case Drawing.Ribbon ribbon -> ribbon(ribbon, to);
                case Drawing.Letters letters -> letters(letters, to);
            }
        }
        Image image = Image.getInstance(to);
        image.setSpacingBefore(ABOVE);
        image.setSpacingAfter(ABOVE);
        return image;
    }

    private static void ribbon(Drawing.Ribbon ribbon, PdfTemplate to) {
        float middle = (float) ribbon.middle();
        float x1 = (float) ribbon.x1();
        float x2 = (float) ribbon.x2();
        float y1 = (float) ribbon.y1();
        float y2 = (float) ribbon.y2();
        float below1 = (float) (ribbon.y1() + ribbon.thick1());
        float below2 = (float) (ribbon.y2() + ribbon.thick2());
        to.setColorFill(Color.decode(ribbon.fill()));
        to.moveTo(x1, y1);
        to.curveTo(middle, y1, middle, y2, x2, y2);
        to.lineTo(x2, below2);
        to.curveTo(middle, below2, middle, below1, x1, below1);
        to.closePath();
        to.fill();
    }

    private void letters(Drawing.Letters letters, PdfTemplate to) {
        BaseFont font = (letters.bold() ? smallBold : small).getBaseFont();
        float size = (float) letters.size();
        float x = (float) letters.x() - (letters.endsThere() ? font.getWidthPoint(letters.text(), size) : 0);
        to.beginText();
        to.setColorFill(Color.decode(letters.fill()));
        to.setFontAndSize(font, size);
        // The drawing counts from above, so that letters must be turned upright again.
        to.setTextMatrix(1, 0, 0, -1, x, (float) letters.y());
        to.showText(letters.text());
        to.endText();
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
                    new Phrase(title, font),
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
