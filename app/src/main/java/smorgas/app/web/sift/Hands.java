package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.List;
import java.util.SequencedMap;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Intent;

/** Makes entries of what a hand decides of keywords: each names all tidy texts, so that it finds its keyword later too. */
final class Hands {

    private Hands() {}

    /** The lead spellings that something is to be said of, and their keywords' other tidy texts. */
    private record Named(List<String> leads, List<String> also) {}

    /** These keywords get a status; those that a hand has put there already need no second decision. */
    static Entry judged(Recipe recipe, Keywords keywords, List<String> texts, Status to) {
        Named named = new Named(new ArrayList<>(), new ArrayList<>());
        for (String text : texts) {
            List<String> all = spellings(text, keywords);
            if (all.stream().anyMatch(spelling -> recipe.sifting().decisions().get(spelling) != to)) {
                add(text, all, named);
            }
        }
        return named.leads().isEmpty()
                ? new SiftEntry.Judged(texts, to)
                : new SiftEntry.Judged(named.leads(), named.also(), to);
    }

    /** These keywords stand again as the rules say. */
    static Entry givenBack(Keywords keywords, List<String> texts) {
        Named named = new Named(new ArrayList<>(), new ArrayList<>());
        texts.forEach(text -> add(text, spellings(text, keywords), named));
        return new SiftEntry.GivenBack(named.leads(), named.also());
    }

    /** These keywords get a tag, or lose it. */
    static Entry tagged(Recipe recipe, Keywords keywords, List<String> texts, String tag, boolean on) {
        SequencedMap<String, Boolean> decisions = recipe.sifting().tags().get(tag);
        Named named = new Named(new ArrayList<>(), new ArrayList<>());
        for (String text : texts) {
            List<String> all = spellings(text, keywords);
            if (decisions == null
                    || all.stream().anyMatch(spelling -> !Boolean.valueOf(on).equals(decisions.get(spelling)))) {
                add(text, all, named);
            }
        }
        return named.leads().isEmpty()
                ? new SiftEntry.Tagged(texts, List.of(), tag, on)
                : new SiftEntry.Tagged(named.leads(), named.also(), tag, on);
    }

    /** What these keywords are for, or that their words say it again. */
    static Entry intended(Keywords keywords, List<String> texts, Intent intent, boolean on) {
        Named named = new Named(new ArrayList<>(), new ArrayList<>());
        texts.forEach(text -> add(text, spellings(text, keywords), named));
        return new ValueEntry.IntentSaid(named.leads(), named.also(), intent, on);
    }

    private static List<String> spellings(String text, Keywords keywords) {
        return keywords.find(text).map(keywords::tidyTexts).orElse(List.of(text));
    }

    private static void add(String text, List<String> all, Named named) {
        named.leads().add(text);
        all.stream().filter(spelling -> !spelling.equals(text)).forEach(named.also()::add);
    }
}
