package smorgas.app.batch;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import smorgas.app.store.ProjectFile;
import smorgas.core.board.Board;
import smorgas.core.board.Standpoint;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.RawList;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.gather.BasketState;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Refusal;

/**
 * What a run is compared with.
 *
 * @param keywords as they stood
 * @param plan the keywords and negatives of its plan; ad groups and ads are not among them
 */
record Earlier(Standpoint keywords, PlanRecord plan) {

    /**
     * The folder of an earlier run, or a project as a file.
     *
     * @throws Refusal if it is neither
     * @throws IOException if it cannot be read
     */
    static Earlier read(Path from) throws IOException {
        if (Files.isRegularFile(from)) {
            return of(ProjectFile.held(from));
        }
        EarlierRun run = EarlierRun.read(from);
        return new Earlier(run, run.plan());
    }

    private static Earlier of(ProjectFile.Held held) {
        Recipe recipe = Recipe.of(held.entries(), held.language(), held.rules());
        List<Lines> lists = new ArrayList<>();
        for (BasketState state : recipe.gathering().baskets()) {
            byte[] bytes = held.lists().get(state.basket());
            if (state.on() && bytes != null) {
                BasketReader.lines(
                                (int) state.basket(),
                                new RawList(
                                        state.name(),
                                        bytes,
                                        state.readAs(),
                                        recipe.folding().decimals()),
                                Halt.NEVER,
                                (line, cells) -> {})
                        .lines()
                        .ifPresent(lines -> lists.add(lines.as(state)));
            }
        }
        return of(Board.of(lists, recipe));
    }

    /** What stands on a board. */
    static Earlier of(Board board) {
        return new Earlier(Standpoint.of(board), keywords(PlanRecord.of(board.plan())));
    }

    /** Of a plan what a table of keywords tells. */
    static PlanRecord keywords(PlanRecord plan) {
        return new PlanRecord(plan.rows().stream()
                .filter(row -> row.kind() == PlanRecord.Kind.KEYWORD || row.kind() == PlanRecord.Kind.NEGATIVE)
                .toList());
    }
}
