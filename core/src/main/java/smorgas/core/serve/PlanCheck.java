package smorgas.core.serve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.OwnCampaign;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.value.Apart;
import smorgas.core.value.Intents;

/** What is odd about a plan before it leaves, what costs most searches first. */
public final class PlanCheck {

    /** More keywords than one ad answers, as a rule (common practice). */
    private static final int MANY = 50;

    /** An ad is shown only with so many (from memory, common to ad platforms). */
    private static final int FEWEST_HEADLINES = 3;

    private static final int FEWEST_DESCRIPTIONS = 2;

    /** So many ads an ad group are usual (common practice). */
    private static final int FEWEST_ADS = 2;

    private static final int SAMPLES = 5;

    /** A field for which nothing stands; one that the platform fills is none. */
    private static final Pattern OPEN = Pattern.compile("\\{(?!KeyWord:)[^}]*}");

    /** A name that is told from another by a number. */
    private static final Pattern NUMBERED = Pattern.compile("(.*) \\d+");

    /**
     * Something odd.
     *
     * @param count of keywords, ad groups or texts, as the kind is about
     * @param searches that it touches, known ones
     * @param samples some of them, the most searched first
     * @param adGroups the numbers of the ad groups in the whole plan, from 0; none if it is about no ad group
     */
    public record Finding(CheckKind kind, int count, Searched searches, List<String> samples, List<Integer> adGroups) {
        public Finding {
            samples = List.copyOf(samples);
            adGroups = List.copyOf(adGroups);
        }
    }

    /** Twice what is searched, so that ranges stay whole numbers while they are added up. */
    private record Doubled(long sum, boolean simulated) {
        private static final Doubled NOTHING = new Doubled(0, false);

        Doubled plus(Doubled other) {
            return new Doubled(sum + other.sum, simulated || other.simulated);
        }
    }

    /** What is found of a kind, while it is gathered; of its texts only those that are most searched are kept. */
    private static final class Gathered {
        private static final Comparator<Map.Entry<String, Long>> MOST =
                Map.Entry.<String, Long>comparingByValue().reversed().thenComparing(Map.Entry.comparingByKey());

        private int count;
        private Doubled twice = Doubled.NOTHING;
        private final List<Map.Entry<String, Long>> samples = new ArrayList<>(SAMPLES + 1);
        private final List<Integer> adGroups = new ArrayList<>();

        void add(String sample, Doubled searches) {
            count++;
            long twiceSearches = searches.sum;
            twice = twice.plus(searches);
            if (samples.size() == SAMPLES && samples.getLast().getValue() > twiceSearches) {
                return;
            }
            Map.Entry<String, Long> one = Map.entry(sample, twiceSearches);
            if (samples.removeIf(known -> known.getKey().equals(sample) && known.getValue() <= twiceSearches)
                    || samples.stream().noneMatch(known -> known.getKey().equals(sample))) {
                samples.add(one);
                samples.sort(MOST);
            }
            if (samples.size() > SAMPLES) {
                samples.removeLast();
            }
        }

        Finding finding(CheckKind kind) {
            return new Finding(
                    kind,
                    count,
                    new Searched(twice.sum / 2, twice.simulated),
                    samples.stream().map(Map.Entry::getKey).toList(),
                    adGroups);
        }
    }

    /**
     * What is looked at.
     *
     * @param exported what belongs together
     * @param steers what would keep it apart, by the numbers of {@code exported}
     */
    public record Input(
            Plan plan,
            Keywords keywords,
            Groups groups,
            Recipe recipe,
            Intents intents,
            List<Planner.ExportedGroup> exported,
            List<Apart.Steer> steers) {}

    private final Input what;
    private final Numbers searches;
    /** By match types the ad group in which each keyword was met; -1 for none yet. */
    private final Map<Set<MatchType>, int[]> places = new HashMap<>();

    private final Map<CheckKind, Gathered> found = new EnumMap<>(CheckKind.class);

    private PlanCheck(Input what) {
        this.what = what;
        this.searches = what.keywords().numbers(Figure.SEARCHES);
    }

    /** What is odd; nothing if all is well. */
    public static List<Finding> of(Input what) {
        PlanCheck check = new PlanCheck(what);
        check.notExported();
        check.adGroups();
        check.shadowed();
        check.ungrouped();
        return check.found.entrySet().stream()
                .map(entry -> entry.getValue().finding(entry.getKey()))
                .sorted(Comparator.comparing((Finding one) -> one.kind() != CheckKind.NOT_EXPORTED)
                        .thenComparing(Comparator.<Finding>comparingLong(
                                        finding -> finding.searches().sum())
                                .reversed())
                        .thenComparing(Finding::kind))
                .toList();
    }

    private Gathered of(CheckKind kind) {
        return found.computeIfAbsent(kind, none -> new Gathered());
    }

    private Doubled twice(int keyword) {
        return searches.known(keyword)
                ? new Doubled(searches.twiceMiddle(keyword), searches.simulated(keyword))
                : Doubled.NOTHING;
    }

    private void notExported() {
        for (Plan.NotExported held : what.plan().notExported()) {
            of(CheckKind.NOT_EXPORTED)
                    .add(
                            held.keyword(),
                            what.keywords()
                                    .find(held.keyword())
                                    .map(this::twice)
                                    .orElse(Doubled.NOTHING));
        }
    }

    private void adGroups() {
        Keywords keywords = what.keywords();
        boolean anyAd = any(group -> !group.ads().isEmpty());
        Map<String, Integer> names = new LinkedHashMap<>();
        int number = 0;
        boolean byMarket = what.recipe().serving().plan().campaigns().by() == PlanCampaigns.By.MARKET;
        for (Plan.Campaign campaign : what.plan().campaigns()) {
            if (byMarket) {
                // What is bid on in two markets does not compete with itself.
                places.clear();
            }
            boolean bids = bidsOf(campaign).from() != PlanBids.From.NOTHING;
            for (Plan.AdGroup group : campaign.adGroups()) {
                int[] members = group.keywords().stream()
                        .mapToInt(exported -> keywords.find(exported.keyword()).orElseThrow())
                        .toArray();
                Doubled all = IntStream.of(members).mapToObj(this::twice).reduce(Doubled.NOTHING, Doubled::plus);
                sizes(group, members, all, number);
                if (group.page().isEmpty()) {
                    add(CheckKind.NO_PAGE, group.name(), all, number);
                }
                if (anyAd && group.ads().isEmpty()) {
                    add(CheckKind.NO_AD, group.name(), all, number);
                }
                ads(group, all, number);
                for (int i = 0; i < members.length; i++) {
                    keyword(group, group.keywords().get(i), members[i], number, bids);
                }
                Matcher numbered = NUMBERED.matcher(group.name());
                if (numbered.matches() && names.containsKey(numbered.group(1))) {
                    add(CheckKind.SAME_NAME, group.name(), all, number);
                }
                names.put(group.name(), number);
                number++;
            }
        }
    }

    private void shadowed() {
        Map<String, Set<Plan.Negative>> leaving = new HashMap<>();
        for (Plan.Campaign campaign : what.plan().campaigns()) {
            for (Plan.AdGroup group : campaign.adGroups()) {
                leaving.computeIfAbsent(key(group.keys()), none -> new HashSet<>())
                        .addAll(group.negatives());
            }
        }
        BitSet found = new BitSet();
        for (Apart.Steer steer : what.steers()) {
            Plan.Negative negative = new Plan.Negative(steer.negative(), steer.type());
            if (!leaving.getOrDefault(key(what.exported().get(steer.from()).keys()), Set.of())
                    .contains(negative)) {
                steer.searches().forEach(found::set);
            }
        }
        if (!found.isEmpty()) {
            Gathered gathered = of(CheckKind.SHADOWED);
            found.stream().forEach(keyword -> gathered.add(what.keywords().text(keyword), twice(keyword)));
        }
    }

    private static String key(List<String> keys) {
        return keys.isEmpty() ? "" : keys.getFirst();
    }

    private void keyword(Plan.AdGroup group, Plan.Exported exported, int keyword, int number, boolean bids) {
        if (bids && exported.bidMicros() == 0 && group.bidMicros() == 0) {
            of(CheckKind.NO_BID).add(exported.keyword(), twice(keyword));
        }
        if (!searches.known(keyword)) {
            of(CheckKind.NO_SEARCHES).add(exported.keyword(), Doubled.NOTHING);
        }
        // In several match types it may be in an ad group each; in two of one type it competes with itself.
        int[] where = places.computeIfAbsent(exported.matchTypes(), none -> {
            int[] fresh = new int[what.keywords().size()];
            Arrays.fill(fresh, -1);
            return fresh;
        });
        if (where[keyword] >= 0) {
            of(CheckKind.TWICE).add(exported.keyword(), twice(keyword));
        }
        where[keyword] = number;
    }

    private PlanBids bidsOf(Plan.Campaign campaign) {
        OwnCampaign own = what.recipe().serving().campaigns().getOrDefault(campaign.key(), OwnCampaign.NONE);
        return own.ownBids() ? own.bids() : what.recipe().serving().plan().bids();
    }

    private void add(CheckKind kind, String name, Doubled twice, int number) {
        Gathered gathered = of(kind);
        gathered.add(name, twice);
        gathered.adGroups.add(number);
    }

    private boolean any(java.util.function.Predicate<Plan.AdGroup> test) {
        return what.plan().campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .anyMatch(test);
    }

    private void sizes(Plan.AdGroup group, int[] members, Doubled all, int number) {
        if (members.length > MANY) {
            add(CheckKind.LARGE, group.name(), all, number);
        }
        boolean meant = what.recipe().serving().plan().structure().oneKeyword();
        if (members.length == 1 && !meant) {
            add(CheckKind.SINGLE, group.name(), all, number);
        }
        if (what.intents().mixed(members)) {
            add(CheckKind.MIXED, group.name(), all, number);
        }
    }

    private void ads(Plan.AdGroup group, Doubled all, int number) {
        boolean few = !group.ads().isEmpty() && group.ads().size() < FEWEST_ADS;
        boolean thin = group.ads().stream()
                .anyMatch(ad -> ad.headlines().size() < FEWEST_HEADLINES
                        || ad.descriptions().size() < FEWEST_DESCRIPTIONS);
        if (thin || few) {
            add(CheckKind.THIN_AD, group.name(), all, number);
        }
        if (group.ads().stream()
                .anyMatch(
                        ad -> Set.copyOf(ad.headlines()).size() < ad.headlines().size())) {
            add(CheckKind.SAME_HEADLINE, group.name(), all, number);
        }
        // Of a path that was cut nothing is lost that anybody reads.
        Set<String> cut = group.ads().stream()
                .flatMap(ad -> read(ad).filter(ad.shortened()::contains))
                .collect(Collectors.toSet());
        if (!cut.isEmpty()) {
            Gathered gathered = of(CheckKind.CUT_TEXT);
            cut.stream().sorted().forEach(text -> gathered.add(text, all));
            gathered.adGroups.add(number);
        }
        boolean open = group.ads().stream()
                .flatMap(PlanCheck::read)
                .anyMatch(text -> text.indexOf('{') >= 0 && OPEN.matcher(text).find());
        if (open) {
            add(CheckKind.OPEN_FIELD, group.name(), all, number);
        }
    }

    private static Stream<String> read(Plan.Ad ad) {
        return Stream.concat(ad.headlines().stream(), ad.descriptions().stream());
    }

    private void ungrouped() {
        if (what.recipe().serving().plan().groups().ungrouped()) {
            return;
        }
        Grouping grouping = what.groups().grouping();
        for (int keyword = 0; keyword < what.keywords().size(); keyword++) {
            if (grouping.groupOf(keyword) == Grouping.UNGROUPED
                    && twice(keyword).sum() > 0) {
                of(CheckKind.UNGROUPED).add(what.keywords().text(keyword), twice(keyword));
            }
        }
    }
}
