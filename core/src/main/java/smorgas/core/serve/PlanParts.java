package smorgas.core.serve;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import smorgas.core.fold.Gathered;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.value.Intent;

/** Parts what is exported into campaigns. */
final class PlanParts {

    /** What a campaign holds whose keywords have no tag, intent or market. */
    static final String REST = "other";

    /**
     * A part of the plan that is a campaign.
     *
     * @param key tells it apart, also in another plan: by what campaigns are parted and which of them it is
     * @param label what it does not share with others; empty if there is one only
     * @param types the match types of its keywords
     * @param pieces what it holds of each unit, by the number of the unit
     */
    record Part(String key, String label, Set<MatchType> types, Map<Integer, int[]> pieces) {

        BitSet keywords() {
            BitSet all = new BitSet();
            pieces.values().forEach(piece -> Arrays.stream(piece).forEach(all::set));
            return all;
        }
    }

    private final Planner.Input input;
    private final List<PlanUnits.Unit> units;
    private final PlanSettings settings;
    private final PlanCampaigns.By by;
    private final List<Gathered> lists;

    private PlanParts(Planner.Input input, PlanUnits units) {
        this.input = input;
        this.units = units.units();
        this.settings = input.recipe().serving().plan();
        this.by = settings.campaigns().by();
        this.lists = Gathered.of(input.keywords());
    }

    /** In the order of the plan: themes as they are searched, tags, intents and markets in their own. */
    static List<Part> of(Planner.Input input, PlanUnits units) {
        return new PlanParts(input, units).parts();
    }

    private List<Part> parts() {
        return switch (by) {
            case ONE -> List.of(new Part(key(""), "", settings.matchTypes(), whole()));
            case MATCH_TYPE ->
                settings.matchTypes().stream()
                        .map(type -> new Part(key(type.name()), label(type), EnumSet.of(type), whole()))
                        .toList();
            case THEME -> List.copyOf(parted().values());
            case TAG, INTENT, MARKET ->
                parted().entrySet().stream()
                        .sorted(Comparator.comparing((Map.Entry<String, Part> part) ->
                                        part.getKey().isEmpty())
                                .thenComparing(Map.Entry::getKey))
                        .map(Map.Entry::getValue)
                        .toList();
        };
    }

    private Map<Integer, int[]> whole() {
        Map<Integer, int[]> all = new LinkedHashMap<>();
        for (int number = 0; number < units.size(); number++) {
            all.put(number, units.get(number).keywords());
        }
        return all;
    }

    private Map<String, Part> parted() {
        Map<String, Part> parts = new LinkedHashMap<>();
        for (int number = 0; number < units.size(); number++) {
            PlanUnits.Unit unit = units.get(number);
            Map<String, IntArrayList> own = new LinkedHashMap<>();
            for (int keyword : unit.keywords()) {
                for (String which : which(unit, keyword)) {
                    own.computeIfAbsent(which, none -> new IntArrayList()).add(keyword);
                }
            }
            for (Map.Entry<String, IntArrayList> one : own.entrySet()) {
                parts.computeIfAbsent(
                                one.getKey(),
                                which -> new Part(
                                        key(which), label(which), settings.matchTypes(), new LinkedHashMap<>()))
                        .pieces()
                        .put(number, one.getValue().toIntArray());
            }
        }
        return parts;
    }

    private String key(String which) {
        return by.name() + ":" + which;
    }

    /** Which campaigns it is in; the empty one holds what belongs to none. */
    private Collection<String> which(PlanUnits.Unit unit, int keyword) {
        return switch (by) {
            case TAG ->
                List.of(input.statuses().tags().of(keyword).stream().findFirst().orElse(""));
            case INTENT ->
                List.of(input.intents().get().lead(keyword).map(Enum::name).orElse(""));
            case MARKET -> markets(keyword);
            case THEME -> List.of(unit.group() < 0 ? "" : theme(unit.group()));
            case ONE, MATCH_TYPE -> List.of("");
        };
    }

    private Collection<String> markets(int keyword) {
        List<String> markets = new ArrayList<>();
        input.keywords().basketPlaces(keyword).stream().forEach(place -> {
            String market = lists.get(place).market();
            if (!market.isEmpty() && markets.stream().noneMatch(market::equalsIgnoreCase)) {
                markets.add(market);
            }
        });
        return markets.isEmpty() ? List.of("") : markets;
    }

    private String theme(int group) {
        ThemeTree tree = input.groups().tree();
        return tree.node(tree.at(group, settings.campaigns().depth())).text();
    }

    private String label(String which) {
        return which.isEmpty()
                ? REST
                : by == PlanCampaigns.By.INTENT ? Intent.valueOf(which).fixedName() : which;
    }

    /** A match type as names say it. */
    static String label(MatchType type) {
        return type.fixedName().toLowerCase(Locale.ENGLISH);
    }
}
