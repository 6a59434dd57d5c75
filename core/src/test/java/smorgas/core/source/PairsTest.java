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
import smorgas.core.recipe.gather.Pairing;
import smorgas.core.text.Refusal;

/** Word lists multiplied. */
class PairsTest {

    private static Pairing.Column column(String words) {
        return new Pairing.Column(List.of(words.split(",")), false, false);
    }

    private static Pairing pairing(Pairing.Column... columns) {
        return new Pairing(List.of(columns), " ", "", "", true, Pairing.USUAL);
    }

    @Test
    void columnsAreMultipliedInTheirOrderTheLastTurningFastest() {
        assertThat(Pairs.of(pairing(column("red,blue"), column("bee hive,jar"))))
                .containsExactly("red bee hive", "red jar", "blue bee hive", "blue jar");
    }

    /** Counted by hand: 2 x 3 with the first, 3 without it. */
    @Test
    void aColumnCanBeLeftOutOrStandInAnyPlace() {
        Pairing.Column optional = new Pairing.Column(List.of("buy", "cheap"), true, false);
        assertThat(Pairs.of(pairing(optional, column("hive,jar,suit"))))
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
        Pairing.Column anywhere = new Pairing.Column(List.of("uk"), false, true);
        assertThat(Pairs.of(pairing(column("bee"), column("hive"), anywhere)))
                .containsExactly("uk bee hive", "bee uk hive", "bee hive uk");
        assertThat(Pairs.count(pairing(optional, column("hive,jar,suit"), anywhere)))
                .isEqualTo(BigInteger.valueOf(2 * 3 * 3 + 3 * 2));
    }

    @Test
    void wordsAreJoinedAndFramedAsAskedAndADoubledWordStandsOnce() {
        Pairing signs = new Pairing(
                List.of(column("bee,honey"), column("hive,honey")), "-", "buy ", " online", false, Pairing.USUAL);
        assertThat(Pairs.of(signs))
                .containsExactly(
                        "buy bee-hive online",
                        "buy bee-honey online",
                        "buy honey-hive online",
                        "buy honey-honey online");
        assertThat(Pairs.of(pairing(column("honey jar,honey"), column("jar,lid"))))
                .containsExactly("honey jar", "honey jar lid", "honey lid");
        Pairing joined = new Pairing(List.of(column("bee"), column("hive")), "", "", "", true, 1);
        assertThat(Pairs.of(joined)).containsExactly("beehive");
    }

    /** Without columns that are left out or stand anywhere the count is the product of the columns. */
    @ParameterizedTest
    @CsvSource({"3, 4, 1, 12", "10, 20, 5, 1000", "1, 1, 1, 1"})
    void theCountIsTheProductOfTheColumns(int a, int b, int c, int product) {
        Pairing pairing = pairing(words("a", a), words("b", b), words("c", c));
        assertThat(Pairs.count(pairing)).isEqualTo(BigInteger.valueOf(product));
        assertThat(Pairs.of(pairing)).hasSize(product);
    }

    private static Pairing.Column words(String name, int count) {
        return new Pairing.Column(
                IntStream.range(0, count).mapToObj(i -> name + i).toList(), false, false);
    }

    /** Against every choice tried out one by one, in drawn columns whose phrases are all different. */
    @Test
    void whatIsCountedIsWhatComesOut() {
        RandomGenerator random = RandomGenerator.of("L64X128MixRandom");
        for (int round = 0; round < 60; round++) {
            int columns = 2 + random.nextInt(3);
            List<Pairing.Column> all = IntStream.range(0, columns)
                    .mapToObj(i -> new Pairing.Column(
                            words("w" + i + "n", 1 + random.nextInt(4)).words(),
                            random.nextBoolean(),
                            random.nextBoolean()))
                    .toList();
            Pairing pairing = new Pairing(all, " ", "", "", false, Pairing.USUAL);
            Set<String> phrases = Pairs.of(pairing);
            assertThat(Pairs.count(pairing)).as("%s", all).isEqualTo(BigInteger.valueOf(phrases.size()));
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
        Pairing billion = pairing(words("a", 1_000), words("b", 1_000), words("c", 1_000));
        assertThatThrownBy(() -> Pairs.of(billion))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("1,000,000,000 phrases would come out, and 100,000 at most may");
        Pairing.Column same = new Pairing.Column(
                IntStream.rangeClosed(1, 10_000)
                        .mapToObj(i -> "a" + " a".repeat(i % 100) + " ".repeat(i / 100) + (i / 100 % 2 == 0 ? "" : "a"))
                        .toList(),
                false,
                false);
        assertThat(Pairs.first(pairing(same, same, same, same, same, same), 12)).contains("a");
        assertThat(Pairs.first(billion, 3)).containsExactly("a0 b0 c0", "a0 b0 c1", "a0 b0 c2");
    }

    @Test
    void whatIsNoPairingIsRefused() {
        assertThatThrownBy(() -> pairing(column("a"))).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> column(" , ")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Pairing(List.of(column("a"), column("b")), "\n\n", "", "", true, 1))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Pairing(List.of(column("a"), column("b")), " ", "", "", true, 2_000_000))
                .isInstanceOf(Refusal.class);
        assertThat(new Pairing.Column(List.of(" Bee  Hive", "bee hive", ""), false, false).words())
                .containsExactly("bee hive");
    }
}
