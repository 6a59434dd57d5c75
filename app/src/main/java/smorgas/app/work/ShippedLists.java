package smorgas.app.work;

import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeMap;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.stereotype.Component;
import smorgas.app.store.Pantry;
import smorgas.core.recipe.WordList;
import smorgas.core.text.WordLists;
import smorgas.core.value.Intents;

/** Puts the word lists that ship with the application into the pantry; what was changed or taken away there stays so. */
@Component
class ShippedLists implements InitializingBean {

    private static final List<String> LANGUAGES =
            List.of("en", "de", "fr", "es", "it", "pt", "nl", "sv", "da", "no", "fi");

    private final Pantry pantry;

    ShippedLists(Pantry pantry) {
        this.pantry = pantry;
    }

    @Override
    public void afterPropertiesSet() {
        for (String language : LANGUAGES) {
            Map<WordList.Kind, SortedSet<String>> lists = new TreeMap<>(Map.of(
                    WordList.Kind.STOP_WORDS, WordLists.stopWords(language),
                    WordList.Kind.LITTLE_WORDS, WordLists.littleWords(language),
                    WordList.Kind.QUESTION_OPENERS, WordLists.questionOpeners(language),
                    WordList.Kind.BUYING, WordLists.buyingWords(language),
                    WordList.Kind.PRICE, WordLists.priceWords(language)));
            lists.forEach((kind, words) -> ship(kind, language, List.copyOf(words)));
            Intents.shipped(language).forEach((kind, words) -> ship(kind, language, words));
            WordLists.starterNegatives(language)
                    .forEach((name, words) -> pantry.ship(
                            new WordList(name + " (" + language + ")", language, WordList.Kind.NEGATIVES, 1, words)));
        }
    }

    private void ship(WordList.Kind kind, String language, List<String> words) {
        if (!words.isEmpty()) {
            pantry.ship(new WordList(kind.shippedName(language), language, kind, 1, words));
        }
    }
}
