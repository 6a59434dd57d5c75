package smorgas.core.sift;

import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** The status of every keyword, with its reason; cannot change. Keywords are numbered as in the fold they came from. */
public final class Statuses {

    static final int BY_HAND = -1;
    static final int NOT_JUDGED = -2;

    private final Status[] statuses;
    /** The place of the deciding rule, or one of the two constants above. */
    private final int[] deciders;

    private final List<Rule> rules;
    private final List<RuleFigures> figures;
    private final Tags tags;
    private final int[] counts = new int[Status.values().length];
    private final int lostDecisions;

    Statuses(
            Status[] statuses,
            int[] deciders,
            List<Rule> rules,
            List<RuleFigures> figures,
            Tags tags,
            int lostDecisions) {
        this.statuses = statuses;
        this.deciders = deciders;
        this.rules = rules;
        this.figures = List.copyOf(figures);
        this.tags = tags;
        this.lostDecisions = lostDecisions;
        for (Status status : statuses) {
            counts[status.ordinal()]++;
        }
    }

    public Status of(int keyword) {
        return statuses[keyword];
    }

    public Reason reason(int keyword) {
        return switch (deciders[keyword]) {
            case BY_HAND -> new Reason.ByHand();
            case NOT_JUDGED -> new Reason.NotJudged();
            default -> new Reason.ByRule(rules.get(deciders[keyword]));
        };
    }

    /** How many keywords have this status. */
    public int count(Status status) {
        return counts[status.ordinal()];
    }

    /** The keywords with this status. */
    public BitSet with(Status status) {
        BitSet found = new BitSet(statuses.length);
        for (int keyword = 0; keyword < statuses.length; keyword++) {
            if (statuses[keyword] == status) {
                found.set(keyword);
            }
        }
        return found;
    }

    /** The keywords that are not Dropped. */
    public BitSet remaining() {
        BitSet found = with(Status.DROPPED);
        found.flip(0, statuses.length);
        return found;
    }

    /** What each rule does, in the order of the rules. */
    public List<RuleFigures> figures() {
        return figures;
    }

    /** The tags that hands and rules have given. */
    public Tags tags() {
        return tags;
    }

    /**
     * What is odd about the rules: one that would drop what a hand has kept, one that decides nothing, one that a rule
     * above contradicts. A sentence each, by the number of the rule.
     */
    public Map<Integer, Message> doubts() {
        Map<Integer, Message> doubts = new LinkedHashMap<>();
        for (int place = 0; place < rules.size(); place++) {
            Rule rule = rules.get(place);
            RuleFigures of = figures.get(place);
            if (of.overHand() > 0) {
                doubts.put(rule.number(), Message.of("sift.statuses.drop-kept-by-hand", of.overHand()));
            } else if (rule.status().isPresent() && of.touched() > 0 && of.decided() == 0) {
                doubts.put(rule.number(), Message.of("sift.statuses.decides-nothing-hand-rules"));
            } else if (of.against() > 0) {
                doubts.put(rule.number(), Message.of("sift.statuses.rules-above-decide-otherwise", of.against()));
            }
        }
        return doubts;
    }

    /** Decisions that find no keyword at present; they are kept and hold again when their keyword comes back. */
    public int lostDecisions() {
        return lostDecisions;
    }

    public int size() {
        return statuses.length;
    }
}
