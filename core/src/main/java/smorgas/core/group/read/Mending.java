package smorgas.core.group.read;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** The decision that answers a doubt as somebody said. */
public final class Mending {

    private Mending() {}

    /**
     * What taking a doubt says.
     *
     * @param near of a part, whether it goes into the group that is nearest, if there is one, and not into one of its own
     * @throws Refusal if none of the part's keywords can be the name of a group
     */
    public static GroupDecision of(Doubts.Doubt doubt, boolean near, Groups groups) {
        Grouping grouping = groups.grouping();
        return switch (doubt) {
            case Doubts.Join join ->
                new GroupDecision.GroupsJoined(List.of(grouping.key(join.from())), grouping.key(join.into()));
            case Doubts.Move move -> placed(new int[] {move.keyword()}, grouping.key(move.into()), groups.all());
            case Doubts.Part part ->
                placed(
                        part.keywords(),
                        near && part.near() >= 0 ? grouping.key(part.near()) : free(part.keywords(), groups),
                        groups.all());
        };
    }

    private static GroupDecision placed(int[] keywords, String group, Keywords all) {
        List<String> texts =
                Arrays.stream(keywords).mapToObj(all::text).map(Tidy::of).toList();
        return new GroupDecision.KeywordsPlaced(texts, all.otherSpellings(texts), group);
    }

    /** A name that no other group has: the shortest of the keywords that can be one, with a number where it is taken. */
    private static String free(int[] keywords, Groups groups) {
        return Arrays.stream(keywords)
                .mapToObj(groups.all()::text)
                .map(Tidy::of)
                .sorted(Comparator.comparingInt(String::length).thenComparing(Comparator.naturalOrder()))
                .flatMap(text -> Stream.of(text, text + " 2", text + " 3"))
                .filter(text -> GroupRule.fits(text) && groups.called(text) < 0)
                .findFirst()
                .orElseThrow(() -> new Refusal("read.mending.none-these-keywords-can"));
    }
}
