package smorgas.app.web.fold;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.fold.Cleaner;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.text.Refusal;

/** A cleaning as the form asks for it; a field that its kind does not need is not looked at. */
record AskedCleaning(
        @Nullable String does,
        Cleaning.@Nullable Match match,
        @Nullable String find,
        @Nullable String with,
        @Nullable String before,
        @Nullable String behind,
        @Nullable List<Cleaning.Script> scripts,
        @Nullable String places) {

    /** Not an empty text, whatever the form left out. */
    public String text(@Nullable String field) {
        return field == null ? "" : field;
    }

    /**
     * The cleaning; empty if none is asked for.
     *
     * @throws Refusal with a sentence for people without a full stop, if something is missing or wrong
     */
    Optional<Cleaning> cleaning() {
        Optional<Cleaning> asked =
                switch (text(does)) {
                    case "replace" ->
                        Optional.of(new Cleaning.Replace(
                                match == null ? Cleaning.Match.WORDS : match, text(find), text(with)));
                    case "affix" -> Optional.of(new Cleaning.Affix(text(before), text(behind)));
                    case "scripts" -> Optional.of(new Cleaning.KeepScripts(scripts == null ? List.of() : scripts));
                    case "years" -> Optional.of(new Cleaning.StripYears());
                    case "places" ->
                        Optional.of(new Cleaning.StripPhrases(
                                text(places).lines().map(String::strip).toList()));
                    default -> Optional.empty();
                };
        asked.ifPresent(Cleaner::check);
        return asked;
    }

    /** Whether this kind of cleaning is asked for. */
    public boolean is(String kind) {
        return text(does).equals(kind);
    }
}
