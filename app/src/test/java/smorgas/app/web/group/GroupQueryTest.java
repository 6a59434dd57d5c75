package smorgas.app.web.group;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.util.UriComponentsBuilder;

/** The address of the Group page: what is standard is left out, what is hostile comes back as it was. */
class GroupQueryTest {

    private static GroupQuery query(String dials, String... namesAndValues) {
        MultiValueMap<String, String> parameters = new LinkedMultiValueMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            parameters.add(namesAndValues[i], namesAndValues[i + 1]);
        }
        return GroupQuery.of(parameters, dials);
    }

    @Test
    void theStandardIsLeftOutAndOthersStay() {
        GroupQuery query = query("", "view", "map", "tint", "bid", "smallest", "4", "q", "  ");
        assertThat(query.with()).isEqualTo("?tint=bid&");
        assertThat(query.value("view")).isEqualTo("map");
        assertThat(query.value("tint")).isEqualTo("bid");
        assertThat(query.with("tint", "tightness")).isEqualTo("?");
        assertThat(query.but("tint")).isEmpty();
    }

    @Test
    void aPreviewStaysOneInEveryLink() {
        GroupQuery query = query("dials=1&smallest=4&", "view", "list");
        assertThat(query.with("sort", "name")).isEqualTo("?dials=1&smallest=4&view=list&sort=name&");
        assertThat(query.left()).isEqualTo("?dials=1&smallest=4&view=list&ungrouped=true&");
    }

    @Test
    void whatIsOpenedTakesThePlaceOfWhatWas() {
        GroupQuery query = query("", "candidate", "oak", "parts", "true", "page", "3");
        assertThat(query.opening("hive lid")).isEqualTo("?group=hive+lid&");
        assertThat(query("", "group", "hive", "ungrouped", "true").asking("oak hive"))
                .isEqualTo("?candidate=oak+hive&");
        assertThat(query.left()).isEqualTo("?ungrouped=true&");
    }

    @Test
    void whateverANameHoldsComesBackAsItWas() {
        for (String hostile :
                new String[] {"a&group=b", "\"><script>", "50% + 1", "w\u00F6rd \uD83D\uDC1D", "{x}#?=&"}) {
            String url = query("").opening(hostile);
            String value = UriComponentsBuilder.fromUriString("http://x/" + url)
                    .build(true)
                    .getQueryParams()
                    .getFirst("group");
            assertThat(java.net.URLDecoder.decode(value, java.nio.charset.StandardCharsets.UTF_8))
                    .isEqualTo(hostile);
            assertThat(url).doesNotContain("<", "\"", "{");
        }
    }
}
