package smorgas.core.board;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import smorgas.core.fold.Cleaner;
import smorgas.core.fold.FoldReport;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Misspellings;
import smorgas.core.fold.Overlap;
import smorgas.core.fold.Spellings;
import smorgas.core.gather.Lines;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Valuing;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.serve.Handover;
import smorgas.core.serve.NegativeProposals;
import smorgas.core.serve.Plan;
import smorgas.core.serve.PlanCheck;
import smorgas.core.serve.PlanCount;
import smorgas.core.serve.PlanUnits;
import smorgas.core.serve.Planner;
import smorgas.core.sift.ConditionContext;
import smorgas.core.sift.Judge;
import smorgas.core.sift.Matcher;
import smorgas.core.sift.Phrases;
import smorgas.core.sift.Statuses;
import smorgas.core.sift.UsualViews;
import smorgas.core.text.Wording;
import smorgas.core.value.Apart;
import smorgas.core.value.EstimatedValue;
import smorgas.core.value.Intents;
import smorgas.core.value.Priority;
import smorgas.core.value.SearchWords;

/**
 * Everything that follows from some baskets and a recipe. Each stage is computed when it is first asked for, once, and is
 * taken over from the board before if nothing that it depends on has changed ({@link StageValues} declares what that is). Safe
 * for many threads.
 */
public final class Board {

    private final List<Lines> baskets;
    private final Recipe recipe;
    private final MeaningVectors meaning;
    private final MemoryLimit room;
    private final StageValues stages;

    private Board(List<Lines> baskets, Recipe recipe, MeaningVectors meaning, MemoryLimit room, StageValues stages) {
        this.baskets = baskets;
        this.recipe = recipe;
        this.meaning = meaning;
        this.room = room;
        this.stages = stages;
    }

    /** The board of these baskets, in this order, under this recipe; nothing is computed yet. */
    public static Board of(List<Lines> baskets, Recipe recipe) {
        return of(baskets, recipe, MeaningVectors.NONE, MemoryLimit.ENOUGH);
    }

    /**
     * The same where it may be known what keywords mean.
     *
     * @param meaning is asked when groups are found
     * @param room that finding out how alike keywords are may take
     */
    public static Board of(List<Lines> baskets, Recipe recipe, MeaningVectors meaning, MemoryLimit room) {
        List<Lines> inputs = List.copyOf(baskets);
        return new Board(
                inputs, recipe, meaning, room, StageValues.of(inputs, recipe, new GroupingInputs.With(meaning, room)));
    }

    /** The same with groups to be found anew, since more is known of what keywords mean. */
    public Board understanding() {
        return new Board(baskets, recipe, meaning, room, stages.regrouped(baskets, recipe));
    }

    /**
     * The board of other inputs, which takes over every stage of this one that would come out the same.
     *
     * @param next the baskets; a basket that has not changed must be the same object
     */
    public Board next(List<Lines> next, Recipe changed) {
        return sameObjects(next)
                ? new Board(baskets, changed, meaning, room, stages.next(baskets, recipe, changed))
                : of(next, changed, meaning, room);
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

    private <T> T get(StageValues.Declared<T> stage) {
        return stages.get(stage);
    }

    public Recipe recipe() {
        return recipe;
    }

    /** The keywords, folded now if they are not yet. */
    public Keywords keywords() {
        return get(StageValues.KEYWORDS);
    }

    /** What each kind of folding takes away, worked out now if it is not yet. */
    public FoldReport foldReport() {
        return get(StageValues.REPORT);
    }

    /** What another cleaning would do to the spellings as they are cleaned now. */
    public Cleaner.Preview cleanedBy(Cleaning cleaning) {
        return Cleaner.preview(spellings(), recipe().folding(), cleaning);
    }

    /** One that finds keywords by conditions, and knows further lists. */
    public Matcher matcher(Map<String, WordList> further) {
        Map<String, WordList> lists = new LinkedHashMap<>(further);
        lists.putAll(recipe().sifting().lists());
        return further.isEmpty() ? matcher() : new Matcher(keywords(), lists);
    }

    /** How keywords would stand if a rule were put below the others. */
    public Statuses judgedWith(Matcher matcher, Condition condition, Status status) {
        List<Rule> rules = new ArrayList<>(recipe().sifting().rules());
        rules.add(new Rule(recipe().sifting().nextRule(), condition, status));
        return Judge.judge(
                matcher,
                intents()::with,
                recipe().sifting().decisions(),
                recipe().sifting().tags(),
                rules);
    }

    /** Words that look misspelt, worked out now if they are not yet. */
    public List<Misspellings.Proposal> misspellings() {
        return get(StageValues.MISSPELLINGS);
    }

    /** How many words look misspelt, if that was worked out. */
    Optional<Integer> misspellingsKnown() {
        return stages.known(StageValues.MISSPELLINGS)
                ? Optional.of(misspellings().size())
                : Optional.empty();
    }

    /** How many things the checks of the plan found, if the plan was made. */
    Optional<Integer> findingsKnown() {
        return stages.known(StageValues.PLAN)
                ? Optional.of(plan().conflicts().size() + plan().notExported().size())
                : Optional.empty();
    }

    /** The spellings before anything but tidying, tidied now if they are not yet. */
    public Spellings spellings() {
        return get(StageValues.SPELLINGS);
    }

    /** How the baskets overlap, worked out now if it is not yet. */
    public Overlap overlap() {
        return get(StageValues.OVERLAP);
    }

    /** What each keyword is for. */
    public Intents intents() {
        return get(StageValues.INTENTS);
    }

    /** What each keyword may bring by the project's assumptions. */
    public EstimatedValue estimatedValue() {
        return get(StageValues.ESTIMATED_VALUE);
    }

    /** What all that is not dropped may bring together. */
    public EstimatedValue.Sum estimatedValueLeft() {
        return get(StageValues.ESTIMATED_VALUE_LEFT);
    }

    /** What each keyword may bring if something else were assumed. */
    public EstimatedValue estimatedValueIf(Valuing valuing) {
        return StageFunctions.estimatedValue(keywords(), statuses(), this::groups, valuing);
    }

    /** What each keyword promises by the project's weights. */
    public Priority priority() {
        return get(StageValues.PRIORITY);
    }

    /** The priority that each keyword would have by other weights. */
    public Priority priorityIf(PrioritySettings settings) {
        return Priority.of(keywords(), intents(), settings, statuses().remaining());
    }

    /** The words and phrases of the keywords. */
    public Phrases phrases() {
        return get(StageValues.PHRASES);
    }

    /** The views that most lists are looked at by. */
    public List<UsualViews.View> usualViews() {
        return get(StageValues.USUAL_VIEWS);
    }

    /** How much the plan holds, counted now if it is not yet; it needs the groups and not the plan. */
    public PlanCount planCount() {
        return get(StageValues.COUNT);
    }

    /** Whether it is known how each keyword stands. */
    public boolean judgedKnown() {
        return stages.known(StageValues.STATUSES);
    }

    /** Runs conditions over the keywords. */
    public Matcher matcher() {
        return get(StageValues.MATCHER);
    }

    /** The keywords that fulfil a condition, which may ask for anything. */
    public BitSet match(Condition condition) {
        return matcher().match(condition, beyond());
    }

    /** What can be asked of the keywords beyond what they are; each is worked out when it is asked for. */
    public ConditionContext beyond() {
        return new ConditionContext(
                status -> statuses().with(status),
                tag -> statuses().tags().with(tag),
                intent -> intents().with(intent),
                name -> priority().with(name),
                fact -> facts().numbers(fact));
    }

    /** The orders in which tables can show the keywords. */
    public Orders orders() {
        return get(StageValues.ORDERS);
    }

    /** What can be told of each keyword. */
    public Facts facts() {
        return new Facts(this);
    }

    /** The statuses, judged now if they are not yet. */
    public Statuses statuses() {
        return get(StageValues.STATUSES);
    }

    /** The groups, found now if they are not yet. */
    public Groups groups() {
        return get(StageValues.GROUPS);
    }

    /** Whether {@link #groups()} would answer at once. */
    public boolean groupsKnown() {
        return stages.known(StageValues.GROUPS);
    }

    /** The keywords as ad platforms read them, to find what negatives block. */
    public SearchWords searchWords() {
        return get(StageValues.SEARCH_WORDS);
    }

    /** The ad groups of the plan with what each serves. */
    public List<Planner.ExportedGroup> exported() {
        return get(StageValues.EXPORTED);
    }

    /** What could be a negative of the plan, worked out whenever it is asked for. */
    public NegativeProposals negatives() {
        BitSet all = new BitSet();
        exported().forEach(group -> IntStream.of(group.keywords()).forEach(all::set));
        return new NegativeProposals(keywords(), searchWords(), statuses(), recipe, all);
    }

    /** The negatives that would keep the ad groups apart, by the numbers of {@link #exported()}. */
    public List<Apart.Steer> apart() {
        return get(StageValues.APART);
    }

    /**
     * The plan with what tells of it.
     *
     * @param project the name of the project
     * @param wording the words for what people read
     */
    public Handover handover(String project, String currency, Wording wording) {
        return new Handover(
                project,
                currency,
                plan(),
                keywords(),
                statuses(),
                groups(),
                recipe,
                this::intents,
                this::estimatedValue,
                wording);
    }

    /** Whether {@link #check()} would answer at once. */
    public boolean checkKnown() {
        return stages.known(StageValues.CHECK);
    }

    /** What is odd about the plan. */
    public List<PlanCheck.Finding> check() {
        return get(StageValues.CHECK);
    }

    /** What the plan would come to by other choices, with some of its names. */
    public Planner.Preview planIf(PlanSettings settings, int names) {
        boolean same =
                PlanUnits.what(settings).equals(PlanUnits.what(recipe.serving().plan()));
        PlanUnits units = same
                ? get(StageValues.UNITS)
                : PlanUnits.of(
                        keywords(),
                        statuses(),
                        groups(),
                        settings,
                        recipe.rules().plan());
        return Planner.preview(
                new Planner.Input(
                        keywords(),
                        statuses(),
                        groups(),
                        recipe.withPlan(settings),
                        recipe.rules().plan(),
                        units,
                        this::intents,
                        this::estimatedValue),
                names);
    }

    /** The plan, made now if it is not yet. */
    public Plan plan() {
        return get(StageValues.PLAN);
    }
}
