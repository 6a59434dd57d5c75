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
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.source.PhraseFinder;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Phrases from web pages: counted and looked at beside the project, then made a basket or a text. */
@Controller
class PhrasesController {

    private static final int SHOWN = 200;
    private static final int PAGES_SHOWN = 2;

    private final Frames frames;
    private final Pages pages;
    private final ToolTasks errands;
    private final WordsFrom wordsFrom;
    private final long mostUnpacked;

    PhrasesController(
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
    record PhrasesPage(
            PhrasesForm form,
            List<Choice> places,
            boolean hasDemoPages,
            boolean fetching,
            Gleanings phrases,
            ToolTasksView errands) {}

    /**
     * What comes of pages.
     *
     * @param told how many, in a sentence; empty before any page came
     * @param more whether there are more than are shown
     */
    record Gleanings(Message told, List<Message> problems, List<Row> rows, boolean more) {}

    /** A phrase beside the project: new, or how it stands. */
    record Row(String text, String weight, String times, String pages, String most, Message status) {}

    @GetMapping("/projects/{id}/phrases")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long again,
            @RequestParam(defaultValue = "") List<String> address,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        OpenProject project = frames.open(id);
        PhrasesForm form = project.snapshot()
                .board()
                .recipe()
                .gathering()
                .find(again)
                .flatMap(basket -> basket.asked(Asked.FoundPhrases.class)
                        .map(asked -> PhrasesForm.of(asked.phrases(), basket.name())))
                .orElseGet(() -> PhrasesForm.usual(frames.project(id).language()));
        return shown(project, form.withAddresses(address), List.of(), tab, model);
    }

    /** Takes in what was sent, if anything was, and shows what comes of it. */
    @PostMapping("/projects/{id}/phrases")
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
        PhrasesForm form = PhrasesForm.of(new Fields(fields));
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

    private void take(long id, PhrasesForm form, List<MultipartFile> files, List<Message> problems) throws IOException {
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
                    frames.wording().of("gather.phrases-controller.pasted-text"),
                    form.pasted().getBytes(StandardCharsets.UTF_8)));
        }
        for (String address : form.addressLines()) {
            pages.within(address)
                    .ifPresentOrElse(
                            page -> came.add(new Pages.Page(address, page)),
                            () -> problems.add(Message.of(
                                    "gather.phrases-controller.must-fetched-ask-background",
                                    address,
                                    pages.fetching())));
        }
        if (!came.isEmpty()) {
            pages.hold(id, came);
        }
    }

    private String shown(OpenProject project, PhrasesForm form, List<Message> problems, String tab, Model model) {
        long id = project.id();
        Snapshot snapshot = project.snapshot();
        Shown.in(
                model,
                new PhrasesPage(
                        form,
                        wordsFrom.places(snapshot.board(), id, tab),
                        !pages.addresses().isEmpty(),
                        pages.fetching(),
                        gleanings(id, snapshot.board(), form, problems),
                        ToolTasksView.of(errands, id)));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/phrases";
    }

    private Gleanings gleanings(long id, Board board, PhrasesForm form, List<Message> problems) {
        if (pages.held(id).isEmpty()) {
            return new Gleanings(Message.NONE, problems, List.of(), false);
        }
        try {
            PhraseFinder.Result result = phrases(id, form.read());
            List<String> texts =
                    result.phrases().stream().map(PhraseFinder.Phrase::text).toList();
            KnownPhrases known = KnownPhrases.of(board, texts);
            List<Row> rows = result.phrases().stream()
                    .map(phrase -> row(phrase, KnownHere.status(board, phrase.text())))
                    .filter(row -> !form.onlyNew() || row.status().equals(KnownHere.NEW))
                    .limit(SHOWN)
                    .toList();
            List<Message> told = new ArrayList<>(problems);
            told.addAll(result.problems());
            return new Gleanings(
                    Message.of(
                            "gather.phrases-controller.phrases-of-pages",
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

    private static Row row(PhraseFinder.Phrase phrase, Message status) {
        return new Row(
                phrase.text(),
                Show.count(phrase.weight()),
                Show.count(phrase.times()),
                Show.count(phrase.pages()),
                phrase.most().entrySet().stream()
                        .limit(PAGES_SHOWN)
                        .map(page -> page.getKey() + " " + page.getValue())
                        .collect(Collectors.joining("; ")),
                status);
    }

    private PhraseFinder.Result phrases(long id, PhraseSettings wanted) {
        PhraseFinder finder = new PhraseFinder(wanted);
        pages.held(id).forEach(page -> finder.add(page.name(), page.bytes()));
        return finder.result();
    }

    /** The phrases of the pages that are held, as the form asks for them. */
    private PhraseFinder.Result wanted(long id, PhrasesForm form, PhraseSettings wanted) {
        if (pages.held(id).isEmpty()) {
            throw new Refusal("gather.phrases-controller.pages-held-any-more");
        }
        PhraseFinder.Result result = phrases(id, wanted);
        Board board = frames.open(id).snapshot().board();
        List<PhraseFinder.Phrase> phrases = result.phrases().stream()
                .filter(phrase -> !form.onlyNew()
                        || KnownPhrases.status(board, phrase.text()).isEmpty())
                .toList();
        if (phrases.isEmpty()) {
            throw new Refusal("gather.phrases-controller.phrase-left");
        }
        return new PhraseFinder.Result(phrases, result.pages(), result.problems());
    }

    @PostMapping("/projects/{id}/phrases/basket")
    String basket(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        PhrasesForm form = PhrasesForm.of(new Fields(fields));
        OpenProject project = frames.open(id);
        return ToolResult.basket(
                project,
                "phrases",
                () -> {
                    PhraseSettings asked = form.read();
                    PhraseFinder.Result result = wanted(id, form, asked);
                    return Offered.made(
                            ToolResult.name(form.name(), frames.wording().of("basket-name.phrases-of-pages")),
                            result.list(),
                            BasketInfo.Kind.PAGE,
                            new Asked.FoundPhrases(asked, result.pages(), result.problems()));
                },
                redirect);
    }

    /** The phrases with how often each stands, a line each, for whatever one likes. */
    @PostMapping("/projects/{id}/phrases/text")
    ResponseEntity<String> text(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields) {
        PhrasesForm form = PhrasesForm.of(new Fields(fields));
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
    @PostMapping("/projects/{id}/phrases/start")
    String start(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        PhrasesForm form = PhrasesForm.of(new Fields(fields));
        try {
            String name = ToolResult.name(form.name(), frames.wording().of("basket-name.phrases-of-pages"));
            errands.send(frames.open(id), name, new ToolTask.Purpose.NewBasket(name), pages.phrases(form.read()));
        } catch (Refusal refused) {
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.phrases-controller.nothing-asked", refused.message()));
        }
        return "redirect:/projects/" + id + "/phrases";
    }
}
