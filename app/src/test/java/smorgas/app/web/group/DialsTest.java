package smorgas.app.web.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.Rank;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.recipe.value.Intent;

/** The dials of Group as fields and as a URL. */
class DialsTest {

    private static final StandardSettings USUAL = Rules.NEWEST.settings();

    private static final GroupSettings STANDARD = USUAL.byThemes("en");

    private static MultiValueMap<String, String> fields(String query) {
        MultiValueMap<String, String> fields = new LinkedMultiValueMap<>();
        for (String pair : query.split("&")) {
            if (!pair.isEmpty()) {
                String[] parts = pair.split("=", 2);
                fields.add(parts[0], URLDecoder.decode(parts[1], StandardCharsets.UTF_8));
            }
        }
        return fields;
    }

    private static GroupSettings drawn(Random random) {
        List<Pass> passes = random.ints(1 + random.nextInt(5), 1, 6)
                .mapToObj(shortest -> new Pass(
                        1 + random.nextInt(20),
                        random.nextBoolean() ? Pass.ANY : 40 + random.nextInt(500),
                        random.nextInt(3) * 50,
                        shortest,
                        5,
                        random.nextBoolean(),
                        random.nextInt(101) / 100.0))
                .toList();
        return new GroupSettings(
                new Method.ByThemes(
                        passes, new Rank(1, random.nextInt(101), random.nextInt(101), random.nextInt(101), 0, 7)),
                random.nextBoolean(),
                GroupSettings.Ungrouped.values()[random.nextInt(3)],
                random.nextInt(101) / 100.0,
                new TreeSet<>(random.nextBoolean() ? List.of("for", "the") : List.of()),
                random.nextBoolean()
                        ? EnumSet.allOf(GroupSettings.StopAt.class)
                        : EnumSet.noneOf(GroupSettings.StopAt.class),
                new TreeSet<>(random.nextBoolean() ? List.of("bee", "c++") : List.of()),
                SameHere.NOTHING,
                random.nextBoolean() ? EnumSet.of(Intent.LOCAL, Intent.values()[random.nextInt(4)]) : Set.of());
    }

    @Test
    void whatIsAskedComesBackFromTheUrl() {
        Random random = new Random(1);
        for (int round = 0; round < 200; round++) {
            GroupSettings asked = drawn(random);
            // What was adopted must not shine through where the URL tells all.
            GroupSettings read = Dials.read(fields(Dials.query(asked)), drawn(random), USUAL);
            assertThat(read.themes(USUAL.themes()).passes())
                    .isEqualTo(asked.themes(USUAL.themes()).passes());
            assertThat(read.themes(USUAL.themes()).rank())
                    .isEqualTo(asked.themes(USUAL.themes()).rank());
            assertThat(read.ungrouped()).isEqualTo(asked.ungrouped());
            assertThat(read.intentsApart()).isEqualTo(asked.intentsApart());
            assertThat(read.placedFrom()).isEqualTo(asked.placedFrom());
            assertThat(read.forms()).isEqualTo(asked.forms());
            assertThat(read.stopAt()).isEqualTo(asked.stopAt());
            assertThat(read.stopWords()).isEqualTo(asked.stopWords());
        }
    }

    @Test
    void whatIsNotAskedStaysAsAdopted() {
        assertThat(Dials.read(fields(""), STANDARD, USUAL)).isEqualTo(STANDARD);
        GroupSettings changed = Dials.read(fields("tightness=40"), STANDARD, USUAL);
        assertThat(changed.themes(USUAL.themes()).passes().getFirst().leastTightness())
                .isEqualTo(.4);
        assertThat(changed.withPasses(USUAL.themes().passes().getFirst())).isEqualTo(STANDARD);
        assertThat(Dials.read(fields("ignored=Bee%20%20hive"), STANDARD, USUAL).ignored())
                .containsExactly("bee", "hive");
    }

    @Test
    void passesComeAndGo() {
        GroupSettings two = Dials.read(fields("smallest=8&shortest=2&more=1"), STANDARD, USUAL);
        assertThat(two.themes(USUAL.themes()).passes()).hasSize(2);
        assertThat(two.themes(USUAL.themes()).passes().getLast())
                .isEqualTo(new Pass(8, Pass.ANY, Pass.ANY, 1, 1, true, 0));
        String both = Dials.query(two);
        assertThat(Dials.read(fields(both + "without=0"), STANDARD, USUAL)
                        .themes(USUAL.themes())
                        .passes())
                .containsExactly(two.themes(USUAL.themes()).passes().getLast());
        assertThat(Dials.read(fields(both + "without=1"), STANDARD, USUAL)
                        .themes(USUAL.themes())
                        .passes())
                .containsExactly(two.themes(USUAL.themes()).passes().getFirst());
        GroupSettings five = two;
        for (int i = 0; i < 6; i++) {
            five = Dials.read(fields(Dials.query(five) + "more=1"), STANDARD, USUAL);
        }
        assertThat(five.themes(USUAL.themes()).passes()).hasSize(Method.MOST_PASSES);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            smallest=0 | 1 to 10,000
            smallest=many | no whole number
            smallest=99999999999 | no whole number
            smallest=5&largest=9 | at least twice
            shortest=3&longest=2 | 1 to 5 words
            tightness=101 | 0 to 1
            rankKeywords=0 | One weight must be above 0
            rankKeywords=101 | 0 to 100
            ungroupedAre=LOST | no choice
            dials=1&at=ABOVE | no choice
            placed=200 | 0 to 1
            """)
    void whatCannotBeMeantIsRefusedInWords(String query, String why) {
        assertThatThrownBy(() -> Dials.read(fields(query), STANDARD, USUAL))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(why);
    }
}
