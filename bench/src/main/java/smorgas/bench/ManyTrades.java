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

    /** A phrase and the number of the ad group that it is in by judgement, in the list that it was made of. */
    record Typed(String phrase, int adGroup) {}

    /** So many different phrases in English. */
    static List<String> phrases(int size) throws IOException {
        return typed("en", size).stream().map(Typed::phrase).toList();
    }

    /** The same in a language that has expert lists, with their ad groups. */
    static List<Typed> typed(String language, int size) throws IOException {
        List<Typed> typed = new ArrayList<>();
        int classes = 0;
        for (ExpertList list : ExpertList.all()) {
            if (list.language().equals(language)) {
                for (int i = 0; i < list.keywords().size(); i++) {
                    typed.add(new Typed(list.keywords().get(i), classes + list.wanted()[i]));
                }
                classes += list.classes();
            }
        }
        List<Typed> all = new ArrayList<>(size);
        for (int trade = 0; all.size() < size; trade++) {
            List<Character> letters =
                    CONSONANTS.chars().mapToObj(c -> (char) c).collect(Collectors.toCollection(ArrayList::new));
            if (trade > 0) {
                Collections.shuffle(letters, new Random(trade));
            }
            int before = trade * classes;
            typed.stream()
                    .limit(size - all.size())
                    .map(one -> new Typed(renamed(one.phrase(), letters), before + one.adGroup()))
                    .forEach(all::add);
        }
        return all;
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
