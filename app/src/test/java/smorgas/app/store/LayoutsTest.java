package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.serve.PlanLayout;
import smorgas.core.text.Refusal;

/** Layouts of the plan in the pantry. */
class LayoutsTest {

    private static PlanLayout layout(String name, String... columns) {
        return new PlanLayout(
                name,
                PlanLayout.Between.TAB,
                EnumSet.of(PlanLayout.Kind.KEYWORD, PlanLayout.Kind.AD),
                PlanLayout.Words.USUAL,
                PlanLayout.USUAL_INSERTION,
                "on",
                List.of(columns).stream().map(PlanLayout.Column::read).toList());
    }

    @Test
    void theNewestVersionIsOfferedAndWhatWasTakenAwayComesBack(@TempDir Path folder) {
        PlanLayout first = layout("Desk", "A = keyword");
        PlanLayout second = layout("Desk", "A = keyword", "B = headline 2", "C = \"x\"");
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            store.layouts().save(first);
            store.layouts().save(layout("Other", "A = keyword"));
            store.layouts().save(second);
            assertThat(store.layouts().all()).extracting(PlanLayout::name).containsExactly("Desk", "Other");
            store.layouts().remove("Other", true);
        }
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThat(store.layouts().all()).containsExactly(second);
            assertThat(store.layouts().removed()).containsExactly("Other");
            assertThat(store.layouts().find("Other")).isEmpty();
            store.layouts().remove("Other", false);
            assertThat(store.layouts().find("Other")).isPresent();
            store.layouts().remove("Desk", true);
            store.layouts().save(first);
            assertThat(store.layouts().find("Desk")).contains(first);
        }
    }

    @Test
    void theFileOfALayoutIsReadBackAsItWas() {
        PlanLayout layout = layout("Für <alle>", "A = path 1", "B = \"=\"".replace("=\"", "x\""));
        assertThat(Json.layout(Json.pretty(layout))).isEqualTo(layout);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{}",
                "[]",
                "no json",
                "{\"name\":\"x\",\"between\":\"COMMA\",\"rows\":[],\"columns\":[]}",
                "{\"name\":\"x\",\"between\":\"NOTHING\",\"rows\":[\"KEYWORD\"]}"
            })
    void whatIsNoLayoutIsRefusedWithASentence(String json) {
        assertThatThrownBy(() -> Json.layout(json))
                .isInstanceOf(Refusal.class)
                .hasMessageStartingWith("This is no layout: ")
                .hasMessageNotContaining("smorgas.");
    }
}
