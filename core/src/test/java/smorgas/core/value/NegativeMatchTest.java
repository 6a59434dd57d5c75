package smorgas.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.serve.MatchType;

class NegativeMatchTest {

    /** The platforms' rules for negatives, as help pages of several put them in examples (from memory). */
    @ParameterizedTest
    @CsvSource({
        // negative, search, broad, phrase, exact
        "running shoes, blue tennis shoes, false, false, false",
        "running shoes, running shoe, false, false, false",
        "running shoes, blue running shoes, true, true, false",
        "running shoes, shoes running, true, false, false",
        "running shoes, running shoes, true, true, true",
        "running shoes, running blue shoes, true, false, false",
        "free, free bee hive plans, true, true, false",
        "free, sugar-free feed, false, false, false",
        "Free, free, true, true, true",
        "hive, bee hives, false, false, false",
        "how to, how do i get to it, true, false, false",
        "to to, how to, true, false, false"
    })
    void asThePlatformsHaveIt(String negative, String search, boolean broad, boolean phrase, boolean exact) {
        SearchWords one = SearchWords.of(1, row -> search);
        assertThat(one.blocked(negative, MatchType.BROAD).get(0)).isEqualTo(broad);
        assertThat(one.blocked(negative, MatchType.PHRASE).get(0)).isEqualTo(phrase);
        assertThat(one.blocked(negative, MatchType.EXACT).get(0)).isEqualTo(exact);
    }

    /** A matcher written from the rules, one text after the other. */
    private static boolean slow(String negative, MatchType type, String search) {
        List<String> words = List.of(negative.split(" "));
        List<String> in = List.of(search.split(" "));
        return switch (type) {
            case BROAD -> Set.copyOf(in).containsAll(words);
            case PHRASE -> Collections.indexOfSubList(in, words) >= 0;
            case EXACT -> in.equals(words);
        };
    }

    private static List<String> drawn(Random random, int count, int longest) {
        return IntStream.range(0, count)
                .mapToObj(i -> IntStream.rangeClosed(0, random.nextInt(longest))
                        .mapToObj(word -> "" + (char) ('a' + random.nextInt(7)))
                        .collect(Collectors.joining(" ")))
                .toList();
    }

    @Test
    void drawnNegativesBlockWhatASlowMatcherSays() {
        Random random = new Random(17);
        List<String> searches = drawn(random, 400, 6);
        SearchWords words = SearchWords.of(searches.size(), searches::get);
        for (String negative : drawn(random, 200, 3)) {
            for (MatchType type : MatchType.values()) {
                BitSet expected = new BitSet();
                IntStream.range(0, searches.size())
                        .filter(i -> slow(negative, type, searches.get(i)))
                        .forEach(expected::set);
                assertThat(words.blocked(negative, type))
                        .as("%s %s", type, negative)
                        .isEqualTo(expected);
            }
        }
    }

    private static List<Apart.Steer> apart(List<List<String>> groups, Set<MatchType> types) {
        List<String> all = groups.stream().flatMap(List::stream).toList();
        int[][] members = new int[groups.size()][];
        int from = 0;
        for (int group = 0; group < members.length; group++) {
            members[group] =
                    IntStream.range(from, from + groups.get(group).size()).toArray();
            from += groups.get(group).size();
        }
        return Apart.of(
                SearchWords.of(all.size(), all::get),
                members,
                types,
                List.of("for"),
                keyword -> 1,
                Rules.NEWEST.plan().longestSearch());
    }

    @Test
    void aSearchOfOneGroupIsSteeredAwayFromAnotherThatItsWordsHold() {
        List<List<String>> groups = List.of(
                List.of("bee hive", "bee hive uk"),
                List.of("wooden bee hive", "wooden bee hive for sale", "bee hive uk for sale"),
                List.of("hive bee stand"));
        List<Apart.Steer> phrase = apart(groups, Set.of(MatchType.PHRASE, MatchType.EXACT));
        assertThat(phrase)
                .as("a word that says nothing makes no negative; a word of its own is none")
                .extracting(steer -> steer.from() + " " + steer.negative() + " " + steer.type() + " "
                        + steer.searches().size())
                .containsExactly("0 sale PHRASE 2", "0 wooden PHRASE 1");
        assertThat(apart(groups, Set.of(MatchType.BROAD)))
                .extracting(Apart.Steer::negative)
                .as("in any order, so the stand's too")
                .containsExactly("sale", "stand", "wooden");
        assertThat(apart(groups, Set.of(MatchType.EXACT))).isEmpty();
        assertThat(apart(List.of(List.of("bee hive", "uk bee"), List.of("bee hive uk")), Set.of(MatchType.PHRASE)))
                .as("all its words are the other group's: the search itself")
                .containsExactly(new Apart.Steer(0, "bee hive uk", MatchType.EXACT, List.of(2)));
    }

    @Test
    void takenAllTogetherEveryDrawnSearchTriggersItsOwnGroupOnly() {
        Random random = new Random(4);
        for (MatchType type : List.of(MatchType.PHRASE, MatchType.BROAD)) {
            List<String> all = new ArrayList<>(Set.copyOf(drawn(random, 300, 5)));
            List<List<String>> groups = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                groups.add(List.of(all.subList(i * all.size() / 12, (i + 1) * all.size() / 12)
                        .toArray(String[]::new)));
            }
            List<Apart.Steer> steers = apart(groups, Set.of(type));
            for (int own = 0; own < groups.size(); own++) {
                for (String search : groups.get(own)) {
                    for (int group = 0; group < groups.size(); group++) {
                        int at = group;
                        boolean triggered = groups.get(group).stream().anyMatch(keyword -> slow(keyword, type, search));
                        boolean blocked = steers.stream()
                                .anyMatch(steer -> steer.from() == at && slow(steer.negative(), steer.type(), search));
                        assertThat(triggered && !blocked)
                                .as("%s of %s in %s", search, own, group)
                                .isEqualTo(group == own);
                    }
                }
            }
        }
    }
}
