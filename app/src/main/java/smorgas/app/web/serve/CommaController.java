package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.recipe.sift.Status;
import smorgas.core.serve.Planner;
import smorgas.core.text.Characters;
import smorgas.core.text.Message;

/** The keywords of an ad group as one list with commas, for audiences; what is ticked off is not in it. */
@Controller
class CommaController {

    /** So many keywords can be ticked; of more the most searched. */
    private static final int MOST = 1_000;

    private static final int MOST_VARIANTS = 8;

    private static final int TOP = 10;

    private final Frames frames;

    CommaController(Frames frames) {
        this.frames = frames;
    }

    /**
     * One ad group and the lists that can be made of it.
     *
     * @param of the number of the ad group among those of the plan
     * @param variants kept to compare, as the page names them
     */
    record CommaPage(
            List<String> groups, int of, String name, List<Line> lines, List<String> variants, Result result) {}

    /** A keyword that can be ticked off, by its place in the ad group. */
    record Line(int place, String text, Message searches, boolean on) {}

    /**
     * The list, and how large it is beside others.
     *
     * @param mark tells this list from any other, so that the browser can remember which were copied
     */
    record Result(String text, String mark, List<Variant> variants) {}

    /** The result alone. */
    record Shows(Result result) {}

    /** A list that could be made; {@code now} is the one as ticked. */
    record Variant(Message name, String keywords, String searches, String characters, boolean now) {}

    @GetMapping("/projects/{id}/comma")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") int of,
            @RequestParam(defaultValue = "") List<Integer> on,
            @RequestParam(defaultValue = "false") boolean ticked,
            @RequestParam(defaultValue = "") List<String> variant,
            @RequestParam(defaultValue = "false") boolean keep,
            Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        CommaList made = new CommaList(snapshot.board(), of, on, ticked);
        List<String> variants =
                new ArrayList<>(variant.stream().limit(MOST_VARIANTS).toList());
        if (keep && variants.size() < MOST_VARIANTS && !variants.contains(made.written())) {
            variants.add(made.written());
        }
        Shown.in(
                model,
                new CommaPage(made.names(), made.of, made.name(), made.lines(), variants, made.result(variants)));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "serve/comma";
    }

    /** The list as it comes out by what is ticked at the moment. */
    @GetMapping("/projects/{id}/comma/result")
    String result(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") int of,
            @RequestParam(defaultValue = "") List<Integer> on,
            @RequestParam(defaultValue = "") List<String> variant,
            Model model) {
        CommaList made = new CommaList(frames.open(id).snapshot().board(), of, on, true);
        Shown.in(
                model,
                new Shows(made.result(variant.stream().limit(MOST_VARIANTS).toList())));
        return "serve/comma :: result";
    }

    /** The list of one ad group by what is ticked. */
    private static final class CommaList {
        private final Board board;
        private final List<Planner.ExportedGroup> groups;
        private final int of;
        private final int[] keywords;
        private final BitSet on = new BitSet();
        private final Numbers searches;

        CommaList(Board board, int of, List<Integer> on, boolean ticked) {
            this.board = board;
            this.groups = board.exported();
            this.of = Math.clamp(of, 0, Math.max(0, groups.size() - 1));
            this.keywords = groups.isEmpty()
                    ? new int[0]
                    : Arrays.copyOf(
                            groups.get(this.of).keywords(),
                            Math.min(MOST, groups.get(this.of).keywords().length));
            this.searches = board.keywords().numbers(Figure.SEARCHES);
            if (ticked) {
                on.stream()
                        .filter(place -> place != null && place >= 0 && place < keywords.length)
                        .forEach(this.on::set);
            } else {
                this.on.set(0, keywords.length);
            }
        }

        List<String> names() {
            return groups.stream().map(Planner.ExportedGroup::name).toList();
        }

        String name() {
            return groups.isEmpty() ? "" : groups.get(of).name();
        }

        List<Line> lines() {
            return IntStream.range(0, keywords.length)
                    .mapToObj(place -> new Line(place, text(place), searched(place), on.get(place)))
                    .toList();
        }

        private String text(int place) {
            return board.keywords().text(keywords[place]);
        }

        private Message searched(int place) {
            return searches.known(keywords[place])
                    ? Message.verbatim(Show.marked(
                            Show.count(searches.twiceMiddle(keywords[place]) / 2), searches.simulated(keywords[place])))
                    : Message.NONE;
        }

        /** What is ticked as an address can hold it: the places with full stops between them. */
        String written() {
            return on.stream().mapToObj(String::valueOf).collect(Collectors.joining("."));
        }

        Result result(List<String> variants) {
            List<Variant> all = new ArrayList<>();
            all.add(variant(Message.of("serve.comma-controller.as-ticked"), on, true));
            for (int number = 0; number < variants.size(); number++) {
                all.add(variant(
                        Message.of("serve.comma-controller.kept", (number + 1)), places(variants.get(number)), false));
            }
            BitSet every = new BitSet();
            every.set(0, keywords.length);
            all.add(variant(Message.of("serve.comma-controller.all-of-it"), every, false));
            BitSet kept = new BitSet();
            every.stream()
                    .filter(place -> board.statuses().of(keywords[place]) == Status.KEPT)
                    .forEach(kept::set);
            all.add(variant(Message.of("serve.comma-controller.kept-only"), kept, false));
            BitSet top = new BitSet();
            top.set(0, Math.min(TOP, keywords.length));
            all.add(variant(Message.of("serve.comma-controller.ten-most-searched"), top, false));
            String text = list(on);
            return new Result(text, Integer.toHexString(text.hashCode()), all);
        }

        private BitSet places(String written) {
            BitSet places = new BitSet();
            for (String place : written.split("\\.")) {
                if (place.matches("\\d{1,4}") && Integer.parseInt(place) < keywords.length) {
                    places.set(Integer.parseInt(place));
                }
            }
            return places;
        }

        private String list(BitSet places) {
            return places.stream().mapToObj(this::text).collect(Collectors.joining(", "));
        }

        private Variant variant(Message name, BitSet places, boolean now) {
            return new Variant(
                    name,
                    Show.count(places.cardinality()),
                    Searched.of(places.stream().map(place -> keywords[place]), searches)
                            .written(),
                    Show.count(Characters.count(list(places))),
                    now);
        }
    }
}
