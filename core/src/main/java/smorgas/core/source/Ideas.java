package smorgas.core.source;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.gather.Brainstorm;
import smorgas.core.recipe.gather.Brainstorm.Form;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/**
 * Phrases around what somebody wrote of customers, in the words that customers use: what is offered, asked for in their ways, what
 * they want to do, what troubles them, one thing or the other, and for whom. The words around come from lists that ship with
 * the application; a language without one gets what the texts say themselves.
 */
public final class Ideas {

    /** Things that phrases are made of; more come to more than anybody judges. */
    private static final int MOST_THINGS = 15;

    private static final int MOST_COMPARED = 4;
    private static final int MOST_AUDIENCES = 5;
    private static final int LONGEST_NEED = 6;
    /** Longer runs are sentences that lack their stop words. */
    private static final int LONGEST_THING = 4;

    private static final String HERE = "{}";

    /** A phrase, and what it says. */
    public record Idea(String text, Form form) {}

    private final Brainstorm wanted;
    private final Set<String> stopWords;
    private final Map<String, List<String>> around;
    private final Map<String, Form> ideas = new LinkedHashMap<>();

    private Ideas(Brainstorm wanted) {
        this.wanted = wanted;
        this.stopWords = new LinkedHashSet<>(Lexicon.of(wanted.language()).stopWords());
        this.around = Lexicon.of(wanted.language()).brainstorm();
        // What opens a need says that one follows and is nothing itself.
        words("needs").forEach(opener -> stopWords.addAll(Words.of(opener)));
    }

    /** The phrases, each once, in the order of their forms. */
    public static List<Idea> of(Brainstorm wanted) {
        return new Ideas(wanted).all();
    }

    private List<Idea> all() {
        List<String> things = things(wanted.offer(), MOST_THINGS);
        List<String> audiences = things(wanted.customers(), MOST_AUDIENCES);
        List<String> problems = things(wanted.problems(), MOST_THINGS);
        add(Form.THINGS, things.stream());
        add(Form.OPENERS, things.stream().flatMap(thing -> filled("openers", thing)));
        add(
                Form.NEEDS,
                Stream.of(wanted.customers(), wanted.offer(), wanted.problems())
                        .flatMap(text -> needs(text).stream())
                        .flatMap(need -> filled("wants", need)));
        add(
                Form.PROBLEMS,
                problems.stream().flatMap(problem -> Stream.concat(Stream.of(problem), filled("problems", problem))));
        add(Form.COMPARISONS, compared(things));
        add(Form.AUDIENCES, things.stream().flatMap(thing -> audiences.stream()
                .filter(audience -> !audience.equals(thing))
                .flatMap(audience -> filled("audiences", audience).map(behind -> thing + " " + behind))));
        return ideas.entrySet().stream()
                .map(idea -> new Idea(idea.getKey(), idea.getValue()))
                .toList();
    }

    private void add(Form form, Stream<String> phrases) {
        if (wanted.forms().contains(form)) {
            phrases.map(Tidy::of)
                    .filter(phrase -> !phrase.isEmpty())
                    .forEach(phrase -> ideas.putIfAbsent(phrase, form));
        }
    }

    private List<String> words(String part) {
        return around.getOrDefault(part, List.of());
    }

    private Stream<String> filled(String part, String with) {
        return words(part).stream().map(pattern -> pattern.replace(HERE, with));
    }

    private List<String> things(String text, int most) {
        return Extraction.of(text, stopWords).stream()
                .map(Extraction.Run::text)
                .filter(run ->
                        Words.of(run).size() <= LONGEST_THING && run.chars().anyMatch(Character::isLetter))
                .limit(most)
                .toList();
    }

    private Stream<String> compared(List<String> things) {
        List<String> first = things.subList(0, Math.min(MOST_COMPARED, things.size()));
        List<String> pairs = new ArrayList<>();
        for (int one = 0; one < first.size(); one++) {
            for (int other = one + 1; other < first.size(); other++) {
                for (String between : words("comparisons")) {
                    pairs.add(first.get(one) + " " + between + " " + first.get(other));
                }
            }
        }
        return pairs.stream();
    }

    /** What stands behind the words that open a need, to the next mark or the sixth word. */
    private List<String> needs(String text) {
        List<String> needs = new ArrayList<>();
        String tidy = text.lines().map(Tidy::of).reduce("", (a, b) -> a + " . " + b);
        for (String opener : words("needs")) {
            Matcher found = Pattern.compile("(?<!\\p{L})" + Pattern.quote(opener) + " ([^.,;:!?()]+)")
                    .matcher(tidy);
            while (found.find()) {
                List<String> words = Words.of(found.group(1));
                List<String> need = new ArrayList<>(words.subList(0, Math.min(LONGEST_NEED, words.size())));
                while (!need.isEmpty() && stopWords.contains(need.getLast())) {
                    need.removeLast();
                }
                if (!need.isEmpty()) {
                    needs.add(String.join(" ", need));
                }
            }
        }
        return needs;
    }
}
