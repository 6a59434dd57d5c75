package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Objects;
import org.springframework.stereotype.Component;
import smorgas.core.board.Board;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.Regrouping;
import smorgas.core.recipe.GroupDecision.GroupsAsTheyAre;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.group.GroupSettings;

/** Boards under other settings of Group, or grouped anew, to be looked at before one of them is adopted; the last few are kept. */
@Component
public class Previews {

    private static final int KEPT = 12;

    /** What of adopted groups is grouped anew. */
    public sealed interface Part {

        /** Nothing, unless the settings are others. */
        record Nothing() implements Part {}

        record Everything() implements Part {}

        /** The group with this key. */
        record OneGroup(String key) implements Part {}

        /** The groups of a broader theme. */
        record Branch(String theme) implements Part {}

        /** As an address tells it: "all", "group " or "theme " and which; anything else is nothing. */
        static Part of(String text) {
            if (text.equals("all")) {
                return new Everything();
            }
            if (text.startsWith("group ")) {
                return new OneGroup(text.substring("group ".length()));
            }
            return text.startsWith("theme ") ? new Branch(text.substring("theme ".length())) : new Nothing();
        }
    }

    private final Cache<Looked, Board> boards =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    Previews(Table table) {
        table.empties(boards::invalidateAll);
    }

    /** Boards are told apart as objects: each act makes a new one. */
    private record Looked(Board board, GroupSettings settings, Part part) {}

    /** The board under these settings: itself, if they are its own and nothing is grouped anew. */
    public Board of(Board board, GroupSettings settings, Part part) {
        boolean same = settings.equals(board.recipe().grouping().settings());
        boolean adopted = !board.recipe().grouping().decisions().adopted().isEmpty();
        if (same && (!adopted || part instanceof Part.Nothing)) {
            return board;
        }
        return Objects.requireNonNull(boards.get(new Looked(board, settings, part), key -> {
            Board found = free(board, settings);
            return adopted ? adopted(board, settings, anew(board, found, part)) : found;
        }));
    }

    /** The board with groups that form by themselves under these settings. */
    public Board free(Board board, GroupSettings settings) {
        boolean adopted = !board.recipe().grouping().decisions().adopted().isEmpty();
        return adopted
                ? adopted(board, settings, GroupsAsTheyAre.NOT)
                : board.next(board.keywords().baskets(), board.recipe().withGroups(settings));
    }

    /** What adopting these settings or grouping anew says: by similarity groups stay from then on. */
    public GroupEntry adopting(Board board, GroupSettings settings, Part part) {
        boolean adopted = !board.recipe().grouping().decisions().adopted().isEmpty();
        return adopted || !settings.method().byWords()
                ? new GroupEntry.GroupsAdopted(
                        settings, Regrouping.asTheyAre(of(board, settings, part).groups()))
                : new GroupEntry.GroupSettingsChosen(settings);
    }

    private static Board adopted(Board board, GroupSettings settings, GroupsAsTheyAre groups) {
        return board.next(
                board.keywords().baskets(), board.recipe().after(new GroupEntry.GroupsAdopted(settings, groups)));
    }

    private static GroupsAsTheyAre anew(Board board, Board found, Part part) {
        Groups before = board.groups();
        int smallest = found.recipe().grouping().settings().method().smallest();
        return switch (part) {
            case Part.OneGroup one ->
                Regrouping.some(
                        before,
                        found.groups(),
                        group -> before.grouping().key(group).equals(one.key()),
                        smallest);
            case Part.Branch branch ->
                Regrouping.some(before, found.groups(), group -> before.tree().within(group, branch.theme()), smallest);
            case Part.Nothing all -> Regrouping.all(before, found.groups());
            case Part.Everything all -> Regrouping.all(before, found.groups());
        };
    }
}
