package smorgas.core.group.themes;

import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.ThemeWords;

/**
 * The words of the keywords that a pass groups; keywords are numbered by their place in the scope.
 *
 * @param scope the keywords to be grouped, rising
 * @param distinct the unmuted words of each, once each, in the order in which they stand
 * @param having the places of the keywords that have each word, rising
 */
public record ScopeWords(ThemeWords words, int[] scope, RaggedInts distinct, RaggedInts having) {

    public static ScopeWords of(ThemeWords words, int[] scope) {
        RaggedInts rows = words.rows();
        RaggedInts distinct = RaggedInts.made(scope.length, (i, row) -> {
            int keyword = scope[i];
            int from = row.size();
            for (int place = 0; place < rows.length(keyword); place++) {
                int word = rows.get(keyword, place);
                boolean before = words.ignored(word);
                for (int earlier = from; earlier < row.size() && !before; earlier++) {
                    before = row.getInt(earlier) == word;
                }
                if (!before) {
                    row.add(word);
                }
            }
        });
        return new ScopeWords(words, scope, distinct, distinct.inverse(words.size()));
    }

    /** How many keywords are to be grouped. */
    public int size() {
        return scope.length;
    }
}
