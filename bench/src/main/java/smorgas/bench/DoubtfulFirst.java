package smorgas.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.board.Board;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.read.Agreement;
import smorgas.core.group.read.Doubts;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.Mending;
import smorgas.core.group.read.MovesNeeded;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.text.Tidy;
import smorgas.meaning.model.MeaningModel;

/**
 * How the share of keywords that must be moved falls with the acts of a scripted researcher who knows the plan that was made by
 * judgement. One act is one doubt taken or refused, one keyword moved, or one whole group joined into another. By doubts he takes
 * or refuses what is offered, in that order. By hand he looks down the list of groups and joins what the plan has together, then
 * reads down the keywords of groups and moves each that is wrong. In each case it is told how many keywords and names of groups he
 * has read.
 */
final class DoubtfulFirst {

    private static final int[] TOLD = {0, 10, 20, 40};

    /** How he works. */
    private enum Way {
        DOUBTS("doubts"),
        HAND("hand"),
        BOTH("weighty doubts, then hand");

        private final String label;

        Way(String label) {
            this.label = label;
        }
    }

    /** Below this a doubt mends less than reading on would. */
    private static final double ESTIMATED_VALUE = 1.6;

    private final ExpertList list;
    private final List<Lines> lines;
    private final List<Entry> acts = new ArrayList<>();
    private final Set<String> refused = new HashSet<>();
    private Board board;
    private int[] wanted = new int[0];
    private int taken;
    private int refusals;
    private int read;
    private int namesRead;
    private int keywordsRead;

    private DoubtfulFirst(ExpertList list, MeaningVectors meaning, boolean counts) {
        this.list = list;
        GroupSettings settings = Rules.NEWEST
                .settings()
                .byThemes(list.language())
                .with(Rules.NEWEST.settings().similarity().with(counts));
        acts.add(new GroupEntry.GroupSettingsChosen(settings));
        this.lines = ExpertBoards.lines(list);
        this.board = Board.of(lines, Recipe.of(acts, list.language()), meaning, MemoryLimit.ENOUGH);
        Keywords keywords = board.keywords();
        wanted = new int[keywords.size()];
        Arrays.fill(wanted, -1);
        for (int i = 0; i < list.keywords().size(); i++) {
            int label = list.wanted()[i];
            keywords.meant(Tidy.of(list.keywords().get(i))).ifPresent(keyword -> wanted[keyword] = label);
        }
    }

    static void run() throws IOException, MeaningModel.Unavailable {
        System.out.println(
                "| list | by | acts by | to be moved after 0, 10, 20, 40 acts | B-cubed F1 | taken, refused | read |");
        System.out.println("|---|---|---|---|---|---|---:|");
        for (ExpertList list : ExpertList.all()) {
            row(list, MeaningVectors.NONE, false);
            if (MeaningModel.knows(list.language())) {
                row(list, ExpertBoards.meaning(list), true);
            }
        }
    }

    private static void row(ExpertList list, MeaningVectors meaning, boolean counts) {
        for (Way way : Way.values()) {
            DoubtfulFirst researcher = new DoubtfulFirst(list, meaning, counts);
            List<String> moved = new ArrayList<>();
            List<String> agreement = new ArrayList<>();
            for (int act = 0; act <= TOLD[TOLD.length - 1]; act++) {
                if (Arrays.binarySearch(TOLD, act) >= 0) {
                    int[] labels = ExpertBoards.labels(list, researcher.board);
                    moved.add(String.format(Locale.ENGLISH, "%.3f", MovesNeeded.share(labels, list.wanted())));
                    agreement.add(String.format(
                            Locale.ENGLISH,
                            "%.3f",
                            Agreement.of(labels, list.wanted()).f()));
                }
                researcher.act(way);
            }
            System.out.printf(
                    Locale.ENGLISH,
                    "| %s%s | %s | %s | %s | %s | %s | %d |%n",
                    list.name(),
                    list.tuned() ? "" : " (not tuned on)",
                    counts ? "words and meaning" : "words",
                    way.label,
                    String.join(", ", moved),
                    String.join(", ", agreement),
                    researcher.taken + ", " + researcher.refusals,
                    researcher.seen());
        }
    }

    private void act(Way way) {
        Groups groups = board.groups();
        if (way != Way.HAND) {
            List<Doubts.Doubt> found = groups.doubts().stream()
                    .filter(doubt -> !refused.contains(Doubts.key(doubt, groups)))
                    .limit(1)
                    .toList();
            if (!found.isEmpty() && (way == Way.DOUBTS || found.getFirst().weight() >= ESTIMATED_VALUE)) {
                Doubts.Doubt first = found.getFirst();
                read += texts(first);
                Entry mending = mending(first);
                if (mending == null) {
                    refusals++;
                    refused.add(Doubts.key(first, groups));
                } else {
                    taken++;
                    done(mending);
                }
                return;
            }
        }
        Entry read = read();
        if (read != null) {
            done(read);
        }
    }

    /** How many keywords and names a doubt shows. */
    private int texts(Doubts.Doubt doubt) {
        return switch (doubt) {
            case Doubts.Join join -> 2;
            case Doubts.Move move -> 2;
            case Doubts.Part part -> board.groups().keywords(part.group());
        };
    }

    private int seen() {
        return read + namesRead + keywordsRead;
    }

    private void done(Entry entry) {
        acts.add(entry);
        board = board.next(lines, Recipe.of(acts, list.language()));
    }

    /** What takes a doubt, if the plan agrees with it; else null. */
    private @Nullable Entry mending(Doubts.Doubt doubt) {
        Grouping grouping = board.groups().grouping();
        boolean near = false;
        boolean right =
                switch (doubt) {
                    case Doubts.Join join ->
                        most(grouping.members().row(join.from()))
                                == most(grouping.members().row(join.into()));
                    case Doubts.Move move -> {
                        int there = most(grouping.members().row(move.into()));
                        int own = grouping.groupOf(move.keyword());
                        yield wanted[move.keyword()] == there
                                && (own < 0 || most(grouping.members().row(own)) != there);
                    }
                    case Doubts.Part part -> {
                        Set<Integer> leaving = new HashSet<>(
                                Arrays.stream(part.keywords()).boxed().toList());
                        int[] staying = Arrays.stream(grouping.members().row(part.group()))
                                .filter(keyword -> !leaving.contains(keyword))
                                .toArray();
                        int own = most(part.keywords());
                        near = part.near() >= 0 && most(grouping.members().row(part.near())) == own;
                        yield own != most(staying);
                    }
                };
        return right ? Mending.of(doubt, near, board.groups()) : null;
    }

    /** The class of most of some keywords, of equal ones the first. */
    private int most(int[] keywords) {
        Map<Integer, Integer> counts = new TreeMap<>();
        for (int keyword : keywords) {
            counts.merge(wanted[keyword], 1, Integer::sum);
        }
        return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
    }

    private Entry join(int from, int into) {
        Grouping grouping = board.groups().grouping();
        return new GroupDecision.GroupsJoined(List.of(grouping.key(from)), grouping.key(into));
    }

    private Entry place(int[] keywords, String group) {
        List<String> texts =
                Arrays.stream(keywords).mapToObj(this::text).map(Tidy::of).toList();
        return new GroupDecision.KeywordsPlaced(texts, List.of(), group);
    }

    private String text(int keyword) {
        return board.keywords().text(keyword);
    }

    /** A key that no group has. */
    private String free(int keyword) {
        String key = Tidy.of(text(keyword));
        return board.groups().find(key) < 0 ? key : key + " apart";
    }

    /**
     * The first group in the list that the plan has with a larger one, then the first keyword in a wrong group, the largest
     * groups first, then the first ungrouped keyword near a group; null if nothing is wrong.
     */
    private @Nullable Entry read() {
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        Map<Integer, Integer> home = new HashMap<>();
        int[] order = IntStream.of(groups.order())
                .boxed()
                .sorted(Comparator.comparingInt(group -> -groups.keywords(group)))
                .mapToInt(Integer::intValue)
                .toArray();
        namesRead = Math.max(namesRead, order.length);
        for (int group : order) {
            Integer first = home.putIfAbsent(most(grouping.members().row(group)), group);
            if (first != null) {
                return join(group, first);
            }
        }
        int place = 0;
        for (int group : order) {
            int own = most(grouping.members().row(group));
            for (int keyword : grouping.members().row(group)) {
                keywordsRead = Math.max(keywordsRead, ++place);
                if (wanted[keyword] != own) {
                    Integer into = home.get(wanted[keyword]);
                    return place(new int[] {keyword}, into == null ? free(keyword) : grouping.key(into));
                }
            }
        }
        for (int keyword = 0; keyword < wanted.length; keyword++) {
            Integer into = home.get(wanted[keyword]);
            if (grouping.groupOf(keyword) == Grouping.UNGROUPED && into != null) {
                return place(new int[] {keyword}, grouping.key(into));
            }
        }
        return null;
    }
}
