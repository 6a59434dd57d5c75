package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What was decided of the plan.
 *
 * @param plan how it is made
 * @param negatives words that leave as negatives though they block what the plan serves
 * @param said what a hand said of negatives, in the order in which it was said
 * @param own what a hand said of ad groups, by the key of a group in it
 * @param ads how ads are written
 * @param ownAds the ads that a hand has written for ad groups, by the key of a group in it
 * @param apart whether the negatives that keep groups apart leave, all as they are found
 */
public record Serving(
        PlanSettings plan,
        SortedSet<String> negatives,
        SequencedMap<Place, ServeEntry.Say> said,
        SequencedMap<String, Own> own,
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
        ownAds = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(ownAds));
    }

    /** Nothing decided. */
    static Serving standard() {
        return new Serving(
                PlanSettings.standard(),
                new TreeSet<>(),
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
    public boolean asksForWorth() {
        return plan.bids().from() == PlanBids.From.WORTH;
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
        return switch (entry) {
            case ServeEntry.PlanSettingsChosen chosen ->
                new Serving(chosen.settings(), negatives, said, own, ads, ownAds, apart);
            case ServeEntry.NegativeSettled settled -> {
                SortedSet<String> next = new TreeSet<>(negatives);
                if (settled.leaves()) {
                    next.add(settled.word());
                } else {
                    next.remove(settled.word());
                }
                yield new Serving(plan, next, said, own, ads, ownAds, apart);
            }
            case ServeEntry.NegativesSaid says -> {
                SequencedMap<Place, ServeEntry.Say> next = new LinkedHashMap<>(said);
                for (ServeEntry.Said one : says.negatives()) {
                    if (one.say() == ServeEntry.Say.NOTHING) {
                        next.remove(new Place(one.text(), one.group()));
                    } else {
                        next.putLast(new Place(one.text(), one.group()), one.say());
                    }
                }
                yield new Serving(plan, negatives, next, own, ads, ownAds, apart);
            }
            case ServeEntry.GroupsKeptApart kept -> new Serving(plan, negatives, said, own, ads, ownAds, kept.on());
            case ServeEntry.AdsSet set -> new Serving(plan, negatives, said, own, set.ads(), ownAds, apart);
            case ServeEntry.AdsSaid says -> {
                SequencedMap<String, List<AdTemplate>> next = new LinkedHashMap<>(ownAds);
                if (says.ads().isEmpty()) {
                    next.remove(says.group());
                } else {
                    next.put(says.group(), says.ads());
                }
                yield new Serving(plan, negatives, said, own, ads, next, apart);
            }
            case ServeEntry.AdsReplaced replaced -> {
                SequencedMap<String, List<AdTemplate>> next = new LinkedHashMap<>();
                ownAds.forEach((key, all) ->
                        next.put(key, all.stream().map(replaced::in).toList()));
                yield new Serving(plan, negatives, said, own, replaced.in(ads), next, apart);
            }
            case ServeEntry.AdGroupSaid says -> {
                SequencedMap<String, Own> next = new LinkedHashMap<>(own);
                if (says.bidMicros() == 0 && says.page().isEmpty()) {
                    next.remove(says.group());
                } else {
                    next.put(says.group(), new Own(says.bidMicros(), says.page()));
                }
                yield new Serving(plan, negatives, said, next, ads, ownAds, apart);
            }
        };
    }
}
