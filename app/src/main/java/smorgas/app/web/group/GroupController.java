package smorgas.app.web.group;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Acts;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;
import smorgas.core.group.Groups;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** Group: the dials, the groups, the opened group, the leftovers. */
@Controller
class GroupController {

    private static final int PAGE = 200;

    /**
     * A group in the list.
     *
     * @param bar keywords as thousandths of the largest group
     */
    record GroupView(
            String theme, String url, String keywords, String searches, String tightness, int bar, boolean opened) {}

    /** A keyword of the opened group, its theme's words set off. */
    record Member(String text, List<Mark> marks, String searches, String tightness, String standing, String label) {}

    /** A piece of a keyword's text. */
    record Mark(String text, boolean theme) {}

    /** The figures of a result, and those of the adopted one beside them if they differ. */
    record FigureView(String name, String now, String adopted) {}

    private final Frames frames;
    private final Acts acts;

    GroupController(Frames frames, Acts acts) {
        this.frames = frames;
        this.acts = acts;
    }

    @GetMapping("/projects/{id}/group")
    String page(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable Integer smallest,
            @RequestParam(required = false) @Nullable Integer shortest,
            @RequestParam(required = false) @Nullable Integer longest,
            @RequestParam(required = false) @Nullable Integer tightness,
            @RequestParam(required = false) @Nullable String muted,
            @RequestParam(required = false) @Nullable String stop,
            @RequestParam(defaultValue = "") String group,
            @RequestParam(defaultValue = "false") boolean leftovers,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        GroupSettings adopted = snapshot.board().recipe().groups();
        GroupSettings wanted = adopted;
        try {
            wanted = settings(adopted, smallest, shortest, longest, tightness, muted, stop);
        } catch (IllegalArgumentException e) {
            model.addAttribute("notice", e.getMessage() + ".");
        }
        boolean preview = !wanted.equals(adopted);
        Board board = preview
                ? snapshot.board()
                        .next(
                                snapshot.board().keywords().baskets(),
                                snapshot.board().recipe().withGroups(wanted))
                : snapshot.board();
        model.addAttribute("settings", wanted);
        model.addAttribute("tightness", Math.round(wanted.leastTightness() * 100));
        model.addAttribute("mutedText", String.join(" ", wanted.muted()));
        model.addAttribute("stopText", String.join(" ", wanted.stopWords()));
        model.addAttribute("preview", preview);
        model.addAttribute("figures", figures(snapshot.board(), board));
        model.addAttribute("q", q);
        int shown = leftovers ? Grouping.LEFTOVER : openedGroup(board.groups(), Tidy.of(group));
        String dials = preview ? dials(wanted) : "";
        String finding = q.isBlank() ? "" : "q=" + encoded(q) + "&";
        model.addAttribute("dials", dials);
        model.addAttribute("finding", finding);
        list(board.groups(), Tidy.of(q), shown, dials + finding, model);
        opened(board, shown, Math.max(1, page), dials, model);
        frames.frame(model, id, snapshot, Step.GROUP);
        return "group/page";
    }

    private static int openedGroup(Groups groups, String theme) {
        int found = groups.find(theme);
        if (found >= 0) {
            return found;
        }
        int[] order = groups.order();
        return order.length > 0 ? order[0] : Grouping.LEFTOVER;
    }

    private static GroupSettings settings(
            GroupSettings adopted,
            @Nullable Integer smallest,
            @Nullable Integer shortest,
            @Nullable Integer longest,
            @Nullable Integer tightness,
            @Nullable String muted,
            @Nullable String stop) {
        return new GroupSettings(
                smallest == null ? adopted.smallest() : smallest,
                shortest == null ? adopted.shortest() : shortest,
                longest == null ? adopted.longest() : longest,
                tightness == null ? adopted.leastTightness() : tightness / 100.0,
                stop == null ? adopted.stopWords() : words(stop),
                muted == null ? adopted.muted() : words(muted));
    }

    private static SortedSet<String> words(String text) {
        return new TreeSet<>(Words.of(Tidy.of(text)));
    }

    private static List<FigureView> figures(Board adopted, Board shown) {
        List<FigureView> views = new ArrayList<>();
        Grouping before = adopted.groups().grouping();
        Grouping now = shown.groups().grouping();
        add(views, "groups", Show.count(now.size()), Show.count(before.size()));
        add(views, "keywords grouped", Show.count(now.grouped()), Show.count(before.grouped()));
        add(views, "leftovers", Show.count(now.leftovers()), Show.count(before.leftovers()));
        add(views, "mean tightness", Show.percent(mean(now)), Show.percent(mean(before)));
        return views;
    }

    private static void add(List<FigureView> views, String name, String now, String adopted) {
        views.add(new FigureView(name, now, now.equals(adopted) ? "" : adopted));
    }

    private static double mean(Grouping grouping) {
        double sum = 0;
        for (int group = 0; group < grouping.size(); group++) {
            sum += grouping.meanTightness(group) * grouping.members().length(group);
        }
        return grouping.grouped() == 0 ? 0 : sum / grouping.grouped();
    }

    /** The dials of a preview as the beginning of a URL's query, so that every link on the page keeps them. */
    private static String dials(GroupSettings wanted) {
        return "smallest=" + wanted.smallest() + "&shortest=" + wanted.shortest() + "&longest=" + wanted.longest()
                + "&tightness=" + Math.round(wanted.leastTightness() * 100) + "&muted="
                + encoded(String.join(" ", wanted.muted())) + "&stop=" + encoded(String.join(" ", wanted.stopWords()))
                + "&";
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private static void list(Groups groups, String q, int opened, String dials, Model model) {
        int[] order = groups.order();
        int largest = 1;
        for (int group : order) {
            largest = Math.max(largest, groups.keywords(group));
        }
        List<GroupView> views = new ArrayList<>();
        int matching = 0;
        for (int group : order) {
            if (groups.grouping().theme(group).contains(q)) {
                matching++;
                if (views.size() < PAGE || group == opened) {
                    views.add(new GroupView(
                            groups.grouping().theme(group),
                            "?" + dials + "group=" + encoded(groups.grouping().theme(group)),
                            Show.count(groups.keywords(group)),
                            Show.count(groups.searches(group)),
                            Show.percent(groups.grouping().meanTightness(group)),
                            Math.round(1_000f * groups.keywords(group) / largest),
                            group == opened));
                }
            }
        }
        model.addAttribute("groups", views);
        model.addAttribute("hidden", matching - views.size());
        model.addAttribute("leftovers", Show.count(groups.grouping().leftovers()));
        model.addAttribute("leftoverSearches", Show.count(groups.leftoverSearches()));
        model.addAttribute("leftoversOpened", opened == Grouping.LEFTOVER);
    }

    private static void opened(Board board, int group, int page, String dials, Model model) {
        Grouping grouping = board.groups().grouping();
        Keywords keywords = board.keywords();
        List<Integer> members = new ArrayList<>();
        for (int keyword : board.orders().by(new smorgas.core.board.Orders.By.OfFigure(Figure.SEARCHES), true)) {
            if (grouping.groupOf(keyword) == group) {
                members.add(keyword);
            }
        }
        String theme = group < 0 ? "" : grouping.theme(group);
        int pages = Math.max(1, (members.size() + PAGE - 1) / PAGE);
        int shown = Math.min(page, pages);
        FigureColumn searches = keywords.figure(Figure.SEARCHES).orElse(null);
        model.addAttribute(
                "members",
                members.subList((shown - 1) * PAGE, Math.min(members.size(), shown * PAGE)).stream()
                        .map(keyword -> new Member(
                                keywords.text(keyword),
                                marks(keywords.text(keyword), theme),
                                Show.figure(Figure.SEARCHES, searches, keyword),
                                group < 0 ? "" : Show.percent(grouping.tightness(keyword)),
                                board.standings().of(keyword).name().toLowerCase(java.util.Locale.ROOT),
                                board.standings().of(keyword).label()))
                        .toList());
        model.addAttribute("theme", theme);
        model.addAttribute("memberCount", Show.count(members.size(), "keyword", "keywords"));
        model.addAttribute(
                "memberSearches",
                Show.count(
                        group < 0
                                ? board.groups().leftoverSearches()
                                : board.groups().searches(group)));
        model.addAttribute(
                "pageUrl", "?" + dials + (group < 0 ? "leftovers=true" : "group=" + encoded(theme)) + "&page=");
        model.addAttribute("page", shown);
        model.addAttribute("pages", pages);
        model.addAttribute("themeWords", Words.of(theme));
    }

    /** The text cut before and after the theme phrase, where its words stand next to each other. */
    private static List<Mark> marks(String text, String theme) {
        int at = theme.isEmpty() ? -1 : (" " + text + " ").indexOf(" " + theme + " ");
        if (at < 0) {
            return List.of(new Mark(text, false));
        }
        return List.of(
                new Mark(text.substring(0, at), false),
                new Mark(theme, true),
                new Mark(text.substring(at + theme.length()), false));
    }

    /** The dials as they stand become the settings. */
    @PostMapping("/projects/{id}/group")
    String adopt(
            @PathVariable long id,
            @RequestParam int smallest,
            @RequestParam int shortest,
            @RequestParam int longest,
            @RequestParam int tightness,
            @RequestParam String muted,
            @RequestParam String stop,
            @RequestParam long version,
            RedirectAttributes redirect) {
        var outcome = frames.open(id)
                .act(
                        version,
                        recipe -> new Entry.GroupSettingsChosen(
                                settings(recipe.groups(), smallest, shortest, longest, tightness, muted, stop)));
        Frames.notice(outcome).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
        return "redirect:/projects/" + id + "/group";
    }

    @PostMapping("/projects/{id}/mute")
    String mute(
            @PathVariable long id,
            @RequestParam String mutedWord,
            @RequestParam boolean muted,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(
                request,
                redirect,
                id,
                frames.open(id).act(version, recipe -> new Entry.WordsMuted(List.of(Tidy.of(mutedWord)), muted)));
    }
}
