package smorgas.app.web.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.draw.AreaSize;
import smorgas.core.draw.GroupMap;
import smorgas.core.draw.Treemap;
import smorgas.core.draw.Treemap.Rect;
import smorgas.core.gather.BasketReader;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.NetOfWords;
import smorgas.core.recipe.Recipe;

/** Where the areas of the map and the words of the net are put. */
class LayoutsTest {

    private static final Offset<Double> HAIR = within(.0001);
    private static final Groups GROUPS = groups(40, 5, 6);

    /** So many things of so many kinds, each with so many keywords. */
    private static Groups groups(int things, int kinds, int each) {
        StringBuilder list = new StringBuilder("keyword,searches\n");
        for (int thing = 0; thing < things; thing++) {
            for (int i = 0; i < each; i++) {
                list.append(String.format(
                        "kind%dk thing%dx extra%dy,%d%n", thing % kinds, thing, thing * each + i, thing * 10));
            }
        }
        byte[] bytes = (list + "alone,5\n").getBytes(StandardCharsets.UTF_8);
        return Board.of(List.of(BasketReader.lines(1, "l", bytes).lines().orElseThrow()), Recipe.empty("en"))
                .groups();
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
        List<GroupMap.Area> areas = GroupMap.of(GROUPS, -1, AreaSize.byKeywords(GROUPS), 800, 400);
        assertThat(areas.stream().filter(area -> area.group() >= 0).map(GroupMap.Area::group))
                .containsExactlyInAnyOrderElementsOf(
                        IntStream.range(0, GROUPS.grouping().size()).boxed().toList());
        assertThat(areas.stream().filter(GroupMap.Area::ungrouped)).hasSize(1);
        for (GroupMap.Area area : areas) {
            Rect in = area.place();
            int parent = area.node() < 0 ? -1 : GROUPS.tree().node(area.node()).parent();
            Rect around = areas.stream()
                    .filter(other -> other.group() < 0 && !other.ungrouped() && other.node() == parent)
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
                        area.ungrouped() || GROUPS.tree().node(area.node()).parent() < 0)
                .filter(area ->
                        area.group() < 0 || GROUPS.tree().under(area.node()).isEmpty())
                .mapToDouble(area -> area.place().width() * area.place().height())
                .sum();
        assertThat(top).isCloseTo(800 * 400, within(1.0));
        int node = GROUPS.tree().under(-1).getFirst();
        assertThat(GroupMap.of(GROUPS, node, AreaSize.bySearches(GROUPS), 800, 400))
                .isNotEmpty()
                .noneMatch(GroupMap.Area::ungrouped);
    }

    @Test
    void ofVeryManyGroupsTheMapShowsTheLargestAndTheOthersTogether() {
        Groups groups = groups(2_500, 2_500, 4);
        assertThat(groups.grouping().size()).isGreaterThan(GroupMap.MOST_AREAS);
        List<GroupMap.Area> areas = GroupMap.of(groups, -1, AreaSize.bySearches(groups), 800, 400);
        assertThat(areas).hasSizeBetween(600, GroupMap.MOST_AREAS);
        assertThat(areas.stream()
                        .filter(area -> area.node() < 0
                                || groups.tree().node(area.node()).parent() < 0)
                        .mapToDouble(area -> area.place().width() * area.place().height())
                        .sum())
                .isCloseTo(800 * 400, within(1.0));
    }

    @Test
    void theNetLiesWithinItsPictureAndAlwaysComesOutTheSame() {
        NetOfWords net = NetOfWords.of(GROUPS, 12, 20);
        double[][] at = Springs.lay(net.words().size(), net.links(), 600, 400);
        assertThat(at).hasDimensions(12, 2);
        assertThat(List.of(at)).allSatisfy(place -> {
            assertThat(place[0]).isBetween(0.0, 600.0);
            assertThat(place[1]).isBetween(0.0, 400.0);
        });
        assertThat(Springs.lay(net.words().size(), net.links(), 600, 400)).isDeepEqualTo(at);
    }
}
