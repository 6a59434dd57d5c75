package smorgas.app.web.serve;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Project;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.core.board.Board;
import smorgas.core.board.FeedbackCsv;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.FeedbackSettings;
import smorgas.core.serve.Csv;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;
import smorgas.core.value.Feedback;

/** Feedback: what reports tell of the terms that were searched, and what follows of it. */
@Controller
class FeedbackController {

    private static final int SHOWN = 200;

    private final Frames frames;

    FeedbackController(Frames frames) {
        this.frames = frames;
    }

    /** Figures as they are shown. */
    record Row(
            String text,
            String clicks,
            String cost,
            String conversions,
            String each,
            Message hit,
            String keyword,
            String group,
            String groupKey) {}

    /** A negative that would hold off what never converted. */
    record WasteRow(String text, Message type, String clicks, String cost, int blocks, String spells, boolean taken) {}

    /** A group with what its terms cost and brought. */
    record GroupRow(
            String name,
            String key,
            String terms,
            String clicks,
            String cost,
            String conversions,
            String each,
            boolean wasted) {}

    /** A week beside the one before. */
    record WeekRow(String name, String clicks, String cost, String conversions, String each, String change) {}

    /** What the reports tell. */
    record FeedbackPage(
            boolean reports,
            FeedbackSettings settings,
            List<WasteRow> wastes,
            List<Row> fresh,
            List<GroupRow> groups,
            List<WeekRow> weeks,
            List<Row> terms,
            Message termCount,
            int moreTerms,
            String wasted,
            List<Message> told) {}

    private Feedback.Found found(OpenProject project) {
        Project about = frames.project(project.id());
        Board board = project.snapshot().board();
        return Feedback.of(
                board.keywords(),
                board.statuses().remaining(),
                board.statuses().with(Status.KEPT),
                board.groups().grouping()::groupOf,
                board.recipe().valuing().feedback(),
                about.currency(),
                about.market(),
                board.recipe().folding().littleWords());
    }

    @GetMapping("/projects/{id}/feedback")
    String page(@PathVariable long id, Model model) {
        OpenProject project = frames.openWithGroups(id, Step.SERVE);
        Board board = project.snapshot().board();
        Feedback.Found found = found(project);
        Shown.in(
                model,
                new FeedbackPage(
                        !found.terms().isEmpty(),
                        board.recipe().valuing().feedback(),
                        found.wastes().stream()
                                .limit(SHOWN)
                                .map(waste -> waste(waste, board))
                                .toList(),
                        found.fresh().stream()
                                .limit(SHOWN)
                                .map(term -> row(term, board))
                                .toList(),
                        found.groups().stream()
                                .limit(SHOWN)
                                .map(group -> row(group, board))
                                .toList(),
                        weeks(found),
                        found.terms().stream()
                                .limit(SHOWN)
                                .map(term -> row(term, board))
                                .toList(),
                        Message.of("count.terms", found.terms().size()),
                        Math.max(0, found.terms().size() - SHOWN),
                        money(found.wastes().stream()
                                .mapToLong(waste -> waste.figures().cost())
                                .sum()),
                        found.told()));
        frames.frame(model, id, project.snapshot(), Step.SERVE);
        return "serve/feedback";
    }

    private static WasteRow waste(Feedback.Waste waste, Board board) {
        return new WasteRow(
                waste.text(),
                waste.type().label(),
                Show.count(waste.figures().clicks()),
                money(waste.figures().cost()),
                board.negatives().blocked(waste.text(), waste.type()).size(),
                waste.spells() < 0 ? "" : board.keywords().text(waste.spells()),
                board.plan().negatives().anyMatch(negative -> negative.keyword().equals(waste.text())));
    }

    private static Row row(Feedback.Term term, Board board) {
        Keywords keywords = board.keywords();
        return new Row(
                term.text(),
                Show.count(term.figures().clicks()),
                money(term.figures().cost()),
                conversions(term.figures()),
                each(term.figures()),
                term.hit().label(),
                term.keyword() < 0 ? "" : keywords.text(term.keyword()),
                term.group() < 0 ? "" : board.groups().name(term.group()),
                term.group() < 0 ? "" : board.groups().grouping().key(term.group()));
    }

    private static GroupRow row(Feedback.OfGroup group, Board board) {
        return new GroupRow(
                board.groups().name(group.group()),
                board.groups().grouping().key(group.group()),
                Show.count(group.terms()),
                Show.count(group.figures().clicks()),
                money(group.figures().cost()),
                conversions(group.figures()),
                each(group.figures()),
                group.wasted());
    }

    private static List<WeekRow> weeks(Feedback.Found found) {
        List<WeekRow> rows = new ArrayList<>();
        Feedback.Figures before = null;
        for (Feedback.Week week : found.weeks()) {
            Feedback.Figures now = week.figures();
            boolean both = before != null && before.conversions() > 0 && now.conversions() > 0;
            rows.add(new WeekRow(
                    week.name(),
                    Show.count(now.clicks()),
                    money(now.cost()),
                    conversions(now),
                    each(now),
                    both ? change(ofOne(before), ofOne(now)) : ""));
            before = now;
        }
        return rows;
    }

    private static double ofOne(Feedback.Figures figures) {
        return figures.cost() * 100.0 / figures.conversions();
    }

    private static String change(double before, double now) {
        long percent = Math.round(100 * (now - before) / before);
        return (percent > 0 ? "+" : percent < 0 ? "\u2212" : "") + Math.abs(percent) + "%";
    }

    private static String money(long micros) {
        return Show.hundredths(micros / 10_000.0);
    }

    /** Empty where it is unknown of some line. */
    private static String conversions(Feedback.Figures figures) {
        return figures.judged() ? Csv.amount(figures.conversions(), 100) : "";
    }

    private static String each(Feedback.Figures figures) {
        return figures.judged() && figures.conversions() > 0 ? Show.hundredths(ofOne(figures) / 10_000) : "";
    }

    /** After how many clicks a term is judged, and how several reports are read. */
    @PostMapping("/projects/{id}/feedback")
    String settings(Act act, @RequestParam String clicks, @RequestParam boolean added) {
        return act.done(recipe -> new ValueEntry.FeedbackSet(
                new FeedbackSettings(clicks(clicks, act.project().language()), added)));
    }

    private static int clicks(String written, String language) {
        FigureReader reader = new FigureReader(Decimals.of(language));
        if (reader.read(written, Figure.CLICKS) != FigureReader.Outcome.READ) {
            throw new Refusal("serve.feedback-controller.number-clicks-write-100", written.strip());
        }
        return (int) Math.min(reader.low(), Integer.MAX_VALUE);
    }

    /** Terms and words that never converted become negatives of the campaign. */
    @PostMapping("/projects/{id}/feedback/negatives")
    String negatives(Act act, @RequestParam(defaultValue = "") List<String> negative) {
        List<ServeEntry.Said> said = found(act.project()).wastes().stream()
                .filter(waste -> negative.contains(waste.text()))
                .map(waste -> new ServeEntry.Said(
                        waste.text(),
                        "",
                        waste.type() == MatchType.EXACT ? ServeEntry.Say.EXACT : ServeEntry.Say.PHRASE))
                .toList();
        return said.isEmpty()
                ? act.back(new Outcome.NoChange(Message.of("serve.feedback-controller.term-ticked")))
                : act.done(recipe -> new ServeEntry.NegativesSaid(said));
    }

    /** Terms that convert become keywords, in a basket of their own; those that are dropped here are kept. */
    @PostMapping("/projects/{id}/feedback/keywords")
    String keywords(Act act, @RequestParam(defaultValue = "") List<String> term, RedirectAttributes redirect) {
        OpenProject project = act.project();
        Board board = project.snapshot().board();
        List<String> texts =
                term.stream().map(Tidy::of).filter(text -> !text.isEmpty()).toList();
        List<String> dropped = texts.stream()
                .filter(text -> board.keywords().find(text).isPresent())
                .toList();
        List<String> fresh =
                texts.stream().filter(text -> !dropped.contains(text)).toList();
        if (!dropped.isEmpty()) {
            Outcome kept = act.make(
                    recipe -> new SiftEntry.Judged(dropped, board.keywords().otherSpellings(dropped), Status.KEPT));
            if (fresh.isEmpty()) {
                return act.back(kept);
            }
        }
        if (fresh.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("serve.feedback-controller.term-ticked")));
        }
        OpenProject.Gathered gathered = project.gather(
                Offered.made(frames.wording().of("basket-name.terms-that-convert"), fresh, BasketInfo.Kind.OTHER));
        Frames.notice(gathered.outcome()).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
        return "redirect:/projects/" + act.id() + "/feedback";
    }

    /** All terms with what they hit, as CSV for reading. */
    @GetMapping("/projects/{id}/feedback.csv")
    void download(@PathVariable long id, HttpServletResponse response) throws IOException {
        OpenProject project = frames.open(id);
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"feedback.csv\"");
        try (Csv csv = new Csv(response.getWriter())) {
            FeedbackCsv.write(project.snapshot().board(), found(project), frames.wording(), csv);
        }
    }
}
