package smorgas.app.web.group;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.sift.WordCounts;

/**
 * A word that so many keywords have that a group on it says nothing: it is offered to be ignored where groups are shown.
 *
 * @param word as the keywords write it
 * @param share of the keywords that are not dropped
 */
record IgnoreOffer(String word, String share) {

    /** The share from which a word says nothing of a group (common practice: the head word that every keyword has). */
    private static final double SAYS_NOTHING = 1 / 3.0;

    /** With fewer keywords a third is two or three. */
    private static final int FEWEST = 12;

    static Optional<IgnoreOffer> of(Board board) {
        int left = board.statuses().remaining().cardinality();
        if (left < FEWEST) {
            return Optional.empty();
        }
        GroupSettings settings = board.recipe().grouping().settings();
        Set<Integer> ignored = new HashSet<>();
        settings.ignored()
                .forEach(word -> board.keywords().folded().find(word).ifPresent(found -> ignored.add(found[0])));
        WordCounts.Asked asked = new WordCounts.Asked(
                1, 1, WordCounts.By.COUNT, "", WordCounts.Little.NOT_AT_EDGES, true, ignored.size() + 1);
        return WordCounts.of(
                        board.statuses().remaining(), board.phrases(), board.statuses(), settings.stopWords(), asked)
                .words()
                .stream()
                .filter(word -> word.count() >= SAYS_NOTHING * left)
                .filter(word -> board.keywords()
                        .folded()
                        .find(word.word())
                        .map(found -> !ignored.contains(found[0]))
                        .orElse(true))
                .findFirst()
                .map(word -> new IgnoreOffer(word.word(), Show.percent(word.count() / (double) left)));
    }
}
