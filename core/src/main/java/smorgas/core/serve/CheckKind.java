package smorgas.core.serve;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.sift.Standing;
import smorgas.core.text.Tidy;

/**
 * What can be odd about a plan, and all that there is to say of it; {@link PlanCheck} finds it. Another check is a constant here
 * and what finds it there.
 */
public enum CheckKind {
    /** Keywords that a program on the way would run or refuse; they come first, whatever they cost. */
    HELD_BACK("keyword is", "keywords are", "held back, as listed below", Weight.MUST, null, new Fix("Drop them") {
        @Override
        Entry entry(Plan plan, PlanSettings settings) {
            List<String> texts = plan.heldBack().stream()
                    .map(held -> Tidy.of(held.keyword()))
                    .distinct()
                    .toList();
            return new SiftEntry.Judged(texts, List.of(), Standing.DROPPED);
        }
    }),
    /** Keywords in two ad groups. */
    TWICE("keyword is", "keywords are", "in two ad groups, which bid against each other", Weight.MUST, null, null),
    /** Searches for a keyword that one of another ad group would answer too, and that no negative steers. */
    SHADOWED(
            "keyword is",
            "keywords are",
            "answered by a broader one of another ad group too, and no negative steers them",
            Weight.LOOK,
            new Leads(Place.NEGATIVES, "One by one"),
            new Fix("Keep all apart by negatives") {
                @Override
                Entry entry(Plan plan, PlanSettings settings) {
                    return new ServeEntry.GroupsKeptApart(true);
                }
            }),
    /** Keywords of a campaign or ad group without a bid where others have one. */
    NO_BID(
            "keyword has",
            "keywords have",
            "no bid, for its figure is unknown",
            Weight.LOOK,
            new Leads(Place.BIDS, "Choose bids"),
            null),
    /** Ad groups with more keywords than one ad answers. */
    LARGE(
            "ad group has",
            "ad groups have",
            "more than 50 keywords: one ad rarely answers so many",
            Weight.LOOK,
            new Leads(Place.GROUPS, "Break them down"),
            null),
    /** Ad groups of one keyword. */
    SINGLE(
            "ad group has",
            "ad groups have",
            "one keyword only",
            Weight.LOOK,
            null,
            new Fix("They join their neighbour") {
                @Override
                Entry entry(Plan plan, PlanSettings settings) {
                    PlanGroups groups = settings.groups();
                    return new ServeEntry.PlanSettingsChosen(settings.with(new PlanGroups(
                            groups.keptOnly(),
                            groups.leftovers(),
                            Math.max(2, groups.smallest()),
                            PlanGroups.Small.INTO_NEIGHBOUR,
                            groups.withKept())));
                }
            }),
    /** Ad groups of which a good part is for something else. */
    MIXED(
            "ad group mixes",
            "ad groups mix",
            "those who want to know and those who buy",
            Weight.LOOK,
            new Leads(Place.INTENTS_APART, "Try them apart"),
            null),
    NO_PAGE(
            "ad group has",
            "ad groups have",
            "no page to lead to",
            Weight.LOOK,
            new Leads(Place.PAGES, "Choose pages"),
            null),
    /** Ad groups without an ad, where others have one. */
    NO_AD("ad group has", "ad groups have", "no ad", Weight.LOOK, new Leads(Place.ADS, "To the ads"), null),
    /** Ads with fewer texts than they are shown with. */
    THIN_AD(
            "ad group has",
            "ad groups have",
            "fewer than two ads, or an ad of fewer than three headlines and two descriptions",
            Weight.LOOK,
            new Leads(Place.ADS, "To the ads"),
            null),
    /** Ads that say one headline twice. */
    SAME_HEADLINE(
            "ad group has",
            "ad groups have",
            "an ad with the same headline twice",
            Weight.LOOK,
            new Leads(Place.ADS, "To the ads"),
            null),
    /** Texts of ads that were cut. */
    CUT_TEXT(
            "text of ads was",
            "texts of ads were",
            "too long and cut",
            Weight.LOOK,
            new Leads(Place.ADS, "To the ads"),
            null),
    /** Fields in ads for which nobody has said what stands there. */
    OPEN_FIELD(
            "ad group has",
            "ad groups have",
            "an ad with a field that nothing stands for",
            Weight.MUST,
            new Leads(Place.ADS, "To the ads"),
            null),
    /** Ad groups whose names are told apart by a number only. */
    SAME_NAME(
            "ad group is",
            "ad groups are",
            "told from another by a number only",
            Weight.LOOK,
            new Leads(Place.NAMES, "Choose names"),
            null),
    /** Leftovers that the plan misses. */
    LEFTOVERS(
            "leftover is",
            "leftovers are",
            "searched for and not in the plan",
            Weight.LOOK,
            null,
            new Fix("Serve them too") {
                @Override
                Entry entry(Plan plan, PlanSettings settings) {
                    PlanGroups groups = settings.groups();
                    return new ServeEntry.PlanSettingsChosen(settings.with(new PlanGroups(
                            groups.keptOnly(), true, groups.smallest(), groups.small(), groups.withKept())));
                }
            }),
    /** Keywords of which no searches are known. */
    NO_SEARCHES(
            "keyword has",
            "keywords have",
            "no searches that any list tells",
            Weight.LOOK,
            new Leads(Place.UNKNOWN_SEARCHES, "Show them"),
            null);

    /** How much it matters. */
    private enum Weight {
        MUST,
        LOOK
    }

    /** Where something is looked at and put right by hand. */
    public enum Place {
        ADS,
        BIDS,
        GROUPS,
        INTENTS_APART,
        NAMES,
        NEGATIVES,
        PAGES,
        UNKNOWN_SEARCHES
    }

    /**
     * Where it is put right by hand.
     *
     * @param words what the link there says
     */
    public record Leads(Place place, String words) {}

    /** What mends all of it at once. */
    public abstract static class Fix {
        private final String words;

        private Fix(String words) {
            this.words = words;
        }

        /** What the button says. */
        public String words() {
            return words;
        }

        abstract Entry entry(Plan plan, PlanSettings settings);
    }

    private final String one;
    private final String many;
    private final String why;
    private final Weight weight;
    private final @Nullable Leads leads;
    private final @Nullable Fix fix;

    CheckKind(String one, String many, String why, Weight weight, @Nullable Leads leads, @Nullable Fix fix) {
        this.one = one;
        this.many = many;
        this.why = why;
        this.weight = weight;
        this.leads = leads;
        this.fix = fix;
    }

    /** What one of them is called, with its verb: {@code keyword is}. */
    public String one() {
        return one;
    }

    /** The same of several. */
    public String many() {
        return many;
    }

    /** What is wrong, behind the verb. */
    public String why() {
        return why;
    }

    /** Whether it is to be mended before the plan leaves; else it is worth a look. */
    public boolean must() {
        return weight == Weight.MUST;
    }

    public Optional<Leads> leads() {
        return Optional.ofNullable(leads);
    }

    public Optional<Fix> fix() {
        return Optional.ofNullable(fix);
    }

    /** The act that mends all of it; empty if nothing does. */
    public Optional<Entry> mending(Plan plan, PlanSettings settings) {
        return fix().map(one -> one.entry(plan, settings));
    }
}
