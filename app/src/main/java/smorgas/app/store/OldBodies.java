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
        }
        if (format == 1 && kind.equals("groups-settled") && body instanceof ObjectNode settled) {
            // It was not told what was left over.
            settled.putArray("left");
        }
        return body;
    }
}
