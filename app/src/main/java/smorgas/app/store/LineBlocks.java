package smorgas.app.store;

import static smorgas.schema.Tables.LINE_BLOCK;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.LongConsumer;
import org.jooq.DSLContext;
import smorgas.core.gather.RowSink;

/** The lines of a basket as they stand in the database: rows of cells in blocks. */
final class LineBlocks {

    private static final char ROW = '\u001E';
    private static final char CELL = '\u001F';

    private static final int ROWS = 1_000;

    /** A block is closed when it is so long, and a row that is longer is cut; the bytes keep the rest of it. */
    private static final int MOST_CHARACTERS = 400_000;

    private final DSLContext db;

    LineBlocks(DSLContext db) {
        this.db = db;
    }

    /** Takes the place of every line that the basket has. */
    Writer replace(long basket, LongConsumer progress) {
        db.deleteFrom(LINE_BLOCK).where(LINE_BLOCK.BASKET_ID.eq(basket)).execute();
        return new Writer(basket, progress);
    }

    void copy(long from, long to) {
        db.execute(
                "insert into line_block select cast(? as bigint), block_no, first_line, last_line, content"
                        + " from line_block where basket_id = ?",
                to,
                from);
    }

    /** How many lines the lists of a project have together, by the number of each one's last. */
    long linesAtMost(long project) {
        return db.resultQuery(
                        "select coalesce(sum(last), 0) from (select max(l.last_line) as last from line_block l"
                                + " join basket b on b.id = l.basket_id where b.project_id = ? group by b.id)",
                        project)
                .fetchSingle(0, long.class);
    }

    boolean has(long basket) {
        return db.fetchExists(LINE_BLOCK, LINE_BLOCK.BASKET_ID.eq(basket));
    }

    /** Hands every row to the sink, in order. */
    void forEach(long basket, RowSink sink) {
        try (var blocks = db.select(LINE_BLOCK.CONTENT)
                .from(LINE_BLOCK)
                .where(LINE_BLOCK.BASKET_ID.eq(basket))
                .orderBy(LINE_BLOCK.BLOCK_NO)
                .fetchSize(20)
                .fetchLazy()) {
            for (var block : blocks) {
                for (String row : block.value1().split(String.valueOf(ROW), -1)) {
                    String[] parts = row.split(String.valueOf(CELL), -1);
                    sink.row(Integer.parseInt(parts[0]), Arrays.copyOfRange(parts, 1, parts.length));
                }
            }
        }
    }

    /** The cells of the rows that begin on these lines of the file, by line. */
    Map<Integer, List<String>> cells(long basket, Set<Integer> lines) {
        SortedSet<Integer> blocks = new TreeSet<>();
        db.select(LINE_BLOCK.BLOCK_NO, LINE_BLOCK.FIRST_LINE, LINE_BLOCK.LAST_LINE)
                .from(LINE_BLOCK)
                .where(LINE_BLOCK.BASKET_ID.eq(basket))
                .forEach(block -> {
                    if (lines.stream().anyMatch(line -> line >= block.value2() && line <= block.value3())) {
                        blocks.add(block.value1());
                    }
                });
        Map<Integer, List<String>> found = new HashMap<>();
        db.select(LINE_BLOCK.CONTENT)
                .from(LINE_BLOCK)
                .where(LINE_BLOCK.BASKET_ID.eq(basket))
                .and(LINE_BLOCK.BLOCK_NO.in(blocks))
                .orderBy(LINE_BLOCK.BLOCK_NO)
                .forEach(block -> pick(block.value1(), lines, found));
        return found;
    }

    private static void pick(String content, Set<Integer> lines, Map<Integer, List<String>> found) {
        int start = 0;
        while (start < content.length()) {
            int end = content.indexOf(ROW, start);
            end = end < 0 ? content.length() : end;
            int cell = content.indexOf(CELL, start);
            cell = cell < 0 || cell > end ? end : cell;
            int line = Integer.parseInt(content, start, cell, 10);
            if (lines.contains(line)) {
                String row = content.substring(Math.min(cell + 1, end), end);
                found.putIfAbsent(line, Arrays.asList(row.split(String.valueOf(CELL), -1)));
            }
            start = end + 1;
        }
    }

    /** Writes the rows of one basket; what is left when all are in is written by {@link #finish()}, and not if reading stops. */
    final class Writer implements RowSink {
        private static final int BLOCKS = 20;

        private final long basket;
        private final LongConsumer progress;
        private final StringBuilder content = new StringBuilder();
        private final List<Object[]> blocks = new ArrayList<>();
        private int written;
        private int rows;
        private int firstLine;
        private int lastLine;
        private long stored;

        private Writer(long basket, LongConsumer progress) {
            this.basket = basket;
            this.progress = progress;
        }

        @Override
        public void row(int line, String[] cells) {
            if (rows == 0) {
                firstLine = line;
            } else {
                content.append(ROW);
            }
            lastLine = Math.max(line, lastLine);
            int start = content.length();
            content.append(line);
            for (String cell : cells) {
                content.append(CELL);
                append(cell);
            }
            content.setLength(Math.min(content.length(), start + MOST_CHARACTERS));
            rows++;
            if (rows == ROWS || content.length() >= MOST_CHARACTERS) {
                closeBlock();
            }
        }

        /** The two characters that part rows and cells mean nothing in a list. */
        private void append(String cell) {
            boolean plain = cell.indexOf(ROW) < 0 && cell.indexOf(CELL) < 0;
            content.append(plain ? cell : cell.replace(ROW, ' ').replace(CELL, ' '));
        }

        private void closeBlock() {
            blocks.add(new Object[] {basket, written, firstLine, lastLine, content.toString()});
            written++;
            stored += rows;
            rows = 0;
            content.setLength(0);
            if (blocks.size() == BLOCKS) {
                flush();
                progress.accept(stored);
            }
        }

        private void flush() {
            if (!blocks.isEmpty()) {
                db.batch("insert into line_block values (?, ?, ?, ?, ?)", blocks.toArray(Object[][]::new))
                        .execute();
                blocks.clear();
            }
        }

        void finish() {
            if (rows > 0) {
                closeBlock();
            }
            flush();
        }
    }
}
