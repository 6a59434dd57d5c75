package smorgas.bench;

import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Recipe;

/** What a board holds in memory, stage by stage: the heap after a collection before and after each. */
final class MemoryUse {

    private MemoryUse() {}

    private static Lines lines(byte[] list) {
        return BasketReader.lines(1, "list.csv", list).lines().orElseThrow();
    }

    private static long held() throws InterruptedException {
        long least = Long.MAX_VALUE;
        for (int i = 0; i < 4; i++) {
            System.gc();
            Thread.sleep(100);
            least = Math.min(
                    least,
                    Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory());
        }
        return least;
    }

    private static void step(String name, int per, List<Object> kept, Function<Void, Object> made)
            throws InterruptedException {
        long before = held();
        var threads = (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
        long allocated = threads.getTotalThreadAllocatedBytes();
        long begun = System.nanoTime();
        kept.add(made.apply(null));
        long millis = (System.nanoTime() - begun) / 1_000_000;
        allocated = threads.getTotalThreadAllocatedBytes() - allocated;
        long more = held() - before;
        System.out.printf(
                Locale.ENGLISH,
                "| %s | %,d | %d | %,d | %,d |%n",
                name,
                more >> 20,
                more / per,
                allocated >> 20,
                millis);
    }

    static void run(int lines) throws InterruptedException {
        List<String> phrases = MadeLists.phrases(lines);
        StringBuilder text = new StringBuilder("keyword,searches,cpc,competition\n");
        for (int i = 0; i < lines; i++) {
            text.append(phrases.get(i))
                    .append(',')
                    .append(i % 5000)
                    .append(",0.")
                    .append(i % 100)
                    .append(",low\n");
        }
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        List<Object> kept = new ArrayList<>();
        System.out.printf(Locale.ENGLISH, "%,d lines, %,d KB%n", lines, bytes.length >> 10);
        System.out.println("| stage | MB held more | bytes a line | MB allocated | ms |");
        Lines[] read = new Lines[1];
        step("lines", lines, kept, nothing -> read[0] = lines(bytes));
        Board board = Board.of(List.of(read[0]), Recipe.of(List.of(), "en"));
        step("spellings", lines, kept, nothing -> board.spellings());
        step("keywords", lines, kept, nothing -> board.keywords());
        step("statuses", lines, kept, nothing -> board.statuses());
        step("orders", lines, kept, nothing -> board.orders());
        step("phrases", lines, kept, nothing -> board.phrases());
        step("usual views", lines, kept, nothing -> board.usualViews());
        step("fold report", lines, kept, nothing -> board.foldReport());
        step("misspellings", lines, kept, nothing -> board.misspellings());
        step("overlap", lines, kept, nothing -> board.overlap());
        step("intents", lines, kept, nothing -> board.intents());
        step("groups", lines, kept, nothing -> board.groups());
        step("plan count", lines, kept, nothing -> board.planCount());
        step("plan", lines, kept, nothing -> board.plan());
        System.out.printf(Locale.ENGLISH, "%,d keywords%n", board.keywords().size());
        if (kept.isEmpty()) {
            throw new IllegalStateException();
        }
    }
}
