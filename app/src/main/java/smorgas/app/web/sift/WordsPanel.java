package smorgas.app.web.sift;

import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import smorgas.app.store.Pantry;
import smorgas.core.board.Board;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.sift.Families;
import smorgas.core.sift.WordCounts;
import smorgas.core.text.Message;

/** The words of what is on view: the list, and the likely kinds of them. */
final class WordsPanel {

    private WordsPanel() {}

    /** A family of words, as many as are shown at most, and how many keywords have one of them undecided. */
    record FamilyView(
            String name, Message label, Message because, Message count, List<Families.Member> members, int hidden) {}

    private static final int MOST_OF_FAMILY = 60;

    static WordCounts.Found found(Board board, BitSet view, SiftQuery query) {
        return WordCounts.of(view, board.phrases(), board.statuses(), little(board), query.words());
    }

    /** Words that say little by themselves: the language's stop words and the project's little words. */
    private static Set<String> little(Board board) {
        Set<String> little =
                new TreeSet<>(Lexicon.of(board.recipe().folding().language()).stopWords());
        little.addAll(board.recipe().folding().littleWords());
        return little;
    }

    static List<FamilyView> families(Board board, BitSet view, Pantry pantry) {
        return Families.of(view, board.keywords(), board.statuses(), lists(board, pantry), little(board))
                .entrySet()
                .stream()
                .filter(family -> !family.getValue().isEmpty())
                .map(family -> new FamilyView(
                        family.getKey().name(),
                        family.getKey().label(),
                        family.getKey().because(),
                        Message.of("count.words", family.getValue().size()),
                        family.getValue().stream().limit(MOST_OF_FAMILY).toList(),
                        Math.max(0, family.getValue().size() - MOST_OF_FAMILY)))
                .toList();
    }

    /** By kind the words of the shipped lists, of the pantry's and of those that the project has taken. */
    private static Map<WordList.Kind, Set<String>> lists(Board board, Pantry pantry) {
        String language = board.recipe().folding().language();
        Map<WordList.Kind, Set<String>> lists = new EnumMap<>(WordList.Kind.class);
        for (WordList list : pantry.all()) {
            if (list.language().isEmpty() || list.language().equals(language)) {
                lists.computeIfAbsent(list.kind(), kind -> new HashSet<>()).addAll(list.words());
            }
        }
        board.recipe().sifting().lists().values().forEach(list -> lists.computeIfAbsent(
                        list.kind(), kind -> new HashSet<>())
                .addAll(list.words()));
        return lists;
    }
}
