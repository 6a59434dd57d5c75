package smorgas.core.serve;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import smorgas.core.board.Board;
import smorgas.core.text.Catalogue;

/** What leaves of a board, as tests read it. */
public final class TestPlan {

    private TestPlan() {}

    /** The file of a name as a text. */
    public static String written(Board board, String file) {
        return new String(bytes(board, file), StandardCharsets.UTF_8);
    }

    /** The file of a name. */
    public static byte[] bytes(Board board, String file) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PlanFormats.find(file).orElseThrow().write(board.handover("Shop, spring", "EUR", Catalogue.english()), out);
        return out.toByteArray();
    }
}
