package smorgas.app.web.sift;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Baskets;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.figure.ColumnRole;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Reading;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.Intent;
import smorgas.core.serve.Csv;
import smorgas.core.sift.WordCounts;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/** Sift: the keyword table, the words, and what stands beside them. */
@Controller
class SiftController {

    private final Frames frames;
    private final Baskets baskets;
    private final Pantry pantry;

    SiftController(Frames frames, Baskets baskets, Pantry pantry) {
        this.frames = frames;
        this.baskets = baskets;
        this.pantry = pantry;
    }

    /** The query of every address of this page; what is left out asks for nothing. */
    @ModelAttribute("query")
    SiftQuery query(@RequestParam Map<String, String> parameters) {
        return SiftQuery.of(parameters);
    }

    /**
     * The view with its heads, the words on it and the rules beside it.
     *
     * @param offer a word whose menu is open from the start; empty for none
     */
    record SiftPage(
            String offer,
            SiftTable.Heading statusHeading,
            SiftTable.Heading keywordHeading,
            List<SiftTable.Heading> headings,
            List<Column> columns,
            List<String> chosen,
            int page,
            String found,
            int foundCount,
            Message all,
            String searches,
            List<SiftQuery.Part> parts,
            WordCounts.Asked askedWords,
            WordCounts.Found wordCounts,
            String wordRows,
            RulesPanel panel,
            List<ViewLink> usualViews,
            List<Intent> intents,
            Message sortedBy,
            EstimatedValuePanel estimatedValue,
            PriorityPanel priority,
            @Nullable Story story) {}

    /** A view that is one click away. */
    record ViewLink(Message name, String url, Message sentence) {}

    @GetMapping("/projects/{id}/sift")
    String page(
            @PathVariable long id,
            @ModelAttribute("query") SiftQuery query,
            @RequestParam(defaultValue = "") String offer,
            @RequestParam(defaultValue = "") String story,
            @RequestParam(defaultValue = "") String assume,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Board board = snapshot.board();
        SiftTable table = new SiftTable(snapshot, query, baskets);
        rows(table, query, table.page(), model);
        WordCounts.Found words = WordsPanel.found(board, table.found(), query);
        Shown.in(model, shown(snapshot, query, table, words, new Opened(Tidy.of(offer), Tidy.of(story), assume)));
        frames.frame(model, id, snapshot, Step.SIFT);
        return "sift/page";
    }

    /** What of one keyword or rule is shown beside the table; empty texts for nothing. */
    private record Opened(String offer, String story, String assume) {}

    private SiftPage shown(Snapshot snapshot, SiftQuery query, SiftTable table, WordCounts.Found words, Opened opened) {
        Board board = snapshot.board();
        return new SiftPage(
                opened.offer(),
                table.heading("status", Message.of("sift.sift-controller.status")),
                table.heading("keyword", Message.of("sift.sift-controller.keyword")),
                table.headings(),
                Column.all(snapshot),
                Column.shown(snapshot).stream()
                        .filter(column -> !column.roomy())
                        .map(Column::name)
                        .toList(),
                table.page(),
                Show.count(table.found().cardinality()),
                table.found().cardinality(),
                Message.of("count.keywords", board.keywords().size()),
                table.searches(),
                query.removable(),
                query.words(),
                words,
                WordHtml.of(words.words(), query.words().by() == WordCounts.By.SEARCHES, frames.wording()),
                RulesPanel.of(board, query, pantry),
                board.usualViews().stream()
                        .map(view -> new ViewLink(
                                view.name(),
                                SiftQuery.urlOf(view.shows()),
                                view.shows().sentence()))
                        .toList(),
                List.of(Intent.values()),
                table.sortedBy(),
                EstimatedValuePanel.of(board, opened.assume(), table.found()),
                PriorityPanel.of(board, table.found()),
                Story.of(opened.story(), board, line -> others(line, snapshot)).orElse(null));
    }

    /** The rows that follow those that a list shows already. */
    @GetMapping("/projects/{id}/sift/more")
    String more(
            @PathVariable long id,
            @ModelAttribute("query") SiftQuery query,
            @RequestParam(defaultValue = "1") int first,
            Model model) {
        rows(new SiftTable(frames.open(id).snapshot(), query, baskets), query, first, model);
        Shown.in(model, new Further("/projects/" + id));
        return "sift/more :: more";
    }

    /** Of which project rows are that follow. */
    record Further(String base) {}

    /** A part of the rows, and where the next are. */
    record Rows(String rows, int pages, int upto, String nextRows) {}

    /** Rows, and where those behind them are: nowhere if there are none, or if so many are shown that a new list begins. */
    private void rows(SiftTable table, SiftQuery query, int first, Model model) {
        boolean room = table.upto() - first + 1 < SiftTable.MOST_PAGES;
        Shown.in(
                model,
                new Rows(
                        RowHtml.of(table.rows(), frames.wording()),
                        table.pages(),
                        table.upto(),
                        table.upto() < table.pages() && room
                                ? query.urlOfPage(table.upto() + 1) + "&first=" + first
                                : ""));
    }

    /** Likely kinds of words. */
    record Families(List<WordsPanel.FamilyView> families, List<String> lists, String base) {}

    /** The likely kinds of words, which are worked out only for those who open them. */
    @GetMapping("/projects/{id}/sift/families")
    String families(@PathVariable long id, @ModelAttribute("query") SiftQuery query, Model model) {
        Board board = frames.open(id).snapshot().board();
        var view = query.found(board);
        Shown.in(
                model,
                new Families(
                        WordsPanel.families(board, view, pantry),
                        pantry.all().stream().map(WordList::name).toList(),
                        "/projects/" + id));
        return "sift/families :: families";
    }

    /** What dropping or keeping would change. */
    record Effect(List<Offer.Act> acts, int ticked) {}

    /** What dropping or keeping keywords with any of these words would change. */
    @GetMapping("/projects/{id}/sift/families/effect")
    String effect(@PathVariable long id, @RequestParam(defaultValue = "") List<String> words, Model model) {
        Board board = frames.open(id).snapshot().board();
        List<String> ticked =
                words.stream().map(Tidy::of).filter(w -> !w.isEmpty()).toList();
        Shown.in(
                model,
                new Effect(
                        ticked.isEmpty()
                                ? List.of()
                                : Offer.acts(board, board.matcher(), new Condition.HasAnyWord(ticked)),
                        ticked.size()));
        return "sift/families :: effect";
    }

    /** The columns of a line that are read as no figure, each with its name. */
    private String others(Keywords.Occurrence line, Snapshot snapshot) {
        Optional<Reading> reading = snapshot.baskets().stream()
                .filter(basket -> basket.id() == line.basket())
                .map(basket -> basket.stored().reading())
                .findFirst();
        if (reading.isEmpty()) {
            return "";
        }
        List<String> cells = baskets.cells(line.basket(), line.lineNumber());
        List<String> told = new ArrayList<>();
        for (int i = 0; i < Math.min(cells.size(), reading.get().columns().size()); i++) {
            ColumnRole role = reading.get().columns().get(i);
            if (role != ColumnRole.KEYWORD
                    && role.figure().isEmpty()
                    && !cells.get(i).isBlank()) {
                told.add(reading.get().columnName(i) + " " + cells.get(i).strip());
            }
        }
        return String.join(" \u00B7 ", told);
    }

    /** What is on view, all pages, as CSV for reading. */
    @GetMapping("/projects/{id}/sift.csv")
    void download(@PathVariable long id, @ModelAttribute("query") SiftQuery query, HttpServletResponse response)
            throws IOException {
        Snapshot snapshot = frames.open(id).snapshot();
        SiftTable table = new SiftTable(snapshot, query, baskets);
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"keywords.csv\"");
        KeywordCsv.write(snapshot.board(), table.ordered(), new Csv(response.getWriter()));
    }
}
