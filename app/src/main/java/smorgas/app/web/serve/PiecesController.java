package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.app.work.Trays;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.serve.Plan;
import smorgas.core.text.Message;

/** Keywords in pieces, each to be copied and pasted where no file is taken. */
@Controller
class PiecesController {

    /** So many lines a piece unless one says otherwise (common practice). */
    private static final int USUAL = 100;

    private static final int MOST = 100_000;

    /** Before the name of a saved view, where one says of what. */
    private static final String VIEW = "view:";

    /** How a keyword is written. */
    enum As {
        LINES("pieces-as.lines"),
        SIGNS("pieces-as.signs"),
        FIGURES("pieces-as.figures"),
        COMMAS("pieces-as.commas");

        private final Message label;

        As(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    private final Frames frames;
    private final Trays trays;

    PiecesController(Frames frames, Trays trays) {
        this.frames = frames;
        this.trays = trays;
    }

    /**
     * One piece and what is around it.
     *
     * @param of of what: empty for the plan, {@code tray}, {@code view:NAME}, or {@code group:KEY}
     * @param mark tells this piece from any other, so that the browser can remember which were copied
     */
    record Pieces(
            String of,
            Message ofLabel,
            As as,
            As[] ways,
            int size,
            int at,
            int count,
            Message lines,
            String text,
            String mark,
            List<Target> targets) {}

    /** Of what pieces can be made. */
    record Target(String of, Message label) {}

    /** Of what pieces are made, how they are written, how many keywords a piece has, and which is shown, from 1. */
    record PiecesAsked(String of, As as, int size, int at) {}

    @ModelAttribute("piecesAsked")
    PiecesAsked piecesAsked(
            @RequestParam(defaultValue = "") String of,
            @RequestParam(defaultValue = "LINES") As as,
            @RequestParam(defaultValue = "100") int size,
            @RequestParam(defaultValue = "1") int at) {
        return new PiecesAsked(of, as, size, at);
    }

    @GetMapping("/projects/{id}/pieces")
    String page(
            @PathVariable long id,
            @ModelAttribute("piecesAsked") PiecesAsked asked,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Board board = snapshot.board();
        int each = asked.size() < 1 ? USUAL : Math.min(asked.size(), MOST);
        List<String> texts = texts(board, id, asked.of(), tab);
        List<String> lines = lines(board, texts, asked.as());
        int count = Math.max(1, (lines.size() + each - 1) / each);
        int here = Math.clamp(asked.at(), 1, count);
        List<String> piece =
                lines.subList(Math.min(lines.size(), (here - 1) * each), Math.min(lines.size(), here * each));
        Shown.in(
                model,
                new Pieces(
                        asked.of(),
                        label(board, asked.of()),
                        asked.as(),
                        As.values(),
                        each,
                        here,
                        count,
                        Message.of("count.lines", lines.size()),
                        String.join(asked.as() == As.COMMAS ? ", " : "\n", piece),
                        Integer.toHexString(piece.hashCode()),
                        targets(board, tab.isEmpty() ? 0 : trays.texts(id, tab).size())));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "serve/pieces";
    }

    /** Each once, in the order of the plan. */
    private List<String> texts(Board board, long id, String of, String tab) {
        if (of.equals("tray")) {
            return trays.texts(id, tab);
        }
        if (of.startsWith(VIEW)) {
            return Optional.ofNullable(board.recipe().sifting().views().get(of.substring(VIEW.length())))
                    .map(when -> board.match(when).stream()
                            .mapToObj(board.keywords()::text)
                            .toList())
                    .orElse(List.of());
        }
        return board.plan().campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .filter(group -> of.isEmpty() || group.keys().stream().anyMatch(key -> of.equals("group:" + key)))
                .flatMap(group -> group.keywords().stream())
                .map(Plan.Exported::keyword)
                .distinct()
                .toList();
    }

    private static List<String> lines(Board board, List<String> texts, As as) {
        List<MatchType> types = List.copyOf(board.recipe().serving().plan().matchTypes());
        return switch (as) {
            case LINES, COMMAS -> texts;
            case SIGNS ->
                texts.stream()
                        .flatMap(text -> types.stream().map(type -> type.written(text)))
                        .toList();
            case FIGURES ->
                texts.stream()
                        .map(text -> text + "\t" + searches(board, text) + made(board, text))
                        .toList();
        };
    }

    private static String made(Board board, String text) {
        var searches = board.keywords().numbers(Figure.SEARCHES);
        return board.keywords().find(text).filter(searches::simulated).isPresent() ? "\tsimulated" : "";
    }

    private static String searches(Board board, String text) {
        var searches = board.keywords().numbers(Figure.SEARCHES);
        return board.keywords()
                .find(text)
                .filter(searches::known)
                .map(keyword -> String.valueOf(searches.twiceMiddle(keyword) / 2))
                .orElse("");
    }

    private static Message label(Board board, String of) {
        return targets(board, 1).stream()
                .filter(target -> target.of().equals(of))
                .map(Target::label)
                .findFirst()
                .orElse(Message.of("serve.pieces-controller.the-plan"));
    }

    private static List<Target> targets(Board board, int picked) {
        List<Target> targets =
                new ArrayList<>(List.of(new Target("", Message.of("serve.pieces-controller.whole-plan"))));
        if (picked > 0) {
            targets.add(new Target("tray", Message.of("serve.pieces-controller.what-picked")));
        }
        board.recipe()
                .sifting()
                .views()
                .keySet()
                .forEach(
                        name -> targets.add(new Target(VIEW + name, Message.of("serve.pieces-controller.view", name))));
        board.plan().campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .flatMap(group -> group.keys().stream().limit(1))
                .distinct()
                .limit(MOST_TARGETS)
                .forEach(key -> targets.add(new Target(
                        "group:" + key,
                        Message.verbatim(Optional.of(board.groups().find(key))
                                .filter(group -> group >= 0)
                                .map(board.groups()::name)
                                .orElse(key)))));
        return targets;
    }

    private static final int MOST_TARGETS = 3_000;
}
