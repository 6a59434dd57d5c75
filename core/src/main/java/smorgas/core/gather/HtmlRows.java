package smorgas.core.gather;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;
import smorgas.core.text.Message;

/** The rows of the largest table of an HTML page. */
final class HtmlRows implements RowSource {

    static final TextFormat FORMAT = TextFormat.of(
            Reading.Format.HTML,
            false,
            written -> !written.cellsChosen() && looksLike(written.text())
                    ? Optional.of(new HtmlRows(written.text(), written.problems()))
                    : Optional.empty());

    private static final Pattern TABLE = Pattern.compile("<table[\\s>]", Pattern.CASE_INSENSITIVE);

    private final String text;
    private final Problems problems;

    HtmlRows(String text, Problems problems) {
        this.text = text;
        this.problems = problems;
    }

    /** Whether it begins as markup does and has a table near its beginning or anywhere in a page. */
    static boolean looksLike(String text) {
        String begin = text.stripLeading();
        return begin.startsWith("<") && TABLE.matcher(begin).find();
    }

    @Override
    public void forEach(RowSink sink) {
        new MarkupBounds(false).text(text);
        Document page = Parser.htmlParser().setTrackPosition(true).parseInput(text, "");
        // Rows of the table itself: looked for within each of many nested ones they would be counted over and over.
        Map<Element, List<Element>> rows = new LinkedHashMap<>();
        for (Element row : page.select("tr")) {
            Element table = row.closest("table");
            if (table != null) {
                rows.computeIfAbsent(table, any -> new ArrayList<>()).add(row);
            }
        }
        List<Element> largest = List.of();
        for (List<Element> some : rows.values()) {
            largest = some.size() > largest.size() ? some : largest;
        }
        if (largest.isEmpty()) {
            problems.add(
                    0, Message.of("gather.html-rows.page-table-rows"), Message.of("gather.html-rows.nothing-read"));
            return;
        }
        for (Element row : largest) {
            List<String> cells =
                    row.select("> th, > td").stream().map(Element::text).toList();
            if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
                sink.row(Math.max(1, row.sourceRange().start().lineNumber()), cells.toArray(String[]::new));
            }
        }
    }

    static {
        // Loaded here once, so that the first page of a run is not slower than the others.
        Jsoup.parse("");
    }
}
