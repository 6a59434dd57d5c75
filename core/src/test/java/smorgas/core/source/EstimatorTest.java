package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.gather.Estimation;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.text.Message;

/** Figures asked for in pieces, of planners that fail, answer nonsense, or are stopped. */
class EstimatorTest {

    private static final Estimation WANTED = new Estimation("one", "en", "Brackenmoor");

    private interface Says {
        List<FigureService.Estimate> to(FigureService.Question question) throws Service.Fault;
    }

    private record Made(Says says) implements FigureService {
        @Override
        public String name() {
            return "one";
        }

        @Override
        public boolean simulated() {
            return true;
        }

        @Override
        public Limits limits() {
            return new Limits(7, 1_000);
        }

        @Override
        public int most() {
            return 3;
        }

        @Override
        public List<Estimate> estimate(Question question) throws Fault {
            return says.to(question);
        }
    }

    private final List<Long> rests = new ArrayList<>();

    private Estimator.Result run(List<String> keywords, Says says) throws InterruptedException {
        return new Estimator(WANTED, new Made(says), keywords, rests::add, () -> false).run();
    }

    private static FigureService.Estimate searched(String keyword, long low, long high) {
        return new FigureService.Estimate(keyword, Map.of(Figure.SEARCHES, new FigureService.Range(low, high)));
    }

    private static List<String> keywords(int count) {
        return IntStream.range(0, count).mapToObj(i -> "hive " + i).toList();
    }

    @Test
    void everyKeywordIsAskedOnceInPiecesAsThePlannerTakesThem() throws InterruptedException {
        List<FigureService.Question> questions = new ArrayList<>();
        Estimator.Result result = run(List.of("a", "b", "a", "c", "d", "e"), question -> {
            questions.add(question);
            return question.keywords().stream()
                    .map(keyword -> searched(keyword, 10, 10))
                    .toList();
        });
        assertThat(questions)
                .extracting(FigureService.Question::keywords)
                .containsExactly(List.of("a", "b", "c"), List.of("d", "e"));
        assertThat(questions)
                .allSatisfy(question -> assertThat(question.place()).isEqualTo("Brackenmoor"));
        assertThat(result.found()).hasSize(5);
        assertThat(result.left()).isEmpty();
        assertThat(rests).as("the pause it wants").containsExactly(7L, 7L);
    }

    @Test
    void whatFailsIsTriedAgainThenListedAndStaysToBeAsked() throws InterruptedException {
        AtomicInteger tries = new AtomicInteger();
        Estimator.Result result = run(keywords(9), question -> {
            if (question.keywords().contains("hive 4")) {
                tries.incrementAndGet();
                throw new Service.Fault(Message.verbatim("it has too much to do"));
            }
            return question.keywords().stream().map(k -> searched(k, 10, 20)).toList();
        });
        assertThat(tries).hasValue(4);
        assertThat(result.found()).hasSize(6);
        assertThat(result.left()).containsExactly("hive 3", "hive 4", "hive 5");
        assertThat(result.failed())
                .containsExactly(new SuggestionSettings.Failed(
                        "one", Message.of("list.and-more", "hive 3", 2), Message.verbatim("it has too much to do")));
    }

    @Test
    void onePlannerThatOnlyFailsIsGivenUpAndAStopKeepsWhatCame() throws InterruptedException {
        AtomicInteger asked = new AtomicInteger();
        Estimator.Result failing = run(keywords(60), question -> {
            asked.incrementAndGet();
            throw new IllegalStateException("nonsense");
        });
        assertThat(asked).as("five pieces, four times each").hasValue(20);
        assertThat(failing.left()).hasSize(60);
        assertThat(failing.failed().getFirst().why()).hasToString("it answered nothing that can be understood");

        List<FigureService.Estimate> came = new ArrayList<>();
        Estimator.Result stopped = new Estimator(
                        WANTED,
                        new Made(question -> {
                            question.keywords().forEach(k -> came.add(searched(k, 10, 10)));
                            return List.copyOf(came);
                        }),
                        keywords(9),
                        rests::add,
                        () -> came.size() >= 6)
                .run();
        assertThat(stopped.found()).hasSize(6);
        assertThat(stopped.left()).containsExactly("hive 6", "hive 7", "hive 8");
    }

    @Test
    void nonsenseIsNoFigureAndAnswersToWhatWasNotAskedAreNone() throws InterruptedException {
        Estimator.Result result = run(
                List.of("bee hive", "skep", "smoker"),
                question -> List.of(
                        searched("Bee  HIVE", 100, 1_000),
                        searched("other", 10, 10),
                        searched("skep", -5, 10),
                        searched("smoker", 20, 10)));
        assertThat(result.found()).containsExactly(searched("bee hive", 100, 1_000));
    }

    /** The list that it makes says to Gather what the planner said. */
    @Test
    void theListIsReadAsItWasMeant() throws InterruptedException {
        Estimator.Result result = run(
                List.of("bee hive"),
                question -> List.of(new FigureService.Estimate(
                        "bee hive",
                        Map.of(
                                Figure.SEARCHES, new FigureService.Range(1_000, 10_000),
                                Figure.LOW_BID, new FigureService.Range(1_230_000, 1_230_000),
                                Figure.COMPETITION, new FigureService.Range(40, 40)))));
        Lines lines = TestLists.lines(1, "figures", result.list(false).bytes());
        FigureColumn searches = lines.figure(Figure.SEARCHES).orElseThrow();
        assertThat(searches.low(0)).isEqualTo(1_000);
        assertThat(searches.high(0)).isEqualTo(10_000);
        assertThat(lines.figure(Figure.LOW_BID).orElseThrow().low(0)).isEqualTo(1_230_000);
        assertThat(lines.figure(Figure.COMPETITION).orElseThrow().low(0)).isEqualTo(40);
        assertThat(lines.figure(Figure.HIGH_BID).map(column -> column.known(0)))
                .isNotEqualTo(java.util.Optional.of(true));
        assertThat(lines.tellsMadeUp()).isFalse();
    }

    /** Downloaded as it came and gathered elsewhere, in another project or by another hand, it still passes for nothing else. */
    @Test
    void whatIsMadeUpSaysSoWhereverItsListGoes() throws InterruptedException {
        Estimator.Result result = run(
                List.of("bee hive", "skep"),
                question -> List.of(searched("bee hive", 100, 100), searched("skep", 7, 7)));
        byte[] bytes = result.list(true).bytes();
        assertThat(new String(bytes, java.nio.charset.StandardCharsets.UTF_8)).contains("bee hive,100,,,,searches");
        FigureColumn searches =
                TestLists.lines(1, "figures", bytes).figure(Figure.SEARCHES).orElseThrow();
        assertThat(searches.simulated(0)).isTrue();
        assertThat(searches.simulated(1)).isTrue();
    }
}
