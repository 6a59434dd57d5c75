package smorgas.core.draw;

import java.io.IOException;
import java.io.Writer;
import java.util.Locale;
import org.apache.commons.text.StringEscapeUtils;

/** A drawing as SVG (W3C, Scalable Vector Graphics 2). */
public final class SvgDrawing {

    private SvgDrawing() {}

    /** Writes it as an element, which can be a file of its own or stand in a page. */
    public static void write(Drawing drawing, Writer to) throws IOException {
        to.write("<svg xmlns=\"http://www.w3.org/2000/svg\" role=\"img\" viewBox=\"0 0 " + n(drawing.width()) + " "
                + n(drawing.height()) + "\" width=\"" + n(drawing.width()) + "\" height=\"" + n(drawing.height())
                + "\" font-family=\"system-ui, 'DejaVu Sans', sans-serif\">\n<title>" + escaped(drawing.title())
                + "</title><desc>" + escaped(drawing.tells()) + "</desc>\n");
        block(new Drawing.Block(0, 0, drawing.width(), drawing.height(), Drawing.GROUND), to);
        for (Drawing.Shape shape : drawing.shapes()) {
            switch (shape) {
                case Drawing.Block block -> block(block, to);
                case Drawing.Ribbon ribbon -> ribbon(ribbon, to);
                case Drawing.Letters letters -> letters(letters, to);
            }
        }
        to.write("</svg>\n");
    }

    private static void block(Drawing.Block block, Writer to) throws IOException {
        to.write("<rect x=\"" + n(block.x()) + "\" y=\"" + n(block.y()) + "\" width=\"" + n(block.width())
                + "\" height=\"" + n(block.height()) + "\" fill=\"" + block.fill() + "\"/>\n");
    }

    private static void ribbon(Drawing.Ribbon ribbon, Writer to) throws IOException {
        String middle = n(ribbon.middle());
        to.write("<path fill=\"" + ribbon.fill() + "\" d=\"M" + n(ribbon.x1()) + "," + n(ribbon.y1()) + "C" + middle
                + "," + n(ribbon.y1()) + " " + middle + "," + n(ribbon.y2()) + " " + n(ribbon.x2()) + ","
                + n(ribbon.y2()) + "V" + n(ribbon.y2() + ribbon.thick2()) + "C" + middle + ","
                + n(ribbon.y2() + ribbon.thick2()) + " " + middle + "," + n(ribbon.y1() + ribbon.thick1()) + " "
                + n(ribbon.x1()) + "," + n(ribbon.y1() + ribbon.thick1()) + "Z\"/>\n");
    }

    private static void letters(Drawing.Letters letters, Writer to) throws IOException {
        to.write("<text x=\"" + n(letters.x()) + "\" y=\"" + n(letters.y()) + "\" font-size=\"" + n(letters.size())
                + "\" fill=\"" + letters.fill() + "\"" + (letters.bold() ? " font-weight=\"700\"" : "")
                + (letters.endsThere() ? " text-anchor=\"end\"" : "") + ">" + escaped(letters.text()) + "</text>\n");
    }

    private static String n(double number) {
        return String.format(Locale.ROOT, "%.1f", number);
    }

    private static String escaped(String text) {
        // What XML has no room for, such as control characters, is left out.
        return StringEscapeUtils.escapeXml10(text);
    }
}
