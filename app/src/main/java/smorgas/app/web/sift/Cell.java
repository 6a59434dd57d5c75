package smorgas.app.web.sift;

import java.util.List;
import smorgas.core.text.Message;

/** What stands in one cell of the keyword table; {@link RowHtml} draws each kind in its way. */
sealed interface Cell {

    /** A text, or a number as it is shown; empty where nothing is known. */
    record Text(Message text, boolean number) implements Cell {}

    /** Searches with their bar, in thousandths of the most searched keyword on a square-root scale. */
    record Searches(String text, int bar) implements Cell {}

    /**
     * The searches of the last months as a line.
     *
     * @param points of an SVG polyline in a box of 60 by 14; empty where nothing is known
     * @param told the first and the last month in words
     */
    record Trend(String points, Message told) implements Cell {}

    /** The baskets that have it. */
    record Baskets(List<Dot> dots) implements Cell {}

    /** The names of its tags. */
    record Tags(List<String> tags) implements Cell {}

    /** A basket as a tinted dot. */
    record Dot(int tint, String name) {}
}
