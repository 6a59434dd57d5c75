package smorgas.app.standin;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.figure.Figure;
import smorgas.core.source.FigureService;
import smorgas.core.text.Message;
import smorgas.core.text.Words;

/**
 * Makes figures up as services of this kind tell them: searches in steps, bids of which the high one is above the low one, an index
 * of competition; nothing of some keywords. It is always the same, takes its time, and fails now and then at the same questions.
 */
final class FigureStandIn implements FigureService {

    private static final int MOST = 200;
    private static final long MILLIS = 40;
    private static final int UNKNOWN_OF = 11;
    private static final int FAILS_OF = 97;
    private static final long[] STEPS = {10, 20, 30, 50, 70, 90, 140, 210, 320, 480, 720, 1_000, 1_600, 2_400, 3_600};

    /** The longer a keyword the fewer steps it reaches. */
    private static final int STEPS_A_WORD = 2;

    private static final long MICROS_OF_CENT = 10_000;
    private static final int MOST_CENTS = 180;
    private static final int MOST_COMPETITION = 101;

    @Override
    public String name() {
        return "Tollbeck (simulated)";
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public Limits limits() {
        return new Limits(0, 5_000);
    }

    @Override
    public int most() {
        return MOST;
    }

    @Override
    public List<Estimate> estimate(Question question) throws Fault, InterruptedException {
        Thread.sleep(MILLIS);
        if (draw(question.keywords().getFirst() + question.place(), FAILS_OF) == 0) {
            throw new Fault(Message.of("standin.figure-stand-in.too-much-do"));
        }
        return question.keywords().stream()
                .map(keyword -> known(keyword, question.place()))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<Estimate> known(String keyword, String place) {
        if (draw(keyword, UNKNOWN_OF) == 0) {
            return Optional.empty();
        }
        int steps = Math.max(1, STEPS.length - STEPS_A_WORD * Words.of(keyword).size());
        long searches = STEPS[draw(keyword + place, steps)];
        long low = MICROS_OF_CENT * (8 + draw("low " + keyword, MOST_CENTS));
        long high = low + MICROS_OF_CENT * (5 + draw("high " + keyword, MOST_CENTS));
        int competition = draw("competition " + keyword, MOST_COMPETITION);
        Map<Figure, Range> figures = new EnumMap<>(Figure.class);
        figures.put(Figure.SEARCHES, new Range(searches, searches));
        figures.put(Figure.LOW_BID, new Range(low, low));
        figures.put(Figure.HIGH_BID, new Range(high, high));
        figures.put(Figure.COMPETITION, new Range(competition, competition));
        return Optional.of(new Estimate(keyword, figures));
    }

    private static int draw(String of, int from) {
        return (int) (Integer.toUnsignedLong(of.hashCode() * 0x9E3779B9) % from);
    }
}
