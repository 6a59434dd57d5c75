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
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;
import smorgas.core.text.Wording;

/** What the field in the head finds while one types: keywords, a word, groups, rules, views, baskets and acts. */
final class Finder {

    /**
     * Something that was found.
     *
     * @param figure what tells how much it is; empty if nothing does
     * @param url where it leads
     */
    record Found(Message text, Message figure, String url) {}

    /** What was found of a kind. */
    record Section(Message kind, List<Found> found) {}

    /**
     * An act and where it is done.
     *
     * @param words by which somebody may look for it, beside those of its name
     */
    private record Act(String key, String place) {
        Message name() {
            return Message.of(key);
        }

        Message words() {
            return Message.of(key + ".words");
        }
    }

    private static final int MOST = 6;

    private static final List<Act> ACTS = List.of(
            new Act("finder.gather-lists", "gather"),
            new Act("finder.put-right-language-market", "gather"),
            new Act("finder.compare-two-sets", "compare"),
            new Act("finder.choose-kinds-of-folding", "fold"),
            new Act("finder.clean-spellings", "fold"),
            new Act("finder.look-at-misspellings", "fold"),
            new Act("finder.new-rule", "rules/build"),
            new Act("finder.word-lists", "../../pantry"),
            new Act("finder.download-keywords-as-csv", "sift"),
            new Act("finder.trim-the-list", "sift"),
            new Act("finder.turn-the-dial-from", "group"),
            new Act("finder.doubtful-groups-first", "group?view=doubts"),
            new Act("finder.words-that-mean-the", "group?view=same"),
            new Act("finder.break-down-join-rename", "group?view=list"),
            new Act("finder.look-at-the-ungrouped", "group?ungrouped=true"),
            new Act("finder.see-the-groups-grouped", "group?anew=all"),
            new Act("finder.ignore-words", "group"),
            new Act("finder.what-keywords-may-bring", "sift?assume=all"),
            new Act("finder.write-ads", "ads"),
            new Act("finder.copy-in-pieces", "pieces"),
            new Act("finder.look-after-negatives", "negatives"),
            new Act("finder.feedback-of-reports", "feedback"),
            new Act("finder.download-the-plan", "serve"),
            new Act("finder.download-the-recipe", "history"),
            new Act("finder.history-of-acts", "history"),
            new Act("finder.help-and-keys", "keys"));

    private final String base;
    private final String asked;
    private final Snapshot snapshot;
    private final Wording wording;
    private final List<Section> sections = new ArrayList<>();

    private Finder(String base, String asked, Snapshot snapshot, Wording wording) {
        this.wording = wording;
        this.base = base + "/";
        this.asked = asked;
        this.snapshot = snapshot;
    }

    /** What has a text in it; nothing for no text. */
    static List<Section> find(String base, String text, Snapshot snapshot, Wording wording) {
        String asked = Tidy.of(text);
        if (asked.isEmpty() || asked.length() > Condition.LONGEST_TEXT) {
            return List.of();
        }
        Finder finder = new Finder(base, asked, snapshot, wording);
        finder.all();
        return finder.sections;
    }

    private void all() {
        Board board = snapshot.board();
        add(Message.of("finder.section.acts"), acts());
        add(Message.of("finder.section.keywords"), keywords(board));
        add(Message.of("finder.section.word"), word(board));
        if (board.groupsKnown()) {
            add(Message.of("finder.section.groups"), groups(board.groups()));
        }
        add(
                Message.of("finder.section.rules"),
                board.recipe().sifting().rules().stream()
                        .filter(rule -> has(rule.sentence()))
                        .map(this::rule)
                        .toList());
        add(
                Message.of("finder.section.views"),
                board.recipe().sifting().views().entrySet().stream()
                        .filter(view -> has(Message.verbatim(view.getKey())))
                        .map(view -> new Found(
                                Message.verbatim(view.getKey()),
                                Message.NONE,
                                base + "sift" + SiftQuery.urlOf(view.getValue())))
                        .toList());
        add(Message.of("finder.section.notes"), notes(board));
        add(
                Message.of("finder.section.baskets"),
                snapshot.baskets().stream()
                        .filter(basket -> has(Message.verbatim(basket.info().name())))
                        .map(this::basket)
                        .toList());
    }

    private void add(Message kind, List<Found> found) {
        if (!found.isEmpty()) {
            sections.add(new Section(kind, found.stream().limit(MOST).toList()));
        }
    }

    private boolean has(Message text) {
        return wording.of(text).toLowerCase(Locale.ROOT).contains(asked);
    }

    private List<Found> acts() {
        return ACTS.stream()
                .filter(act -> (wording.of(act.name()) + " " + wording.of(act.words()))
                        .toLowerCase(Locale.ROOT)
                        .matches("(.*\\W)?" + Pattern.quote(asked) + ".*"))
                .map(act -> new Found(act.name(), Message.NONE, base + act.place()))
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
                        Message.verbatim(board.keywords().text(keyword)),
                        searches == null || !searches.known(keyword)
                                ? Message.NONE
                                : Message.verbatim(Show.marked(
                                        Show.count(searches(searches, keyword)), searches.simulated(keyword))),
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
                        Message.verbatim(asked),
                        Message.of("count.keywords", count),
                        base + "sift?word=" + Show.encoded(asked) + "&offer=" + Show.encoded(asked)));
    }

    private List<Found> groups(Groups groups) {
        return IntStream.of(groups.order())
                .filter(group -> has(Message.verbatim(groups.name(group))))
                .limit(MOST)
                .mapToObj(group -> new Found(
                        Message.verbatim(groups.name(group)),
                        Message.of("count.keywords", groups.keywords(group)),
                        opening(groups.grouping().key(group))))
                .toList();
    }

    /** What is written beside keywords, groups and baskets. */
    private List<Found> notes(Board board) {
        Notes notes = board.recipe().notes();
        List<Found> found = new ArrayList<>();
        notes.keywords().entrySet().stream()
                .filter(note -> has(Message.verbatim(note.getValue())))
                .flatMap(note -> board.keywords().meant(note.getKey()).stream()
                        .map(keyword -> new Found(
                                Message.verbatim(note.getValue()),
                                Message.verbatim(board.keywords().text(keyword)),
                                story(board.keywords().text(keyword)))))
                .distinct()
                .forEach(found::add);
        notes.groups().entrySet().stream()
                .filter(note -> has(Message.verbatim(note.getValue())))
                .map(note -> new Found(
                        Message.verbatim(note.getValue()), Message.verbatim(note.getKey()), opening(note.getKey())))
                .forEach(found::add);
        snapshot.baskets().stream()
                .filter(basket -> has(Message.verbatim(basket.info().note())))
                .map(basket -> new Found(
                        Message.verbatim(basket.info().note()),
                        Message.verbatim(basket.info().name()),
                        base + "gather?basket=" + basket.id()))
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
        return new Found(rule.sentence(), Message.NONE, base + "sift" + SiftQuery.urlOf(rule.when()));
    }

    private Found basket(GatheredBasket basket) {
        return new Found(
                Message.verbatim(basket.info().name()),
                basket.info().kind().label(),
                base + "gather?basket=" + basket.id());
    }
}
