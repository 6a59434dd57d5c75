package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import smorgas.app.web.show.Show;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.serve.Csv;
import smorgas.core.serve.Plan;
import smorgas.core.text.Message;

/**
 * The plan as it will leave, a line for each campaign and ad group, one of which is opened.
 *
 * @param lines of one page of them
 * @param opened what the opened one holds; empty if none is
 * @param from the number of the first ad group on the page
 * @param before where the page before begins; -1 if there is none
 * @param after where the next page begins; -1 if there is none
 * @param shown which of them are shown, in words; empty if all are
 */
record PlanTree(List<Line> lines, List<Opened> opened, int from, int before, int after, Message shown) {

    /** So many ad groups are on a page. */
    static final int PAGE = 100;

    private static final int KEYWORDS = 500;

    /**
     * A campaign or an ad group.
     *
     * @param number of the ad group in the whole plan, from 0; -1 for a campaign
     * @param key of a campaign
     * @param keywords how many, in words
     */
    record Line(
            int number,
            String key,
            String name,
            String keywords,
            String bid,
            String page,
            String negatives,
            boolean open) {}

    /**
     * What an ad group holds.
     *
     * @param key of its first group; empty for the ungrouped keywords, of which nothing can be said
     * @param own the bid that a hand has given it; empty if none
     * @param more keywords that are not shown
     */
    record Opened(
            int number,
            String name,
            String key,
            String own,
            String ownPage,
            String page,
            List<Keyword> keywords,
            long more,
            List<Message> negatives,
            List<Plan.Ad> ads) {}

    /** A keyword, its match types in words, and its own bid. */
    record Keyword(String text, Message types, String bid) {}

    /**
     * One page of a plan.
     *
     * @param own what a hand said of ad groups, by the keys of their groups
     * @param open the number of the ad group that is opened; -1 for none
     * @param from the number of the first on the page; that of the opened one may be on another
     */
    static PlanTree of(Plan plan, int open, int from, Map<String, Serving.Own> own) {
        List<Line> lines = new ArrayList<>();
        List<Opened> opened = new ArrayList<>();
        int number = 0;
        for (Plan.Campaign campaign : plan.campaigns()) {
            boolean named = false;
            for (Plan.AdGroup group : campaign.adGroups()) {
                boolean here = number >= from && number < from + PAGE;
                if (here && !named) {
                    lines.add(campaign(campaign));
                    named = true;
                }
                if (here) {
                    lines.add(line(number, group, number == open));
                }
                if (number == open) {
                    opened.add(opened(number, group, own));
                }
                number++;
            }
        }
        int after = from + PAGE < number ? from + PAGE : -1;
        return new PlanTree(
                lines,
                opened,
                from,
                from > 0 ? Math.max(0, from - PAGE) : -1,
                after,
                from > 0 || after > 0
                        ? Message.of("count.range", from + 1L, Math.min(number, from + PAGE), number)
                        : Message.NONE);
    }

    private static Line line(int number, Plan.AdGroup group, boolean open) {
        return new Line(
                number,
                "",
                group.name(),
                Show.count(group.keywords().size()),
                bid(group),
                group.page().orElse(""),
                group.negatives().isEmpty() ? "" : Show.count(group.negatives().size()),
                open);
    }

    private static Line campaign(Plan.Campaign campaign) {
        long keywords = campaign.adGroups().stream()
                .mapToLong(group -> group.keywords().size())
                .sum();
        return new Line(
                -1,
                campaign.key(),
                campaign.name(),
                Show.count(keywords),
                "",
                "",
                campaign.negatives().isEmpty()
                        ? ""
                        : Show.count(campaign.negatives().size()),
                false);
    }

    /** Its own bid, or from which to which those of its keywords go. */
    private static String bid(Plan.AdGroup group) {
        long low = group.keywords().stream()
                .mapToLong(Plan.Exported::bidMicros)
                .filter(bid -> bid > 0)
                .min()
                .orElse(0);
        long high = group.keywords().stream()
                .mapToLong(Plan.Exported::bidMicros)
                .max()
                .orElse(0);
        return high == 0 ? group.bid() : low == high ? money(low) : money(low) + "\u2013" + money(high);
    }

    /** A bid as its field shows it; empty for none. */
    static String money(long micros) {
        return micros == 0 ? "" : Csv.amount(micros, Figure.CPC.scale());
    }

    private static Opened opened(int number, Plan.AdGroup group, Map<String, Serving.Own> said) {
        String key = group.keys().isEmpty() ? "" : group.keys().getFirst();
        Serving.Own own = group.keys().stream()
                .filter(said::containsKey)
                .map(said::get)
                .findFirst()
                .orElse(new Serving.Own(0, ""));
        return new Opened(
                number,
                group.name(),
                key,
                money(own.bidMicros()),
                own.page(),
                group.page().orElse(""),
                group.keywords().stream()
                        .limit(KEYWORDS)
                        .map(exported -> new Keyword(
                                exported.keyword(),
                                Message.joined(
                                        "list.comma",
                                        exported.matchTypes().stream()
                                                .map(MatchType::word)
                                                .toList()),
                                money(exported.bidMicros())))
                        .toList(),
                Math.max(0, group.keywords().size() - KEYWORDS),
                group.negatives().stream()
                        .map(negative -> Message.of(
                                "list.comma",
                                negative.keyword(),
                                negative.matchType().word()))
                        .toList(),
                group.ads());
    }
}
