package smorgas.core.board;

import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.fold.FoldReport;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Misspellings;
import smorgas.core.fold.Overlap;
import smorgas.core.fold.Prepared;
import smorgas.core.fold.Spellings;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouper;
import smorgas.core.group.Grouping;
import smorgas.core.group.Groups;
import smorgas.core.group.Hand;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.WordList;
import smorgas.core.serve.Plan;
import smorgas.core.serve.PlanCount;
import smorgas.core.serve.Planner;
import smorgas.core.sift.Judge;
import smorgas.core.sift.Matcher;
import smorgas.core.sift.Phrases;
import smorgas.core.sift.Standings;
import smorgas.core.text.Words;

/**
 * Everything that follows from some baskets and a recipe. Each stage is computed when it is first asked for, once, and is
 * taken over from the board before if nothing that it depends on has changed. Safe for many threads.
 */
public final class Board {

    private final List<Lines> baskets;
    private final Recipe recipe;
    private final Folded folded;
    private final Stage<Matcher> matcher;
    private final Stage<Standings> standings;
    private final Stage<Groups> groups;
    private final Stage<Plan> plan;
    private final Stage<PlanCount> planCount;
    private final @Nullable Known known;

    /** Groups that were found for a board before this one, and for what; they hold again if it is the same. */
    private record Known(Groups groups, Keywords keywords, BitSet remaining, Recipe recipe) {
        boolean hold(Keywords others, BitSet left, Recipe other) {
            return keywords == others
                    && remaining.equals(left)
                    && other.groupsAs(recipe)
                    && other.lists().equals(recipe.lists())
                    && !asksForTags(other)
                    && other.folding().edition() == recipe.folding().edition();
        }
    }

    private Board(
            List<Lines> baskets,
            Recipe recipe,
            Folded folded,
            Stage<Matcher> matcher,
            Stage<Standings> standings,
            Stage<Groups> groups,
            Stage<Plan> plan,
            Stage<PlanCount> planCount,
            @Nullable Known known) {
        this.planCount = planCount;
        this.known = known;
        this.baskets = baskets;
        this.recipe = recipe;
        this.folded = folded;
        this.matcher = matcher;
        this.standings = standings;
        this.groups = groups;
        this.plan = plan;
    }

    /** What follows from folding alone. */
    private record Folded(
            Stage<Spellings> spellings,
            Stage<Prepared> prepared,
            Stage<Keywords> keywords,
            Stage<Phrases> phrases,
            Stage<Orders> orders,
            Stage<Overlap> overlap,
            Stage<FoldReport> report,
            Stage<List<Misspellings.Proposal>> misspellings) {

        static Folded of(List<Lines> baskets, Recipe recipe) {
            return of(new Stage<>(() -> Spellings.of(baskets)), recipe);
        }

        static Folded of(Stage<Spellings> spellings, Recipe recipe) {
            Stage<Prepared> prepared = new Stage<>(() -> Prepared.of(spellings.get(), recipe.folding()));
            return of(spellings, prepared, misspelt(prepared, recipe), recipe);
        }

        static Folded of(
                Stage<Spellings> spellings,
                Stage<Prepared> prepared,
                Stage<List<Misspellings.Proposal>> misspellings,
                Recipe recipe) {
            Stage<Keywords> keywords =
                    new Stage<>(() -> Folder.fold(prepared.get(), recipe.folding(), recipe.merges()));
            return new Folded(
                    spellings,
                    prepared,
                    keywords,
                    new Stage<>(() -> new Phrases(keywords.get())),
                    new Stage<>(() -> new Orders(keywords.get())),
                    new Stage<>(() -> Overlap.of(keywords.get())),
                    new Stage<>(() -> FoldReport.of(keywords.get())),
                    misspellings);
        }

        private static Stage<List<Misspellings.Proposal>> misspelt(Stage<Prepared> prepared, Recipe recipe) {
            return new Stage<>(() -> Misspellings.of(prepared.get(), recipe.folding(), brands(recipe)));
        }

        /** Other words are spared as no misspellings; everything else stays. */
        Folded sparing(Recipe recipe) {
            return new Folded(
                    spellings, prepared, keywords, phrases, orders, overlap, report, misspelt(prepared, recipe));
        }

        /** The same baskets folded otherwise: only what comes out otherwise is done again. */
        Folded again(Recipe old, Recipe recipe) {
            Folding before = old.folding();
            Folding after = recipe.folding();
            if (!before.cleanings().equals(after.cleanings()) || before.edition() != after.edition()) {
                return of(spellings, recipe);
            }
            boolean sameWords = before.misspellings().equals(after.misspellings())
                    && before.refused().equals(after.refused())
                    && brands(old).equals(brands(recipe));
            return of(spellings, prepared, sameWords ? misspellings : misspelt(prepared, recipe), recipe);
        }
    }

    /** The board of these baskets, in this order, under this recipe; nothing is computed yet. */
    public static Board of(List<Lines> baskets, Recipe recipe) {
        List<Lines> inputs = List.copyOf(baskets);
        return sifted(inputs, recipe, Folded.of(inputs, recipe));
    }

    /** Words that lists of brands have. */
    private static Set<String> brands(Recipe recipe) {
        return recipe.lists().values().stream()
                .filter(list -> list.kind() == WordList.Kind.BRANDS)
                .flatMap(list -> list.words().stream())
                .flatMap(entry -> Words.of(entry).stream())
                .collect(Collectors.toSet());
    }

    private static Board sifted(List<Lines> inputs, Recipe recipe, Folded folded) {
        Stage<Matcher> matcher = matching(folded, recipe);
        return grouped(inputs, recipe, folded, matcher, judging(matcher, recipe), null);
    }

    private static Stage<Matcher> matching(Folded folded, Recipe recipe) {
        return new Stage<>(() -> new Matcher(folded.keywords().get(), recipe.lists()));
    }

    private static Stage<Standings> judging(Stage<Matcher> matcher, Recipe recipe) {
        return new Stage<>(() -> Judge.judge(matcher.get(), recipe.pins(), recipe.tags(), recipe.rules()));
    }

    private static Board grouped(
            List<Lines> inputs,
            Recipe recipe,
            Folded folded,
            Stage<Matcher> matcher,
            Stage<Standings> standings,
            @Nullable Known known) {
        // It holds on to groups that are there, never to a board whose own are not.
        Stage<Groups> groups = new Stage<>(() -> {
            Standings judged = standings.get();
            return known != null && known.hold(folded.keywords().get(), judged.remaining(), recipe)
                    ? known.groups()
                    : group(matcher.get(), judged, recipe);
        });
        return served(inputs, recipe, folded, matcher, standings, groups, known);
    }

    private static Board served(
            List<Lines> inputs,
            Recipe recipe,
            Folded folded,
            Stage<Matcher> matcher,
            Stage<Standings> standings,
            Stage<Groups> groups,
            @Nullable Known known) {
        Stage<Plan> plan =
                new Stage<>(() -> Planner.plan(folded.keywords().get(), standings.get(), groups.get(), recipe));
        Stage<PlanCount> count =
                new Stage<>(() -> Planner.count(folded.keywords().get(), standings.get(), groups.get(), recipe));
        return new Board(inputs, recipe, folded, matcher, standings, groups, plan, count, known);
    }

    private @Nullable Known lastKnown() {
        return groups.known()
                ? new Known(groups.get(), keywords(), standings.get().remaining(), recipe)
                : known;
    }

    /**
     * The board of other inputs, which takes over every stage of this one that would come out the same.
     *
     * @param next the baskets; a basket that has not changed must be the same object
     */
    public Board next(List<Lines> next, Recipe changed) {
        if (!sameObjects(next)) {
            return of(next, changed);
        }
        if (!changed.merges().equals(recipe.merges()) || !changed.folding().equals(recipe.folding())) {
            return sifted(baskets, changed, folded.again(recipe, changed));
        }
        if (!changed.judgesAs(recipe)) {
            return siftedAgain(changed);
        }
        if (!changed.groupsAs(recipe)) {
            return grouped(baskets, changed, folded, matcher, standings, lastKnown());
        }
        if (!changed.plan().equals(recipe.plan()) || !changed.negatives().equals(recipe.negatives())) {
            return served(baskets, changed, folded, matcher, standings, groups, lastKnown());
        }
        return new Board(baskets, changed, folded, matcher, standings, groups, plan, planCount, lastKnown());
    }

    /** Judged anew; the groups stay if the same keywords are left, as after keeping what was undecided. */
    private Board siftedAgain(Recipe changed) {
        Folded kept = brands(changed).equals(brands(recipe)) ? folded : folded.sparing(changed);
        // What conditions have found is remembered there: it holds as long as the lists are the same.
        Stage<Matcher> matching = changed.lists().equals(recipe.lists()) ? matcher : matching(kept, changed);
        return grouped(baskets, changed, kept, matching, judging(matching, changed), lastKnown());
    }

    private boolean sameObjects(List<Lines> others) {
        if (others.size() != baskets.size()) {
            return false;
        }
        for (int i = 0; i < others.size(); i++) {
            if (others.get(i) != baskets.get(i)) {
                return false;
            }
        }
        return true;
    }

    /** Whether some group is made by a rule that asks for tags, which judging may change. */
    private static boolean asksForTags(Recipe recipe) {
        return recipe.groupRules().stream().anyMatch(rule -> rule.when().asksForTag());
    }

    private static Groups group(Matcher matcher, Standings standings, Recipe recipe) {
        Keywords keywords = matcher.keywords();
        Map<Figure, FigureColumn> figures = new EnumMap<>(Figure.class);
        for (Figure figure : List.of(Figure.SEARCHES, Figure.CLICKS, Figure.CONVERSIONS)) {
            keywords.figure(figure).ifPresent(column -> figures.put(figure, column));
        }
        Grouping grouping = Grouper.group(
                new Grouper.Input(
                        keywords.folded(),
                        standings.remaining(),
                        figures,
                        recipe.folding().language(),
                        recipe.groupRules().stream()
                                .map(rule -> new Grouper.Taking(
                                        rule.key(), matcher.match(rule.when(), standings), rule.leftoversOnly()))
                                .toList(),
                        Hand.of(recipe.groupPins(), keywords),
                        recipe.folding().edition()),
                recipe.groups());
        return new Groups(grouping, keywords, keywords.figure(Figure.SEARCHES), given(recipe));
    }

    /** Names that somebody has typed, by the keys of their groups; a name given later stands before a rule's. */
    private static Map<String, String> given(Recipe recipe) {
        Map<String, String> given = new HashMap<>();
        recipe.groupRules().forEach(rule -> given.putIfAbsent(rule.key(), rule.name()));
        given.putAll(recipe.groupPins().names());
        return given;
    }

    public Recipe recipe() {
        return recipe;
    }

    /** The keywords, folded now if they are not yet. */
    public Keywords keywords() {
        return folded.keywords().get();
    }

    /** What each kind of folding takes away, worked out now if it is not yet. */
    public FoldReport foldReport() {
        return folded.report().get();
    }

    /** Words that look misspelt, worked out now if they are not yet. */
    public List<Misspellings.Proposal> misspellings() {
        return folded.misspellings().get();
    }

    /** The spellings before anything but tidying, tidied now if they are not yet. */
    public Spellings spellings() {
        return folded.spellings().get();
    }

    /** How the baskets overlap, worked out now if it is not yet. */
    public Overlap overlap() {
        return folded.overlap().get();
    }

    /** The words and phrases of the keywords. */
    public Phrases phrases() {
        return folded.phrases().get();
    }

    /** How much the plan holds, counted now if it is not yet; it needs the groups and not the plan. */
    public PlanCount planCount() {
        return planCount.get();
    }

    /** Whether it is known how each keyword stands. */
    public boolean judgedKnown() {
        return standings.known();
    }

    /** Runs conditions over the keywords. */
    public Matcher matcher() {
        return matcher.get();
    }

    /** The orders in which tables can show the keywords. */
    public Orders orders() {
        return folded.orders().get();
    }

    /** The standings, judged now if they are not yet. */
    public Standings standings() {
        return standings.get();
    }

    /** The groups, found now if they are not yet. */
    public Groups groups() {
        return groups.get();
    }

    /** Whether {@link #groups()} would answer at once. */
    public boolean groupsKnown() {
        return groups.known();
    }

    /** The plan, made now if it is not yet. */
    public Plan plan() {
        return plan.get();
    }
}
