package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import smorgas.app.web.show.Fields;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.recipe.gather.PhraseSettings.Part;
import smorgas.core.recipe.gather.PhraseSettings.Range;
import smorgas.core.text.Message;

/** Pages to find phrases in as the fields of their form; numbers as they were typed. */
record PhrasesForm(
        List<PartField> parts,
        String pasted,
        String addresses,
        String from,
        String to,
        String leastCharacters,
        String mostCharacters,
        String leastWords,
        String mostWords,
        String times,
        String onPages,
        String stopWords,
        String badWords,
        boolean onlyNew,
        String language,
        String name) {

    /** A part of pages and what it counts; 0 leaves it out. */
    record PartField(Part part, String weight) {}

    /** What is commonly wanted: phrases of up to four words that stand twice. */
    static PhrasesForm usual(String language) {
        return new PhrasesForm(
                Arrays.stream(Part.values())
                        .map(part -> new PartField(part, String.valueOf(part.usual())))
                        .toList(),
                "",
                "",
                "",
                "",
                "3",
                "80",
                "1",
                "4",
                "2",
                "1",
                String.join(" ", Lexicon.of(language).stopWords()),
                "",
                false,
                language,
                "");
    }

    /** What was asked before. */
    static PhrasesForm of(PhraseSettings asked, String name) {
        return new PhrasesForm(
                Arrays.stream(Part.values())
                        .map(part -> new PartField(
                                part, String.valueOf(asked.weights().getOrDefault(part, 0))))
                        .toList(),
                "",
                String.join("\n", asked.addresses()),
                asked.from(),
                asked.to(),
                String.valueOf(asked.characters().least()),
                String.valueOf(asked.characters().most()),
                String.valueOf(asked.words().least()),
                String.valueOf(asked.words().most()),
                String.valueOf(asked.times()),
                String.valueOf(asked.pages()),
                String.join(" ", asked.stopWords()),
                String.join(" ", asked.badWords()),
                false,
                asked.language(),
                name);
    }

    /** As a request has it. */
    static PhrasesForm of(Fields fields) {
        return new PhrasesForm(
                Arrays.stream(Part.values())
                        .map(part -> new PartField(part, fields.text("weight" + part.name())))
                        .toList(),
                fields.text("pasted"),
                fields.text("addresses"),
                fields.text("from"),
                fields.text("to"),
                fields.text("leastCharacters"),
                fields.text("mostCharacters"),
                fields.text("leastWords"),
                fields.text("mostWords"),
                fields.text("times"),
                fields.text("onPages"),
                fields.text("stopWords"),
                fields.text("badWords"),
                fields.has("onlyNew"),
                fields.text("language"),
                fields.text("name"));
    }

    /** The same with further addresses. */
    PhrasesForm withAddresses(List<String> more) {
        List<String> all = new ArrayList<>(addressLines());
        more.stream().filter(address -> !all.contains(address)).forEach(all::add);
        return with(String.join("\n", all), stopWords, badWords);
    }

    /** The same with further stop words or bad words. */
    PhrasesForm withWords(boolean stop, List<String> more) {
        String further = String.join(" ", more);
        return with(
                addresses,
                stop ? (stopWords + " " + further).strip() : stopWords,
                stop ? badWords : (badWords + " " + further).strip());
    }

    private PhrasesForm with(String otherAddresses, String otherStops, String otherBads) {
        return new PhrasesForm(
                parts,
                pasted,
                otherAddresses,
                from,
                to,
                leastCharacters,
                mostCharacters,
                leastWords,
                mostWords,
                times,
                onPages,
                otherStops,
                otherBads,
                onlyNew,
                language,
                name);
    }

    List<String> addressLines() {
        return addresses
                .lines()
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .distinct()
                .toList();
    }

    /**
     * What it asks for.
     *
     * @throws smorgas.core.text.Refusal with a sentence, if a field cannot be meant
     */
    PhraseSettings read() {
        Map<Part, Integer> weights = new EnumMap<>(Part.class);
        parts.forEach(field -> {
            int weight = Fields.whole(field.weight(), Message.of("gather.phrases-form.what-part-counts"));
            if (weight > 0) {
                weights.put(field.part(), weight);
            }
        });
        return new PhraseSettings(
                weights,
                from,
                to,
                new Range(
                        Fields.whole(leastCharacters, Message.of("unit.characters")),
                        Fields.whole(mostCharacters, Message.of("unit.characters"))),
                new Range(
                        Fields.whole(leastWords, Message.of("unit.words")),
                        Fields.whole(mostWords, Message.of("unit.words"))),
                Fields.whole(times, Message.of("unit.times")),
                Fields.whole(onPages, Message.of("unit.pages")),
                List.of(stopWords.split("[\\s,]+")),
                List.of(badWords.split("[\\s,]+")),
                language,
                addressLines());
    }
}
