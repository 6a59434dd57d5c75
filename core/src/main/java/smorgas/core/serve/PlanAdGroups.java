package smorgas.core.serve;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.column.Cores;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.OwnCampaign;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.serve.PlanParts.Part;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;

/** Makes the ad groups of campaigns: their names one after the other, what is in them on all cores. */
final class PlanAdGroups {

    /** Of fewer ad groups one core makes them all. */
    private static final int FEW = 200;

    private static final Serving.Own NOTHING_SAID = new Serving.Own(0, "");

    private final Planner.Input input;
    private final Keywords keywords;
    private final Recipe recipe;
    private final PlanSettings settings;
    private final PlanNaming naming;
    private final List<List<Plan.Negative>> negatives;
    private final List<Plan.NotExported> notExported;
    private final Inherited inherited;
    private final PlanPaging paging;
    private final PlanBidding ofPlan;
    private final AdWriter writer;
    private final boolean byIntent;
    private final boolean oneType;

    PlanAdGroups(
            Planner.Input input,
            PlanNaming naming,
            List<List<Plan.Negative>> negatives,
            List<Plan.NotExported> notExported) {
        this.input = input;
        this.keywords = input.keywords();
        this.recipe = input.recipe();
        this.settings = recipe.serving().plan();
        this.naming = naming;
        this.negatives = negatives;
        this.notExported = notExported;
        this.inherited = new Inherited(keywords, input.rules());
        this.paging = new PlanPaging(
                settings.pages(), keywords, inherited, input.rules().sharedWords());
        this.ofPlan = new PlanBidding(settings.bids(), keywords, input.estimatedValue());
        this.writer = new AdWriter(recipe.serving().ads().words());
        this.byIntent = settings.names().adGroup().contains(PlanNames.INTENT);
        this.oneType = settings.oneTypeEach();
    }

    /** An ad group that has its name and not yet what is in it. */
    private record Named(
            String name, String theme, PlanUnits.Unit unit, int number, int[] some, Set<MatchType> types) {}

    /** The ad groups of a campaign, or the first of them. */
    List<Plan.AdGroup> of(String campaign, Part part, int most) {
        List<Named> named = named(campaign, part, most);
        OwnCampaign own = recipe.serving().campaigns().getOrDefault(part.key(), OwnCampaign.NONE);
        PlanBidding bidding = own.ownBids() ? new PlanBidding(own.bids(), keywords, input.estimatedValue()) : ofPlan;
        Plan.AdGroup[] made = new Plan.AdGroup[named.size()];
        Cores.run(made.length, FEW, (from, to) -> {
            for (int i = from; i < to; i++) {
                made[i] = adGroup(named.get(i), bidding);
            }
        });
        return List.of(made);
    }

    private List<Named> named(String campaign, Part part, int most) {
        List<Named> all = new ArrayList<>();
        Set<String> taken = PlanNaming.none();
        List<Set<MatchType>> types =
                oneType ? part.types().stream().<Set<MatchType>>map(EnumSet::of).toList() : List.of(part.types());
        Map<Set<MatchType>, String> labels = types.stream().collect(Collectors.toMap(type -> type, type -> type.stream()
                .map(PlanParts::label)
                .collect(Collectors.joining(" "))));
        for (Map.Entry<Integer, int[]> piece : part.pieces().entrySet()) {
            PlanUnits.Unit unit = input.units().units().get(piece.getKey());
            for (int[] some : each(piece.getValue())) {
                for (Set<MatchType> type : types) {
                    if (all.size() == most) {
                        return all;
                    }
                    String theme = settings.structure().oneKeyword() ? keywords.text(some[0]) : unit.theme();
                    String name = naming.adGroup(
                            fields(
                                    naming.cased(theme, unit.byHand()),
                                    campaign,
                                    part,
                                    labels.get(type),
                                    some,
                                    all.size() + 1),
                            oneType ? PlanNames.MATCH_TYPE : "",
                            taken);
                    if (Formulas.runs(name)) {
                        notExported(name, some);
                    } else {
                        all.add(new Named(name, theme, unit, piece.getKey(), some, type));
                    }
                }
            }
        }
        return all;
    }

    private void notExported(String name, int[] some) {
        Message why = Message.of("serve.plan-ad-groups.ad-group-whose-name", name.charAt(0));
        for (int keyword : some) {
            notExported.add(new Plan.NotExported(keywords.text(keyword), why));
        }
    }

    private List<int[]> each(int[] piece) {
        return settings.structure().oneKeyword()
                ? IntStream.of(piece).mapToObj(keyword -> new int[] {keyword}).toList()
                : List.of(piece);
    }

    private Map<String, String> fields(String theme, String campaign, Part part, String types, int[] some, int number) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put(PlanNames.CAMPAIGN, campaign);
        fields.put(PlanNames.PART, part.label());
        fields.put(PlanNames.MATCH_TYPE, types);
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
                .map(most -> most.intent().fixedName())
                .orElse(PlanParts.REST);
    }

    private Plan.AdGroup adGroup(Named one, PlanBidding bidding) {
        Serving.Own own = own(one.unit());
        List<Plan.Exported> rows = new ArrayList<>(one.some().length);
        for (int keyword : one.some()) {
            rows.add(new Plan.Exported(
                    keywords.text(keyword), one.types(), own.bidMicros() > 0 ? 0 : bidding.of(keyword)));
        }
        return new Plan.AdGroup(
                one.name(),
                one.unit().keys(),
                own.bidMicros() > 0 ? own.bidMicros() : bidding.ofAll(),
                rows,
                own.page().isEmpty() ? paging.of(one.theme(), one.some()) : Optional.of(own.page()),
                ads(one.unit(), one.theme(), one.some()),
                negatives.get(one.number()));
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
