package smorgas.core.sift;

import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Words;

/**
 * For which words of a keyword a rule takes it: of a rule that asks for one of many, such as a word list, that is what a
 * reader wants to know. Remembers where each word is, so it is made for one look at some keywords.
 */
public final class MatchedWords {

    private final Keywords keywords;
    private final Map<String, WordList> lists;
    private final Map<String, BitSet> places = new HashMap<>();

    /** For keywords of a project that has taken these word lists, by name. */
    public MatchedWords(Keywords keywords, Map<String, WordList> lists) {
        this.keywords = keywords;
        this.lists = Map.copyOf(lists);
    }

    /** The words and phrases that the rule asks for and the keyword has, as they are asked for; empty if it asks for none. */
    public Set<String> phrases(Rule rule, int keyword) {
        return rule.when()
                .all()
                .flatMap(this::asked)
                .filter(phrase ->
                        places.computeIfAbsent(phrase, keywords::withWord).get(keyword))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private Stream<String> asked(Condition part) {
        return switch (part) {
            case Condition.HasWord has -> Stream.of(has.word());
            case Condition.HasAnyWord any -> any.words().stream();
            case Condition.Worded worded -> Stream.of(worded.words());
            case Condition.OnList on ->
                Optional.ofNullable(lists.get(on.list())).stream().flatMap(list -> list.words().stream());
            default -> Stream.empty();
        };
    }

    /** The words of the keyword's lead spelling that are among these phrases, as they are written in it. */
    public Set<String> written(Set<String> phrases, int keyword) {
        List<String> asked =
                phrases.stream().flatMap(phrase -> Words.of(phrase).stream()).toList();
        return Words.of(keywords.text(keyword)).stream()
                .filter(word -> asked.stream().anyMatch(one -> one.equals(word) || same(one, word)))
                .collect(Collectors.toSet());
    }

    /** Whether two words are one as the project folds them. */
    private boolean same(String one, String other) {
        return keywords.folded()
                .find(one)
                .filter(found -> found.length == 1)
                .map(found -> keywords.folded().surfaces(found[0]).contains(other))
                .orElse(false);
    }

    /** A reason in words, with the very words of this keyword where the rule's own sentence does not name them. */
    public Message sentence(Reason reason, int keyword) {
        if (!(reason instanceof Reason.ByRule by)) {
            return reason.sentence();
        }
        String said = by.rule().when().sentence().toString();
        String named = phrases(by.rule(), keyword).stream()
                .map(phrase -> "\"" + phrase + "\"")
                .filter(phrase -> !said.contains(phrase))
                .collect(Collectors.joining(", "));
        return named.isEmpty() ? reason.sentence() : Message.of("sift.matched-words.here", reason.sentence(), named);
    }
}
