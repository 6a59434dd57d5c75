package smorgas.core.serve;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.text.Message;

/**
 * What an ad platform is given, as a tree: campaigns, their ad groups, the keywords of these; cannot change.
 * {@link PlanFormat}s walk it.
 *
 * @param campaigns in the order in which they leave
 * @param count how much it holds
 * @param conflicts words of rules that would block what the plan itself serves
 * @param notExported keywords that are not in the plan because a program on the way would run or refuse them
 * @param notes what the researcher should know before it leaves
 */
public record Plan(
        List<Campaign> campaigns,
        PlanCount count,
        List<Conflict> conflicts,
        List<NotExported> notExported,
        List<Message> notes) {

    public Plan {
        campaigns = List.copyOf(campaigns);
        conflicts = List.copyOf(conflicts);
        notExported = List.copyOf(notExported);
        notes = List.copyOf(notes);
    }

    /**
     * A campaign.
     *
     * @param key tells it apart, whatever it is called
     * @param adGroups none of them empty
     * @param negatives words that must never trigger an ad of it
     */
    public record Campaign(String key, String name, List<AdGroup> adGroups, List<Negative> negatives) {
        public Campaign {
            adGroups = List.copyOf(adGroups);
            negatives = List.copyOf(negatives);
        }
    }

    /**
     * Keywords that are answered by the same ads.
     *
     * @param keys of the groups that it is made of; none of the ungrouped keywords
     * @param bidMicros the most that a click may cost, in millionths of the currency; 0 for none, or where keywords have their own
     * @param keywords the most searched first
     * @param page the landing page; empty if none is known
     * @param ads what is shown for them; empty if none is known
     * @param negatives words that must never trigger an ad of it
     */
    public record AdGroup(
            String name,
            List<String> keys,
            long bidMicros,
            List<Exported> keywords,
            Optional<String> page,
            List<Ad> ads,
            List<Negative> negatives) {
        public AdGroup {
            keys = List.copyOf(keys);
            keywords = List.copyOf(keywords);
            ads = List.copyOf(ads);
            negatives = List.copyOf(negatives);
        }

        /** The bid as it is written: with a decimal point; empty for none. */
        public String bid() {
            return written(bidMicros);
        }

        /** The bid of one of its keywords as it is written: its own, else that of the ad group. */
        public String bid(Exported exported) {
            return exported.bidMicros() == 0 ? bid() : written(exported.bidMicros());
        }
    }

    /**
     * The texts of an ad, in order.
     *
     * @param paths parts of the address that is shown, behind the name of the site
     * @param shortened those of its texts that were cut to what platforms take
     */
    public record Ad(List<String> headlines, List<String> descriptions, List<String> paths, Set<String> shortened) {
        public Ad {
            headlines = List.copyOf(headlines);
            descriptions = List.copyOf(descriptions);
            paths = List.copyOf(paths);
            shortened = Set.copyOf(shortened);
        }

        /** Without paths, as it was written. */
        public Ad(List<String> headlines, List<String> descriptions) {
            this(headlines, descriptions, List.of(), Set.of());
        }
    }

    private static String written(long micros) {
        return micros == 0 ? "" : Csv.amount(micros, Figure.CPC.scale());
    }

    /**
     * A keyword and the match types that it is bid on in, broad first; at least one.
     *
     * @param bidMicros its own bid, in millionths of the currency; 0 for that of its ad group
     */
    public record Exported(String keyword, Set<MatchType> matchTypes, long bidMicros) {}

    /** A negative keyword and how close a search must come to it to be blocked. */
    public record Negative(String keyword, MatchType matchType) {}

    /** One keyword in one match type, as tables show it. */
    public record Row(
            String campaign, String adGroup, String keyword, MatchType matchType, String maxCpc, String page) {}

    /** Everything that is bid on, by campaign and ad group. */
    public Stream<Row> rows() {
        return campaigns.stream().flatMap(Plan::rows);
    }

    private static Stream<Row> rows(Campaign campaign) {
        return campaign.adGroups().stream().flatMap(group -> rows(campaign, group));
    }

    private static Stream<Row> rows(Campaign campaign, AdGroup group) {
        String page = group.page().orElse("");
        // A stream for each keyword would cost more than its rows.
        return group.keywords().stream().mapMulti((exported, rows) -> {
            String bid = group.bid(exported);
            for (MatchType type : exported.matchTypes()) {
                rows.accept(new Row(campaign.name(), group.name(), exported.keyword(), type, bid, page));
            }
        });
    }

    /** Whether any ad group has a page. */
    public boolean hasPages() {
        return campaigns.stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .anyMatch(group -> group.page().isPresent());
    }

    /** The negatives of all campaigns. */
    public Stream<Negative> negatives() {
        return campaigns.stream().flatMap(campaign -> campaign.negatives().stream());
    }

    /** The negatives of ad groups. */
    public long adGroupNegatives() {
        return campaigns.stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .mapToLong(group -> group.negatives().size())
                .sum();
    }

    /**
     * A negative that would block keywords of the plan.
     *
     * @param word as the rule names it
     * @param type how close a search must come to it
     * @param campaign the key of the one campaign in which it is one; empty for all
     * @param group the key of the group in which it is one; empty for the campaign
     * @param blocks how many keywords it would block
     * @param samples some of them
     * @param exported whether somebody has said that it is meant; else it is not exported
     * @param narrower a narrower match type in which it would block none
     */
    public record Conflict(
            String word,
            MatchType type,
            String campaign,
            String group,
            int blocks,
            List<String> samples,
            boolean exported,
            Optional<MatchType> narrower) {
        public Conflict {
            samples = List.copyOf(samples);
        }

        /** One of those that it would block. */
        public String sample() {
            return samples.getFirst();
        }
    }

    /** A keyword that is left out, and why, as the end of the sentence "it ...". */
    public record NotExported(String keyword, Message why) {}
}
