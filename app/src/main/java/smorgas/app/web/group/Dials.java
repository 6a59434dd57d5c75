package smorgas.app.web.group;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import org.springframework.util.MultiValueMap;
import smorgas.app.web.show.Show;
import smorgas.core.group.engine.Engines;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.Rank;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** The settings of Group as the fields of a form and the query of a URL; each pass is a row of fields of the same names. */
final class Dials {

    private static final List<String> OF_A_PASS =
            List.of("smallest", "largest", "about", "shortest", "longest", "order", "tightness");

    /** As the method is called in fields. */
    private static final String THEMES = "themes";

    private Dials() {}

    /** How keywords are compared; empty where groups go by something else. */
    static Optional<Method.BySimilarity> similarity(GroupSettings settings) {
        return settings.method() instanceof Method.BySimilarity similarity ? Optional.of(similarity) : Optional.empty();
    }

    /**
     * The settings that some fields ask for; what they do not tell is as adopted.
     *
     * @param usual what holds where neither says anything
     * @throws Refusal with a sentence, if a field cannot be meant
     */
    static GroupSettings read(MultiValueMap<String, String> fields, GroupSettings adopted, StandardSettings usual) {
        boolean whole = fields.containsKey("dials");
        return new GroupSettings(
                method(fields, adopted, usual),
                whole ? fields.containsKey("forms") : adopted.forms(),
                fields.containsKey("ungroupedAre")
                        ? choice(GroupSettings.Ungrouped.class, fields.getFirst("ungroupedAre"))
                        : adopted.ungrouped(),
                fields.containsKey("placed") ? number(fields, "placed", 0, 0) / 100.0 : adopted.placedFrom(),
                fields.containsKey("stop") ? words(fields.getFirst("stop")) : adopted.stopWords(),
                whole ? stopAt(fields) : adopted.stopAt(),
                fields.containsKey("ignored") ? words(fields.getFirst("ignored")) : adopted.ignored(),
                adopted.same(),
                whole || fields.containsKey("intentApart") ? intents(fields) : adopted.intentsApart());
    }

    private static Method method(MultiValueMap<String, String> fields, GroupSettings adopted, StandardSettings usual) {
        boolean ofPasses = !fields.containsKey("method") && OF_A_PASS.stream().anyMatch(fields::containsKey);
        String name = ofPasses
                ? THEMES
                : Objects.requireNonNullElse(
                        fields.getFirst("method"), Engines.of(adopted.method()).name());
        Engines.Kind kind = Engines.kinds().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Refusal("group.dials.there-is-no-choice", name));
        Method here = kind.method() == adopted.method().getClass() ? adopted.method() : kind.usual(usual);
        return switch (here) {
            case Method.ByThemes known ->
                new Method.ByThemes(passes(fields, known.passes(), usual), rank(fields, known.rank()));
            case Method.BySimilarity known -> similarity(fields, known);
            // A method without dials.
            default -> here;
        };
    }

    private static Method similarity(MultiValueMap<String, String> fields, Method.BySimilarity known) {
        return new Method.BySimilarity(
                number(fields, "place", 0, known.place()),
                number(fields, "least", 0, known.smallest()),
                number(fields, "most", 0, fields.containsKey("most") ? 0 : known.largest()),
                fields.containsKey("place") ? fields.containsKey("meaning") : known.meaning(),
                number(fields, "compared", 0, known.compared()));
    }

    private static List<Pass> passes(MultiValueMap<String, String> fields, List<Pass> adopted, StandardSettings usual) {
        int count = OF_A_PASS.stream()
                .mapToInt(name -> fields.getOrDefault(name, List.of()).size())
                .max()
                .orElse(0);
        List<Pass> passes = new ArrayList<>();
        int without = number(fields, "without", 0, -1);
        for (int i = 0; i < Math.min(count, Method.MOST_PASSES + 1); i++) {
            Pass known = i < adopted.size()
                    ? adopted.get(i)
                    : usual.themes().passes().getFirst();
            if (i != without) {
                passes.add(new Pass(
                        number(fields, "smallest", i, known.smallest()),
                        number(fields, "largest", i, fields.containsKey("largest") ? Pass.ANY : known.largest()),
                        number(fields, "about", i, fields.containsKey("about") ? Pass.ANY : known.about()),
                        number(fields, "shortest", i, known.shortest()),
                        number(fields, "longest", i, known.longest()),
                        text(fields, "order", i).isEmpty()
                                ? known.anyOrder()
                                : text(fields, "order", i).equals("any"),
                        number(fields, "tightness", i, (int) Math.round(known.leastTightness() * 100)) / 100.0));
            }
        }
        if (passes.isEmpty()) {
            return adopted;
        }
        if (fields.containsKey("more") && passes.size() < Method.MOST_PASSES) {
            // Single words on what is left, as is common practice after themes of several.
            passes.add(new Pass(passes.getLast().smallest(), Pass.ANY, Pass.ANY, 1, 1, true, 0));
        }
        return passes;
    }

    private static Rank rank(MultiValueMap<String, String> fields, Rank adopted) {
        return fields.containsKey("rankKeywords")
                ? new Rank(
                        number(fields, "rankKeywords", 0, 0),
                        number(fields, "rankSearches", 0, 0),
                        number(fields, "rankClicks", 0, 0),
                        number(fields, "rankConversions", 0, 0),
                        number(fields, "rankVisits", 0, 0),
                        number(fields, "rankGoals", 0, 0))
                : adopted;
    }

    private static Set<GroupSettings.StopAt> stopAt(MultiValueMap<String, String> fields) {
        Set<GroupSettings.StopAt> at = EnumSet.noneOf(GroupSettings.StopAt.class);
        fields.getOrDefault("at", List.of()).forEach(place -> at.add(choice(GroupSettings.StopAt.class, place)));
        return at;
    }

    private static Set<Intent> intents(MultiValueMap<String, String> fields) {
        Set<Intent> apart = EnumSet.noneOf(Intent.class);
        fields.getOrDefault("intentApart", List.of()).forEach(intent -> apart.add(choice(Intent.class, intent)));
        return apart;
    }

    private static <E extends Enum<E>> E choice(Class<E> choices, String name) {
        try {
            return Enum.valueOf(choices, name);
        } catch (IllegalArgumentException e) {
            throw new Refusal(Message.of("group.dials.there-is-no-choice", name), e);
        }
    }

    private static SortedSet<String> words(String text) {
        return new TreeSet<>(Words.of(Tidy.of(text)));
    }

    private static String text(MultiValueMap<String, String> fields, String name, int at) {
        List<String> values = fields.getOrDefault(name, List.of());
        return at < values.size() ? values.get(at).strip() : "";
    }

    private static int number(MultiValueMap<String, String> fields, String name, int at, int otherwise) {
        String text = text(fields, name, at);
        if (text.isEmpty()) {
            return otherwise;
        }
        if (!text.matches("\\d{1,7}")) {
            throw new Refusal("group.dials.whole-number", text);
        }
        return Integer.parseInt(text);
    }

    /** The settings as the beginning of a URL's query, so that every link on the page of a preview keeps them. */
    static String query(GroupSettings settings) {
        StringBuilder query = new StringBuilder("dials=1&");
        add(query, "method", Engines.of(settings.method()).name());
        switch (settings.method()) {
            case Method.BySimilarity like -> {
                add(query, "place", like.place());
                add(query, "least", like.smallest());
                add(query, "most", like.largest() == 0 ? "" : like.largest());
                if (like.meaning()) {
                    add(query, "meaning", true);
                }
                add(query, "compared", like.compared());
            }
            case Method.ByThemes themes -> addThemes(query, themes);
            default -> {}
        }
        if (settings.forms()) {
            add(query, "forms", true);
        }
        add(query, "ungroupedAre", settings.ungrouped());
        add(query, "placed", Math.round(settings.placedFrom() * 100));
        settings.stopAt().forEach(at -> add(query, "at", at));
        settings.intentsApart().forEach(intent -> add(query, "intentApart", intent));
        add(query, "ignored", String.join(" ", settings.ignored()));
        add(query, "stop", String.join(" ", settings.stopWords()));
        return query.toString();
    }

    private static void addThemes(StringBuilder query, Method.ByThemes themes) {
        for (Pass pass : themes.passes()) {
            add(query, "smallest", pass.smallest());
            add(query, "largest", pass.largest() == Pass.ANY ? "" : pass.largest());
            add(query, "about", pass.about() == Pass.ANY ? "" : pass.about());
            add(query, "shortest", pass.shortest());
            add(query, "longest", pass.longest());
            add(query, "order", pass.anyOrder() ? "any" : "stand");
            add(query, "tightness", Math.round(pass.leastTightness() * 100));
        }
        add(query, "rankKeywords", themes.rank().keywords());
        add(query, "rankSearches", themes.rank().searches());
        add(query, "rankClicks", themes.rank().clicks());
        add(query, "rankConversions", themes.rank().conversions());
        add(query, "rankVisits", themes.rank().visits());
        add(query, "rankGoals", themes.rank().goals());
    }

    private static void add(StringBuilder query, String name, Object value) {
        query.append(name)
                .append('=')
                .append(Show.encoded(String.format(Locale.ROOT, "%s", value)))
                .append('&');
    }
}
