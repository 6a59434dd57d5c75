package smorgas.core.serve;

import java.util.List;

/**
 * What an ad platform is given: rows of keywords in ad groups, and negatives; cannot change.
 *
 * @param rows one for each keyword and match type, by ad group
 * @param negatives words that must never trigger an ad, for the whole campaign
 * @param conflicts words of rules that would block what the plan itself serves
 * @param heldBack keywords that are not in the plan because a program on the way would run or refuse them
 * @param notes what the researcher should know before it leaves
 * @param adGroups how many ad groups the rows are in
 * @param keywords how many keywords the rows serve
 */
public record Plan(
        List<Row> rows,
        List<Negative> negatives,
        List<Conflict> conflicts,
        List<HeldBack> heldBack,
        List<String> notes,
        int adGroups,
        int keywords) {

    public Plan {
        rows = List.copyOf(rows);
        negatives = List.copyOf(negatives);
        conflicts = List.copyOf(conflicts);
        heldBack = List.copyOf(heldBack);
        notes = List.copyOf(notes);
    }

    /** One keyword in one match type. */
    public record Row(String campaign, String adGroup, String keyword, String matchType, String maxCpc) {}

    /** A negative keyword of the campaign, as a phrase. */
    public record Negative(String campaign, String keyword) {}

    /**
     * A negative that would block keywords of the plan.
     *
     * @param word as the rule names it
     * @param blocks how many keywords it would block
     * @param sample one of them
     * @param leaves whether somebody has said that it is meant; else it is held back
     */
    public record Conflict(String word, int blocks, String sample, boolean leaves) {}

    /** A keyword that is left out, and why, as the end of the sentence "it ...". */
    public record HeldBack(String keyword, String why) {}
}
