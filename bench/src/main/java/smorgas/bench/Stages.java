package smorgas.bench;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouper;
import smorgas.core.group.Grouping;
import smorgas.core.group.GroupingInput;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.sift.Judge;
import smorgas.core.sift.Matcher;
import smorgas.core.sift.Phrases;
import smorgas.core.sift.Statuses;
import smorgas.core.sift.WordCounts;

/** Each stage of the core by itself, warm. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class Stages {

    @Param({"10000", "100000"})
    private int lines;

    private byte[] bytes = {};
    private List<Lines> baskets = List.of();
    private Keywords keywords = Folder.fold(List.of());
    private Phrases phrases = new Phrases(keywords);
    private Statuses statuses =
            Judge.judge(new Matcher(keywords), intent -> new BitSet(), Map.of(), Map.of(), List.of());

    @Setup
    public void make() {
        StringBuilder text = new StringBuilder("Keyword,Search volume\n");
        MadeLists.phrases(lines).forEach(phrase -> text.append(phrase)
                .append(',')
                .append(phrase.hashCode() & 0xFFF)
                .append('\n'));
        bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        baskets = List.of(gather());
        keywords = fold();
        statuses = sift();
        phrases = new Phrases(keywords);
    }

    @Benchmark
    public Lines gather() {
        return BasketReader.lines(1, "made", bytes).lines().orElseThrow();
    }

    @Benchmark
    public Keywords fold() {
        return Folder.fold(baskets);
    }

    @Benchmark
    public Statuses sift() {
        List<Rule> rules = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            String word =
                    keywords.vocabulary().text(i * 7 % keywords.vocabulary().size());
            rules.add(new Rule(i + 1, new Condition.HasWord(word), Status.DROPPED));
        }
        return Judge.judge(new Matcher(keywords), intent -> new BitSet(), Map.of(), Map.of(), rules);
    }

    @Benchmark
    public WordCounts.Found words() {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        return WordCounts.of(all, phrases, statuses, Set.of(), WordCounts.Asked.words(120));
    }

    @Benchmark
    public Grouping group() {
        return Grouper.group(
                GroupingInput.of(
                        keywords.folded(),
                        statuses.remaining(),
                        "en",
                        Rules.NEWEST.similarity(),
                        Rules.NEWEST.themes()),
                Rules.NEWEST.settings().byThemes("en"));
    }
}
