package smorgas.app.web.sift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import smorgas.app.store.Json;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Status;
import smorgas.core.sift.WordCounts;

/** What the table shows is in its URL, and comes back from it. */
class SiftQueryTest {

    private static final Condition AMONG = new Condition.InExactly(new TreeSet<>(List.of("a,b", "c\"d")));

    private static final SiftQuery EVERYTHING = SiftQuery.of(Map.of(
            "q",
            "a&b=c \u00FC\"<",
            "word",
            "Hive",
            "basket",
            "my list.csv",
            "status",
            "kept",
            "least",
            "500",
            "where",
            Json.text(AMONG),
            "sort",
            "-cpc,keyword",
            "page",
            "3",
            "wn",
            "2-3"));

    private static SiftQuery parsed(String url) {
        return SiftQuery.of(
                url.length() < 2
                        ? Map.of()
                        : Stream.of(url.substring(1).split("&"))
                                .map(pair -> pair.split("=", 2))
                                .collect(Collectors.toMap(
                                        pair -> pair[0], pair -> URLDecoder.decode(pair[1], StandardCharsets.UTF_8))));
    }

    @Test
    void theUrlHoldsAllOfIt() {
        assertThat(parsed(EVERYTHING.url()).fields()).isEqualTo(EVERYTHING.fields());
        assertThat(parsed(EVERYTHING.url()).condition()).isEqualTo(EVERYTHING.condition());
        assertThat(parsed(EVERYTHING.url()).page()).isEqualTo(3);
        assertThat(EVERYTHING.url()).doesNotContain("\"", "<", " ");
    }

    @Test
    void eachPieceCanBeTakenAwayAndTheOthersStay() {
        assertThat(EVERYTHING.removable())
                .extracting(SiftQuery.Part::words)
                .map(Object::toString)
                .containsExactly(
                        "\"a&b=c \u00FC\"<\" anywhere",
                        "with hive",
                        "in my list.csv",
                        "500 searches and more",
                        "exactly in the baskets \"a,b\", \"c\"d\"",
                        "Kept");
        for (SiftQuery.Part part : EVERYTHING.removable()) {
            SiftQuery without = parsed(part.urlWithout());
            assertThat(without.removable()).hasSize(5).noneMatch(other -> other.words()
                    .equals(part.words()));
            assertThat(without.page()).isEqualTo(1);
            assertThat(without.sorts().getFirst().name()).isEqualTo("cpc");
        }
    }

    @Test
    void aRuleNeverAsksForAStatus() {
        assertThat(EVERYTHING.condition().asksForStatus()).isTrue();
        assertThat(EVERYTHING.ruleCondition())
                .isEqualTo(new Condition.AllOf(List.of(
                        new Condition.HasText("a&b=c \u00FC\"<"),
                        new Condition.HasWord("hive"),
                        new Condition.InBasket("my list.csv"),
                        Condition.searchesFrom(500),
                        AMONG)));
    }

    @Test
    void aColumnIsSortedFallingFirstAndWhatWasSortedByBeforePartsEquals() {
        SiftQuery query = SiftQuery.of(Map.of("page", "4"));
        SiftQuery byCpc = parsed(query.urlSorted("cpc"));
        assertThat(byCpc.value("sort")).isEqualTo("-cpc,-searches");
        assertThat(byCpc.page()).isEqualTo(1);
        // From A on, and from the first place on; the same again turns it.
        assertThat(parsed(byCpc.urlSorted("keyword")).value("sort")).isEqualTo("keyword,-cpc,-searches");
        assertThat(parsed(byCpc.urlSorted("cpc")).value("sort")).isEqualTo("cpc,-searches");
        assertThat(parsed(query.urlOfPage(9)).page()).isEqualTo(9);
    }

    @Test
    void whatCannotBeAskedIsNotAskedButABrokenConditionIsRefused() {
        Map<String, String> odd = new HashMap<>(Map.of(
                "q", "  ", "status", "maybe", "least", "-4", "sort", "drop table,-", "wn", "7", "page", "99999999999"));
        odd.put("upto", "1000000");
        SiftQuery query = SiftQuery.of(odd);
        assertThat(query.condition()).isEqualTo(new Condition.AllOf(List.of()));
        assertThat(query.sorts()).containsExactly(new SiftQuery.Sort("searches", true));
        assertThat(query.words())
                .isEqualTo(new WordCounts.Asked(
                        1, 1, WordCounts.By.COUNT, "", WordCounts.Little.NOT_AT_EDGES, false, 120));
        assertThat(query.upto() - query.page()).isBetween(0, SiftTable.MOST_PAGES - 1);
        assertThat(SiftQuery.of(Map.of("status", "DROPPED")).status()).contains(Status.DROPPED);
        SiftQuery broken = SiftQuery.of(Map.of("where", "{\"is\":\"nonsense\"}"));
        assertThatThrownBy(broken::condition).isInstanceOf(IllegalArgumentException.class);
    }
}
