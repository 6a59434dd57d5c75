package smorgas.app.web.show;

import java.util.List;

/**
 * A language that a project can be in.
 *
 * @param code ISO 639-1
 */
public record Language(String code, String name) {

    /** Those whose words Smorgas knows. */
    public static final List<Language> ALL = List.of(
            new Language("en", "English"),
            new Language("de", "German"),
            new Language("fr", "French"),
            new Language("es", "Spanish"),
            new Language("it", "Italian"),
            new Language("nl", "Dutch"),
            new Language("pt", "Portuguese"),
            new Language("sv", "Swedish"),
            new Language("da", "Danish"),
            new Language("no", "Norwegian"),
            new Language("fi", "Finnish"));

    /** The same as choices of a field. */
    public static List<Choice> choices() {
        return ALL.stream().map(one -> new Choice(one.code(), one.name())).toList();
    }
}
