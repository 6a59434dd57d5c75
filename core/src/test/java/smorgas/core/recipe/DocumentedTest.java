package smorgas.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.ConditionKind;

/** What can be asked is described once, and the guide to recipes tells all of it. */
class DocumentedTest {

    @Test
    void everyConditionIsDescribedOnceAndToldInTheGuide() throws IOException {
        assertThat(ConditionKind.ALL).extracting(kind -> (Object) kind.type()).containsExactlyInAnyOrder((Object[])
                Condition.class.getPermittedSubclasses());
        String guide = Files.readString(Path.of("..", "docs", "recipe.md"));
        for (ConditionKind<?> kind : ConditionKind.ALL) {
            String row = guide.lines()
                    .filter(line -> line.startsWith("| ") && line.contains("`" + kind.name() + "`"))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("docs/recipe.md does not tell of " + kind.name()));
            List<String> fields = Arrays.stream(kind.type().getRecordComponents())
                    .map(component -> "`" + component.getName() + "`")
                    .toList();
            assertThat(fields).allSatisfy(field -> assertThat(row).contains(field));
        }
    }

    @Test
    void everyFormMakesAConditionThatFillsItAgain() {
        for (ConditionKind.Form form : ConditionKind.offered()) {
            String text =
                    switch (form.asks()) {
                        case SCRIPT -> "GREEK";
                        case STATUS -> "KEPT";
                        case INTENT -> "LOCAL";
                        case NUMBERS, NOTHING -> "";
                        default -> "bee";
                    };
            Bounds bounds = form.asks() == ConditionKind.Asks.NUMBERS ? new Bounds(1L, 2L) : Bounds.ANY;
            Condition condition = form.condition(text, bounds).orElseThrow();
            assertThat(ConditionKind.fill(condition)).contains(new ConditionKind.Filled(form.key(), text, bounds));
        }
        assertThat(ConditionKind.offered()).extracting(ConditionKind.Form::key).doesNotHaveDuplicates();
    }
}
