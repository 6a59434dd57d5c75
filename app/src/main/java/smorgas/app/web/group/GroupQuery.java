package smorgas.app.web.group;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import org.springframework.util.MultiValueMap;
import smorgas.app.web.show.Show;

/**
 * What the address of the Group page asks for beside the dials: how the groups are looked at, and which one is opened.
 *
 * @param dials the dials of a preview as the beginning of a query; empty if they are as adopted
 * @param fields what differs from the standard, by name
 */
record GroupQuery(String dials, SequencedMap<String, String> fields) {

    /** Every field, and what it is where the address does not tell it. */
    private static final Map<String, String> STANDARD = Map.ofEntries(
            Map.entry("view", "map"),
            Map.entry("by", "searches"),
            Map.entry("tint", "tightness"),
            Map.entry("zoom", ""),
            Map.entry("q", ""),
            Map.entry("sort", "-searches"),
            Map.entry("only", ""),
            Map.entry("group", ""),
            Map.entry("candidate", ""),
            Map.entry("ungrouped", ""),
            Map.entry("parts", ""),
            Map.entry("anew", ""),
            Map.entry("since", ""),
            Map.entry("small", ""),
            Map.entry("first", "keywords"),
            Map.entry("base", ""),
            Map.entry("beside", ""),
            Map.entry("page", "1"));

    private static final List<String> ORDER = List.of(
            "view",
            "by",
            "tint",
            "zoom",
            "q",
            "sort",
            "only",
            "base",
            "beside",
            "group",
            "candidate",
            "ungrouped",
            "parts",
            "anew",
            "since",
            "small",
            "first",
            "page");

    GroupQuery {
        fields = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(fields));
    }

    static GroupQuery of(MultiValueMap<String, String> parameters, String dials) {
        SequencedMap<String, String> fields = new LinkedHashMap<>();
        for (String name : ORDER) {
            String value = parameters.getFirst(name);
            boolean known = !name.equals("view")
                    || Arrays.stream(GroupLook.values())
                            .anyMatch(look -> look.key().equals(value));
            if (value != null && !value.isBlank() && !value.equals(STANDARD.get(name)) && known) {
                fields.put(name, value.strip());
            }
        }
        return new GroupQuery(dials, fields);
    }

    /** What a field is, as asked for or as is standard. */
    public String value(String name) {
        return fields.getOrDefault(name, STANDARD.get(name));
    }

    /** The fields but some, as hidden fields of a form. */
    public Map<String, String> but(String... names) {
        SequencedMap<String, String> rest = new LinkedHashMap<>(fields);
        List.of(names).forEach(rest::remove);
        return rest;
    }

    /** This page with other values; an empty one, or the standard one, is left out. Names and values take turns. */
    public String with(String... namesAndValues) {
        SequencedMap<String, String> others = new LinkedHashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            others.put(namesAndValues[i], namesAndValues[i + 1]);
        }
        return with(others);
    }

    private String with(Map<String, String> others) {
        SequencedMap<String, String> changed = new LinkedHashMap<>(fields);
        others.forEach((name, value) -> {
            if (value.isEmpty() || value.equals(STANDARD.get(name))) {
                changed.remove(name);
            } else {
                changed.put(name, value);
            }
        });
        StringBuilder url = new StringBuilder("?").append(dials);
        changed.forEach((name, value) ->
                url.append(name).append('=').append(Show.encoded(value)).append('&'));
        return url.toString();
    }

    /** The page with this group opened. */
    String opening(String key) {
        return with(toOpen(key));
    }

    /** What any address of the page asks instead to have this group opened. */
    static Map<String, String> toOpen(String key) {
        return Map.of("group", key, "candidate", "", "ungrouped", "", "parts", "", "since", "", "page", "");
    }

    /** The page with this candidate opened. */
    String asking(String theme) {
        return with("candidate", theme, "group", "", "ungrouped", "", "parts", "", "page", "");
    }

    /** The page with the ungrouped keywords opened. */
    public String left() {
        return with("ungrouped", "true", "group", "", "candidate", "", "parts", "", "since", "", "page", "");
    }

    /** The page with those ungrouped keywords opened that came after the groups were adopted. */
    public String leftSince() {
        return with("ungrouped", "true", "since", "true", "group", "", "candidate", "", "parts", "", "page", "");
    }

    /** The page with what it would be like if all, a group or a broader theme were grouped anew. */
    public String anew(String what) {
        return with("anew", what);
    }
}
