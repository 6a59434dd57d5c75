package smorgas.core.group.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Method;

class DoubtsTest {

    private static final String LIST = """
            Keyword,Searches
            oak garden bench,900
            garden bench oak,300
            oak garden benches,100
            pine garden bench,800
            garden bench pine,200
            pine garden benches,90
            teak garden bench,70
            garden bench cushion,400
            garden bench cushions,350
            bench cushion,300
            bird feeder,5000
            bird feeders,4000
            hanging bird feeder,600
            hanging feeder for birds,500
            bird table,90
            wheelbarrow tyre,40
            """;

    private static Board board(int place, Entry... entries) {
        List<Entry> all = new ArrayList<>();
        all.add(new GroupEntry.GroupSettingsChosen(Rules.NEWEST
                .settings()
                .byThemes("en")
                .with(Rules.NEWEST.settings().similarity().at(place))));
        all.addAll(List.of(entries));
        return Board.of(
                List.of(BasketReader.lines(1, "list", LIST.getBytes()).lines().orElseThrow()), Recipe.of(all, "en"));
    }

    private static List<Doubts.Doubt> doubts(Board board) {
        return board.groups().doubts();
    }

    private static String key(Doubts.Doubt doubt, Board board) {
        return Doubts.key(doubt, board.groups());
    }

    @Test
    void aBroadGroupIsPartedAtItsSeamAndATightOnesAreJoined() {
        Board broad = board(20);
        assertThat(doubts(broad)).anySatisfy(doubt -> {
            assertThat(doubt).isInstanceOf(Doubts.Part.class);
            Set<String> leaving = new TreeSet<>();
            Arrays.stream(((Doubts.Part) doubt).keywords())
                    .forEach(keyword -> leaving.add(broad.keywords().text(keyword)));
            assertThat(leaving).isEqualTo(Set.of("garden bench cushion", "bench cushion"));
        });
        Board tight = board(50);
        assertThat(doubts(tight).stream().filter(Doubts.Join.class::isInstance).map(doubt -> key(doubt, tight)))
                .contains("join | bench cushion | oak garden bench");
        assertThat(doubts(tight)).isSortedAccordingTo((a, b) -> Double.compare(b.weight(), a.weight()));
    }

    @Test
    void ungroupedComeWithTheGroupTheyAreNearestTo() {
        Board board = board(50);
        int left = board.keywords().find("bird table").orElseThrow();
        assertThat(board.groups().grouping().groupOf(left)).isEqualTo(Grouping.UNGROUPED);
        assertThat(doubts(board)).anySatisfy(doubt -> {
            assertThat(doubt).isInstanceOf(Doubts.Move.class);
            Doubts.Move move = (Doubts.Move) doubt;
            assertThat(move.keyword()).isEqualTo(left);
            assertThat(move.own()).isZero();
            assertThat(board.groups().name(move.into())).contains("bird");
        });
    }

    @Test
    void whatAHandHasDecidedIsNotDoubted() {
        Board board = board(50);
        Doubts.Join join = (Doubts.Join) doubts(board).stream()
                .filter(Doubts.Join.class::isInstance)
                .findFirst()
                .orElseThrow();
        Grouping grouping = board.groups().grouping();
        Board joined = board(
                70, new GroupDecision.GroupsJoined(List.of(grouping.key(join.from())), grouping.key(join.into())));
        Set<String> moved = new TreeSet<>();
        Arrays.stream(grouping.members().row(join.from()))
                .forEach(keyword -> moved.add(board.keywords().text(keyword)));
        assertThat(doubts(joined))
                .noneMatch(doubt -> doubt instanceof Doubts.Part part
                        && Arrays.stream(part.keywords())
                                .mapToObj(joined.keywords()::text)
                                .allMatch(moved::contains));
    }

    @ParameterizedTest
    @EnumSource(Way.class)
    void groupsOfAnyMethodAreDoubtedAndNoneHasNone(Way method) {
        Board board = Board.of(
                List.of(BasketReader.lines(1, "list", LIST.getBytes()).lines().orElseThrow()),
                Recipe.of(
                        List.of(new GroupEntry.GroupSettingsChosen(
                                Rules.NEWEST.settings().byThemes("en").with(method.method))),
                        "en"));
        assertThat(doubts(board)).isNotEmpty().allSatisfy(doubt -> assertThat(doubt.weight())
                .isGreaterThan(0));
        Board empty = Board.of(List.of(), Recipe.of(List.of(), "en"));
        assertThat(doubts(empty)).isEmpty();
    }

    private enum Way {
        THEMES(Rules.NEWEST.settings().themes()),
        SIMILARITY(Rules.NEWEST.settings().similarity());

        private final Method method;

        Way(Method method) {
            this.method = method;
        }
    }
}
