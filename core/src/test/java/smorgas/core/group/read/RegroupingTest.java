package smorgas.core.group.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupDecision.GroupsAsTheyAre;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;

class RegroupingTest {

    private static final String LIST =
            "oak garden bench\ngarden bench oak cheap\noak garden bench sale\noak garden bench reviews\n"
                    + "best oak garden bench\nbird feeder\nbird feeders large\nhanging bird feeder\nhanging feeder for birds\nlawn roller\n";

    private static GroupSettings at(int place) {
        return Rules.NEWEST
                .settings()
                .byThemes("en")
                .with(Rules.NEWEST.settings().similarity().at(place));
    }

    private static Board board(String list, int place, Entry... entries) {
        List<Entry> all = new ArrayList<>(List.of(new GroupEntry.GroupSettingsChosen(at(place))));
        all.addAll(List.of(entries));
        return Board.of(
                List.of(BasketReader.lines(1, "list", list.getBytes()).lines().orElseThrow()), Recipe.of(all, "en"));
    }

    private static Map<String, Set<String>> groups(Board board) {
        Grouping grouping = board.groups().grouping();
        Map<String, Set<String>> groups = new TreeMap<>();
        for (int group = 0; group < grouping.size(); group++) {
            Set<String> texts = new TreeSet<>();
            Arrays.stream(grouping.members().row(group))
                    .forEach(keyword -> texts.add(board.keywords().text(keyword)));
            groups.put(grouping.key(group), texts);
        }
        return groups;
    }

    @Test
    void adoptedAsTheyStandNothingChangesAndWhatComesSinceWaits() {
        Board board = board(LIST, 50);
        GroupsAsTheyAre status = Regrouping.asTheyAre(board.groups());
        Board adopted = board(LIST, 20, status);
        assertThat(groups(adopted)).isEqualTo(groups(board));
        assertThat(adopted.groups().grouping().since().isEmpty()).isTrue();
        Board more = board(LIST + "bird feeder hanging large\nopera tickets\n", 50, status);
        assertThat(groups(more)).isEqualTo(groups(board));
        assertThat(more.groups().grouping().since().cardinality()).isEqualTo(2);
        GroupsAsTheyAre joined = Regrouping.joining(more.groups(), .5);
        Board after = board(LIST + "bird feeder hanging large\nopera tickets\n", 50, joined);
        assertThat(after.groups().grouping().since().isEmpty()).isTrue();
        int kept = after.keywords().find("bird feeder hanging large").orElseThrow();
        assertThat(after.groups().grouping().groupOf(kept))
                .isEqualTo(after.groups()
                        .grouping()
                        .groupOf(after.keywords().find("hanging bird feeder").orElseThrow()));
        assertThat(after.groups()
                        .grouping()
                        .groupOf(after.keywords().find("opera tickets").orElseThrow()))
                .isEqualTo(Grouping.UNGROUPED);
    }

    @Test
    void groupedAnewAGroupThatLivesOnKeepsItsIdentityAndName() {
        Board board = board(LIST, 50);
        Grouping grouping = board.groups().grouping();
        String feeders = grouping.key(
                grouping.groupOf(board.keywords().find("bird feeder").orElseThrow()));
        Entry status = Regrouping.asTheyAre(board.groups());
        Entry named = new GroupDecision.GroupNamed(feeders, "Feeders");
        Board before = board(LIST, 50, status, named);
        Board found = board(LIST, 20);
        GroupsAsTheyAre anew = Regrouping.all(before.groups(), found.groups());
        Board after = board(LIST, 20, status, named, anew);
        assertThat(new TreeSet<>(groups(after).values().stream().map(Set::size).toList()))
                .isEqualTo(new TreeSet<>(
                        groups(found).values().stream().map(Set::size).toList()));
        int group = after.groups()
                .grouping()
                .groupOf(after.keywords().find("bird feeder").orElseThrow());
        assertThat(after.groups().grouping().key(group)).isEqualTo(feeders);
        assertThat(after.groups().name(group)).isEqualTo("Feeders");
    }

    @Test
    void oneGroupIsDividedAnewAndAllOthersStay() {
        Board broad = board(LIST, 10, Regrouping.asTheyAre(board(LIST, 10).groups()));
        Grouping grouping = broad.groups().grouping();
        int benches = grouping.groupOf(broad.keywords().find("oak garden bench").orElseThrow());
        GroupsAsTheyAre anew = Regrouping.some(broad.groups(), board(LIST, 60).groups(), group -> group == benches, 1);
        Board after = board(LIST, 10, anew);
        Map<String, Set<String>> expected = groups(broad);
        Set<String> whole = expected.remove(grouping.key(benches));
        assertThat(groups(after)).containsAllEntriesOf(expected).hasSizeGreaterThan(expected.size() + 1);
        Set<String> parts = new TreeSet<>();
        groups(after).entrySet().stream()
                .filter(group -> !expected.containsKey(group.getKey()))
                .forEach(group -> parts.addAll(group.getValue()));
        assertThat(whole).containsAll(parts);
        assertThat(groups(after)).containsKey(grouping.key(benches));
    }
}
