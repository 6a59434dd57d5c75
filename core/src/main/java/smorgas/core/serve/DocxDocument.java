package smorgas.core.serve;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.poi.common.usermodel.PictureType;
import org.apache.poi.openxml4j.exceptions.InvalidFormatException;
import org.apache.poi.util.Units;
import org.apache.poi.xwpf.usermodel.ParagraphAlignment;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableRow;
import smorgas.core.draw.Drawing;
import smorgas.core.draw.PngDrawing;

/** A document to be edited (WordprocessingML of ECMA-376). */
final class DocxDocument {

    private static final int TITLE = 20;
    private static final int LARGE = 14;
    private static final int PLAIN = 11;
    private static final int SMALL = 9;
    /** So wide is a picture between the margins of a page, in points. */
    private static final double ROOM = 450;

    private static final int WHOLE = 100;

    private final XWPFDocument made;

    private DocxDocument(XWPFDocument made) {
        this.made = made;
    }

    static void write(Document document, OutputStream to) {
        try (XWPFDocument made = new XWPFDocument()) {
            made.getProperties().getCoreProperties().setTitle(document.title());
            new DocxDocument(made).fill(document);
            made.write(to);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InvalidFormatException e) {
            throw new IllegalStateException(e);
        }
    }

    private void fill(Document document) throws IOException, InvalidFormatException {
        say(document.title(), TITLE, true);
        for (Document.Block block : document.blocks()) {
            switch (block) {
                case Document.Heading heading -> say(heading.text(), LARGE, true);
                case Document.Paragraph paragraph -> say(paragraph.text(), PLAIN, false);
                case Document.Picture picture -> draw(picture.drawing());
                case Document.Table table -> table(table);
            }
        }
        say(document.madeWith(), SMALL, false);
    }

    private void say(String text, int size, boolean bold) {
        run(made.createParagraph(), text, size, bold);
    }

    private static void run(XWPFParagraph in, String text, int size, boolean bold) {
        XWPFRun run = in.createRun();
        run.setFontSize(size);
        run.setBold(bold);
        run.setText(text);
    }

    private void draw(Drawing drawing) throws IOException, InvalidFormatException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        PngDrawing.write(drawing, png);
        double high = ROOM * drawing.height() / drawing.width();
        made.createParagraph()
                .createRun()
                .addPicture(
                        new ByteArrayInputStream(png.toByteArray()),
                        PictureType.PNG,
                        drawing.title() + ".png",
                        Units.toEMU(ROOM),
                        Units.toEMU(high))
                .getCTPicture()
                .getNvPicPr()
                .getCNvPr()
                .setDescr(drawing.tells());
    }

    private void table(Document.Table table) {
        XWPFTable made =
                this.made.createTable(table.rows().size() + 1, table.headings().size());
        int all = table.shares().stream().mapToInt(share -> share).sum();
        made.setWidth(WHOLE + "%");
        row(table, made.getRow(0), table.headings(), true);
        made.getRow(0).setRepeatHeader(true);
        for (int column = 0; column < table.headings().size(); column++) {
            made.getRow(0).getCell(column).setWidth(WHOLE * table.shares().get(column) / all + "%");
        }
        // Asked for one by one, the rows of a table take ever longer to be found.
        List<XWPFTableRow> rows = made.getRows();
        for (int row = 0; row < table.rows().size(); row++) {
            row(table, rows.get(row + 1), table.rows().get(row), false);
        }
    }

    private static void row(Document.Table table, XWPFTableRow to, List<String> cells, boolean bold) {
        for (int column = 0; column < cells.size(); column++) {
            XWPFParagraph paragraph = to.getCell(column).getParagraphs().getFirst();
            if (table.numbers().get(column)) {
                paragraph.setAlignment(ParagraphAlignment.RIGHT);
            }
            run(paragraph, cells.get(column), SMALL, bold);
        }
    }
}
