package smorgas.core.recipe;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.serve.PlanStructure;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.FeedbackSettings;

/**
 * The settings of a project in which nothing was chosen.
 *
 * @param folds the kinds of folding that are on
 * @param merges how each figure is merged when lines disagree
 * @param similarity how groups are found
 * @param themes how they are found where somebody chooses themes
 * @param placedFrom the least tightness of keywords that are placed automatically
 * @param stopAt where a theme has no stop word
 * @param plan how the plan is made
 * @param clicks how many clicks each place draws
 * @param feedback how reports are read
 */
public record StandardSettings(
        Set<FoldKind> folds,
        Map<Figure, Merge> merges,
        Method.BySimilarity similarity,
        Method.ByThemes themes,
        double placedFrom,
        Set<GroupSettings.StopAt> stopAt,
        PlanSettings plan,
        ClickTable clicks,
        FeedbackSettings feedback) {

    /**
     * Groups of two and more at the usual place of the dial, no bound above; themes of one to five words in any order that three
     * keywords have; exact and phrase, one campaign, names as they are, no bids; a hundred clicks go to a first sale (common
     * practice), and reports are of different weeks.
     */
    public static final StandardSettings FIRST = new StandardSettings(
            EnumSet.complementOf(EnumSet.of(FoldKind.STEMS, FoldKind.LITTLE_WORDS)),
            Arrays.stream(Figure.values()).collect(Collectors.toMap(Function.identity(), Figure::standardMerge)),
            new Method.BySimilarity(Method.BySimilarity.USUAL, 2, 0, false, 100_000),
            Method.ByThemes.USUAL,
            .5,
            EnumSet.of(GroupSettings.StopAt.BEGIN, GroupSettings.StopAt.END),
            new PlanSettings(
                    PlanStructure.THEMED,
                    PlanCampaigns.ONE,
                    PlanGroups.ALL,
                    EnumSet.of(MatchType.PHRASE, MatchType.EXACT),
                    PlanNames.of("Campaign 1", PlanNames.THEME),
                    PlanBids.NONE,
                    PlanPages.INHERITED),
            ClickTable.USUAL,
            new FeedbackSettings(100, true));

    public StandardSettings {
        folds = Collections.unmodifiableSet(EnumSet.copyOf(folds));
        merges = Collections.unmodifiableMap(new EnumMap<>(merges));
        stopAt = Collections.unmodifiableSet(EnumSet.copyOf(stopAt));
    }

    /** How groups form: by similarity, ungrouped keywords apart, no word ignored; the language decides the stop words. */
    public GroupSettings grouping(String language) {
        return byThemes(language).with(similarity);
    }

    /** The same by themes. */
    public GroupSettings byThemes(String language) {
        return new GroupSettings(
                themes,
                false,
                GroupSettings.Ungrouped.APART,
                placedFrom,
                Lexicon.of(language).stopWords(),
                stopAt,
                new TreeSet<>(),
                SameHere.NOTHING,
                Set.of());
    }
}
