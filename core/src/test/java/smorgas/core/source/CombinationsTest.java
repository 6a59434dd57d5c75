package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.recipe.gather.CombineSettings;
import smorgas.core.text.Refusal;

/** Word lists multiplied. */
class CombinationsTest {

    private static CombineSettings.Column column(String words) {
        return new CombineSettings.Column(List.of(words.split(",")), false, false);
    }

    private static CombineSettings combine(CombineSettings.Column... columns) {
        return new CombineSettings(List.of(columns), " ", "", "", true, CombineSettings.USUAL);
    }

    @Test
    void columnsAreMultipliedInTheirOrderTheLastTurningFastest() {
        assertThat(Combinations.of(combine(column("red,blue"), column("bee hive,jar"))))
                .containsExactly("red bee hive", "red jar", "blue bee hive", "blue jar");
    }

    /** Counted by hand: 2 x 3 with the first, 3 without it. */
    @Test
    void aColumnCanBeLeftOutOrStandInAnyPlace() {
        CombineSettings.Column optional = new CombineSettings.Column(List.of("buy", "cheap"), true, false);
        assertThat(Combinations.of(combine(optional, column("hive,jar,suit"))))
                .containsExactly(
                        "buy hive",
                        "buy jar",
                        "buy suit",
                        "cheap hive",
                        "cheap jar",
                        "cheap suit",
                        "hive",
                        "jar",
                        "suit");
        CombineSettings.Column anywhere = new CombineSettings.Column(List.of("uk"), false, true);
        assertThat(Combinations.of(combine(column("bee"), column("hive"), anywhere)))
                .containsExactly("uk bee hive", "bee uk hive", "bee hive uk");
        assertThat(Combinations.count(combine(optional, column("hive,jar,suit"), anywhere)))
                .isEqualTo(BigInteger.valueOf(2 * 3 * 3 + 3 * 2));
    }

    @Test
    void wordsAreJoinedAndFramedAsAskedAndADoubledWordStandsOnce() {
        CombineSettings signs = new CombineSettings(
                List.of(column("bee,honey"), column("hive,honey")),
                "-",
                "buy ",
                " online",
                false,
                CombineSettings.USUAL);
        assertThat(Combinations.of(signs))
                .containsExactly(
                        "buy bee-hive online",
                        "buy bee-honey online",
                        "buy honey-hive online",
                        "buy honey-honey online");
        assertThat(Combinations.of(combine(column("honey jar,honey"), column("jar,lid"))))
                .containsExactly("honey jar", "honey jar lid", "honey lid");
        CombineSettings joined = new CombineSettings(List.of(column("bee"), column("hive")), "", "", "", true, 1);
        assertThat(Combinations.of(joined)).containsExactly("beehive");
    }

    /** Without columns that are left out or stand anywhere the count is the product of the columns. */
    @ParameterizedTest
    @CsvSource({"3, 4, 1, 12", "10, 20, 5, 1000", "1, 1, 1, 1"})
    void theCountIsTheProductOfTheColumns(int a, int b, int c, int product) {
        CombineSettings combine = combine(words("a", a), words("b", b), words("c", c));
        assertThat(Combinations.count(combine)).isEqualTo(BigInteger.valueOf(product));
        assertThat(Combinations.of(combine)).hasSize(product);
    }

    private static CombineSettings.Column words(String name, int count) {
        return new CombineSettings.Column(
                IntStream.range(0, count).mapToObj(i -> name + i).toList(), false, false);
    }

    /** Against every choice tried out one by one, in drawn columns whose phrases are all different. */
    @Test
    void whatIsCountedIsWhatComesOut() {
        RandomGenerator random = RandomGenerator.of("L64X128MixRandom");
        for (int round = 0; round < 60; round++) {
            int columns = 2 + random.nextInt(3);
            List<CombineSettings.Column> all = IntStream.range(0, columns)
                    .mapToObj(i -> new CombineSettings.Column(
                            words("w" + i + "n", 1 + random.nextInt(4)).words(),
                            random.nextBoolean(),
                            random.nextBoolean()))
                    .toList();
            CombineSettings combine = new CombineSettings(all, " ", "", "", false, CombineSettings.USUAL);
            Set<String> phrases = Combinations.of(combine);
            assertThat(Combinations.count(combine)).as("%s", all).isEqualTo(BigInteger.valueOf(phrases.size()));
            for (String phrase : phrases) {
                Set<String> from = new HashSet<>();
                int last = -1;
                for (String word : phrase.split(" ")) {
                    int column = word.charAt(1) - '0';
                    assertThat(all.get(column).words()).contains(word);
                    assertThat(from.add("c" + column)).as(phrase).isTrue();
                    if (!all.get(column).anywhere()) {
                        assertThat(column).as(phrase).isGreaterThan(last);
                        last = column;
                    }
                }
            }
        }
    }

    @Test
    void aBillionIsRefusedAtOnceAndItsFirstAreShownAllTheSame() {
        CombineSettings billion = combine(words("a", 1_000), words("b", 1_000), words("c", 1_000));
        assertThatThrownBy(() -> Combinations.of(billion))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("1,000,000,000 phrases would come out, and 100,000 at most may");
        CombineSettings.Column same = new CombineSettings.Column(
                IntStream.rangeClosed(1, 10_000)
                        .mapToObj(i -> "a" + " a".repeat(i % 100) + " ".repeat(i / 100) + (i / 100 % 2 == 0 ? "" : "a"))
                        .toList(),
                false,
                false);
        assertThat(Combinations.first(combine(same, same, same, same, same, same), 12))
                .contains("a");
        assertThat(Combinations.first(billion, 3)).containsExactly("a0 b0 c0", "a0 b0 c1", "a0 b0 c2");
    }

    @Test
    void whatIsNoCombineIsRefused() {
        assertThatThrownBy(() -> combine(column("a"))).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> column(" , ")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new CombineSettings(List.of(column("a"), column("b")), "\n\n", "", "", true, 1))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new CombineSettings(List.of(column("a"), column("b")), " ", "", "", true, 2_000_000))
                .isInstanceOf(Refusal.class);
        assertThat(new CombineSettings.Column(List.of(" Bee  Hive", "bee hive", ""), false, false).words())
                .containsExactly("bee hive");
    }
}
