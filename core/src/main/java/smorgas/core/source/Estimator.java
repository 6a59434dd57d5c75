package smorgas.core.source;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.gather.Estimation;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/**
 * Asks a planner for figures of keywords, in pieces as it takes them. What fails is tried again after growing pauses and then
 * listed; a planner that fails over and over is given up. It can be stopped at any moment: what came stays, and what was not
 * answered is known.
 */
public final class Estimator {

    /** Those that are asked for, in the order of the list. */
    private static final List<ColumnRole> ASKED =
            List.of(ColumnRole.SEARCHES, ColumnRole.LOW_BID, ColumnRole.HIGH_BID, ColumnRole.COMPETITION);

    private static final int MOST_FAILED = 200;
    /** Nothing that is searched for or bid is more than this, in parts of its unit. */
    private static final long MOST = 1_000_000_000_000_000L;

    private final Estimation wanted;
    private final FigureService planner;
    private final List<List<String>> pieces;
    private final Pauses pauses;
    private final BooleanSupplier stopped;
    private final Map<String, FigureService.Estimate> found = new LinkedHashMap<>();
    private final List<String> left = new ArrayList<>();
    private final List<SuggestionSettings.Failed> failed = new ArrayList<>();
    private volatile Progress progress;

    /**
     * How far it is.
     *
     * @param asked pieces that were answered or given up, of {@code of}
     * @param found keywords that it knew something of
     * @param failed pieces without an answer
     * @param told why it is not asked any more; empty while it is
     */
    public record Progress(int asked, int of, int found, int failed, Message told) {}

    /** What came of it. */
    public record Result(
            List<FigureService.Estimate> found, List<String> left, List<SuggestionSettings.Failed> failed) {

        /**
         * As a list to be gathered.
         *
         * @param simulated whether it says of each figure that it is made up, wherever the list goes
         */
        public MadeList list(boolean simulated) {
            List<MadeList.Column> columns = new ArrayList<>(List.of(MadeList.Column.KEYWORD));
            ASKED.forEach(role ->
                    columns.add(new MadeList.Column(role.figure().orElseThrow().fixedWord(), role)));
            if (simulated) {
                columns.add(new MadeList.Column("simulated", ColumnRole.SIMULATED));
            }
            return new MadeList(
                    columns, found.stream().map(one -> row(one, simulated)).toList());
        }

        private static List<String> row(FigureService.Estimate one, boolean simulated) {
            List<String> cells = new ArrayList<>(List.of(one.keyword()));
            for (ColumnRole role : ASKED) {
                Figure figure = role.figure().orElseThrow();
                FigureService.Range range = one.figures().get(figure);
                cells.add(
                        range == null
                                ? ""
                                : range.low() == range.high()
                                        ? written(range.low(), figure)
                                        : written(range.low(), figure) + "-" + written(range.high(), figure));
            }
            if (simulated) {
                cells.add(ASKED.stream()
                        .flatMap(role -> role.figure().stream())
                        .filter(one.figures()::containsKey)
                        .map(Figure::fixedWord)
                        .collect(Collectors.joining(", ")));
            }
            return cells;
        }

        /** With two decimals at most: three might be thousands to whoever reads it. */
        private static String written(long parts, Figure figure) {
            return BigDecimal.valueOf(parts)
                    .divide(BigDecimal.valueOf(figure.scale()), figure.scale() == 1 ? 0 : 2, RoundingMode.HALF_UP)
                    .toPlainString();
        }
    }

    /**
     * An estimator for these keywords.
     *
     * @param keywords the tidy texts, each once
     * @param stopped asked before every piece; true ends it
     */
    public Estimator(
            Estimation wanted, FigureService planner, List<String> keywords, Pauses pauses, BooleanSupplier stopped) {
        this.wanted = wanted;
        this.planner = planner;
        this.pieces = pieces(keywords, planner.most());
        this.pauses = pauses;
        this.stopped = stopped;
        this.progress = new Progress(0, pieces.size(), 0, 0, Message.NONE);
    }

    /** Keywords as a planner takes them: so many at once, in their order, and of all only the first. */
    public static List<List<String>> pieces(List<String> keywords, int most) {
        List<String> all = keywords.stream().distinct().limit(Estimation.MOST).toList();
        List<List<String>> pieces = new ArrayList<>();
        for (int from = 0; from < all.size(); from += most) {
            pieces.add(all.subList(from, Math.min(all.size(), from + most)));
        }
        return pieces;
    }

    /** How far it is; may be asked from any thread. */
    public Progress progress() {
        return progress;
    }

    /** Asks until all pieces are over or it is stopped. */
    public Result run() throws InterruptedException {
        int inARow = 0;
        try (Asking asking = new Asking(pauses, stopped)) {
            for (List<String> piece : pieces) {
                if (stopped.getAsBoolean() || inARow >= Asking.PATIENCE) {
                    left.addAll(piece);
                    continue;
                }
                Asking.Answer<List<FigureService.Estimate>> answer = asking.ask(
                        planner.limits(),
                        () -> planner.estimate(new FigureService.Question(piece, wanted.language(), wanted.place())));
                boolean faulty = !answer.fault().isEmpty();
                if (answer.stopped() || faulty) {
                    left.addAll(piece);
                }
                inARow = faulty ? inARow + 1 : 0;
                take(piece, answer, inARow >= Asking.PATIENCE);
                asking.rest(planner.limits());
            }
        }
        return new Result(List.copyOf(found.values()), List.copyOf(left), List.copyOf(failed));
    }

    private void take(List<String> piece, Asking.Answer<List<FigureService.Estimate>> answer, boolean givenUp) {
        boolean faulty = !answer.fault().isEmpty();
        if (faulty && failed.size() < MOST_FAILED) {
            failed.add(new SuggestionSettings.Failed(
                    planner.name(),
                    piece.size() > 1
                            ? Message.of("list.and-more", piece.getFirst(), piece.size() - 1)
                            : Message.verbatim(piece.getFirst()),
                    answer.fault()));
        }
        Set<String> asked = new HashSet<>(piece);
        for (FigureService.Estimate one : answer.came().orElse(List.of())) {
            clean(one, asked);
        }
        progress = new Progress(
                progress.asked() + (answer.stopped() ? 0 : 1),
                progress.of(),
                found.size(),
                progress.failed() + (faulty ? 1 : 0),
                givenUp ? Message.of("source.estimator.given-up", answer.fault()) : Message.NONE);
    }

    /** Whatever it answers: only of what it was asked, only what can be. */
    private void clean(FigureService.Estimate one, Set<String> asked) {
        String text = Tidy.of(one.keyword());
        Map<Figure, FigureService.Range> figures = new EnumMap<>(Figure.class);
        for (ColumnRole role : ASKED) {
            Figure figure = role.figure().orElseThrow();
            FigureService.Range range = one.figures().get(figure);
            if (range != null && range.low() >= 0 && range.low() <= range.high() && range.high() <= MOST) {
                figures.put(figure, range);
            }
        }
        if (asked.contains(text) && !figures.isEmpty()) {
            found.putIfAbsent(text, new FigureService.Estimate(text, figures));
        }
    }
}
