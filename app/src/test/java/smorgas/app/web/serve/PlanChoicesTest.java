package smorgas.app.web.serve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.util.UriComponentsBuilder;
import smorgas.core.figure.Decimals;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.serve.PlanStructure;
import smorgas.core.text.Refusal;

/** What the form of Serve asks for. */
class PlanChoicesTest {

    private static final PlanSettings ADOPTED = new PlanSettings(
            new PlanStructure(2, true, false),
            new PlanCampaigns(PlanCampaigns.By.THEME, 2),
            new PlanGroups(true, true, 3, PlanGroups.Small.INTO_RELATED, true),
            EnumSet.of(MatchType.BROAD),
            new PlanNames("C {part}", "a {theme}", "p ", "", PlanNames.Letters.SMALL, 60, true, "2026"),
            new PlanBids(PlanBids.From.CPC, 0, 80, 10_000, 2_000_000),
            new PlanPages(false, true, "https://shop.example/{theme}"));

    private static MultiValueMap<String, String> fields(String query) {
        MultiValueMap<String, String> fields = new LinkedMultiValueMap<>();
        UriComponentsBuilder.fromUriString("/?" + query)
                .build()
                .getQueryParams()
                .forEach((name, values) -> values.forEach(value -> fields.add(name, value == null ? "" : value)));
        return fields;
    }

    private static PlanSettings read(String query) {
        return PlanChoices.read(fields(query), ADOPTED, Decimals.POINT);
    }

    @Test
    void whatIsNotAskedStaysAsItIs() {
        assertThat(read("")).isEqualTo(ADOPTED);
        assertThat(read("campaign=D&keptOnly=false").names().campaign()).isEqualTo("D");
        assertThat(read("keptOnly=false").groups().keptOnly()).isFalse();
        assertThat(read("keptOnly=false").groups().ungrouped()).isTrue();
    }

    @Test
    void ofTheWholeFormATickThatIsMissingWasTakenAway() {
        PlanSettings read =
                read("choices=1&matchTypes=EXACT&matchTypes=PHRASE&campaignsBy=INTENT&depth=0&bidFrom=NOTHING");
        assertThat(read.structure()).isEqualTo(new PlanStructure(0, false, false));
        assertThat(read.campaigns()).isEqualTo(PlanCampaigns.by(PlanCampaigns.By.INTENT));
        assertThat(read.groups()).isEqualTo(new PlanGroups(true, false, 3, PlanGroups.Small.INTO_RELATED, false));
        assertThat(read.matchTypes()).isEqualTo(Set.of(MatchType.PHRASE, MatchType.EXACT));
        assertThat(read.pages()).isEqualTo(new PlanPages(false, false, "https://shop.example/{theme}"));
        assertThat(read.bids().from()).isEqualTo(PlanBids.From.NOTHING);
    }

    /** Money as people of a language write it. */
    @ParameterizedTest
    @CsvSource({
        "POINT, 0.75, 750000",
        "COMMA, '0,75', 750000",
        "COMMA, '1.000', 1000000000",
        "POINT, '1,000', 1000000000",
        "POINT, '', 0",
    })
    void bidsAreReadAsTheyAreWrittenThere(Decimals decimals, String written, long micros) {
        MultiValueMap<String, String> fields = new LinkedMultiValueMap<>();
        fields.add("bid", written);
        assertThat(PlanChoices.read(fields, ADOPTED, decimals).bids()).isEqualTo(PlanBids.fixed(micros));
        fields.add("bidFrom", "HIGH_BID");
        fields.add("step", written);
        assertThat(PlanChoices.read(fields, ADOPTED, decimals).bids())
                .isEqualTo(new PlanBids(PlanBids.From.HIGH_BID, 0, 80, micros, 2_000_000));
    }

    @ParameterizedTest
    @CsvSource({
        "'bid=much', no bid",
        "'bidFrom=FIXED&bid=', Say which bid",
        "'depth=deep', no whole number",
        "'depth=9', The depth is 0 to",
        "'campaignsBy=COLOUR', There is no choice",
        "'campaignsBy=THEME&campaignDepth=7', 1 to",
        "'matchTypes=NEAR', There is no choice",
        "'choices=1', at least one match type",
        "'longest=5', 10 to 255",
        "'pagePattern=shop', no address",
        "'pattern=ads', needs {theme}",
        "'smallest=0', 1 to 100",
        "'percent=0', 1 to 100",
    })
    void whatCannotBeMeantIsRefusedWithASentence(String query, String sentence) {
        assertThatThrownBy(() -> read(query)).isInstanceOf(Refusal.class).hasMessageContaining(sentence);
    }
}
