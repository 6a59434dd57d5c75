package smorgas.app.work;

import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeMap;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.stereotype.Component;
import smorgas.app.store.Pantry;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.value.Intents;

/** Puts the word lists that ship with the application into the pantry; what was changed or taken away there stays so. */
@Component
class ShippedLists implements InitializingBean {

    private final Pantry pantry;

    ShippedLists(Pantry pantry) {
        this.pantry = pantry;
    }

    @Override
    public void afterPropertiesSet() {
        for (String language : Lexicon.CODES) {
            Map<WordList.Kind, SortedSet<String>> lists = new TreeMap<>(Map.of(
                    WordList.Kind.STOP_WORDS, Lexicon.of(language).stopWords(),
                    WordList.Kind.LITTLE_WORDS, Lexicon.of(language).littleWords(),
                    WordList.Kind.QUESTION_OPENERS, Lexicon.of(language).questionOpeners(),
                    WordList.Kind.BUYING, Lexicon.of(language).buyingWords(),
                    WordList.Kind.PRICE, Lexicon.of(language).priceWords()));
            lists.forEach((kind, words) -> ship(kind, language, List.copyOf(words)));
            Intents.shipped(language).forEach((kind, words) -> ship(kind, language, words));
            Lexicon.of(language)
                    .starterNegatives()
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
