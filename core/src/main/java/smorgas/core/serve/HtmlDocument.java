package smorgas.core.serve;

import java.io.IOException;
import java.io.Writer;
import org.apache.commons.text.StringEscapeUtils;
import smorgas.core.draw.SvgDrawing;

/** A document as one HTML file that needs nothing beside it and asks the network for nothing. */
final class HtmlDocument {

    private static final String STYLE = "body{font:15px/1.5 system-ui,sans-serif;color:#2c2520;background:#fffefa;"
            + "max-width:60rem;margin:2rem auto;padding:0 1rem}h1{font-size:1.7rem}h2{font-size:1.2rem;margin-top:2rem}"
            + "figure{margin:1rem 0}figure svg{width:100%;height:auto}figcaption{font-size:.9rem;color:#6b5f53}"
            + "table{border-collapse:collapse;width:100%}th{text-align:left;font-size:.9rem}th,td{padding:.25rem .6rem .25rem 0;"
            + "border-bottom:1px solid #ddd2c2;vertical-align:top;overflow-wrap:anywhere}"
            + ".n{text-align:right;white-space:nowrap;font-variant-numeric:tabular-nums}footer{margin-top:3rem;color:#6b5f53}"
            + "@media(prefers-color-scheme:dark){body{color:#e9e0d4;background:#1f1b17}th,td{border-color:#4a4038}"
            + "footer,figcaption{color:#b3a697}}";

    private HtmlDocument() {}

    static void write(Document document, String language, Writer to) throws IOException {
        to.write("<!doctype html>\n<html lang=\"" + escaped(language) + "\"><head><meta charset=\"utf-8\">"
                + "<meta name=\"viewport\" content=\"width=device-width\"><title>" + escaped(document.title())
                + "</title><style>" + STYLE + "</style></head><body><main>\n<h1>" + escaped(document.title())
                + "</h1>\n");
        for (Document.Block block : document.blocks()) {
            switch (block) {
                case Document.Heading heading -> to.write("<h2>" + escaped(heading.text()) + "</h2>\n");
                case Document.Paragraph paragraph -> to.write("<p>" + escaped(paragraph.text()) + "</p>\n");
                case Document.Picture picture -> {
                    to.write("<figure>");
                    SvgDrawing.write(picture.drawing(), to);
                    to.write("<figcaption>" + escaped(picture.drawing().tells()) + "</figcaption></figure>\n");
                }
                case Document.Table table -> table(table, to);
            }
        }
        to.write("</main><footer>" + escaped(document.madeWith()) + "</footer></body></html>\n");
    }

    private static void table(Document.Table table, Writer to) throws IOException {
        to.write("<table><thead><tr>");
        for (int column = 0; column < table.headings().size(); column++) {
            to.write("<th scope=\"col\"" + number(table, column) + ">"
                    + escaped(table.headings().get(column)) + "</th>");
        }
        to.write("</tr></thead><tbody>\n");
        for (var row : table.rows()) {
            to.write("<tr>");
            for (int column = 0; column < row.size(); column++) {
                to.write("<td" + number(table, column) + ">" + escaped(row.get(column)) + "</td>");
            }
            to.write("</tr>\n");
        }
        to.write("</tbody></table>\n");
    }

    private static String number(Document.Table table, int column) {
        return table.numbers().get(column) ? " class=\"n\"" : "";
    }

    private static String escaped(String text) {
        return StringEscapeUtils.escapeHtml4(text).replace("'", "&#39;");
    }
}
