package smorgas.app.web.note;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.board.Facts;
import smorgas.core.figure.Computed;
import smorgas.core.recipe.NoteEntry;
import smorgas.core.serve.Csv;
import smorgas.core.text.Tidy;

/** What is written down beside keywords, groups and the project, and all notes as a table. */
@Controller
class NoteController {

    private final Frames frames;

    NoteController(Frames frames) {
        this.frames = frames;
    }

    /** A note is written beside a keyword; an empty one takes it away. */
    @PostMapping("/projects/{id}/note/keyword")
    String ofKeyword(Act act, @RequestParam String of, @RequestParam String note) {
        String text = Tidy.of(of);
        List<String> also = act.snapshot().board().keywords().otherSpellings(List.of(text));
        return act.done(recipe -> new NoteEntry.KeywordNoted(text, also, note));
    }

    /** A note is written beside a group; an empty one takes it away. */
    @PostMapping("/projects/{id}/note/group")
    String ofGroup(Act act, @RequestParam String of, @RequestParam String note) {
        return act.done(recipe -> new NoteEntry.GroupNoted(of, note));
    }

    /** A note is written on the project, which stands in its report; an empty one takes it away. */
    @PostMapping("/projects/{id}/note/project")
    String ofProject(Act act, @RequestParam String note) {
        return act.done(recipe -> new NoteEntry.ProjectNoted(note));
    }

    /** All notes as CSV: those on the project, baskets, keywords and groups. */
    @GetMapping("/projects/{id}/notes.csv")
    void all(@PathVariable long id, HttpServletResponse response) throws IOException {
        Snapshot snapshot = frames.open(id).snapshot();
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"notes.csv\"");
        try (Csv csv = new Csv(response.getWriter())) {
            csv.row("Of", "Name", "Note");
            String ofProject = snapshot.board().recipe().notes().project();
            if (!ofProject.isEmpty()) {
                csv.row("project", "", ofProject);
            }
            snapshot.baskets().stream()
                    .filter(basket -> !basket.info().note().isBlank())
                    .forEach(basket -> csv.row(
                            "basket", basket.info().name(), basket.info().note()));
            Board board = snapshot.board();
            Facts facts = board.facts();
            for (int keyword = 0; keyword < board.keywords().size(); keyword++) {
                for (String note : facts.texts(Computed.NOTE, keyword)) {
                    csv.row("keyword", board.keywords().text(keyword), note);
                }
            }
            board.recipe().notes().groups().forEach((group, note) -> csv.row("group", group, note));
        }
    }
}
