package smorgas.bench;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import smorgas.core.board.Board;
import smorgas.core.board.Difference;
import smorgas.core.board.Standpoint;
import smorgas.core.figure.Decimals;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.RawList;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Tidy;

/** Next month: two harvests compared, and any point of a long history with its statuses. */
final class Again {

    private static final int ROUNDS = 12;
    private static final int WARM_UP = 3;
    private static final int ACTS = 1_000;
    /** One keyword in so many is otherwise in the newer harvest. */
    private static final int OTHERWISE = 10;

    private Again() {}

    static void run(int lines) {
        List<String> phrases = MadeLists.phrases(lines);
        Lines march = lines(1, phrases, 0);
        Lines april = lines(2, phrases, 1);
        Recipe recipe = Recipe.empty("en");
        Board[] boards = {Board.of(List.of(march), recipe), Board.of(List.of(april), recipe)};
        for (Board board : boards) {
            board.statuses();
        }
        System.out.printf(
                Locale.ENGLISH,
                "%nTwo harvests of %,d and %,d keywords; ms, median and 95th percentile of %d%n",
                boards[0].keywords().size(),
                boards[1].keywords().size(),
                ROUNDS);
        Values.measured("compared, with statuses and figures", ROUNDS, WARM_UP, round -> Difference.between(
                        Standpoint.of(boards[0]), Standpoint.of(boards[1]), false)
                .rows()
                .size());
        Values.measured("folded, judged and compared", ROUNDS, WARM_UP, round -> {
            Board old = Board.of(List.of(march), recipe);
            Board now = Board.of(List.of(april), recipe);
            return Difference.between(Standpoint.of(old), Standpoint.of(now), false)
                    .rows()
                    .size();
        });
        points(boards[0], march, phrases);
    }

    private static void points(Board board, Lines march, List<String> phrases) {
        Random random = new Random(3);
        History history = new History(List.of());
        for (int act = 1; act <= ACTS; act++) {
            history = history.act(entry(act, random, phrases), act);
        }
        History all = history;
        adopted(board, march, history, random);
        Values.measured("any of 1,000 points with its statuses", ROUNDS * 4, WARM_UP, round -> {
            List<Entry> entries = all.at(1 + random.nextInt(ACTS));
            return board.next(List.of(march), Recipe.of(entries, "en"))
                    .statuses()
                    .remaining()
                    .cardinality();
        });
    }

    /** The same with groups that were adopted, by words, before all those acts: each keyword has its place already. */
    private static void adopted(Board board, Lines march, History history, Random random) {
        Grouping found = board.groups().grouping();
        List<GroupDecision.GroupsAsTheyAre.Adopted> groups = new ArrayList<>();
        for (int group = 0; group < found.size(); group++) {
            groups.add(new GroupDecision.GroupsAsTheyAre.Adopted(
                    board.groups().name(group),
                    IntStream.of(found.members().row(group))
                            .mapToObj(keyword -> Tidy.of(board.keywords().text(keyword)))
                            .toList()));
        }
        Entry adopted = new GroupDecision.GroupsAsTheyAre(groups, List.of());
        Values.measured("any of 1,000 points with its statuses and adopted groups", ROUNDS * 2, WARM_UP, round -> {
            List<Entry> entries = new ArrayList<>(List.of(adopted));
            entries.addAll(history.at(1 + random.nextInt(ACTS)));
            Board at = board.next(List.of(march), Recipe.of(entries, "en"));
            at.statuses();
            return at.groups().grouping().size();
        });
    }

    private static Entry entry(int act, Random random, List<String> phrases) {
        String phrase = phrases.get(random.nextInt(phrases.size()));
        return act % 20 == 0
                ? new SiftEntry.RuleAdded(new Rule(act, new Condition.HasWord(phrase.split(" ")[0]), Status.DROPPED))
                : new SiftEntry.Judged(List.of(phrase), List.of(), act % 2 == 0 ? Status.KEPT : Status.DROPPED);
    }

    private static Lines lines(int basket, List<String> phrases, int month) {
        List<String> rows = new ArrayList<>(List.of("keyword,searches"));
        for (int at = 0; at < phrases.size(); at++) {
            boolean other = month > 0 && at % OTHERWISE == 0;
            rows.add(phrases.get(at) + (other && at % (2 * OTHERWISE) == 0 ? " anew" : "") + ","
                    + (100 + at % 900 + (other ? 10 : 0)));
        }
        return BasketReader.lines(
                        basket,
                        new RawList(
                                "harvest " + basket,
                                String.join("\n", rows).getBytes(StandardCharsets.UTF_8),
                                ReadAs.FOUND,
                                Decimals.POINT),
                        Halt.NEVER,
                        (line, cells) -> {})
                .lines()
                .orElseThrow();
    }
}
