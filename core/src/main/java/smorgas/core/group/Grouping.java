package smorgas.core.group;

import java.util.List;
import smorgas.core.column.RaggedInts;

/**
 * Which keyword is in which group, as the engine leaves it; cannot change. Groups are numbered from 0 in the order of
 * their themes' texts.
 */
public final class Grouping {

    /** In {@link #groupOf}: in scope, but in no group. */
    public static final int LEFTOVER = -1;

    /** In {@link #groupOf}: not asked for. */
    public static final int OUTSIDE = -2;

    private final List<String> themes;
    private final int[] groupOf;
    private final double[] tightness;
    private final RaggedInts members;
    private final int leftovers;

    Grouping(List<String> themes, int[] groupOf, double[] tightness) {
        this.themes = List.copyOf(themes);
        this.groupOf = groupOf;
        this.tightness = tightness;
        this.members = RaggedInts.byKey(groupOf, themes.size());
        int count = 0;
        for (int group : groupOf) {
            count += group == LEFTOVER ? 1 : 0;
        }
        this.leftovers = count;
    }

    public int size() {
        return themes.size();
    }

    /** The theme phrase: words that stand in every member next to each other. */
    public String theme(int group) {
        return themes.get(group);
    }

    /** The group of a keyword, {@link #LEFTOVER} or {@link #OUTSIDE}. */
    public int groupOf(int keyword) {
        return groupOf[keyword];
    }

    /** The weight of the theme's words over the weight of all unmuted words, 0 to 1; 0 for a keyword in no group. */
    public double tightness(int keyword) {
        return tightness[keyword];
    }

    /** The keywords of each group, rising. */
    public RaggedInts members() {
        return members;
    }

    /** The mean tightness of a group's keywords. */
    public double meanTightness(int group) {
        double sum = 0;
        for (int i = 0; i < members.length(group); i++) {
            sum += tightness[members.get(group, i)];
        }
        return sum / members.length(group);
    }

    public int leftovers() {
        return leftovers;
    }

    /** How many keywords are in some group. */
    public int grouped() {
        int count = 0;
        for (int group : groupOf) {
            count += group >= 0 ? 1 : 0;
        }
        return count;
    }
}
