package smorgas.app.web.sift;

import java.util.List;
import smorgas.app.web.show.Html;
import smorgas.core.text.Tidy;
import smorgas.core.text.Wording;
import smorgas.core.text.Words;

/**
 * Rows of the keyword table as HTML. Written here and not by a template, because two hundred rows of a dozen cells took
 * the template engine most of the time of a page. Whatever comes from a list or a hand is escaped in {@link Html#text}.
 */
final class RowHtml {

    private final Html html;

    private RowHtml(Wording wording) {
        html = new Html(200 * 1_200, wording);
    }

    /** Some rows, one behind the other. */
    static String of(List<SiftTable.Row> rows, Wording wording) {
        RowHtml writer = new RowHtml(wording);
        rows.forEach(row -> writer.row(row, false));
        return writer.html.toString();
    }

    /** One row that takes the place of the one of its number, wherever the answer stands. */
    static String anew(SiftTable.Row row, Wording wording) {
        RowHtml writer = new RowHtml(wording);
        writer.row(row, true);
        return writer.html.toString();
    }

    private void row(SiftTable.Row row, boolean anew) {
        html.raw("<tr id=\"r-").number(row.number()).raw("\" class=\"keyword-row ");
        html.text(row.status()).raw("\" tabindex=\"-1\" data-k=\"");
        html.text(row.text()).raw("\" data-n=\"").number(row.number()).raw("\"");
        html.raw(anew ? " hx-swap-oob=\"morph\">" : ">");
        html.raw("<td class=\"pick\"><input type=\"checkbox\" tabindex=\"-1\" aria-label=\"");
        html.said("sift.row.pick", row.text()).raw("\"></td><td class=\"mark\" title=\"");
        html.text(row.reason())
                .raw("\"><svg viewBox=\"0 0 12 12\" aria-hidden=\"true\"><path class=\"shape\"/></svg><span>");
        html.text(row.label()).raw("</span></td><td class=\"keyword\"><span class=\"text\">");
        for (Words.Piece piece : row.pieces()) {
            boolean did = piece.word() && row.did().contains(Tidy.of(piece.text()));
            html.raw(did ? "<span class=\"w did\">" : piece.word() ? "<span class=\"w\">" : "");
            html.text(piece.text()).raw(piece.word() ? "</span>" : "");
        }
        html.raw("</span></td>");
        for (int i = 0; i < row.cells().size(); i++) {
            cell(row.cells().get(i), i >= row.roomy());
        }
        html.raw("</tr>");
    }

    private void cell(Cell cell, boolean roomy) {
        switch (cell) {
            case Cell.Text told -> text(told, roomy);
            case Cell.Searches searches -> searches(searches);
            case Cell.Trend trend -> trend(trend);
            case Cell.Baskets baskets -> baskets(baskets);
            case Cell.Tags tags -> {
                html.raw("<td class=\"its-tags\">");
                for (String tag : tags.tags()) {
                    html.raw("<span class=\"a-tag\">");
                    html.text(tag).raw("</span>");
                }
            }
        }
        html.raw("</td>");
    }

    private void text(Cell.Text told, boolean roomy) {
        if (told.number()) {
            html.raw(roomy ? "<td class=\"number roomy\">" : "<td class=\"number\">");
        } else {
            // A long one is cut off where the column ends.
            html.raw(roomy ? "<td class=\"told roomy\" title=\"" : "<td class=\"told\" title=\"");
            html.text(told.text()).raw("\">");
        }
        html.text(told.text());
    }

    private void searches(Cell.Searches searches) {
        html.raw("<td class=\"number searches\"><svg class=\"cell-bar\" viewBox=\"0 0 1000 10\""
                        + " preserveAspectRatio=\"none\" aria-hidden=\"true\"><rect y=\"0\" height=\"10\" x=\"")
                .number(1_000 - searches.bar())
                .raw("\" width=\"")
                .number(searches.bar())
                .raw("\"/></svg><span>");
        html.text(searches.text()).raw("</span>");
    }

    private void trend(Cell.Trend trend) {
        html.raw("<td class=\"trend\">");
        if (!trend.points().isEmpty()) {
            html.raw("<svg viewBox=\"0 0 60 14\" width=\"60\" height=\"14\" role=\"img\" aria-label=\"");
            html.text(trend.told()).raw("\"><polyline points=\"");
            html.text(trend.points()).raw("\"/></svg>");
        }
    }

    private void baskets(Cell.Baskets baskets) {
        html.raw("<td class=\"dots\">");
        for (Cell.Dot dot : baskets.dots()) {
            html.raw("<span class=\"dot tint-").number(dot.tint()).raw("\" title=\"");
            html.text(dot.name()).raw("\"></span>");
        }
        int count = baskets.dots().size();
        html.raw("<span class=\"unseen\">").said("sift.row.baskets", count).raw("</span>");
    }
}
