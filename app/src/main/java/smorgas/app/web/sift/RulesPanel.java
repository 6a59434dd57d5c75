package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import smorgas.app.store.Json;
import smorgas.app.store.Pantry;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.sift.RuleFigures;
import smorgas.core.sift.Tags;
import smorgas.core.text.Message;

/**
 * What stands beside the table: the rules with their figures, saved views, what was said of intents, tags, and word lists that
 * have changed.
 *
 * @param lostDecisions decisions by hand that find no keyword at present
 */
record RulesPanel(
        List<RuleView> rules,
        List<ViewLink> views,
        List<IntentSaid> intents,
        List<TagLink> tags,
        List<ListNews> lists,
        int lostDecisions) {

    /**
     * A rule with its live figures.
     *
     * @param does kept, undecided, dropped or tagged
     * @param url shows what it touches
     * @param doubt what is odd about it; empty if nothing is
     */
    record RuleView(
            int number,
            Message sentence,
            String does,
            String touches,
            String alone,
            String decides,
            String searches,
            String url,
            Message doubt,
            int place) {}

    /** A saved filter and the URL that shows it. */
    record ViewLink(String name, Message sentence, String url) {}

    /** Of which keywords a hand has said what they are for, and the condition as its form carries it. */
    record IntentSaid(Message sentence, Message intent, String where, String url) {}

    /** A tag, how many keywords have it, and the URL that shows them. */
    record TagLink(String tag, String count, String url) {}

    /** A word list of the project of which the pantry has a newer version. */
    record ListNews(String name, int taken, int newest, String gained, String lost) {}

    static RulesPanel of(Board board, SiftQuery query, Pantry pantry) {
        Tags tags = board.statuses().tags();
        return new RulesPanel(
                rules(board),
                board.recipe().sifting().views().entrySet().stream()
                        .map(view -> new ViewLink(
                                view.getKey(), view.getValue().sentence(), SiftQuery.urlOf(view.getValue())))
                        .toList(),
                board.recipe().valuing().ruled().entrySet().stream()
                        .map(said -> new IntentSaid(
                                said.getKey().sentence(),
                                said.getValue().label(),
                                Json.text(said.getKey()),
                                SiftQuery.urlOf(said.getKey())))
                        .toList(),
                tags.all().stream()
                        .map(tag -> new TagLink(tag, Show.count(tags.count(tag)), query.urlWith("tag", tag)))
                        .toList(),
                news(board, pantry),
                board.statuses().lostDecisions());
    }

    private static List<RuleView> rules(Board board) {
        List<RuleView> views = new ArrayList<>();
        List<Rule> rules = board.recipe().sifting().rules();
        Map<Integer, Message> doubts = board.statuses().doubts();
        for (int place = 0; place < rules.size(); place++) {
            Rule rule = rules.get(place);
            RuleFigures figures = board.statuses().figures().get(place);
            List<Message> found = figures.touched() == 0 ? board.matcher().doubts(rule.when()) : List.of();
            views.add(new RuleView(
                    rule.number(),
                    rule.sentence(),
                    rule.status()
                            .map(status -> status.name().toLowerCase(Locale.ROOT))
                            .orElse("tagged"),
                    Show.count(figures.touched()),
                    Show.count(figures.alone()),
                    Show.count(figures.decided()),
                    figures.searches().sum() == 0 ? "" : figures.searches().written(),
                    SiftQuery.urlOf(rule.when()),
                    found.isEmpty() ? doubts.getOrDefault(rule.number(), Message.NONE) : found.getFirst(),
                    place));
        }
        return views;
    }

    private static List<ListNews> news(Board board, Pantry pantry) {
        List<ListNews> news = new ArrayList<>();
        if (board.recipe().sifting().lists().isEmpty()) {
            return news;
        }
        for (WordList newest : pantry.all()) {
            WordList taken = board.recipe().sifting().lists().get(newest.name());
            if (taken != null && taken.version() != newest.version() && !taken.same(newest)) {
                Set<String> before = new HashSet<>(taken.words());
                Set<String> after = new HashSet<>(newest.words());
                long gained =
                        after.stream().filter(word -> !before.contains(word)).count();
                long lost =
                        before.stream().filter(word -> !after.contains(word)).count();
                news.add(new ListNews(
                        newest.name(), taken.version(), newest.version(), Show.count(gained), Show.count(lost)));
            }
        }
        return news;
    }
}
