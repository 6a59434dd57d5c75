package smorgas.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.column.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Treemap.Rect;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Pass;

/** What the workbench of Group looks at: the map, the net of words, what changed, what else there could be. */
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
                Grouper.Input.of(keywords.folded(), all, "en"),
                GroupSettings.standard("en").withPasses(new Pass(smallest, 0, 0, 1, 5, true, 0)));
        return new Groups(grouping, keywords, keywords.figure(Figure.SEARCHES), java.util.Map.of());
    }

    /** Bruls, Huizing and van Wijk (2000): areas 6, 6, 4, 3, 2, 2, 1 in a rectangle of 6 by 4, their figure 5. */
    @Test
    void theWorkedExampleOfSquarifying() {
        List<Rect> places = Treemap.squarify(new double[] {6, 6, 4, 3, 2, 2, 1}, new Rect(0, 0, 6, 4));
        double[][] corners = {
            {0, 0, 3, 2},
            {0, 2, 3, 4},
            {3, 0, 4.7143, 2.3333},
            {4.7143, 0, 6, 2.3333},
            {3, 2.3333, 4.2, 4},
            {4.2, 2.3333, 5.4, 4},
            {5.4, 2.3333, 6, 4}
        };
        for (int i = 0; i < corners.length; i++) {
            Rect place = places.get(i);
            assertThat(place.x()).isCloseTo(corners[i][0], HAIR);
            assertThat(place.y()).isCloseTo(corners[i][1], HAIR);
            assertThat(place.x() + place.width()).isCloseTo(corners[i][2], HAIR);
            assertThat(place.y() + place.height()).isCloseTo(corners[i][3], HAIR);
        }
        assertThat(Treemap.squarify(new double[] {}, new Rect(0, 0, 6, 4))).isEmpty();
        assertThat(Treemap.squarify(new double[] {0, 0}, new Rect(0, 0, 6, 4))).hasSize(2);
    }

    @Test
    void everyGroupHasAnAreaOfItsShareAndLiesWithinItsBroaderTheme() {
        List<GroupMap.Area> areas = GroupMap.of(GROUPS, -1, false, 800, 400);
        assertThat(areas.stream().filter(area -> area.group() >= 0).map(GroupMap.Area::group))
                .containsExactlyInAnyOrderElementsOf(
                        IntStream.range(0, GROUPS.grouping().size()).boxed().toList());
        assertThat(areas.stream().filter(GroupMap.Area::leftovers)).hasSize(1);
        for (GroupMap.Area area : areas) {
            Rect in = area.place();
            int parent = area.node() < 0 ? -1 : GROUPS.tree().node(area.node()).parent();
            Rect around = areas.stream()
                    .filter(other -> other.group() < 0 && !other.leftovers() && other.node() == parent)
                    .map(GroupMap.Area::place)
                    .findFirst()
                    .orElse(new Rect(0, 0, 800, 400));
            assertThat(in.x()).isGreaterThanOrEqualTo(around.x() - 1e-6);
            assertThat(in.y()).isGreaterThanOrEqualTo(around.y() - 1e-6);
            assertThat(in.x() + in.width()).isLessThanOrEqualTo(around.x() + around.width() + 1e-6);
            assertThat(in.y() + in.height()).isLessThanOrEqualTo(around.y() + around.height() + 1e-6);
        }
        // At the top nothing is lost to bands and gaps.
        double top = areas.stream()
                .filter(area ->
                        area.leftovers() || GROUPS.tree().node(area.node()).parent() < 0)
                .filter(area ->
                        area.group() < 0 || GROUPS.tree().under(area.node()).isEmpty())
                .mapToDouble(area -> area.place().width() * area.place().height())
                .sum();
        assertThat(top).isCloseTo(800 * 400, within(1.0));
        int node = GROUPS.tree().under(-1).getFirst();
        assertThat(GroupMap.of(GROUPS, node, true, 800, 400)).isNotEmpty().noneMatch(GroupMap.Area::leftovers);
    }

    @Test
    void ofVeryManyGroupsTheMapShowsTheLargestAndTheOthersTogether() {
        Groups groups = groups(Planted.make(3_000, 4, 5).fold(), 3);
        assertThat(groups.grouping().size()).isGreaterThan(2_000);
        List<GroupMap.Area> areas = GroupMap.of(groups, -1, true, 800, 400);
        assertThat(areas).hasSizeBetween(600, GroupMap.MOST_AREAS);
        assertThat(areas.stream()
                        .filter(area -> area.node() < 0
                                || groups.tree().node(area.node()).parent() < 0)
                        .mapToDouble(area -> area.place().width() * area.place().height())
                        .sum())
                .isCloseTo(800 * 400, within(1.0));
    }

    @Test
    void changesCountWhatCameWentAndMoved() {
        Changes none = Changes.between(GROUPS, groups(3));
        assertThat(none.moved()).isZero();
        assertThat(none.same()).isEqualTo(GROUPS.grouping().size());
        assertThat(none.flows()).isEmpty();

        // Some become leftovers.
        assertThat(Changes.between(GROUPS, groups(200)).flows()).anyMatch(flow -> flow.to() == Grouping.LEFTOVER);
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
        NetOfWords net = NetOfWords.of(GROUPS, 12, 20, 600, 400);
        assertThat(net.words()).hasSize(12);
        assertThat(net.words()).isSortedAccordingTo((a, b) -> b.keywords() - a.keywords());
        assertThat(net.words()).allSatisfy(word -> {
            assertThat(word.x()).isBetween(0.0, 600.0);
            assertThat(word.y()).isBetween(0.0, 400.0);
        });
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
        assertThat(NetOfWords.of(GROUPS, 12, 20, 600, 400)).isEqualTo(net);
        assertThat(Board.of(List.of(), smorgas.core.recipe.Recipe.empty("en"))
                        .groups()
                        .prospects()
                        .find("", 10))
                .isEmpty();
    }
}
