package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Meanings;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.board.KnownPhrases;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.BasketState;
import smorgas.core.recipe.gather.Brainstorm;
import smorgas.core.recipe.gather.Brainstorm.Form;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.source.Ideas;
import smorgas.core.source.MadeList;
import smorgas.core.source.NearWords;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Brainstorm: phrases around what somebody writes of customers, judged before they are a basket. */
@Controller
class BrainstormController {

    private final Frames frames;
    private final Meanings meanings;
    private final Pantry pantry;

    BrainstormController(Frames frames, Meanings meanings, Pantry pantry) {
        this.pantry = pantry;
        this.frames = frames;
        this.meanings = meanings;
    }

    /** The form, and the phrases by what they say. */
    record BrainstormPage(BrainstormForm form, Form[] forms, Message fault, Message told, List<Said> said) {}

    /** Phrases that say one thing. */
    record Said(Message label, List<One> phrases) {}

    /** A phrase beside the project: new, or how it stands. */
    record One(String text, Message status) {
        /** Whether the project does not have it. */
        public boolean fresh() {
            return status.equals(KnownHere.NEW);
        }
    }

    @GetMapping("/projects/{id}/brainstorm")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long again,
            @RequestParam MultiValueMap<String, String> asked,
            Model model) {
        return new Fields(asked).has("offer") ? think(id, asked, model) : begun(id, again, model);
    }

    private String begun(long id, long again, Model model) {
        OpenProject project = frames.open(id);
        Optional<BasketState> before =
                project.snapshot().board().recipe().gathering().find(again);
        Optional<Brainstorm> asked =
                before.flatMap(basket -> basket.asked(Asked.Thought.class)).map(Asked.Thought::brainstorm);
        return shown(
                project,
                asked.orElse(null),
                asked.map(brainstorm -> BrainstormForm.of(
                                brainstorm, before.orElseThrow().name()))
                        .orElse(BrainstormForm.EMPTY),
                Message.NONE,
                model);
    }

    /** The phrases around the texts. */
    @PostMapping("/projects/{id}/brainstorm")
    String think(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        OpenProject project = frames.open(id);
        BrainstormForm form = BrainstormForm.of(new Fields(fields));
        try {
            return shown(project, form.read(frames.project(id).language()), form, Message.NONE, model);
        } catch (Refusal refused) {
            return shown(project, null, form, Message.of("sentence", refused.message()), model);
        }
    }

    private String shown(
            OpenProject project, @Nullable Brainstorm asked, BrainstormForm form, Message fault, Model model) {
        Snapshot snapshot = project.snapshot();
        Board board = snapshot.board();
        List<Ideas.Idea> ideas = asked == null ? List.of() : Ideas.of(asked);
        Shown.in(
                model,
                new BrainstormPage(
                        form,
                        Form.values(),
                        fault,
                        asked == null
                                ? Message.NONE
                                : Message.of(
                                        "gather.brainstorm-controller.phrases",
                                        ideas.size(),
                                        KnownHere.told(KnownPhrases.of(
                                                board,
                                                ideas.stream()
                                                        .map(Ideas.Idea::text)
                                                        .toList()))),
                        said(project, board, ideas)));
        frames.frame(model, project.id(), snapshot, Step.GATHER);
        return "gather/brainstorm";
    }

    /** Of the project's words and those of lists that somebody has put into the pantry those near to the things that were found. */
    private List<String> near(OpenProject project, Board board, List<Ideas.Idea> ideas) {
        List<String> things = ideas.stream()
                .filter(idea -> idea.form() == Form.THINGS)
                .map(Ideas.Idea::text)
                .toList();
        List<String> kept = pantry.all().stream()
                .filter(list -> list.kind() == WordList.Kind.OTHER)
                .flatMap(list -> list.words().stream())
                .map(Tidy::of)
                .distinct()
                .toList();
        meanings.learn(project, Stream.concat(things.stream(), kept.stream()).toList());
        // What the project's own keywords mean is known a while later.
        meanings.begin(project);
        return NearWords.of(
                things,
                Stream.concat(
                                IntStream.range(0, board.keywords().size())
                                        .mapToObj(keyword ->
                                                Tidy.of(board.keywords().text(keyword))),
                                kept.stream())
                        .toList(),
                meanings.vectors(project.id())::of);
    }

    private List<Said> said(OpenProject project, Board board, List<Ideas.Idea> ideas) {
        Map<Form, List<One>> byForm = new EnumMap<>(Form.class);
        for (Ideas.Idea idea : ideas) {
            byForm.computeIfAbsent(idea.form(), none -> new ArrayList<>())
                    .add(new One(idea.text(), KnownHere.status(board, idea.text())));
        }
        List<Said> said = new ArrayList<>(byForm.entrySet().stream()
                .map(form -> new Said(form.getKey().label(), form.getValue()))
                .toList());
        List<One> near = near(project, board, ideas).stream()
                .map(text -> new One(text, KnownHere.status(board, text)))
                .toList();
        if (!near.isEmpty()) {
            said.add(new Said(Message.of("gather.brainstorm-controller.what-project-pantry-means"), near));
        }
        return said;
    }

    @PostMapping("/projects/{id}/brainstorm/basket")
    String basket(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        BrainstormForm form = BrainstormForm.of(new Fields(fields));
        OpenProject project = frames.open(id);
        return ToolResult.basket(
                project,
                "brainstorm",
                () -> {
                    Brainstorm asked = form.read(frames.project(id).language());
                    List<String> ticked = fields.getOrDefault("phrase", List.of()).stream()
                            .map(Tidy::of)
                            .filter(text -> !text.isEmpty())
                            .distinct()
                            .toList();
                    if (ticked.isEmpty()) {
                        throw new Refusal("gather.brainstorm-controller.tick-phrase-least");
                    }
                    return Offered.made(
                            ToolResult.name(form.name(), frames.wording().of("basket-name.brainstorm")),
                            MadeList.of(ticked),
                            BasketInfo.Kind.BRAINSTORM,
                            new Asked.Thought(asked));
                },
                redirect);
    }
}
