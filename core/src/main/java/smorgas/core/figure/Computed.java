package smorgas.core.figure;

import java.util.Set;

/** What is worked out for every keyword and stands in no list. */
public enum Computed implements Fact {
    /** The lead spelling. */
    KEYWORD("Keyword", false, Since.FOLDED, true, Use.SORT, Use.EXPORT),
    STATUS("Status", false, Since.JUDGED, false, Use.SORT, Use.EXPORT),
    /** Why it stands so, in words. */
    REASON("Reason", false, Since.JUDGED, false, Use.EXPORT),
    /** The searches of the last months, as lists tell them. */
    TREND("Trend", false, Since.LISTED, false, Use.COLUMN, Use.COLUMN_AT_FIRST),
    /** The names of the baskets that have it; as a number, how many they are. */
    BASKETS("Baskets", false, Since.FOLDED, false, Use.COLUMN, Use.COLUMN_AT_FIRST, Use.SORT, Use.EXPORT, Use.COUNT),
    TAGS("Tags", false, Since.JUDGED, true, Use.COLUMN, Use.COLUMN_AT_FIRST, Use.SORT, Use.EXPORT),
    /** What it is for: the leading intent, then others that are seen in it. */
    INTENT("Intent", false, Since.JUDGED, true, Use.COLUMN, Use.SORT, Use.EXPORT),
    /** Clicks a month by the researcher's assumptions. */
    EXPECTED_CLICKS("Expected clicks", 100, Since.JUDGED, false, Use.COLUMN, Use.SORT, Use.EXPORT, Use.VIEW),
    EXPECTED_CONVERSIONS("Expected conversions", 100, Since.JUDGED, false, Use.COLUMN, Use.SORT, Use.EXPORT, Use.VIEW),
    EXPECTED_COST("Expected cost", 100, Since.JUDGED, false, Use.COLUMN, Use.SORT, Use.EXPORT, Use.VIEW),
    /** What it may bring in a month, in the project's currency. */
    ESTIMATED_VALUE(
            "Estimated value",
            100,
            Since.JUDGED,
            false,
            Use.COLUMN,
            Use.COLUMN_AT_FIRST,
            Use.SORT,
            Use.EXPORT,
            Use.VIEW),
    /** The worth less the expected cost. */
    RETURN("Return", 100, Since.JUDGED, false, Use.COLUMN, Use.SORT, Use.EXPORT, Use.VIEW),
    /** Its priority class, by the researcher's own weights. */
    PRIORITY("Priority", false, Since.JUDGED, false, Use.COLUMN, Use.COLUMN_AT_FIRST, Use.SORT, Use.EXPORT),
    /** From 0 to 100. */
    PRIORITY_SCORE("Priority score", 100, Since.JUDGED, false, Use.COLUMN, Use.SORT, Use.EXPORT, Use.VIEW),
    /** Which of its figures a stand-in for a service has made up. */
    SIMULATED("Simulated", false, Since.FOLDED, false, Use.COLUMN, Use.EXPORT),
    /** What a hand has written down beside it. */
    NOTE("Note", false, Since.JUDGED, true, Use.COLUMN, Use.COLUMN_AT_FIRST, Use.SORT, Use.EXPORT),
    /** As ad platforms count them: what stands between spaces. */
    WORDS("Words", true, Since.FOLDED, false, Use.COLUMN, Use.SORT, Use.COUNT),
    /** Code points of the lead spelling. */
    CHARACTERS("Characters", true, Since.FOLDED, false, Use.COLUMN, Use.SORT, Use.COUNT),
    /** Lines that were folded into it. */
    LINES("Lines", true, Since.FOLDED, false, Use.COLUMN, Use.SORT),
    /** The group that it is in. */
    GROUP("Group", false, Since.GROUPED, true, Use.COLUMN, Use.SORT),
    /** How much of it the theme of its group says, in per cent; unknown in no group. */
    TIGHTNESS("Tightness %", true, Since.GROUPED, true, Use.COLUMN, Use.SORT),
    /** Different competitors of whom a list has it. */
    COMPETITORS("Competitors that have it", true, Since.FOLDED, false, Use.COUNT);

    private final String fixedName;
    private final boolean number;
    private final long scale;
    private final Since since;
    private final boolean rises;
    private final Set<Use> uses;

    Computed(String fixedName, boolean number, Since since, boolean rises, Use... uses) {
        this(fixedName, number, 1, since, rises, uses);
    }

    /** A number in parts of one. */
    Computed(String fixedName, long scale, Since since, boolean rises, Use... uses) {
        this(fixedName, true, scale, since, rises, uses);
    }

    Computed(String fixedName, boolean number, long scale, Since since, boolean rises, Use... uses) {
        this.fixedName = fixedName;
        this.number = number;
        this.scale = scale;
        this.since = since;
        this.rises = rises;
        this.uses = Set.of(uses);
    }

    @Override
    public String fixedName() {
        return fixedName;
    }

    @Override
    public boolean number() {
        return number;
    }

    @Override
    public long scale() {
        return scale;
    }

    @Override
    public Since since() {
        return since;
    }

    @Override
    public boolean rises() {
        return rises;
    }

    @Override
    public Set<Use> uses() {
        return uses;
    }
}
