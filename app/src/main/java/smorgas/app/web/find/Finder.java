package smorgas.app.web.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.app.web.show.Show;
import smorgas.app.web.sift.SiftQuery;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Notes;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.text.Tidy;

/** What the field in the head finds while one types: keywords, a word, groups, rules, views, baskets and acts. */
final class Finder {

    /**
     * Something that was found.
     *
     * @param figure what tells how much it is; empty if nothing does
     * @param url where it leads
     */
    record Found(String text, String figure, String url) {}

    /** What was found of a kind. */
    record Section(String kind, List<Found> found) {}

    /**
     * An act and where it is done.
     *
     * @param words by which somebody may look for it, beside those of its name
     */
    private record Act(String name, String words, String place) {}

    private static final int MOST = 6;

    private static final List<Act> ACTS = List.of(
            new Act("Gather lists", "merge upload paste import add file", "gather"),
            new Act("Put right language, market and currency", "rename project settings", "gather"),
            new Act("Compare two sets", "overlap difference both", "compare"),
            new Act("Choose kinds of folding", "deduplicate duplicates plural word order", "fold"),
            new Act("Clean spellings", "replace regular expression regex remove characters", "fold"),
            new Act("Look at misspellings", "typos spelling", "fold"),
            new Act("New rule", "filter condition exclude include keep drop", "rules/build"),
            new Act("Word lists", "pantry brands places negative", "../../pantry"),
            new Act("Download keywords as CSV", "export", "sift"),
            new Act("Trim the list", "random sample first", "sift"),
            new Act("Turn the dial from broad to tight", "cluster engine", "group"),
            new Act("Doubtful groups first", "check queue review", "group?view=doubts"),
            new Act("Words that mean the same", "synonyms", "group?view=same"),
            new Act("Break down, join, rename or lock a group", "split merge divide name", "group?view=list"),
            new Act("Look at the leftovers", "ungrouped rest", "group?leftovers=true"),
            new Act("See the groups grouped anew", "regroup recluster", "group?anew=all"),
            new Act("Mute words", "head word ignore", "group"),
            new Act(
                    "What keywords may bring",
                    "worth value assumptions conversion rate clicks revenue return",
                    "sift?assume=all"),
            new Act("Write ads", "ad texts headlines descriptions templates copy", "ads"),
            new Act("Copy in pieces", "paste copy clipboard lines signs", "pieces"),
            new Act("Look after negatives", "negative keywords block exclude starter lists keep apart", "negatives"),
            new Act("Feedback of reports", "search terms report conversions cost waste", "feedback"),
            new Act("Download the plan", "export bulk ad groups csv serve match types bid campaign", "serve"),
            new Act("Download the recipe", "settings export next month", "history"),
            new Act("History of acts", "undo redo log", "history"),
            new Act("Help and keys", "shortcuts keyboard", "keys"));

    private final String base;
    private final String asked;
    private final Snapshot snapshot;
    private final List<Section> sections = new ArrayList<>();

    private Finder(String base, String asked, Snapshot snapshot) {
        this.base = base + "/";
        this.asked = asked;
        this.snapshot = snapshot;
    }

    /** What has a text in it; nothing for no text. */
    static List<Section> find(String base, String text, Snapshot snapshot) {
        String asked = Tidy.of(text);
        if (asked.isEmpty() || asked.length() > Condition.LONGEST_TEXT) {
            return List.of();
        }
        Finder finder = new Finder(base, asked, snapshot);
        finder.all();
        return finder.sections;
    }

    private void all() {
        Board board = snapshot.board();
        add("Acts", acts());
        add("Keywords", keywords(board));
        add("Word", word(board));
        if (board.groupsKnown()) {
            add("Groups", groups(board.groups()));
        }
        add(
                "Rules",
                board.recipe().sifting().rules().stream()
                        .filter(rule -> has(rule.sentence()))
                        .map(this::rule)
                        .toList());
        add(
                "Views",
                board.recipe().sifting().views().entrySet().stream()
                        .filter(view -> has(view.getKey()))
                        .map(view -> new Found(view.getKey(), "", base + "sift" + SiftQuery.urlOf(view.getValue())))
                        .toList());
        add("Notes", notes(board));
        add(
                "Baskets",
                snapshot.baskets().stream()
                        .filter(basket -> has(basket.info().name()))
                        .map(this::basket)
                        .toList());
    }

    private void add(String kind, List<Found> found) {
        if (!found.isEmpty()) {
            sections.add(new Section(kind, found.stream().limit(MOST).toList()));
        }
    }

    private boolean has(String text) {
        return text.toLowerCase(Locale.ROOT).contains(asked);
    }

    private List<Found> acts() {
        return ACTS.stream()
                .filter(act -> (act.name() + " " + act.words())
                        .toLowerCase(Locale.ROOT)
                        .matches("(.*\\W)?" + Pattern.quote(asked) + ".*"))
                .map(act -> new Found(act.name(), "", base + act.place()))
                .toList();
    }

    /** The most searched that have the text. */
    private List<Found> keywords(Board board) {
        FigureColumn searches = board.keywords().figure(Figure.SEARCHES).orElse(null);
        return board.match(new Condition.HasText(asked)).stream()
                .boxed()
                .sorted(Comparator.comparingLong(keyword -> -searches(searches, keyword)))
                .limit(MOST)
                .map(keyword -> new Found(
                        board.keywords().text(keyword),
                        searches == null || !searches.known(keyword)
                                ? ""
                                : Show.marked(Show.count(searches(searches, keyword)), searches.simulated(keyword)),
                        story(board.keywords().text(keyword))))
                .toList();
    }

    private static long searches(@Nullable FigureColumn searches, int keyword) {
        return searches == null || !searches.known(keyword) ? -1 : searches.twiceMiddle(keyword) / 2;
    }

    private List<Found> word(Board board) {
        int count = board.match(new Condition.HasWord(asked)).cardinality();
        return count == 0
                ? List.of()
                : List.of(new Found(
                        asked,
                        Show.count(count, "keyword", "keywords"),
                        base + "sift?word=" + Show.encoded(asked) + "&offer=" + Show.encoded(asked)));
    }

    private List<Found> groups(Groups groups) {
        return IntStream.of(groups.order())
                .filter(group -> has(groups.name(group)))
                .limit(MOST)
                .mapToObj(group -> new Found(
                        groups.name(group),
                        Show.count(groups.keywords(group), "keyword", "keywords"),
                        opening(groups.grouping().key(group))))
                .toList();
    }

    /** What is written beside keywords, groups and baskets. */
    private List<Found> notes(Board board) {
        Notes notes = board.recipe().notes();
        List<Found> found = new ArrayList<>();
        notes.keywords().entrySet().stream()
                .filter(note -> has(note.getValue()))
                .flatMap(note -> board.keywords().meant(note.getKey()).stream()
                        .map(keyword -> new Found(
                                note.getValue(),
                                board.keywords().text(keyword),
                                story(board.keywords().text(keyword)))))
                .distinct()
                .forEach(found::add);
        notes.groups().entrySet().stream()
                .filter(note -> has(note.getValue()))
                .map(note -> new Found(note.getValue(), note.getKey(), opening(note.getKey())))
                .forEach(found::add);
        snapshot.baskets().stream()
                .filter(basket -> has(basket.info().note()))
                .map(basket ->
                        new Found(basket.info().note(), basket.info().name(), base + "gather?basket=" + basket.id()))
                .forEach(found::add);
        return found;
    }

    private String story(String keyword) {
        return base + "sift?q=" + Show.encoded(keyword) + "&story=" + Show.encoded(Tidy.of(keyword));
    }

    private String opening(String group) {
        return base + "group?view=list&group=" + Show.encoded(group);
    }

    private Found rule(Rule rule) {
        return new Found(rule.sentence(), "", base + "sift" + SiftQuery.urlOf(rule.when()));
    }

    private Found basket(GatheredBasket basket) {
        return new Found(basket.info().name(), basket.info().kind().label(), base + "gather?basket=" + basket.id());
    }
}
