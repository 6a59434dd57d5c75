package smorgas.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Long lists as real ones are, always the same for the same size: the English expert lists, and as often as it takes the same of
 * a trade that does not exist, its own words spelt with other consonants. What words have in common, how many keywords have
 * each and how long they are is so as people type; {@link MadeLists} are far denser.
 */
final class ManyTrades {

    /** Words of any trade, which stay as they are. */
    private static final Set<String> SHARED = Set.of(
            "the", "for", "with", "in", "on", "of", "to", "and", "a", "near", "me", "best", "cheap", "buy", "price",
            "prices", "cost", "used", "how", "what", "is", "are", "vs", "review", "reviews", "uk", "from", "my", "do");

    private static final String CONSONANTS = "bcdfglmnprst";

    private ManyTrades() {}

    /** So many different phrases. */
    static List<String> phrases(int size) throws IOException {
        List<String> typed = new ArrayList<>();
        for (ExpertList list : ExpertList.all()) {
            if (list.language().equals("en")) {
                typed.addAll(list.keywords());
            }
        }
        List<String> phrases = new ArrayList<>(size);
        for (int trade = 0; phrases.size() < size; trade++) {
            List<Character> letters =
                    CONSONANTS.chars().mapToObj(c -> (char) c).collect(Collectors.toCollection(ArrayList::new));
            if (trade > 0) {
                Collections.shuffle(letters, new Random(trade));
            }
            typed.stream()
                    .limit(size - phrases.size())
                    .map(phrase -> renamed(phrase, letters))
                    .forEach(phrases::add);
        }
        return phrases;
    }

    private static String renamed(String phrase, List<Character> letters) {
        StringBuilder renamed = new StringBuilder();
        for (String word : phrase.split(" ")) {
            for (int i = 0; i < word.length(); i++) {
                // The ending stays, by which a plural is known.
                int at = SHARED.contains(word) || i >= word.length() - 2 ? -1 : CONSONANTS.indexOf(word.charAt(i));
                renamed.append(at < 0 ? word.charAt(i) : letters.get(at));
            }
            renamed.append(' ');
        }
        return renamed.toString().trim();
    }
}
