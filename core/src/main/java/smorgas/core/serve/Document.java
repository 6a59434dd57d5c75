package smorgas.core.serve;

import java.util.List;
import smorgas.core.draw.Drawing;

/**
 * What people read, before it is a page, a text or a print.
 *
 * @param title of the whole
 * @param madeWith what stands at its end
 */
record Document(String title, String madeWith, List<Block> blocks) {

    Document {
        blocks = List.copyOf(blocks);
    }

    /** A part of it. */
    sealed interface Block {}

    /** Begins a section. */
    record Heading(String text) implements Block {}

    /** Something drawn. */
    record Picture(Drawing drawing) implements Block {}

    /** Sentences. */
    record Paragraph(String text) implements Block {}

    /**
     * Rows under headings.
     *
     * @param numbers for each column whether it holds numbers, which stand at the right
     * @param shares for each column how wide it is beside the others
     */
    record Table(List<String> headings, List<Boolean> numbers, List<Integer> shares, List<List<String>> rows)
            implements Block {
        Table {
            headings = List.copyOf(headings);
            numbers = List.copyOf(numbers);
            shares = List.copyOf(shares);
            rows = List.copyOf(rows);
        }
    }
}
