package smorgas.app.web.group;

import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.group.Grouping;
import smorgas.core.group.Groups;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Recipe;
import smorgas.core.text.Tidy;

/** Group: the dials, the groups or their broader themes, the opened group, the leftovers. */
@Controller
class GroupController {

    /** A rule that makes a group, as the page shows it. */
    record RuleView(int number, int place, String sentence) {}

    private final Frames frames;

    GroupController(Frames frames) {
        this.frames = frames;
    }

    @GetMapping("/projects/{id}/group")
    String page(
            @PathVariable long id,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestParam(defaultValue = "") String group,
            @RequestParam(defaultValue = "false") boolean leftovers,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "list") String view,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Recipe recipe = snapshot.board().recipe();
        GroupSettings wanted = recipe.groups();
        try {
            wanted = Dials.read(fields, recipe.groups());
        } catch (IllegalArgumentException e) {
            model.addAttribute("notice", e.getMessage() + ".");
        }
        boolean preview = !wanted.equals(recipe.groups());
        Board board = preview
                ? snapshot.board().next(snapshot.board().keywords().baskets(), recipe.withGroups(wanted))
                : snapshot.board();
        model.addAttribute("settings", wanted);
        model.addAttribute("passes", wanted.passes());
        model.addAttribute("morePasses", wanted.passes().size() < GroupSettings.MOST_PASSES);
        model.addAttribute("seated", Math.round(wanted.seatedFrom() * 100));
        model.addAttribute("mutedText", String.join(" ", wanted.muted()));
        model.addAttribute("stopText", String.join(" ", wanted.stopWords()));
        model.addAttribute("leftoverChoices", GroupSettings.Leftovers.values());
        model.addAttribute("stopPlaces", GroupSettings.StopAt.values());
        model.addAttribute("preview", preview);
        model.addAttribute("figures", GroupViews.figures(snapshot.board().groups(), board.groups()));
        model.addAttribute("q", q);
        boolean tree = view.equals("tree");
        model.addAttribute("tree", tree);
        String dials = preview ? Dials.query(wanted) : "";
        String finding = (q.isBlank() ? "" : "q=" + GroupViews.encoded(q) + "&") + (tree ? "view=tree&" : "");
        model.addAttribute("dials", dials);
        model.addAttribute("finding", finding);
        int shown = leftovers ? Grouping.LEFTOVER : opened(board.groups(), group);
        GroupViews views = new GroupViews(board, dials + finding);
        if (tree) {
            views.tree(shown, model);
        } else {
            views.list(Tidy.of(q).toLowerCase(Locale.ROOT), shown, model);
        }
        views.opened(shown, page, model);
        model.addAttribute("leftovers", Show.count(board.groups().grouping().leftovers()));
        model.addAttribute("leftoverSearches", Show.count(board.groups().leftoverSearches()));
        model.addAttribute("leftoversOpened", shown == Grouping.LEFTOVER);
        model.addAttribute("rules", rules(recipe));
        model.addAttribute("removed", recipe.groupPins().removed());
        frames.frame(model, id, snapshot, Step.GROUP);
        return "group/page";
    }

    private static List<RuleView> rules(Recipe recipe) {
        return java.util.stream.IntStream.range(0, recipe.groupRules().size())
                .mapToObj(place -> new RuleView(
                        recipe.groupRules().get(place).number(),
                        place,
                        recipe.groupRules().get(place).sentence()))
                .toList();
    }

    private static int opened(Groups groups, String key) {
        int found = groups.find(key);
        if (found >= 0) {
            return found;
        }
        found = groups.find(Tidy.of(key));
        if (found >= 0) {
            return found;
        }
        int[] order = groups.order();
        return order.length > 0 ? order[0] : Grouping.LEFTOVER;
    }
}
