package smorgas.app.web.serve;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.serve.Plan;
import smorgas.core.serve.PlanCount;
import smorgas.core.text.Message;

/** The plan page by page. */
class PlanTreeTest {

    private static Plan.AdGroup adGroup(String name, long bid, long... ofKeywords) {
        List<Plan.Exported> keywords = IntStream.range(0, ofKeywords.length)
                .mapToObj(i -> new Plan.Exported(name + " " + i, Set.of(MatchType.EXACT), ofKeywords[i]))
                .toList();
        List<Plan.Negative> negatives = List.of(new Plan.Negative("free", MatchType.PHRASE));
        return new Plan.AdGroup(name, List.of(name + " key"), bid, keywords, Optional.empty(), List.of(), negatives);
    }

    private static Plan plan(int first, int second) {
        List<Plan.Campaign> campaigns = new ArrayList<>();
        int number = 0;
        for (int count : new int[] {first, second}) {
            List<Plan.AdGroup> groups = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                groups.add(adGroup("g" + number++, 450_000, 0, 0));
            }
            campaigns.add(new Plan.Campaign("TAG:" + campaigns.size(), "c" + campaigns.size(), groups, List.of()));
        }
        return new Plan(campaigns, new PlanCount(2, number, 2 * number, 2L * number), List.of(), List.of(), List.of());
    }

    @Test
    void aPageHasTheCampaignsOfItsAdGroupsAndLeadsOn() {
        PlanTree first = PlanTree.of(plan(60, 70), 0, 0, Map.of());
        assertThat(first.lines()).hasSize(102);
        assertThat(first.lines().getFirst().number()).isEqualTo(-1);
        assertThat(first.lines().get(61).name()).isEqualTo("c1");
        assertThat(List.of(first.before(), first.after())).containsExactly(-1, 100);
        assertThat(first.shown()).hasToString("1 to 100 of 130");
        PlanTree second = PlanTree.of(plan(60, 70), 105, 100, Map.of());
        assertThat(second.lines().stream().map(PlanTree.Line::name))
                .startsWith("c1", "g100")
                .hasSize(31);
        assertThat(List.of(second.before(), second.after())).containsExactly(0, -1);
        assertThat(second.opened()).singleElement().satisfies(opened -> {
            assertThat(opened.name()).isEqualTo("g105");
            assertThat(opened.negatives()).map(Object::toString).containsExactly("free, phrase");
        });
        PlanTree few = PlanTree.of(plan(1, 0), 9, 0, Map.of());
        assertThat(few.opened()).as("there is no tenth").isEmpty();
        assertThat(few.shown()).isEqualTo(Message.NONE);
    }

    @Test
    void bidsOfKeywordsAreToldAsARangeAndWhatAHandSaidStandsInItsFields() {
        Plan plan = new Plan(
                List.of(new Plan.Campaign(
                        "ONE:",
                        "c",
                        List.of(
                                adGroup("range", 0, 200_000, 350_000),
                                adGroup("one", 0, 200_000),
                                adGroup("own", 700_000, 0)),
                        List.of())),
                new PlanCount(1, 3, 4, 4),
                List.of(),
                List.of(),
                List.of());
        PlanTree tree = PlanTree.of(plan, 2, 0, Map.of("own key", new Serving.Own(700_000, "https://shop.example/x")));
        assertThat(tree.lines().stream().map(PlanTree.Line::bid)).containsExactly("", "0.20\u20130.35", "0.20", "0.70");
        assertThat(tree.opened().getFirst().own()).isEqualTo("0.70");
        assertThat(tree.opened().getFirst().ownPage()).isEqualTo("https://shop.example/x");
        assertThat(tree.opened().getFirst().keywords().getFirst().types()).hasToString("exact");
    }
}
