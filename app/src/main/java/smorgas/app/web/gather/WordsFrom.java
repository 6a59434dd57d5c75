package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import smorgas.app.store.Pantry;
import smorgas.app.web.show.Choice;
import smorgas.app.work.Trays;
import smorgas.core.board.Board;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;

/** Where a tool of ours can take words from: what is picked, lists of the pantry, saved views and groups. */
@Component
class WordsFrom {

    private static final int MOST_PLACES = 1_000;
    private static final int MOST_WORDS = 10_000;
    private static final String LIST = "list:";
    private static final String VIEW = "view:";
    private static final String GROUP = "group:";

    private final Pantry pantry;
    private final Trays trays;

    WordsFrom(Pantry pantry, Trays trays) {
        this.pantry = pantry;
        this.trays = trays;
    }

    /** Those there are. */
    List<Choice> places(Board board, long id, String tab) {
        List<Choice> places = new ArrayList<>();
        if (!tab.isEmpty() && !trays.texts(id, tab).isEmpty()) {
            places.add(new Choice("tray", Message.of("gather.words-from.what-picked")));
        }
        pantry.all()
                .forEach(list ->
                        places.add(new Choice(LIST + list.name(), Message.of("gather.words-from.list", list.name()))));
        board.recipe()
                .sifting()
                .views()
                .keySet()
                .forEach(view -> places.add(new Choice(VIEW + view, Message.of("gather.words-from.view", view))));
        if (board.groupsKnown()) {
            places.add(new Choice("groups", Message.of("gather.words-from.names-all-groups")));
            Groups groups = board.groups();
            for (int group : groups.order()) {
                if (places.size() < MOST_PLACES) {
                    places.add(new Choice(
                            GROUP + groups.grouping().key(group),
                            Message.of("gather.words-from.group", groups.name(group))));
                }
            }
        }
        return places;
    }

    /** The words of one; none if there is no such place. */
    List<String> words(Board board, String from, long id, String tab) {
        if (from.equals("tray")) {
            return trays.texts(id, tab);
        }
        if (from.startsWith(LIST)) {
            return pantry.find(from.substring(LIST.length()))
                    .map(WordList::words)
                    .orElse(List.of());
        }
        if (from.startsWith(VIEW)) {
            var view = board.recipe().sifting().views().get(from.substring(VIEW.length()));
            return view == null ? List.of() : texts(board, board.match(view).stream());
        }
        Groups groups = board.groups();
        if (from.equals("groups")) {
            return Arrays.stream(groups.order()).mapToObj(groups::name).toList();
        }
        int group = from.startsWith(GROUP) ? groups.find(from.substring(GROUP.length())) : -1;
        return group < 0
                ? List.of()
                : texts(board, IntStream.of(groups.grouping().members().row(group)));
    }

    private static List<String> texts(Board board, IntStream keywords) {
        return keywords.limit(MOST_WORDS).mapToObj(board.keywords()::text).toList();
    }
}
