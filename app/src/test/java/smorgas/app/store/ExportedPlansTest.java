package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.serve.PlanRecord;

/** Plans that were exported: kept with their rows, taken away and put back, gone with their project. */
class ExportedPlansTest {

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
            plan = store.exported().keep(project, "March", 7, PLAN);
            store.exported().keep(project, "April", 9, new PlanRecord(List.of()));
            store.exported().remove(project, plan, true);
        }
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThat(store.exported().of(project))
                    .extracting(one -> one.name() + " " + one.point() + " " + one.rows() + " " + one.removed())
                    .containsExactly("April 9 0 false", "March 7 1 true");
            assertThat(store.exported().plan(project, plan)).contains(PLAN);
            assertThat(store.exported().plan(project + 1, plan))
                    .as("of another project")
                    .isEmpty();
            store.exported().remove(project, plan, false);
            assertThat(store.exported().of(project)).noneMatch(ExportedPlans.Exported::removed);
            store.projects().bin(project);
            assertThat(store.projects().emptyBin()).isEqualTo(1);
            assertThat(store.exported().of(project)).isEmpty();
        }
    }

    @Test
    void aFullDiskTakesNone() {
        try (StoreUnderTest store = new StoreUnderTest(folder, () -> 0)) {
            assertThatThrownBy(() -> store.exported().keep(1, "March", 0, PLAN)).isInstanceOf(DiskSpace.None.class);
        }
    }
}
