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

    /** Beside a look through all phrases by a pattern that was written apart; queries with few answers show all of them. */
    @Test
    void nothingThatFitsIsOverlooked() throws Exception {
        List<String> corpus = StandIns.corpus(0);
        Suggester source = new Suggester("one", 0, corpus);
        java.util.Random random = new java.util.Random(4);
        int compared = 0;
        for (int draw = 0; draw < 400; draw++) {
            String[] words = corpus.get(random.nextInt(corpus.size())).split(" ");
            int from = random.nextInt(words.length);
            String first = random.nextInt(4) == 0 ? words[from].substring(0, 1) : words[from];
            String query = from + 1 < words.length ? first + " " + words[words.length - 1].substring(0, 1) : first;
            java.util.regex.Pattern fits = java.util.regex.Pattern.compile(
                    from + 1 < words.length
                            ? "(.* )?" + first + (first.length() == 1 ? "\\S*" : "") + "( .*)? "
                                    + words[words.length - 1].substring(0, 1) + ".*"
                            : "(.* )?" + first + ".*");
            List<String> all = corpus.stream()
                    .filter(phrase -> fits.matcher(phrase).matches())
                    .toList();
            List<String> found;
            try {
                found = suggest(source, query, "en");
            } catch (Source.Fault busy) {
                continue;
            }
            assertThat(found).as(query).hasSize(Math.min(10, all.size()));
            assertThat(all).as(query).containsAll(found);
            compared++;
        }
        assertThat(compared).isGreaterThan(300);
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
