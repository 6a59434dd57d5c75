package smorgas.app.store;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Bodies of entries as older versions wrote them, brought to the format of today. */
final class OldBodies {

    private OldBodies() {}

    /** The body in today's format; the same if it is in it. */
    static JsonNode brought(String kind, int format, JsonNode body) {
        boolean adopted = kind.equals("groups-adopted");
        if ((kind.equals("group-settings") || kind.equals("alternative") || adopted)
                && body.path("settings") instanceof ObjectNode settings) {
            // What was adopted came with the third format of settings.
            int of = adopted ? format + 2 : format;
            if (of == 1) {
                // The method of grouping and what belongs to it stood among the settings.
                ObjectNode method = settings.objectNode().put("by", "themes");
                for (String field : new String[] {"passes", "rank"}) {
                    JsonNode value = settings.remove(field);
                    if (value != null) {
                        method.set(field, value);
                    }
                }
                settings.set("method", method);
            }
            if (of <= 2) {
                // No words were said to mean the same.
                ObjectNode same = settings.putObject("same");
                same.putArray("sets");
                same.putArray("apart");
                // So many keywords were compared.
                if (settings.path("method") instanceof ObjectNode method
                        && method.path("by").stringValue("").equals("likeness")) {
                    method.put("compared", 100_000);
                }
            }
            if (of <= 3) {
                // No intents were kept apart.
                settings.putArray("intentsApart");
            }
            if (of <= 4 && settings.path("method").path("rank") instanceof ObjectNode rank) {
                // Visits and goals were no figures.
                rank.put("visits", 0).put("goals", 0);
            }
        }
        if (format == 1 && kind.equals("plan-settings") && body.path("settings") instanceof ObjectNode settings) {
            parted(settings);
        }
        if (format <= 2 && kind.equals("basket-renewed") && body instanceof ObjectNode renewed) {
            // Schedules were not told.
            renewed.put("scheduled", false);
        }
        if (format == 1 && kind.equals("groups-settled") && body instanceof ObjectNode settled) {
            // It was not told what was left over.
            settled.putArray("left");
        }
        return body;
    }

    /** All choices of the plan stood side by side, and there were fewer. */
    private static void parted(ObjectNode settings) {
        ObjectNode structure = settings.objectNode();
        structure.set("depth", settings.remove("depth"));
        structure.put("oneKeyword", false).put("oneMatchType", false);
        settings.set("structure", structure);
        settings.putObject("campaigns").put("by", "ONE").put("depth", 0);
        ObjectNode groups = settings.objectNode();
        groups.set("keptOnly", settings.remove("keptOnly"));
        groups.set("leftovers", settings.remove("leftovers"));
        settings.set(
                "groups", groups.put("smallest", 1).put("small", "LEFT_OUT").put("withKept", false));
        ObjectNode names = settings.objectNode();
        names.set("campaign", settings.remove("campaign"));
        names.set("adGroup", settings.remove("pattern"));
        boolean title = settings.path("titleCase").booleanValue(false);
        settings.remove("titleCase");
        settings.set(
                "names",
                names.put("prefix", "")
                        .put("suffix", "")
                        .put("letters", title ? "TITLE" : "AS_THEY_ARE")
                        .put("longest", 255)
                        .put("plain", false)
                        .put("date", ""));
        JsonNode bid = settings.remove("bidMicros");
        ObjectNode bids = settings.objectNode()
                .put("from", bid == null || bid.longValue(0) == 0 ? "NOTHING" : "FIXED")
                .put("micros", bid == null ? 0 : bid.longValue(0));
        settings.set("bids", bids.put("percent", 100).put("stepMicros", 0).put("capMicros", 0));
        settings.putObject("pages").put("inherited", true).put("picked", false).put("pattern", "");
    }
}
