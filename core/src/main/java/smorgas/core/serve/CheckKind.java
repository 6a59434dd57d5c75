package smorgas.core.serve;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/**
 * What can be odd about a plan, and all that there is to say of it; {@link PlanCheck} finds it. Another check is a constant here
 * and what finds it there.
 */
public enum CheckKind {
    /** Keywords that a program on the way would run or refuse; they come first, whatever they cost. */
    NOT_EXPORTED("check.not-exported", Weight.MUST, null, new Fix(Message.of("check.not-exported.fix")) {
        @Override
        Entry entry(Plan plan, PlanSettings settings) {
            List<String> texts = plan.notExported().stream()
                    .map(held -> Tidy.of(held.keyword()))
                    .distinct()
                    .toList();
            return new SiftEntry.Judged(texts, List.of(), Status.DROPPED);
        }
    }),
    /** Keywords in two ad groups. */
    TWICE("check.twice", Weight.MUST, null, null),
    /** Searches for a keyword that one of another ad group would answer too, and that no negative steers. */
    SHADOWED(
            "check.shadowed",
            Weight.LOOK,
            new Leads(Place.NEGATIVES, Message.of("check.shadowed.leads")),
            new Fix(Message.of("check.shadowed.fix")) {
                @Override
                Entry entry(Plan plan, PlanSettings settings) {
                    return new ServeEntry.GroupsKeptApart(true);
                }
            }),
    /** Keywords of a campaign or ad group without a bid where others have one. */
    NO_BID("check.no-bid", Weight.LOOK, new Leads(Place.BIDS, Message.of("check.no-bid.leads")), null),
    /** Ad groups with more keywords than one ad answers. */
    LARGE("check.large", Weight.LOOK, new Leads(Place.GROUPS, Message.of("check.large.leads")), null),
    /** Ad groups of one keyword. */
    SINGLE("check.single", Weight.LOOK, null, new Fix(Message.of("check.single.fix")) {
        @Override
        Entry entry(Plan plan, PlanSettings settings) {
            PlanGroups groups = settings.groups();
            return new ServeEntry.PlanSettingsChosen(settings.with(new PlanGroups(
                    groups.keptOnly(),
                    groups.ungrouped(),
                    Math.max(2, groups.smallest()),
                    PlanGroups.Small.INTO_RELATED,
                    groups.withKept())));
        }
    }),
    /** Ad groups of which a good part is for something else. */
    MIXED("check.mixed", Weight.LOOK, new Leads(Place.INTENTS_APART, Message.of("check.mixed.leads")), null),
    NO_PAGE("check.no-page", Weight.LOOK, new Leads(Place.PAGES, Message.of("check.no-page.leads")), null),
    /** Ad groups without an ad, where others have one. */
    NO_AD("check.no-ad", Weight.LOOK, new Leads(Place.ADS, Message.of("check.no-ad.leads")), null),
    /** Ads with fewer texts than they are shown with. */
    THIN_AD("check.thin-ad", Weight.LOOK, new Leads(Place.ADS, Message.of("check.thin-ad.leads")), null),
    /** Ads that say one headline twice. */
    SAME_HEADLINE(
            "check.same-headline", Weight.LOOK, new Leads(Place.ADS, Message.of("check.same-headline.leads")), null),
    /** Texts of ads that were cut. */
    CUT_TEXT("check.cut-text", Weight.LOOK, new Leads(Place.ADS, Message.of("check.cut-text.leads")), null),
    /** Fields in ads for which nobody has said what stands there. */
    OPEN_FIELD("check.open-field", Weight.MUST, new Leads(Place.ADS, Message.of("check.open-field.leads")), null),
    /** Ad groups whose names are told apart by a number only. */
    SAME_NAME("check.same-name", Weight.LOOK, new Leads(Place.NAMES, Message.of("check.same-name.leads")), null),
    /** Ungrouped that the plan misses. */
    UNGROUPED("check.ungrouped", Weight.LOOK, null, new Fix(Message.of("check.ungrouped.fix")) {
        @Override
        Entry entry(Plan plan, PlanSettings settings) {
            PlanGroups groups = settings.groups();
            return new ServeEntry.PlanSettingsChosen(settings.with(
                    new PlanGroups(groups.keptOnly(), true, groups.smallest(), groups.small(), groups.withKept())));
        }
    }),
    /** Keywords of which no searches are known. */
    NO_SEARCHES(
            "check.no-searches",
            Weight.LOOK,
            new Leads(Place.UNKNOWN_SEARCHES, Message.of("check.no-searches.leads")),
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
    public record Leads(Place place, Message words) {}

    /** What mends all of it at once. */
    public abstract static class Fix {
        private final Message words;

        private Fix(Message words) {
            this.words = words;
        }

        /** What the button says. */
        public Message words() {
            return words;
        }

        abstract Entry entry(Plan plan, PlanSettings settings);
    }

    private final String key;
    private final Weight weight;
    private final @Nullable Leads leads;
    private final @Nullable Fix fix;

    CheckKind(String key, Weight weight, @Nullable Leads leads, @Nullable Fix fix) {
        this.key = key;
        this.weight = weight;
        this.leads = leads;
        this.fix = fix;
    }

    /** How many of what it is found of. */
    public Message count(int count) {
        return Message.of(key, count);
    }

    /** What is wrong with them, behind their number. */
    public Message why() {
        return Message.of(key + ".why");
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
