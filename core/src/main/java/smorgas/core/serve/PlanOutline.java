package smorgas.core.serve;

import java.io.IOException;
import java.io.Writer;
import java.util.Set;
import java.util.stream.Collectors;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.text.Message;

/** A plan as text that people read: campaigns, ad groups and keywords, each a step further in. */
final class PlanOutline extends TextPlanFormat {

    PlanOutline() {
        super("plan.txt", Message.of("serve.plan-outline.text-read"), "text/plain");
    }

    @Override
    public boolean usual() {
        return true;
    }

    @Override
    void write(Handover what, Writer to) throws IOException {
        // Of millions of keywords few have other match types than the one before.
        Set<MatchType> before = Set.of();
        String types = "";
        for (Plan.Campaign campaign : what.plan().campaigns()) {
            to.write(campaign.name() + "\n");
            for (Plan.AdGroup group : campaign.adGroups()) {
                begin(group, what, to);
                for (Plan.Ad ad : group.ads()) {
                    to.write("    " + what.text("serve.plan-outline.ad", String.join(" | ", ad.headlines())) + "\n");
                    for (String description : ad.descriptions()) {
                        to.write("        " + description + "\n");
                    }
                }
                for (Plan.Exported exported : group.keywords()) {
                    if (!exported.matchTypes().equals(before)) {
                        before = exported.matchTypes();
                        types = types(before, what);
                    }
                    to.write("    " + exported.keyword() + " \u00B7 " + types + "\n");
                }
                for (Plan.Negative negative : group.negatives()) {
                    to.write("    " + what.text("serve.plan-outline.never", written(negative, what)) + "\n");
                }
            }
            if (!campaign.negatives().isEmpty()) {
                to.write("\n  " + what.text("serve.plan-outline.never-shown") + "\n");
                for (Plan.Negative negative : campaign.negatives()) {
                    to.write("    " + written(negative, what) + "\n");
                }
            }
        }
    }

    /** What an ad group is called, how much is in it, and the page that it leads to. */
    private static void begin(Plan.AdGroup group, Handover what, Writer to) throws IOException {
        int size = group.keywords().size();
        String inside = group.bid().isEmpty()
                ? what.text("serve.plan-outline.size", size)
                : what.text("serve.plan-outline.size-bid", size, group.bid());
        to.write("\n  " + group.name() + " (" + inside + ")\n");
        if (group.page().isPresent()) {
            to.write("    "
                    + what.text("serve.plan-outline.leads-to", group.page().get()) + "\n");
        }
    }

    /** A phrase as it stands, others with how close a search must come. */
    private static String written(Plan.Negative negative, Handover what) {
        return negative.matchType() == MatchType.PHRASE
                ? negative.keyword()
                : negative.keyword() + " \u00B7 "
                        + what.wording().of(negative.matchType().word());
    }

    private static String types(Set<MatchType> types, Handover what) {
        return types.stream().map(type -> what.wording().of(type.word())).collect(Collectors.joining(", "));
    }
}
