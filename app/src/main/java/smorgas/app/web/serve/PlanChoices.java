package smorgas.app.web.serve;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.util.MultiValueMap;
import smorgas.app.web.show.Fields;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.serve.PlanStructure;
import smorgas.core.text.Refusal;

/** The choices of Serve as the fields of a form; a field that is not there asks for what is adopted. */
final class PlanChoices {

    private final MultiValueMap<String, String> fields;
    private final PlanSettings adopted;
    private final Decimals decimals;
    /** Whether all fields are there, so that a tick that is not has been taken away. */
    private final boolean whole;

    private PlanChoices(MultiValueMap<String, String> fields, PlanSettings adopted, Decimals decimals) {
        this.fields = fields;
        this.adopted = adopted;
        this.decimals = decimals;
        this.whole = fields.containsKey("choices");
    }

    /**
     * The settings that some fields ask for.
     *
     * @throws Refusal with a sentence, if a field cannot be meant
     */
    static PlanSettings read(MultiValueMap<String, String> fields, PlanSettings adopted, Decimals decimals) {
        return new PlanChoices(fields, adopted, decimals).settings();
    }

    /**
     * A rule of bids that some fields ask for.
     *
     * @param known what holds where a field is not there
     * @throws Refusal with a sentence, if a field cannot be meant
     */
    static PlanBids bids(MultiValueMap<String, String> fields, PlanSettings known, Decimals decimals) {
        return new PlanChoices(fields, known, decimals).bids();
    }

    private PlanSettings settings() {
        PlanCampaigns.By by = choice(
                PlanCampaigns.By.class, "campaignsBy", adopted.campaigns().by());
        return new PlanSettings(
                new PlanStructure(
                        number("depth", adopted.structure().depth()),
                        tick("oneKeyword", adopted.structure().oneKeyword()),
                        tick("oneMatchType", adopted.structure().oneMatchType())),
                by == PlanCampaigns.By.THEME
                        ? new PlanCampaigns(
                                by,
                                number(
                                        "campaignDepth",
                                        Math.max(1, adopted.campaigns().depth())))
                        : PlanCampaigns.by(by),
                groups(),
                types(),
                names(),
                bids(),
                new PlanPages(
                        tick("inherited", adopted.pages().inherited()),
                        tick("picked", adopted.pages().picked()),
                        text("pagePattern", adopted.pages().pattern())));
    }

    private PlanGroups groups() {
        PlanGroups known = adopted.groups();
        return new PlanGroups(
                fields.containsKey("keptOnly") ? Boolean.parseBoolean(fields.getFirst("keptOnly")) : known.keptOnly(),
                tick("ungrouped", known.ungrouped()),
                number("smallest", known.smallest()),
                choice(PlanGroups.Small.class, "small", known.small()),
                tick("withKept", known.withKept()));
    }

    private Set<MatchType> types() {
        if (!whole && !fields.containsKey("matchTypes")) {
            return adopted.matchTypes();
        }
        Set<MatchType> types = EnumSet.noneOf(MatchType.class);
        for (String type : fields.getOrDefault("matchTypes", List.of())) {
            types.add(Fields.named(MatchType.class, type));
        }
        return types;
    }

    private PlanNames names() {
        PlanNames known = adopted.names();
        return new PlanNames(
                text("campaign", known.campaign()),
                text("pattern", known.adGroup()),
                text("prefix", known.prefix()),
                text("suffix", known.suffix()),
                choice(PlanNames.Letters.class, "letters", known.letters()),
                number("longest", known.longest()),
                tick("plain", known.plain()),
                text("date", known.date()));
    }

    private PlanBids bids() {
        PlanBids known = adopted.bids();
        PlanBids.From from = choice(PlanBids.From.class, "bidFrom", known.from());
        long bid = micros("bid", known.micros());
        if (fields.containsKey("bid") && !fields.containsKey("bidFrom")) {
            return PlanBids.fixed(bid);
        }
        if (from == PlanBids.From.FIXED && bid == 0) {
            throw new Refusal("serve.plan-choices.say-which-bid-all");
        }
        return new PlanBids(
                from,
                from == PlanBids.From.FIXED ? bid : 0,
                number("percent", known.percent()),
                micros("step", known.stepMicros()),
                micros("cap", known.capMicros()));
    }

    private boolean tick(String name, boolean known) {
        return whole || fields.containsKey(name) ? "true".equals(fields.getFirst(name)) : known;
    }

    /** As it was written, but for what a line cannot hold: spaces at the ends of a prefix count. */
    private String text(String name, String known) {
        String value = fields.getFirst(name);
        return value == null ? known : value;
    }

    private int number(String name, int known) {
        String value = text(name, "").strip();
        if (value.isEmpty()) {
            return known;
        }
        if (!value.matches("\\d{1,9}")) {
            throw new Refusal("serve.plan-choices.whole-number", value);
        }
        return Integer.parseInt(value);
    }

    private long micros(String name, long known) {
        return fields.containsKey(name) ? micros(text(name, ""), decimals) : known;
    }

    /**
     * Money as people of a language write it, in millionths; 0 for nothing.
     *
     * @throws Refusal if it is none
     */
    static long micros(String bid, Decimals decimals) {
        FigureReader reader = new FigureReader(decimals);
        return switch (reader.read(bid, Figure.CPC)) {
            case READ -> reader.low();
            case EMPTY -> 0;
            case FAULT -> throw new Refusal("serve.plan-choices.bid-write-0-75", bid.strip());
        };
    }

    private <E extends Enum<E>> E choice(Class<E> type, String name, E known) {
        String value = text(name, "");
        return value.isEmpty() ? known : Fields.named(type, value);
    }
}
