package smorgas.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.board.Board;
import smorgas.core.board.TableGroups;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.GroupsByHand;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.serve.Plan;

/** What a hand does to groups, whatever the dials say. */
class HandsTest {

    private static final Lines LIST = list();

    private static Lines list() {
        StringBuilder list = new StringBuilder("keyword,searches\n");
        for (String thing : List.of("oak hive stand", "pine hive stand", "hive lid", "smoker", "honey jar")) {
            for (String dress : List.of("red", "tall", "price", "shop", "old", "gift")) {
                list.append(thing).append(' ').append(dress).append(",100\n");
            }
        }
        return BasketReader.lines(
                        1, "list", list.append("nothing alike,5\n").toString().getBytes())
                .lines()
                .orElseThrow();
    }

    private static Board board(int smallest, Entry... entries) {
        List<Entry> all = new ArrayList<>(List.of(entries));
        all.add(new GroupEntry.GroupSettingsChosen(
                Rules.NEWEST.settings().byThemes("en").withPasses(new Pass(smallest, 0, 0, 1, 5, true, 0))));
        return Board.of(List.of(LIST), Recipe.of(all, "en"));
    }

    /** By key how many keywords each group has. */
    private static Map<String, Integer> sizes(Board board) {
        Map<String, Integer> sizes = new TreeMap<>();
        Grouping grouping = board.groups().grouping();
        for (int group = 0; group < grouping.size(); group++) {
            sizes.put(grouping.key(group), grouping.members().length(group));
        }
        return sizes;
    }

    private static String groupOf(Board board, String text) {
        int group =
                board.groups().grouping().groupOf(board.keywords().find(text).orElseThrow());
        return group < 0 ? "" : board.groups().grouping().key(group);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 6})
    void themesMadeTakeWhatHasTheirWordsTheLongerOnesFirst(int smallest) {
        Board board = board(smallest, new GroupDecision.ThemesMade(List.of("gift", "oak gift", "no such word"), true));
        assertThat(sizes(board)).containsEntry("gift", 4).containsEntry("oak gift", 1);
        Board removed = board(
                smallest,
                new GroupDecision.ThemesMade(List.of("gift"), true),
                new GroupDecision.ThemeRemoved("gift", true));
        assertThat(sizes(removed)).doesNotContainKey("gift");
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 6})
    void joinedGroupsAreOneUnderAnyDialAndApartAgain(int smallest) {
        Entry join = new GroupDecision.GroupsJoined(List.of("oak hive stand", "pine hive stand"), "hive lid");
        assertThat(sizes(board(smallest, join)))
                .containsEntry("hive lid", 18)
                .doesNotContainKeys("oak hive stand", "pine hive stand");
        // What others were joined into goes on into a third; no ring comes of it.
        Entry on = new GroupDecision.GroupsJoined(List.of("hive lid"), "smoker");
        Entry back = new GroupDecision.GroupsJoined(List.of("smoker"), "oak hive stand");
        assertThat(sizes(board(smallest, join, on))).containsEntry("smoker", 24);
        assertThat(sizes(board(smallest, join, on, back)))
                .containsEntry("oak hive stand", 24)
                .hasSize(2);
        assertThat(sizes(board(smallest, join, new GroupDecision.GroupsJoined(List.of("oak hive stand"), ""))))
                .containsEntry("hive lid", 12)
                .containsEntry("oak hive stand", 6);
        // What a hand has put into a group goes with it.
        Entry placed = new GroupDecision.KeywordsPlaced(List.of("smoker red"), List.of(), "by hand");
        assertThat(sizes(board(smallest, placed, new GroupDecision.GroupsJoined(List.of("by hand"), "hive lid"))))
                .containsEntry("hive lid", 7)
                .doesNotContainKey("by hand");
        assertThatThrownBy(() -> new GroupDecision.GroupsJoined(List.of("a"), "a"))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aSplitGroupIsDividedByItsOwnSettingsAndPartsCanBeJoined() {
        Entry join = new GroupDecision.GroupsJoined(List.of("oak hive stand", "pine hive stand", "hive lid"), "hive");
        Entry split = new GroupDecision.GroupSplit("hive", new SplitBy(6, new TreeSet<>(List.of("stand"))));
        assertThat(sizes(board(3, join, split)))
                .containsEntry("oak hive", 6)
                .containsEntry("pine hive", 6)
                .containsEntry("hive lid", 6)
                .doesNotContainKey("hive");
        assertThat(sizes(board(3, join, split, new GroupDecision.GroupSplit("hive", SplitBy.NOT))))
                .containsEntry("hive", 18);
    }

    @Test
    void aLockedGroupHasTheSameKeywordsUnderAnyDial() {
        Board before = board(3);
        int group = before.groups().find("oak hive stand");
        List<String> texts = java.util.Arrays.stream(
                        before.groups().grouping().members().row(group))
                .mapToObj(before.keywords()::text)
                .toList();
        Entry lock = new GroupDecision.GroupLocked("oak hive stand", texts, true);
        for (int smallest : new int[] {2, 3, 7, 13}) {
            assertThat(sizes(board(smallest, lock))).containsEntry("oak hive stand", 6);
        }
        assertThat(sizes(board(13))).doesNotContainKey("oak hive stand");
        assertThatThrownBy(() -> new GroupDecision.GroupLocked("smoker", List.of(), true))
                .hasMessageContaining("There is no group \"smoker\"");
        // What a hand places elsewhere goes, lock or not.
        Board placed = board(3, lock, new GroupDecision.KeywordsPlaced(List.of(texts.getFirst()), List.of(), "smoker"));
        assertThat(sizes(placed)).containsEntry("oak hive stand", 5).containsEntry("smoker", 7);
        assertThat(sizes(board(13, lock, new GroupDecision.GroupLocked("oak hive stand", List.of(), false))))
                .doesNotContainKey("oak hive stand");
    }

    @Test
    void aBarredKeywordIsNeverThereAndTheLaterDecisionHolds() {
        Entry bar = new GroupDecision.Membership(List.of("smoker red"), List.of(), "smoker", GroupDecision.Held.BARRED);
        assertThat(groupOf(board(3, bar), "smoker red")).isNotEqualTo("smoker");
        assertThat(groupOf(
                        board(
                                3,
                                bar,
                                new GroupDecision.Membership(
                                        List.of("smoker red"), List.of(), "smoker", GroupDecision.Held.ALLOWED)),
                        "smoker red"))
                .isEqualTo("smoker");
        Entry place = new GroupDecision.KeywordsPlaced(List.of("smoker red"), List.of(), "smoker");
        assertThat(groupOf(board(3, bar, place), "smoker red")).isEqualTo("smoker");
        assertThat(groupOf(board(3, place, bar), "smoker red")).isNotEqualTo("smoker");
        // Nor through a joining, a theme made by hand or a lock.
        assertThat(groupOf(
                        board(
                                3,
                                new GroupDecision.Membership(
                                        List.of("smoker red"), List.of(), "honey jar", GroupDecision.Held.BARRED),
                                new GroupDecision.GroupsJoined(List.of("smoker"), "honey jar")),
                        "smoker red"))
                .isEmpty();
        assertThat(groupOf(board(3, new GroupDecision.ThemesMade(List.of("smoker"), true), bar), "smoker red"))
                .isNotEqualTo("smoker");
        assertThat(groupOf(
                        board(3, new GroupDecision.GroupLocked("smoker", List.of("smoker red"), true), bar),
                        "smoker red"))
                .isNotEqualTo("smoker");
    }

    @Test
    void aKeywordIsAlsoInAnotherGroupOnPurposeAndExportedInBoth() {
        Board board = board(
                3,
                new GroupDecision.Membership(List.of("smoker gift"), List.of(), "honey jar", GroupDecision.Held.ALSO));
        assertThat(groupOf(board, "smoker gift")).isEqualTo("smoker");
        int jar = board.groups().find("honey jar");
        assertThat(board.groups().grouping().also().row(jar))
                .containsExactly(board.keywords().find("smoker gift").orElseThrow());
        assertThat(board.groups().keywords(jar)).isEqualTo(6);
        assertThat(board.plan()
                        .rows()
                        .filter(row -> row.keyword().equals("smoker gift"))
                        .map(Plan.Row::adGroup)
                        .distinct())
                .hasSize(2);
        assertThat(board.plan().notes())
                .anyMatch(note -> note.toString().startsWith("1 keyword is in more than one ad group"));
        Board barred = board(
                3,
                new GroupDecision.Membership(List.of("smoker gift"), List.of(), "honey jar", GroupDecision.Held.ALSO),
                new GroupDecision.Membership(
                        List.of("smoker gift"), List.of(), "honey jar", GroupDecision.Held.BARRED));
        assertThat(barred.groups().grouping().also().row(barred.groups().find("honey jar")))
                .isEmpty();
    }

    /** A keyword without a group of its own, put also into two, and a spelling that another hand had put into a third. */
    @Test
    void aKeywordKeptInOneGroupIsInNoOther() {
        Board board = board(
                3,
                new GroupDecision.KeywordsPlaced(List.of("smoker gift"), List.of(), ""),
                new GroupDecision.Membership(List.of("smoker gift"), List.of(), "honey jar", GroupDecision.Held.ALSO),
                new GroupDecision.Membership(List.of("smoker gift"), List.of(), "smoker", GroupDecision.Held.ALSO),
                new GroupDecision.Membership(List.of("smoker gift"), List.of(), "smoker", GroupDecision.Held.ALONE));
        assertThat(groupOf(board, "smoker gift")).isEqualTo("smoker");
        assertThat(board.recipe().grouping().decisions().alsoIn()).isEmpty();
        assertThat(board.plan()
                        .rows()
                        .filter(row -> row.keyword().equals("smoker gift"))
                        .map(Plan.Row::adGroup)
                        .distinct())
                .hasSize(1);
    }

    @Test
    void decisionsTellWhatTheyDidAndTwoOnOneThingAreSeen() {
        assertThat(new GroupDecision.ThemesMade(List.of("a", "b"), true).sentence())
                .hasToString("Made 2 themes groups");
        assertThat(new GroupDecision.GroupsJoined(List.of("a"), "b").sentence()).hasToString("Joined \"a\" into \"b\"");
        assertThat(new GroupDecision.Membership(List.of("a"), List.of(), "g", GroupDecision.Held.BARRED).sentence())
                .hasToString("Barred \"a\" from group \"g\"");
        assertThat(new GroupDecision.Membership(List.of("a", "b"), List.of(), "g", GroupDecision.Held.ALSO).sentence())
                .hasToString("Put 2 keywords also into group \"g\"");
        assertThat(new GroupDecision.GroupSplit("g", new SplitBy(2, new TreeSet<>())).sentence())
                .hasToString("Split group \"g\" into groups of 2 and more");
        assertThat(new GroupDecision.ThemesMade(List.of("a"), true).touches())
                .isEqualTo(new GroupDecision.ThemeRemoved("a", true).touches());
        GroupsByHand decisions = Recipe.of(
                        List.of(new GroupEntry.AlternativeKept(
                                "tight", Rules.NEWEST.settings().byThemes("en"))),
                        "en")
                .grouping()
                .decisions();
        assertThat(decisions).isEqualTo(GroupsByHand.NONE);
        assertThatThrownBy(() -> new SplitBy(-1, new TreeSet<>())).isInstanceOf(IllegalArgumentException.class);
    }

    /** Next month's lists show the theme's words in another form, and the other way round. */
    @Test
    void whatAHandDecidedOfAGroupHoldsWhenItsThemeIsWrittenOtherwise() {
        StringBuilder later = new StringBuilder("keyword\n");
        for (String dress : List.of("red", "tall", "old", "new", "big", "low", "raw", "wet")) {
            later.append("stands for hives ").append(dress).append('\n');
            later.append("lids of smokers ").append(dress).append('\n');
        }
        Lines next = BasketReader.lines(1, "next", later.toString().getBytes())
                .lines()
                .orElseThrow();
        List<Entry> entries = new ArrayList<>(List.of(new GroupEntry.GroupSettingsChosen(
                Rules.NEWEST.settings().byThemes("en").withPasses(new Pass(6, 0, 0, 2, 5, true, 0)))));
        assertThat(sizes(Board.of(List.of(next), Recipe.of(entries, "en"))))
                .containsOnlyKeys("stands hives", "lids smokers");
        entries.add(new GroupDecision.GroupNamed("hive stand", "Our stands"));
        entries.add(new GroupDecision.GroupsJoined(List.of("smoker lid"), "hive stand"));
        entries.add(new GroupDecision.Membership(
                List.of("stands for hives wet"), List.of(), "hive stand", GroupDecision.Held.BARRED));
        Board board = Board.of(List.of(next), Recipe.of(entries, "en"));
        assertThat(sizes(board)).isEqualTo(Map.of("hive stand", 15));
        assertThat(board.groups().name(0)).isEqualTo("Our stands");
        assertThat(groupOf(board, "stands for hives wet")).isEmpty();
    }

    private static Board similarity(int place, Entry... entries) {
        List<Entry> all = new ArrayList<>(List.of(entries));
        all.add(new GroupEntry.GroupSettingsChosen(Rules.NEWEST
                .settings()
                .byThemes("en")
                .with(Rules.NEWEST.settings().similarity().at(place))));
        return Board.of(List.of(LIST), Recipe.of(all, "en"));
    }

    @Test
    void adoptedGroupsStayWhateverTheDialSaysAndWhatIsInNoneWaits() {
        Entry adopted = new GroupDecision.GroupsAsTheyAre(
                List.of(
                        new GroupDecision.GroupsAsTheyAre.Adopted(
                                "Hive Lids", List.of("hive lid red", "hive lid tall")),
                        new GroupDecision.GroupsAsTheyAre.Adopted(
                                "smoker", List.of("smoker red", "smoker tall", "hive lid red"))),
                List.of("honey jar old"));
        for (int place : new int[] {10, 50, 90}) {
            Board board = similarity(place, adopted);
            assertThat(sizes(board)).containsExactlyInAnyOrderEntriesOf(Map.of("hive lids", 2, "smoker", 2));
            assertThat(board.groups().name(board.groups().find("hive lids"))).isEqualTo("Hive Lids");
            assertThat(board.groups().grouping().ungrouped()).isEqualTo(27);
            assertThat(board.groups().grouping().since().cardinality()).isEqualTo(26);
            assertThat(board.groups()
                            .grouping()
                            .since()
                            .get(board.keywords().find("honey jar old").orElseThrow()))
                    .isFalse();
        }
        Board moved =
                similarity(50, adopted, new GroupDecision.KeywordsPlaced(List.of("hive lid red"), List.of(), "smoker"));
        assertThat(sizes(moved)).containsEntry("smoker", 3).containsEntry("hive lids", 1);
        assertThat(sizes(similarity(50, adopted, GroupDecision.GroupsAsTheyAre.NOT)))
                .isEqualTo(sizes(similarity(50)));
    }

    @Test
    void thePlanSaysWhereItsGroupsDoNotYetGoByWhatWasAskedFor() {
        Entry asked = new GroupEntry.GroupSettingsChosen(Rules.NEWEST
                .settings()
                .byThemes("en")
                .with(Rules.NEWEST.settings().similarity().with(true)));
        List<Entry> entries = new ArrayList<>(List.of(asked));
        assertThat(Board.of(List.of(LIST), Recipe.of(entries, "en")).plan().notes())
                .singleElement()
                .asString()
                .contains("words alone", "not known yet");
        MeaningVectors known = text -> new float[] {text.contains("hive") ? 1 : 0, text.contains("hive") ? 0 : 1};
        assertThat(Board.of(
                                List.of(LIST),
                                Recipe.of(entries, "en"),
                                known,
                                smorgas.core.group.engine.MemoryLimit.ENOUGH)
                        .plan()
                        .notes())
                .isEmpty();
        entries.add(new GroupDecision.GroupsAsTheyAre(
                List.of(new GroupDecision.GroupsAsTheyAre.Adopted("smoker", List.of("smoker red", "smoker tall"))),
                List.of()));
        assertThat(Board.of(List.of(LIST), Recipe.of(entries, "en")).plan().notes())
                .as("adopted groups wait for nothing")
                .isEmpty();
    }

    @Test
    void movingOneKeywordByHandChangesNoGroupOfOthers() {
        Board before = similarity(50);
        Grouping grouping = before.groups().grouping();
        int moved = grouping.members().get(0, 0);
        String text = before.keywords().text(moved);
        Board after = similarity(50, new GroupDecision.KeywordsPlaced(List.of(text), List.of(), "gifts"));
        Map<String, Integer> expected = sizes(before);
        String from = grouping.key(grouping.groupOf(moved));
        expected.merge(from, -1, Integer::sum);
        expected.put("gifts", 1);
        assertThat(sizes(after).values()).containsExactlyInAnyOrderElementsOf(expected.values());
    }

    @Test
    void aTableOfAdGroupsTellsWhatItWouldMean() {
        Lines table = BasketReader.lines(
                        2,
                        "sheet",
                        "keyword,ad group\nhive lid red,Lids\nhive lid tall,Lids\nhive lid red,Smokers\nsmoker red,Smokers\nunknown,Lids\nsmoker tall,-\n"
                                .getBytes())
                .lines()
                .orElseThrow();
        TableGroups found = TableGroups.of(similarity(50), table).orElseThrow();
        assertThat(found.groups())
                .containsExactly(
                        new GroupDecision.GroupsAsTheyAre.Adopted("Lids", List.of("hive lid red", "hive lid tall")),
                        new GroupDecision.GroupsAsTheyAre.Adopted("Smokers", List.of("smoker red")));
        assertThat(List.of(found.placed(), found.missing(), found.twice(), found.waiting()))
                .containsExactly(3, 1, 1, 28);
        Entry lids =
                new GroupDecision.KeywordsPlaced(List.of("hive lid red", "hive lid tall"), List.of(), "under lids");
        assertThat(found.moved(similarity(50, lids).groups().grouping())).hasValue(0);
        Entry apart = new GroupDecision.KeywordsPlaced(List.of("hive lid tall"), List.of(), "elsewhere");
        assertThat(found.moved(similarity(50, lids, apart).groups().grouping())).hasValue(1);
        assertThat(TableGroups.of(similarity(50), LIST)).isEmpty();
    }
}
