package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.gather.BasketInfo;

/** What follows from keywords alone, counted by hand. */
class KeywordNumbersTest {

    private static Lines of(long basket, BasketInfo.Kind kind, String competitor, String text) {
        return TestLists.lines(basket, text)
                .described(new BasketInfo("list " + basket, kind, "", competitor, "", "", "", ""));
    }

    private static final Keywords KEYWORDS = Folder.fold(List.of(
            of(1, BasketInfo.Kind.COMPETITOR, "Otterwick", "keyword,searches\nbee hive,90\nBee  Hive,80\nhoney,\n"),
            of(2, BasketInfo.Kind.COMPETITOR, "", "bee hive\nwarré hive\n"),
            of(3, BasketInfo.Kind.COMPETITOR, "", "bee hive\n"),
            TestLists.lines(4, "bee hive\nhive \uD83D\uDC1D stand for two\n")));

    private static long whole(Computed what, String keyword) {
        Numbers numbers = KEYWORDS.numbers(what);
        int found = KEYWORDS.find(keyword).orElseThrow();
        assertThat(numbers.known(found)).isTrue();
        return numbers.twiceMiddle(found) / 2;
    }

    @Test
    void linesBasketsAndCompetitorsAreCounted() {
        assertThat(whole(Computed.LINES, "bee hive")).isEqualTo(5);
        assertThat(whole(Computed.BASKETS, "bee hive")).isEqualTo(4);
        assertThat(whole(Computed.COMPETITORS, "bee hive"))
                .as("one that is named, and two lists of nobody")
                .isEqualTo(3);
        assertThat(whole(Computed.COMPETITORS, "hive \uD83D\uDC1D stand for two"))
                .isZero();
    }

    @Test
    void wordsStandBetweenSpacesAndACharacterIsOneHoweverItIsStored() {
        assertThat(whole(Computed.WORDS, "bee hive")).isEqualTo(2);
        assertThat(whole(Computed.WORDS, "hive \uD83D\uDC1D stand for two")).isEqualTo(5);
        assertThat(whole(Computed.CHARACTERS, "hive \uD83D\uDC1D stand for two"))
                .isEqualTo(20);
        assertThat(whole(Computed.CHARACTERS, "warré hive")).isEqualTo(10);
    }

    @Test
    void aFigureIsThatOfTheListsAndUnknownWhereNoneTellsIt() {
        Numbers searches = KEYWORDS.numbers(Figure.SEARCHES);
        assertThat(searches.twiceMiddle(KEYWORDS.find("bee hive").orElseThrow()))
                .isEqualTo(180);
        assertThat(searches.known(KEYWORDS.find("honey").orElseThrow())).isFalse();
        Numbers none = KEYWORDS.numbers(Figure.CLICKS);
        assertThat(none.known(0)).isFalse();
    }

    @Test
    void whatNeedsMoreThanKeywordsIsNoneOfTheirNumbers() {
        assertThatThrownBy(() -> KEYWORDS.numbers(Computed.ESTIMATED_VALUE))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whatWasGatheredIsToldByItsKind() {
        assertThat(Gathered.of(KEYWORDS))
                .extracting(one -> one.name() + " " + one.lines() + " " + one.brings())
                .containsExactly("list 1 3 true", "list 2 2 true", "list 3 1 true", "list 4 2 true");
        assertThat(Gathered.any(KEYWORDS, BasketInfo.Kind.COMPETITOR)).isTrue();
        assertThat(Gathered.any(KEYWORDS, BasketInfo.Kind.OWN_CAMPAIGN)).isFalse();
    }
}
