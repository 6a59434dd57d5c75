package smorgas.core.serve;

import java.io.IOException;
import java.io.Writer;
import java.util.List;
import java.util.stream.Collectors;

/** A document as Markdown with tables (as several programs read them). */
final class MarkdownDocument {

    private MarkdownDocument() {}

    static void write(Document document, Writer to) throws IOException {
        to.write("# " + escaped(document.title()) + "\n");
        for (Document.Block block : document.blocks()) {
            to.write("\n");
            switch (block) {
                case Document.Heading heading -> to.write("## " + escaped(heading.text()) + "\n");
                case Document.Paragraph paragraph -> to.write(escaped(paragraph.text()) + "\n");
                case Document.Picture picture ->
                    to.write(escaped(picture.drawing().tells()) + "\n");
                case Document.Table table -> table(table, to);
            }
        }
    }

    private static void table(Document.Table table, Writer to) throws IOException {
        to.write(row(table.headings()));
        to.write(table.numbers().stream()
                .map(number -> number ? "--:" : "---")
                .collect(Collectors.joining(" | ", "| ", " |\n")));
        for (List<String> row : table.rows()) {
            to.write(row(row));
        }
    }

    private static String row(List<String> cells) {
        return cells.stream().map(MarkdownDocument::escaped).collect(Collectors.joining(" | ", "| ", " |\n"));
    }

    /** What has a meaning in Markdown or in HTML stands for itself. */
    private static String escaped(String text) {
        return text.replaceAll("([\\\\`*_\\[\\]<>#|~])", "\\\\$1").replaceAll("\\R", " ");
    }
}
