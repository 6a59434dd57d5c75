package smorgas.core.serve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.OwnCampaign;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanRules;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.serve.PlanParts.Part;
import smorgas.core.sift.Statuses;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.value.Apart;
import smorgas.core.value.EstimatedValue;
import smorgas.core.value.Intents;
import smorgas.core.value.SearchWords;

/**
 * Makes the ad plan of a board: what belongs together is found first ({@link PlanUnits}), then parted into campaigns, then into
 * ad groups.
 */
public final class Planner {

    /**
     * What a plan is made of.
     *
     * @param rules the numbers of the plan
     * @param units what belongs together, as these settings of its recipe have it
     * @param intents asked only if campaigns or names go by them
     * @param estimatedValue asked only if bids follow from it
     */
    public record Input(
            Keywords keywords,
            Statuses statuses,
            Groups groups,
            Recipe recipe,
            PlanRules rules,
            PlanUnits units,
            Supplier<Intents> intents,
            Supplier<EstimatedValue> estimatedValue) {}

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
        this.units = input.units();
    }

    /** The plan: ad groups in the order of the groups, keywords by searches, each in every match type chosen. */
    public static Plan plan(Input input, Supplier<SearchWords> words, Supplier<List<Apart.Steer>> apart) {
        return new Planner(input).run(words, apart);
    }

    /** What belongs together with what is exported of it, in the order of the plan. */
    public static List<ExportedGroup> exported(PlanUnits units) {
        return units.units().stream()
                .map(unit -> new ExportedGroup(unit.theme(), unit.keys(), unit.keywords()))
                .toList();
    }

    /**
     * What belongs together; an ad group, or several if these are parted further.
     *
     * @param keys of the groups in it; none of the ungrouped keywords
     * @param keywords the numbers of what it serves
     */
    public record ExportedGroup(String name, List<String> keys, int[] keywords) {}

    /** How much the plan holds, without its rows. */
    public static PlanCount count(Input input) {
        return new Planner(input).counted();
    }

    /**
     * What other choices would come to.
     *
     * @param exported the keywords that would be exported
     * @param names of the first ad groups, each with its campaign
     */
    public record Preview(PlanCount count, BitSet exported, List<Name> names) {

        /** How an ad group would be called. */
        public record Name(String campaign, String adGroup) {}
    }

    /** What the plan would come to, with some of its names. */
    public static Preview preview(Input input, int most) {
        Planner planner = new Planner(input);
        return new Preview(planner.counted(), planner.units.exported(), planner.names(most));
    }

    /** Of every campaign as many as there is room for. */
    private List<Preview.Name> names(int most) {
        PlanNaming naming = new PlanNaming(settings.names());
        Set<String> taken = PlanNaming.none();
        List<Part> parts = PlanParts.of(input, units);
        PlanAdGroups adGroups = new PlanAdGroups(
                input,
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

    private PlanCount counted() {
        List<Part> parts = PlanParts.of(input, units);
        int campaigns = 0;
        long adGroups = 0;
        long rows = 0;
        for (Part part : parts) {
            int types = part.types().size();
            campaigns += part.pieces().isEmpty() ? 0 : 1;
            for (int[] piece : part.pieces().values()) {
                adGroups += (settings.structure().oneKeyword() ? piece.length : 1)
                        * (long) (settings.oneTypeEach() ? types : 1);
                rows += (long) piece.length * types;
            }
        }
        return new PlanCount(
                campaigns, Math.toIntExact(adGroups), units.exported().cardinality(), rows);
    }

    private Plan run(Supplier<SearchWords> words, Supplier<List<Apart.Steer>> apart) {
        BitSet exported = units.exported();
        Negatives negatives = new Negatives(keywords, words, recipe, exported);
        List<List<Plan.Negative>> ofUnits = negatives(negatives, apart);
        List<Plan.NotExported> notExported = new ArrayList<>(units.notExported());
        List<Plan.Campaign> campaigns = new ArrayList<>();
        List<Plan.Negative> ofAll = negatives.ofCampaigns();
        PlanNaming naming = new PlanNaming(settings.names());
        Set<String> taken = PlanNaming.none();
        PlanAdGroups adGroups = new PlanAdGroups(input, naming, ofUnits, notExported);
        for (Part part : PlanParts.of(input, units)) {
            OwnCampaign own = said(part);
            String name = naming.campaign(part.label(), own.name(), taken);
            if (Formulas.runs(name)) {
                notExported(part, name, notExported);
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
        return new Plan(
                campaigns,
                counted(campaigns, notExported.size() == units.notExported().size() ? exported : null),
                negatives.conflicts(),
                notExported,
                notes(exported));
    }

    private OwnCampaign said(Part part) {
        return recipe.serving().campaigns().getOrDefault(part.key(), OwnCampaign.NONE);
    }

    /** A tag from before such names were refused may begin so. */
    private void notExported(Part part, String name, List<Plan.NotExported> notExported) {
        Message why = Message.of("serve.planner.campaign-whose-name-begins", name.charAt(0));
        part.pieces().values().stream()
                .flatMapToInt(IntStream::of)
                .forEach(keyword -> notExported.add(new Plan.NotExported(keywords.text(keyword), why)));
    }

    /**
     * What is in it after all.
     *
     * @param exported all that it serves; null if names have held some of it back
     */
    private static PlanCount counted(List<Plan.Campaign> campaigns, @Nullable BitSet exported) {
        Set<String> texts = new HashSet<>();
        int filled = 0;
        int adGroups = 0;
        long rows = 0;
        for (Plan.Campaign campaign : campaigns) {
            filled += campaign.adGroups().isEmpty() ? 0 : 1;
            adGroups += campaign.adGroups().size();
            for (Plan.AdGroup group : campaign.adGroups()) {
                for (Plan.Exported one : group.keywords()) {
                    if (exported == null) {
                        texts.add(one.keyword());
                    }
                    rows += one.matchTypes().size();
                }
            }
        }
        return new PlanCount(filled, adGroups, exported == null ? texts.size() : exported.cardinality(), rows);
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

    private List<Message> notes(BitSet exported) {
        Groups groups = input.groups();
        long twice = IntStream.range(0, groups.grouping().size())
                .flatMap(group -> Arrays.stream(groups.grouping().also().row(group)))
                .filter(exported::get)
                .distinct()
                .count();
        List<Message> notes = new ArrayList<>();
        if (twice > 0) {
            notes.add(Message.of("serve.planner.keyword-more-than-one", twice));
        }
        if (units.leftOutGroups() > 0) {
            notes.add(Message.of(
                    "serve.planner.group-keywords-left-out", units.leftOutGroups(), units.leftOutKeywords()));
        }
        PlanBids.From from = recipe.serving().plan().bids().from();
        long made = from.figure().stream()
                .flatMap(figure -> keywords.figure(figure).stream())
                .flatMapToInt(column -> exported.stream().filter(column::simulated))
                .count();
        if (made > 0) {
            notes.add(Message.of("serve.planner.bids-keyword-not-exported", made));
        }
        Method asked = recipe.grouping().settings().method();
        // Adopted groups stay what they are.
        Method done = recipe.grouping().decisions().adopted().isEmpty()
                ? groups.grouping().settings().method()
                : asked;
        if (!asked.equals(done.with(asked.meaning()))) {
            notes.add(Message.of("serve.planner.too-many-keywords-group"));
        } else if (!asked.equals(done)) {
            notes.add(Message.of("serve.planner.groups-go-words-alone"));
        }
        return notes;
    }
}
