package smorgas.core.sift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.IntStream;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.text.Message;

/** The views that most lists are looked at by sooner or later (common practice); only those that can show something. */
public final class UsualViews {

    /** From so many words on a keyword is of the long tail. */
    private static final int LONG = 4;

    /** A view with its name. */
    public record View(Message name, Condition shows) {}

    private UsualViews() {}

    /** Those of the keywords of a project, in its language (ISO 639-1). */
    public static List<View> of(Keywords keywords, String language) {
        List<View> views = new ArrayList<>();
        List<String> openers = List.copyOf(Lexicon.of(language).questionOpeners());
        if (!openers.isEmpty()) {
            views.add(new View(Message.of("sift.usual-views.questions"), new Condition.HasAnyWord(openers)));
        }
        List<String> near = Lexicon.of(language).near();
        if (!near.isEmpty()) {
            views.add(new View(Message.of("sift.usual-views.near-me"), new Condition.HasAnyWord(near)));
        }
        views.add(new View(
                Message.of("sift.usual-views.four-words-more"),
                new Condition.Count(Computed.WORDS, Bounds.from(LONG))));
        OptionalLong searches = median(keywords, Figure.SEARCHES);
        OptionalLong cost = median(keywords, Figure.CPC);
        if (searches.isPresent() && cost.isPresent()) {
            views.add(new View(
                    Message.of("sift.usual-views.cheap-searched"),
                    new Condition.AllOf(List.of(
                            new Condition.FigureWithin(Figure.SEARCHES, Bounds.from(searches.getAsLong() + 1)),
                            new Condition.FigureWithin(Figure.CPC, Bounds.upTo(cost.getAsLong()))))));
        }
        if (searches.isPresent()) {
            views.add(new View(
                    Message.of("sift.usual-views.searches-known"), new Condition.FigureUnknown(Figure.SEARCHES)));
        }
        views.add(new View(
                Message.of("sift.usual-views.several-competitors-lists"),
                new Condition.Count(Computed.COMPETITORS, Bounds.from(2))));
        return views;
    }

    /** What half of the keywords of which it is known have at most; empty if it is known of none. */
    private static OptionalLong median(Keywords keywords, Figure figure) {
        FigureColumn column = keywords.figure(figure).orElse(null);
        if (column == null) {
            return OptionalLong.empty();
        }
        long[] known = IntStream.range(0, column.size())
                .filter(column::known)
                .mapToLong(row -> column.twiceMiddle(row) / 2)
                .toArray();
        Arrays.sort(known);
        return known.length == 0 ? OptionalLong.empty() : OptionalLong.of(known[(known.length - 1) / 2]);
    }
}
