package smorgas.app.web.fold;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.fold.Keywords;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/**
 * A keyword with all its spellings.
 *
 * @param keyword the lead spelling
 * @param several whether it has more than one tidy text, so that it can be taken apart
 * @param more tidy texts that are not shown
 */
record FoldSet(String keyword, String lines, String baskets, boolean several, List<Spelling> spellings, int more) {

    private static final int SHOWN = 8;
    private static final int PLACES = 12;

    /**
     * One tidy text of a keyword.
     *
     * @param written how lines write it, where that differs
     * @param by what brought it here
     */
    record Spelling(String text, String written, Message by, String searches, Message where, boolean lead) {}

    static FoldSet of(Board board, int keyword) {
        Keywords keywords = board.keywords();
        List<String> texts = new ArrayList<>(keywords.tidyTexts(keyword));
        // Those of unknown searches come last: unknown is the least of all numbers.
        Comparator<String> mostSearched = Comparator.comparingLong((String text) ->
                        board.spellings().twiceSearches(board.spellings().find(text)))
                .reversed();
        texts.sort(Comparator.comparing((String text) -> !keywords.leads(keyword, text))
                .thenComparing(mostSearched)
                .thenComparing(Comparator.naturalOrder()));
        Map<String, Set<String>> written = new LinkedHashMap<>();
        Map<String, Set<Message>> places = new LinkedHashMap<>();
        for (Keywords.Occurrence o : keywords.occurrences(keyword)) {
            String tidy = Tidy.of(o.text());
            if (!o.text().equals(tidy)) {
                written.computeIfAbsent(tidy, t -> new LinkedHashSet<>()).add(o.text());
            }
            places.computeIfAbsent(tidy, t -> new LinkedHashSet<>())
                    .add(Message.of("fold.fold-set.line", o.basketName(), o.lineNumber()));
        }
        return new FoldSet(
                keywords.text(keyword),
                Show.count(keywords.lineCount(keyword)),
                Show.count(keywords.basketCount(keyword)),
                texts.size() > 1,
                texts.stream()
                        .limit(SHOWN)
                        .map(text -> spelling(board, keyword, text, written, places))
                        .toList(),
                Math.max(0, texts.size() - SHOWN));
    }

    private static Spelling spelling(
            Board board, int keyword, String text, Map<String, Set<String>> written, Map<String, Set<Message>> places) {
        long twice = board.spellings().twiceSearches(board.spellings().find(text));
        Set<Message> where = places.getOrDefault(text, Set.of());
        Message some = Message.joined("list.comma", where.stream().limit(PLACES).toList());
        return new Spelling(
                text,
                String.join("  ", written.getOrDefault(text, Set.of())),
                board.foldReport().broughtBy(keyword, text).label(),
                twice < 0 ? "" : Show.count(twice / 2),
                where.size() > PLACES ? Message.of("list.and-more", some, where.size() - PLACES) : some,
                board.keywords().leads(keyword, text));
    }
}
