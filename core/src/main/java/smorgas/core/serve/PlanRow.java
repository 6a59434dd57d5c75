package smorgas.core.serve;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import smorgas.core.recipe.serve.MatchType;

/**
 * One thing of a plan as a row of a table; what it has not is empty.
 *
 * @param matchType of keywords and negatives only
 * @param negative whether it keeps searches off
 * @param ad of ads only
 */
record PlanRow(
        Kind kind,
        String campaign,
        String adGroup,
        String keyword,
        List<MatchType> matchType,
        boolean negative,
        String bid,
        String page,
        Plan.Ad ad) {

    /** What a row tells of. */
    enum Kind {
        CAMPAIGN,
        AD_GROUP,
        KEYWORD,
        NEGATIVE,
        AD
    }

    private static final Plan.Ad NO_AD = new Plan.Ad(List.of(), List.of());

    /** The rows of some kinds, one kind after the other: a platform wants an ad group before what is in it. */
    static Stream<PlanRow> of(Plan plan, Set<Kind> kinds) {
        return Stream.of(Kind.values()).filter(kinds::contains).flatMap(kind -> plan.campaigns().stream()
                .flatMap(campaign -> of(kind, campaign)));
    }

    private static Stream<PlanRow> of(Kind kind, Plan.Campaign campaign) {
        Stream<PlanRow> within = campaign.adGroups().stream().flatMap(group -> of(kind, campaign, group));
        return switch (kind) {
            case CAMPAIGN -> Stream.of(row(kind, campaign, "", "", List.of(), false, "", "", NO_AD));
            case NEGATIVE ->
                Stream.concat(within, campaign.negatives().stream().map(one -> negative(campaign, "", one)));
            default -> within;
        };
    }

    private static Stream<PlanRow> of(Kind kind, Plan.Campaign campaign, Plan.AdGroup group) {
        String page = group.page().orElse("");
        return switch (kind) {
            case AD_GROUP ->
                Stream.of(row(kind, campaign, group.name(), "", List.of(), false, group.bid(), page, NO_AD));
            case KEYWORD ->
                group.keywords().stream().mapMulti((exported, rows) -> {
                    String bid = group.bid(exported);
                    for (MatchType type : exported.matchTypes()) {
                        rows.accept(row(
                                kind,
                                campaign,
                                group.name(),
                                exported.keyword(),
                                List.of(type),
                                false,
                                bid,
                                page,
                                NO_AD));
                    }
                });
            case NEGATIVE -> group.negatives().stream().map(one -> negative(campaign, group.name(), one));
            case AD ->
                group.ads().stream().map(ad -> row(kind, campaign, group.name(), "", List.of(), false, "", page, ad));
            case CAMPAIGN -> Stream.of();
        };
    }

    private static PlanRow negative(Plan.Campaign campaign, String group, Plan.Negative one) {
        return row(Kind.NEGATIVE, campaign, group, one.keyword(), List.of(one.matchType()), true, "", "", NO_AD);
    }

    private static PlanRow row(
            Kind kind,
            Plan.Campaign campaign,
            String group,
            String keyword,
            List<MatchType> type,
            boolean negative,
            String bid,
            String page,
            Plan.Ad ad) {
        return new PlanRow(kind, campaign.name(), group, keyword, type, negative, bid, page, ad);
    }

    /** The match type in words; a negative phrase blocks every search with the phrase in it. */
    String typeInWords() {
        if (matchType.isEmpty()) {
            return "";
        }
        String label = matchType.getFirst().fixedName();
        return negative ? "Negative " + label.toLowerCase(Locale.ENGLISH) : label;
    }

    /** The keyword in the notation that ad platforms share (common practice). */
    String inSigns() {
        return matchType.isEmpty() ? keyword : matchType.getFirst().written(keyword);
    }
}
