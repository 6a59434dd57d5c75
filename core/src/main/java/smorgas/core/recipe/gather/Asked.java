package smorgas.core.recipe.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import smorgas.core.text.Refusal;

/**
 * What a tool of ours was asked for when it made a basket, so that it can be asked again, and what there is to tell of it. Another
 * tool is a record here, with its name among the {@link #KINDS}; its work in {@code core.source}; its page, with a link in Gather.
 */
public sealed interface Asked {

    /** What of faults is told. */
    int FAULTS = 5;

    /** Nothing was asked. */
    Asked NOTHING = new Nothing();

    /** The persisted name of each kind. */
    Map<String, Class<? extends Asked>> KINDS = Map.of(
            "nothing", Nothing.class,
            "pairing", Paired.class,
            "log", Logged.class,
            "foraging", Foraged.class,
            "gleaning", Gleaned.class,
            "brainstorm", Thought.class,
            "sentences", Sentences.class,
            "estimates", Estimated.class);

    /** The last part of the address of the tool's page; empty if no tool was asked. */
    String tool();

    /** What a link there says, for who wants it otherwise; empty if no tool was asked. */
    String otherwise();

    /** What came of it, in sentences. */
    default List<String> told() {
        return List.of();
    }

    /** Whether a part was not asked yet. */
    default boolean rest() {
        return false;
    }

    /** Why the same cannot be asked once more, without a full stop; empty if it can. */
    default String notAgain() {
        return "The same texts come to the same again";
    }

    /** Whether what came brings keywords, rather than only telling about those that others bring. */
    default boolean brings() {
        return true;
    }

    /** Whether its figures are made up, and to be marked wherever they show. */
    default boolean madeUp() {
        return false;
    }

    /** Nothing: the list came from elsewhere. */
    record Nothing() implements Asked {
        @Override
        public String tool() {
            return "";
        }

        @Override
        public String otherwise() {
            return "";
        }

        @Override
        public String notAgain() {
            return "No tool has made it";
        }
    }

    /** Word lists were multiplied. */
    record Paired(Pairing pairing) implements Asked {
        @Override
        public String tool() {
            return "pairing";
        }

        @Override
        public String otherwise() {
            return "Multiply the same lists again";
        }

        @Override
        public String notAgain() {
            return "Word lists multiplied come to the same again";
        }
    }

    /** Access logs were counted; the logs are not kept, so that other settings need them again. */
    record Logged(LogReading reading, LogReading.Counted counted) implements Asked {
        @Override
        public String tool() {
            return "logs";
        }

        @Override
        public String otherwise() {
            return "Count a log in the same way";
        }

        @Override
        public List<String> told() {
            return List.of(counted.told() + ".");
        }

        @Override
        public String notAgain() {
            return "The log is not kept: count it again";
        }
    }

    /**
     * Sources were asked for suggestions.
     *
     * @param simulated whether some of them only stand in for services
     * @param left what was not asked yet when it was stopped; empty if all was
     * @param failed what no answer came to
     */
    record Foraged(Foraging foraging, boolean simulated, List<Foraging.Left> left, List<Foraging.Failed> failed)
            implements Asked {
        public Foraged {
            left = List.copyOf(left);
            failed = List.copyOf(failed);
        }

        @Override
        public String tool() {
            return "forage";
        }

        @Override
        public String otherwise() {
            return "Ask otherwise";
        }

        @Override
        public List<String> told() {
            List<String> seeds = foraging.seeds();
            List<String> told = new ArrayList<>(List.of("Asked at " + String.join(" and ", foraging.sources()) + " for "
                    + (seeds.size() == 1
                            ? "the seed " + seeds.getFirst()
                            : count(seeds.size(), "seed", "seeds") + ", " + seeds.getFirst() + " first")
                    + ", " + count(foraging.rounds(), "round", "rounds") + "."
                    + (simulated ? " Simulated: nobody has searched for these." : "")));
            if (!left.isEmpty()) {
                told.add(count(left.size(), "query was", "queries were") + " not asked yet.");
            }
            told.addAll(faults(failed));
            return told;
        }

        @Override
        public boolean rest() {
            return !left.isEmpty();
        }

        @Override
        public String notAgain() {
            return "";
        }
    }

    /**
     * Phrases were taken out of pages.
     *
     * @param pages that were read
     * @param problems pages that could not be, each a sentence
     */
    record Gleaned(Gleaning gleaning, int pages, List<String> problems) implements Asked {
        public Gleaned {
            problems = List.copyOf(problems);
        }

        @Override
        public String tool() {
            return "glean";
        }

        @Override
        public String otherwise() {
            return "Glean otherwise";
        }

        @Override
        public List<String> told() {
            String where = gleaning.addresses().isEmpty() ? "" : ": " + String.join(", ", gleaning.addresses());
            return Stream.concat(
                            Stream.of("Phrases of " + count(pages, "page", "pages") + where + "."),
                            problems.stream().limit(FAULTS))
                    .toList();
        }

        @Override
        public String notAgain() {
            return gleaning.addresses().isEmpty() ? "The pages are not kept: read them again" : "";
        }
    }

    /** Phrases were thought up around what somebody wrote, and judged. */
    record Thought(Brainstorm brainstorm) implements Asked {
        @Override
        public String tool() {
            return "brainstorm";
        }

        @Override
        public String otherwise() {
            return "Think of more around the same texts";
        }
    }

    /**
     * A text was read; each sentence of it is a keyword.
     *
     * @param questions whether only questions were taken
     * @param fewest the least words of a sentence, from 1
     * @param most the most words, up to {@value #MOST_WORDS}
     * @param left how many sentences were left out
     */
    record Sentences(boolean questions, int fewest, int most, int left) implements Asked {

        public static final int MOST_WORDS = 20;

        /** What is usual. */
        public static final Sentences USUAL = new Sentences(false, 2, 10, 0);

        public Sentences {
            if (fewest < 1 || most > MOST_WORDS || fewest > most) {
                throw new Refusal("A sentence has from 1 to " + MOST_WORDS + " words, not " + fewest + " to " + most);
            }
        }

        @Override
        public String tool() {
            return "sentences";
        }

        @Override
        public String otherwise() {
            return "Read a text in the same way";
        }

        @Override
        public List<String> told() {
            return List.of((questions ? "Questions" : "Sentences") + " of " + fewest + " to " + most
                    + " words of a text; " + count(left, "other sentence was", "other sentences were") + " left out.");
        }

        @Override
        public String notAgain() {
            return "The text is not kept: read it again";
        }
    }

    /**
     * A planner was asked for figures of keywords that had none. The basket only tells about them.
     *
     * @param simulated whether the planner only stands in for a service, so that its figures are marked wherever they show
     * @param left keywords that it was not asked for yet, or did not answer; empty if none
     * @param failed what no answer came to
     */
    record Estimated(Estimation estimation, boolean simulated, List<String> left, List<Foraging.Failed> failed)
            implements Asked {
        public Estimated {
            left = List.copyOf(left);
            failed = List.copyOf(failed);
        }

        @Override
        public String tool() {
            return "figures";
        }

        @Override
        public String otherwise() {
            return "Ask for more figures";
        }

        @Override
        public List<String> told() {
            List<String> told = new ArrayList<>(List.of("Asked at " + estimation.planner()
                    + (estimation.place().isEmpty() ? "." : " for " + estimation.place() + ".")
                    + (simulated ? " Simulated: nobody has measured these." : "")));
            if (!left.isEmpty()) {
                told.add(count(left.size(), "keyword was", "keywords were") + " not answered yet.");
            }
            told.addAll(faults(failed));
            return told;
        }

        @Override
        public boolean rest() {
            return !left.isEmpty();
        }

        @Override
        public String notAgain() {
            return "Ask for those that lack figures now";
        }

        @Override
        public boolean brings() {
            return false;
        }

        @Override
        public boolean madeUp() {
            return simulated;
        }
    }

    private static String count(int some, String one, String many) {
        return String.format(Locale.ENGLISH, "%,d %s", some, some == 1 ? one : many);
    }

    private static List<String> faults(List<Foraging.Failed> failed) {
        if (failed.isEmpty()) {
            return List.of();
        }
        String some = failed.stream()
                .limit(FAULTS)
                .map(fault -> "\"" + fault.query() + "\" at " + fault.source() + ", " + fault.why())
                .collect(Collectors.joining("; "));
        int more = failed.size() - FAULTS;
        return List.of("Without an answer: " + some
                + (more > 0 ? "; and " + String.format(Locale.ENGLISH, "%,d", more) + " more." : "."));
    }
}
