package smorgas.app.web.tray;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.frame.TrayView;
import smorgas.app.web.sift.KeywordCsv;
import smorgas.app.work.Trays;
import smorgas.core.board.Board;
import smorgas.core.fold.Keywords;
import smorgas.core.serve.Csv;

/** The tray, as a fragment: pick, put back, clear. */
@Controller
class TrayController {

    private final Frames frames;
    private final Trays trays;

    TrayController(Frames frames, Trays trays) {
        this.frames = frames;
        this.trays = trays;
    }

    @GetMapping("/projects/{id}/tray")
    String show(@PathVariable long id, @RequestHeader(name = "X-Tab", defaultValue = "") String tab, Model model) {
        Keywords keywords = frames.open(id).snapshot().board().keywords();
        TrayView.of(id, trays.texts(id, tab), keywords).show(model);
        return "tray/tray :: tray";
    }

    /** What is picked with its figures, for a paste into a spreadsheet. */
    @GetMapping("/projects/{id}/tray.tsv")
    void figures(
            @PathVariable long id,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            HttpServletResponse response)
            throws IOException {
        Board board = frames.open(id).snapshot().board();
        int[] picked = trays.texts(id, tab).stream()
                .flatMap(text -> board.keywords().find(text).stream())
                .mapToInt(Integer::intValue)
                .toArray();
        response.setContentType("text/tab-separated-values;charset=UTF-8");
        KeywordCsv.write(board, picked, Csv.forPasting(response.getWriter()));
    }

    @PostMapping("/projects/{id}/tray/pick")
    String pick(
            @PathVariable long id,
            @RequestParam List<String> keyword,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Keywords keywords = frames.open(id).snapshot().board().keywords();
        List<String> known = new ArrayList<>(keyword);
        known.removeIf(text -> keywords.find(text).isEmpty());
        trays.pick(id, tab, known);
        return show(id, tab, model);
    }

    @PostMapping("/projects/{id}/tray/back")
    String putBack(
            @PathVariable long id,
            @RequestParam List<String> keyword,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        trays.putBack(id, tab, keyword);
        return show(id, tab, model);
    }

    @PostMapping("/projects/{id}/tray/clear")
    String clear(@PathVariable long id, @RequestHeader(name = "X-Tab", defaultValue = "") String tab, Model model) {
        trays.clear(id, tab);
        return show(id, tab, model);
    }
}
