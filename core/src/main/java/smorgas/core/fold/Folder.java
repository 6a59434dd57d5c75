package smorgas.core.fold;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Recipe;

/** Folds lines into keywords: one for each meaning, as far as the settings go. */
public final class Folder {

    private Folder() {}

    private static Map<Figure, FigureColumn> figures(FamilyMerger.Input input, Map<Figure, Merge> merges) {
        Map<Figure, FigureColumn> columns = new EnumMap<>(FigureMerger.merged(
                input.baskets(), input.starts(), input.keywordOfLine(), input.leads().length, merges));
        columns.putAll(FamilyMerger.merged(input, merges));
        return columns;
    }

    /** The keywords of these baskets, folded and merged as an English project does at first. */
    public static Keywords fold(List<Lines> baskets) {
        Recipe first = Recipe.empty("en");
        return fold(baskets, first.folding());
    }

    /** The keywords of these baskets. */
    public static Keywords fold(List<Lines> baskets, Folding folding) {
        return fold(Prepared.of(Spellings.of(baskets), folding), folding);
    }

    /**
     * The keywords of spellings that were prepared for these cleanings. Which keywords there are does not depend on the
     * order of the baskets; what is unknown never wins over what is known.
     */
    public static Keywords fold(Prepared prepared, Folding folding) {
        Map<Figure, Merge> figures = folding.merges();
        Tokens tokens = prepared.tokens();
        Merges merges = Merges.of(tokens, folding, prepared.keys(folding, folding.on()));
        Spellings spellings = tokens.spellings();
        int[] keywordOfLine = new int[spellings.ofLine().length];
        for (int line = 0; line < keywordOfLine.length; line++) {
            int spelling = spellings.ofLine()[line];
            keywordOfLine[line] = spelling == Spellings.NONE ? Spellings.NONE : merges.keywordOf()[spelling];
        }
        // Words depend on the texts, figures on the lines: neither on the other.
        var merged = CompletableFuture.supplyAsync(() -> {
            FamilyMerger.Input input = new FamilyMerger.Input(
                    spellings.baskets(), spellings.starts(), keywordOfLine, spellings.ofLine(), merges.leads());
            return spellings.baskets().stream().anyMatch(Lines::tellsMadeUp)
                    ? MadeUp.beside(
                            figures(input.telling(false), figures),
                            figures(input.telling(true), figures),
                            merges.size())
                    : figures(input, figures);
        });
        String[] leads = new String[merges.size()];
        TextDictionary vocabulary = new TextDictionary();
        RaggedInts.Builder words = new RaggedInts.Builder();
        Tokens.Splitter cut = tokens.cut(vocabulary);
        for (int keyword = 0; keyword < leads.length; keyword++) {
            leads[keyword] = tokens.text(merges.leads()[keyword]);
            cut.add(merges.leads()[keyword], words);
            words.endRow();
        }
        return new Keywords(
                prepared,
                folding,
                merges,
                leads,
                vocabulary,
                words.seal(),
                RaggedInts.byKey(keywordOfLine, leads.length),
                merged.join());
    }
}
