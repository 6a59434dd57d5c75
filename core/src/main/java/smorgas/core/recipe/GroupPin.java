package smorgas.core.recipe;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.text.Refusal;

/**
 * A pin of Group: what a hand decided, which outlasts every turn of a dial. A group is named by its key: its theme, or the
 * name of one that has none; a pin on a group that no dial brings about waits until one does.
 */
public sealed interface GroupPin extends GroupEntry {

    /**
     * A pin: a hand put these keywords into a group, whatever the dials say.
     *
     * @param texts lead spellings, at least one
     * @param also the tidy texts of their other spellings
     * @param group its theme, or a name of its own; empty for no group
     */
    record KeywordsPlaced(List<String> texts, List<String> also, String group) implements GroupPin {
        public KeywordsPlaced {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("nothing was placed");
            }
            if (!group.isEmpty()) {
                GroupRule.checkName(group);
            }
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts, also);
        }

        @Override
        public String sentence() {
            String what = GroupPins.named(texts);
            return group.isEmpty()
                    ? "Took " + what + " out of all groups"
                    : "Put " + what + " into group \"" + group + "\"";
        }
    }

    /**
     * A pin: the groups are these, whatever the dials say, and no others form; what came since waits. Without groups they form
     * again by themselves.
     *
     * @param left the tidy lead spellings of keywords that were in none
     */
    record GroupsSettled(List<Settled> groups, List<String> left) implements GroupPin {

        /** They form again by themselves. */
        public static final GroupsSettled NOT = new GroupsSettled(List.of(), List.of());

        /**
         * A settled group.
         *
         * @param name as it is called; tidy, it tells the group apart
         * @param texts the tidy lead spellings of its keywords
         */
        public record Settled(String name, List<String> texts) {
            public Settled {
                GroupRule.checkName(name);
                texts = List.copyOf(texts);
            }
        }

        public GroupsSettled {
            groups = List.copyOf(groups);
            left = List.copyOf(left);
        }

        @Override
        public Set<String> touches() {
            return Set.of("groups");
        }

        @Override
        public String sentence() {
            return groups.isEmpty() ? "Let the groups form again" : "Settled " + Entry.count(groups.size(), "group");
        }
    }

    /** A pin: no group forms on this theme, or one may again. */
    record ThemeRemoved(String theme, boolean gone) implements GroupPin {
        public ThemeRemoved {
            GroupRule.checkName(theme);
        }

        @Override
        public Set<String> touches() {
            return Set.of("theme:" + theme);
        }

        @Override
        public String sentence() {
            return (gone ? "Removed the theme \"" : "Let the theme \"") + theme + (gone ? "\"" : "\" form again");
        }
    }

    /** A pin: a group has this name; the empty one gives it the name of its theme back. */
    record GroupNamed(String theme, String name) implements GroupPin {
        public GroupNamed {
            GroupRule.checkName(theme);
            if (!name.isEmpty()) {
                GroupRule.checkName(name);
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("group name:" + theme);
        }

        @Override
        public String sentence() {
            return name.isEmpty()
                    ? "Let group \"" + theme + "\" be named by its theme"
                    : "Named group \"" + theme + "\" \"" + name + "\"";
        }
    }

    /**
     * Pins: groups form on these themes before the engine chooses, of the keywords that have all their words and that no
     * hand has placed; the longer themes first. Or they need no longer form.
     */
    record ThemesMade(List<String> themes, boolean on) implements GroupPin {
        public ThemesMade {
            themes = List.copyOf(themes);
            if (themes.isEmpty()) {
                throw new Refusal("no theme was chosen");
            }
            themes.forEach(GroupRule::checkName);
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new TreeSet<>();
            themes.forEach(theme -> keys.add("theme:" + theme));
            return keys;
        }

        @Override
        public String sentence() {
            String what = themes.size() == 1 ? "\"" + themes.getFirst() + "\"" : Entry.count(themes.size(), "theme");
            return on ? "Made " + what + (themes.size() == 1 ? " a group" : " groups") : "No longer hold on to " + what;
        }
    }

    /** Pins: the keywords of these groups go into another; {@value GroupPins#NO_GROUP} leaves them apart again. */
    record GroupsJoined(List<String> groups, String into) implements GroupPin {
        public GroupsJoined {
            groups = List.copyOf(groups);
            if (groups.isEmpty() || groups.contains(into)) {
                throw new Refusal("Choose a group, and another to put it into");
            }
            groups.forEach(GroupRule::checkName);
            if (!into.isEmpty()) {
                GroupRule.checkName(into);
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new TreeSet<>();
            groups.forEach(group -> keys.add("join:" + group));
            return keys;
        }

        @Override
        public String sentence() {
            String what = groups.size() == 1 ? "\"" + groups.getFirst() + "\"" : Entry.count(groups.size(), "group");
            return into.isEmpty() ? "Let " + what + " be apart again" : "Joined " + what + " into \"" + into + "\"";
        }
    }

    /** A pin: the engine divides this group by settings of its own; without them it is whole again. */
    record GroupSplit(String group, SplitBy by) implements GroupPin {
        public GroupSplit {
            GroupRule.checkName(group);
        }

        @Override
        public Set<String> touches() {
            return Set.of("split:" + group);
        }

        @Override
        public String sentence() {
            return by.equals(SplitBy.NOT)
                    ? "Left group \"" + group + "\" whole"
                    : "Split group \"" + group + "\" into groups of " + by.smallest() + " and more";
        }
    }

    /** A pin: the group has just these keywords, or takes and gives again. The texts are all spellings of its keywords. */
    record GroupLocked(String group, List<String> texts, boolean on) implements GroupPin {
        public GroupLocked {
            texts = List.copyOf(texts);
            GroupRule.checkName(group);
            if (on && texts.isEmpty()) {
                throw new Refusal("There is no group \"" + group + "\" to be locked at present");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("lock:" + group);
        }

        @Override
        public String sentence() {
            return (on ? "Locked group \"" : "Unlocked group \"") + group + "\"";
        }
    }

    /** How keywords are held to a group that is not the one they are placed in. */
    enum Held {
        /** Never in it. */
        BARRED,
        /** They may be in it again. */
        ALLOWED,
        /** In it beside their own, on purpose. */
        ALSO,
        /** No longer in it beside their own. */
        NOT_ALSO,
        /** Of the groups that they are in, in this one alone. */
        ALONE
    }

    /** Pins: how these keywords are held to a group. */
    record Membership(List<String> texts, List<String> also, String group, Held held) implements GroupPin {
        public Membership {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            GroupRule.checkName(group);
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts, also);
        }

        @Override
        public String sentence() {
            String named = GroupPins.named(texts);
            String in = " group \"" + group + "\"";
            return switch (held) {
                case BARRED -> "Barred " + named + " from" + in;
                case ALLOWED -> "Let " + named + " into" + in + " again";
                case ALSO -> "Put " + named + " also into" + in;
                case NOT_ALSO -> "Put " + named + " no longer into" + in;
                case ALONE -> "Kept " + named + " in" + in + " alone";
            };
        }
    }
}
