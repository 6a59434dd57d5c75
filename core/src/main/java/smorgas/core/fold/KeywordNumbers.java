package smorgas.core.fold;

import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.gather.BasketInfo;

/** What is a number and follows from the keywords alone. */
final class KeywordNumbers {

    private KeywordNumbers() {}

    /** @throws IllegalArgumentException for what is none */
    static Numbers of(Keywords keywords, Fact fact) {
        return switch (fact) {
            case Figure figure ->
                keywords.figure(figure).<Numbers>map(column -> column).orElse(Numbers.none());
            case Computed.WORDS -> Numbers.of(keywords::wordCount);
            case Computed.CHARACTERS -> Numbers.of(keyword -> characters(keywords.text(keyword)));
            case Computed.LINES -> Numbers.of(keywords::lineCount);
            case Computed.BASKETS -> Numbers.of(keywords::basketCount);
            case Computed.COMPETITORS -> Numbers.of(keyword -> competitors(keywords, keyword));
            case Computed other ->
                throw new IllegalArgumentException("no number that follows from keywords alone: " + other);
        };
    }

    private static int characters(String text) {
        return text.codePointCount(0, text.length());
    }

    /** Different competitors that have the keyword; a list of a competitor without a name counts as one of its own. */
    private static int competitors(Keywords keywords, int keyword) {
        return (int) keywords.basketPlaces(keyword).stream()
                .mapToObj(place -> keywords.baskets().get(place).info())
                .filter(info -> info.kind() == BasketInfo.Kind.COMPETITOR)
                .map(info -> info.competitor().isEmpty() ? "list " + info.name() : "of " + info.competitor())
                .distinct()
                .count();
    }
}
