package smorgas.core.gather;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import smorgas.core.gather.Reading.Format;
import smorgas.core.recipe.gather.ReadAs;

/** A way in which lists are written as text. A new one is a class and its place in {@link #ALL}. */
interface TextFormat {

    /** Every format, the one that is told most surely first; the last takes any text. */
    List<TextFormat> ALL = List.of(JsonRows.FORMAT, HtmlRows.FORMAT, DelimitedRows.FORMAT, PlainRows.FORMAT);

    /**
     * A text to be read.
     *
     * @param readAs what a hand has put right; a delimiter among it says that the text is cells or a plain list
     * @param problems take what is wrong with it
     * @param halt is asked now and then whether it is still wanted
     */
    record RawText(String text, ReadAs readAs, Problems problems, Halt halt) {

        /** The same without lines that are too long. */
        RawText bounded() {
            return new RawText(ListBounds.withoutLongLines(text, problems), readAs, problems, halt);
        }

        /** Whether a hand has said what parts the cells. */
        boolean cellsChosen() {
            return !readAs.delimiter().isEmpty();
        }

        /** What parts the cells; {@link Reading#PLAIN} for a plain list. */
        char delimiter() {
            return cellsChosen() ? readAs.delimiter().charAt(0) : Layout.delimiter(text);
        }
    }

    Format format();

    /** Whether it is written line by line, each with a row or some. */
    boolean byLines();

    /** The rows of a text; empty if it is not written so. */
    Optional<RowSource> rows(RawText written);

    /** A format by the function that finds its rows. */
    static TextFormat of(Format format, boolean byLines, Function<RawText, Optional<RowSource>> rows) {
        return new TextFormat() {
            @Override
            public boolean byLines() {
                return byLines;
            }

            @Override
            public Format format() {
                return format;
            }

            @Override
            public Optional<RowSource> rows(RawText written) {
                return rows.apply(written);
            }
        };
    }
}
