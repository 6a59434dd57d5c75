package smorgas.core.serve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.AdTemplate;
import smorgas.core.recipe.MatchType;
import smorgas.core.recipe.Method;
import smorgas.core.recipe.OwnCampaign;
import smorgas.core.recipe.PlanAds;
import smorgas.core.recipe.PlanCampaigns;
import smorgas.core.recipe.PlanNames;
import smorgas.core.recipe.PlanSettings;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Serving;
import smorgas.core.serve.PlanParts.Part;
import smorgas.core.sift.Standings;
import smorgas.core.text.Formulas;
import smorgas.core.value.Apart;
import smorgas.core.value.Intents;
import smorgas.core.value.SearchWords;
import smorgas.core.value.Worth;

/**
 * Makes the ad plan of a board: what belongs together is found first ({@link PlanUnits}), then parted into campaigns, then into
 * ad groups.
 */
public final class Planner {

    /**
     * What a plan is made of.
     *
     * @param intents asked only if campaigns or names go by them
     * @param worth asked only if bids follow from it
     */
    public record Input(
            Keywords keywords,
            Standings standings,
            Groups groups,
            Recipe recipe,
            Supplier<Intents> intents,
            Supplier<Worth> worth) {}

    private final Input input;
    private final Keywords keywords;
    private final Recipe recipe;
    private final PlanSettings settings;
    private final PlanUnits units;

    private Planner(Input input) {
        this.input = input;
        this.keywords = input.keywords();
        this.recipe = input.recipe();
        this.settings = recipe.serving().plan();
        this.units = PlanUnits.of(keywords, input.standings(), input.groups(), settings);
    }

    /** The plan: ad groups in the order of the groups, keywords by searches, each in every match type chosen. */
    public static Plan plan(Input input, Supplier<SearchWords> words, Supplier<List<Apart.Steer>> apart) {
        return new Planner(input).run(words, apart);
    }

    /** What belongs together with what is served of it, in the order of the plan. */
    public static List<ServedGroup> served(Input input) {
        return new Planner(input)
                .units.units().stream()
                        .map(unit -> new ServedGroup(unit.theme(), unit.keys(), unit.keywords()))
                        .toList();
    }

    /**
     * What belongs together; an ad group, or several if these are parted further.
     *
     * @param keys of the groups in it; none of the leftovers
     * @param keywords the numbers of what it serves
     */
    public record ServedGroup(String name, List<String> keys, int[] keywords) {}

    /** How much the plan holds, without its rows. */
    public static PlanCount count(Input input) {
        return new Planner(input).counted();
    }

    /**
     * What other choices would come to.
     *
     * @param served the keywords that would be served
     * @param names of the first ad groups, each with its campaign
     */
    public record Preview(PlanCount count, BitSet served, List<Name> names) {

        /** How an ad group would be called. */
        public record Name(String campaign, String adGroup) {}
    }

    /** What the plan would come to, with some of its names. */
    public static Preview preview(Input input, int most) {
        Planner planner = new Planner(input);
        return new Preview(planner.counted(), planner.units.served(), planner.names(most));
    }

    /** Of every campaign as many as there is room for. */
    private List<Preview.Name> names(int most) {
        PlanNaming naming = new PlanNaming(settings.names());
        Set<String> taken = PlanNaming.none();
        List<Part> parts = PlanParts.of(input, units);
        AdGroups adGroups = new AdGroups(
                naming,
                units.units().stream().map(unit -> List.<Plan.Negative>of()).toList(),
                new ArrayList<>());
        List<Preview.Name> names = new ArrayList<>();
        for (int i = 0; i < Math.min(most, parts.size()); i++) {
            String campaign =
                    naming.campaign(parts.get(i).label(), said(parts.get(i)).name(), taken);
            adGroups.of(campaign, parts.get(i), Math.max(1, most / parts.size()))
                    .forEach(group -> names.add(new Preview.Name(campaign, group.name())));
        }
        return names;
    }

    private boolean oneType() {
        return settings.structure().oneMatchType() && settings.matchTypes().size() > 1;
    }

    private PlanCount counted() {
        List<Part> parts = PlanParts.of(input, units);
        int campaigns = 0;
        long adGroups = 0;
        long rows = 0;
        for (Part part : parts) {
            int types = part.types().size();
            campaigns += part.pieces().isEmpty() ? 0 : 1;
            for (int[] piece : part.pieces().values()) {
                adGroups += (settings.structure().oneKeyword() ? piece.length : 1) * (long) (oneType() ? types : 1);
                rows += (long) piece.length * types;
            }
        }
        return new PlanCount(
                campaigns, Math.toIntExact(adGroups), units.served().cardinality(), rows);
    }

    private Plan run(Supplier<SearchWords> words, Supplier<List<Apart.Steer>> apart) {
        BitSet served = units.served();
        Negatives negatives = new Negatives(keywords, words, recipe, served);
        List<List<Plan.Negative>> ofUnits = negatives(negatives, apart);
        List<Plan.HeldBack> heldBack = new ArrayList<>(units.heldBack());
        List<Plan.Campaign> campaigns = new ArrayList<>();
        List<Plan.Negative> ofAll = negatives.ofCampaigns();
        PlanNaming naming = new PlanNaming(settings.names());
        Set<String> taken = PlanNaming.none();
        AdGroups adGroups = new AdGroups(naming, ofUnits, heldBack);
        for (Part part : PlanParts.of(input, units)) {
            OwnCampaign own = said(part);
            String name = naming.campaign(part.label(), own.name(), taken);
            if (Formulas.runs(name)) {
                heldBack(part, name, heldBack);
                continue;
            }
            List<Plan.AdGroup> all = adGroups.of(name, part, Integer.MAX_VALUE);
            // A plan of one campaign is one even if nothing is in it: it may have negatives.
            if (!all.isEmpty() || settings.campaigns().by() == PlanCampaigns.By.ONE) {
                List<Plan.Negative> leaving = own.negatives().isEmpty()
                        ? ofAll
                        : negatives.ofCampaign(part.key(), own.negatives(), ofAll, part.keywords());
                campaigns.add(new Plan.Campaign(part.key(), name, all, leaving));
            }
        }
        return new Plan(campaigns, counted(campaigns), negatives.conflicts(), heldBack, notes(served));
    }

    private OwnCampaign said(Part part) {
        return recipe.serving().campaigns().getOrDefault(part.key(), OwnCampaign.NONE);
    }

    /** A tag from before such names were refused may begin so. */
    private void heldBack(Part part, String name, List<Plan.HeldBack> heldBack) {
        String why = "is in a campaign whose name begins with " + name.charAt(0)
                + ", which a spreadsheet would run as a formula; name it otherwise";
        part.pieces().values().stream()
                .flatMapToInt(IntStream::of)
                .forEach(keyword -> heldBack.add(new Plan.HeldBack(keywords.text(keyword), why)));
    }

    /** What is in it after all: a name may have held keywords back. */
    private static PlanCount counted(List<Plan.Campaign> campaigns) {
        Set<String> texts = new java.util.HashSet<>();
        int filled = 0;
        int adGroups = 0;
        long rows = 0;
        for (Plan.Campaign campaign : campaigns) {
            filled += campaign.adGroups().isEmpty() ? 0 : 1;
            adGroups += campaign.adGroups().size();
            for (Plan.AdGroup group : campaign.adGroups()) {
                for (Plan.Served one : group.keywords()) {
                    texts.add(one.keyword());
                    rows += one.matchTypes().size();
                }
            }
        }
        return new PlanCount(filled, adGroups, texts.size(), rows);
    }

    /** Of each unit the negatives that a hand has given it, and those that keep it apart if all are to. */
    private List<List<Plan.Negative>> negatives(Negatives negatives, Supplier<List<Apart.Steer>> apart) {
        List<List<Plan.Negative>> own = new ArrayList<>();
        for (PlanUnits.Unit unit : units.units()) {
            own.add(negatives.ofGroups(unit.keys(), unit.keywords()));
        }
        if (recipe.serving().apart()) {
            for (Apart.Steer steer : apart.get()) {
                Plan.Negative negative = new Plan.Negative(steer.negative(), steer.type());
                boolean refused = units.units().get(steer.from()).keys().stream()
                        .anyMatch(key -> recipe.serving().said().get(new Serving.Place(steer.negative(), key))
                                == ServeEntry.Say.NEVER);
                if (!refused && !own.get(steer.from()).contains(negative)) {
                    own.get(steer.from()).add(negative);
                }
            }
        }
        return own;
    }

    /** Makes the ad groups of campaigns. */
    private final class AdGroups {

        private final PlanNaming naming;
        private final List<List<Plan.Negative>> negatives;
        private final List<Plan.HeldBack> heldBack;
        private final Inherited inherited = new Inherited(keywords);
        private final PlanPaging paging = new PlanPaging(settings.pages(), keywords, inherited);
        private final PlanBidding ofPlan = new PlanBidding(settings.bids(), keywords, input.worth());
        private final AdWriter writer = new AdWriter(recipe.serving().ads().words());
        private final boolean byIntent = settings.names().adGroup().contains(PlanNames.INTENT);

        AdGroups(PlanNaming naming, List<List<Plan.Negative>> negatives, List<Plan.HeldBack> heldBack) {
            this.naming = naming;
            this.negatives = negatives;
            this.heldBack = heldBack;
        }

        /** The ad groups of a campaign, or the first of them. */
        List<Plan.AdGroup> of(String campaign, Part part, int most) {
            List<Plan.AdGroup> all = new ArrayList<>();
            Set<String> taken = PlanNaming.none();
            OwnCampaign own = said(part);
            PlanBidding bidding = own.ownBids() ? new PlanBidding(own.bids(), keywords, input.worth()) : ofPlan;
            List<Set<MatchType>> types = oneType()
                    ? part.types().stream().<Set<MatchType>>map(EnumSet::of).toList()
                    : List.of(part.types());
            for (Map.Entry<Integer, int[]> piece : part.pieces().entrySet()) {
                PlanUnits.Unit unit = units.units().get(piece.getKey());
                for (int[] some : each(piece.getValue())) {
                    for (Set<MatchType> type : types) {
                        if (all.size() == most) {
                            return all;
                        }
                        String theme = settings.structure().oneKeyword() ? keywords.text(some[0]) : unit.theme();
                        String name = naming.adGroup(
                                fields(naming.cased(theme, unit.byHand()), campaign, part, type, some, all.size() + 1),
                                oneType() ? PlanNames.MATCH_TYPE : "",
                                taken);
                        adGroup(name, theme, unit, piece.getKey(), some, type, bidding)
                                .ifPresent(all::add);
                    }
                }
            }
            return all;
        }

        private List<int[]> each(int[] piece) {
            return settings.structure().oneKeyword()
                    ? IntStream.of(piece)
                            .mapToObj(keyword -> new int[] {keyword})
                            .toList()
                    : List.of(piece);
        }

        private Map<String, String> fields(
                String theme, String campaign, Part part, Set<MatchType> types, int[] some, int number) {
            Map<String, String> fields = new LinkedHashMap<>();
            fields.put(PlanNames.CAMPAIGN, campaign);
            fields.put(PlanNames.PART, part.label());
            fields.put(
                    PlanNames.MATCH_TYPE, types.stream().map(PlanParts::label).collect(Collectors.joining(" ")));
            fields.put(PlanNames.INTENT, byIntent ? intent(some) : "");
            fields.put(PlanNames.NUMBER, String.valueOf(number));
            fields.put(PlanNames.DATE, settings.names().date());
            // Last, so that a group called by a field of ours stays what it is.
            fields.put(PlanNames.THEME, theme);
            return fields;
        }

        private String intent(int[] some) {
            return input.intents()
                    .get()
                    .most(some)
                    .map(most -> most.intent().label())
                    .orElse(PlanParts.REST);
        }

        private Optional<Plan.AdGroup> adGroup(
                String name,
                String theme,
                PlanUnits.Unit unit,
                int number,
                int[] some,
                Set<MatchType> types,
                PlanBidding bidding) {
            if (Formulas.runs(name)) {
                String why = "is in an ad group whose name begins with " + name.charAt(0)
                        + ", which a spreadsheet would run as a formula; name it otherwise in Group";
                for (int keyword : some) {
                    heldBack.add(new Plan.HeldBack(keywords.text(keyword), why));
                }
                return Optional.empty();
            }
            Serving.Own own = own(unit);
            List<Plan.Served> rows = new ArrayList<>(some.length);
            for (int keyword : some) {
                rows.add(new Plan.Served(keywords.text(keyword), types, own.bidMicros() > 0 ? 0 : bidding.of(keyword)));
            }
            return Optional.of(new Plan.AdGroup(
                    name,
                    unit.keys(),
                    own.bidMicros() > 0 ? own.bidMicros() : bidding.ofAll(),
                    rows,
                    own.page().isEmpty() ? paging.of(theme, some) : Optional.of(own.page()),
                    ads(unit, theme, some),
                    negatives.get(number)));
        }

        /** What a hand has written, else what own campaigns have and the templates say. */
        private List<Plan.Ad> ads(PlanUnits.Unit unit, String theme, int[] some) {
            Map<String, List<AdTemplate>> said = recipe.serving().ownAds();
            String keyword = keywords.text(some[0]);
            for (String key : said.isEmpty() ? List.<String>of() : unit.keys()) {
                if (said.containsKey(key)) {
                    return said.get(key).stream()
                            .map(ad -> writer.write(ad, theme, keyword))
                            .toList();
                }
            }
            PlanAds how = recipe.serving().ads();
            List<Plan.Ad> all = new ArrayList<>(how.inherited() ? inherited.ads(some) : List.of());
            how.templates().forEach(template -> all.add(writer.write(template, theme, keyword)));
            return all;
        }

        private Serving.Own own(PlanUnits.Unit unit) {
            Map<String, Serving.Own> said = recipe.serving().own();
            return said.isEmpty()
                    ? NOTHING_SAID
                    : unit.keys().stream()
                            .filter(said::containsKey)
                            .map(said::get)
                            .findFirst()
                            .orElse(NOTHING_SAID);
        }
    }

    private static final Serving.Own NOTHING_SAID = new Serving.Own(0, "");

    private List<String> notes(BitSet served) {
        Groups groups = input.groups();
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
        if (units.leftOutGroups() > 0) {
            notes.add(units.leftOutGroups() + (units.leftOutGroups() == 1 ? " group with " : " groups with ")
                    + units.leftOutKeywords() + " keywords left out, as chosen");
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
