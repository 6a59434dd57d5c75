package smorgas.bench;

import java.io.IOException;
import java.util.Locale;
import smorgas.core.board.Board;
import smorgas.core.group.read.Agreement;
import smorgas.core.group.read.MovesNeeded;

/** How near groups of other languages come to those that were made by judgement, by words alone. */
final class OtherLanguages {

    private OtherLanguages() {}

    static void run() throws IOException {
        System.out.println("\n| list | B-cubed F1 | adjusted Rand | to be moved | groups | left over |"
                + "\n|---|---:|---:|---:|---:|---:|");
        for (ExpertList list : ExpertList.ofOtherLanguages()) {
            Board board = ExpertBoards.board(list);
            int[] found = ExpertBoards.labels(list, board);
            Agreement agreement = Agreement.of(found, list.wanted());
            System.out.printf(
                    Locale.ENGLISH,
                    "| %s%s | %.3f | %.3f | %.3f | %d | %d |%n",
                    list.name(),
                    list.tuned() ? "" : " (not tuned on)",
                    agreement.f(),
                    agreement.adjustedRand(),
                    MovesNeeded.share(found, list.wanted()),
                    board.groups().grouping().size(),
                    board.groups().grouping().ungrouped());
        }
    }
}
