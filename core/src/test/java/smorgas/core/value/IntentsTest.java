package smorgas.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.board.Board;
import smorgas.core.figure.Computed;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.text.Refusal;

class IntentsTest {

    private static Board board(String list, String language, Entry... entries) {
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(List.of(entries), language));
    }

    private static Intent lead(Board board, String text) {
        return board.intents().lead(board.keywords().find(text).orElseThrow()).orElseThrow();
    }

    @Test
    void theStrongestCueLeadsAndOthersAreSeenWithAReason() {
        Board board = board("best bee smoker to buy\nhow to light a smoker\nsmoker\nhive tool 25cm\n", "en");
        int best = board.keywords().find("best bee smoker to buy").orElseThrow();
        assertThat(board.intents().seen(best)).containsExactly(Intent.TRANSACTIONAL, Intent.COMMERCIAL);
        assertThat(board.intents().told(best)).containsExactly("transactional", "commercial");
        assertThat(board.intents().reason(best)).hasToString("it has \"buy\"");
        assertThat(board.facts().exported(Computed.INTENT, best)).isEqualTo("transactional | commercial");
        assertThat(lead(board, "how to light a smoker")).isEqualTo(Intent.INFORMATIONAL);
        assertThat(lead(board, "smoker")).isEqualTo(Intent.COMMERCIAL);
        assertThat(board.intents().reason(board.keywords().find("smoker").orElseThrow()))
                .hasToString("nothing in it says more");
        assertThat(lead(board, "hive tool 25cm")).isEqualTo(Intent.TRANSACTIONAL);
    }

    @Test
    void whereManyBidHighSomebodyEarnsByIt() {
        String list =
                "keyword,competition,high bid\nsmoker,90,4.00\nhive,90,0.20\nveil,10,5.00\nhow to smoke,high,4.50\n"
                        + "one,5,0.1\ntwo,5,0.1\nthree,5,0.1\nfour,5,0.1\nfive,5,0.1\nsix,5,0.1\nseven,5,0.1\neight,5,0.1\n"
                        + "nine,5,0.1\nten,5,0.1\neleven,5,0.1\ntwelve,5,0.1\n";
        Board board = board(list, "en");
        int how = board.keywords().find("how to smoke").orElseThrow();
        assertThat(board.intents().dear(how)).isTrue();
        assertThat(board.intents().seen(how)).containsExactly(Intent.INFORMATIONAL, Intent.COMMERCIAL);
        for (String other : List.of("hive", "veil", "one")) {
            assertThat(board.intents().dear(board.keywords().find(other).orElseThrow()))
                    .as(other)
                    .isFalse();
        }
    }

    @Test
    void shippedWordsAreListsToEdit() {
        List<String> words = new ArrayList<>(Intents.shipped("en").get(WordList.Kind.TRANSACTIONAL));
        assertThat(words).contains("buy", "where can i buy").doesNotContain("", "{size}");
        words.removeAll(List.of("kit", "kits"));
        words.add("payday");
        WordList.Kind kind = WordList.Kind.TRANSACTIONAL;
        WordList edited = new WordList(kind.shippedName("en"), "en", kind, 2, words);
        Board board = board("bee kit\nbee payday\nbuy bees near me\n", "en", new SiftEntry.ListTaken(edited));
        assertThat(lead(board, "bee kit")).as("taken off the list").isEqualTo(Intent.COMMERCIAL);
        assertThat(lead(board, "bee payday")).isEqualTo(Intent.TRANSACTIONAL);
        assertThat(lead(board, "buy bees near me"))
                .as("words that stay are as strong as they were")
                .isEqualTo(Intent.LOCAL);
    }

    @Test
    void whatIsSaidOfAConditionHoldsForAllThatFulfilItAndTheLaterWordLeads() {
        Entry sized = new ValueEntry.IntentRuled(new Condition.HasDigit(), Intent.LOCAL, true);
        Entry worded = new ValueEntry.IntentWorded("hive", Intent.NAVIGATIONAL, true);
        String list = "hive 24\nsmoker 10\nsmoker\n";
        Board board = board(list, "en", worded, sized);
        assertThat(lead(board, "hive 24")).isEqualTo(Intent.LOCAL);
        assertThat(lead(board, "smoker 10")).isEqualTo(Intent.LOCAL);
        assertThat(lead(board, "smoker")).isEqualTo(Intent.COMMERCIAL);
        assertThat(lead(board(list, "en", sized, worded), "hive 24")).isEqualTo(Intent.NAVIGATIONAL);
        Entry back = new ValueEntry.IntentRuled(new Condition.HasDigit(), Intent.COMMERCIAL, false);
        assertThat(lead(board(list, "en", sized, back), "smoker 10")).isEqualTo(Intent.COMMERCIAL);
        Condition tagged = new Condition.NoneOf(List.of(new Condition.HasTag("shop")));
        assertThatThrownBy(() -> new ValueEntry.IntentRuled(tagged, Intent.LOCAL, true))
                .isInstanceOf(Refusal.class);
    }

    /** A rule may ask for it, as it follows from no rule; a group keeps to one if that is wished. */
    @Test
    void rulesAndGroupsCanAskForIt() {
        String list = "bee smoker price\nbuy bee smoker\nbee smoker buy online\nhow to light a bee smoker\n"
                + "how to clean a bee smoker\nbee smoker\nwhy smoke bees\n";
        Rule drops = new Rule(1, new Condition.Intended(Intent.INFORMATIONAL), Status.DROPPED);
        Board dropped = board(list, "en", new SiftEntry.RuleAdded(drops));
        BitSet informational = dropped.intents().with(Intent.INFORMATIONAL);
        assertThat(dropped.statuses().with(Status.DROPPED)).isEqualTo(informational);
        assertThat(informational.cardinality()).isEqualTo(3);
        Entry said = new ValueEntry.IntentSaid(List.of("why smoke bees"), List.of(), Intent.LOCAL, true);
        Board otherwise = dropped.next(
                List.of(TestLists.lines(1, list)), Recipe.of(List.of(new SiftEntry.RuleAdded(drops), said), "en"));
        assertThat(otherwise.statuses().with(Status.DROPPED).cardinality()).isEqualTo(2);

        GroupSettings broad = Rules.NEWEST
                .settings()
                .grouping("en")
                .with(Rules.NEWEST.settings().similarity().at(Method.BySimilarity.BROADEST));
        for (GroupSettings settings : List.of(broad, Rules.NEWEST.settings().byThemes("en"))) {
            Board mixed = board(list, "en", new GroupEntry.GroupSettingsChosen(settings));
            assertThat(mixing(mixed, Intent.INFORMATIONAL))
                    .as("the plain dials")
                    .isNotZero();
            Board apart =
                    board(list, "en", new GroupEntry.GroupSettingsChosen(settings.apart(Set.of(Intent.INFORMATIONAL))));
            assertThat(mixing(apart, Intent.INFORMATIONAL)).isZero();
            assertThat(apart.groups().grouping().size()).isGreaterThan(1);
        }
    }

    /** Groups that have keywords both of an intent and of others. */
    private static long mixing(Board board, Intent intent) {
        return IntStream.range(0, board.groups().grouping().size())
                .filter(group ->
                        IntStream.of(board.groups().grouping().members().row(group))
                                        .mapToObj(keyword ->
                                                board.intents().lead(keyword).orElseThrow() == intent)
                                        .distinct()
                                        .count()
                                > 1)
                .count();
    }

    @Test
    void aViewMayAskWhatFollowsFromRulesAndARuleMayNot() {
        PrioritySettings settings = new PrioritySettings(
                Map.of(PrioritySettings.Factor.SEARCHES, 100),
                Map.of(),
                new LinkedHashMap<>(),
                List.of(new PrioritySettings.PriorityClass("top", 50), new PrioritySettings.PriorityClass("rest", 50)));
        Board board = board("keyword,searches\nhive,1000\nsmoker,10\n", "en", new ValueEntry.PrioritySet(settings));
        Condition top = new Condition.Prioritised("top");
        assertThat(board.match(top).stream().mapToObj(board.keywords()::text)).containsExactly("hive");
        Condition scored = new Condition.Valued(Computed.PRIORITY_SCORE, Bounds.from(50));
        assertThat(board.match(scored).cardinality()).isEqualTo(1);
        for (Condition one : List.of(top, scored, new Condition.AnyOf(List.of(top)))) {
            assertThatThrownBy(() -> new Rule(1, one, Status.KEPT)).isInstanceOf(Refusal.class);
        }
    }

    @Test
    void listsOfTheProjectAndHandsSayMoreThanShippedWords() {
        WordList brands = new WordList("ours", "", WordList.Kind.BRANDS, 1, List.of("hulvane"));
        WordList local = new WordList("here", "", WordList.Kind.LOCAL, 1, List.of("taster day"));
        // Said of last month's list, which had the singular only.
        Entry hand = new ValueEntry.IntentSaid(List.of("hive"), List.of(), Intent.LOCAL, true);
        Board board = board(
                "buy hulvane hive\nbee taster day\nhives\n",
                "en",
                new SiftEntry.ListTaken(brands),
                new SiftEntry.ListTaken(local),
                hand);
        assertThat(lead(board, "buy hulvane hive")).isEqualTo(Intent.NAVIGATIONAL);
        assertThat(lead(board, "bee taster day")).isEqualTo(Intent.LOCAL);
        assertThat(lead(board, "hives")).isEqualTo(Intent.LOCAL);
        assertThat(board.intents().reason(board.keywords().find("hives").orElseThrow()))
                .hasToString("by hand");
        Board worded = board(
                "buy hulvane hive\nbee hives\nhives\n",
                "en",
                new ValueEntry.IntentWorded("hive", Intent.INFORMATIONAL, true),
                new ValueEntry.IntentWorded("hulvane hive", Intent.NAVIGATIONAL, true),
                hand);
        assertThat(lead(worded, "buy hulvane hive")).isEqualTo(Intent.NAVIGATIONAL);
        assertThat(lead(worded, "bee hives")).isEqualTo(Intent.INFORMATIONAL);
        assertThat(worded.intents().reason(worded.keywords().find("bee hives").orElseThrow()))
                .hasToString("by hand, of keywords with the word \"hive\"");
        assertThat(lead(worded, "hives")).isEqualTo(Intent.LOCAL);
        Board again = board(
                "hives\n", "en", hand, new ValueEntry.IntentSaid(List.of("hive"), List.of(), Intent.LOCAL, false));
        assertThat(lead(again, "hives")).isEqualTo(Intent.COMMERCIAL);
    }

    @Test
    void whatPeopleTypeIsNeverReadAsAFormAndListsOfAnyLengthLeaveHandsTheirSay() {
        List<String> many =
                IntStream.range(0, 40_000).mapToObj(i -> "maker" + i).toList();
        Board board = board(
                "smoker\nhive tool\n",
                "en",
                new SiftEntry.ListTaken(new WordList("odd", "", WordList.Kind.LOCAL, 1, List.of("{else}"))),
                new SiftEntry.ListTaken(new WordList("many", "", WordList.Kind.BRANDS, 1, many)),
                new ValueEntry.IntentWorded("{size}", Intent.LOCAL, true),
                new ValueEntry.IntentWorded("tool", Intent.INFORMATIONAL, true));
        assertThat(lead(board, "smoker")).isEqualTo(Intent.COMMERCIAL);
        assertThat(lead(board, "hive tool")).isEqualTo(Intent.INFORMATIONAL);
        assertThat(board.intents().seen(board.keywords().find("hive tool").orElseThrow()))
                .doesNotContain(Intent.LOCAL);
    }

    @Test
    void otherLanguagesHaveTheirOwnWordsAndOneWithoutAListSaysNothing() {
        Board german = board("imkeranzug kaufen\nwie imkert man\nbienenbeute test\nimker in der nähe\n", "de");
        assertThat(lead(german, "imkeranzug kaufen")).isEqualTo(Intent.TRANSACTIONAL);
        assertThat(lead(german, "wie imkert man")).isEqualTo(Intent.INFORMATIONAL);
        assertThat(lead(german, "bienenbeute test")).isEqualTo(Intent.COMMERCIAL);
        assertThat(lead(german, "imker in der nähe")).isEqualTo(Intent.LOCAL);
        Board finnish = board("mehiläispesä\n", "fi");
        assertThat(finnish.intents().lead(0)).isEmpty();
        assertThat(finnish.intents().reason(0).toString()).isEmpty();
        assertThat(finnish.facts().exported(Computed.INTENT, 0)).isEmpty();
    }

    /**
     * Lists labelled by hand, keyword by keyword, before the engine was run on them. The words were tuned on the first, which
     * came labelled from elsewhere; the second is a sample of keywords that two other practitioners wrote about desks and
     * pipes; keywords and labels of the third are by whoever wrote the words, so that it flatters.
     */
    @ParameterizedTest
    @CsvSource({
        "/smorgas/core/group/climbing.csv, ostrakke pelloka zumbrek, nowhere",
        "/intent/desks-and-pipes.csv, quickspanner verstande, wexcombe stenbridge",
        "/intent/garden-rooms.csv, hulvane torsbeck, london bristol leeds"
    })
    void listsLabelledByJudgementComeOutAlikeEnough(String file, String brands, String places) {
        Map<String, Intent> labels = labels(file);
        Board board = board(
                "keyword\n" + String.join("\n", labels.keySet()) + "\n",
                "en",
                new SiftEntry.ListTaken(list("makers", WordList.Kind.BRANDS, brands)),
                new SiftEntry.ListTaken(list("places", WordList.Kind.PLACES, places)));
        Scores scores = Scores.of(board, labels);
        assertThat(scores.right())
                .as(scores.toString())
                .isGreaterThanOrEqualTo(.80)
                .isGreaterThan(scores.commonest());
        assertThat(scores.macro()).isGreaterThanOrEqualTo(.60);
    }

    private static WordList list(String name, WordList.Kind kind, String words) {
        return new WordList(name, "", kind, 1, List.of(words.split(" ")));
    }

    private static Map<String, Intent> labels(String file) {
        Map<String, Intent> labels = new HashMap<>();
        try (InputStream in = Objects.requireNonNull(IntentsTest.class.getResourceAsStream(file));
                CsvReader<NamedCsvRecord> rows =
                        CsvReader.builder().ofNamedCsvRecord(new String(in.readAllBytes(), StandardCharsets.UTF_8))) {
            rows.forEach(row -> labels.put(
                    row.getField("keyword"),
                    Intent.valueOf(row.getField("intent").toUpperCase(Locale.ROOT))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return labels;
    }

    /** The share that is right, the mean of the intents' F1, and the share of the commonest label. */
    private record Scores(double right, double macro, double commonest) {

        static Scores of(Board board, Map<String, Intent> labels) {
            int[][] counts = new int[Intent.values().length][Intent.values().length];
            labels.forEach((text, label) -> board.keywords().find(text).ifPresent(keyword -> {
                Intent found = board.intents().lead(keyword).orElseThrow();
                counts[label.ordinal()][found.ordinal()]++;
            }));
            double all = 0;
            double right = 0;
            double commonest = 0;
            double macro = 0;
            for (int i = 0; i < counts.length; i++) {
                int labelled = 0;
                int found = 0;
                for (int j = 0; j < counts.length; j++) {
                    labelled += counts[i][j];
                    found += counts[j][i];
                }
                all += labelled;
                right += counts[i][i];
                commonest = Math.max(commonest, labelled);
                macro += labelled + found == 0 ? 0 : 2.0 * counts[i][i] / (labelled + found);
            }
            return new Scores(right / all, macro / counts.length, commonest / all);
        }
    }
}
