package smorgas.app.web.again;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.board.BeforeAfter;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.text.Message;
import smorgas.core.value.TwoProportions;

/** What came of a change: the reports of the weeks before and since, group by group, with what can be told and what cannot yet. */
@Controller
class AfterController {

    private static final int SHOWN = 300;
    private static final double PERCENT = 100;

    private final Frames frames;

    AfterController(Frames frames) {
        this.frames = frames;
    }

    /**
     * The choice of two reports, and what they tell.
     *
     * @param rows the first is all together; none until two are chosen
     */
    record AfterPage(List<Choice> reports, String before, String after, List<GroupRow> rows, Message more) {}

    /** A group at both times. */
    record GroupRow(
            String key, Message name, String clicksBefore, String clicksAfter, Share clickThrough, Share conversion) {}

    /**
     * A share at both times.
     *
     * @param more what it would take to tell; empty if it can be told
     */
    record Share(String before, String after, Message verdict, Message more) {}

    @GetMapping("/projects/{id}/restructure/after")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long before,
            @RequestParam(defaultValue = "0") long after,
            Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        List<GatheredBasket> reports = snapshot.baskets().stream()
                .filter(one -> one.lines().figure(Figure.CLICKS).isPresent())
                .toList();
        Board board = snapshot.board();
        Optional<GatheredBasket> old = find(reports, before);
        Optional<GatheredBasket> now = find(reports, after);
        List<BeforeAfter.Row> rows = old.isPresent() && now.isPresent()
                ? BeforeAfter.of(board, old.get().lines(), now.get().lines())
                : List.of();
        List<GroupRow> shown = new java.util.ArrayList<>();
        if (!rows.isEmpty()) {
            shown.add(row(board, BeforeAfter.total(rows), Message.of("again.after-controller.all-together")));
            rows.stream()
                    .limit(SHOWN)
                    .map(one -> row(board, one, Message.of("again.after-controller.in-no-group")))
                    .forEach(shown::add);
        }
        Shown.in(
                model,
                new AfterPage(
                        reports.stream()
                                .map(one -> new Choice(one.id(), one.name()))
                                .toList(),
                        String.valueOf(before),
                        after == 0 && !reports.isEmpty()
                                ? String.valueOf(reports.getLast().id())
                                : String.valueOf(after),
                        shown,
                        rows.size() > SHOWN ? Message.of("and-more", rows.size() - SHOWN) : Message.NONE));
        frames.frameWithGroups(model, id, snapshot, Step.SERVE);
        return "again/after";
    }

    private static Optional<GatheredBasket> find(List<GatheredBasket> reports, long basket) {
        return reports.stream().filter(one -> one.id() == basket).findFirst();
    }

    private static GroupRow row(Board board, BeforeAfter.Row row, Message otherwise) {
        int group = row.group();
        return new GroupRow(
                group < 0 ? "" : board.groups().grouping().key(group),
                group < 0 ? otherwise : Message.verbatim(board.groups().name(group)),
                Show.count(row.before().clicks()),
                Show.count(row.after().clicks()),
                share(row.clickThrough(), "again.after-controller.more-impressions"),
                share(row.conversion(), "again.after-controller.more-clicks"));
    }

    private static Share share(TwoProportions test, String trials) {
        long more = test.more();
        return new Share(
                percent(test.first()),
                percent(test.second()),
                test.verdict().label(),
                more == 0 || more == Long.MAX_VALUE ? Message.NONE : Message.of(trials, more));
    }

    private static String percent(double share) {
        return Double.isNaN(share) ? "" : String.format(Locale.ENGLISH, "%.2f%%", PERCENT * share);
    }
}
