package smorgas.core.serve;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouper;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Explained;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanRules;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.sift.Status;
import smorgas.core.sift.Statuses;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;

/** What is to be exported together, before it is parted into campaigns and ad groups: groups, or broader themes of them. */
public final class PlanUnits {

    /** Characters that ad platforms refuse in a keyword (common practice). */
    private static final String REFUSED = ",!@%^()={};~`<>?\\|*\"[]";

    /** Of fewer one core puts all in order. */
    private static final int FEW_UNITS = 64;

    private static final int ASCII = 128;
    private static final boolean[] REFUSED_AT = new boolean[ASCII];

    static {
        REFUSED.chars().forEach(sign -> REFUSED_AT[sign] = true);
    }

    /**
     * Keywords that belong together.
     *
     * @param theme what they are about; of those that a hand has named, its name
     * @param byHand whether a hand has written it with capitals of its own
     * @param group the number of its first group; -1 for the ungrouped keywords
     * @param keys of the groups in it; none of the ungrouped keywords
     * @param keywords what is exported of it, the most searched first
     */
    record Unit(String theme, boolean byHand, int group, List<String> keys, int[] keywords) {}

    private final Keywords keywords;
    private final Statuses statuses;
    private final Groups groups;
    private final PlanSettings settings;
    private final PlanRules rules;
    private final @Nullable FigureColumn searches;
    /** Those of all keywords that ad platforms would not take. */
    private final boolean[] faulty;

    private final List<Unit> units = new ArrayList<>();
    private final List<Plan.NotExported> notExported = new ArrayList<>();
    private int leftOutGroups;
    private int leftOutKeywords;

    private PlanUnits(Keywords keywords, Statuses statuses, Groups groups, PlanSettings settings, PlanRules rules) {
        this.keywords = keywords;
        this.statuses = statuses;
        this.groups = groups;
        this.settings = settings;
        this.rules = rules;
        this.searches = keywords.figure(Figure.SEARCHES).orElse(null);
        this.faulty = new boolean[keywords.size()];
        Cores.run(faulty.length, (from, to) -> {
            for (int keyword = from; keyword < to; keyword++) {
                faulty[keyword] = fault(keyword).isPresent();
            }
        });
    }

    /** Those of the settings from which it follows what belongs together. */
    public static Object what(PlanSettings settings) {
        return List.of(settings.structure().depth(), settings.groups());
    }

    /** Of keywords that are grouped, as settings say. */
    public static PlanUnits of(
            Keywords keywords, Statuses statuses, Groups groups, PlanSettings settings, PlanRules rules) {
        PlanUnits made = new PlanUnits(keywords, statuses, groups, settings, rules);
        made.fill();
        Cores.run(made.units.size(), FEW_UNITS, (from, to) -> {
            for (int i = from; i < to; i++) {
                made.sort(made.units.get(i).keywords());
            }
        });
        if (settings.groups().smallest() > 1) {
            made.small();
        }
        return made;
    }

    /** In the order of the plan. */
    List<Unit> units() {
        return units;
    }

    List<Plan.NotExported> notExported() {
        return notExported;
    }

    /** How many groups are left out since they are too small or have nothing Kept. */
    int leftOutGroups() {
        return leftOutGroups;
    }

    int leftOutKeywords() {
        return leftOutKeywords;
    }

    private void fill() {
        Grouping grouping = groups.grouping();
        if (settings.structure().depth() == 0) {
            for (int group : groups.order()) {
                String name = groups.name(group);
                add(name, isByHand(name), group, List.of(grouping.key(group)), withAlso(group));
            }
        } else {
            broader(groups.tree());
        }
        if (settings.groups().ungrouped()) {
            int[] left = IntStream.range(0, keywords.size())
                    .filter(keyword -> grouping.groupOf(keyword) == Grouping.UNGROUPED)
                    .toArray();
            add(Grouper.REST, true, -1, List.of(), left);
        }
    }

    /** What somebody has written with capitals stays as it is. */
    private static boolean isByHand(String name) {
        return !name.equals(name.toLowerCase(Locale.ROOT));
    }

    /** One for each theme at the chosen depth, most searched first, of all groups in it. */
    private void broader(ThemeTree tree) {
        int depth = settings.structure().depth();
        Map<Integer, IntArrayList> members = new HashMap<>();
        Map<Integer, List<String>> within = new HashMap<>();
        for (int group : groups.order()) {
            within.computeIfAbsent(tree.at(group, depth), node -> new ArrayList<>())
                    .add(groups.grouping().key(group));
        }
        for (int group = 0; group < groups.grouping().size(); group++) {
            IntArrayList under = members.computeIfAbsent(tree.at(group, depth), node -> new IntArrayList());
            under.addElements(under.size(), withAlso(group));
        }
        members.keySet().stream()
                .sorted(Comparator.<Integer>comparingLong(
                                node -> -tree.node(node).searches().sum())
                        .thenComparing(node -> tree.node(node).text()))
                .forEach(node -> {
                    ThemeTree.Node theme = tree.node(node);
                    String name = theme.group() >= 0 ? groups.name(theme.group()) : theme.text();
                    add(
                            name,
                            theme.group() >= 0 && isByHand(name),
                            groups.find(within.get(node).getFirst()),
                            within.get(node),
                            members.get(node).intStream().distinct().toArray());
                });
    }

    /** The keywords of a group, and those that are in it beside their own. */
    private int[] withAlso(int group) {
        return IntStream.concat(
                        Arrays.stream(groups.grouping().members().row(group)),
                        Arrays.stream(groups.grouping().also().row(group)))
                .toArray();
    }

    private void add(String theme, boolean byHand, int group, List<String> keys, int[] members) {
        PlanGroups which = settings.groups();
        IntArrayList any = new IntArrayList();
        boolean kept = false;
        for (int keyword : members) {
            boolean isKept = statuses.of(keyword) == Status.KEPT;
            if (isKept || !which.keptOnly()) {
                kept |= isKept;
                if (faulty[keyword]) {
                    notExported.add(new Plan.NotExported(
                            keywords.text(keyword), fault(keyword).orElseThrow()));
                } else {
                    any.add(keyword);
                }
            }
        }
        if (which.withKept() && !kept && !any.isEmpty()) {
            leftOutGroups++;
            leftOutKeywords += any.size();
        } else if (!any.isEmpty()) {
            units.add(new Unit(theme, byHand, group, keys, any.toIntArray()));
        }
    }

    /** The most searched first. */
    private int[] sort(int[] some) {
        IntArrays.quickSort(some, (a, b) -> {
            int bySearches = Long.compare(searched(b), searched(a));
            return bySearches != 0 ? bySearches : keywords.text(a).compareTo(keywords.text(b));
        });
        return some;
    }

    private long searched(int keyword) {
        return searches == null ? 0 : searches.twiceMiddle(keyword);
    }

    /** Those with too few keywords are left out, or join the nearest that has enough; the ungrouped keywords stay what they are. */
    private void small() {
        int least = settings.groups().smallest();
        boolean joins = settings.groups().small() == PlanGroups.Small.INTO_RELATED;
        Map<Integer, Integer> placeOf = new HashMap<>();
        for (int place = 0; place < units.size(); place++) {
            Unit unit = units.get(place);
            if (unit.keywords().length >= least) {
                for (String key : unit.keys()) {
                    placeOf.put(groups.find(key), place);
                }
            }
        }
        Map<Integer, List<Unit>> joining = new HashMap<>();
        Set<Integer> out = new HashSet<>();
        for (int place = 0; place < units.size(); place++) {
            Unit unit = units.get(place);
            if (unit.keywords().length >= least || unit.group() < 0) {
                continue;
            }
            out.add(place);
            Optional<Integer> into = joins ? related(unit, placeOf) : Optional.empty();
            into.ifPresentOrElse(
                    near -> joining.computeIfAbsent(near, none -> new ArrayList<>())
                            .add(unit),
                    () -> {
                        leftOutGroups++;
                        leftOutKeywords += unit.keywords().length;
                    });
        }
        List<Unit> left = new ArrayList<>();
        for (int place = 0; place < units.size(); place++) {
            if (!out.contains(place)) {
                left.add(joined(units.get(place), joining.getOrDefault(place, List.of())));
            }
        }
        units.clear();
        units.addAll(left);
    }

    private Optional<Integer> related(Unit unit, Map<Integer, Integer> placeOf) {
        return groups.explained().near(unit.group()).stream()
                .map(Explained.Near::group)
                .filter(placeOf::containsKey)
                .map(placeOf::get)
                .findFirst();
    }

    private Unit joined(Unit unit, List<Unit> others) {
        if (others.isEmpty()) {
            return unit;
        }
        List<String> keys = new ArrayList<>(unit.keys());
        IntArrayList all = new IntArrayList(unit.keywords());
        for (Unit other : others) {
            keys.addAll(other.keys());
            all.addElements(all.size(), other.keywords());
        }
        return new Unit(
                unit.theme(),
                unit.byHand(),
                unit.group(),
                List.copyOf(keys),
                sort(all.intStream().distinct().toArray()));
    }

    /** The keywords that are exported, each once. */
    BitSet exported() {
        BitSet exported = new BitSet();
        units.forEach(unit -> Arrays.stream(unit.keywords()).forEach(exported::set));
        return exported;
    }

    private Optional<Message> fault(int keyword) {
        String text = keywords.text(keyword);
        if (Formulas.runs(text)) {
            return Optional.of(Message.of("serve.plan-units.begins-which-spreadsheet-would", text.charAt(0)));
        }
        if (Characters.count(text) > rules.longestKeyword()) {
            return Optional.of(Message.of("serve.plan-units.more-than-characters-which", rules.longestKeyword()));
        }
        if (keywords.wordCount(keyword) > rules.mostWords()) {
            return Optional.of(Message.of("serve.plan-units.more-than-words-which", rules.mostWords()));
        }
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) < ASCII && REFUSED_AT[text.charAt(i)]) {
                return Optional.of(Message.of("serve.plan-units.which-ad-platforms-refuse", text.charAt(i)));
            }
        }
        return Optional.empty();
    }
}
