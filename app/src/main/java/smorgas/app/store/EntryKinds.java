package smorgas.app.store;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.NoteEntry;
import smorgas.core.recipe.RecipeTaken;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.VersionEntry;

/**
 * How entries are persisted: each kind has a name of its own, so that classes may be renamed and moved, and the number of
 * the format in which its body is written today. Until version 1.0 all formats are 1 and change
 * in place, which changes the {@link Fingerprint}; from then on a change of a kind's fields needs the next number and a step
 * that brings older bodies to it.
 */
final class EntryKinds {

    static final String RECIPE_TAKEN = "recipe-taken";

    /** @param format from 1 */
    record Kind(String name, int format, Class<? extends Entry> type) {}

    static final List<Kind> ALL = List.of(
            new Kind("basket-added", 1, BasketEntry.BasketAdded.class),
            new Kind("basket-removed", 1, BasketEntry.BasketRemoved.class),
            new Kind("basket-described", 1, BasketEntry.BasketDescribed.class),
            new Kind("basket-switched", 1, BasketEntry.BasketSwitched.class),
            new Kind("basket-brings", 1, BasketEntry.BasketBrings.class),
            new Kind("basket-read-as", 1, BasketEntry.BasketReadAs.class),
            new Kind("basket-renewed", 1, BasketEntry.BasketRenewed.class),
            new Kind("fold-kind", 1, FoldEntry.FoldKindSwitched.class),
            new Kind("little-words", 1, FoldEntry.LittleWordsChosen.class),
            new Kind("misspellings", 1, FoldEntry.MisspellingsJudged.class),
            new Kind("taken-out", 1, FoldEntry.SpellingsTakenOut.class),
            new Kind("joined", 1, FoldEntry.KeywordsJoined.class),
            new Kind("lead", 1, FoldEntry.LeadChosen.class),
            new Kind("cleaning-added", 1, FoldEntry.CleaningAdded.class),
            new Kind("cleaning-removed", 1, FoldEntry.CleaningRemoved.class),
            new Kind("merge", 1, FoldEntry.MergeChosen.class),
            new Kind("judged", 1, SiftEntry.Judged.class),
            new Kind("given-back", 1, SiftEntry.GivenBack.class),
            new Kind("rule-added", 1, SiftEntry.RuleAdded.class),
            new Kind("rule-removed", 1, SiftEntry.RuleRemoved.class),
            new Kind("rule-changed", 1, SiftEntry.RuleChanged.class),
            new Kind("tagged", 1, SiftEntry.Tagged.class),
            new Kind("view-saved", 1, SiftEntry.ViewSaved.class),
            new Kind("view-removed", 1, SiftEntry.ViewRemoved.class),
            new Kind("list-taken", 1, SiftEntry.ListTaken.class),
            new Kind("columns", 1, SiftEntry.ColumnsChosen.class),
            new Kind("rule-moved", 1, SiftEntry.RuleMoved.class),
            new Kind("negative", 1, ServeEntry.NegativeDecided.class),
            new Kind("negatives-said", 1, ServeEntry.NegativesSaid.class),
            new Kind("kept-apart", 1, ServeEntry.GroupsKeptApart.class),
            new Kind("plan-settings", 1, ServeEntry.PlanSettingsChosen.class),
            new Kind("ad-group-said", 1, ServeEntry.AdGroupSaid.class),
            new Kind("campaign-said", 1, ServeEntry.CampaignSaid.class),
            new Kind("ads-set", 1, ServeEntry.AdsSet.class),
            new Kind("ads-said", 1, ServeEntry.AdsSaid.class),
            new Kind("ads-replaced", 1, ServeEntry.AdsReplaced.class),
            new Kind("words-ignored", 1, GroupEntry.WordsIgnored.class),
            new Kind("words-same", 1, GroupEntry.WordsSame.class),
            new Kind("offers-refused", 1, GroupEntry.OffersRefused.class),
            new Kind("group-settings", 1, GroupEntry.GroupSettingsChosen.class),
            new Kind("groups-adopted", 1, GroupEntry.GroupsAdopted.class),
            new Kind("group-rule", 1, GroupEntry.GroupRuleSet.class),
            new Kind("group-rule-removed", 1, GroupEntry.GroupRuleRemoved.class),
            new Kind("group-rule-moved", 1, GroupEntry.GroupRuleMoved.class),
            new Kind("alternative", 1, GroupEntry.AlternativeKept.class),
            new Kind("alternative-dropped", 1, GroupEntry.AlternativeDropped.class),
            new Kind("placed", 1, GroupDecision.KeywordsPlaced.class),
            new Kind("theme-removed", 1, GroupDecision.ThemeRemoved.class),
            new Kind("group-named", 1, GroupDecision.GroupNamed.class),
            new Kind("themes-made", 1, GroupDecision.ThemesMade.class),
            new Kind("groups-as-they-are", 1, GroupDecision.GroupsAsTheyAre.class),
            new Kind("groups-joined", 1, GroupDecision.GroupsJoined.class),
            new Kind("group-split", 1, GroupDecision.GroupSplit.class),
            new Kind("group-locked", 1, GroupDecision.GroupLocked.class),
            new Kind("membership", 1, GroupDecision.Membership.class),
            new Kind("intent-said", 1, ValueEntry.IntentSaid.class),
            new Kind("intent-worded", 1, ValueEntry.IntentWorded.class),
            new Kind("intent-ruled", 1, ValueEntry.IntentRuled.class),
            new Kind("assumptions", 1, ValueEntry.AssumptionsSet.class),
            new Kind("click-table", 1, ValueEntry.ClickTableSet.class),
            new Kind("feedback-settings", 1, ValueEntry.FeedbackSet.class),
            new Kind("priority", 1, ValueEntry.PrioritySet.class),
            new Kind("keyword-noted", 1, NoteEntry.KeywordNoted.class),
            new Kind("group-noted", 1, NoteEntry.GroupNoted.class),
            new Kind("project-noted", 1, NoteEntry.ProjectNoted.class),
            new Kind("went-back", 1, VersionEntry.WentBack.class),
            new Kind("version-named", 1, VersionEntry.VersionNamed.class),
            new Kind("recipe-taken", 1, RecipeTaken.class));

    private static final Map<Class<? extends Entry>, Kind> BY_TYPE =
            ALL.stream().collect(Collectors.toUnmodifiableMap(Kind::type, Function.identity()));

    private static final Map<String, Kind> BY_NAME =
            ALL.stream().collect(Collectors.toUnmodifiableMap(Kind::name, Function.identity()));

    private EntryKinds() {}

    static Kind of(Entry entry) {
        return java.util.Objects.requireNonNull(
                BY_TYPE.get(entry.getClass()), entry.getClass().getName());
    }

    /** The kind of this name, if this version reads it in this format. */
    static @Nullable Kind find(String name, int format) {
        Kind kind = BY_NAME.get(name);
        return kind == null || format != kind.format() ? null : kind;
    }

    /** The names of kinds that a recipe can hold. */
    static List<String> ofRecipe() {
        return ALL.stream()
                .filter(kind -> !BasketEntry.class.isAssignableFrom(kind.type())
                        && !VersionEntry.class.isAssignableFrom(kind.type())
                        && kind.type() != RecipeTaken.class)
                .map(Kind::name)
                .toList();
    }
}
