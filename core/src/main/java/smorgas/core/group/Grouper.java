package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.RaggedInts;
import smorgas.core.fold.FoldedWords;
import smorgas.core.group.engine.Dial;
import smorgas.core.group.engine.Division;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.Grown;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.Nearness;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.RemovedThemes;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.group.hand.Hand;
import smorgas.core.recipe.Edition;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Method;

/**
 * Puts every keyword of the scope into one group or among the leftovers: first what a hand has placed, locked or made
 * a group, then what rules take before the engine, then the engine's passes, then what rules take of the rest; then groups
 * are joined and split as a hand said; and last the leftovers, as the settings say. The result is the same for any order of the keywords.
 */
public final class Grouper {

    /** The group of all leftovers, where they make one. Themes and names are tidy, so none can meet it. */
    public static final String REST = "Leftovers";

    private final Input input;
    private final Hand hand;
    private final ThemeWords words;
    private final int[] groupOf;
    private final Grouping.By[] by;
    private final List<Grouping.Made> made = new ArrayList<>();
    private final Map<String, Integer> numbers = new HashMap<>();
    /** By the words of a theme in any order, the key by which a hand knows its group. */
    private final Map<String, String> known = new HashMap<>();

    private final double[] weights;
    private Optional<Nearness.Measure> measured = Optional.empty();
    private Supplier<Dial> dial = () -> Dial.NONE;

    /**
     * What is grouped, and by what.
     *
     * @param words of every keyword
     * @param texts of every keyword, its lead spelling, tidy
     * @param scope the keywords to be grouped
     * @param figures by which themes may be ranked; those that no basket has are missing
     * @param language ISO 639-1; decides further forms of words
     * @param rules the groups that rules make, those of the highest priority first
     * @param hand what a hand decided
     * @param edition whose rules hold
     * @param meaning what is known of what texts mean
     * @param grown remembers what was found for these keywords before
     */
    public record Input(
            FoldedWords words,
            IntFunction<String> texts,
            BitSet scope,
            Map<Figure, FigureColumn> figures,
            String language,
            List<Taking> rules,
            Hand hand,
            Edition edition,
            MeaningVectors meaning,
            Grown grown) {

        /** Nothing but words: no figures, no rules, no hand. */
        public static Input of(FoldedWords words, BitSet scope, String language) {
            return of(words, scope, Map.of(), language, List.of(), Hand.NONE);
        }

        /** No other texts than the words as they are shown, and nothing known of what they mean. */
        public static Input of(
                FoldedWords words,
                BitSet scope,
                Map<Figure, FigureColumn> figures,
                String language,
                List<Taking> rules,
                Hand hand) {
            return new Input(
                    words,
                    keyword -> Arrays.stream(words.rows().row(keyword))
                            .mapToObj(words::text)
                            .collect(Collectors.joining(" ")),
                    scope,
                    figures,
                    language,
                    rules,
                    hand,
                    Edition.NEWEST,
                    MeaningVectors.NONE,
                    new Grown());
        }
    }

    private Grouper(Input input, GroupSettings settings) {
        this.input = input;
        this.hand = input.hand();
        this.words = new ThemeWords(input.words(), settings, input.language());
        this.groupOf = new int[words.rows().size()];
        this.by = new Grouping.By[groupOf.length];
        this.weights = new double[words.size()];
        Arrays.fill(groupOf, Grouping.OUTSIDE);
        Set<String> ofRules = input.rules().stream().map(Taking::name).collect(Collectors.toSet());
        // Of two that are the same theme the first in the order of texts.
        hand.keys().stream().filter(key -> !ofRules.contains(key)).forEach(key -> words.find(key)
                .ifPresent(theme -> known.putIfAbsent(inAnyOrder(theme), key)));
    }

    /** What two themes of the same words have in common, in whatever order these stand. */
    private static String inAnyOrder(int[] theme) {
        return Arrays.toString(Arrays.stream(theme).sorted().distinct().toArray());
    }

    /**
     * What a theme's group is known by: as a hand knows it already, for other lists may turn its words round or show them in
     * another form; else its words as they stand.
     */
    private String key(int[] theme) {
        return known.getOrDefault(inAnyOrder(theme), words.text(theme));
    }

    /** Groups keywords. */
    public static Grouping group(Input input, GroupSettings settings) {
        GroupSettings here = possible(input, settings);
        return new Grouper(input, here).run(here);
    }

    /** What of the settings can be done: words and meaning do not compare, so of one unknown meaning all go by words. */
    private static GroupSettings possible(Input input, GroupSettings settings) {
        GroupSettings here = settings.forSoMany(input.scope().cardinality());
        return here.method() instanceof Method.ByLikeness like
                        && like.meaning()
                        && input.scope().stream()
                                .anyMatch(keyword ->
                                        input.meaning().of(input.texts().apply(keyword)) == null)
                ? here.with(like.with(false))
                : here;
    }

    private Grouping run(GroupSettings settings) {
        BitSet left = (BitSet) input.scope().clone();
        left.stream().forEach(keyword -> groupOf[keyword] = Grouping.LEFTOVER);
        BitSet placed = new BitSet();
        hand.placed().keySet().stream().filter(left::get).forEach(placed::set);
        boolean second = input.edition().atLeast(Edition.SECOND);
        if (!second) {
            left.andNot(placed);
        }
        hand.locked().forEach((key, keywords) -> lock(key, keywords, left));
        makeThemes(left);
        input.rules().stream().filter(rule -> !rule.leftoversOnly()).forEach(rule -> take(rule, left));
        hand.settled().forEach(this::settle);
        hand.settled().keySet().forEach(left::clear);
        find(settings, left);
        weighWhatNoPassHas();
        input.rules().stream().filter(Taking::leftoversOnly).forEach(rule -> take(rule, left));
        join(Set.of());
        split(settings);
        // A part may be joined into another group, but not back into the one that was split.
        join(hand.split().keySet());
        // Only now: a group that a hand takes a keyword from stays what it is for the others.
        placed.stream().forEach(keyword -> place(keyword, hand.placed().get(keyword)));
        left.andNot(placed);
        expel(left);
        switch (settings.leftovers()) {
            case APART -> {
                // They stay what they are.
            }
            case SEATED ->
                measured.ifPresentOrElse(
                        by -> seatNearest(left, settings.seatedFrom(), by), () -> seat(left, settings.seatedFrom()));
            case ONE_GROUP ->
                left.stream()
                        .forEach(keyword ->
                                put(keyword, number(REST, Grouping.Kind.LEFTOVERS, new int[0]), Grouping.By.REST));
        }
        return result(settings);
    }

    private Question.Barred barred() {
        SortedSet<String> everywhere = new TreeSet<>(hand.removed());
        everywhere.addAll(hand.locked().keySet());
        Map<Integer, RemovedThemes> byKeyword = new HashMap<>();
        hand.barred().forEach((keyword, themes) -> byKeyword.put(keyword, new RemovedThemes(themes, words)));
        return new Question.Barred(new RemovedThemes(everywhere, words), byKeyword);
    }

    /** A group of this name whose theme are the words of the name, if keywords have them. */
    private int named(String key) {
        int[] theme = words.find(key).orElseGet(() -> new int[0]);
        boolean themed = Arrays.stream(theme).anyMatch(word -> !words.muted(word));
        return themed ? number(key, Grouping.Kind.THEME, theme) : number(key, Grouping.Kind.HAND, new int[0]);
    }

    private void lock(String key, BitSet keywords, BitSet left) {
        BitSet in = (BitSet) keywords.clone();
        in.and(left);
        if (!in.isEmpty()) {
            int group = named(key);
            in.stream().forEach(keyword -> put(keyword, group, Grouping.By.LOCK));
            left.andNot(in);
        }
    }

    /** The themes that a hand made take all keywords that have their words; the longer ones first. */
    private void makeThemes(BitSet left) {
        if (hand.made().isEmpty()) {
            return;
        }
        RaggedInts having = words.rows().inverse(words.size());
        hand.made().stream()
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
                        put(keyword, number(theme, Grouping.Kind.THEME, own), Grouping.By.THEME);
                        left.clear(keyword);
                    });
                });
    }

    /** Groups that a hand has joined into others give all they have. */
    private void join(Set<String> notInto) {
        for (Map.Entry<String, String> join : hand.joined().entrySet()) {
            Integer from = numbers.get(join.getKey());
            if (from != null && !notInto.contains(join.getValue()) && has(from)) {
                int into = numbers.containsKey(join.getValue()) ? numbers.get(join.getValue()) : named(join.getValue());
                for (int keyword = 0; keyword < groupOf.length; keyword++) {
                    if (groupOf[keyword] == from) {
                        put(keyword, into, by[keyword] == Grouping.By.LOCK ? Grouping.By.LOCK : Grouping.By.JOIN);
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
        hand.split().forEach((key, how) -> {
            Integer group = numbers.get(key);
            if (group == null || hand.locked().containsKey(key)) {
                return;
            }
            int[] in = java.util.stream.IntStream.range(0, groupOf.length)
                    .filter(keyword -> groupOf[keyword] == group)
                    .toArray();
            int[] theme = made.get(group).theme();
            for (Division.Part part : Division.of(words, in, theme, how, settings)) {
                String name = theme.length > 0 ? key(part.theme()) : key + " " + words.text(part.theme());
                int number = number(name, Grouping.Kind.THEME, part.theme());
                Arrays.stream(part.keywords()).forEach(keyword -> put(keyword, number, Grouping.By.THEME));
            }
        });
    }

    /** Keywords leave groups in which a hand said they never are. */
    private void expel(BitSet left) {
        for (int keyword : hand.barred().keySet()) {
            if (groupOf[keyword] >= 0
                    && hand.bars(keyword, made.get(groupOf[keyword]).key())) {
                groupOf[keyword] = Grouping.LEFTOVER;
                left.set(keyword);
            }
        }
    }

    private void take(Taking rule, BitSet left) {
        BitSet taken = (BitSet) rule.keywords().clone();
        taken.and(left);
        hand.barred().keySet().stream()
                .filter(keyword -> hand.bars(keyword, rule.name()))
                .forEach(taken::clear);
        if (!taken.isEmpty()) {
            int group = number(rule.name(), Grouping.Kind.RULE, new int[0]);
            taken.stream().forEach(keyword -> put(keyword, group, Grouping.By.RULE));
            left.andNot(taken);
        }
    }

    private void find(GroupSettings settings, BitSet left) {
        int[] scope = left.stream().toArray();
        Question question = new Question(
                words,
                input.texts(),
                input.scope().stream().toArray(),
                scope,
                input.figures(),
                barred(),
                input.language(),
                input.edition(),
                input.meaning(),
                input.grown());
        // Settled groups stay what they are, and none forms beside them.
        Engine.Found found =
                hand.settled().isEmpty() ? Engine.of(settings).find(question) : Engine.measuring(settings, question);
        System.arraycopy(found.weights(), 0, weights, 0, weights.length);
        measured = found.measure();
        dial = found.dial();
        String[] keys = keys(found, scope);
        int[] numbered = new int[keys.length];
        for (int group = 0; group < numbered.length; group++) {
            numbered[group] = number(keys[group], Grouping.Kind.THEME, found.themes()[group]);
        }
        for (int i = 0; i < scope.length && hand.settled().isEmpty(); i++) {
            if (found.group()[i] >= 0) {
                put(scope[i], numbered[found.group()[i]], Grouping.By.THEME);
                left.clear(scope[i]);
            }
        }
    }

    /**
     * What tells the groups apart. A group that goes by one of its keywords goes by the one by which a hand knows it, if it has
     * that.
     */
    private String[] keys(Engine.Found found, int[] scope) {
        String[] keys = new String[found.themes().length];
        for (int group = 0; group < keys.length; group++) {
            keys[group] = found.keys()[group].isEmpty() ? key(found.themes()[group]) : found.keys()[group];
        }
        Set<String> byHand = hand.keys();
        Set<Integer> taken = new HashSet<>();
        for (int i = 0; i < scope.length && !byHand.isEmpty(); i++) {
            int group = found.group()[i];
            String text = input.texts().apply(scope[i]);
            // Not by one that a hand took out of it to make a group of its own.
            boolean leaves = text.equals(hand.placed().get(scope[i]));
            if (group >= 0 && !found.keys()[group].isEmpty() && byHand.contains(text) && !leaves && taken.add(group)) {
                keys[group] = text;
            }
        }
        return keys;
    }

    /** Words that only keywords placed by hand or by a rule have weigh as the rarest do. */
    private void weighWhatNoPassHas() {
        double most = Math.log(1 + (double) Math.max(1, input.scope().cardinality()));
        for (int word = 0; word < weights.length; word++) {
            weights[word] = weights[word] == 0 && !words.muted(word) ? most : weights[word];
        }
    }

    private void settle(int keyword, String key) {
        if (groupOf[keyword] == Grouping.LEFTOVER) {
            put(keyword, key.isEmpty() ? Grouping.LEFTOVER : named(key), Grouping.By.SETTLED);
        }
    }

    private void place(int keyword, String key) {
        if (key.isEmpty()) {
            // Out of all groups, also of the one that it would be in by itself.
            groupOf[keyword] = Grouping.LEFTOVER;
        } else {
            // A group that was joined into another is no more, whatever made it.
            String into = input.edition().atLeast(Edition.THIRD) ? hand.joined().getOrDefault(key, key) : key;
            put(keyword, number(into, Grouping.Kind.HAND, new int[0]), Grouping.By.HAND);
        }
    }

    /** Each keyword joins the group to which it is nearest as the engine measures it, if it is near enough. */
    private void seatNearest(BitSet left, double from, Nearness.Measure measured) {
        Nearness nearness = measured.over(new SoFar());
        int[] into = new int[groupOf.length];
        Arrays.fill(into, Grouping.LEFTOVER);
        left.stream().forEach(keyword -> {
            double[] most = {from};
            nearness.forEach(keyword, group -> {
                String key = made.get(group).key();
                double near = nearness.of(keyword, group);
                boolean may = !hand.bars(keyword, key) && !hand.locked().containsKey(key);
                boolean nearer = near > most[0] || near == most[0] && into[keyword] < 0;
                if (may && nearer) {
                    most[0] = near;
                    into[keyword] = group;
                }
            });
        });
        // Only now, so that none is seated with one that was.
        left.stream()
                .filter(keyword -> into[keyword] >= 0)
                .forEach(keyword -> put(keyword, into[keyword], Grouping.By.SEAT));
    }

    /** The groups as they are while they are made. */
    private final class SoFar implements Nearness.Membership {
        private final RaggedInts members = RaggedInts.byKey(groupOf, made.size());

        @Override
        public int groups() {
            return made.size();
        }

        @Override
        public int groupOf(int keyword) {
            return groupOf[keyword];
        }

        @Override
        public RaggedInts members() {
            return members;
        }
    }

    /** Each keyword joins the group of whose theme it covers most of its own weight; of equal ones the fuller theme. */
    private void seat(BitSet left, double from) {
        RaggedInts.Builder themes = new RaggedInts.Builder();
        made.forEach(group -> {
            Arrays.stream(group.theme()).forEach(themes::add);
            themes.endRow();
        });
        RaggedInts groupsOf = themes.seal().inverse(words.size());
        double[] whole = made.stream()
                .mapToDouble(group -> Arrays.stream(group.theme())
                        .mapToDouble(word -> weights[word])
                        .sum())
                .toArray();
        double[] shared = new double[made.size()];
        left.stream().forEach(keyword -> {
            int[] row = Arrays.stream(words.rows().row(keyword)).distinct().toArray();
            double all = Arrays.stream(row).mapToDouble(word -> weights[word]).sum();
            int best = -1;
            for (int word : row) {
                groupsOf.forEach(word, group -> shared[group] += weights[word]);
            }
            for (int word : row) {
                for (int g = 0; g < groupsOf.length(word); g++) {
                    int group = groupsOf.get(word, g);
                    String key = made.get(group).key();
                    boolean may = !hand.bars(keyword, key)
                            && !hand.locked().containsKey(key)
                            && !(input.edition().atLeast(Edition.SECOND)
                                    && hand.joined().containsKey(key));
                    if (may && (best < 0 || nearer(group, best, shared, whole))) {
                        best = group;
                    }
                }
            }
            if (best >= 0 && all > 0 && shared[best] / all >= from - 1e-9) {
                put(keyword, best, Grouping.By.SEAT);
            }
            for (int word : row) {
                groupsOf.forEach(word, group -> shared[group] = 0);
            }
        });
    }

    private boolean nearer(int group, int best, double[] shared, double[] whole) {
        if (Math.abs(shared[group] - shared[best]) > 1e-9) {
            return shared[group] > shared[best];
        }
        double ofGroup = shared[group] / whole[group];
        double ofBest = shared[best] / whole[best];
        if (Math.abs(ofGroup - ofBest) > 1e-9) {
            return ofGroup > ofBest;
        }
        return made.get(group).key().compareTo(made.get(best).key()) < 0;
    }

    private void put(int keyword, int group, Grouping.By how) {
        groupOf[keyword] = group;
        by[keyword] = how;
    }

    /** The group of this key, made now if there is none. */
    private int number(String key, Grouping.Kind kind, int[] theme) {
        return numbers.computeIfAbsent(key, fresh -> {
            made.add(new Grouping.Made(key, kind, theme));
            return made.size() - 1;
        });
    }

    private Grouping result(GroupSettings settings) {
        BitSet taken = new BitSet();
        for (int group : groupOf) {
            if (group >= 0) {
                taken.set(group);
            }
        }
        int[] inOrder = taken.stream().toArray();
        IntArrays.quickSort(
                inOrder, (a, b) -> made.get(a).key().compareTo(made.get(b).key()));
        int[] place = new int[made.size()];
        for (int i = 0; i < inOrder.length; i++) {
            place[inOrder[i]] = i;
        }
        for (int keyword = 0; keyword < groupOf.length; keyword++) {
            groupOf[keyword] = groupOf[keyword] < 0 ? groupOf[keyword] : place[groupOf[keyword]];
        }
        List<Grouping.Made> used = Arrays.stream(inOrder).mapToObj(made::get).toList();
        Function<Grouping, Nearness> measure =
                measured.<Function<Grouping, Nearness>>map(one -> one::over).orElse(ThemeNearness::new);
        return new Grouping(words, used, groupOf, by, weights, also(used), settings, measure, dial);
    }

    /** For each group the keywords that are in it beside their own group. */
    private RaggedInts also(List<Grouping.Made> groups) {
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
