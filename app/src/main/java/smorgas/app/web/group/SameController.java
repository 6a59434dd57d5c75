package smorgas.app.web.group;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Outcome;
import smorgas.app.work.Previews;
import smorgas.core.board.Board;
import smorgas.core.group.read.Changes;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.GroupEntry.WordsSame;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/** Words that mean the same: said, refused, told apart, taken from the pantry and put there. */
@Controller
class SameController {

    private final Frames frames;
    private final Previews previews;
    private final Pantry pantry;

    /** Between words of a set; not the comma in a number, as in 0,9. */
    private static final Pattern BETWEEN = Pattern.compile("[;\n]|,(?!\\d)|(?<!\\d),");

    SameController(Frames frames, Previews previews, Pantry pantry) {
        this.frames = frames;
        this.previews = previews;
        this.pantry = pantry;
    }

    /** What would become of groups if these words meant the same. */
    @GetMapping("/projects/{id}/group/same/effect")
    String effect(@PathVariable long id, @RequestParam("word") List<String> given, Model model) {
        Board board = frames.open(id).snapshot().board();
        GroupSettings settings = board.recipe().grouping().settings();
        Board now = previews.free(board, settings);
        Board then = previews.free(board, settings.with(settings.same().joined(tidy(given.stream()))));
        Changes changes = Changes.between(now.groups(), then.groups());
        long groups = changes.flows().stream()
                .flatMap(flow -> Stream.of(flow.from()))
                .filter(group -> group >= 0)
                .distinct()
                .count();
        Shown.in(
                model,
                new Effect(
                        changes.moved() == 0
                                ? Message.of("group.same-controller.changes-group-now")
                                : Message.of("group.same-controller.moves-keyword-group", changes.moved(), groups)));
        return "group/doubts :: effect";
    }

    /** What a proposal would do, in a few words. */
    record Effect(Message effect) {}

    /** Words mean the same, or each by itself, or as in any trade; or a proposal is refused. */
    @PostMapping("/projects/{id}/group/same")
    String say(
            Act act,
            @RequestParam(name = "word", defaultValue = "") List<String> given,
            @RequestParam(defaultValue = "") String typed,
            @RequestParam String way) {
        if (way.equals("refuse")) {
            return act.done(recipe -> new GroupEntry.OffersRefused(given, true));
        }
        List<String> words = tidy(Stream.concat(given.stream(), BETWEEN.splitAsStream(typed)));
        if (words.size() < (way.equals("same") ? 2 : 1)) {
            return act.back(new Outcome.NoChange(Message.of("group.same-controller.type-least-two-words")));
        }
        WordsSame.Way said =
                switch (way) {
                    case "apart" -> WordsSame.Way.APART;
                    case "shipped" -> WordsSame.Way.AS_SHIPPED;
                    default -> WordsSame.Way.SAME;
                };
        return act.done(recipe -> new WordsSame(List.of(words), said));
    }

    /** The sets of a list in the pantry mean the same here too. */
    @PostMapping("/projects/{id}/group/same/take")
    String take(Act act, @RequestParam String list) {
        List<List<String>> sets = pantry.find(list).stream()
                .flatMap(found -> found.words().stream())
                .map(line -> tidy(BETWEEN.splitAsStream(line)))
                .filter(set -> set.size() > 1)
                .toList();
        if (sets.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("group.same-controller.list-line-two-words", list)));
        }
        return act.done(recipe -> new WordsSame(sets, WordsSame.Way.SAME));
    }

    /** What means the same here becomes a list of the pantry, for other projects. */
    @PostMapping("/projects/{id}/group/same/keep")
    String keep(Act act, @RequestParam String list) {
        SameHere same = act.snapshot().board().recipe().grouping().settings().same();
        List<String> lines =
                same.sets().stream().map(set -> String.join(", ", set)).toList();
        WordList kept =
                pantry.save(new WordList(list.strip(), act.project().language(), WordList.Kind.SAME_MEANING, 1, lines));
        return act.back(new Outcome.NoChange(Message.of("group.same-controller.kept-pantry", kept.name())));
    }

    private static List<String> tidy(Stream<String> words) {
        return words.map(Tidy::of).filter(word -> !word.isEmpty()).distinct().toList();
    }
}
