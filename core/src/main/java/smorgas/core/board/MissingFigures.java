package smorgas.core.board;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.sift.Status;

/** The keywords that no list tells the figures of which a planner tells. */
public final class MissingFigures {

    private static final List<Figure> BIDS = List.of(Figure.LOW_BID, Figure.HIGH_BID, Figure.CPC);

    private MissingFigures() {}

    /** Those that are not dropped and lack searches or bids, as they are shown, the most searched first. */
    public static List<String> of(Board board) {
        Keywords keywords = board.keywords();
        return Arrays.stream(board.orders().by(Figure.SEARCHES, true))
                .filter(keyword -> board.statuses().of(keyword) != Status.DROPPED)
                .filter(keyword -> lacks(keywords, keyword))
                .mapToObj(keywords::text)
                .toList();
    }

    /** Of some texts those of keywords that lack searches or bids; what is no keyword has no figures to lack. */
    public static List<String> among(Board board, List<String> texts) {
        return texts.stream()
                .map(board.keywords()::find)
                .flatMap(Optional::stream)
                .distinct()
                .filter(keyword -> lacks(board.keywords(), keyword))
                .map(board.keywords()::text)
                .toList();
    }

    private static boolean lacks(Keywords keywords, int keyword) {
        return !known(keywords, List.of(Figure.SEARCHES), keyword) || !known(keywords, BIDS, keyword);
    }

    private static boolean known(Keywords keywords, List<Figure> figures, int keyword) {
        return figures.stream()
                .map(keywords::figure)
                .flatMap(Optional::stream)
                .anyMatch(column -> column.known(keyword));
    }
}
