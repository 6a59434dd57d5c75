package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Meanings;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.board.Related;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/** Related terms: of a seed or a group, what the project has that shares its pages, competitors or meaning. */
@Controller
class RelatedController {

    private static final int SHOWN = 100;
    private static final int LONGEST = 200;

    private final Frames frames;
    private final Meanings meanings;

    RelatedController(Frames frames, Meanings meanings) {
        this.frames = frames;
        this.meanings = meanings;
    }

    /**
     * The related terms.
     *
     * @param seed as it was typed; empty for a group
     * @param group its key; empty for a seed
     * @param groupName as it is called
     * @param told of how many keywords they are told
     */
    record RelatedPage(String seed, String group, String groupName, Message told, List<Row> rows) {}

    /** A keyword and why it is related. */
    record Row(String text, Message why, Message status, String in) {}

    @GetMapping("/projects/{id}/related")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String seed,
            @RequestParam(defaultValue = "") String group,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Board board = snapshot.board();
        int opened =
                group.isEmpty() || !board.groupsKnown() ? -1 : board.groups().find(group);
        BitSet to = opened >= 0 ? members(board.groups(), opened) : with(board, seed);
        List<Row> rows = new ArrayList<>();
        for (Related.Term term :
                to.isEmpty() ? List.<Related.Term>of() : Related.of(board, to, meanings.vectors(id), SHOWN)) {
            rows.add(row(board, term));
        }
        Shown.in(
                model,
                new RelatedPage(
                        seed,
                        opened >= 0 ? group : "",
                        opened >= 0 ? board.groups().name(opened) : "",
                        seed.isBlank() && opened < 0
                                ? Message.NONE
                                : Message.of(
                                        "gather.related-controller.keyword-group-what-related",
                                        to.cardinality(),
                                        opened >= 0),
                        rows));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/related";
    }

    private static BitSet members(Groups groups, int group) {
        BitSet members = new BitSet();
        IntStream.of(groups.grouping().members().row(group)).forEach(members::set);
        return members;
    }

    /** The keywords that have a seed anywhere in them. */
    private static BitSet with(Board board, String seed) {
        String tidy = Tidy.of(seed.substring(0, Math.min(LONGEST, seed.length())));
        return tidy.isEmpty() ? new BitSet() : board.match(new Condition.HasText(tidy));
    }

    private static Row row(Board board, Related.Term term) {
        List<Message> why = new ArrayList<>();
        if (term.pages() > 0) {
            why.add(Message.of("gather.related-controller.shared-page", term.pages()));
        }
        if (term.nearness() > 0) {
            why.add(Message.of(
                    "gather.related-controller.means-about-same",
                    String.format(Locale.ENGLISH, "%.2f", term.nearness())));
        }
        if (term.competitors() > 0) {
            why.add(Message.of("gather.related-controller.competitor-both", term.competitors()));
        }
        int group = board.groupsKnown() ? board.groups().grouping().groupOf(term.keyword()) : -1;
        return new Row(
                board.keywords().text(term.keyword()),
                Message.joined("list.comma", why),
                board.statuses().of(term.keyword()).label(),
                group < 0 ? "" : board.groups().name(group));
    }
}
