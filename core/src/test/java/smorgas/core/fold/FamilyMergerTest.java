package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Recipe;

/** Figures that belong together, of keywords whose lines disagree; the figures were laid out by hand. */
class FamilyMergerTest {

    private static final List<Lines> BASKETS = List.of(
            TestLists.lines(
                    1, "keyword,searches,low bid,high bid,cpc\nbee hives,100,1,2,1.50\nbee hive,900,3,4,3.50\n"),
            TestLists.lines(2, "keyword,searches,low bid,high bid,cpc\nbee hives,90,0.5,,0.12\nbee hive,800,,5,\n"));

    private static long of(Keywords keywords, Figure figure) {
        FigureColumn column = keywords.figure(figure).orElseThrow();
        return column.known(0) ? column.low(0) : -1;
    }

    private static Keywords fold(Entry... entries) {
        Recipe recipe = Recipe.of(List.of(entries), "en");
        return Folder.fold(BASKETS, recipe.folding());
    }

    @Test
    void bothBidsComeFromOneLineOfTheLeadSpellingThatTellsBoth() {
        Keywords keywords = fold();
        assertThat(keywords.size()).isEqualTo(1);
        assertThat(keywords.text(0)).isEqualTo("bee hive");
        assertThat(of(keywords, Figure.LOW_BID)).isEqualTo(3_000_000);
        assertThat(of(keywords, Figure.HIGH_BID)).isEqualTo(4_000_000);
        assertThat(of(keywords, Figure.CPC)).as("not of the rare spelling").isEqualTo(3_500_000);
        assertThat(of(keywords, Figure.SEARCHES)).isEqualTo(900);
    }

    @Test
    void whatIsChosenForOneOfAFamilyHoldsForAllOfIt() {
        Keywords largest = fold(new FoldEntry.MergeChosen(Figure.LOW_BID, Merge.LARGEST));
        assertThat(of(largest, Figure.LOW_BID)).isEqualTo(3_000_000);
        assertThat(of(largest, Figure.HIGH_BID)).isEqualTo(4_000_000);
        Keywords first = fold(new FoldEntry.MergeChosen(Figure.HIGH_BID, Merge.FIRST));
        assertThat(of(first, Figure.LOW_BID)).isEqualTo(3_000_000);
    }
}
