package smorgas.core.serve;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.util.ULocale;
import it.unimi.dsi.fastutil.ints.IntArrayList;
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
import java.util.function.Supplier;
import java.util.stream.IntStream;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouper;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.MatchType;
import smorgas.core.recipe.Method;
import smorgas.core.recipe.PlanSettings;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.Standing;
import smorgas.core.sift.Standings;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.value.Apart;
import smorgas.core.value.SearchWords;

/** Makes the ad plan of a board. */
public final class Planner {

    /** Limits common to ad platforms (from memory): a keyword has at most 80 characters and 10 words. */
    static final int LONGEST_KEYWORD = 80;

    static final int MOST_WORDS = 10;
    /** Characters that ad platforms refuse in a keyword (common practice). */
    private static final String REFUSED = ",!@%^()={};~`<>?\\|*\"[]";

    private final Keywords keywords;
    private final Standings standings;
    private final Groups groups;
    private final Recipe recipe;
    private final PlanSettings settings;
    /** One set for all keywords, which have the same match types today. */
    private final Set<MatchType> matchTypes;

    private final Inherited inherited;

    private final List<Plan.AdGroup> adGroups = new ArrayList<>();
    private final List<Plan.HeldBack> heldBack = new ArrayList<>();
    private final BitSet served = new BitSet();
    private final Set<String> names = new HashSet<>();
    /** Of each ad group the keys of its groups, and what it serves. */
    private final List<List<String>> keys = new ArrayList<>();

    private final List<int[]> serves = new ArrayList<>();
    private int adGroupCount;
    /** Whether only their number is wanted. */
    private boolean counting;

    private long rowCount;

    private Planner(Keywords keywords, Standings standings, Groups groups, Recipe recipe) {
        this.keywords = keywords;
        this.standings = standings;
        this.groups = groups;
        this.recipe = recipe;
        this.settings = recipe.serving().plan();
        this.inherited = new Inherited(keywords);
        this.matchTypes = settings.matchTypes();
    }

    /** The plan: ad groups in the order of the groups, keywords by searches, each in every match type chosen. */
    public static Plan plan(
            Keywords keywords,
            Standings standings,
            Groups groups,
            Recipe recipe,
            Supplier<SearchWords> words,
            Supplier<List<Apart.Steer>> apart) {
        return new Planner(keywords, standings, groups, recipe).run(words, apart);
    }

    /** The ad groups with what each serves, in the order of the plan. */
    public static List<ServedGroup> served(Keywords keywords, Standings standings, Groups groups, Recipe recipe) {
        Planner planner = new Planner(keywords, standings, groups, recipe);
        planner.fill();
        List<ServedGroup> served = new ArrayList<>();
        for (int i = 0; i < planner.adGroups.size(); i++) {
            served.add(new ServedGroup(planner.adGroups.get(i).name(), planner.keys.get(i), planner.serves.get(i)));
        }
        return served;
    }

    /**
     * An ad group.
     *
     * @param keys of the groups in it; none of the leftovers
     * @param keywords the numbers of what it serves
     */
    public record ServedGroup(String name, List<String> keys, int[] keywords) {}

    /** How much the plan holds, without its rows. */
    public static PlanCount count(Keywords keywords, Standings standings, Groups groups, Recipe recipe) {
        Planner planner = new Planner(keywords, standings, groups, recipe);
        planner.counting = true;
        planner.fill();
        return planner.counted();
    }

    private Plan run(Supplier<SearchWords> words, Supplier<List<Apart.Steer>> apart) {
        fill();
        Negatives negatives = new Negatives(keywords, words, recipe, served);
        Plan.Campaign campaign =
                new Plan.Campaign(settings.campaign(), withNegatives(negatives, apart), negatives.ofCampaign());
        return new Plan(List.of(campaign), counted(), negatives.conflicts(), heldBack, notes());
    }

    /** The ad groups with the negatives that a hand has given them, and those that keep them apart if all are to. */
    private List<Plan.AdGroup> withNegatives(Negatives negatives, Supplier<List<Apart.Steer>> apart) {
        List<List<Plan.Negative>> own = new ArrayList<>();
        for (int i = 0; i < adGroups.size(); i++) {
            own.add(negatives.ofGroups(keys.get(i), serves.get(i)));
        }
        if (recipe.serving().apart()) {
            for (Apart.Steer steer : apart.get()) {
                Plan.Negative negative = new Plan.Negative(steer.negative(), steer.type());
                boolean refused = keys.get(steer.from()).stream()
                        .anyMatch(key -> recipe.serving().said().get(new Serving.Place(steer.negative(), key))
                                == ServeEntry.Say.NEVER);
                if (!refused && !own.get(steer.from()).contains(negative)) {
                    own.get(steer.from()).add(negative);
                }
            }
        }
        List<Plan.AdGroup> all = new ArrayList<>();
        for (int i = 0; i < adGroups.size(); i++) {
            all.add(adGroups.get(i).with(own.get(i)));
        }
        return all;
    }

    private PlanCount counted() {
        return new PlanCount(adGroupCount, served.cardinality(), rowCount);
    }

    private void fill() {
        Grouping grouping = groups.grouping();
        if (settings.depth() == 0) {
            for (int group : groups.order()) {
                adGroup(name(group), List.of(grouping.key(group)), withAlso(group));
            }
        } else {
            broader(groups.tree());
        }
        if (settings.leftovers()) {
            IntArrayList left = new IntArrayList();
            for (int keyword = 0; keyword < keywords.size(); keyword++) {
                if (grouping.groupOf(keyword) == Grouping.LEFTOVER) {
                    left.add(keyword);
                }
            }
            adGroup(free(named(Grouper.REST)), List.of(), left.toIntArray());
        }
    }

    /** An ad group for each theme at the chosen depth, most searched first, of all groups in it. */
    private void broader(ThemeTree tree) {
        Map<Integer, IntArrayList> members = new HashMap<>();
        Map<Integer, List<String>> within = new HashMap<>();
        for (int group : groups.order()) {
            within.computeIfAbsent(tree.at(group, settings.depth()), node -> new ArrayList<>())
                    .add(groups.grouping().key(group));
        }
        for (int group = 0; group < groups.grouping().size(); group++) {
            IntArrayList under = members.computeIfAbsent(tree.at(group, settings.depth()), node -> new IntArrayList());
            under.addElements(under.size(), withAlso(group));
        }
        members.keySet().stream()
                .sorted(Comparator.<Integer>comparingLong(
                                node -> -tree.node(node).searches())
                        .thenComparing(node -> tree.node(node).text()))
                .forEach(node -> adGroup(
                        name(tree.node(node)),
                        within.get(node),
                        members.get(node).intStream().distinct().toArray()));
    }

    /** The keywords of a group, and those that are in it beside their own. */
    private int[] withAlso(int group) {
        return IntStream.concat(
                        Arrays.stream(groups.grouping().members().row(group)),
                        Arrays.stream(groups.grouping().also().row(group)))
                .toArray();
    }

    private String name(ThemeTree.Node node) {
        return node.group() >= 0 ? name(node.group()) : free(named(cased(node.text())));
    }

    private String name(int group) {
        String name = groups.name(group);
        // What somebody has written with capitals stays as it is.
        boolean plain = name.equals(name.toLowerCase(java.util.Locale.ROOT));
        return free(named(plain ? cased(name) : name));
    }

    private String cased(String theme) {
        return settings.titleCase() ? UCharacter.toTitleCase(ULocale.ROOT, theme, null) : theme;
    }

    private String named(String name) {
        return settings.pattern().replace(PlanSettings.THEME, name);
    }

    /** The name, with a number behind it if another ad group has it, whatever its case. */
    private String free(String name) {
        String free = name;
        for (int number = 2; !names.add(free.toLowerCase(java.util.Locale.ROOT)); number++) {
            free = name + " " + number;
        }
        return free;
    }

    private void adGroup(String name, List<String> within, int[] members) {
        Optional<FigureColumn> searches = keywords.figure(Figure.SEARCHES);
        int[] sorted = members.clone();
        if (!counting) {
            sort(sorted, searches);
        }
        List<Plan.Served> rows = new ArrayList<>();
        IntArrayList any = new IntArrayList();
        Optional<String> nameFault = nameFault(name);
        for (int keyword : sorted) {
            if (settings.keptOnly() && standings.of(keyword) != Standing.KEPT) {
                continue;
            }
            String text = keywords.text(keyword);
            Optional<String> why = nameFault.or(() -> fault(keyword, text));
            if (why.isEmpty()) {
                any.add(keyword);
                served.set(keyword);
                rowCount += matchTypes.size();
            }
            if (!counting) {
                why.ifPresentOrElse(
                        fault -> heldBack.add(new Plan.HeldBack(text, fault)),
                        () -> rows.add(new Plan.Served(text, matchTypes)));
            }
        }
        if (!any.isEmpty()) {
            adGroupCount++;
            if (!counting) {
                adGroups.add(new Plan.AdGroup(
                        name, settings.bidMicros(), rows, inherited.page(sorted), inherited.ads(sorted), List.of()));
                keys.add(within);
                serves.add(any.toIntArray());
            }
        }
    }

    private void sort(int[] some, Optional<FigureColumn> searches) {
        IntArrays.quickSort(some, (a, b) -> {
            int bySearches = searches.map(s -> Long.compare(s.twiceMiddle(b), s.twiceMiddle(a)))
                    .orElse(0);
            return bySearches != 0 ? bySearches : keywords.text(a).compareTo(keywords.text(b));
        });
    }

    /** A name from before such names were refused, or one that its pattern makes too long. */
    private static Optional<String> nameFault(String name) {
        if (Characters.count(name) > PlanSettings.LONGEST_NAME) {
            return Optional.of("is in an ad group with a name of more than 255 characters");
        }
        return Formulas.runs(name)
                ? Optional.of("is in an ad group whose name begins with " + name.charAt(0)
                        + ", which a spreadsheet would run as a formula; name it otherwise in Group")
                : Optional.empty();
    }

    private Optional<String> fault(int keyword, String text) {
        if (Formulas.runs(text)) {
            return Optional.of("begins with " + text.charAt(0) + ", which a spreadsheet would run as a formula");
        }
        if (Characters.count(text) > LONGEST_KEYWORD) {
            return Optional.of("has more than " + LONGEST_KEYWORD + " characters, which ad platforms refuse");
        }
        if (keywords.wordCount(keyword) > MOST_WORDS) {
            return Optional.of("has more than " + MOST_WORDS + " words, which ad platforms refuse");
        }
        for (int i = 0; i < text.length(); i++) {
            if (REFUSED.indexOf(text.charAt(i)) >= 0) {
                return Optional.of("has a " + text.charAt(i) + " in it, which ad platforms refuse");
            }
        }
        return Optional.empty();
    }

    private List<String> notes() {
        long twice = IntStream.range(0, groups.grouping().size())
                .flatMap(group -> Arrays.stream(groups.grouping().also().row(group)))
                .filter(served::get)
                .distinct()
                .count();
        List<String> notes = new ArrayList<>();
        if (twice > 0) {
            notes.add(twice + (twice == 1 ? " keyword is" : " keywords are")
                    + " in more than one ad group, as you said in Group");
        }
        Method asked = recipe.grouping().settings().method();
        // Settled groups stay what they are.
        Method done = recipe.grouping().pins().settled().isEmpty()
                ? groups.grouping().settings().method()
                : asked;
        if (asked instanceof Method.ByLikeness && done instanceof Method.ByThemes) {
            notes.add("There are too many keywords to group by likeness: their groups go by themes");
        } else if (!asked.equals(done)) {
            notes.add("The groups go by words alone and may yet change: what all keywords mean is not known yet");
        }
        return notes;
    }
}
