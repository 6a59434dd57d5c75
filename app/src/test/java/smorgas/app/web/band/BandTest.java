package smorgas.app.web.band;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.app.Themed;
import smorgas.app.work.Finding;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** The band is to scale: heights add up to what flows through it. */
class BandTest {

    private static final String HIVES =
            IntStream.range(0, 60).mapToObj(i -> "hive part" + i + "\n").reduce("", String::concat);

    private static Lines lines(long basket, String name, String text) {
        return BasketReader.lines(basket, name, text.getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
    }

    private static Band band(boolean groups, List<Lines> baskets, Entry... entries) {
        return drawn(groups ? Finding.FOUND : Finding.UNDER_WAY, baskets, entries);
    }

    private static Band drawn(Finding groups, List<Lines> baskets, Entry... entries) {
        Board board = Board.of(baskets, Themed.recipe(List.of(entries)));
        return Band.draw(
                "/projects/1", new Snapshot(1, new History(List.of()), board, List.of(), Message.NONE), groups);
    }

    private static final Entry DROP_FREE =
            new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Status.DROPPED));

    private static Band full() {
        return band(
                true,
                List.of(lines(1, "a & <b>.csv", HIVES), lines(2, "two", HIVES + "free hive\nfree suit\nqueen\n")),
                DROP_FREE,
                new SiftEntry.Judged(List.of("hive part1", "hive part2"), Status.KEPT));
    }

    /** The height of a ribbon at its left end: from its first point to its last. */
    private static double height(Band band, String role) {
        Pattern ends = Pattern.compile("^M[\\d.]+,([\\d.]+).*,([\\d.]+)Z$");
        return band.pieces().stream()
                .filter(piece -> piece.role().equals(role))
                .mapToDouble(piece -> {
                    Matcher matcher = ends.matcher(piece.path());
                    assertThat(matcher.find()).as(piece.path()).isTrue();
                    return Double.parseDouble(matcher.group(2)) - Double.parseDouble(matcher.group(1));
                })
                .sum();
    }

    @Test
    void heightsAreToOneScaleOfLines() {
        Band band = full();
        double line = Band.HEIGHT / 123;
        assertThat(height(band, "keywords")).isEqualTo(63 * line, within(0.15));
        assertThat(height(band, "undecided")).isEqualTo(59 * line, within(0.15));
        assertThat(height(band, "kept")).isEqualTo(2 * line, within(0.15));
        assertThat(height(band, "group")).isEqualTo(60 * line, within(0.15));
        assertThat(height(band, "ungrouped")).isEqualTo(Math.max(0.6, line), within(0.15));
    }

    @Test
    void everyPieceTellsItsFiguresAndLeadsToJustThose() {
        Band band = full();
        assertThat(band.pieces())
                .extracting(Band.Piece::tells)
                .map(Object::toString)
                .contains("a & <b>.csv: 60 lines", "two: 63 lines", "63 keywords", "60 folded", "2 dropped");
        assertThat(band.pieces()).anySatisfy(piece -> {
            assertThat(piece.role()).isEqualTo("dropped");
            assertThat(piece.url()).isEqualTo("/projects/1/sift?status=dropped");
        });
        // A name goes into the address escaped.
        assertThat(band.pieces())
                .extracting(Band.Piece::url)
                .contains("/projects/1/sift?basket=a+%26+%3Cb%3E.csv", "/projects/1/group?group=hive");
        assertThat(band.stations())
                .extracting(Band.Station::figure)
                .map(Object::toString)
                .containsExactly("123 lines", "63 keywords", "61 left", "1 group", "120 plan rows");
    }

    @Test
    void groupsThatAreNotThereYetAreMarkedPending() {
        Band band = band(false, List.of(lines(1, "a", HIVES)));
        assertThat(band.pending()).isTrue();
        assertThat(band.pieces())
                .extracting(Band.Piece::role)
                .contains("pending")
                .doesNotContain("group");
        assertThat(band.stations())
                .extracting(Band.Station::figure)
                .map(Object::toString)
                .endsWith("…", "…");
    }

    @Test
    void groupsThatCouldNotBeFoundAreNotWaitedFor() {
        Band band = drawn(Finding.FAILED, List.of(lines(1, "a", HIVES)));
        assertThat(band.pending()).isFalse();
        assertThat(band.pieces())
                .extracting(Band.Piece::tells)
                .map(Object::toString)
                .contains("Groups could not be found");
        assertThat(band.stations())
                .extracting(Band.Station::figure)
                .map(Object::toString)
                .endsWith("not found", "not found");
    }

    @Test
    void anEmptyProjectHasItsStepsAndNothingElse() {
        Band band = band(true, List.of());
        assertThat(band.pieces()).isEmpty();
        assertThat(band.stations()).hasSize(5);
    }

    @Test
    void manyBasketsOfOneLineStayWithinTheBand() {
        List<Lines> baskets = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            baskets.add(lines(i, "list " + i, "keyword " + i + "\n"));
        }
        Band band = band(true, baskets);
        assertThat(band.pieces()).filteredOn(p -> p.role().startsWith("strand")).hasSize(60);
        Matcher numbers = Pattern.compile("[\\d.]+,([\\d.]+)")
                .matcher(band.pieces().stream().map(Band.Piece::path).reduce("", String::concat));
        while (numbers.find()) {
            assertThat(Double.parseDouble(numbers.group(1))).isBetween(0.0, 112.0);
        }
    }
}
