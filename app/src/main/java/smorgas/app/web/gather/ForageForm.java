package smorgas.app.web.gather;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import smorgas.app.web.show.Fields;
import smorgas.core.recipe.gather.Foraging;
import smorgas.core.recipe.gather.Foraging.Around;
import smorgas.core.text.Message;

/** A foraging as the fields of its form. */
record ForageForm(
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
    static ForageForm of(List<String> seeds, List<String> sources, String language, String place) {
        return new ForageForm(
                String.join("\n", seeds),
                EnumSet.of(Around.ALONE, Around.LETTERS_BEHIND),
                String.join(" ", Foraging.ALPHABET),
                "",
                "1",
                String.valueOf(Foraging.USUAL),
                Set.copyOf(sources),
                language,
                place,
                "");
    }

    /** What was asked before. */
    static ForageForm of(Foraging asked, String name) {
        return new ForageForm(
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
    static ForageForm of(Fields fields) {
        return new ForageForm(
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
    ForageForm with(boolean seed, List<String> more) {
        if (more.isEmpty()) {
            return this;
        }
        String further = String.join("\n", more);
        return new ForageForm(
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
    Foraging read() {
        return new Foraging(
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
