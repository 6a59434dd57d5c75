package smorgas.app.web.gather;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.source.MadeList;
import smorgas.core.source.Sentences;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Sentences: each short sentence of a text is a keyword. */
@Controller
class SentencesController {

    private final Frames frames;

    SentencesController(Frames frames) {
        this.frames = frames;
    }

    /** The form. */
    record SentencesPage(Asked.Sentences form, String name, int mostWords) {}

    @GetMapping("/projects/{id}/sentences")
    String page(@PathVariable long id, @RequestParam(defaultValue = "0") long again, Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Shown.in(
                model,
                snapshot.board()
                        .recipe()
                        .gathering()
                        .find(again)
                        .flatMap(basket -> basket.asked(Asked.Sentences.class)
                                .map(asked -> new SentencesPage(asked, basket.name(), Asked.Sentences.MOST_WORDS)))
                        .orElse(new SentencesPage(Asked.Sentences.USUAL, "", Asked.Sentences.MOST_WORDS)));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/sentences";
    }

    @PostMapping("/projects/{id}/sentences")
    String read(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable MultipartFile file,
            @RequestParam MultiValueMap<String, String> fields,
            RedirectAttributes redirect) {
        OpenProject project = frames.open(id);
        return ToolResult.basket(project, "sentences", () -> read(project, new Fields(fields), file), redirect);
    }

    private Offered read(OpenProject project, Fields form, @Nullable MultipartFile sent) {
        Asked.Sentences wanted = new Asked.Sentences(
                form.has("questions"),
                form.number("fewest", Message.of("unit.words")),
                form.number("most", Message.of("unit.words")),
                0);
        String pasted = form.text("text");
        MultipartFile file = sent == null || sent.isEmpty() ? null : sent;
        String name = file == null
                ? frames.wording().of("basket-name.pasted-text")
                : Show.fileName(String.valueOf(file.getOriginalFilename()), frames.wording());
        Sentences.Found found;
        try {
            found = Sentences.of(
                    name,
                    file == null ? pasted.getBytes(StandardCharsets.UTF_8) : file.getBytes(),
                    project.language(),
                    wanted);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        if (found.keywords().isEmpty()) {
            throw new Refusal(
                    file == null && pasted.isBlank()
                            ? Message.of("gather.sentences-controller.choose-text-paste-one")
                            : Message.of("gather.sentences-controller.sentence-fits-left-out", name, found.left()));
        }
        return Offered.made(
                ToolResult.name(form.text("name"), frames.wording().of("basket-name.sentences-of", name)),
                MadeList.of(found.keywords()),
                BasketInfo.Kind.OTHER,
                new Asked.Sentences(wanted.questions(), wanted.fewest(), wanted.most(), found.left()));
    }
}
