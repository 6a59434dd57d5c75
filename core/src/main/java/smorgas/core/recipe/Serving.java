package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.SortedSet;
import java.util.TreeSet;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanSettings;

/**
 * What was decided of the plan.
 *
 * @param plan how it is made
 * @param negatives words that leave as negatives though they block what the plan serves
 * @param said what a hand said of negatives, in the order in which it was said
 * @param own what a hand said of ad groups, by the key of a group in it
 * @param campaigns what a hand said of campaigns, by their keys
 * @param ads how ads are written
 * @param ownAds the ads that a hand has written for ad groups, by the key of a group in it
 * @param apart whether the negatives that keep groups apart leave, all as they are found
 */
public record Serving(
        PlanSettings plan,
        SortedSet<String> negatives,
        SequencedMap<Place, ServeEntry.Say> said,
        SequencedMap<String, Own> own,
        SequencedMap<String, OwnCampaign> campaigns,
        PlanAds ads,
        SequencedMap<String, List<AdTemplate>> ownAds,
        boolean apart) {

    /**
     * What a hand said of an ad group.
     *
     * @param bidMicros 0 for as the plan has it
     * @param page empty for as the plan has it
     */
    public record Own(long bidMicros, String page) {}

    /**
     * A negative where it is one.
     *
     * @param group the key of a group; empty for the campaign
     */
    public record Place(String text, String group) {}

    public Serving {
        negatives = Collections.unmodifiableSortedSet(new TreeSet<>(negatives));
        said = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(said));
        own = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(own));
        campaigns = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(campaigns));
        ownAds = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(ownAds));
    }

    /** Nothing decided. */
    static Serving standard(StandardSettings settings) {
        return new Serving(
                settings.plan(),
                new TreeSet<>(),
                new LinkedHashMap<>(),
                new LinkedHashMap<>(),
                new LinkedHashMap<>(),
                PlanAds.INHERITED,
                new LinkedHashMap<>(),
                false);
    }

    /** Whether it goes by what keywords are for. */
    public boolean asksForIntent() {
        return plan.campaigns().by() == PlanCampaigns.By.INTENT
                || plan.names().adGroup().contains(PlanNames.INTENT);
    }

    /** Whether it goes by what keywords may bring. */
    public boolean asksForEstimatedValue() {
        return plan.bids().from() == PlanBids.From.ESTIMATED_VALUE
                || campaigns.values().stream().anyMatch(own -> own.bids().from() == PlanBids.From.ESTIMATED_VALUE);
    }

    /** Whether the plan comes out the same; of two things said the later holds, so their order counts. */
    public boolean servesAs(Serving other) {
        return equals(other)
                && List.copyOf(said.entrySet()).equals(List.copyOf(other.said.entrySet()))
                && List.copyOf(own.entrySet()).equals(List.copyOf(other.own.entrySet()))
                && List.copyOf(ownAds.entrySet()).equals(List.copyOf(other.ownAds.entrySet()));
    }

    /** After an entry. */
    Serving after(ServeEntry entry) {
        Draft next = new Draft(this);
        next.take(entry);
        return next.done();
    }

    /** What was decided, while an entry changes it. */
    private static final class Draft {
        private PlanSettings plan;
        private final SortedSet<String> negatives;
        private final SequencedMap<Place, ServeEntry.Say> said;
        private final SequencedMap<String, Own> own;
        private final SequencedMap<String, OwnCampaign> campaigns;
        private PlanAds ads;
        private final SequencedMap<String, List<AdTemplate>> ownAds;
        private boolean apart;

        Draft(Serving from) {
            plan = from.plan;
            negatives = new TreeSet<>(from.negatives);
            said = new LinkedHashMap<>(from.said);
            own = new LinkedHashMap<>(from.own);
            campaigns = new LinkedHashMap<>(from.campaigns);
            ads = from.ads;
            ownAds = new LinkedHashMap<>(from.ownAds);
            apart = from.apart;
        }

        Serving done() {
            return new Serving(plan, negatives, said, own, campaigns, ads, ownAds, apart);
        }

        void take(ServeEntry entry) {
            switch (entry) {
                case ServeEntry.PlanSettingsChosen chosen -> plan = chosen.settings();
                case ServeEntry.NegativeDecided adopted -> {
                    if (adopted.exported()) {
                        negatives.add(adopted.word());
                    } else {
                        negatives.remove(adopted.word());
                    }
                }
                case ServeEntry.NegativesSaid says -> says.negatives().forEach(this::say);
                case ServeEntry.GroupsKeptApart kept -> apart = kept.on();
                case ServeEntry.AdsSet set -> ads = set.ads();
                case ServeEntry.AdsSaid says ->
                    put(ownAds, says.group(), says.ads(), says.ads().isEmpty());
                case ServeEntry.AdsReplaced replaced -> {
                    ads = replaced.in(ads);
                    ownAds.replaceAll(
                            (key, all) -> all.stream().map(replaced::in).toList());
                }
                case ServeEntry.AdGroupSaid says ->
                    put(
                            own,
                            says.group(),
                            new Own(says.bidMicros(), says.page()),
                            says.bidMicros() == 0 && says.page().isEmpty());
                case ServeEntry.CampaignSaid says ->
                    put(campaigns, says.campaign(), says.own(), says.own().equals(OwnCampaign.NONE));
            }
        }

        private void say(ServeEntry.Said one) {
            Place place = new Place(one.text(), one.group());
            if (one.say() == ServeEntry.Say.NOTHING) {
                said.remove(place);
            } else {
                said.putLast(place, one.say());
            }
        }

        private static <V> void put(SequencedMap<String, V> into, String key, V value, boolean nothing) {
            if (nothing) {
                into.remove(key);
            } else {
                into.put(key, value);
            }
        }
    }
}
