package smorgas.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Agreement;
import smorgas.core.group.read.Changes;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.NetOfWords;
import smorgas.core.group.read.Prospects;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Pass;

/** What is read off groups: the net of words, what changed, what else there could be. */
class LookedAtTest {

    private static final Offset<Double> HAIR = within(.0001);
    private static final Keywords KEYWORDS = Planted.make(40, 12, 5).fold();
    private static final Groups GROUPS = groups(3);

    private static Groups groups(int smallest) {
        return groups(KEYWORDS, smallest);
    }

    private static Groups groups(Keywords keywords, int smallest) {
        java.util.BitSet all = new java.util.BitSet();
        all.set(0, keywords.size());
        Grouping grouping = Grouper.group(
                GroupingInput.of(keywords.folded(), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                Rules.NEWEST.settings().byThemes("en").withPasses(new Pass(smallest, 0, 0, 1, 5, true, 0)));
        return new Groups(grouping, keywords, keywords.figure(Figure.SEARCHES), java.util.Map.of());
    }

    @Test
    void changesCountWhatCameWentAndMoved() {
        Changes none = Changes.between(GROUPS, groups(3));
        assertThat(none.moved()).isZero();
        assertThat(none.same()).isEqualTo(GROUPS.grouping().size());
        assertThat(none.flows()).isEmpty();

        // Some become ungrouped.
        assertThat(Changes.between(GROUPS, groups(200)).flows()).anyMatch(flow -> flow.to() == Grouping.UNGROUPED);
        Groups larger = groups(14);
        Agreement agreement = Agreement.of(GROUPS.grouping(), larger.grouping());
        assertThat(agreement.adjustedRand()).isBetween(.1, .99);
        assertThat(Agreement.of(larger.grouping(), GROUPS.grouping()).adjustedRand())
                .isCloseTo(agreement.adjustedRand(), HAIR);
        assertThat(Agreement.of(GROUPS.grouping(), GROUPS.grouping()).adjustedRand())
                .isCloseTo(1, HAIR);
        Changes changes = Changes.between(GROUPS, larger);
        assertThat(changes.gone()).isNotEmpty();
        assertThat(changes.fresh().size() + changes.changed() + changes.same())
                .isEqualTo(larger.grouping().size());
        assertThat(changes.gone().size() + changes.changed() + changes.same())
                .isEqualTo(GROUPS.grouping().size());
        int moved = 0;
        for (int keyword = 0; keyword < KEYWORDS.size(); keyword++) {
            moved += key(GROUPS, keyword).equals(key(larger, keyword)) ? 0 : 1;
        }
        assertThat(changes.moved()).isEqualTo(moved);
        assertThat(changes.flows().stream().mapToInt(Changes.Flow::keywords).sum())
                .isEqualTo(moved);
        Changes back = Changes.between(larger, GROUPS);
        assertThat(back.moved()).isEqualTo(moved);
        assertThat(back.fresh()).isEqualTo(changes.gone());
    }

    private static String key(Groups groups, int keyword) {
        int group = groups.grouping().groupOf(keyword);
        return group < 0 ? "" : groups.grouping().key(group);
    }

    @Test
    void aProspectTellsWhatItWouldGetAndAMadeThemeGetsJustThat() {
        Prospects prospects = GROUPS.prospects();
        List<Prospects.Prospect> all = prospects.find("", 10_000);
        assertThat(all).hasSize(prospects.size()).isNotEmpty();
        assertThat(all).noneMatch(prospect -> GROUPS.find(prospect.theme()) >= 0);
        for (Prospects.Prospect prospect : all.subList(0, Math.min(20, all.size()))) {
            Prospects.Got got = prospects.get(prospect.theme()).orElseThrow();
            assertThat(got.keywords()).hasSize(prospect.keywords());
            assertThat(got.sources().stream()
                            .mapToInt(Prospects.Source::keywords)
                            .sum())
                    .isEqualTo(prospect.keywords());
            String[] words = prospect.theme().split(" ");
            assertThat(IntStream.of(got.keywords()).boxed()).allSatisfy(keyword -> assertThat(
                            IntStream.of(KEYWORDS.folded().rows().row(keyword)).mapToObj(KEYWORDS.folded()::text))
                    .contains(words));
        }
        String first = all.getFirst().theme().split(" ")[0];
        assertThat(prospects.find(first, 100))
                .allMatch(prospect ->
                        Arrays.stream(prospect.theme().split(" ")).anyMatch(word -> word.startsWith(first)));
        assertThat(prospects.get("no such words")).isEmpty();
    }

    @Test
    void breakingDownDividesTheMembersByFurtherWords() {
        int largest = IntStream.range(0, GROUPS.grouping().size())
                .boxed()
                .max(java.util.Comparator.comparingInt(GROUPS::keywords))
                .orElseThrow();
        List<Prospects.FurtherWord> parts = GROUPS.prospects().within(largest);
        assertThat(parts).isNotEmpty();
        List<String> theme = GROUPS.grouping().theme(largest);
        assertThat(parts).allSatisfy(part -> {
            assertThat(part.theme().split(" ")).containsAll(theme).hasSizeGreaterThan(theme.size());
            assertThat(part.keywords()).isBetween(2, GROUPS.keywords(largest));
        });
        assertThat(parts.stream().mapToInt(Prospects.FurtherWord::keywords).sum())
                .isLessThanOrEqualTo(GROUPS.keywords(largest));
        // Any number of levels: a part is a prospect itself.
        assertThat(GROUPS.prospects().get(parts.getFirst().theme())).isPresent();
    }

    @Test
    void theNetShowsTheCommonestWordsAndWhichAreTogether() {
        NetOfWords net = NetOfWords.of(GROUPS, 12, 20);
        assertThat(net.words()).hasSize(12);
        assertThat(net.words()).isSortedAccordingTo((a, b) -> b.keywords() - a.keywords());
        for (NetOfWords.Link link : net.links()) {
            String one = net.words().get(link.one()).text();
            String other = net.words().get(link.other()).text();
            long both = IntStream.range(0, KEYWORDS.size())
                    .filter(k -> IntStream.of(KEYWORDS.folded().rows().row(k))
                            .mapToObj(KEYWORDS.folded()::text)
                            .toList()
                            .containsAll(List.of(one, other)))
                    .count();
            assertThat((long) link.keywords()).isEqualTo(both);
        }
        assertThat(NetOfWords.of(GROUPS, 12, 20)).isEqualTo(net);
        assertThat(Board.of(List.of(), smorgas.core.recipe.Recipe.empty("en"))
                        .groups()
                        .prospects()
                        .find("", 10))
                .isEmpty();
    }
}
