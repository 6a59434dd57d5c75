package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two sets compared over HTTP: every sort of side, and sides that are none. */
class CompareIT {

    private final Visitor visitor = new Visitor(Running.shared());
    private String base = "";
    private final Map<String, String> baskets = new HashMap<>();

    @BeforeEach
    void gather() {
        base = "/projects/" + visitor.project("Compared");
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(
                "one.txt",
                "Bee Hives\nbee suit\nhive stand oak\nhive stand pine\nhive stand\n".getBytes(StandardCharsets.UTF_8));
        files.put("two.txt", "hive bee\nsmoker\n".getBytes(StandardCharsets.UTF_8));
        visitor.upload(base + "/gather", files);
        Matcher option = Pattern.compile("<option\\s+value=\"(basket:\\d+)\"[^>]*>basket ([^<]+)<")
                .matcher(visitor.get(base + "/compare").body());
        while (option.find()) {
            baskets.putIfAbsent(option.group(2), option.group(1));
        }
        assertThat(baskets).containsOnlyKeys("one.txt", "two.txt");
    }

    /** The texts of a part of the page. */
    private String part(String name, Map<String, String> asked) {
        String page = visitor.post(base + "/compare", asked).body();
        Matcher part = Pattern.compile("class=\"part-" + name + "\".*?</section>", Pattern.DOTALL)
                .matcher(page);
        assertThat(part.find()).as(page).isTrue();
        Matcher items = Pattern.compile("<li[^>]*>([^<]*)</li>").matcher(part.group());
        StringBuilder texts = new StringBuilder();
        while (items.find()) {
            texts.append(texts.isEmpty() ? "" : ", ").append(items.group(1));
        }
        return texts.toString();
    }

    private Map<String, String> sides(String left, String right) {
        return Map.of("left", baskets.getOrDefault(left, left), "right", baskets.getOrDefault(right, right));
    }

    @Test
    void basketsAreComparedByMeaning() {
        Map<String, String> asked = sides("one.txt", "two.txt");
        assertThat(part("both", asked)).isEqualTo("bee hives");
        assertThat(part("right", asked)).isEqualTo("smoker");
        assertThat(part("left", asked)).startsWith("bee suit");
    }

    @Test
    void statusesGroupsThePlanAndAPastedListAreSidesToo() {
        visitor.post(base + "/rules/word", Map.of("ruleWord", "smoker", "to", "DROPPED"));
        assertThat(part("left", sides("status:dropped", "plan"))).isEqualTo("smoker");
        visitor.post(base + "/group/make", Map.of("theme", "hive stand", "on", "true"));
        assertThat(part("left", sides("group:hive stand", "pasted")))
                .isEqualTo("hive stand oak, hive stand pine, hive stand");
        Map<String, String> pasted = new HashMap<>(sides("pasted", "one.txt"));
        pasted.put("pasted", " stand hive \n\nveil");
        assertThat(part("left", pasted)).isEqualTo("veil");
        assertThat(part("both", pasted)).isEqualTo("stand hive");
    }

    @Test
    void aSideThatIsNoneHasNothing() {
        assertThat(part("both", sides("basket:999999", "one.txt"))).isEmpty();
        assertThat(part("left", sides("group:no such", "status:sideways"))).isEmpty();
        assertThat(visitor.post(base + "/compare/pick", Map.of("left", "x", "right", "y", "part", "middle"))
                        .statusCode())
                .isLessThan(500);
    }
}
