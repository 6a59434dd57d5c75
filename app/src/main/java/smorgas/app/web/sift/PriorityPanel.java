package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.text.Message;
import smorgas.core.value.Priority;

/**
 * The weights of priority, and what they come to for what is on view.
 *
 * @param weights of each factor as it was written
 * @param intents the points of each intent
 * @param words as {@link PrioritySettings#words} reads them
 * @param classes as {@link PrioritySettings#classes} reads them
 * @param counts how many keywords on view are in each class; none if nothing is weighed
 */
record PriorityPanel(
        List<Field> weights, List<Field> intents, String words, String classes, List<Count> counts, boolean asks) {

    /** A number that can be written. */
    record Field(String name, Message label, String value) {}

    /**
     * A class with what is in it.
     *
     * @param sums known searches, and worth if something is assumed
     * @param samples some of the best of them
     */
    record Count(String name, String keywords, String share, Message sums, String samples) {}

    private static final int SAMPLES = 3;

    /** The panel of a board. */
    static PriorityPanel of(Board board, BitSet view) {
        PrioritySettings settings = board.recipe().valuing().priority();
        return new PriorityPanel(
                Stream.of(PrioritySettings.Factor.values())
                        .map(factor -> new Field(factor.name(), factor.label(), written(settings.weights(), factor)))
                        .toList(),
                Stream.of(Intent.values())
                        .map(intent -> new Field(intent.name(), intent.label(), written(settings.intents(), intent)))
                        .toList(),
                settings.words().entrySet().stream()
                        .map(word -> word.getKey() + ", " + word.getValue())
                        .collect(Collectors.joining("\n")),
                settings.classes().stream()
                        .map(one -> one.name() + ", " + one.share())
                        .collect(Collectors.joining("\n")),
                settings.asks() ? counts(board, board.priority(), settings, view) : List.of(),
                settings.asks());
    }

    private static <K> String written(Map<K, Integer> numbers, K key) {
        return numbers.containsKey(key) ? String.valueOf(numbers.get(key)) : "";
    }

    /** What is on view, by class. */
    static List<Count> counts(Board board, Priority priority, PrioritySettings settings, BitSet view) {
        int[] counts = priority.counts(view);
        Numbers scores = priority.scores();
        List<Count> told = new ArrayList<>();
        for (int i = 0; i < counts.length; i++) {
            boolean named = i < settings.classes().size();
            String name = named ? settings.classes().get(i).name() : "unknown";
            if (named || counts[i] > 0) {
                BitSet ofClass = priority.with(name);
                ofClass.and(view);
                told.add(new Count(
                        name,
                        Show.count(counts[i]),
                        Show.percent(counts[i] / (double) Math.max(1, view.cardinality())),
                        sums(board, ofClass),
                        best(ofClass, scores).stream()
                                .map(board.keywords()::text)
                                .collect(Collectors.joining(", "))));
            }
        }
        return told;
    }

    private static Message sums(Board board, BitSet some) {
        Numbers searches = board.keywords().numbers(Figure.SEARCHES);
        Message estimatedValue = board.recipe().valuing().assumes()
                ? Expected.of(board.estimatedValue().sum(some)).estimatedValue()
                : Message.NONE;
        Message searched = Show.searches(Searched.of(some, searches));
        return estimatedValue.isEmpty()
                ? searched
                : Message.of("sift.priority-panel.estimated-value", searched, estimatedValue);
    }

    /** The few of a class on view that score highest, without sorting them all. */
    private static List<Integer> best(BitSet ofClass, Numbers scores) {
        List<Integer> best = new ArrayList<>();
        for (int keyword = ofClass.nextSetBit(0); keyword >= 0; keyword = ofClass.nextSetBit(keyword + 1)) {
            int place = best.size();
            while (place > 0 && scores.low(best.get(place - 1)) < scores.low(keyword)) {
                place--;
            }
            if (place < SAMPLES) {
                best.add(place, keyword);
                if (best.size() > SAMPLES) {
                    best.removeLast();
                }
            }
        }
        return best;
    }

    /** How the priority of a keyword comes about, as a sentence; empty if nothing is weighed. */
    static Message how(Board board, int keyword) {
        PrioritySettings settings = board.recipe().valuing().priority();
        if (!settings.asks()) {
            return Message.NONE;
        }
        Priority priority = board.priority();
        List<Message> unknown = priority.unknown(keyword).stream()
                .map(PrioritySettings.Factor::word)
                .toList();
        Message left =
                unknown.isEmpty() ? Message.NONE : Message.of("sift.priority-panel.unknown-so-neither-good", unknown);
        if (priority.score(keyword).isEmpty()) {
            return Message.of("sift.priority-panel.priority-none-can-told");
        }
        Message by = Message.joined(
                "list.semicolon",
                priority.said(keyword).stream()
                        .map(said -> said(board, said, keyword))
                        .toList());
        return Message.of(
                "sift.priority-panel.priority-100",
                priority.named(keyword),
                Math.round(100 * priority.score(keyword).getAsDouble()),
                by,
                left);
    }

    private static Message said(Board board, Priority.Said said, int keyword) {
        String value = Show.percent(said.value());
        Message what =
                switch (said.factor()) {
                    case SEARCHES ->
                        Message.of(
                                "sift.priority-panel.searches-more-than",
                                Show.number(Figure.SEARCHES, board.facts().numbers(Figure.SEARCHES), keyword),
                                value);
                    case BID -> Message.of("sift.priority-panel.bid-higher-than", value);
                    case COMPETITION -> Message.of("sift.priority-panel.competition", value);
                    case DIFFICULTY -> Message.of("sift.priority-panel.difficulty", value);
                    case INTENT ->
                        Message.of(
                                "sift.priority-panel.good-can",
                                board.intents().lead(keyword).map(Intent::label).orElse(Message.NONE),
                                value);
                    case WORDS -> Message.of("sift.priority-panel.words-good-can", value);
                };
        return Message.of("sift.priority-panel.weight", what, said.weight());
    }
}
