package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.serve.PlanRecord;

/** Plans that were served: kept with their rows, taken away and put back, gone with their project. */
class ServedPlansTest {

    private static final PlanRecord PLAN = new PlanRecord(List.of(
            new PlanRecord.Row(PlanRecord.Kind.AD_GROUP, "C", "hives", "", "", "0.50", "", ""),
            new PlanRecord.Row(PlanRecord.Kind.KEYWORD, "C", "hives", "hive, \"old\"", "Exact", "0.50", "", ""),
            new PlanRecord.Row(PlanRecord.Kind.AD, "C", "hives", "", "", "", "", "Headline: A\nDescription: B, c")));

    @TempDir
    private Path folder;

    @Test
    void whatIsKeptIsThereAfterAStart() {
        long project;
        long plan;
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            project = store.projects().create("Client", "en", "UK", "GBP");
            plan = store.served().keep(project, "March", 7, PLAN);
            store.served().keep(project, "April", 9, new PlanRecord(List.of()));
            store.served().remove(project, plan, true);
        }
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThat(store.served().of(project))
                    .extracting(one -> one.name() + " " + one.point() + " " + one.rows() + " " + one.removed())
                    .containsExactly("April 9 0 false", "March 7 1 true");
            assertThat(store.served().plan(project, plan)).contains(PLAN);
            assertThat(store.served().plan(project + 1, plan))
                    .as("of another project")
                    .isEmpty();
            store.served().remove(project, plan, false);
            assertThat(store.served().of(project)).noneMatch(ServedPlans.Served::removed);
            store.projects().bin(project);
            assertThat(store.projects().emptyBin()).isEqualTo(1);
            assertThat(store.served().of(project)).isEmpty();
        }
    }

    @Test
    void aFullDiskTakesNone() {
        try (StoreUnderTest store = new StoreUnderTest(folder, () -> 0)) {
            assertThatThrownBy(() -> store.served().keep(1, "March", 0, PLAN)).isInstanceOf(DiskSpace.None.class);
        }
    }
}
