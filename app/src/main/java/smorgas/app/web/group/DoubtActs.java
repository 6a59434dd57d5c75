package smorgas.app.web.group;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.core.board.Board;
import smorgas.core.group.read.Doubts;
import smorgas.core.group.read.Mending;
import smorgas.core.group.same.SameProposals;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.text.Message;

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
            return act.back(new Outcome.NoChange(Message.of("group.doubt-acts.groups-changed-adopted")));
        }
        return act.done(recipe -> Mending.of(found.get(), answer.equals("near"), board.groups()));
    }

    /** Doubts that were answered with "leave it" are asked again. */
    @PostMapping("/projects/{id}/group/doubt/again")
    String again(Act act, @RequestParam String of) {
        return act.done(recipe -> new GroupEntry.OffersRefused(
                recipe.grouping().refused().stream()
                        .filter(key -> SameProposals.isKey(key) == of.equals("words"))
                        .toList(),
                false));
    }
}
