package smorgas.core.gather;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Properties;
import java.util.Set;
import smorgas.core.figure.ColumnRole;

/**
 * What a column holds by the words in its name, whatever else stands there: a place on the page, a range in brackets, a
 * currency. A bid with "low" or "from" is the low bid wherever the words stand.
 */
final class HeadingWords {

    private static final Map<String, Set<String>> WORDS = new HashMap<>();

    static {
        Properties words = new Properties();
        try (InputStream in = HeadingWords.class.getResourceAsStream("heading-words.properties")) {
            words.load(new InputStreamReader(Objects.requireNonNull(in), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        words.forEach((kind, list) ->
                WORDS.put(kind.toString(), Set.copyOf(List.of(list.toString().split(", ")))));
    }

    private HeadingWords() {}

    /** @param name the words of the name, lower case, with spaces between them */
    static ColumnRole role(String name) {
        List<String> words = List.of(name.split(" "));
        // A place on the page may be high too; the range stands behind it.
        int low = last(words, "LOW");
        int high = last(words, "HIGH");
        boolean bid = any(words, "BID") || words.contains("cpc");
        if (any(words, "TREND")) {
            return ColumnRole.OTHER;
        }
        if (any(words, "CHANGE")) {
            return any(words, "SEARCH") || any(words, "MONTHLY") || words.size() == 1
                    ? ColumnRole.CHANGE
                    : ColumnRole.OTHER;
        }
        if (bid || any(words, "COST") && any(words, "CLICK")) {
            return low == high ? ColumnRole.CPC : low > high ? ColumnRole.LOW_BID : ColumnRole.HIGH_BID;
        }
        long searches = words.stream().filter(WORDS.get("SEARCH")::contains).count();
        if (searches > 1 || searches == 1 && any(words, "MONTHLY")) {
            return ColumnRole.SEARCHES;
        }
        if (any(words, "POSITION")) {
            return any(words, "PREVIOUS") ? ColumnRole.PREVIOUS_POSITION : ColumnRole.POSITION;
        }
        return ColumnRole.OTHER;
    }

    /** The place of the last word of a kind; -1 if there is none. */
    private static int last(List<String> words, String kind) {
        int last = words.size() - 1;
        while (last >= 0 && !WORDS.get(kind).contains(words.get(last))) {
            last--;
        }
        return last;
    }

    private static boolean any(List<String> words, String kind) {
        return words.stream().anyMatch(WORDS.get(kind)::contains);
    }
}
