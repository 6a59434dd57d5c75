package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.List;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.serve.PlanSettings;

/**
 * What the entries in force come to, room by room. A pure function of the entries and the language; cannot change.
 *
 * @param rules what the decisions come to
 * @param gathering which baskets are in
 * @param folding what decides which lines are one keyword and what its figures are
 * @param sifting decisions, rules, tags, word lists, views
 * @param grouping how groups form, and what a hand decided of them
 * @param serving what leaves
 * @param valuing what keywords are for and may bring
 * @param notes what was written down; nothing is computed from it
 */
public record Recipe(
        Rules rules,
        Gathering gathering,
        Folding folding,
        Sifting sifting,
        GroupDecisions grouping,
        Serving serving,
        Valuing valuing,
        Notes notes) {

    /** The recipe of a project in which nothing was decided. */
    public static Recipe empty(String language) {
        return of(List.of(), language);
    }

    /**
     * Applies the entries in order. What is decided in one room means nothing in another, so each takes its own.
     * An entry about a rule that does not exist any more changes nothing.
     *
     * @param language decides the stop words until settings were chosen
     */
    public static Recipe of(List<Entry> entries, String language) {
        return of(entries, language, Rules.NEWEST);
    }

    /** The same by some rules. */
    public static Recipe of(List<Entry> entries, String language, Rules rules) {
        Gathering gathering = Gathering.EMPTY;
        Folding folding = Folding.standard(language, rules);
        List<SiftEntry> sifted = new ArrayList<>();
        List<GroupEntry> grouped = new ArrayList<>();
        Serving serving = Serving.standard(rules.settings());
        List<ValueEntry> valued = new ArrayList<>();
        List<NoteEntry> noted = new ArrayList<>();
        for (Entry entry : RecipeTaken.inForce(entries)) {
            switch (entry) {
                case BasketEntry e -> gathering = gathering.after(e);
                case FoldEntry e -> folding = folding.after(e);
                case SiftEntry e -> sifted.add(e);
                case GroupEntry e -> grouped.add(e);
                case ServeEntry e -> serving = serving.after(e);
                case ValueEntry e -> valued.add(e);
                case NoteEntry e -> noted.add(e);
                case VersionEntry point ->
                    throw new IllegalStateException("the history follows it, no room does: " + point);
                case RecipeTaken taken ->
                    throw new IllegalStateException("its entries stand in its place: " + taken.name());
            }
        }
        return new Recipe(
                rules,
                gathering,
                folding,
                Sifting.EMPTY.after(sifted),
                GroupDecisions.standard(rules.settings().grouping(language)).after(grouped),
                serving,
                Valuing.standard(rules.settings()).after(valued),
                Notes.NONE.after(noted));
    }

    /** The decisions that count, in order: nothing about baskets or points, and of a recipe that was taken its own. */
    public static List<Entry> decisions(List<Entry> entries) {
        return RecipeTaken.inForce(entries).stream()
                .filter(entry -> !(entry instanceof BasketEntry || entry instanceof VersionEntry))
                .toList();
    }

    /** The recipe with other group settings, to look at before they are chosen. */
    public Recipe withGroups(GroupSettings settings) {
        return new Recipe(rules, gathering, folding, sifting, grouping.with(settings), serving, valuing, notes);
    }

    /** The recipe with other choices of the plan, to look at before they are set. */
    public Recipe withPlan(PlanSettings settings) {
        return new Recipe(
                rules,
                gathering,
                folding,
                sifting,
                grouping,
                serving.after(new ServeEntry.PlanSettingsChosen(settings)),
                valuing,
                notes);
    }

    /** The recipe after one more entry about groups. */
    public Recipe after(GroupEntry entry) {
        return new Recipe(rules, gathering, folding, sifting, grouping.after(entry), serving, valuing, notes);
    }

    /** Whether it says the same in the same order: of two decisions on one keyword the later holds. */
    public boolean sameAs(Recipe other) {
        return equals(other)
                && sifting.sameAs(other.sifting)
                && grouping.sameAs(other.grouping)
                && valuing.sameAs(other.valuing);
    }
}
