package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.fold.FoldedWords;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.RawList;
import smorgas.core.group.Grouping;
import smorgas.core.language.Accents;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.serve.Plan;
import smorgas.core.text.Tidy;

/**
 * Short lists in the writing of their countries, from the file to the plan: figures are read, singular and plural are one where
 * they can be told, and nothing that is shown or leaves is a word that nobody writes.
 */
class LanguagesTest {

    /**
     * A list of a language.
     *
     * @param head the names of its columns
     * @param twelveHundred how 1,200 is written
     * @param half how .5 is written
     * @param alike keywords of which each is folded with the next; empty where plurals cannot be told
     */
    record Written(
            String language,
            String head,
            String twelveHundred,
            String half,
            List<String> keywords,
            List<String> alike) {

        @Override
        public String toString() {
            return language;
        }
    }

    static Stream<Written> lists() {
        return Stream.of(
                new Written(
                        "en",
                        "Keyword\tSearches\tCPC",
                        "1,200",
                        "0.5",
                        List.of(
                                "climbing rope 60m",
                                "kid's climbing shoes",
                                "e-bike rack",
                                "shoe for wide feet",
                                "climbing rope bag",
                                "rope 60 m",
                                "what's a belay device"),
                        List.of("climbing shoe", "climbing shoes")),
                new Written(
                        "de",
                        "Suchbegriff;Suchvolumen;CPC",
                        "1.200",
                        "0,5",
                        List.of(
                                "gartenhaus mit fußboden",
                                "gartenhäuser aus holz",
                                "kinder-spielhaus",
                                "gerätehaus 2,5 m",
                                "mäher fürs gras",
                                "gartenhaus 28mm"),
                        List.of("kleines gartenhaus", "kleine gartenhäuser")),
                new Written(
                        "fr",
                        "mot clé;volume de recherche;CPC",
                        "1\u202F200",
                        "0,5",
                        List.of(
                                "salle d'escalade lyon",
                                "chaussons d’escalade enfant",
                                "l'équipement d'un grimpeur",
                                "porte-clés mousqueton",
                                "qu'est-ce qu'une dégaine",
                                "jeux d'eau"),
                        List.of("bateau de pêche", "bateaux de pêche")),
                new Written(
                        "es",
                        "palabra clave;búsquedas;CPC",
                        "1.200",
                        "0,5",
                        List.of(
                                "zapatos de niños",
                                "cuerda 9,8 mm",
                                "¿qué es un arnés?",
                                "luz para bici",
                                "arnés barato"),
                        List.of("cuerda de escalada", "cuerdas de escalada")),
                new Written(
                        "it",
                        "parola chiave;ricerche;CPC",
                        "1.200",
                        "0,5",
                        List.of(
                                "filtro dell'acqua",
                                "l'attrezzatura d'arrampicata",
                                "scarpe d'arrampicata",
                                "un'imbracatura",
                                "corda 60 m"),
                        List.of()),
                new Written(
                        "nl",
                        "zoekwoord;zoekvolume;CPC",
                        "1.200",
                        "0,5",
                        List.of(
                                "'s avonds klimmen",
                                "foto's maken",
                                "klimtouw 60m",
                                "goedkope klimschoenen",
                                "tuinhuis"),
                        List.of()),
                new Written(
                        "pt",
                        "palavra-chave;volume de pesquisa;CPC",
                        "1.200",
                        "0,5",
                        List.of("sapatos d'água", "corda de escalada", "guarda-chuva", "o que é um arnês"),
                        List.of("corda barata", "cordas baratas")),
                new Written(
                        "sv",
                        "sökord;sökvolym;CPC",
                        "1\u00A0200",
                        "0,5",
                        List.of("klätterskor för barn", "rep 60m", "billig sele", "bästa chalkbag"),
                        List.of()),
                new Written(
                        "da",
                        "søgeord;søgevolumen;CPC",
                        "1.200",
                        "0,5",
                        List.of("klatresko til børn", "reb 60 m", "hvad er en sele", "billige sko"),
                        List.of()),
                new Written(
                        "fi",
                        "hakusana;hakumäärä;CPC",
                        "1\u00A0200",
                        "0,5",
                        List.of("kiipeilykengät lapsille", "köysi 60 m", "halpa valjas", "mikä on jatko"),
                        List.of()),
                new Written(
                        "pl",
                        "słowo kluczowe;liczba wyszukiwań;CPC",
                        "1\u00A0200",
                        "0,5",
                        List.of("buty wspinaczkowe dla dzieci", "lina 60 m", "tania uprząż", "co to jest ekspres"),
                        List.of()),
                new Written(
                        "ja",
                        "keyword,searches,cpc",
                        "1200",
                        "0.5",
                        List.of("クライミング シューズ", "ロープ 60m", "安い ハーネス", "子供 靴"),
                        List.of()));
    }

    private static Board board(Written list, Entry... entries) {
        String between = list.head().contains("\t") ? "\t" : list.head().contains(";") ? ";" : ",";
        String text = list.head() + "\n"
                + Stream.concat(list.keywords().stream(), list.alike().stream())
                        .map(keyword -> String.join(between, keyword, list.twelveHundred(), list.half()) + "\n")
                        .collect(Collectors.joining());
        Lines lines = BasketReader.lines(
                        1,
                        new RawList(
                                "list",
                                text.getBytes(StandardCharsets.UTF_8),
                                ReadAs.FOUND,
                                Decimals.of(list.language())),
                        Halt.NEVER,
                        (line, cells) -> {})
                .lines()
                .orElseThrow();
        return Board.of(List.of(lines), Recipe.of(List.of(entries), list.language()));
    }

    @ParameterizedTest
    @MethodSource("lists")
    void figuresAreReadAsTheyAreWritten(Written list) {
        Keywords keywords = board(list).keywords();
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            assertThat(keywords.figure(Figure.SEARCHES).orElseThrow().low(keyword))
                    .as(keywords.text(keyword))
                    .isEqualTo(1_200);
            assertThat(keywords.figure(Figure.CPC).orElseThrow().low(keyword)).isEqualTo(500_000);
        }
    }

    @ParameterizedTest
    @MethodSource("lists")
    void singularAndPluralAreOneWhereTheyCanBeTold(Written list) {
        Keywords keywords = board(list).keywords();
        int different = list.alike().isEmpty() ? 0 : 1;
        assertThat(keywords.size()).isEqualTo(list.keywords().size() + different);
        if (different > 0) {
            assertThat(keywords.find(list.alike().getFirst()))
                    .isPresent()
                    .isEqualTo(keywords.find(list.alike().getLast()));
        }
    }

    /** Whatever is folded; a word may lose its accents, its apostrophe parts it or not. */
    @ParameterizedTest
    @MethodSource("lists")
    void everyWordThatIsShownStandsInSomeKeyword(Written list) {
        for (Set<FoldKind> on : List.of(
                Set.<FoldKind>of(), Set.of(FoldKind.PUNCTUATION, FoldKind.PLURALS), EnumSet.allOf(FoldKind.class))) {
            Entry[] kinds = Arrays.stream(FoldKind.values())
                    .map(kind -> new FoldEntry.FoldKindSwitched(kind, on.contains(kind)))
                    .toArray(Entry[]::new);
            Board board = board(list, kinds);
            FoldedWords words = board.keywords().folded();
            Accents accents = new Accents(list.language());
            String written = Stream.concat(list.keywords().stream(), list.alike().stream())
                    .map(Tidy::of)
                    .flatMap(text -> Stream.of(text, accents.plain(text)))
                    .collect(Collectors.joining("\n"));
            for (int word = 0; word < words.size(); word++) {
                if (words.keywordsOf().length(word) > 0) {
                    assertThat(written).as("with %s", on).contains(words.text(word));
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("lists")
    void allThatIsNotDroppedIsExportedAsSomebodyWroteIt(Written list) {
        GroupSettings usual = Rules.NEWEST.settings().byThemes(list.language());
        for (GroupSettings settings :
                List.of(usual, usual.with(Rules.NEWEST.settings().themes()))) {
            Board board = board(list, new GroupEntry.GroupSettingsChosen(settings));
            Set<String> written = Stream.concat(list.keywords().stream(), list.alike().stream())
                    .map(Tidy::of)
                    .collect(Collectors.toCollection(TreeSet::new));
            Set<String> exported =
                    board.plan().rows().map(Plan.Row::keyword).collect(Collectors.toCollection(TreeSet::new));
            Set<String> held = board.plan().notExported().stream()
                    .map(Plan.NotExported::keyword)
                    .collect(Collectors.toCollection(TreeSet::new));
            Grouping grouping = board.groups().grouping();
            Set<String> left = IntStream.range(0, board.keywords().size())
                    .filter(keyword -> grouping.groupOf(keyword) < 0)
                    .mapToObj(board.keywords()::text)
                    .collect(Collectors.toCollection(TreeSet::new));
            assertThat(written).containsAll(exported).containsAll(held);
            Set<String> all = new TreeSet<>(exported);
            all.addAll(held);
            all.addAll(left);
            assertThat(all).hasSize(board.keywords().size());
        }
    }
}
