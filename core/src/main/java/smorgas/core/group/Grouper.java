package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Dial;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.Engines;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.engine.Nearness;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.RemovedThemes;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.group.hand.Hand;
import smorgas.core.group.themes.Division;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.value.Intent;

/**
 * Puts every keyword of the scope into one group or among the ungrouped keywords: first what a hand has placed, locked or made
 * a group, then what rules take before the engine, then the engine's passes, then what rules take of the rest; then groups
 * are joined and split as a hand said; and last the ungrouped keywords, as the settings say. The result is the same for any order of
 * the keywords.
 */
public final class Grouper {

    /** The group of all ungrouped keywords, where they make one. Themes and names are tidy, so none can meet it. */
    public static final String REST = "Ungrouped";

    private final GroupingInput input;
    private final Hand hand;
    private final ThemeWords words;
    private final Draft draft;
    private final int[] groupOf;
    private final Grouping.By[] by;
    private final List<Grouping.MadeGroup> made;
    private final HandKeys keys;

    private final double[] weights;
    /** By group that the engine found, which of the intents that are kept apart its keywords are for. */
    private final Map<Integer, Optional<Intent>> intentOf = new HashMap<>();

    private Optional<Nearness.Measure> measured = Optional.empty();
    private Supplier<Dial> dial = () -> Dial.NONE;

    private Grouper(GroupingInput input, GroupSettings settings) {
        this.input = input;
        this.hand = input.hand();
        this.words = new ThemeWords(input.words(), settings, input.language());
        this.draft = new Draft(words);
        this.groupOf = draft.groupOf();
        this.by = draft.by();
        this.made = draft.made();
        this.weights = new double[words.size()];
        this.keys = new HandKeys(
                words, hand, input.rules().stream().map(RuleMembers::name).collect(Collectors.toSet()));
    }

    /** Groups keywords. */
    public static Grouping group(GroupingInput input, GroupSettings settings) {
        GroupSettings here = possible(input, settings);
        return new Grouper(input, here).run(here);
    }

    /** What of the settings can be done: words and meaning do not compare, so of one unknown meaning all go by words. */
    private static GroupSettings possible(GroupingInput input, GroupSettings settings) {
        GroupSettings here = MemoryLimit.possible(settings, input.scope().cardinality(), input.themes());
        GroupSettings known = here.method().meaning()
                        && input.scope().stream()
                                .anyMatch(keyword ->
                                        input.meaning().of(input.texts().apply(keyword)) == null)
                ? here.with(here.method().with(false))
                : here;
        input.cache().limit().require(known, input.scope().cardinality());
        return known;
    }

    private Grouping run(GroupSettings settings) {
        BitSet left = (BitSet) input.scope().clone();
        left.stream().forEach(keyword -> groupOf[keyword] = Grouping.UNGROUPED);
        BitSet placed = new BitSet();
        hand.placed().keySet().stream().filter(left::get).forEach(placed::set);
        hand.locked().forEach((key, keywords) -> lock(key, keywords, left));
        makeThemes(left);
        input.rules().stream().filter(rule -> !rule.ungroupedOnly()).forEach(rule -> take(rule, left));
        hand.adopted().forEach(this::adopt);
        hand.adopted().keySet().forEach(left::clear);
        find(settings, left);
        weighWhatNoPassHas();
        input.rules().stream().filter(RuleMembers::ungroupedOnly).forEach(rule -> take(rule, left));
        join(Set.of());
        split(settings);
        // A part may be joined into another group, but not back into the one that was split.
        join(hand.decisions().split().keySet());
        // Only now: a group that a hand takes a keyword from stays what it is for the others.
        placed.stream().forEach(keyword -> place(keyword, hand.placed().get(keyword)));
        left.andNot(placed);
        expel(left);
        switch (settings.ungrouped()) {
            case APART -> {
                // They stay what they are.
            }
            case PLACED ->
                new Placing(draft, hand, weights, (keyword, group) -> mayJoin(settings, keyword, group))
                        .place(left, settings.placedFrom(), measured);
            case ONE_GROUP ->
                left.stream()
                        .forEach(keyword -> draft.put(
                                keyword, draft.number(REST, Grouping.Kind.UNGROUPED, new int[0]), Grouping.By.REST));
        }
        return result(settings);
    }

    /** Rules and hands may mix what the engine keeps apart. */
    private boolean mayJoin(GroupSettings settings, int keyword, int group) {
        Optional<Intent> intent = apart(settings, keyword);
        return intentOf.getOrDefault(group, intent).equals(intent);
    }

    private Question.Barred barred() {
        SortedSet<String> everywhere = new TreeSet<>(hand.decisions().removed());
        everywhere.addAll(hand.locked().keySet());
        Map<Integer, RemovedThemes> byKeyword = new HashMap<>();
        hand.barred().forEach((keyword, themes) -> byKeyword.put(keyword, new RemovedThemes(themes, words)));
        return new Question.Barred(new RemovedThemes(everywhere, words), byKeyword);
    }

    private void lock(String key, BitSet keywords, BitSet left) {
        BitSet in = (BitSet) keywords.clone();
        in.and(left);
        if (!in.isEmpty()) {
            int group = draft.named(key);
            in.stream().forEach(keyword -> draft.put(keyword, group, Grouping.By.LOCK));
            left.andNot(in);
        }
    }

    /** The themes that a hand made take all keywords that have their words; the longer ones first. */
    private void makeThemes(BitSet left) {
        if (hand.decisions().made().isEmpty()) {
            return;
        }
        RaggedInts having = words.rows().inverse(words.size());
        hand.decisions().made().stream()
                .filter(theme -> words.find(theme).isPresent())
                .sorted(Comparator.<String>comparingInt(
                        theme -> -words.find(theme).orElseThrow().length))
                .forEach(theme -> {
                    int[] own = words.find(theme).orElseThrow();
                    BitSet in = (BitSet) left.clone();
                    for (int word : own) {
                        BitSet with = new BitSet();
                        having.forEach(word, with::set);
                        in.and(with);
                    }
                    in.stream().filter(keyword -> !hand.bars(keyword, theme)).forEach(keyword -> {
                        draft.put(keyword, draft.number(theme, Grouping.Kind.THEME, own), Grouping.By.THEME);
                        left.clear(keyword);
                    });
                });
    }

    /** Groups that a hand has joined into others give all they have. */
    private void join(Set<String> notInto) {
        for (Map.Entry<String, String> join : hand.decisions().joined().entrySet()) {
            Integer from = draft.find(join.getKey());
            if (from != null && !notInto.contains(join.getValue()) && has(from)) {
                int into = draft.find(join.getValue()) != null
                        ? draft.find(join.getValue())
                        : draft.named(join.getValue());
                for (int keyword = 0; keyword < groupOf.length; keyword++) {
                    if (groupOf[keyword] == from) {
                        draft.put(keyword, into, by[keyword] == Grouping.By.LOCK ? Grouping.By.LOCK : Grouping.By.JOIN);
                    }
                }
            }
        }
    }

    private boolean has(int group) {
        return Arrays.stream(groupOf).anyMatch(of -> of == group);
    }

    /** Groups that a hand has split; what no part takes stays. */
    private void split(GroupSettings settings) {
        Division division = new Division(words, settings, input.themes());
        hand.decisions().split().forEach((key, how) -> {
            Integer group = draft.find(key);
            if (group == null || hand.locked().containsKey(key)) {
                return;
            }
            int[] in = java.util.stream.IntStream.range(0, groupOf.length)
                    .filter(keyword -> groupOf[keyword] == group)
                    .toArray();
            int[] theme = made.get(group).theme();
            for (Division.Part part : division.parts(in, theme, how, Pass.LONGEST)) {
                String name = theme.length > 0 ? keys.of(part.theme()) : key + " " + words.text(part.theme());
                int number = draft.number(name, Grouping.Kind.THEME, part.theme());
                Arrays.stream(part.keywords()).forEach(keyword -> draft.put(keyword, number, Grouping.By.THEME));
            }
        });
    }

    /** Keywords leave groups in which a hand said they never are. */
    private void expel(BitSet left) {
        for (int keyword : hand.barred().keySet()) {
            if (groupOf[keyword] >= 0
                    && hand.bars(keyword, made.get(groupOf[keyword]).key())) {
                groupOf[keyword] = Grouping.UNGROUPED;
                left.set(keyword);
            }
        }
    }

    private void take(RuleMembers rule, BitSet left) {
        BitSet taken = (BitSet) rule.keywords().clone();
        taken.and(left);
        hand.barred().keySet().stream()
                .filter(keyword -> hand.bars(keyword, rule.name()))
                .forEach(taken::clear);
        if (!taken.isEmpty()) {
            int group = draft.number(rule.name(), Grouping.Kind.RULE, new int[0]);
            taken.stream().forEach(keyword -> draft.put(keyword, group, Grouping.By.RULE));
            left.andNot(taken);
        }
    }

    /** What the engine finds; intents that are kept apart are asked for one by one, all others together. */
    private void find(GroupSettings settings, BitSet left) {
        find(settings, left, Optional.empty());
        if (hand.adopted().isEmpty()) {
            settings.intentsApart().forEach(intent -> find(settings, left, Optional.of(intent)));
        }
    }

    /** Which of the intents that are kept apart a keyword is for; empty for all others. */
    private Optional<Intent> apart(GroupSettings settings, int keyword) {
        return settings.intentsApart().isEmpty()
                ? Optional.empty()
                : input.intents().apply(keyword).filter(settings.intentsApart()::contains);
    }

    private Question question(int[] scope) {
        return new Question(
                words,
                input.texts(),
                input.scope().stream().toArray(),
                scope,
                input.figures(),
                barred(),
                input.language(),
                input.meaning(),
                input.similarity(),
                input.themes(),
                input.cache());
    }

    private void find(GroupSettings settings, BitSet left, Optional<Intent> intent) {
        int[] scope = left.stream()
                .filter(keyword -> apart(settings, keyword).equals(intent))
                .toArray();
        if (scope.length == 0 && intent.isPresent()) {
            return;
        }
        Question question = question(scope);
        // Adopted groups stay what they are, and none forms beside them.
        Engine engine = Engines.of(settings);
        Engine.Found found = hand.adopted().isEmpty() ? engine.find(question) : engine.measuring(question);
        Arrays.setAll(weights, word -> Math.max(weights[word], found.weights()[word]));
        if (intent.isEmpty()) {
            measured = found.measure();
        }
        Supplier<Dial> others = dial;
        dial = () -> others.get().and(found.dial().get());
        String[] named = keys.of(found, scope, input.texts());
        int[] numbered = new int[named.length];
        for (int group = 0; group < numbered.length; group++) {
            // A theme that others have too goes by its intent beside it.
            boolean taken = intent.isPresent() && draft.find(named[group]) != null;
            String key = taken ? named[group] + " " + intent.get().fixedName() : named[group];
            numbered[group] = draft.number(key, Grouping.Kind.THEME, found.themes()[group]);
            intentOf.put(numbered[group], intent);
        }
        for (int i = 0; i < scope.length && hand.adopted().isEmpty(); i++) {
            if (found.group()[i] >= 0) {
                draft.put(scope[i], numbered[found.group()[i]], Grouping.By.THEME);
                left.clear(scope[i]);
            }
        }
    }

    /** Words that only keywords placed by hand or by a rule have weigh as the rarest do. */
    private void weighWhatNoPassHas() {
        double most = Math.log(1 + (double) Math.max(1, input.scope().cardinality()));
        for (int word = 0; word < weights.length; word++) {
            weights[word] = weights[word] == 0 && !words.ignored(word) ? most : weights[word];
        }
    }

    private void adopt(int keyword, String key) {
        if (groupOf[keyword] == Grouping.UNGROUPED) {
            draft.put(keyword, key.isEmpty() ? Grouping.UNGROUPED : draft.named(key), Grouping.By.ADOPTED);
        }
    }

    private void place(int keyword, String key) {
        if (key.isEmpty()) {
            // Out of all groups, also of the one that it would be in by itself.
            groupOf[keyword] = Grouping.UNGROUPED;
        } else {
            // A group that was joined into another is no more, whatever made it.
            String into = hand.decisions().joined().getOrDefault(key, key);
            draft.put(keyword, draft.number(into, Grouping.Kind.HAND, new int[0]), Grouping.By.HAND);
        }
    }

    private Grouping result(GroupSettings settings) {
        BitSet taken = new BitSet();
        for (int group : groupOf) {
            if (group >= 0) {
                taken.set(group);
            }
        }
        int[] inOrder = taken.stream().toArray();
        String[] texts = made.stream().map(Grouping.MadeGroup::key).toArray(String[]::new);
        // Most are in order already, which this sort sees.
        IntArrays.mergeSort(inOrder, (a, b) -> texts[a].compareTo(texts[b]));
        int[] place = new int[made.size()];
        for (int i = 0; i < inOrder.length; i++) {
            place[inOrder[i]] = i;
        }
        for (int keyword = 0; keyword < groupOf.length; keyword++) {
            groupOf[keyword] = groupOf[keyword] < 0 ? groupOf[keyword] : place[groupOf[keyword]];
        }
        List<Grouping.MadeGroup> used =
                Arrays.stream(inOrder).mapToObj(made::get).toList();
        Function<Grouping, Nearness> measure =
                measured.<Function<Grouping, Nearness>>map(one -> one::over).orElse(ThemeNearness::new);
        return new Grouping(words, used, groupOf, by, weights, also(used), settings, input.themes(), measure, dial);
    }

    /** For each group the keywords that are in it beside their own group. */
    private RaggedInts also(List<Grouping.MadeGroup> groups) {
        if (hand.alsoIn().isEmpty()) {
            return RaggedInts.made(groups.size(), (group, row) -> {});
        }
        Map<String, Integer> places = new HashMap<>();
        for (int group = 0; group < groups.size(); group++) {
            places.put(groups.get(group).key(), group);
        }
        Map<Integer, List<Integer>> also = new HashMap<>();
        hand.alsoIn()
                .forEach((keyword, keys) -> keys.forEach(key -> {
                    int group = places.getOrDefault(key, Grouping.OUTSIDE);
                    if (group >= 0 && groupOf[keyword] != group && groupOf[keyword] != Grouping.OUTSIDE) {
                        also.computeIfAbsent(group, fresh -> new ArrayList<>()).add(keyword);
                    }
                }));
        return RaggedInts.made(groups.size(), (group, row) -> row.addAll(also.getOrDefault(group, List.of())));
    }
}
