package smorgas.core.gather;

import java.nio.charset.Charset;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import smorgas.core.gather.Encodings.Decoded;
import smorgas.core.gather.Reading.Format;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/**
 * Reads the bytes of a list: finds its format, encoding, delimiter, header and columns by content, and hands each row
 * below the header to a sink. Never throws for anything in the bytes; faults are problems of the {@link Reading}.
 */
public final class BasketReader {

    private final byte[] bytes;
    private final ReadAs readAs;
    private final Halt halt;
    private final Problems problems;
    private final HeldRows opening;

    /** A fault of whoever takes the rows, on its way through readers that take every fault for one of the file. */
    private static final class OfTheSink extends Error {
        private static final long serialVersionUID = 1;

        private final RuntimeException fault;

        OfTheSink(RuntimeException fault) {
            super(null, fault, false, false);
            this.fault = fault;
        }
    }

    private BasketReader(String name, byte[] bytes, ReadAs readAs, Halt halt, Function<Layout.Columns, RowSink> sinks) {
        this.bytes = bytes;
        this.readAs = readAs;
        this.halt = halt;
        this.problems = new Problems(name);
        this.opening = new HeldRows(readAs, problems, columns -> {
            RowSink sink = sinks.apply(columns);
            return (line, cells) -> {
                try {
                    halt.check();
                    sink.row(line, cells);
                } catch (RuntimeException e) {
                    throw new OfTheSink(e);
                }
            };
        });
    }

    /** Reads a list, finding everything by itself. */
    public static Reading read(String name, byte[] bytes, RowSink sink) {
        return read(name, bytes, ReadAs.FOUND, sink);
    }

    /**
     * Reads a list.
     *
     * @param name the basket's name, used in the problems only
     * @param bytes what was gathered; any bytes
     * @param readAs what a hand has put right
     * @param sink takes the rows below the header, in order; it may throw {@link ReadingStopped}
     */
    public static Reading read(String name, byte[] bytes, ReadAs readAs, RowSink sink) {
        return new BasketReader(name, bytes, readAs, Halt.NEVER, columns -> sink).run();
    }

    /** A reading with the lines that it comes to; none if nothing could be read. */
    public record Read(Reading reading, Optional<Lines> lines) {}

    /** Reads a list and interprets its rows as they come, without keeping them. */
    public static Read lines(long basket, String name, byte[] bytes) {
        return lines(basket, RawList.of(name, bytes), Halt.NEVER, (line, cells) -> {});
    }

    /**
     * Reads a list as {@link #read} does and interprets each row when the sink has taken it.
     *
     * @param halt is asked all the while whether the list is still wanted
     */
    public static Read lines(long basket, RawList list, Halt halt, RowSink sink) {
        AtomicReference<@Nullable Interpreter> interpreter = new AtomicReference<>();
        Reading reading = new BasketReader(list.name(), list.bytes(), list.readAs(), halt, columns -> {
                    Interpreter fresh =
                            new Interpreter(basket, list.name(), columns.headers(), columns.roles(), list.decimals());
                    interpreter.set(fresh);
                    return (line, cells) -> {
                        sink.row(line, cells);
                        fresh.row(line, cells);
                    };
                })
                .run();
        Interpreter used = interpreter.get();
        return new Read(
                reading, used == null || reading.refused() ? Optional.empty() : Optional.of(used.lines(reading)));
    }

    private Reading run() {
        try {
            return found();
        } catch (OfTheSink e) {
            throw e.fault;
        } catch (MarkupBounds.Past e) {
            return refused(e.what(), Message.of("gather.basket-reader.nothing-read-save-list"));
        } catch (ReadingStopped e) {
            throw e;
        } catch (RuntimeException | StackOverflowError e) {
            // The readers are other people's, and so are the bytes.
            return refused(
                    Message.of("gather.basket-reader.file-damaged-odd-kind"),
                    Message.of("gather.basket-reader.nothing-read-save-anew"));
        }
    }

    private Reading found() {
        halt.check();
        if (bytes.length == 0) {
            return refused(
                    Message.of("gather.basket-reader.file-empty"),
                    Message.of("gather.basket-reader.nothing-read-gather-again"));
        }
        if (Packed.isZip(bytes)) {
            return workbook();
        }
        if (starts(0xD0, 0xCF, 0x11, 0xE0)) {
            return refused(
                    Message.of("gather.basket-reader.workbook-old-format-one"),
                    Message.of("gather.basket-reader.save-without-password-xlsx"));
        }
        Decoded decoded = decoded();
        return decoded == null
                ? refused(
                        Message.of("gather.basket-reader.text-holds-nul-bytes"),
                        Message.of("gather.basket-reader.nothing-read-gather-text"))
                : text(decoded);
    }

    private boolean starts(int... mark) {
        for (int i = 0; i < mark.length; i++) {
            if (i >= bytes.length || (bytes[i] & 0xFF) != mark[i]) {
                return false;
            }
        }
        return true;
    }

    private Reading workbook() {
        Optional<Workbook> workbook;
        try {
            workbook = Workbook.open(bytes, problems, halt);
        } catch (Workbook.Unreadable e) {
            return refused(e.what(), e.todo());
        }
        if (workbook.isEmpty()) {
            return refused(
                    Message.of("gather.basket-reader.packed-file-without-workbook"),
                    Message.of("gather.basket-reader.unpack-gather-lists"));
        }
        try (Workbook opened = workbook.get()) {
            List<String> sheets = opened.sheets();
            if (readAs.sheet().equals(ReadAs.ALL_SHEETS)) {
                return rows(opened.format(), "", sheets, ReadAs.ALL_SHEETS, joined(opened));
            }
            String sheet = sheets.contains(readAs.sheet()) ? readAs.sheet() : opened.firstFilled();
            return rows(opened.format(), "", sheets, sheet, opened.rows(sheet));
        }
    }

    /** The sheets that are lists, one under the other; their lines are counted on. */
    private static RowSource joined(Workbook workbook) {
        return sink -> {
            int[] last = {0};
            for (String sheet : Workbooks.lists(workbook)) {
                int before = last[0];
                workbook.rows(sheet).forEach((line, cells) -> {
                    last[0] = before + line;
                    sink.row(before + line, cells);
                });
            }
        };
    }

    private @Nullable Decoded decoded() {
        if (!readAs.encoding().isEmpty()) {
            return Encodings.decode(bytes, Charset.forName(readAs.encoding()));
        }
        return Encodings.decode(bytes);
    }

    private Reading text(Decoded decoded) {
        TextFormat.RawText written = new TextFormat.RawText(decoded.text(), readAs, problems, halt);
        TextFormat.RawText lines = null;
        for (TextFormat format : TextFormat.ALL) {
            if (format.byLines() && lines == null) {
                lines = written.bounded();
            }
            Optional<RowSource> rows = format.rows(lines == null ? written : lines);
            if (rows.isPresent()) {
                return rows(format.format(), decoded.charset().name(), List.of(), "", rows.get());
            }
        }
        throw new IllegalStateException("The last format takes any text");
    }

    private Reading rows(Format format, String encoding, List<String> sheets, String sheet, RowSource source) {
        try {
            source.forEach(opening);
        } catch (HeldRows.Full e) {
            problems.add(
                    e.line(),
                    Message.of("gather.basket-reader.list-more-than-rows", HeldRows.MOST_ROWS),
                    Message.of("gather.basket-reader.rest-read-split-file"));
        } catch (MarkupBounds.Past | ReadingStopped e) {
            throw e;
        } catch (RuntimeException | StackOverflowError e) {
            problems.add(
                    opening.lastLine() + 1,
                    format.workbook()
                            ? Message.of("gather.basket-reader.workbook-damaged-from-here")
                            : Message.of("gather.basket-reader.file-damaged-from-here"),
                    Message.of("gather.basket-reader.what-stands-before-gathered"));
        }
        opening.decide();
        if (opening.empty()) {
            return problems.count() > 0
                    ? refusedAsTold()
                    : refused(
                            Message.of("gather.basket-reader.file-only-blank-lines"),
                            Message.of("gather.basket-reader.nothing-read"));
        }
        Layout.Columns columns = opening.columns();
        return new Reading(
                format,
                encoding,
                source.delimiter(),
                sheets,
                sheet,
                opening.headerLine(),
                columns.headers(),
                columns.roles(),
                problems.rows(),
                problems.first());
    }

    private Reading refused(Message what, Message todo) {
        problems.add(0, what, todo);
        return refusedAsTold();
    }

    private Reading refusedAsTold() {
        return new Reading(Format.NONE, "", Reading.PLAIN, List.of(), "", 0, List.of(), List.of(), 0, problems.first());
    }
}
