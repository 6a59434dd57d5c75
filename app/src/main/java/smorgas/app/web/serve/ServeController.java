package smorgas.app.web.serve;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.column.Decimals;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureReader;
import smorgas.core.recipe.MatchType;
import smorgas.core.recipe.PlanSettings;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Standing;
import smorgas.core.serve.Csv;
import smorgas.core.serve.Plan;
import smorgas.core.serve.PlanFormat;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Serve, export: the choices, the plan as it will leave, the checks, the download. */
@Controller
class ServeController {

    private static final int PREVIEW = 200;

    /** What ad groups are made of; the deeper levels of the tree are the groups themselves as a rule. */
    private static final Map<Integer, String> DEPTHS = new TreeMap<>(Map.of(
            0, "the groups themselves",
            1, "the broadest themes",
            2, "the second level of themes",
            3, "the third level of themes"));

    private final Frames frames;

    ServeController(Frames frames) {
        this.frames = frames;
    }

    /** The choices, and the plan that they come to. */
    record ServePage(
            PlanSettings settings,
            String bid,
            List<MatchType> matchTypes,
            List<Plan.Row> rows,
            boolean pages,
            String rowCount,
            long more,
            String adGroups,
            String keywords,
            Expected expected,
            List<Plan.Negative> negatives,
            long groupNegatives,
            List<Plan.Conflict> conflicts,
            List<Plan.HeldBack> heldBack,
            int heldBackCount,
            List<String> notes,
            List<PlanFormat> formats,
            String kept,
            String both,
            String leftoverCount,
            Map<Integer, String> depths) {}

    @GetMapping("/projects/{id}/serve")
    String page(@PathVariable long id, Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Plan plan = snapshot.board().plan();
        PlanSettings settings = snapshot.board().recipe().serving().plan();
        var standings = snapshot.board().standings();
        Shown.in(
                model,
                new ServePage(
                        settings,
                        settings.bidMicros() == 0 ? "" : Csv.amount(settings.bidMicros(), Figure.CPC.scale()),
                        List.of(MatchType.values()),
                        plan.rows().limit(PREVIEW).toList(),
                        plan.hasPages(),
                        Show.count(plan.count().rows(), "row", "rows"),
                        Math.max(0, plan.count().rows() - PREVIEW),
                        Show.count(plan.count().adGroups(), "ad group", "ad groups"),
                        Show.count(plan.count().keywords(), "keyword", "keywords"),
                        expected(snapshot.board()),
                        plan.negatives().toList(),
                        plan.adGroupNegatives(),
                        plan.conflicts(),
                        plan.heldBack().stream().limit(PREVIEW).toList(),
                        plan.heldBack().size(),
                        plan.notes(),
                        PlanFormat.ALL,
                        Show.count(standings.count(Standing.KEPT)),
                        Show.count(standings.count(Standing.KEPT) + standings.count(Standing.UNDECIDED)),
                        Show.count(snapshot.board().groups().grouping().leftovers()),
                        DEPTHS));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "serve/page";
    }

    /** What everything that is served may bring together; a keyword in two ad groups counts once. */
    private static Expected expected(Board board) {
        BitSet served = new BitSet();
        board.served().forEach(group -> Arrays.stream(group.keywords()).forEach(served::set));
        return Expected.of(board.worth().sum(served));
    }

    @PostMapping("/projects/{id}/serve")
    String choose(
            Act act,
            @RequestParam String campaign,
            @RequestParam String pattern,
            @RequestParam(defaultValue = "false") boolean titleCase,
            @RequestParam(defaultValue = "0") int depth,
            @RequestParam(required = false) @Nullable Set<MatchType> matchTypes,
            @RequestParam String bid,
            @RequestParam(defaultValue = "false") boolean keptOnly,
            @RequestParam(defaultValue = "false") boolean leftovers) {
        return act.done(recipe -> new ServeEntry.PlanSettingsChosen(new PlanSettings(
                campaign,
                pattern,
                titleCase,
                depth,
                matchTypes == null ? EnumSet.noneOf(MatchType.class) : matchTypes,
                micros(bid, Decimals.of(act.project().language())),
                keptOnly,
                leftovers)));
    }

    private static long micros(String bid, Decimals decimals) {
        FigureReader reader = new FigureReader(decimals);
        return switch (reader.read(bid, Figure.CPC)) {
            case READ -> reader.low();
            case EMPTY -> 0;
            case FAULT -> throw new Refusal("\"" + bid.strip() + "\" is no bid; write it as 0.75");
        };
    }

    /** A negative that blocks what is served is meant, or is not. */
    @PostMapping("/projects/{id}/serve/negative")
    String settle(Act act, @RequestParam String word, @RequestParam boolean leaves) {
        return act.done(recipe -> new ServeEntry.NegativeSettled(Tidy.of(word), leaves));
    }

    /** The plan as a file, in one of its formats. */
    @GetMapping("/projects/{id}/{file:plan\\.[a-z]{1,8}}")
    void download(@PathVariable long id, @PathVariable String file, HttpServletResponse response) throws IOException {
        PlanFormat format = PlanFormat.find(file).orElseThrow(() -> new NoSuchElementException("no plan as " + file));
        Plan plan = frames.open(id).snapshot().board().plan();
        response.setContentType(format.mediaType() + ";charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"" + file + "\"");
        format.write(plan, response.getWriter());
    }
}
