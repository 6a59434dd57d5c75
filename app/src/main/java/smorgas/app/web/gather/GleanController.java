package smorgas.app.web.gather;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.util.unit.DataSize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Pages;
import smorgas.app.work.Snapshot;
import smorgas.app.work.ToolTask;
import smorgas.app.work.ToolTasks;
import smorgas.core.board.Board;
import smorgas.core.board.KnownPhrases;
import smorgas.core.gather.Packed;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.Gleaning;
import smorgas.core.source.Gleaner;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Gleaning: phrases of pages counted and looked at beside the project, then made a basket or a text. */
@Controller
class GleanController {

    private static final int SHOWN = 200;
    private static final int PAGES_SHOWN = 2;

    private final Frames frames;
    private final Pages pages;
    private final ToolTasks errands;
    private final WordsFrom wordsFrom;
    private final long mostUnpacked;

    GleanController(
            Frames frames,
            Pages pages,
            ToolTasks errands,
            WordsFrom wordsFrom,
            @Value("${smorgas.most-unpacked}") DataSize mostUnpacked) {
        this.frames = frames;
        this.pages = pages;
        this.errands = errands;
        this.wordsFrom = wordsFrom;
        this.mostUnpacked = mostUnpacked.toBytes();
    }

    /** The form, and what comes of the pages that are held. */
    record GleanPage(
            GleanForm form,
            List<Choice> places,
            boolean hasDemoPages,
            boolean fetching,
            Gleanings gleaned,
            ToolTasksView errands) {}

    /**
     * What comes of pages.
     *
     * @param told how many, in a sentence; empty before any page came
     * @param more whether there are more than are shown
     */
    record Gleanings(Message told, List<Message> problems, List<Row> rows, boolean more) {}

    /** A phrase beside the project: new, or how it stands. */
    record Row(String text, String weight, String times, String pages, String most, Message standing) {}

    @GetMapping("/projects/{id}/glean")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long again,
            @RequestParam(defaultValue = "") List<String> address,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        OpenProject project = frames.open(id);
        GleanForm form = project.snapshot()
                .board()
                .recipe()
                .gathering()
                .find(again)
                .flatMap(basket ->
                        basket.asked(Asked.Gleaned.class).map(asked -> GleanForm.of(asked.gleaning(), basket.name())))
                .orElseGet(() -> GleanForm.usual(frames.project(id).language()));
        return shown(project, form.withAddresses(address), List.of(), tab, model);
    }

    /** Takes in what was sent, if anything was, and shows what comes of it. */
    @PostMapping("/projects/{id}/glean")
    String read(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @RequestParam(defaultValue = "") String fill,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model)
            throws IOException {
        OpenProject project = frames.open(id);
        Snapshot snapshot = project.snapshot();
        GleanForm form = GleanForm.of(new Fields(fields));
        List<Message> problems = new ArrayList<>();
        if (fill.equals("addresses")) {
            form = form.withAddresses(pages.addresses());
        } else if (!fill.isEmpty()) {
            String from = new Fields(fields).text(fill + "From");
            form = form.withWords(
                    fill.equals("stop"), from.isEmpty() ? List.of() : wordsFrom.words(snapshot.board(), from, id, tab));
        } else {
            take(id, form, files == null ? List.of() : files, problems);
        }
        return shown(project, form, problems, tab, model);
    }

    private void take(long id, GleanForm form, List<MultipartFile> files, List<Message> problems) throws IOException {
        List<Pages.Page> came = new ArrayList<>();
        for (MultipartFile file : files) {
            if (!file.isEmpty()) {
                Packed.Contents contents = Packed.open(
                        Show.fileName(String.valueOf(file.getOriginalFilename()), frames.wording()),
                        file.getBytes(),
                        mostUnpacked);
                contents.lists().forEach(page -> came.add(new Pages.Page(page.name(), page.bytes())));
                contents.problems().forEach(problem -> problems.add(problem.sentence()));
            }
        }
        if (!form.pasted().isBlank()) {
            came.add(new Pages.Page(
                    frames.wording().of("gather.glean-controller.pasted-text"),
                    form.pasted().getBytes(StandardCharsets.UTF_8)));
        }
        for (String address : form.addressLines()) {
            pages.within(address)
                    .ifPresentOrElse(
                            page -> came.add(new Pages.Page(address, page)),
                            () -> problems.add(Message.of(
                                    "gather.glean-controller.must-fetched-ask-background", address, pages.fetching())));
        }
        if (!came.isEmpty()) {
            pages.hold(id, came);
        }
    }

    private String shown(OpenProject project, GleanForm form, List<Message> problems, String tab, Model model) {
        long id = project.id();
        Snapshot snapshot = project.snapshot();
        Shown.in(
                model,
                new GleanPage(
                        form,
                        wordsFrom.places(snapshot.board(), id, tab),
                        !pages.addresses().isEmpty(),
                        pages.fetching(),
                        gleanings(id, snapshot.board(), form, problems),
                        ToolTasksView.of(errands, id)));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/glean";
    }

    private Gleanings gleanings(long id, Board board, GleanForm form, List<Message> problems) {
        if (pages.held(id).isEmpty()) {
            return new Gleanings(Message.NONE, problems, List.of(), false);
        }
        try {
            Gleaner.Result result = glean(id, form.read());
            List<String> texts =
                    result.phrases().stream().map(Gleaner.Phrase::text).toList();
            KnownPhrases known = KnownPhrases.of(board, texts);
            List<Row> rows = result.phrases().stream()
                    .map(phrase -> row(phrase, KnownHere.standing(board, phrase.text())))
                    .filter(row -> !form.onlyNew() || row.standing().equals(KnownHere.NEW))
                    .limit(SHOWN)
                    .toList();
            List<Message> told = new ArrayList<>(problems);
            told.addAll(result.problems());
            return new Gleanings(
                    Message.of(
                            "gather.glean-controller.phrases-of-pages",
                            texts.size(),
                            result.pages(),
                            KnownHere.told(known)),
                    told,
                    rows,
                    (form.onlyNew() ? known.fresh() : known.all()) > rows.size());
        } catch (Refusal refused) {
            List<Message> told = new ArrayList<>(problems);
            told.add(Message.of("sentence", refused.message()));
            return new Gleanings(Message.NONE, told, List.of(), false);
        }
    }

    private static Row row(Gleaner.Phrase phrase, Message standing) {
        return new Row(
                phrase.text(),
                Show.count(phrase.weight()),
                Show.count(phrase.times()),
                Show.count(phrase.pages()),
                phrase.most().entrySet().stream()
                        .limit(PAGES_SHOWN)
                        .map(page -> page.getKey() + " " + page.getValue())
                        .collect(Collectors.joining("; ")),
                standing);
    }

    private Gleaner.Result glean(long id, Gleaning wanted) {
        Gleaner gleaner = new Gleaner(wanted);
        pages.held(id).forEach(page -> gleaner.add(page.name(), page.bytes()));
        return gleaner.result();
    }

    /** The phrases of the pages that are held, as the form asks for them. */
    private Gleaner.Result wanted(long id, GleanForm form, Gleaning wanted) {
        if (pages.held(id).isEmpty()) {
            throw new Refusal("gather.glean-controller.pages-held-any-more");
        }
        Gleaner.Result result = glean(id, wanted);
        Board board = frames.open(id).snapshot().board();
        List<Gleaner.Phrase> phrases = result.phrases().stream()
                .filter(phrase -> !form.onlyNew()
                        || KnownPhrases.standing(board, phrase.text()).isEmpty())
                .toList();
        if (phrases.isEmpty()) {
            throw new Refusal("gather.glean-controller.phrase-left");
        }
        return new Gleaner.Result(phrases, result.pages(), result.problems());
    }

    @PostMapping("/projects/{id}/glean/basket")
    String basket(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        GleanForm form = GleanForm.of(new Fields(fields));
        OpenProject project = frames.open(id);
        return ToolResult.basket(
                project,
                "glean",
                () -> {
                    Gleaning asked = form.read();
                    Gleaner.Result result = wanted(id, form, asked);
                    return Offered.made(
                            ToolResult.name(form.name(), frames.wording().of("basket-name.phrases-of-pages")),
                            result.list(),
                            BasketInfo.Kind.PAGE,
                            new Asked.Gleaned(asked, result.pages(), result.problems()));
                },
                redirect);
    }

    /** The phrases with how often each stands, a line each, for whatever one likes. */
    @PostMapping("/projects/{id}/glean/text")
    ResponseEntity<String> text(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields) {
        GleanForm form = GleanForm.of(new Fields(fields));
        String text;
        try {
            text = wanted(id, form, form.read()).phrases().stream()
                    .map(phrase -> phrase.text() + "\t" + phrase.times())
                    .collect(Collectors.joining("\n", "", "\n"));
        } catch (Refusal refused) {
            text = frames.wording().of("sentence", refused.message()) + "\n";
        }
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8))
                .header("Content-Disposition", "attachment; filename=\"phrases.txt\"")
                .body(text);
    }

    /** The addresses are read in the background, and what comes becomes a basket. */
    @PostMapping("/projects/{id}/glean/start")
    String start(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        GleanForm form = GleanForm.of(new Fields(fields));
        try {
            String name = ToolResult.name(form.name(), frames.wording().of("basket-name.phrases-of-pages"));
            errands.send(frames.open(id), name, new ToolTask.Purpose.NewBasket(name), pages.gleaning(form.read()));
        } catch (Refusal refused) {
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.glean-controller.nothing-asked", refused.message()));
        }
        return "redirect:/projects/" + id + "/glean";
    }
}
