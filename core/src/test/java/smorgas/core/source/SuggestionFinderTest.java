package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.recipe.gather.SuggestionSettings.Around;
import smorgas.core.text.Message;

/** Suggestions asked for, in rounds, of sources that are slow, broken or both. */
class SuggestionFinderTest {

    private interface Says {
        List<String> to(String query) throws Source.Fault, InterruptedException;
    }

    private record Made(String name, Says says) implements Source {
        @Override
        public boolean simulated() {
            return true;
        }

        @Override
        public Limits limits() {
            return new Limits(0, 200);
        }

        @Override
        public List<String> suggest(Query query) throws Fault, InterruptedException {
            return says.to(query.text());
        }
    }

    private final List<Long> rests = Collections.synchronizedList(new ArrayList<>());

    private static SuggestionSettings wanted(int rounds, int most, Set<Around> around, String... sources) {
        return new SuggestionSettings(
                List.of("bee"), around, List.of("a", "b"), List.of(), rounds, most, List.of(sources), "en", "");
    }

    private SuggestionFinder.Result run(SuggestionSettings wanted, Source... sources) throws InterruptedException {
        return new SuggestionFinder(wanted, List.of(sources), rests::add, () -> false).run();
    }

    /** Seventy seeds with a to z and alone are 1,890 queries, seventy-three 1,971 (common practice). */
    @ParameterizedTest
    @CsvSource({"1, 27", "70, 1890", "73, 1971"})
    void aSeedWithEveryLetterIsTwentySevenQueries(int seeds, int queries) {
        assertThat(new SuggestionSettings(
                                IntStream.range(0, seeds)
                                        .mapToObj(seed -> "seed" + seed)
                                        .toList(),
                                EnumSet.of(Around.ALONE, Around.LETTERS_BEHIND),
                                SuggestionSettings.ALPHABET,
                                List.of(),
                                1,
                                2_000,
                                List.of("one"),
                                "en",
                                "")
                        .queries())
                .hasSize(queries)
                .startsWith("seed0", "seed0 a", "seed0 b");
    }

    @Test
    void everyWayOfAskingIsTakenAndNoQueryTwice() {
        SuggestionSettings all = new SuggestionSettings(
                List.of("Bee", "bee ", "hive"),
                EnumSet.allOf(Around.class),
                List.of("a"),
                List.of("how to", "kit"),
                1,
                10,
                List.of("one"),
                "en",
                "");
        assertThat(all.queries())
                .containsExactly(
                        "bee",
                        "bee a",
                        "a bee",
                        "bee how to",
                        "bee kit",
                        "how to bee",
                        "kit bee",
                        "hive",
                        "hive a",
                        "a hive",
                        "hive how to",
                        "hive kit",
                        "how to hive",
                        "kit hive");
    }

    @Test
    void whatIsNewInARoundIsAskedInTheNextAndResultsAreTheSameWhoeverIsFaster() throws InterruptedException {
        Made one = new Made("one", query -> {
            Thread.sleep(query.length() % 3);
            return query.equals("bee") ? List.of("Bee Hive", "honey", "bee hive") : List.of(query + " kit");
        });
        Made two = new Made("two", query -> query.equals("bee") ? List.of("bee suit", "honey") : List.of());
        SuggestionFinder.Result first = run(wanted(2, 100, EnumSet.of(Around.ALONE), "one", "two"), one, two);
        assertThat(first.found())
                .extracting(SuggestionFinder.Suggestion::text)
                .containsExactly("bee hive", "honey", "bee suit", "bee hive kit", "honey kit", "bee suit kit");
        assertThat(first.found())
                .filteredOn(suggestion -> !suggestion.seeded())
                .extracting(SuggestionFinder.Suggestion::text)
                .containsExactly("honey", "honey kit");
        assertThat(first.whole()).isTrue();
        assertThat(run(wanted(2, 100, EnumSet.of(Around.ALONE), "one", "two"), one, two)
                        .found())
                .isEqualTo(first.found());
        // A later round has so many queries at most.
        assertThat(run(wanted(3, 1, EnumSet.of(Around.ALONE), "one"), one).found())
                .extracting(SuggestionFinder.Suggestion::text)
                .containsExactly("bee hive", "honey", "bee hive kit", "bee hive kit kit");
    }

    @Test
    void aFaultIsTriedAgainAfterGrowingPausesAndThenListed() throws InterruptedException {
        AtomicInteger times = new AtomicInteger();
        Made mended = new Made("one", query -> {
            if (query.equals("bee a") && times.incrementAndGet() < 3) {
                throw new Source.Fault(Message.verbatim("it has too much to do"));
            }
            if (query.equals("bee b")) {
                throw new IllegalStateException("broken");
            }
            return List.of(query + " well");
        });
        SuggestionSettings wanted = wanted(1, 100, EnumSet.of(Around.ALONE, Around.LETTERS_BEHIND), "one");
        SuggestionFinder.Result result = run(wanted, mended);
        assertThat(result.found())
                .extracting(SuggestionFinder.Suggestion::text)
                .containsExactly("bee well", "bee a well");
        assertThat(rests).containsExactly(250L, 500L, 250L, 500L, 1_000L);
        assertThat(result.failed())
                .containsExactly(new SuggestionSettings.Failed(
                        "one", Message.verbatim("bee b"), Message.of("source.asking.answered-nothing-can-understood")));
    }

    @Test
    void aSourceThatNeverAnswersIsGivenUpAndTheOthersAreNot() throws InterruptedException {
        AtomicBoolean over = new AtomicBoolean();
        Made never = new Made("never", query -> {
            while (!over.get()) {
                try {
                    Thread.sleep(50);
                } catch (InterruptedException e) {
                    // It does not hear it.
                }
            }
            return List.of();
        });
        Made well = new Made("well", query -> List.of(query + " x"));
        SuggestionSettings wanted = new SuggestionSettings(
                List.of("bee"),
                EnumSet.of(Around.LETTERS_BEHIND),
                List.of("a", "b", "c", "d", "e", "f", "g"),
                List.of(),
                1,
                100,
                List.of("never", "well", "unknown"),
                "en",
                "");
        SuggestionFinder finder = new SuggestionFinder(wanted, List.of(never, well), rests::add, () -> false);
        SuggestionFinder.Result result = finder.run();
        over.set(true);
        assertThat(result.found()).hasSize(7);
        assertThat(result.left())
                .containsExactly(
                        new SuggestionSettings.Left("never", "bee f"), new SuggestionSettings.Left("never", "bee g"));
        assertThat(result.whole()).isFalse();
        assertThat(finder.progress())
                .extracting(
                        SuggestionFinder.Progress::source,
                        SuggestionFinder.Progress::asked,
                        SuggestionFinder.Progress::told)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(
                                "never",
                                5,
                                Message.of("source.finder.given-up", Message.of("source.asking.did-answer-time"))),
                        org.assertj.core.groups.Tuple.tuple("well", 7, Message.NONE));
    }

    @Test
    void nonsenseIsNoSuggestion() throws InterruptedException {
        Made nonsense = new Made(
                "one",
                query -> Arrays.asList(null, "", " \u0000 ", "x".repeat(10_000), "\u200b", "BEE\tHIVE", "bee hive"));
        assertThat(run(wanted(1, 10, EnumSet.of(Around.ALONE), "one"), nonsense).found())
                .extracting(SuggestionFinder.Suggestion::text)
                .containsExactly("bee hive");
        Made nothing = new Made("one", query -> null);
        assertThat(run(wanted(1, 10, EnumSet.of(Around.ALONE), "one"), nothing).found())
                .isEmpty();
        Made endless = new Made(
                "one",
                query -> IntStream.range(0, 100_000).mapToObj(n -> "bee " + n).toList());
        assertThat(run(wanted(1, 10, EnumSet.of(Around.ALONE), "one"), endless).found())
                .hasSize(100);
    }

    @Test
    void whatWasNotAskedBeforeAStopIsAskedWhenItGoesOn() throws InterruptedException {
        List<String> asked = Collections.synchronizedList(new ArrayList<>());
        Made one = new Made("one", query -> {
            asked.add(query);
            return List.of(query + " x");
        });
        SuggestionSettings wanted = wanted(1, 100, EnumSet.of(Around.ALONE, Around.LETTERS_BEHIND), "one");
        SuggestionFinder.Result part =
                new SuggestionFinder(wanted, List.of(one), rests::add, () -> asked.size() == 2).run();
        assertThat(part.found()).hasSize(2);
        assertThat(part.left()).containsExactly(new SuggestionSettings.Left("one", "bee b"));
        assertThat(part.whole()).isFalse();
        SuggestionFinder.Result rest = new SuggestionFinder(
                        wanted,
                        List.of(one),
                        rests::add,
                        () -> false,
                        part.left(),
                        part.found().stream()
                                .map(SuggestionFinder.Suggestion::text)
                                .toList())
                .run();
        assertThat(asked).containsExactly("bee", "bee a", "bee b");
        assertThat(rest.found())
                .extracting(SuggestionFinder.Suggestion::text)
                .containsExactly("bee x", "bee a x", "bee b x");
        assertThat(rest.whole()).isTrue();
    }

    @Test
    void whatCannotBeAskedIsRefused() {
        assertThatThrownBy(() -> wanted(5, 10, EnumSet.of(Around.ALONE), "one")).hasMessageContaining("1 to 4 rounds");
        assertThatThrownBy(() -> wanted(1, 0, EnumSet.of(Around.ALONE), "one")).hasMessageContaining("20,000");
        assertThatThrownBy(() -> wanted(1, 10, Set.of(), "one")).hasMessageContaining("what is asked");
        assertThatThrownBy(() -> wanted(1, 10, EnumSet.of(Around.WORDS_BEFORE), "one"))
                .hasMessageContaining("Write the words");
        assertThatThrownBy(() -> wanted(1, 10, EnumSet.of(Around.ALONE))).hasMessageContaining("Choose a source");
    }
}
