package smorgas.app.web.sift;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Called;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Missing;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.figure.Computed;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.Intent;
import smorgas.core.sift.MatchedWords;
import smorgas.core.sift.Reason;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** The menu of a word and the menu of a keyword: the same acts in the same order, from whatever page they are called. */
@Controller
class MenuController {

    private final Frames frames;
    private final Pantry pantry;

    MenuController(Frames frames, Pantry pantry) {
        this.frames = frames;
        this.pantry = pantry;
    }

    /**
     * What can be done with a word.
     *
     * @param intent what a hand said of all with it; empty if nothing
     * @param showUrl where its keywords are shown, within what is on view where it was called in the table
     */
    record OfWord(
            Offer menu, String showUrl, Message intent, Intent[] intents, List<String> lists, List<String> tags) {}

    @GetMapping("/projects/{id}/menu/word")
    String word(
            @PathVariable long id, @RequestParam String of, @RequestParam Map<String, String> parameters, Model model) {
        OpenProject project = frames.open(id);
        Snapshot snapshot = project.snapshot();
        String word = Tidy.of(of);
        if (word.isEmpty()) {
            throw new Refusal("sift.menu-controller.say-which-word");
        }
        Called.in(model, project, snapshot);
        Shown.in(
                model,
                new OfWord(
                        Offer.of(word, snapshot.board()),
                        "/projects/" + id + "/sift" + SiftQuery.of(parameters).urlWithWord(word),
                        Optional.ofNullable(snapshot.board()
                                        .recipe()
                                        .valuing()
                                        .ruled()
                                        .get(new Condition.HasWord(word)))
                                .map(Intent::label)
                                .orElse(Message.NONE),
                        Intent.values(),
                        pantry.all().stream().map(WordList::name).toList(),
                        snapshot.board().statuses().tags().all()));
        return "menu/word :: menu";
    }

    /**
     * What can be done with a keyword.
     *
     * @param status how it stands and why
     * @param group the group that it is in, for the field that asks for another
     */
    record OfKeyword(
            String text,
            Message status,
            boolean byHand,
            List<String> words,
            String group,
            Message intent,
            String note,
            String storyUrl) {}

    /** The menu and what its fields propose. */
    record KeywordMenu(OfKeyword menu, List<String> tags, Intent[] intents) {}

    @GetMapping("/projects/{id}/menu/keyword")
    String keyword(@PathVariable long id, @RequestParam String of, Model model) {
        OpenProject project = frames.open(id);
        Snapshot snapshot = project.snapshot();
        Board board = snapshot.board();
        int keyword = board.keywords().find(Tidy.of(of)).orElseThrow(() -> new Missing("missing.keyword", of));
        String text = board.keywords().text(keyword);
        Reason reason = board.statuses().reason(keyword);
        Called.in(model, project, snapshot);
        Shown.in(
                model,
                new KeywordMenu(
                        new OfKeyword(
                                text,
                                Message.of(
                                        "list.comma",
                                        board.statuses().of(keyword).label(),
                                        new MatchedWords(
                                                        board.keywords(),
                                                        board.recipe().sifting().lists())
                                                .sentence(reason, keyword)),
                                reason instanceof Reason.ByHand,
                                Words.of(text).stream().distinct().toList(),
                                board.groupsKnown() ? board.facts().exported(Computed.GROUP, keyword) : "group",
                                Story.intent(keyword, board),
                                board.facts().exported(Computed.NOTE, keyword),
                                "/projects/" + id + "/sift?q=" + Show.encoded(text) + "&story=" + Show.encoded(text)),
                        board.statuses().tags().all(),
                        Intent.values()));
        return "menu/keyword :: menu";
    }
}
