package smorgas.core.serve;

import java.io.Writer;
import java.util.List;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.text.Message;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.json.JsonFactory;

/** A plan as JSON (RFC 8259) by the schema that is published beside it, {@code plan.schema.json}. */
final class PlanJson extends TextPlanFormat {

    private static final JsonFactory JSON =
            JsonFactory.builder().disable(StreamWriteFeature.AUTO_CLOSE_TARGET).build();

    PlanJson() {
        super("plan.json", Message.verbatim("JSON"), "application/json");
    }

    @Override
    void write(Handover what, Writer to) {
        try (JsonGenerator out = JSON.createGenerator(ObjectWriteContext.empty(), to)) {
            out.writeStartObject();
            out.writeNumberProperty("plan", 1);
            out.writeStringProperty("project", what.project());
            out.writeStringProperty("currency", what.currency());
            out.writeArrayPropertyStart("campaigns");
            for (Plan.Campaign campaign : what.plan().campaigns()) {
                out.writeStartObject();
                out.writeStringProperty("name", campaign.name());
                out.writeArrayPropertyStart("adGroups");
                campaign.adGroups().forEach(group -> adGroup(group, out));
                out.writeEndArray();
                negatives(campaign.negatives(), out);
                out.writeEndObject();
            }
            out.writeEndArray();
            out.writeEndObject();
        }
    }

    private static void adGroup(Plan.AdGroup group, JsonGenerator out) {
        out.writeStartObject();
        out.writeStringProperty("name", group.name());
        bid(group.bidMicros(), out);
        group.page().ifPresent(page -> out.writeStringProperty("page", page));
        out.writeArrayPropertyStart("keywords");
        for (Plan.Exported exported : group.keywords()) {
            out.writeStartObject();
            out.writeStringProperty("keyword", exported.keyword());
            out.writeArrayPropertyStart("matchTypes");
            exported.matchTypes().stream().map(MatchType::name).forEach(out::writeString);
            out.writeEndArray();
            bid(exported.bidMicros(), out);
            out.writeEndObject();
        }
        out.writeEndArray();
        negatives(group.negatives(), out);
        out.writeArrayPropertyStart("ads");
        for (Plan.Ad ad : group.ads()) {
            out.writeStartObject();
            texts("headlines", ad.headlines(), out);
            texts("descriptions", ad.descriptions(), out);
            texts("paths", ad.paths(), out);
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeEndObject();
    }

    /** In millionths of the currency, which is exact. */
    private static void bid(long micros, JsonGenerator out) {
        if (micros > 0) {
            out.writeNumberProperty("bidMicros", micros);
        }
    }

    private static void texts(String name, List<String> texts, JsonGenerator out) {
        out.writeArrayPropertyStart(name);
        texts.forEach(out::writeString);
        out.writeEndArray();
    }

    private static void negatives(List<Plan.Negative> negatives, JsonGenerator out) {
        out.writeArrayPropertyStart("negatives");
        for (Plan.Negative negative : negatives) {
            out.writeStartObject();
            out.writeStringProperty("keyword", negative.keyword());
            out.writeStringProperty("matchType", negative.matchType().name());
            out.writeEndObject();
        }
        out.writeEndArray();
    }
}
