package smorgas.app.web.show;

import java.util.List;
import smorgas.core.language.Lexicon;
import smorgas.core.text.Message;

/**
 * A language that a project can be in.
 *
 * @param code ISO 639-1
 */
public record Language(String code, Message name) {

    /** Those whose words Smorgas knows. */
    public static final List<Language> ALL = Lexicon.CODES.stream()
            .map(code -> new Language(code, Lexicon.of(code).name()))
            .toList();

    /** The same as choices of a field. */
    public static List<Choice> choices() {
        return ALL.stream().map(one -> new Choice(one.code(), one.name())).toList();
    }
}
