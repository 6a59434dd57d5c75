package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import smorgas.app.store.Offers;
import smorgas.app.store.Schedules;
import smorgas.app.web.show.Show;
import smorgas.core.recipe.Asked;
import smorgas.core.recipe.BasketState;
import smorgas.core.recipe.Estimation;
import smorgas.core.recipe.Foraging;

/**
 * What a tool of ours was asked for when it made a basket, and what can go on with it.
 *
 * @param told sentences; none if there is nothing to tell
 * @param tool the last part of the tool's address; empty if none made the basket
 * @param link what a link there says
 * @param rest whether a part was not asked yet
 * @param again whether the same can be asked once more as it stands
 * @param schedule when it is asked by itself; empty if it is not
 * @param offer what waits for the basket
 */
record AskedView(
        List<String> told,
        String tool,
        String link,
        boolean rest,
        boolean again,
        String schedule,
        @Nullable Waiting offer) {

    /** What waits: how many keywords, and the first of them. */
    record Waiting(long id, String count, String day, List<String> samples, boolean more) {}

    private static final int SAMPLES = 12;
    private static final int FAULTS = 5;

    static AskedView of(BasketState basket, Optional<Offers.Offer> offer, Optional<Schedules.Kept> kept) {
        Asked asked = basket.asked();
        return switch (asked) {
            case Asked.Nothing none -> simple(List.of(), "", "");
            case Asked.Paired paired -> simple(List.of(), "pairing", "Multiply the same lists again");
            case Asked.Thought thought -> simple(List.of(), "brainstorm", "Think of more around the same texts");
            case Asked.Logged log -> simple(List.of(log.counted().told() + "."), "logs", "Count a log in the same way");
            case Asked.Estimated estimated ->
                new AskedView(
                        told(estimated),
                        "figures",
                        "Ask for more figures",
                        !estimated.left().isEmpty(),
                        false,
                        "",
                        null);
            case Asked.Foraged foraged ->
                new AskedView(
                        told(foraged),
                        "forage",
                        "Ask otherwise",
                        !foraged.left().isEmpty(),
                        true,
                        AskingController.told(kept),
                        offer.map(AskedView::waiting).orElse(null));
            case Asked.Gleaned gleaned ->
                new AskedView(
                        told(gleaned),
                        "glean",
                        "Glean otherwise",
                        false,
                        !gleaned.gleaning().addresses().isEmpty(),
                        AskingController.told(kept),
                        offer.map(AskedView::waiting).orElse(null));
        };
    }

    private static List<String> told(Asked.Gleaned gleaned) {
        return Stream.concat(
                        Stream.of("Phrases of "
                                + Show.count(gleaned.pages(), "page", "pages")
                                + (gleaned.gleaning().addresses().isEmpty()
                                        ? "."
                                        : ": "
                                                + String.join(
                                                        ", ", gleaned.gleaning().addresses()) + ".")),
                        gleaned.problems().stream().limit(FAULTS))
                .toList();
    }

    private static AskedView simple(List<String> told, String tool, String link) {
        return new AskedView(told, tool, link, false, false, "", null);
    }

    private static List<String> told(Asked.Foraged foraged) {
        Foraging wanted = foraged.foraging();
        String seeds = wanted.seeds().size() == 1
                ? "the seed " + wanted.seeds().getFirst()
                : Show.count(wanted.seeds().size(), "seed", "seeds") + ", "
                        + wanted.seeds().getFirst() + " first";
        String asked = "Asked at " + String.join(" and ", wanted.sources()) + " for " + seeds + ", "
                + Show.count(wanted.rounds(), "round", "rounds") + "."
                + (foraged.simulated() ? " Simulated: nobody has searched for these." : "");
        List<String> told = new ArrayList<>(List.of(asked));
        if (!foraged.left().isEmpty()) {
            told.add(Show.count(foraged.left().size(), "query was", "queries were") + " not asked yet.");
        }
        told.addAll(faults(foraged.failed()));
        return told;
    }

    private static List<String> told(Asked.Estimated estimated) {
        Estimation wanted = estimated.estimation();
        List<String> told = new ArrayList<>(List.of("Asked at " + wanted.planner()
                + (wanted.place().isEmpty() ? "." : " for " + wanted.place() + ".")
                + (estimated.simulated() ? " Simulated: nobody has measured these." : "")));
        if (!estimated.left().isEmpty()) {
            told.add(Show.count(estimated.left().size(), "keyword was", "keywords were") + " not answered yet.");
        }
        told.addAll(faults(estimated.failed()));
        return told;
    }

    private static List<String> faults(List<Foraging.Failed> failed) {
        return failed.isEmpty()
                ? List.of()
                : List.of("Without an answer: "
                        + String.join(
                                "; ",
                                failed.stream()
                                        .limit(FAULTS)
                                        .map(fault ->
                                                "\"" + fault.query() + "\" at " + fault.source() + ", " + fault.why())
                                        .toList())
                        + (failed.size() > FAULTS ? "; and " + Show.count(failed.size() - FAULTS) + " more." : "."));
    }

    private static Waiting waiting(Offers.Offer offer) {
        return new Waiting(
                offer.id(),
                Show.count(offer.fresh().size(), "new keyword waits", "new keywords wait"),
                offer.at().toLocalDate().toString(),
                offer.fresh().stream().limit(SAMPLES).toList(),
                offer.fresh().size() > SAMPLES);
    }
}
