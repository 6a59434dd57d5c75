package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.RaggedInts;
import smorgas.core.fold.FoldedWords;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Pass;

/**
 * Puts every keyword of the scope into one group or among the leftovers: first what a hand has placed, then what rules
 * take before the engine, then the engine's passes, then what rules take of the rest; and last the leftovers, as the
 * settings say. The result is the same for any order of the keywords.
 */
public final class Grouper {

    /** The group of all leftovers, where they make one. Themes and names are tidy, so none can meet it. */
    public static final String REST = "Leftovers";

    private final Input input;
    private final ThemeWords words;
    private final int[] groupOf;
    private final Grouping.By[] by;
    private final List<Grouping.Made> made = new ArrayList<>();
    private final Map<String, Integer> numbers = new HashMap<>();
    private final double[] weights;

    /**
     * What is grouped, and by what.
     *
     * @param words of every keyword
     * @param scope the keywords to be grouped
     * @param figures by which themes may be ranked; those that no basket has are missing
     * @param language ISO 639-1; decides further forms of words
     * @param rules the groups that rules make, those of the highest priority first
     * @param placed by keyword the key of the group where a hand put it; empty for none
     * @param removed themes on which no group forms
     */
    public record Input(
            FoldedWords words,
            BitSet scope,
            Map<Figure, FigureColumn> figures,
            String language,
            List<Taking> rules,
            SortedMap<Integer, String> placed,
            SortedSet<String> removed) {

        /** Nothing but words: no figures, no rules, no hand. */
        public static Input of(FoldedWords words, BitSet scope, String language) {
            return new Input(words, scope, Map.of(), language, List.of(), new TreeMap<>(), new TreeSet<>());
        }
    }

    /**
     * What a rule takes into its group.
     *
     * @param name the group's key
     * @param keywords that fulfil the rule's condition
     * @param leftoversOnly whether it comes after the engine
     */
    public record Taking(String name, BitSet keywords, boolean leftoversOnly) {}

    private Grouper(Input input, GroupSettings settings) {
        this.input = input;
        this.words = new ThemeWords(input.words(), settings, input.language());
        this.groupOf = new int[words.rows().size()];
        this.by = new Grouping.By[groupOf.length];
        this.weights = new double[words.size()];
        Arrays.fill(groupOf, Grouping.OUTSIDE);
    }

    /** Groups keywords. */
    public static Grouping group(Input input, GroupSettings settings) {
        return new Grouper(input, settings).run(settings);
    }

    private Grouping run(GroupSettings settings) {
        BitSet left = (BitSet) input.scope().clone();
        left.stream().forEach(keyword -> groupOf[keyword] = Grouping.LEFTOVER);
        BitSet placed = new BitSet();
        input.placed().keySet().stream().filter(left::get).forEach(placed::set);
        left.andNot(placed);
        input.rules().stream().filter(rule -> !rule.leftoversOnly()).forEach(rule -> take(rule, left));
        long[] worth = Worth.of(groupOf.length, input.scope(), settings.rank(), input.figures());
        RemovedThemes removed = new RemovedThemes(input.removed(), words);
        for (Pass pass : settings.passes()) {
            run(pass, settings, left, worth, removed);
        }
        weighWhatNoPassHas();
        input.rules().stream().filter(Taking::leftoversOnly).forEach(rule -> take(rule, left));
        placed.stream().forEach(keyword -> place(keyword, input.placed().get(keyword)));
        switch (settings.leftovers()) {
            case APART -> {
                // They stay what they are.
            }
            case SEATED -> seat(left, settings.seatedFrom());
            case ONE_GROUP ->
                left.stream()
                        .forEach(keyword ->
                                put(keyword, number(REST, Grouping.Kind.LEFTOVERS, new int[0]), Grouping.By.REST));
        }
        return result();
    }

    private void take(Taking rule, BitSet left) {
        BitSet taken = (BitSet) rule.keywords().clone();
        taken.and(left);
        if (!taken.isEmpty()) {
            int group = number(rule.name(), Grouping.Kind.RULE, new int[0]);
            taken.stream().forEach(keyword -> put(keyword, group, Grouping.By.RULE));
            left.andNot(taken);
        }
    }

    private void run(Pass pass, GroupSettings settings, BitSet left, long[] worth, RemovedThemes removed) {
        int[] scope = left.stream().toArray();
        long[] worthOfScope = new long[scope.length];
        Arrays.setAll(worthOfScope, i -> worth[scope[i]]);
        PassEngine.Found found = PassEngine.run(words, scope, worthOfScope, settings, pass, removed);
        // A word keeps the weight that the first pass that saw it gave it, so that tightness means the same in all
        // groups.
        for (int word = 0; word < weights.length; word++) {
            weights[word] = weights[word] == 0 ? found.weights()[word] : weights[word];
        }
        RaggedInts groups = RaggedInts.byKey(found.group(), found.themes().length);
        for (int group = 0; group < groups.size(); group++) {
            int[] theme = pass.anyOrder()
                    ? asTheyStand(found.themes()[group], groups.row(group), scope)
                    : found.themes()[group];
            int number = number(words.text(theme), Grouping.Kind.THEME, theme);
            groups.forEach(group, i -> {
                put(scope[i], number, Grouping.By.THEME);
                left.clear(scope[i]);
            });
        }
    }

    /** The words of a set in the order in which they stand on the whole in these keywords. */
    private int[] asTheyStand(int[] theme, int[] members, int[] scope) {
        long[] places = new long[theme.length];
        for (int i : members) {
            for (int p = 0; p < theme.length; p++) {
                int length = words.rows().length(scope[i]);
                for (int at = 0; at < length; at++) {
                    if (words.rows().get(scope[i], at) == theme[p]) {
                        places[p] += at;
                        break;
                    }
                }
            }
        }
        int[] order = new int[theme.length];
        Arrays.setAll(order, p -> p);
        IntArrays.quickSort(order, (a, b) -> {
            int byPlace = Long.compare(places[a], places[b]);
            return byPlace != 0 ? byPlace : Integer.compare(theme[a], theme[b]);
        });
        return Arrays.stream(order).map(p -> theme[p]).toArray();
    }

    /** Words that only keywords placed by hand or by a rule have weigh as the rarest do. */
    private void weighWhatNoPassHas() {
        double most = Math.log(1 + (double) Math.max(1, input.scope().cardinality()));
        for (int word = 0; word < weights.length; word++) {
            weights[word] = weights[word] == 0 && !words.muted(word) ? most : weights[word];
        }
    }

    private void place(int keyword, String key) {
        if (!key.isEmpty()) {
            put(keyword, number(key, Grouping.Kind.HAND, new int[0]), Grouping.By.HAND);
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
                    if (best < 0 || nearer(group, best, shared, whole)) {
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

    private Grouping result() {
        BitSet used = new BitSet();
        for (int group : groupOf) {
            if (group >= 0) {
                used.set(group);
            }
        }
        int[] inOrder = used.stream().toArray();
        IntArrays.quickSort(
                inOrder, (a, b) -> made.get(a).key().compareTo(made.get(b).key()));
        int[] place = new int[made.size()];
        for (int i = 0; i < inOrder.length; i++) {
            place[inOrder[i]] = i;
        }
        for (int keyword = 0; keyword < groupOf.length; keyword++) {
            groupOf[keyword] = groupOf[keyword] < 0 ? groupOf[keyword] : place[groupOf[keyword]];
        }
        return new Grouping(words, Arrays.stream(inOrder).mapToObj(made::get).toList(), groupOf, by, weights);
    }
}
