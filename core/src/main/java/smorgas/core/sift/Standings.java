package smorgas.core.sift;

import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Standing;
import smorgas.core.text.Message;

/** The standing of every keyword, with its reason; cannot change. Keywords are numbered as in the fold they came from. */
public final class Standings {

    static final int BY_HAND = -1;
    static final int NOT_JUDGED = -2;

    private final Standing[] standings;
    /** The place of the deciding rule, or one of the two constants above. */
    private final int[] deciders;

    private final List<Rule> rules;
    private final List<RuleFigures> figures;
    private final Tags tags;
    private final int[] counts = new int[Standing.values().length];
    private final int lostPins;

    Standings(
            Standing[] standings,
            int[] deciders,
            List<Rule> rules,
            List<RuleFigures> figures,
            Tags tags,
            int lostPins) {
        this.standings = standings;
        this.deciders = deciders;
        this.rules = rules;
        this.figures = List.copyOf(figures);
        this.tags = tags;
        this.lostPins = lostPins;
        for (Standing standing : standings) {
            counts[standing.ordinal()]++;
        }
    }

    public Standing of(int keyword) {
        return standings[keyword];
    }

    public Reason reason(int keyword) {
        return switch (deciders[keyword]) {
            case BY_HAND -> new Reason.ByHand();
            case NOT_JUDGED -> new Reason.NotJudged();
            default -> new Reason.ByRule(rules.get(deciders[keyword]));
        };
    }

    /** How many keywords have this standing. */
    public int count(Standing standing) {
        return counts[standing.ordinal()];
    }

    /** The keywords with this standing. */
    public BitSet with(Standing standing) {
        BitSet found = new BitSet(standings.length);
        for (int keyword = 0; keyword < standings.length; keyword++) {
            if (standings[keyword] == standing) {
                found.set(keyword);
            }
        }
        return found;
    }

    /** The keywords that are not Dropped. */
    public BitSet remaining() {
        BitSet found = with(Standing.DROPPED);
        found.flip(0, standings.length);
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
                doubts.put(rule.number(), Message.of("sift.standings.drop-kept-by-hand", of.overHand()));
            } else if (rule.standing().isPresent() && of.touched() > 0 && of.decided() == 0) {
                doubts.put(rule.number(), Message.of("sift.standings.decides-nothing-hand-rules"));
            } else if (of.against() > 0) {
                doubts.put(rule.number(), Message.of("sift.standings.rules-above-decide-otherwise", of.against()));
            }
        }
        return doubts;
    }

    /** Pins that find no keyword at present; they are kept and hold again when their keyword comes back. */
    public int lostPins() {
        return lostPins;
    }

    public int size() {
        return standings.length;
    }
}
