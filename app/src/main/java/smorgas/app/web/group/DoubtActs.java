package smorgas.app.web.group;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.core.board.Board;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.SameProposals;
import smorgas.core.group.read.Doubts;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.GroupPin;
import smorgas.core.recipe.GroupRule;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Answers to doubts; each is one entry. */
@Controller
class DoubtActs {

    /** The answer to a doubt of the queue. */
    @PostMapping("/projects/{id}/group/doubt")
    String answer(Act act, @RequestParam String doubt, @RequestParam String answer) {
        if (answer.equals("refuse")) {
            return act.done(recipe -> new GroupEntry.OffersRefused(List.of(doubt), true));
        }
        Board board = act.snapshot().board();
        Optional<Doubts.Doubt> found = board.groups().doubts().stream()
                .filter(one -> Doubts.key(one, board.groups()).equals(doubt))
                .findFirst();
        if (found.isEmpty()) {
            return act.back(new Outcome.NoChange("The groups have changed, and this is settled."));
        }
        return act.done(recipe -> entry(found.get(), answer, board));
    }

    /** Doubts that were settled with "leave it" are asked again. */
    @PostMapping("/projects/{id}/group/doubt/again")
    String again(Act act, @RequestParam String of) {
        return act.done(recipe -> new GroupEntry.OffersRefused(
                recipe.grouping().refused().stream()
                        .filter(key -> SameProposals.isKey(key) == of.equals("words"))
                        .toList(),
                false));
    }

    private static Entry entry(Doubts.Doubt doubt, String answer, Board board) {
        Grouping grouping = board.groups().grouping();
        return switch (doubt) {
            case Doubts.Join join ->
                new GroupPin.GroupsJoined(List.of(grouping.key(join.from())), grouping.key(join.into()));
            case Doubts.Move move -> placed(board, new int[] {move.keyword()}, grouping.key(move.into()));
            case Doubts.Part part ->
                placed(
                        board,
                        part.keywords(),
                        answer.equals("near") && part.near() >= 0
                                ? grouping.key(part.near())
                                : free(board, part.keywords()));
        };
    }

    private static Entry placed(Board board, int[] keywords, String group) {
        List<String> texts = Arrays.stream(keywords)
                .mapToObj(board.keywords()::text)
                .map(Tidy::of)
                .toList();
        return new GroupPin.KeywordsPlaced(texts, PinActs.others(board, texts), group);
    }

    /** A name for a group of these keywords that no other has: the shortest of them that can be one. */
    private static String free(Board board, int[] keywords) {
        Groups groups = board.groups();
        return Arrays.stream(keywords)
                .mapToObj(board.keywords()::text)
                .map(Tidy::of)
                .sorted(Comparator.comparingInt(String::length).thenComparing(text -> text))
                .flatMap(text -> Stream.of(text, text + " 2", text + " 3"))
                .filter(text -> GroupRule.fits(text) && groups.called(text) < 0)
                .findFirst()
                .orElseThrow(
                        () -> new Refusal("None of these keywords can be the name of a group: pick them and name it"));
    }
}
