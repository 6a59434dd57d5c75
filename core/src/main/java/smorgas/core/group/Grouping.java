package smorgas.core.group;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Dial;
import smorgas.core.group.engine.Nearness;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.ThemeRules;

/**
 * Which keyword is in which group, and what it is there by; cannot change. Groups are numbered from 0 in the order of
 * their keys.
 */
public final class Grouping implements Nearness.Membership {

    /** In {@link #groupOf}: in scope, but in no group. */
    public static final int UNGROUPED = -1;

    /** In {@link #groupOf}: not asked for. */
    public static final int OUTSIDE = -2;

    /** What makes a group. */
    public enum Kind {
        /** The engine: its members have the words of its theme, but for those that were placed there, automatically or by hand. */
        THEME,
        /** A rule for groups. */
        RULE,
        /** A hand, under a name that no theme and no rule has. */
        HAND,
        /** What was left, put together to be sorted by hand. */
        UNGROUPED
    }

    /** How a keyword came into its group. */
    public enum By {
        /** Its words. */
        THEME,
        /** A rule's condition. */
        RULE,
        /** A hand. */
        HAND,
        /** The group is locked. */
        LOCK,
        /** It was there when the groups were adopted. */
        ADOPTED,
        /** Its group was joined into this one. */
        JOIN,
        /** It was left over, and this group is the nearest. */
        PLACE,
        /** It was left over, and put together with the others that were. */
        REST
    }

    /**
     * A group.
     *
     * @param key tells it apart: the theme, or the name of what has none
     * @param theme the theme's words by their numbers, in the order in which they stand in most members; empty for none
     */
    public record MadeGroup(String key, Kind kind, int[] theme) {}

    private final ThemeWords words;
    private final List<MadeGroup> made;
    private final int[] groupOf;
    private final By[] by;
    private final double[] weights;
    private final RaggedInts also;
    /** By keyword, worked out when first all are asked for; who asks at the same time works out the same. */
    private volatile double @Nullable [] tightness;

    /** By group, in the same way. */
    private volatile double @Nullable [] means;

    private final GroupSettings settings;
    private final ThemeRules rules;
    private final Function<Grouping, Nearness> measure;
    private final Supplier<Dial> dial;
    private volatile @Nullable Nearness nearness;
    private final RaggedInts members;
    private final int ungrouped;

    public Grouping(
            ThemeWords words,
            List<MadeGroup> made,
            int[] groupOf,
            By[] by,
            double[] weights,
            RaggedInts also,
            GroupSettings settings,
            ThemeRules rules,
            Function<Grouping, Nearness> measure,
            Supplier<Dial> dial) {
        this.words = words;
        this.made = List.copyOf(made);
        this.groupOf = groupOf;
        this.by = by;
        this.weights = weights;
        this.also = also;
        this.settings = settings;
        this.rules = rules;
        this.measure = measure;
        this.dial = dial;
        this.members = RaggedInts.byKey(groupOf, made.size());
        int count = 0;
        for (int group : groupOf) {
            count += group == UNGROUPED ? 1 : 0;
        }
        this.ungrouped = count;
    }

    public int size() {
        return made.size();
    }

    @Override
    public int groups() {
        return size();
    }

    /** What tells the group apart: its theme, or its name if it has none. */
    public String key(int group) {
        return made.get(group).key();
    }

    public Kind kind(int group) {
        return made.get(group).kind();
    }

    /** The words of the theme as they are shown; empty for a group without one. */
    public List<String> theme(int group) {
        return Arrays.stream(made.get(group).theme()).mapToObj(words::text).toList();
    }

    /** The numbers of the theme's words. */
    public int[] themeWords(int group) {
        return made.get(group).theme();
    }

    /** The numbers of groups by themes. */
    public ThemeRules rules() {
        return rules;
    }

    /** How themes are told: as the settings say, else as usual. */
    public Method.ByThemes themes() {
        return settings.themes(rules.usual());
    }

    /** The settings by which the groups were found. */
    public GroupSettings settings() {
        return settings;
    }

    public ThemeWords words() {
        return words;
    }

    /** What each word weighs. */
    public double[] weights() {
        return weights;
    }

    /** How many keywords there are, those outside too. */
    public int keywords() {
        return groupOf.length;
    }

    /** The group of a keyword, {@link #UNGROUPED} or {@link #OUTSIDE}. */
    @Override
    public int groupOf(int keyword) {
        return groupOf[keyword];
    }

    /** How a keyword came into its group, or was left out when the groups were adopted; else means nothing for one in none. */
    public By by(int keyword) {
        return by[keyword];
    }

    /** How near keywords are to groups; who asks at the same time works out the same. */
    public Nearness nearness() {
        Nearness known = nearness;
        if (known == null) {
            known = measure.apply(this);
            nearness = known;
        }
        return known;
    }

    /** What other places of the dial would give. */
    public Dial dial() {
        return dial.get();
    }

    /** How near a keyword is to its group, 0 to 1; 0 for one in no group or in one of which nothing can be said. */
    public double tightness(int keyword) {
        double[] known = tightness;
        return known == null ? measured(keyword) : known[keyword];
    }

    private double measured(int keyword) {
        int group = groupOf[keyword];
        return group < 0 || !nearness().measures(group) ? 0 : nearness().of(keyword, group);
    }

    /**
     * The weight of those words of a theme that the keyword has, over the weight of all its unmuted words: 0 to 1.
     */
    double coverage(int keyword, int[] theme) {
        RaggedInts rows = words.rows();
        double whole = 0;
        double covered = 0;
        int length = rows.length(keyword);
        for (int i = 0; i < length; i++) {
            int word = rows.get(keyword, i);
            boolean before = false;
            for (int j = 0; j < i && !before; j++) {
                before = rows.get(keyword, j) == word;
            }
            if (!before) {
                whole += weights[word];
                covered += in(theme, word) ? weights[word] : 0;
            }
        }
        return whole == 0 ? 0 : Math.min(1, covered / whole);
    }

    /** The words of a theme by rising numbers, once each. */
    public static int[] set(int[] theme) {
        int[] sorted = theme.clone();
        Arrays.sort(sorted);
        int size = 0;
        for (int word : sorted) {
            if (size == 0 || sorted[size - 1] != word) {
                sorted[size++] = word;
            }
        }
        return Arrays.copyOf(sorted, size);
    }

    public static boolean in(int[] theme, int word) {
        for (int one : theme) {
            if (one == word) {
                return true;
            }
        }
        return false;
    }

    /** The keywords of each group, rising. */
    @Override
    public RaggedInts members() {
        return members;
    }

    /** The keywords that are in a group beside their own, as a hand decided; they count for none of its figures. */
    public RaggedInts also() {
        return also;
    }

    /** The mean tightness of a group's keywords. */
    public double meanTightness(int group) {
        double[] known = means;
        if (known == null) {
            known = means();
            means = known;
        }
        return known[group];
    }

    /** The tightness of every keyword, for whoever asks for that of all: then it is known. */
    public double[] tightnessOfAll() {
        double[] known = tightness;
        if (known == null) {
            double[] found = new double[groupOf.length];
            // In the order of the keywords, whose words stand next to each other.
            Cores.run(found.length, (from, to) -> {
                for (int keyword = from; keyword < to; keyword++) {
                    found[keyword] = measured(keyword);
                }
            });
            known = found;
            tightness = known;
        }
        return known;
    }

    private double[] means() {
        double[] all = tightnessOfAll();
        double[] found = new double[size()];
        Cores.run(found.length, (from, to) -> {
            for (int group = from; group < to; group++) {
                double sum = 0;
                for (int i = 0; i < members.length(group); i++) {
                    sum += all[members.get(group, i)];
                }
                found[group] = sum / Math.max(1, members.length(group));
            }
        });
        return found;
    }

    public int ungrouped() {
        return ungrouped;
    }

    /** The keywords in no group that came after the groups were adopted; none while groups form by themselves. */
    public BitSet since() {
        BitSet since = new BitSet(groupOf.length);
        boolean adopted = false;
        for (int keyword = 0; keyword < groupOf.length; keyword++) {
            adopted |= by[keyword] == By.ADOPTED;
            since.set(keyword, groupOf[keyword] == UNGROUPED && by[keyword] != By.ADOPTED);
        }
        return adopted ? since : new BitSet();
    }

    /** The keywords in no group. */
    public BitSet leftOver() {
        BitSet left = new BitSet(groupOf.length);
        for (int keyword = 0; keyword < groupOf.length; keyword++) {
            left.set(keyword, groupOf[keyword] == UNGROUPED);
        }
        return left;
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
