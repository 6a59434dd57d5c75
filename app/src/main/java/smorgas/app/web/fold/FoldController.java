package smorgas.app.web.fold;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.figure.Computed;
import smorgas.core.fold.Cleaner;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Misspellings;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.FoldDecision;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Fold: the stair from lines to keywords, what became one keyword and why, and what a hand can do about it. */
@Controller
class FoldController {

    private static final int PAGE = 30;
    private static final int PROPOSALS = 50;

    /** A misspelling as it is proposed. */
    record ProposalView(String wrong, String right, Message tells, String confidence) {}

    /** A misspelling that was accepted. */
    record AcceptedView(String wrong, String right) {}

    /** A cleaning that is made. */
    record CleaningView(int number, Message sentence) {}

    /** What a cleaning would do. */
    record PreviewView(Message sentence, Message tells, List<Cleaner.Sample> samples) {}

    /** Replacements, and what the one being made would do or why it cannot be. */
    record Cleanings(
            List<CleaningView> cleanings,
            Cleaning.Script[] scripts,
            @Nullable PreviewView preview,
            @Nullable Message cleaningFault) {}

    private final Frames frames;

    FoldController(Frames frames) {
        this.frames = frames;
    }

    /** What folding comes to. */
    record FoldPage(List<StairView> stair, String keywords) {}

    /** Which sets are shown, in which order, and which page of them. */
    record SetsAsked(String q, String order, int page) {}

    @ModelAttribute("setsAsked")
    SetsAsked setsAsked(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "doubtful") String order,
            @RequestParam(defaultValue = "1") int page) {
        return new SetsAsked(q, order, page);
    }

    /**
     * @param asked a cleaning to be looked at before it is made
     */
    @GetMapping("/projects/{id}/fold")
    String page(
            @PathVariable long id,
            @ModelAttribute("setsAsked") SetsAsked wanted,
            @ModelAttribute("cleaning") AskedCleaning asked,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Board board = snapshot.board();
        sets(board, wanted, model);
        Shown.in(
                model,
                new FoldPage(
                        StairView.of(board.foldReport().steps()),
                        Show.count(board.keywords().size())));
        hands(board, model);
        cleanings(board, asked, model);
        frames.frame(model, id, snapshot, Step.FOLD);
        return "fold/page";
    }

    /** Keywords with several lines. */
    record Sets(String q, String order, String sets, int page, int pages, List<FoldSet> rows) {}

    private static void sets(Board board, SetsAsked asked, Model model) {
        Keywords keywords = board.keywords();
        String wanted = smorgas.core.text.Tidy.of(asked.q());
        boolean doubtful = !asked.order().equals("largest");
        int[] all =
                doubtful ? board.foldReport().doubtfulFirst() : board.orders().by(Computed.LINES, true);
        int[] sets = java.util.Arrays.stream(all)
                .takeWhile(keyword -> keywords.lineCount(keyword) > 1)
                .filter(keyword -> wanted.isEmpty()
                        || keywords.tidyTexts(keyword).stream().anyMatch(text -> text.contains(wanted)))
                .toArray();
        int pages = Math.max(1, (sets.length + PAGE - 1) / PAGE);
        int shown = Math.clamp(asked.page(), 1, pages);
        Shown.in(
                model,
                new Sets(
                        asked.q(),
                        doubtful ? "doubtful" : "largest",
                        Show.count(sets.length),
                        shown,
                        pages,
                        java.util.Arrays.stream(sets)
                                .skip((shown - 1L) * PAGE)
                                .limit(PAGE)
                                .mapToObj(keyword -> FoldSet.of(board, keyword))
                                .toList()));
    }

    /** Misspellings, little words, and what a hand has decided. */
    record Hands(
            List<ProposalView> proposals,
            int moreProposals,
            List<AcceptedView> accepted,
            String littleWords,
            Message littleCount,
            Message decisions) {}

    private static void hands(Board board, Model model) {
        Folding folding = board.recipe().folding();
        List<Misspellings.Proposal> proposals = board.misspellings();
        long lost = folding.decisions().stream()
                .map(FoldDecision::texts)
                .filter(texts -> texts.stream()
                        .noneMatch(text -> board.keywords().find(text).isPresent()))
                .count();
        Shown.in(
                model,
                new Hands(
                        proposals.stream()
                                .limit(PROPOSALS)
                                .map(FoldController::proposal)
                                .toList(),
                        Math.max(0, proposals.size() - PROPOSALS),
                        folding.misspellings().entrySet().stream()
                                .map(e -> new AcceptedView(e.getKey(), e.getValue()))
                                .toList(),
                        String.join("\n", folding.littleWords()),
                        Message.of("count.words", folding.littleWords().size()),
                        folding.decisions().isEmpty() && folding.leads().isEmpty()
                                ? Message.NONE
                                : Message.of(
                                        "fold.fold-controller.decision-hand-holds-whatever",
                                        folding.decisions().size()
                                                + folding.leads().size(),
                                        (lost == 0
                                                ? Message.verbatim(".")
                                                : Message.of(
                                                        "fold.fold-controller.them-find-keyword-present", lost)))));
    }

    private static ProposalView proposal(Misspellings.Proposal p) {
        return new ProposalView(
                p.wrong(),
                p.right(),
                Message.of(
                        "fold.fold-controller.spellings-one-letter-off", p.wrongCount(), p.rightCount(), p.distance()),
                Show.percent(p.confidence()));
    }

    private static void cleanings(Board board, AskedCleaning asked, Model model) {
        Folding folding = board.recipe().folding();
        PreviewView preview = null;
        Message fault = null;
        try {
            preview = asked.cleaning().map(cleaning -> preview(board, cleaning)).orElse(null);
        } catch (Refusal e) {
            fault = Message.of("sentence", e.message());
        }
        List<CleaningView> cleanings = folding.cleanings().stream()
                .map(c -> new CleaningView(c.number(), c.cleaning().sentence()))
                .toList();
        Shown.in(model, new Cleanings(cleanings, Cleaning.Script.values(), preview, fault));
    }

    private static PreviewView preview(Board board, Cleaning cleaning) {
        Cleaner.Preview would = board.cleanedBy(cleaning);
        Message aside = would.setAside() == 0
                ? Message.NONE
                : Message.of("fold.fold-controller.which-would-nothing-set", would.setAside());
        return new PreviewView(
                cleaning.sentence(),
                would.changed() == 0
                        ? Message.of("fold.fold-controller.changes-spelling")
                        : Message.of("fold.fold-controller.changes-spelling-2", would.changed(), aside),
                would.samples());
    }

    /** The little words as text, one a line. */
    @GetMapping("/projects/{id}/fold/little-words.txt")
    ResponseEntity<String> littleWords(@PathVariable long id) {
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.TEXT_PLAIN, java.nio.charset.StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"little-words.txt\"")
                .body(String.join(
                        "\n",
                        frames.open(id).snapshot().board().recipe().folding().littleWords()));
    }
}
