package smorgas.app.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Random;
import org.h2.tools.Csv;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;

/** The tables of a run, read back by the database's own reader of CSV. */
class BatchTablesTest {

    private static final String[] WORDS = {
        "hive",
        "bee",
        "stand",
        "honey",
        "jar",
        "oak",
        "say \"bee\"",
        "hive; tall",
        "bl\u00FCte",
        "\u8702\u7BB1",
        "\uD83D\uDC1D",
        "it's",
        "4.5",
        "=1+1",
        "-5",
        "@home",
        "large, small",
        "\u03BC\u03AD\u03BB\u03B9",
        "smoker",
        "veil"
    };

    @TempDir
    Path folder;

    /** More keywords than are made at once on all cores, so that rows of several rounds stand behind each other. */
    private static Board board(int lines) {
        Random random = new Random(7);
        StringBuilder list = new StringBuilder("keyword,searches,cpc\n");
        for (int line = 0; line < lines; line++) {
            StringBuilder keyword = new StringBuilder(WORDS[random.nextInt(WORDS.length)]);
            for (int i = random.nextInt(4); i >= 0; i--) {
                keyword.append(' ').append(WORDS[random.nextInt(WORDS.length)]);
            }
            keyword.append(' ').append(random.nextInt(2_000));
            list.append('"')
                    .append(keyword.toString().replace("\"", "\"\""))
                    .append("\",")
                    .append(random.nextInt(10_000))
                    .append(',')
                    .append(random.nextInt(300) / 100.0)
                    .append('\n');
        }
        return Board.of(
                List.of(BasketReader.lines(
                                1, "a \"list\"; of mine.csv", list.toString().getBytes(StandardCharsets.UTF_8))
                        .lines()
                        .orElseThrow()),
                Recipe.of(
                        List.of(new GroupEntry.GroupSettingsChosen(Rules.NEWEST
                                .settings()
                                .byThemes("en")
                                .with(Rules.NEWEST.settings().themes()))),
                        "en"));
    }

    private static ResultSet read(Reader from) throws IOException {
        Csv csv = new Csv();
        csv.setPreserveWhitespace(true);
        return csv.read(from, null);
    }

    /** An empty cell without quotes is null there. */
    private static String cell(ResultSet rows, String column) throws SQLException {
        return Objects.requireNonNullElse(rows.getString(column), "");
    }

    private static String safe(String text) {
        return text.matches("(?s);*[=+@-].*") && !text.matches("-\\d+(\\.\\d+)?") ? "'" + text : text;
    }

    @Test
    void everyKeywordStandsInItsRowHoweverManyAreWrittenAtOnce() throws IOException, SQLException {
        Board board = board(45_000);
        Path file = folder.resolve("keywords.csv");
        BatchTables.writeKeywords(board, file);
        Keywords keywords = board.keywords();
        Grouping grouping = board.groups().grouping();
        assertThat(keywords.size()).isGreaterThan(4_096 * 8);
        int keyword = 0;
        try (Reader text = Files.newBufferedReader(file);
                ResultSet rows = read(text)) {
            while (rows.next()) {
                String name = keywords.text(keyword);
                assertThat(cell(rows, "keyword")).isEqualTo(safe(name));
                assertThat(cell(rows, "status")).isEqualTo("Undecided");
                boolean grouped = grouping.groupOf(keyword) >= 0;
                assertThat(cell(rows, "group"))
                        .isEqualTo(grouped ? safe(board.groups().name(grouping.groupOf(keyword))) : "");
                assertThat(cell(rows, "tightness"))
                        .isEqualTo(grouped ? String.format(Locale.ROOT, "%.3f", grouping.tightness(keyword)) : "");
                assertThat(cell(rows, "searches"))
                        .isEqualTo(String.valueOf(
                                keywords.figure(Figure.SEARCHES).orElseThrow().low(keyword)));
                assertThat(cell(rows, "baskets")).isEqualTo("a \"list\"; of mine.csv");
                keyword++;
            }
        }
        assertThat(keyword).isEqualTo(keywords.size());
    }

    @Test
    void whatIsWrittenIsTheSameHoweverItIsShared() throws IOException {
        Board board = board(3_000);
        Path one = folder.resolve("one.csv");
        Path other = folder.resolve("other.csv");
        BatchTables.writeKeywords(board, one);
        // Known from then on, where before each row measured its own.
        board.groups().grouping().tightnessOfAll();
        BatchTables.writeKeywords(board, other);
        assertThat(Files.mismatch(one, other)).isEqualTo(-1);
        assertThat(Files.readString(one)).endsWith("\r\n");
    }

    @Test
    void nothingButAHeadIsWrittenOfNothing() throws IOException {
        Board board = Board.of(List.of(), Recipe.of(List.of(), "en"));
        Path file = folder.resolve("none.csv");
        BatchTables.writeKeywords(board, file);
        assertThat(Files.readAllLines(file)).singleElement().asString().startsWith("keyword,status,reason,group,");
    }
}
