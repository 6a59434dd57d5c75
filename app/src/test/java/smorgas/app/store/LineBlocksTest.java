package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.figure.Decimals;
import smorgas.core.gather.Lines;

/** Lines as they lie in the database: what is read back is what was read. */
class LineBlocksTest {

    @TempDir
    private Path folder;

    private StoreUnderTest store;
    private long project;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        project = store.projects().create("Client", "en", "UK", "GBP");
    }

    @AfterEach
    void close() {
        store.close();
    }

    private static List<String> texts(Lines lines) {
        List<String> texts = new ArrayList<>();
        for (int row = 0; row < lines.size(); row++) {
            texts.add(lines.lineNumber(row) + " " + lines.text(row));
        }
        return texts;
    }

    private Baskets.Stored store(String list) {
        return store.baskets().store(project, "list", list.getBytes(StandardCharsets.UTF_8));
    }

    private Baskets.Basket basket(Baskets.Stored stored) {
        long id = stored.basket().orElseThrow();
        return store.baskets().of(project).stream()
                .filter(b -> b.id() == id)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatWasJustReadIsWhatIsReadBack() {
        Random random = new Random(3);
        StringBuilder list = new StringBuilder("keyword,searches,notes\n");
        for (int i = 0; i < 3_456; i++) {
            list.append("bee ").append(i).append(',').append(random.nextInt(90)).append(',');
            list.append(random.nextInt(3) == 0 ? "" : "note \"\" ".repeat(random.nextInt(2)))
                    .append('\n');
        }
        Baskets.Stored stored = store(list.toString());
        Lines fresh = stored.lines().orElseThrow();
        Lines back = store.baskets().lines(basket(stored), Decimals.POINT);
        assertThat(texts(back)).hasSize(3_456).isEqualTo(texts(fresh));
        assertThat(back.setAside()).isEqualTo(fresh.setAside());
        assertThat(store.baskets().cells(stored.basket().orElseThrow(), 3_000)).startsWith("bee 2998");
    }

    @Test
    void theCharactersThatPartStoredCellsDoNotPartThemWhenAListHasThem() {
        Baskets.Stored stored = store("keyword,notes,more\nbee hive,a\u001Fb\u001Ec,d\nbee suit,e,f\n");
        assertThat(store.baskets().cells(stored.basket().orElseThrow(), 2)).containsExactly("bee hive", "a b c", "d");
        assertThat(texts(store.baskets().lines(basket(stored), Decimals.POINT)))
                .containsExactly("2 bee hive", "3 bee suit");
    }

    @Test
    void aRowThatIsTooLongForABlockIsCutAndTheOthersAreWhole() {
        String notes = ("n".repeat(32_000) + ",").repeat(50);
        Baskets.Stored stored = store("keyword,notes\nbee hive," + notes + "\nbee suit,short\n");
        long id = stored.basket().orElseThrow();
        assertThat(store.baskets().cells(id, 2)).startsWith("bee hive");
        assertThat(String.join("", store.baskets().cells(id, 2))).hasSizeBetween(300_000, 400_000);
        assertThat(store.baskets().cells(id, 3)).containsExactly("bee suit", "short");
        // Nothing is lost: the bytes are there as they came.
        assertThat(store.baskets().bytes(project, id).orElseThrow()).hasSizeGreaterThan(1_500_000);
    }

    @Test
    void aCopiedProjectHasItsOwnLines() {
        Baskets.Stored stored = store("bee hive\nbee suit\n");
        long copy = store.projects().copy(project, "Copy");
        Baskets.Basket copied = store.baskets().of(copy).getFirst();
        assertThat(copied.id()).isNotEqualTo(stored.basket().orElseThrow());
        assertThat(texts(store.baskets().lines(copied, Decimals.POINT))).containsExactly("1 bee hive", "2 bee suit");
    }
}
