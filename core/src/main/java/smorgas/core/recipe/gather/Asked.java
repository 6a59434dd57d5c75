package smorgas.core.recipe.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import smorgas.core.text.Message;
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
            "combine", Paired.class,
            "log", Logged.class,
            "suggestions", Suggested.class,
            "phrases", FoundPhrases.class,
            "brainstorm", Thought.class,
            "sentences", Sentences.class,
            "estimates", Estimated.class);

    /** The last part of the address of the tool's page; empty if no tool was asked. */
    String tool();

    /** What a link there says, for who wants it otherwise; empty if no tool was asked. */
    Message otherwise();

    /** What came of it, in sentences. */
    default List<Message> told() {
        return List.of();
    }

    /** Whether a part was not asked yet. */
    default boolean rest() {
        return false;
    }

    /** Why the same cannot be asked once more, without a full stop; empty if it can. */
    default Message notAgain() {
        return Message.of("gather.asked.same-texts-come-same");
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
        public Message otherwise() {
            return Message.NONE;
        }

        @Override
        public Message notAgain() {
            return Message.of("gather.asked.tool-made");
        }
    }

    /** Word lists were multiplied. */
    record Paired(CombineSettings combine) implements Asked {
        @Override
        public String tool() {
            return "combine";
        }

        @Override
        public Message otherwise() {
            return Message.of("gather.asked.multiply-same-lists-again");
        }

        @Override
        public Message notAgain() {
            return Message.of("gather.asked.word-lists-multiplied-come");
        }
    }

    /** Access logs were counted; the logs are not kept, so that other settings need them again. */
    record Logged(LogReading reading, LogReading.Counted counted) implements Asked {
        @Override
        public String tool() {
            return "logs";
        }

        @Override
        public Message otherwise() {
            return Message.of("gather.asked.count-log-same-way");
        }

        @Override
        public List<Message> told() {
            return List.of(Message.of("gather.asked.counted", counted.told()));
        }

        @Override
        public Message notAgain() {
            return Message.of("gather.asked.log-kept-count-again");
        }
    }

    /**
     * Sources were asked for suggestions.
     *
     * @param simulated whether some of them only stand in for services
     * @param left what was not asked yet when it was stopped; empty if all was
     * @param failed what no answer came to
     */
    record Suggested(
            SuggestionSettings suggestions,
            boolean simulated,
            List<SuggestionSettings.Left> left,
            List<SuggestionSettings.Failed> failed)
            implements Asked {
        public Suggested {
            left = List.copyOf(left);
            failed = List.copyOf(failed);
        }

        @Override
        public String tool() {
            return "suggestions";
        }

        @Override
        public Message otherwise() {
            return Message.of("gather.asked.ask-otherwise");
        }

        @Override
        public List<Message> told() {
            List<String> seeds = suggestions.seeds();
            List<Message> told = new ArrayList<>(List.of(Message.of(
                    "gather.asked.asked-round-simulated-nobody",
                    Message.joined(
                            "list.and",
                            suggestions.sources().stream()
                                    .map(Message::verbatim)
                                    .toList()),
                    (seeds.size() == 1
                            ? Message.of("gather.asked.the-seed", seeds.getFirst())
                            : Message.of("gather.asked.seed-first", seeds.size(), seeds.getFirst())),
                    suggestions.rounds(),
                    simulated)));
            if (!left.isEmpty()) {
                told.add(Message.of("gather.asked.query-asked-yet", left.size()));
            }
            told.addAll(faults(failed));
            return told;
        }

        @Override
        public boolean rest() {
            return !left.isEmpty();
        }

        @Override
        public Message notAgain() {
            return Message.NONE;
        }
    }

    /**
     * Phrases were taken out of pages.
     *
     * @param pages that were read
     * @param problems pages that could not be, each a sentence
     */
    record FoundPhrases(PhraseSettings phrases, int pages, List<Message> problems) implements Asked {
        public FoundPhrases {
            problems = List.copyOf(problems);
        }

        @Override
        public String tool() {
            return "phrases";
        }

        @Override
        public Message otherwise() {
            return Message.of("gather.asked.phrases-otherwise");
        }

        @Override
        public List<Message> told() {
            return Stream.concat(
                            Stream.of(
                                    phrases.addresses().isEmpty()
                                            ? Message.of("gather.asked.phrases-page", pages)
                                            : Message.of("gather.asked.phrases-page-from", pages, phrases.addresses())),
                            problems.stream().limit(FAULTS))
                    .toList();
        }

        @Override
        public Message notAgain() {
            return phrases.addresses().isEmpty() ? Message.of("gather.asked.pages-kept-read-them") : Message.NONE;
        }
    }

    /** Phrases were thought up around what somebody wrote, and judged. */
    record Thought(Brainstorm brainstorm) implements Asked {
        @Override
        public String tool() {
            return "brainstorm";
        }

        @Override
        public Message otherwise() {
            return Message.of("gather.asked.think-more-around-same");
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
                throw new Refusal("gather.asked.sentence-from-1-words", MOST_WORDS, fewest, most);
            }
        }

        @Override
        public String tool() {
            return "sentences";
        }

        @Override
        public Message otherwise() {
            return Message.of("gather.asked.read-text-same-way");
        }

        @Override
        public List<Message> told() {
            return List.of(Message.of("gather.asked.questions-words-text-other", questions, fewest, most, left));
        }

        @Override
        public Message notAgain() {
            return Message.of("gather.asked.text-kept-read-again");
        }
    }

    /**
     * A planner was asked for figures of keywords that had none. The basket only tells about them.
     *
     * @param simulated whether the planner only stands in for a service, so that its figures are marked wherever they show
     * @param left keywords that it was not asked for yet, or did not answer; empty if none
     * @param failed what no answer came to
     */
    record Estimated(
            Estimation estimation, boolean simulated, List<String> left, List<SuggestionSettings.Failed> failed)
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
        public Message otherwise() {
            return Message.of("gather.asked.ask-more-figures");
        }

        @Override
        public List<Message> told() {
            List<Message> told = new ArrayList<>(List.of(Message.of(
                    "gather.asked.asked-simulated-nobody-measured",
                    estimation.planner(),
                    estimation.place(),
                    simulated)));
            if (!left.isEmpty()) {
                told.add(Message.of("gather.asked.keyword-answered-yet", left.size()));
            }
            told.addAll(faults(failed));
            return told;
        }

        @Override
        public boolean rest() {
            return !left.isEmpty();
        }

        @Override
        public Message notAgain() {
            return Message.of("gather.asked.ask-those-lack-figures");
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

    private static List<Message> faults(List<SuggestionSettings.Failed> failed) {
        if (failed.isEmpty()) {
            return List.of();
        }
        List<Message> some = failed.stream()
                .limit(FAULTS)
                .map(fault -> Message.of("gather.asked.fault", fault.query(), fault.source(), fault.why()))
                .toList();
        Message told = Message.joined("list.semicolon", some);
        int more = failed.size() - FAULTS;
        return List.of(
                more > 0
                        ? Message.of("gather.asked.without-answer-more", told, more)
                        : Message.of("gather.asked.without-answer", told));
    }
}
