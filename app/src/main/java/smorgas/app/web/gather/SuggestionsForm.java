package smorgas.app.web.gather;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import smorgas.app.web.show.Fields;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.recipe.gather.SuggestionSettings.Around;
import smorgas.core.text.Message;

/** A search for suggestions as the fields of its form. */
record SuggestionsForm(
        String seeds,
        Set<Around> around,
        String letters,
        String words,
        String rounds,
        String most,
        Set<String> sources,
        String language,
        String place,
        String name) {

    /** An empty form but for the seeds. */
    static SuggestionsForm of(List<String> seeds, List<String> sources, String language, String place) {
        return new SuggestionsForm(
                String.join("\n", seeds),
                EnumSet.of(Around.ALONE, Around.LETTERS_BEHIND),
                String.join(" ", SuggestionSettings.ALPHABET),
                "",
                "1",
                String.valueOf(SuggestionSettings.USUAL),
                Set.copyOf(sources),
                language,
                place,
                "");
    }

    /** What was asked before. */
    static SuggestionsForm of(SuggestionSettings asked, String name) {
        return new SuggestionsForm(
                String.join("\n", asked.seeds()),
                asked.around(),
                String.join(" ", asked.letters()),
                String.join("\n", asked.words()),
                String.valueOf(asked.rounds()),
                String.valueOf(asked.most()),
                Set.copyOf(asked.sources()),
                asked.language(),
                asked.place(),
                name);
    }

    /** As a request has it. */
    static SuggestionsForm of(Fields fields) {
        return new SuggestionsForm(
                fields.text("seeds"),
                fields.ticked(Around.class, "around"),
                fields.text("letters"),
                fields.text("words"),
                fields.text("rounds"),
                fields.text("most"),
                Set.copyOf(fields.fields().getOrDefault("sources", List.of())),
                fields.text("language"),
                fields.text("place"),
                fields.text("name"));
    }

    /** The same with further words at the end of a field. */
    SuggestionsForm with(boolean seed, List<String> more) {
        if (more.isEmpty()) {
            return this;
        }
        String further = String.join("\n", more);
        return new SuggestionsForm(
                seed ? joined(seeds, further) : seeds,
                around,
                letters,
                seed ? words : joined(words, further),
                rounds,
                most,
                sources,
                language,
                place,
                name);
    }

    private static String joined(String before, String further) {
        return before.isBlank() ? further : before.stripTrailing() + "\n" + further;
    }

    public boolean asks(Around one) {
        return around.contains(one);
    }

    public boolean asksAt(String source) {
        return sources.contains(source);
    }

    /**
     * What it asks for.
     *
     * @throws smorgas.core.text.Refusal with a sentence, if a field cannot be meant
     */
    SuggestionSettings read() {
        return new SuggestionSettings(
                seeds.lines().toList(),
                around,
                List.of(letters.strip().split("\\s+")),
                words.lines().toList(),
                Fields.whole(rounds, Message.of("unit.rounds")),
                Fields.whole(most, Message.of("unit.queries")),
                sources.stream().sorted().toList(),
                language,
                place.strip());
    }
}
