package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Words;

/** An entry about how keywords come into groups; decisions of a hand are {@link GroupDecision}s. */
public sealed interface GroupEntry extends Entry
        permits GroupEntry.WordsIgnored,
                GroupEntry.WordsSame,
                GroupEntry.OffersRefused,
                GroupEntry.GroupSettingsChosen,
                GroupEntry.GroupsAdopted,
                GroupEntry.AlternativeKept,
                GroupEntry.AlternativeDropped,
                GroupEntry.GroupRuleSet,
                GroupEntry.GroupRuleRemoved,
                GroupEntry.GroupRuleMoved,
                GroupDecision {
    /** Words were ignored, or are heard again. */
    record WordsIgnored(List<String> words, boolean ignored) implements GroupEntry {
        public WordsIgnored {
            words = List.copyOf(words);
            if (words.isEmpty()) {
                throw new Refusal("recipe.group-entry.word-chosen");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>(Set.of("groups"));
            words.forEach(word -> keys.add("ignored:" + word));
            return keys;
        }

        @Override
        public Message sentence() {
            Message what = Entry.oneOrCount(words, "count.words");
            return Message.of("recipe.group-entry.ignored", ignored, what);
        }
    }

    /**
     * Words mean the same here, or each means something of its own, or counts again as a shipped list says.
     *
     * @param sets tidy words and phrases; those of one set mean the same
     */
    record WordsSame(List<List<String>> sets, Way way) implements GroupEntry {

        /** What was said of them. */
        public enum Way {
            SAME,
            APART,
            AS_SHIPPED
        }

        /** The most words of a phrase. */
        private static final int LONGEST = 5;

        private static final int MOST = 50;
        private static final int MOST_SETS = 2_000;

        public WordsSame {
            sets = sets.stream().map(List::copyOf).toList();
            int least = way == Way.SAME ? 2 : 1;
            if (sets.isEmpty()
                    || sets.size() > MOST_SETS
                    || sets.stream().anyMatch(set -> set.size() < least || set.size() > MOST)) {
                throw new Refusal("recipe.group-entry.name-words-mean-same", MOST);
            }
            sets.stream().flatMap(List::stream).forEach(word -> {
                int count = Words.of(word).size();
                if (count < 1 || count > LONGEST || word.length() > GroupRule.LONGEST_NAME) {
                    throw new Refusal("recipe.group-entry.word-phrase-means-same", LONGEST, GroupRule.LONGEST_NAME);
                }
            });
        }

        /** One set. */
        public static WordsSame of(Way way, String... words) {
            return new WordsSame(List.of(List.of(words)), way);
        }

        private List<String> words() {
            return sets.stream().flatMap(List::stream).toList();
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>(Set.of("groups"));
            words().forEach(word -> keys.add("same:" + word));
            return keys;
        }

        @Override
        public Message sentence() {
            Message what = sets.size() == 1
                    ? Message.verbatim("\"" + String.join("\", \"", sets.getFirst()) + "\"")
                    : Message.of("recipe.group-entry.set-words", sets.size());
            boolean one = words().size() == 1;
            return switch (way) {
                case SAME -> Message.of("recipe.group-entry.count-one-word-groups", what, sets.size());
                case APART -> Message.of("recipe.group-entry.counts-word-own-groups", what, one);
                case AS_SHIPPED -> Message.of("recipe.group-entry.counts-again-any-trade", what, one);
            };
        }
    }

    /**
     * Offers that somebody does not want, which are made no more; or are made again.
     *
     * @param offers what tells each apart
     * @param on whether they are refused
     */
    record OffersRefused(List<String> offers, boolean on) implements GroupEntry {

        private static final int LONGEST_OFFER = 2_000;

        public OffersRefused {
            offers = List.copyOf(offers);
            if (offers.isEmpty()) {
                throw new Refusal("recipe.group-entry.offer-refused");
            }
            if (offers.stream().anyMatch(offer -> offer.length() > LONGEST_OFFER)) {
                throw new Refusal("recipe.group-entry.offer-more-than-characters", LONGEST_OFFER);
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>();
            offers.forEach(offer -> keys.add("offer:" + offer));
            return keys;
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-entry.refused-offer-about-groups", on, offers.size());
        }
    }

    /** The dials of Group were set. */
    record GroupSettingsChosen(GroupSettings settings) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("groups");
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-entry.set-groups", settings.method().told());
        }
    }

    /** The dials of Group were set, and the groups that they gave stay as they are. */
    record GroupsAdopted(GroupSettings settings, GroupDecision.GroupsAsTheyAre adopted) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("groups");
        }

        @Override
        public Message sentence() {
            return Message.of(
                    "recipe.group-entry.adopted-group",
                    new GroupSettingsChosen(settings).sentence(),
                    adopted.groups().size());
        }
    }

    /** Settings of Group were kept under a name, to be looked at beside others; nothing else changes. */
    record AlternativeKept(String name, GroupSettings settings) implements GroupEntry {
        public AlternativeKept {
            GroupRule.checkName(name);
        }

        @Override
        public Set<String> touches() {
            return Set.of("alternative:" + name);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-entry.kept-alternative", name);
        }
    }

    /** An alternative is no longer kept. */
    record AlternativeDropped(String name) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("alternative:" + name);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-entry.forgot-alternative", name);
        }
    }

    /** A rule that makes a group was put below the others, or in the place of the one that had its number. */
    record GroupRuleSet(GroupRule rule) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule:" + rule.number());
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-entry.rule-groups", rule.sentence());
        }
    }

    /** A rule that makes a group was taken away. */
    record GroupRuleRemoved(int number) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule:" + number);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-entry.took-away-rule-groups", number);
        }
    }

    /** A rule that makes a group was moved to a place among the others, counted from 0; past the end means the end. */
    record GroupRuleMoved(int number, int place) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule order");
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.group-entry.moved-rule-groups-place", number, place + 1);
        }
    }
}
