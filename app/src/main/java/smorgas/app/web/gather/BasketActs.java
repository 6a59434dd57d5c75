package smorgas.app.web.gather;

import java.io.IOException;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Missing;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.core.board.Board;
import smorgas.core.board.TableGroups;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.fold.Versions;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** What is done to one basket, and how figures of several are merged. */
@Controller
class BasketActs {

    private final Frames frames;

    BasketActs(Frames frames) {
        this.frames = frames;
    }

    private static GatheredBasket basket(OpenProject project, long basket) {
        return project.snapshot().baskets().stream()
                .filter(b -> b.id() == basket)
                .findFirst()
                .orElseThrow(() -> new Missing("missing.basket", basket));
    }

    private static String done(Act act, long basket, Function<GatheredBasket, Entry> make) {
        GatheredBasket gathered = basket(act.project(), basket);
        return act.to(page(basket), act.make(recipe -> make.apply(gathered)));
    }

    private static String page(long basket) {
        return "/gather?basket=" + basket;
    }

    @PostMapping("/projects/{id}/gather/{basket}/remove")
    String remove(Act act, @PathVariable long basket) {
        return done(act, basket, b -> new BasketEntry.BasketRemoved(basket, b.name()));
    }

    @PostMapping("/projects/{id}/gather/{basket}/switch")
    String turn(Act act, @PathVariable long basket, @RequestParam boolean on) {
        return done(act, basket, b -> new BasketEntry.BasketSwitched(basket, b.name(), on));
    }

    /** The ad groups that its lines name become the groups. */
    @PostMapping("/projects/{id}/gather/{basket}/groups")
    String groups(Act act, @PathVariable long basket) {
        Board board = act.snapshot().board();
        return done(
                act,
                basket,
                b -> new GroupDecision.GroupsAsTheyAre(
                        TableGroups.of(board, b.lines())
                                .map(TableGroups::groups)
                                .orElseThrow(() -> new Refusal("gather.basket-acts.names-ad-group-keyword", b.name())),
                        List.of()));
    }

    /** Whether its lines bring keywords, or only tell about those that others bring. */
    @PostMapping("/projects/{id}/gather/{basket}/brings")
    String brings(Act act, @PathVariable long basket, @RequestParam boolean keywords) {
        return done(act, basket, b -> new BasketEntry.BasketBrings(basket, b.name(), keywords));
    }

    /** Where a list is from, as it was typed; without blanks at the ends. */
    record Described(String seed, String competitor, String market, String currency, String gathered, String note) {

        Described {
            seed = text(seed);
            competitor = text(competitor);
            market = text(market);
            currency = text(currency);
            gathered = text(gathered);
            note = text(note);
        }

        private static String text(@Nullable String field) {
            return field == null ? "" : field.strip();
        }
    }

    @PostMapping("/projects/{id}/gather/{basket}/describe")
    String describe(
            Act act,
            @PathVariable long basket,
            @RequestParam String name,
            @RequestParam BasketInfo.Kind kind,
            @ModelAttribute Described told) {
        boolean taken = act.snapshot().baskets().stream()
                .anyMatch(other -> other.id() != basket && other.name().equals(name.strip()));
        if (taken) {
            return act.to(
                    page(basket),
                    new Outcome.Refused(Message.of("gather.basket-acts.another-basket-called", name.strip())));
        }
        return done(
                act,
                basket,
                b -> new BasketEntry.BasketDescribed(
                        basket,
                        new BasketInfo(
                                name,
                                kind,
                                told.seed(),
                                told.competitor(),
                                told.market(),
                                told.currency(),
                                told.gathered(),
                                told.note())));
    }

    /** One column is understood otherwise. */
    @PostMapping("/projects/{id}/gather/{basket}/column")
    String column(Act act, @PathVariable long basket, @RequestParam int column, @RequestParam ColumnRole role) {
        return done(
                act,
                basket,
                b -> new BasketEntry.BasketReadAs(
                        basket,
                        b.name(),
                        b.state().readAs().with(b.stored().reading().columns(), column, role)));
    }

    /** Where in a file its rows are. */
    record Rows(String sheet, String headerLine) {

        Rows {
            sheet = sheet == null ? "" : sheet;
            headerLine = headerLine == null ? "" : headerLine;
        }
    }

    /** The bytes are read otherwise: columns are found anew. */
    @PostMapping("/projects/{id}/gather/{basket}/read")
    String read(
            Act act,
            @PathVariable long basket,
            @RequestParam(defaultValue = "") String encoding,
            @RequestParam(defaultValue = "") String delimiter,
            @ModelAttribute Rows rows) {
        return done(
                act,
                basket,
                b -> new BasketEntry.BasketReadAs(
                        basket,
                        b.name(),
                        new ReadAs(
                                encoding,
                                delimiter.equals("\r\n") ? "\n" : delimiter,
                                rows.sheet(),
                                rows.headerLine().isBlank() ? -1 : line(rows.headerLine()),
                                java.util.List.of())));
    }

    private static int line(String typed) {
        if (!typed.strip().matches("\\d{1,7}")) {
            throw new Refusal("gather.basket-acts.line-number", typed.strip());
        }
        return Integer.parseInt(typed.strip());
    }

    /** A newer version of the same list. */
    @PostMapping("/projects/{id}/gather/{basket}/again")
    String again(
            @PathVariable long id,
            @PathVariable long basket,
            @RequestParam MultipartFile newer,
            RedirectAttributes redirect)
            throws IOException {
        OpenProject project = frames.open(id);
        GatheredBasket older = basket(project, basket);
        OpenProject.Gathered gathered = project.renew(basket, newer.getBytes());
        if (gathered.basket().isEmpty()) {
            Frames.notice(gathered.outcome()).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
            return "redirect:/projects/" + id + page(basket);
        }
        long by = gathered.basket().get();
        Versions versions = Versions.compare(older.lines(), basket(project, by).lines());
        redirect.addFlashAttribute(
                "notice",
                Message.of(
                        "gather.basket-acts.gathered-again-new-gone",
                        older.name(),
                        versions.fresh(),
                        versions.gone(),
                        versions.changed()));
        return "redirect:/projects/" + id + page(by);
    }

    @PostMapping("/projects/{id}/merge")
    String merge(Act act, @RequestParam Figure figure, @RequestParam Merge merge) {
        return act.to("/gather", act.make(recipe -> new FoldEntry.MergeChosen(figure, merge)));
    }
}
