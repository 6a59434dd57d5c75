package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;
import smorgas.app.store.Json;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Intent;
import smorgas.core.sift.Phrases;
import smorgas.core.sift.WordCounts;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** What the Sift page shows, as it stands in the URL; what is not asked for is not in it. */
public final class SiftQuery {

    /**
     * What can be asked, in the order of the URL: a text anywhere (q), a word or phrase, a basket's name, a tag, a
     * status, what it is for, its priority class, searches at least, any condition as JSON (where), the columns sorted
     * by, the first page and the last one shown; then the words list: a text in them, their lengths, their order, where little
     * words are left out, whether judged ones are shown, how many.
     */
    private static final List<String> NAMES = List.of(
            "q",
            "word",
            "basket",
            "tag",
            "status",
            "intent",
            "priority",
            "least",
            "where",
            "sort",
            "page",
            "upto",
            "wq",
            "wn",
            "ws",
            "wl",
            "wj",
            "wm");

    /** The longest value of any of them that is looked at. */
    private static final int LONGEST = 4_000;

    private static final int LEVELS = 3;
    private static final String FIRST_SORT = "-searches";

    private final Map<String, String> asked;

    private SiftQuery(Map<String, String> asked) {
        this.asked = asked;
    }

    /** What the parameters of a request ask; others are left aside. */
    public static SiftQuery of(Map<String, String> parameters) {
        Map<String, String> asked = new LinkedHashMap<>();
        for (String name : NAMES) {
            String value = parameters.getOrDefault(name, "").strip();
            if (!value.isEmpty() && value.length() <= LONGEST) {
                asked.put(name, value);
            }
        }
        return new SiftQuery(asked);
    }

    /** A part of what is asked for, which can be taken away: its words, and the URL without it. */
    record Part(Message words, String urlWithout) {}

    /** A column that is sorted by; its name, and whether the greatest come first. */
    record Sort(String name, boolean desc) {}

    private String get(String name) {
        return asked.getOrDefault(name, "");
    }

    public String word() {
        return Tidy.of(get("word"));
    }

    /** Searches a month at least; 0 if nothing readable is asked. */
    public long least() {
        // Searches are whole: whatever sign stands in them parts thousands.
        FigureReader reader = new FigureReader(Decimals.POINT);
        return reader.read(get("least"), Figure.SEARCHES) == FigureReader.Outcome.READ ? reader.low() : 0;
    }

    private long number(String name, long otherwise, long most) {
        String value = get(name);
        return value.matches("\\d{1,15}") ? Math.min(most, Long.parseLong(value)) : otherwise;
    }

    /** The first page shown, from 1. */
    int page() {
        return (int) Math.max(1, number("page", 1, 1_000_000));
    }

    /** The last page shown; at least the first, and not so far behind it that the answer gets slow. */
    int upto() {
        return (int) Math.clamp(number("upto", page(), 1_000_000), page(), page() + SiftTable.MOST_PAGES - 1L);
    }

    /** The keywords on view. */
    BitSet found(Board board) {
        return board.match(condition());
    }

    /** What the leading intent is to be. */
    Optional<Intent> intent() {
        return Stream.of(Intent.values())
                .filter(intent -> intent.name().equalsIgnoreCase(get("intent")))
                .findFirst();
    }

    /** Why no rule can be made of what is on view; empty if one can. */
    Optional<Message> noRule() {
        return ruleCondition().followsFromRules()
                ? Optional.of(Message.of("sift.sift-query.what-keywords-priority-estimated-value"))
                : Optional.empty();
    }

    /** The condition that all keywords on view fulfil. */
    Condition condition() {
        return new Condition.AllOf(List.copyOf(conditions().values()));
    }

    /** The condition without the status, which a rule cannot ask for. */
    Condition ruleCondition() {
        List<Condition> parts = conditions().values().stream()
                .filter(part -> !part.asksForStatus())
                .toList();
        return parts.size() == 1 ? parts.getFirst() : new Condition.AllOf(parts);
    }

    /** What is looked for; of a text that no keyword can hold, the beginning, which none holds either. */
    private String text() {
        String text = Tidy.of(get("q"));
        if (text.length() <= Condition.LONGEST_TEXT) {
            return text;
        }
        boolean within = Character.isHighSurrogate(text.charAt(Condition.LONGEST_TEXT - 1));
        return text.substring(0, Condition.LONGEST_TEXT - (within ? 1 : 0));
    }

    /** The parts of the condition by the name of what asks for them. */
    private Map<String, Condition> conditions() {
        Map<String, Condition> parts = new LinkedHashMap<>();
        if (!text().isEmpty()) {
            parts.put("q", new Condition.HasText(text()));
        }
        if (!word().isEmpty()) {
            parts.put("word", new Condition.HasWord(word()));
        }
        if (!get("basket").isEmpty()) {
            parts.put("basket", new Condition.InBasket(get("basket")));
        }
        if (!get("tag").isEmpty()) {
            parts.put("tag", new Condition.HasTag(get("tag")));
        }
        if (least() > 0) {
            parts.put("least", Condition.searchesFrom(least()));
        }
        where().ifPresent(condition -> parts.put("where", condition));
        intent().ifPresent(intent -> parts.put("intent", new Condition.Intended(intent)));
        if (!get("priority").isEmpty()) {
            parts.put("priority", new Condition.Prioritised(get("priority")));
        }
        status().ifPresent(status -> parts.put("status", new Condition.Stands(status)));
        return parts;
    }

    /**
     * The condition given as such.
     *
     * @throws Refusal if it cannot be read
     */
    Optional<Condition> where() {
        return get("where").isEmpty() ? Optional.empty() : Optional.of(Json.condition(get("where")));
    }

    Optional<Status> status() {
        for (Status known : Status.values()) {
            if (known.name().equalsIgnoreCase(get("status"))) {
                return Optional.of(known);
            }
        }
        return Optional.empty();
    }

    /** What is sorted by, the first first; by searches, falling, if nothing known is asked. */
    List<Sort> sorts() {
        List<Sort> sorts = new ArrayList<>();
        for (String part : (get("sort").isEmpty() ? FIRST_SORT : get("sort")).split(",")) {
            boolean desc = part.startsWith("-");
            String name = Show.decoded(desc ? part.substring(1) : part);
            if (sorts.size() < LEVELS && sortable(name)) {
                sorts.add(new Sort(name, desc));
            }
        }
        return sorts.isEmpty() ? List.of(new Sort("searches", true)) : sorts;
    }

    /** Whether a table can be sorted by what has this name. */
    static boolean sortable(String name) {
        return by(name).isPresent() || Ranks.knows(name);
    }

    /** What a column's name is sorted by, once for all acts; empty for what acts change. */
    static Optional<Fact> by(String name) {
        return Fact.find(name).filter(fact -> fact.isFor(Fact.Use.SORT) && fact.since() == Fact.Since.FOLDED);
    }

    /** What is asked of the words list. */
    WordCounts.Asked words() {
        String[] lengths = get("wn").matches("[1-5](-[1-5])?") ? get("wn").split("-") : new String[] {"1"};
        int one = Integer.parseInt(lengths[0]);
        int other = Integer.parseInt(lengths[lengths.length - 1]);
        return new WordCounts.Asked(
                Math.min(one, other),
                Math.min(Phrases.LONGEST, Math.max(one, other)),
                choice(WordCounts.By.values(), "ws"),
                get("wq"),
                get("wl").isEmpty() ? WordCounts.Little.NOT_AT_EDGES : choice(WordCounts.Little.values(), "wl"),
                get("wj").equals("true"),
                Math.clamp(number("wm", 120, 2_000), 1, 2_000));
    }

    private <E extends Enum<E>> E choice(E[] values, String name) {
        for (E value : values) {
            if (value.name().equalsIgnoreCase(get(name))) {
                return value;
            }
        }
        return values[0];
    }

    /** The pieces that the line above the table shows. */
    List<Part> removable() {
        List<Part> removable = new ArrayList<>();
        conditions().forEach((name, condition) -> {
            Message words =
                    switch (name) {
                        case "q" -> Message.of("sift.sift-query.anywhere", text());
                        case "word" -> Message.of("sift.sift-query.with", word());
                        case "basket" -> Message.of("sift.sift-query.in", get("basket"));
                        case "status" -> status().orElseThrow().label();
                        case "intent" -> intent().orElseThrow().label();
                        case "priority" -> Message.of("sift.sift-query.priority", get("priority"));
                        case "least" -> Message.of("sift.sift-query.searches-more", least());
                        default -> condition.sentence();
                    };
            removable.add(new Part(words, urlWith(name, "")));
        });
        return removable;
    }

    /**
     * The same keywords sorted by a column: falling at first, rising when it is falling already. What was sorted by before
     * parts those that are equal in it.
     */
    public String urlSorted(String column) {
        List<Sort> sorts = new ArrayList<>(sorts());
        boolean rises = Fact.find(column).map(Fact::rises).orElse(true);
        boolean desc =
                sorts.getFirst().name().equals(column) ? !sorts.getFirst().desc() : !rises;
        sorts.removeIf(sort -> sort.name().equals(column));
        sorts.addFirst(new Sort(column, desc));
        List<String> parts = sorts.stream()
                .limit(LEVELS)
                // A list may name its column with a comma.
                .map(sort -> (sort.desc() ? "-" : "") + Show.encoded(sort.name()))
                .toList();
        return urlWith("sort", String.join(",", parts));
    }

    /** The URL of the same list with one thing asked otherwise; nothing for not at all. It begins on the first page. */
    public String urlWith(String name, String value) {
        return with(Map.of(name, value)).url();
    }

    SiftQuery with(Map<String, String> others) {
        Map<String, String> next = new LinkedHashMap<>(asked);
        boolean ofWords = others.keySet().stream().allMatch(name -> name.startsWith("w") && name.length() == 2);
        if (!ofWords) {
            next.remove("page");
            next.remove("upto");
        }
        next.putAll(others);
        return of(next);
    }

    public String urlOfPage(int other) {
        return with(Map.of("page", other == 1 ? "" : String.valueOf(other))).url();
    }

    public String urlWithWord(String other) {
        return urlWith("word", other);
    }

    public String urlWithStatus(String other) {
        return urlWith("status", other);
    }

    /** Hidden fields that carry everything asked but what the form asks itself. */
    public Map<String, String> fieldsBut(String... names) {
        Map<String, String> fields = new LinkedHashMap<>(asked);
        fields.keySet().removeAll(List.of(names));
        fields.remove("page");
        fields.remove("upto");
        return fields;
    }

    public Map<String, String> fields() {
        return fieldsBut();
    }

    /** The value of one thing asked, as it stands; empty if it is not asked. */
    public String value(String name) {
        return get(name);
    }

    /** The URL that shows the keywords that exactly these baskets have. */
    public static String urlOfOnly(Collection<String> baskets) {
        return urlOf(new Condition.InExactly(new TreeSet<>(baskets)));
    }

    /** The URL that shows the keywords that lists of so many competitors have. */
    public static String urlOfCompetitors(int least) {
        return urlOf(new Condition.Count(Computed.COMPETITORS, Bounds.from(least)));
    }

    /** The URL that shows the keywords that fulfil a condition. */
    public static String urlOf(Condition condition) {
        return of(Map.of("where", Json.text(condition))).url();
    }

    /** The query part of the URL, with its question mark. */
    public String url() {
        StringBuilder url = new StringBuilder("?");
        asked.forEach((name, value) ->
                url.append(url.length() > 1 ? "&" : "").append(name).append('=').append(Show.encoded(value)));
        return url.toString();
    }
}
