package smorgas.app.web.gather;

import java.math.BigInteger;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.board.KnownPhrases;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.CombineSettings;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.source.Combinations;
import smorgas.core.source.MadeList;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Combining word lists: columns of words multiplied, told while one types, and made a basket, a list of the pantry, or lines to copy. */
@Controller
class CombineController {

    private static final int SAMPLES = 12;

    /** So many lines can be copied from the page; more come as a basket. */
    private static final int MOST_LINES = 5_000;

    private final Frames frames;
    private final Pantry pantry;
    private final WordsFrom wordsFrom;

    CombineController(Frames frames, Pantry pantry, WordsFrom wordsFrom) {
        this.frames = frames;
        this.pantry = pantry;
        this.wordsFrom = wordsFrom;
    }

    /** The form, and what it comes to. */
    record CombinePage(CombineForm form, List<Choice> places, MatchType[] types, Outcomes comes) {}

    /**
     * What would come out.
     *
     * @param fault what cannot be meant; empty if all can
     * @param count how many, in words
     * @param tells of how many the project knows what
     * @param lines all of them in the match types that are ticked, if they are few enough to be copied
     */
    record Outcomes(Message fault, Message count, Message tells, List<String> samples, String lines) {}

    /** The outcome alone. */
    record Preview(Outcomes comes) {}

    @GetMapping("/projects/{id}/combine")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long again,
            @RequestParam(defaultValue = "") String from,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        OpenProject project = frames.open(id);
        Board board = project.snapshot().board();
        List<String> words = from.isEmpty() ? List.of() : wordsFrom.words(board, from, id, tab);
        String group = from.startsWith("group:") ? from.substring("group:".length()) : "";
        CombineForm form = board.recipe()
                .gathering()
                .find(again)
                .flatMap(basket ->
                        basket.asked(Asked.Paired.class).map(asked -> CombineForm.of(asked.combine(), basket.name())))
                .orElseGet(() -> CombineForm.of(List.of(words), "", group));
        return shown(project, form, Set.of(), tab, model);
    }

    /** The same page with words of a list, the tray or groups in a column. */
    @PostMapping("/projects/{id}/combine")
    String filled(
            @PathVariable long id,
            @RequestParam(defaultValue = "-1") int fill,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        OpenProject project = frames.open(id);
        String from = fields.getFirst("from" + fill);
        CombineForm form = CombineForm.of(new Fields(fields));
        return shown(
                project,
                from == null || from.isEmpty()
                        ? form
                        : form.with(fill, wordsFrom.words(project.snapshot().board(), from, id, tab)),
                types(fields),
                tab,
                model);
    }

    @PostMapping("/projects/{id}/combine/preview")
    String preview(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        Board board = frames.open(id).snapshot().board();
        Shown.in(model, new Preview(comes(board, CombineForm.of(new Fields(fields)), types(fields))));
        return "gather/combine :: comes";
    }

    private String shown(OpenProject project, CombineForm form, Set<MatchType> types, String tab, Model model) {
        Snapshot snapshot = project.snapshot();
        Shown.in(
                model,
                new CombinePage(
                        form,
                        wordsFrom.places(snapshot.board(), project.id(), tab),
                        MatchType.values(),
                        comes(snapshot.board(), form, types)));
        frames.frame(model, project.id(), snapshot, Step.GATHER);
        return "gather/combine";
    }

    private static Set<MatchType> types(MultiValueMap<String, String> fields) {
        return new Fields(fields).ticked(MatchType.class, "types");
    }

    private static Outcomes comes(Board board, CombineForm form, Set<MatchType> types) {
        if (form.columns().stream().filter(column -> !column.words().isBlank()).count() < CombineSettings.FEWEST) {
            return new Outcomes(
                    Message.NONE,
                    Message.NONE,
                    Message.of("gather.combine-controller.write-words-into-two"),
                    List.of(),
                    "");
        }
        try {
            CombineSettings combine = form.read();
            BigInteger count = Combinations.count(combine);
            List<String> samples = List.copyOf(Combinations.first(combine, SAMPLES));
            boolean few = count.compareTo(BigInteger.valueOf(Math.min(MOST_LINES, combine.most()))) <= 0;
            Collection<String> all = few ? Combinations.of(combine) : List.of();
            Message much = count.compareTo(BigInteger.valueOf(combine.most())) > 0
                    ? Message.of("gather.combine-controller.more-than-may-come", combine.most())
                    : Message.NONE;
            return new Outcomes(
                    much,
                    few
                            ? Message.of("gather.combine-controller.phrase", all.size())
                            : Message.of("gather.combine-controller.phrases", count),
                    few ? KnownHere.told(KnownPhrases.of(board, all)) : Message.NONE,
                    samples,
                    few ? String.join("\n", lines(all, types)) : "");
        } catch (Refusal refused) {
            return new Outcomes(refused.message(), Message.NONE, Message.NONE, List.of(), "");
        }
    }

    private static List<String> lines(Collection<String> phrases, Set<MatchType> types) {
        return types.isEmpty()
                ? List.copyOf(phrases)
                : phrases.stream()
                        .flatMap(phrase -> types.stream().map(type -> type.written(phrase)))
                        .toList();
    }

    /** The phrases become a basket, and its keywords those of a group if one is named. */
    @PostMapping("/projects/{id}/combine/basket")
    String basket(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        CombineForm form = CombineForm.of(new Fields(fields));
        OpenProject project = frames.open(id);
        return ToolResult.basket(
                project,
                "combine",
                () -> {
                    CombineSettings combine = form.read();
                    return Offered.made(
                            ToolResult.name(form.name(), frames.wording().of("basket-name.combine")),
                            MadeList.of(Combinations.of(combine)),
                            BasketInfo.Kind.PAIRED,
                            new Asked.Paired(combine));
                },
                form.group(),
                redirect);
    }

    /** The phrases become a list of the pantry. */
    @PostMapping("/projects/{id}/combine/list")
    String list(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        CombineForm form = CombineForm.of(new Fields(fields));
        try {
            WordList list = WordList.of(
                    ToolResult.name(form.name(), frames.wording().of("basket-name.combine")),
                    "",
                    WordList.Kind.OTHER,
                    String.join("\n", Combinations.of(form.read())));
            pantry.save(list);
            redirect.addFlashAttribute("notice", Message.of("gather.combine-controller.is-in-the-pantry", list.name()));
            return "redirect:/pantry?list=" + Show.encoded(list.name());
        } catch (Refusal refused) {
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.combine-controller.nothing-made", refused.message()));
            return "redirect:/projects/" + id + "/combine";
        }
    }
}
