package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Objects;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import smorgas.core.board.Board;
import smorgas.core.board.Difference;
import smorgas.core.board.Standpoint;
import smorgas.core.serve.PlanChanges;
import smorgas.core.serve.PlanRecord;

/** Projects as they stood at points of their histories, and what is otherwise between two; the last few are kept. */
@Component
public class PastVersions {

    private static final int BOARDS = 4;
    private static final int DIFFERENCES = 4;

    /** Of at most so many keywords groups are looked for without being asked. */
    private static final int FEW = 5_000;

    private final Cache<Point, Board> boards =
            Caffeine.newBuilder().maximumSize(BOARDS).softValues().build();
    private final Cache<Between, Difference> differences =
            Caffeine.newBuilder().maximumSize(DIFFERENCES).softValues().build();

    private final Cache<Since, PlanChanges> changes =
            Caffeine.newBuilder().maximumSize(DIFFERENCES).softValues().build();

    PastVersions(Table table) {
        table.empties(() -> {
            boards.invalidateAll();
            differences.invalidateAll();
            changes.invalidateAll();
        });
    }

    /** What one comes from: the number of a plan that was exported, or a board. */
    private record Since(Object from, Board now) {}

    /** What a project was at a point never changes, however its history goes on; its language may be put right. */
    private record Point(long project, String language, long point) {}

    /** Boards are told apart as objects. */
    private record Between(Board old, Board now, boolean groups) {}

    /**
     * The project as it was just after an act was made.
     *
     * @throws smorgas.core.text.Refusal if there is no such point
     */
    public Board at(OpenProject project, long point) {
        return Objects.requireNonNull(
                boards.get(new Point(project.id(), project.language(), point), key -> project.at(point)));
    }

    /** Whether the groups of both are known, or soon found. */
    public static boolean groupsAreNear(Board old, Board now) {
        return near(old) && near(now);
    }

    private static boolean near(Board board) {
        return board.groupsKnown() || board.keywords().size() <= FEW;
    }

    /**
     * What must be done to an account that has a plan so that it has that of a board.
     *
     * @param exported its number; what it had in it never changes
     * @param then reads what it had in it
     */
    public PlanChanges plan(long exported, Supplier<PlanRecord> then, Board now) {
        return Objects.requireNonNull(
                changes.get(new Since(exported, now), key -> PlanChanges.of(then.get(), PlanRecord.of(now.plan()))));
    }

    /** What must be done to an account that has the plan of a board so that it has that of another. */
    public PlanChanges plan(Board old, Board now) {
        return Objects.requireNonNull(changes.get(
                new Since(old, now), key -> PlanChanges.of(PlanRecord.of(old.plan()), PlanRecord.of(now.plan()))));
    }

    /** What is otherwise in one of two boards than in the other. */
    public Difference between(Board old, Board now, boolean groups) {
        return Objects.requireNonNull(differences.get(
                new Between(old, now, groups),
                key -> Difference.between(Standpoint.of(old), Standpoint.of(now), groups)));
    }
}
