package smorgas.core.board;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import smorgas.core.fold.FoldReport;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Misspellings;
import smorgas.core.fold.Overlap;
import smorgas.core.fold.Prepared;
import smorgas.core.fold.Spellings;
import smorgas.core.gather.Lines;
import smorgas.core.group.engine.EngineCache;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Sifting;
import smorgas.core.recipe.Valuing;
import smorgas.core.serve.Plan;
import smorgas.core.serve.PlanCheck;
import smorgas.core.serve.PlanCount;
import smorgas.core.serve.PlanUnits;
import smorgas.core.serve.Planner;
import smorgas.core.sift.Judge;
import smorgas.core.sift.Matcher;
import smorgas.core.sift.Phrases;
import smorgas.core.sift.Statuses;
import smorgas.core.sift.UsualViews;
import smorgas.core.value.Apart;
import smorgas.core.value.EstimatedValue;
import smorgas.core.value.Intents;
import smorgas.core.value.Priority;
import smorgas.core.value.SearchWords;

/**
 * The stages of the flow and their values for one board. A stage is one declaration: the stages it is made of, what of the
 * recipe it reads, and how it is made. It is taken over from the board before if all of that is the same.
 */
final class StageValues {

    private static final List<Declared<?>> ALL = new ArrayList<>();

    /**
     * A stage.
     *
     * @param from the stages it is made of; it can ask for no others
     * @param also those that it is made of under some recipes only
     * @param same whether it comes out the same under another recipe, those it is made of being the same
     */
    record Declared<T>(
            List<Declared<?>> from,
            Map<Declared<?>, Predicate<Recipe>> also,
            BiPredicate<Recipe, Recipe> same,
            Function<Inputs, T> made) {

        /** The stages it is made of under a recipe. */
        List<Declared<?>> from(Recipe recipe) {
            return Stream.concat(from.stream(), also.keySet().stream().filter(stage -> also.get(stage)
                            .test(recipe)))
                    .toList();
        }

        /** Each is itself only. */
        @Override
        public boolean equals(@Nullable Object other) {
            return this == other;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(this);
        }
    }

    static final Declared<Spellings> SPELLINGS = declare(List.of(), made -> Spellings.of(made.baskets()));

    static final Declared<Prepared> PREPARED = declare(
            List.of(SPELLINGS),
            same(recipe -> recipe.folding().cleanings()),
            made -> Prepared.of(made.get(SPELLINGS), made.recipe().folding()));

    static final Declared<List<Misspellings.Proposal>> MISSPELLINGS = declare(
            List.of(PREPARED),
            same(recipe -> List.of(
                    recipe.folding().misspellings(), recipe.folding().refused(), StageFunctions.brands(recipe))),
            made -> Misspellings.of(made.get(PREPARED), made.recipe().folding(), StageFunctions.brands(made.recipe())));

    static final Declared<Keywords> KEYWORDS = declare(
            List.of(PREPARED),
            same(Recipe::folding),
            made -> Folder.fold(made.get(PREPARED), made.recipe().folding()));

    static final Declared<Phrases> PHRASES = declare(List.of(KEYWORDS), made -> new Phrases(made.get(KEYWORDS)));

    static final Declared<Orders> ORDERS = declare(List.of(KEYWORDS), made -> new Orders(made.get(KEYWORDS)));

    static final Declared<Overlap> OVERLAP = declare(List.of(KEYWORDS), made -> Overlap.of(made.get(KEYWORDS)));

    static final Declared<FoldReport> REPORT = declare(List.of(KEYWORDS), made -> FoldReport.of(made.get(KEYWORDS)));

    static final Declared<List<UsualViews.View>> USUAL_VIEWS = declare(
            List.of(KEYWORDS),
            made -> UsualViews.of(made.get(KEYWORDS), made.recipe().folding().language()));

    /** What conditions have found is remembered there. */
    static final Declared<Matcher> MATCHER = declare(
            List.of(KEYWORDS),
            same(recipe -> recipe.sifting().lists()),
            made -> new Matcher(made.get(KEYWORDS), made.recipe().sifting().lists()));

    static final Declared<Intents> INTENTS = declare(
            List.of(KEYWORDS, MATCHER),
            (one, other) -> one.valuing().intentsAs(other.valuing())
                    && one.sifting().lists().equals(other.sifting().lists()),
            made -> Intents.of(
                    made.get(KEYWORDS),
                    made.recipe().folding().language(),
                    made.recipe().sifting().lists(),
                    made.recipe().valuing(),
                    made.get(MATCHER)::match,
                    made.recipe().rules().intents()));

    /** What keywords are for counts only where a rule asks it, so that saying it elsewhere judges nothing anew. */
    static final Declared<Statuses> STATUSES = declare(
            List.of(MATCHER),
            Map.of(INTENTS, recipe -> recipe.sifting().asksForIntent()),
            (one, other) -> one.sifting().judgesAs(other.sifting()),
            made -> {
                Sifting sifting = made.recipe().sifting();
                return Judge.judge(
                        made.get(MATCHER),
                        intent -> made.get(INTENTS).with(intent),
                        sifting.decisions(),
                        sifting.tags(),
                        sifting.rules());
            });

    /** What was found of similarity is remembered there, as long as the keywords are the same. */
    static final Declared<EngineCache> GROWN =
            declare(List.of(KEYWORDS), made -> new EngineCache(made.with().room()));

    static final Declared<Groups> GROUPS = declare(
            List.of(KEYWORDS, MATCHER, STATUSES, GROWN),
            Map.of(INTENTS, recipe -> recipe.grouping().asksForIntent()),
            (one, other) -> one.grouping().groupsAs(other.grouping()),
            StageValues::groups);

    /** The groups are asked for only where something is assumed of one. */
    static final Declared<EstimatedValue> ESTIMATED_VALUE = declare(
            List.of(KEYWORDS, STATUSES, GROUPS),
            (one, other) -> one.valuing().estimatedValueAs(other.valuing()),
            made -> estimatedValue(made, made.recipe().valuing()));

    private static EstimatedValue estimatedValue(Inputs made, Valuing valuing) {
        return StageFunctions.estimatedValue(made.get(KEYWORDS), made.get(STATUSES), () -> made.get(GROUPS), valuing);
    }

    /** What all that is not dropped may bring; nothing if nothing is assumed. */
    static final Declared<EstimatedValue.Sum> ESTIMATED_VALUE_LEFT = declare(
            List.of(ESTIMATED_VALUE, STATUSES), same(recipe -> recipe.valuing().assumes()), made -> made.get(
                            ESTIMATED_VALUE)
                    .sum(made.recipe().valuing().assumes() ? made.get(STATUSES).remaining() : new BitSet()));

    static final Declared<Priority> PRIORITY = declare(
            List.of(KEYWORDS, INTENTS, STATUSES),
            same(recipe -> recipe.valuing().priority()),
            made -> Priority.of(
                    made.get(KEYWORDS),
                    made.get(INTENTS),
                    made.recipe().valuing().priority(),
                    made.get(STATUSES).remaining()));

    static final Declared<SearchWords> SEARCH_WORDS = declare(List.of(KEYWORDS), made -> {
        Keywords keywords = made.get(KEYWORDS);
        return SearchWords.of(keywords.size(), keywords::text);
    });

    /** What is exported together. */
    static final Declared<PlanUnits> UNITS = declare(
            List.of(KEYWORDS, STATUSES, GROUPS),
            same(recipe -> PlanUnits.what(recipe.serving().plan())),
            made -> PlanUnits.of(
                    made.get(KEYWORDS),
                    made.get(STATUSES),
                    made.get(GROUPS),
                    made.recipe().serving().plan(),
                    made.recipe().rules().plan()));

    /** The same, for whoever is not in Serve. */
    static final Declared<List<Planner.ExportedGroup>> EXPORTED =
            declare(List.of(UNITS), made -> Planner.exported(made.get(UNITS)));

    private static Planner.Input exported(Inputs made) {
        return new Planner.Input(
                made.get(KEYWORDS),
                made.get(STATUSES),
                made.get(GROUPS),
                made.recipe(),
                made.recipe().rules().plan(),
                made.get(UNITS),
                () -> made.get(INTENTS),
                () -> made.get(ESTIMATED_VALUE));
    }

    /** What would keep the ad groups apart. */
    static final Declared<List<Apart.Steer>> APART = declare(
            List.of(KEYWORDS, SEARCH_WORDS, EXPORTED),
            same(recipe -> recipe.serving().plan().matchTypes()),
            made -> StageFunctions.apart(
                    made.get(KEYWORDS), made.get(SEARCH_WORDS), made.get(EXPORTED), made.recipe()));

    static final Declared<Plan> PLAN = declare(
            List.of(KEYWORDS, STATUSES, GROUPS, UNITS, SEARCH_WORDS, APART),
            Map.of(INTENTS, recipe -> recipe.serving().asksForIntent(), ESTIMATED_VALUE, recipe -> recipe.serving()
                    .asksForEstimatedValue()),
            (one, other) -> one.serving().servesAs(other.serving()),
            made -> Planner.plan(exported(made), () -> made.get(SEARCH_WORDS), () -> made.get(APART)));

    /** What is odd about the plan. */
    static final Declared<List<PlanCheck.Finding>> CHECK = declare(
            List.of(KEYWORDS, GROUPS, INTENTS, PLAN, EXPORTED, APART),
            same(recipe -> List.of(recipe.serving().plan(), recipe.serving().campaigns())),
            made -> PlanCheck.of(new PlanCheck.Input(
                    made.get(PLAN),
                    made.get(KEYWORDS),
                    made.get(GROUPS),
                    made.recipe(),
                    made.get(INTENTS),
                    made.get(EXPORTED),
                    made.get(APART))));

    /** How much the plan holds, without its rows. */
    static final Declared<PlanCount> COUNT = declare(
            List.of(KEYWORDS, STATUSES, GROUPS, UNITS),
            Map.of(INTENTS, recipe -> recipe.serving().asksForIntent()),
            same(recipe -> recipe.serving().plan()),
            made -> Planner.count(exported(made)));

    private static <T> Declared<T> declare(List<Declared<?>> from, Function<Inputs, T> made) {
        return declare(from, (one, other) -> true, made);
    }

    private static <T> Declared<T> declare(
            List<Declared<?>> from, BiPredicate<Recipe, Recipe> same, Function<Inputs, T> made) {
        return declare(from, Map.of(), same, made);
    }

    private static <T> Declared<T> declare(
            List<Declared<?>> from,
            Map<Declared<?>, Predicate<Recipe>> also,
            BiPredicate<Recipe, Recipe> same,
            Function<Inputs, T> made) {
        Declared<T> stage = new Declared<>(List.copyOf(from), Map.copyOf(also), same, made);
        ALL.add(stage);
        return stage;
    }

    /** It depends on nothing else of the recipe. */
    private static BiPredicate<Recipe, Recipe> same(Function<Recipe, Object> read) {
        return (one, other) -> read.apply(one).equals(read.apply(other));
    }

    /**
     * What a stage is made from. It holds on to the stages that were declared and to no board, so that what a board before
     * has computed can go.
     *
     * @param earlier groups of a board before; for the groups only
     */
    private record Inputs(
            List<Lines> baskets,
            Recipe recipe,
            Map<Declared<?>, Lazy<?>> stages,
            @Nullable KnownGroups earlier,
            GroupingInputs.With with) {

        @SuppressWarnings("unchecked") // put in under a declaration of its own type
        <T> T get(Declared<T> stage) {
            return (T) Objects.requireNonNull(stages.get(stage), "not declared").get();
        }
    }

    /** Groups that were found for a board before, and for what; they hold again if it is the same. */
    private record KnownGroups(Groups groups, Keywords keywords, BitSet remaining, Recipe recipe) {
        boolean hold(Keywords others, BitSet left, Recipe other) {
            return keywords == others
                    && remaining.equals(left)
                    && other.grouping().groupsAs(recipe.grouping())
                    && (!other.grouping().asksForIntent() || other.valuing().intentsAs(recipe.valuing()))
                    && other.sifting().lists().equals(recipe.sifting().lists())
                    && !other.grouping().asksForTags();
        }
    }

    private final Map<Declared<?>, Lazy<?>> values;
    private final @Nullable KnownGroups known;
    private final GroupingInputs.With with;

    private StageValues(Map<Declared<?>, Lazy<?>> values, @Nullable KnownGroups known, GroupingInputs.With with) {
        this.values = values;
        this.known = known;
        this.with = with;
    }

    static StageValues of(List<Lines> baskets, Recipe recipe, GroupingInputs.With with) {
        return made(baskets, recipe, stage -> null, null, with);
    }

    /** The same with groups to be found anew. */
    StageValues regrouped(List<Lines> baskets, Recipe recipe) {
        return made(baskets, recipe, stage -> stage == GROUPS ? null : values.get(stage), null, with);
    }

    /** For the same baskets under another recipe. */
    StageValues next(List<Lines> baskets, Recipe recipe, Recipe changed) {
        return made(
                baskets,
                changed,
                stage -> stage.same().test(recipe, changed) ? values.get(stage) : null,
                known(GROUPS)
                        ? new KnownGroups(
                                get(GROUPS), get(KEYWORDS), get(STATUSES).remaining(), recipe)
                        : known,
                with);
    }

    private static StageValues made(
            List<Lines> baskets,
            Recipe recipe,
            Function<Declared<?>, @Nullable Lazy<?>> before,
            @Nullable KnownGroups known,
            GroupingInputs.With with) {
        Map<Declared<?>, Lazy<?>> values = new IdentityHashMap<>();
        Map<Declared<?>, Lazy<?>> anew = new IdentityHashMap<>();
        for (Declared<?> stage : ALL) {
            boolean stands = stage.from(recipe).stream().noneMatch(anew::containsKey);
            Lazy<?> old = stands ? before.apply(stage) : null;
            if (old == null) {
                // Groups of other keywords can never hold again, and would keep these in memory.
                KnownGroups earlier = stage == (Declared<?>) GROUPS && !anew.containsKey(KEYWORDS) ? known : null;
                old = stage(stage, baskets, recipe, values, earlier, with);
                anew.put(stage, old);
            }
            values.put(stage, old);
        }
        return new StageValues(values, anew.containsKey(KEYWORDS) ? null : known, with);
    }

    private static <T> Lazy<T> stage(
            Declared<T> stage,
            List<Lines> baskets,
            Recipe recipe,
            Map<Declared<?>, Lazy<?>> values,
            @Nullable KnownGroups earlier,
            GroupingInputs.With with) {
        Map<Declared<?>, Lazy<?>> from = new IdentityHashMap<>();
        stage.from(recipe).forEach(one -> from.put(one, Objects.requireNonNull(values.get(one))));
        Inputs made = new Inputs(stage.from().isEmpty() ? baskets : List.of(), recipe, from, earlier, with);
        return new Lazy<>(() -> stage.made().apply(made));
    }

    @SuppressWarnings("unchecked") // put in under a declaration of its own type
    private <T> Lazy<T> stage(Declared<T> stage) {
        return (Lazy<T>) Objects.requireNonNull(values.get(stage));
    }

    <T> T get(Declared<T> stage) {
        return stage(stage).get();
    }

    boolean known(Declared<?> stage) {
        return stage(stage).known();
    }

    /** The groups stay if the same keywords are left, as after keeping what was undecided. */
    private static Groups groups(Inputs made) {
        Statuses judged = made.get(STATUSES);
        KnownGroups earlier = made.earlier();
        return earlier != null && earlier.hold(made.get(KEYWORDS), judged.remaining(), made.recipe())
                ? earlier.groups()
                : GroupingInputs.group(
                        made.get(MATCHER),
                        judged,
                        made.recipe(),
                        () -> made.get(INTENTS),
                        made.with().meaning(),
                        made.get(GROWN));
    }
}
