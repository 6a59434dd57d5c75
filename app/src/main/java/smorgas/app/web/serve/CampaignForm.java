package smorgas.app.web.serve;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.util.MultiValueMap;
import smorgas.app.web.show.Fields;
import smorgas.core.figure.Decimals;
import smorgas.core.recipe.OwnCampaign;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.serve.Plan;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * What can be said of one campaign, as the fields of a form.
 *
 * @param name as it leaves
 * @param ownName empty if the plan names it
 * @param negatives its own, a line each in the notation of ad platforms
 * @param not of those of all campaigns the ones that are none here, a line each
 * @param shared how many all campaigns have
 */
record CampaignForm(
        String key,
        String name,
        String ownName,
        boolean ownBids,
        BidFields bids,
        String negatives,
        String not,
        int shared) {

    /** The fields of a rule of bids. */
    record BidFields(PlanBids bids, String bid, String step, String cap, PlanBids.From[] from) {
        static BidFields of(PlanBids bids) {
            return new BidFields(
                    bids,
                    PlanTree.money(bids.micros()),
                    PlanTree.money(bids.stepMicros()),
                    PlanTree.money(bids.capMicros()),
                    PlanBids.From.values());
        }
    }

    /** That of a campaign; none if the plan has no such campaign. */
    static List<CampaignForm> of(Plan plan, Serving serving, String key) {
        OwnCampaign own = serving.campaigns().getOrDefault(key, OwnCampaign.NONE);
        return plan.campaigns().stream()
                .filter(campaign -> campaign.key().equals(key))
                .map(campaign -> new CampaignForm(
                        key,
                        campaign.name(),
                        own.name(),
                        own.ownBids(),
                        BidFields.of(own.ownBids() ? own.bids() : serving.plan().bids()),
                        written(own.negatives().stream()
                                .flatMap(said -> said.say().type().stream().map(type -> type.written(said.text())))),
                        written(own.negatives().stream()
                                .filter(said -> said.say() == ServeEntry.Say.NEVER)
                                .map(ServeEntry.Said::text)),
                        campaign.negatives().size()))
                .toList();
    }

    private static String written(Stream<String> lines) {
        return lines.collect(Collectors.joining("\n"));
    }

    /**
     * What the fields say.
     *
     * @throws Refusal with a sentence, if a field cannot be meant
     */
    static OwnCampaign read(MultiValueMap<String, String> fields, PlanSettings plan, Decimals decimals) {
        Fields said = new Fields(fields);
        boolean ownBids = "true".equals(said.text("ownBids"));
        return new OwnCampaign(
                said.text("ownName"),
                ownBids,
                ownBids ? PlanChoices.bids(fields, plan, decimals) : PlanBids.NONE,
                Stream.concat(
                                said.lines("negatives").stream().map(ServeEntry.Said::written),
                                said.lines("not").stream()
                                        .map(line -> new ServeEntry.Said(Tidy.of(line), "", ServeEntry.Say.NEVER)))
                        .distinct()
                        .toList());
    }

    /** The notation, to be told beside the field. */
    public Message notation() {
        return Stream.of(MatchType.values())
                .map(type -> Message.of("serve.campaign-form.notation", type.written("word"), type.word()))
                .reduce((before, next) -> Message.of("list.comma", before, next))
                .orElseThrow();
    }
}
