package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.text.Refusal;
import smorgas.core.text.Words;

/** An entry about how keywords come into groups; pins of a hand are {@link GroupPin}s. */
public sealed interface GroupEntry extends Entry
        permits GroupEntry.WordsMuted,
                GroupEntry.WordsSame,
                GroupEntry.OffersRefused,
                GroupEntry.GroupSettingsChosen,
                GroupEntry.GroupsAdopted,
                GroupEntry.AlternativeKept,
                GroupEntry.AlternativeDropped,
                GroupEntry.GroupRuleSet,
                GroupEntry.GroupRuleRemoved,
                GroupEntry.GroupRuleMoved,
                GroupPin {
    /** Words were muted, or are heard again. */
    record WordsMuted(List<String> words, boolean muted) implements GroupEntry {
        public WordsMuted {
            words = List.copyOf(words);
            if (words.isEmpty()) {
                throw new Refusal("No word was chosen");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>(Set.of("groups"));
            words.forEach(word -> keys.add("muted:" + word));
            return keys;
        }

        @Override
        public String sentence() {
            String what = words.size() == 1 ? "\"" + words.getFirst() + "\"" : Entry.count(words.size(), "word");
            return (muted ? "Muted " : "No longer muted ") + what;
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
                throw new Refusal("Name the words that mean the same: 2 to " + MOST + " of them");
            }
            sets.stream().flatMap(List::stream).forEach(word -> {
                int count = Words.of(word).size();
                if (count < 1 || count > LONGEST || word.length() > GroupRule.LONGEST_NAME) {
                    throw new Refusal("A word or phrase that means the same has up to " + LONGEST + " words and "
                            + GroupRule.LONGEST_NAME + " characters");
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
        public String sentence() {
            String what = sets.size() == 1
                    ? "\"" + String.join("\", \"", sets.getFirst()) + "\""
                    : Entry.count(sets.size(), "set") + " of words";
            boolean one = words().size() == 1;
            return switch (way) {
                case SAME -> what + " count as one word in groups" + (sets.size() == 1 ? "" : ", each set by itself");
                case APART ->
                    what + (one ? " counts as a word of its own" : " count as words of their own") + " in groups";
                case AS_SHIPPED -> what + (one ? " counts" : " count") + " again as in any trade";
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
                throw new Refusal("No offer was refused");
            }
            if (offers.stream().anyMatch(offer -> offer.length() > LONGEST_OFFER)) {
                throw new Refusal("There is no offer of more than " + LONGEST_OFFER + " characters");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>();
            offers.forEach(offer -> keys.add("offer:" + offer));
            return keys;
        }

        @Override
        public String sentence() {
            return (on ? "Refused " : "Asked again for ") + Entry.count(offers.size(), "offer") + " about groups";
        }
    }

    /** The dials of Group were set. */
    record GroupSettingsChosen(GroupSettings settings) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("groups");
        }

        @Override
        public String sentence() {
            return "Set the groups to " + settings.method().told();
        }
    }

    /** The dials of Group were set, and the groups that they gave stay as they are. */
    record GroupsAdopted(GroupSettings settings, GroupPin.GroupsSettled settled) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("groups");
        }

        @Override
        public String sentence() {
            return new GroupSettingsChosen(settings).sentence() + ", and settled "
                    + Entry.count(settled.groups().size(), "group");
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
        public String sentence() {
            return "Kept the alternative \"" + name + "\"";
        }
    }

    /** An alternative is no longer kept. */
    record AlternativeDropped(String name) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("alternative:" + name);
        }

        @Override
        public String sentence() {
            return "Forgot the alternative \"" + name + "\"";
        }
    }

    /** A rule that makes a group was put below the others, or in the place of the one that had its number. */
    record GroupRuleSet(GroupRule rule) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule:" + rule.number());
        }

        @Override
        public String sentence() {
            return "Rule for groups: " + rule.sentence();
        }
    }

    /** A rule that makes a group was taken away. */
    record GroupRuleRemoved(int number) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule:" + number);
        }

        @Override
        public String sentence() {
            return "Took away rule " + number + " for groups";
        }
    }

    /** A rule that makes a group was moved to a place among the others, counted from 0; past the end means the end. */
    record GroupRuleMoved(int number, int place) implements GroupEntry {
        @Override
        public Set<String> touches() {
            return Set.of("group rule order");
        }

        @Override
        public String sentence() {
            return "Moved rule " + number + " for groups to place " + (place + 1);
        }
    }
}
