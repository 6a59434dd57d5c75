package smorgas.app.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.app.demo.DemoLists;
import smorgas.core.source.Source;

/** Services that only stand in: the same answers always, of thousands of phrases that are no echo of the demo's lists. */
class StandInsTest {

    private static List<String> suggest(Suggester source, String text, String language) throws Exception {
        return source.suggest(new Source.Query(text, language, ""));
    }

    @Test
    void whatIsSuggestedHoldsTheWordsInTheirOrderAndIsAlwaysTheSame() throws Exception {
        Suggester source = new Suggester("one", 0, StandIns.corpus(0));
        List<String> found = suggest(source, "bee hive", "en");
        assertThat(found).hasSize(10).doesNotHaveDuplicates().allMatch(text -> text.matches(".*\\bbee\\b.*\\bhive.*"));
        assertThat(suggest(new Suggester("one", 0, StandIns.corpus(0)), "bee hive", "en"))
                .isEqualTo(found);
        assertThat(suggest(source, "bee hive f", "en")).isNotEmpty().allMatch(text -> text.matches(".*hive .*\\bf.*"));
        assertThat(suggest(source, "c bee hive", "en")).allMatch(text -> text.matches(".*\\bc.*\\bbee\\b.*\\bhive.*"));
        assertThat(suggest(source, "bee hive", "de")).isEmpty();
        assertThat(suggest(source, "zzz", "en")).isEmpty();
    }

    @Test
    void itFailsNowAndThenAndAlwaysAtTheSame() throws Exception {
        Suggester source = new Suggester("one", 0, List.of("x"));
        List<String> once = new java.util.ArrayList<>();
        List<String> ever = new java.util.ArrayList<>();
        for (String query : IntStream.range(0, 4_000).mapToObj(n -> "q" + n).toList()) {
            try {
                suggest(source, query, "en");
            } catch (Source.Fault first) {
                try {
                    suggest(source, query, "en");
                    once.add(query);
                } catch (Source.Fault again) {
                    ever.add(query);
                }
            }
        }
        assertThat(once).hasSizeBetween(20, 400);
        assertThat(ever).hasSizeBetween(1, 40);
        assertThatThrownBy(() -> suggest(new Suggester("one", 0, List.of("x")), ever.getFirst(), "en"))
                .isInstanceOf(Source.Fault.class);
    }

    @Test
    void theirPhrasesAreThousandsAndMostAreInNoListOfTheDemo() {
        List<String> one = StandIns.corpus(0);
        List<String> other = StandIns.corpus(1);
        assertThat(one).hasSizeGreaterThan(5_000).doesNotHaveDuplicates();
        assertThat(other).isNotEqualTo(one).containsAnyElementsOf(one);
        String demo = DemoLists.make().values().stream()
                .map(list -> new String(list, StandardCharsets.UTF_8))
                .reduce("", String::concat);
        assertThat(one.stream().filter(demo::contains).count()).isLessThan(one.size() / 10);
    }

    @Test
    void thePagesOfInventedRivalsAreThere() {
        Sites sites = new Sites();
        assertThat(sites.addresses()).hasSize(4).allMatch(address -> address.matches("https://[a-z]+\\.example/.*"));
        sites.addresses()
                .forEach(address -> assertThat(new String(sites.page(address).orElseThrow(), StandardCharsets.UTF_8))
                        .contains("<title>"));
        assertThat(sites.page("https://elsewhere.example/")).isEmpty();
    }
}
