package smorgas.core.serve;

import java.io.IOException;
import java.io.Writer;
import java.util.Set;
import java.util.stream.Collectors;
import smorgas.core.recipe.serve.MatchType;

/** A plan as text that people read: campaigns, ad groups and keywords, each a step further in. */
final class PlanOutline extends TextPlanFormat {

    PlanOutline() {
        super("plan.txt", "text to read", "text/plain");
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
                String bid = group.bid().isEmpty() ? "" : ", max CPC " + group.bid();
                to.write("\n  " + group.name() + " (" + group.keywords().size() + bid + ")\n");
                if (group.page().isPresent()) {
                    to.write("    leads to " + group.page().get() + "\n");
                }
                for (Plan.Ad ad : group.ads()) {
                    to.write("    ad: " + String.join(" | ", ad.headlines()) + "\n");
                    for (String description : ad.descriptions()) {
                        to.write("        " + description + "\n");
                    }
                }
                for (Plan.Served served : group.keywords()) {
                    if (!served.matchTypes().equals(before)) {
                        before = served.matchTypes();
                        types = types(before);
                    }
                    to.write("    " + served.keyword() + " \u00B7 " + types + "\n");
                }
                for (Plan.Negative negative : group.negatives()) {
                    to.write("    never: " + written(negative) + "\n");
                }
            }
            if (!campaign.negatives().isEmpty()) {
                to.write("\n  Never shown for searches with\n");
                for (Plan.Negative negative : campaign.negatives()) {
                    to.write("    " + written(negative) + "\n");
                }
            }
        }
    }

    /** A phrase as it stands, others with how close a search must come. */
    private static String written(Plan.Negative negative) {
        return negative.matchType() == MatchType.PHRASE
                ? negative.keyword()
                : negative.keyword() + " \u00B7 " + negative.matchType().label().toLowerCase(java.util.Locale.ENGLISH);
    }

    private static String types(Set<MatchType> types) {
        return types.stream()
                .map(MatchType::label)
                .map(label -> label.toLowerCase(java.util.Locale.ENGLISH))
                .collect(Collectors.joining(", "));
    }
}
