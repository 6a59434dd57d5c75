package smorgas.app.web.fold;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import smorgas.app.web.show.Show;
import smorgas.core.fold.FoldSteps;
import smorgas.core.text.Message;

/**
 * The stair as it is drawn: a tread a row, as wide as what is left after it.
 *
 * @param kind the persisted name of the kind; empty for treads that cannot be switched
 * @param left width of what is left, of 1,000
 * @param away width of what it folds, or would fold if it is off
 */
record StairView(
        String kind, Message label, Message example, boolean on, String folds, int left, int away, String samples) {

    private static final int WIDTH = 1_000;

    static List<StairView> of(FoldSteps stair) {
        List<StairView> views = new ArrayList<>();
        int lines = Math.max(1, stair.lines());
        views.add(fixed(
                Message.of("fold.stair-view.tidying"),
                Message.of("fold.stair-view.case-spaces-unicode-forms"),
                stair.lines() - stair.spellings(),
                stair.spellings(),
                lines));
        int left = stair.spellings() - stair.cleaned();
        if (stair.cleaned() > 0) {
            views.add(fixed(
                    Message.of("fold.stair-view.cleaning"),
                    Message.of("fold.stair-view.said-under-clean"),
                    stair.cleaned(),
                    left,
                    lines));
        }
        for (FoldSteps.Tread tread : stair.treads()) {
            int after = tread.left();
            views.add(new StairView(
                    tread.kind().name(),
                    tread.kind().label(),
                    tread.kind().example(),
                    tread.on(),
                    Show.count(tread.folds()),
                    width(tread.on() ? after : after - tread.folds(), lines),
                    width(tread.folds(), lines),
                    tread.samples().stream()
                            .map(s -> s.one() + " = " + s.other())
                            .collect(Collectors.joining(" \u00B7 "))));
            left = after;
        }
        if (stair.byHand() != 0) {
            views.add(fixed(
                    Message.of("fold.stair-view.by-hand"),
                    Message.of("fold.stair-view.taken-apart-less-those"),
                    -stair.byHand(),
                    left + stair.byHand(),
                    lines));
        }
        return views;
    }

    private static StairView fixed(Message label, Message example, int folds, int left, int lines) {
        return new StairView(
                "", label, example, true, Show.count(folds), width(left, lines), width(Math.max(0, folds), lines), "");
    }

    private static int width(int part, int lines) {
        return (int) Math.round((double) WIDTH * Math.max(0, part) / lines);
    }
}
