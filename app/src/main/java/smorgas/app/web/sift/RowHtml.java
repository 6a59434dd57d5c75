package smorgas.app.web.sift;

import java.util.List;
import org.unbescape.html.HtmlEscape;
import smorgas.core.text.Words;

/**
 * Rows of the keyword table as HTML. Written here and not by a template, because two hundred rows of a dozen cells took
 * the template engine most of the time of a page. Whatever comes from a list or a hand is escaped in {@link #text}.
 */
final class RowHtml {

    private final StringBuilder html = new StringBuilder(200 * 1_200);

    private RowHtml() {}

    /** Some rows, one behind the other. */
    static String of(List<SiftTable.Row> rows) {
        RowHtml writer = new RowHtml();
        rows.forEach(row -> writer.row(row, false));
        return writer.html.toString();
    }

    /** One row that takes the place of the one of its number, wherever the answer stands. */
    static String anew(SiftTable.Row row) {
        RowHtml writer = new RowHtml();
        writer.row(row, true);
        return writer.html.toString();
    }

    private void row(SiftTable.Row row, boolean anew) {
        html.append("<tr id=\"r-").append(row.number()).append("\" class=\"keyword-row ");
        text(row.standing()).append("\" tabindex=\"-1\" data-k=\"");
        text(row.text()).append("\" data-n=\"").append(row.number()).append('"');
        html.append(anew ? " hx-swap-oob=\"morph\">" : ">");
        html.append("<td class=\"pick\"><input type=\"checkbox\" tabindex=\"-1\" aria-label=\"Pick ");
        text(row.text()).append("\"></td><td class=\"mark\" title=\"");
        text(row.reason())
                .append("\"><svg viewBox=\"0 0 12 12\" aria-hidden=\"true\"><path class=\"shape\"/></svg><span>");
        text(row.label()).append("</span></td><td class=\"keyword\"><span class=\"text\">");
        for (Words.Piece piece : row.pieces()) {
            html.append(piece.word() ? "<span class=\"w\">" : "");
            text(piece.text()).append(piece.word() ? "</span>" : "");
        }
        html.append("</span></td>");
        row.cells().forEach(this::cell);
        html.append("</tr>");
    }

    private void cell(Cell cell) {
        switch (cell) {
            case Cell.Text told -> {
                html.append(told.number() ? "<td class=\"number\">" : "<td class=\"told\">");
                text(told.text());
            }
            case Cell.Searches searches -> {
                html.append("<td class=\"number searches\"><svg class=\"cell-bar\" viewBox=\"0 0 1000 10\""
                                + " preserveAspectRatio=\"none\" aria-hidden=\"true\"><rect y=\"0\" height=\"10\" x=\"")
                        .append(1_000 - searches.bar())
                        .append("\" width=\"")
                        .append(searches.bar())
                        .append("\"/></svg><span>");
                text(searches.text()).append("</span>");
            }
            case Cell.Trend trend -> {
                html.append("<td class=\"trend\">");
                if (!trend.points().isEmpty()) {
                    html.append("<svg viewBox=\"0 0 60 14\" width=\"60\" height=\"14\" role=\"img\""
                            + " aria-label=\"Searches by month, ");
                    text(trend.told()).append("\"><polyline points=\"");
                    text(trend.points()).append("\"/></svg>");
                }
            }
            case Cell.Baskets baskets -> {
                html.append("<td class=\"dots\">");
                for (Cell.Dot dot : baskets.dots()) {
                    html.append("<span class=\"dot tint-").append(dot.tint()).append("\" title=\"");
                    text(dot.name()).append("\"></span>");
                }
                int count = baskets.dots().size();
                html.append("<span class=\"unseen\">")
                        .append(count)
                        .append(count == 1 ? " basket</span>" : " baskets</span>");
            }
            case Cell.Tags tags -> {
                html.append("<td class=\"its-tags\">");
                for (String tag : tags.tags()) {
                    html.append("<span class=\"a-tag\">");
                    text(tag).append("</span>");
                }
            }
        }
        html.append("</td>");
    }

    /** The text with everything escaped that means something in an element or between quotes of an attribute. */
    private StringBuilder text(String text) {
        return html.append(HtmlEscape.escapeHtml4Xml(text));
    }
}
