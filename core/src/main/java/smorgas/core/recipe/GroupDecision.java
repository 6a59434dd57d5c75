package smorgas.core.recipe;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * A decision of Group: what a hand decided, which outlasts every turn of a dial. A group is named by its key: its theme, or the
 * name of one that has none; a decision on a group that no dial brings about waits until one does.
 */
public sealed interface GroupDecision extends GroupEntry {

    /**
     * A decision: a hand put these keywords into a group, whatever the dials say.
     *
     * @param texts lead spellings, at least one
     * @param also the tidy texts of their other spellings
     * @param group its theme, or a name of its own; empty for no group
     */
    record KeywordsPlaced(List<String> texts, List<String> also, String group) implements GroupDecision {
        public KeywordsPlaced {
            texts = List.copyOf(texts);
            also = List.copyOf(also);
            if (texts.isEmpty()) {
                throw new Refusal("recipe.group-decision.nothing-placed");
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
        public Message sentence() {
            Message what = GroupsByHand.named(texts);
            return group.isEmpty()
                    ? Message.of("recipe.group-decision.took-out-all-groups", what)
                    : Message.of("recipe.group-decision.put-into-group", what, group);
        }
    }

    /**
     * A decision: the groups are these, whatever the dials say, and no others form; what came since waits. Without groups they form
     * again by themselves.
     *
     * @param left the tidy lead spellings of keywords that were in none
     */
    record GroupsAsTheyAre(List<Adopted> groups, List<String> left) implements GroupDecision {

        /** They form again by themselves. */
        public static final GroupsAsTheyAre NOT = new GroupsAsTheyAre(List.of(), List.of());

        /**
         * An adopted group.
         *
         * @param name as it is called; tidy, it tells the group apart
         * @param texts the tidy lead spellings of its keywords
         */
        public record Adopted(String name, List<String> texts) {
            public Adopted {
                GroupRule.checkName(name);
                texts = List.copyOf(texts);
            }
        }

        public GroupsAsTheyAre {
            groups = List.copyOf(groups);
            left = List.copyOf(left);
        }

        @Override
        public Set<String> touches() {
            return Set.of("groups");
        }

        @Override
        public Message sentence() {
            return groups.isEmpty()
                    ? Message.of("recipe.group-decision.let-groups-form-again")
                    : Message.of("recipe.group-decision.adopted-group", groups.size());
        }
    }

    /** A decision: no group forms on this theme, or one may again. */
    record ThemeRemoved(String theme, boolean gone) implements GroupDecision {
        public ThemeRemoved {
            GroupRule.checkName(theme);
        }

        @Override
        public Set<String> touches() {
            return Set.of("theme:" + theme);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-decision.removed-theme", gone, theme);
        }
    }

    /** A decision: a group has this name; the empty one gives it the name of its theme back. */
    record GroupNamed(String theme, String name) implements GroupDecision {
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
        public Message sentence() {
            return name.isEmpty()
                    ? Message.of("recipe.group-decision.let-group-named-theme", theme)
                    : Message.of("recipe.group-decision.named-group", theme, name);
        }
    }

    /**
     * Decisions: groups form on these themes before the engine chooses, of the keywords that have all their words and that no
     * hand has placed; the longer themes first. Or they need no longer form.
     */
    record ThemesMade(List<String> themes, boolean on) implements GroupDecision {
        public ThemesMade {
            themes = List.copyOf(themes);
            if (themes.isEmpty()) {
                throw new Refusal("recipe.group-decision.theme-chosen");
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
        public Message sentence() {
            Message what = Entry.oneOrCount(themes, "count.themes");
            return on
                    ? Message.of("recipe.group-decision.made-group", what, themes.size())
                    : Message.of("recipe.group-decision.longer-hold-on", what);
        }
    }

    /** Decisions: the keywords of these groups go into another; {@value GroupsByHand#NO_GROUP} leaves them apart again. */
    record GroupsJoined(List<String> groups, String into) implements GroupDecision {
        public GroupsJoined {
            groups = List.copyOf(groups);
            if (groups.isEmpty() || groups.contains(into)) {
                throw new Refusal("recipe.group-decision.choose-group-another-put");
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
        public Message sentence() {
            Message what = Entry.oneOrCount(groups, "count.groups");
            return into.isEmpty()
                    ? Message.of("recipe.group-decision.let-apart-again", what)
                    : Message.of("recipe.group-decision.joined-into", what, into);
        }
    }

    /** A decision: the engine divides this group by settings of its own; without them it is whole again. */
    record GroupSplit(String group, SplitBy by) implements GroupDecision {
        public GroupSplit {
            GroupRule.checkName(group);
        }

        @Override
        public Set<String> touches() {
            return Set.of("split:" + group);
        }

        @Override
        public Message sentence() {
            return by.equals(SplitBy.NOT)
                    ? Message.of("recipe.group-decision.left-group-whole", group)
                    : Message.of("recipe.group-decision.split-group-into-groups", group, by.smallest());
        }
    }

    /** A decision: the group has just these keywords, or takes and gives again. The texts are all spellings of its keywords. */
    record GroupLocked(String group, List<String> texts, boolean on) implements GroupDecision {
        public GroupLocked {
            texts = List.copyOf(texts);
            GroupRule.checkName(group);
            if (on && texts.isEmpty()) {
                throw new Refusal("recipe.group-decision.group-locked-present", group);
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("lock:" + group);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-decision.locked-group", on, group);
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

    /** Decisions: how these keywords are held to a group. */
    record Membership(List<String> texts, List<String> also, String group, Held held) implements GroupDecision {
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
        public Message sentence() {
            Message named = GroupsByHand.named(texts);
            String in = " group \"" + group + "\"";
            return switch (held) {
                case BARRED -> Message.of("recipe.group-decision.barred-from", named, in);
                case ALLOWED -> Message.of("recipe.group-decision.let-into-again", named, in);
                case ALSO -> Message.of("recipe.group-decision.put-also-into", named, in);
                case NOT_ALSO -> Message.of("recipe.group-decision.put-longer-into", named, in);
                case ALONE -> Message.of("recipe.group-decision.kept-alone", named, in);
            };
        }
    }
}
