package smorgas.app.web.show;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.util.MultiValueMap;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** The fields of a form as they were typed. */
public record Fields(MultiValueMap<String, String> fields) {

    /** The value of a field; empty if there is no such field. */
    public String text(String name) {
        String value = fields.getFirst(name);
        return value == null ? "" : value;
    }

    public boolean has(String name) {
        return fields.containsKey(name);
    }

    /** The lines of a field that are not blank, without blanks at their ends. */
    public List<String> lines(String name) {
        return text(name)
                .lines()
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .toList();
    }

    /**
     * A whole number.
     *
     * @param what what it counts, as in "is no whole number of phrases"
     * @throws Refusal if it is none, or has more than nine digits
     */
    public int number(String name, Message what) {
        return whole(text(name), what);
    }

    /**
     * A whole number that was typed.
     *
     * @param what what it counts
     * @throws Refusal if it is none, or has more than nine digits
     */
    public static int whole(String typed, Message what) {
        String value = typed.strip();
        if (!value.matches("\\d{1,9}")) {
            throw new Refusal("show.fields.whole-number", value, what);
        }
        return Integer.parseInt(value);
    }

    /**
     * A choice by its name.
     *
     * @throws Refusal if there is no such choice
     */
    public <E extends Enum<E>> E choice(Class<E> type, String name) {
        return named(type, text(name));
    }

    /** The ticked ones of several choices; what is no choice is none of them. */
    public <E extends Enum<E>> Set<E> ticked(Class<E> type, String name) {
        List<String> names = fields.getOrDefault(name, List.of());
        Set<E> ticked = EnumSet.noneOf(type);
        Arrays.stream(type.getEnumConstants())
                .filter(one -> names.contains(one.name()))
                .forEach(ticked::add);
        return ticked;
    }

    /**
     * A choice by its name.
     *
     * @throws Refusal if there is no such choice
     */
    public static <E extends Enum<E>> E named(Class<E> type, String value) {
        return Arrays.stream(type.getEnumConstants())
                .filter(one -> one.name().equals(value))
                .findFirst()
                .orElseThrow(() -> new Refusal("show.fields.there-is-no-choice", value));
    }
}
