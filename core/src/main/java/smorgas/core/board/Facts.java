package smorgas.core.board;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.value.Intent;
import smorgas.core.serve.Csv;
import smorgas.core.sift.Statuses;
import smorgas.core.text.Message;
import smorgas.core.value.EstimatedValue;
import smorgas.core.value.Priority;

/** What each {@link Fact} is for the keywords of a board. What an act makes old is worked out when it is asked for. */
public final class Facts {

    private final Board board;
    private final Keywords keywords;
    private @Nullable Map<Integer, Set<String>> notes;

    Facts(Board board) {
        this.board = board;
        this.keywords = board.keywords();
    }

    /** Whether there is anything to tell of any keyword. */
    public boolean any(Fact fact) {
        return switch (fact) {
            case Figure figure -> keywords.figure(figure).isPresent();
            case Computed.TAGS -> !board.statuses().tags().all().isEmpty();
            case Computed.EXPECTED_CLICKS,
                    Computed.EXPECTED_CONVERSIONS,
                    Computed.EXPECTED_COST,
                    Computed.ESTIMATED_VALUE,
                    Computed.RETURN -> board.recipe().valuing().assumes();
            case Computed.PRIORITY, Computed.PRIORITY_SCORE ->
                board.recipe().valuing().priority().asks();
            case Computed.SIMULATED -> keywords.simulated();
            case Computed.NOTE -> !board.recipe().notes().keywords().isEmpty();
            case Computed other -> true;
        };
    }

    /** What a table for reading always has a column of, if only an empty one. */
    private static final Set<Computed> EVER =
            Set.of(Computed.KEYWORD, Computed.STATUS, Computed.REASON, Computed.BASKETS, Computed.TAGS);

    /** Figures that tables for reading had no column of once, so that one without a figure would be a change of old ones. */
    private static final Set<Figure> LATER = Set.of(Figure.VISITS, Figure.GOALS, Figure.QUALITY);

    /** Those that a table for reading has a column of: what came later has one only where it tells anything. */
    public List<Fact> exported() {
        return Fact.all(Fact.Use.EXPORT).stream()
                .filter(fact -> fact instanceof Figure figure && !LATER.contains(figure)
                        || fact instanceof Computed one && EVER.contains(one)
                        || any(fact))
                .toList();
    }

    /**
     * A fact that is a number, for all keywords.
     *
     * @throws IllegalArgumentException if it is none
     */
    public Numbers numbers(Fact fact) {
        return switch (fact) {
            case Computed.TIGHTNESS -> Numbers.of(this::tightness);
            case Computed.EXPECTED_CLICKS -> board.estimatedValue().numbers(EstimatedValue.Part.CLICKS);
            case Computed.EXPECTED_CONVERSIONS -> board.estimatedValue().numbers(EstimatedValue.Part.CONVERSIONS);
            case Computed.EXPECTED_COST -> board.estimatedValue().numbers(EstimatedValue.Part.COST);
            case Computed.ESTIMATED_VALUE -> board.estimatedValue().numbers(EstimatedValue.Part.VALUE);
            case Computed.RETURN -> board.estimatedValue().numbers(EstimatedValue.Part.RETURN);
            case Computed.PRIORITY_SCORE -> board.priority().scores();
            default -> keywords.numbers(fact);
        };
    }

    private long tightness(int keyword) {
        Grouping grouping = board.groups().grouping();
        return grouping.groupOf(keyword) < 0 ? FigureColumn.UNKNOWN : Math.round(100 * grouping.tightness(keyword));
    }

    /**
     * A fact that is texts, for one keyword; empty if there is nothing to tell.
     *
     * @throws IllegalArgumentException if it is a number, or is read from the lists
     */
    public List<String> texts(Fact fact, int keyword) {
        return telling(fact).apply(keyword);
    }

    /**
     * A fact that is texts, for one keyword, as people read it; empty if there is nothing to tell.
     *
     * @throws IllegalArgumentException as {@link #texts}
     */
    public List<Message> said(Fact fact, int keyword) {
        return switch (fact) {
            case Computed.STATUS -> List.of(board.statuses().of(keyword).label());
            case Computed.REASON -> List.of(board.statuses().reason(keyword).sentence());
            case Computed.INTENT ->
                board.intents().seen(keyword).stream().map(Intent::label).toList();
            case Computed.SIMULATED ->
                keywords.simulated(keyword).stream().map(Figure::word).toList();
            default -> texts(fact, keyword).stream().map(Message::verbatim).toList();
        };
    }

    /** What tells the texts of a fact, found out once for all keywords. */
    private IntFunction<List<String>> telling(Fact fact) {
        return switch (fact) {
            case Computed.KEYWORD -> keyword -> List.of(keywords.text(keyword));
            case Computed.STATUS -> {
                Statuses statuses = board.statuses();
                yield keyword -> List.of(statuses.of(keyword).fixedName());
            }
            case Computed.REASON -> {
                Statuses statuses = board.statuses();
                yield keyword -> List.of(statuses.reason(keyword).sentence().toString());
            }
            case Computed.BASKETS -> keywords::basketNames;
            case Computed.TAGS -> board.statuses().tags()::of;
            case Computed.INTENT -> board.intents()::told;
            case Computed.PRIORITY -> {
                Priority priority = board.priority();
                yield keyword -> Stream.of(priority.named(keyword))
                        .filter(name -> !name.isEmpty())
                        .toList();
            }
            case Computed.NOTE -> {
                Map<Integer, Set<String>> noted = notes();
                yield keyword -> List.copyOf(noted.getOrDefault(keyword, Set.of()));
            }
            case Computed.SIMULATED ->
                keyword -> keywords.simulated(keyword).stream()
                        .map(Figure::fixedWord)
                        .toList();
            case Computed.GROUP -> this::group;
            case Computed other -> throw new IllegalArgumentException("no texts: " + other);
            case Figure figure -> throw new IllegalArgumentException("no texts: " + figure);
        };
    }

    /** By keyword, what was written beside it; several were folded into one, and no note is lost. */
    private Map<Integer, Set<String>> notes() {
        if (notes == null) {
            Map<Integer, Set<String>> found = new HashMap<>();
            board.recipe().notes().keywords().forEach((text, note) -> keywords.meant(text)
                    .ifPresent(keyword -> found.computeIfAbsent(keyword, none -> new LinkedHashSet<>())
                            .add(note)));
            notes = found;
        }
        return notes;
    }

    private List<String> group(int keyword) {
        int group = board.groups().grouping().groupOf(keyword);
        return group >= 0
                ? List.of(board.groups().name(group))
                : group == Grouping.UNGROUPED ? List.of("ungrouped") : List.of();
    }

    /** As a cell of a table for reading: several texts with bars between them, a range with a hyphen. */
    public String exported(Fact fact, int keyword) {
        return exporting(fact).apply(keyword);
    }

    /** What writes such cells of a fact, for whoever writes many. */
    public IntFunction<String> exporting(Fact fact) {
        if (!fact.number()) {
            IntFunction<List<String>> telling = telling(fact);
            return keyword -> Csv.texts(telling.apply(keyword));
        }
        Numbers numbers = numbers(fact);
        long scale = fact.scale();
        return keyword -> Csv.number(numbers, scale, keyword);
    }
}
