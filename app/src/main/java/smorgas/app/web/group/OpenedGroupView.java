package smorgas.app.web.group;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.ui.Model;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.core.board.Board;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Explained;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeMarks;
import smorgas.core.recipe.GroupsByHand;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** The opened group, or the ungrouped keywords: figures, what holds it together, members, nearest ones, what a hand decided of it. */
final class OpenedGroupView {

    /** A keyword of the opened group, the words of its theme set off. */
    record Member(
            String text,
            List<ThemeMarks.Mark> marks,
            Message searches,
            String tightness,
            Message how,
            String next,
            String nextUrl,
            String status,
            Message label) {}

    private final Board board;
    private final Groups groups;
    private final Grouping grouping;
    private final GroupQuery query;
    private final String base;
    private final GroupViews views;
    private final Wording wording;

    /**
     * Of a board.
     *
     * @param query of every link, so that a preview stays one
     * @param base of the project's addresses
     */
    OpenedGroupView(Board board, GroupQuery query, String base, Wording wording) {
        this.wording = wording;
        this.board = board;
        this.groups = board.groups();
        this.grouping = groups.grouping();
        this.query = query;
        this.base = base;
        this.views = new GroupViews(board, query);
    }

    /** The opened group, its members and what is near it. */
    record Opened(
            String members,
            String theme,
            String name,
            Message kind,
            Message memberCount,
            String memberSearches,
            String memberBid,
            String memberTightness,
            List<GroupViews.Part> common,
            List<GroupViews.Part> near,
            List<GroupViews.Part> odd,
            String broader,
            String before,
            String after,
            Message intents,
            Expected expected,
            String assume,
            int page,
            int pages) {}

    /** The ungrouped keywords, or those of them that came since. */
    private BitSet left() {
        return query.value("since").equals("true") ? grouping.since() : grouping.leftOver();
    }

    /** The opened group, or the ungrouped keywords: what holds it together, its members, its related groups. */
    void show(int group, int page, Model model) {
        boolean is = group >= 0;
        int[] inOrder = board.orders()
                .mostSearched(
                        is ? grouping.members().row(group) : left().stream().toArray());
        int pages = Math.max(1, (inOrder.length + GroupViews.PAGE - 1) / GroupViews.PAGE);
        int shown = Math.clamp(page, 1, pages);
        List<Member> members = Arrays.stream(inOrder)
                .skip((shown - 1L) * GroupViews.PAGE)
                .limit(GroupViews.PAGE)
                .mapToObj(keyword -> member(group, keyword))
                .toList();
        if (is) {
            GroupMenu.of(board, group, query, base).show(model);
        }
        hand(group, is ? grouping.key(group) : "", model);
        Shown.in(
                model,
                new Opened(
                        MemberHtml.of(members, base, wording),
                        is ? grouping.key(group) : "",
                        is ? groups.name(group) : "",
                        is ? views.kind(group) : Message.NONE,
                        Message.of("count.keywords", inOrder.length),
                        is
                                ? groups.searches(group).written()
                                : groups.ungroupedSearches().written(),
                        is ? Show.money(groups.bid(group)) : "",
                        is && grouping.nearness().measures(group) ? Show.percent(grouping.meanTightness(group)) : "",
                        is ? common(group) : List.of(),
                        is ? near(group) : List.of(),
                        is ? odd(group) : List.of(),
                        is ? String.join(" › ", groups.tree().above(group)) : "",
                        query.with("page", String.valueOf(shown - 1)),
                        query.with("page", String.valueOf(shown + 1)),
                        intents(inOrder),
                        Expected.of(board.estimatedValue().sum(inOrder)),
                        is ? base + "/sift?assume=" + Show.encoded("group:" + grouping.key(group)) : "",
                        shown,
                        pages));
    }

    /** Words that its keywords share beside the theme. */
    private List<GroupViews.Part> common(int group) {
        return groups.explained().common(group).stream()
                .filter(word -> !word.theme())
                .limit(8)
                .map(word -> new GroupViews.Part(
                        Message.verbatim(word.word()), Message.verbatim(Show.percent(word.share())), ""))
                .toList();
    }

    private List<GroupViews.Part> near(int group) {
        return groups.explained().near(group).stream()
                .map(near -> new GroupViews.Part(
                        Message.verbatim(groups.name(near.group())),
                        Message.verbatim(Show.percent(near.nearness())),
                        views.url(near.group())))
                .toList();
    }

    /** Keywords that are least like the others. */
    private List<GroupViews.Part> odd(int group) {
        return groups.explained().odd(group).stream()
                .map(keyword -> new GroupViews.Part(
                        Message.verbatim(board.keywords().text(keyword)),
                        Message.verbatim(Show.percent(grouping.tightness(keyword))),
                        ""))
                .toList();
    }

    /** How many of the keywords are for what, the commonest first; empty if it is known of none. */
    private Message intents(int[] some) {
        List<Message> told = board.intents().mix(some).entrySet().stream()
                .sorted(Map.Entry.<Intent, Integer>comparingByValue().reversed())
                .map(one -> Message.of(
                        "group.opened-group-view.intent",
                        one.getValue(),
                        one.getKey().label()))
                .toList();
        return Message.joined("list.comma", told);
    }

    /** What a hand has decided of a group. */
    record Decided(List<String> joinedFrom, List<String> barred, List<String> alsoHere) {}

    /** What a hand has decided of the opened group. */
    private void hand(int group, String key, Model model) {
        GroupsByHand decisions = board.recipe().grouping().decisions();
        Shown.in(
                model,
                new Decided(
                        decisions.joined().entrySet().stream()
                                .filter(join -> join.getValue().equals(key))
                                .map(Map.Entry::getKey)
                                .toList(),
                        leads(decisions.barred(), key),
                        group < 0
                                ? List.of()
                                : Arrays.stream(grouping.also().row(group))
                                        .mapToObj(board.keywords()::text)
                                        .toList()));
    }

    /** The lead spellings of the texts that have to do with a group. */
    private List<String> leads(Map<String, ? extends Set<String>> byText, String key) {
        return byText.entrySet().stream()
                .filter(entry -> entry.getValue().contains(key))
                .flatMap(entry -> board.keywords().meant(entry.getKey()).stream())
                .map(board.keywords()::text)
                .distinct()
                .toList();
    }

    private Member member(int group, int keyword) {
        Keywords keywords = board.keywords();
        Explained.Why why = groups.explained().why(keyword);
        FigureColumn searches = keywords.figure(Figure.SEARCHES).orElse(null);
        boolean themed = group >= 0 && grouping.nearness().measures(group);
        return new Member(
                keywords.text(keyword),
                group < 0
                        ? List.of(new ThemeMarks.Mark(keywords.text(keyword), false))
                        : groups.marks(group, keywords.text(keyword)),
                Message.verbatim(Show.figure(Figure.SEARCHES, searches, keyword)),
                themed ? Show.percent(why.tightness()) : "",
                group < 0 ? Message.NONE : how(grouping.by(keyword)),
                why.next()
                        .map(next -> groups.name(next) + " " + Show.percent(why.nextTightness()))
                        .orElse(""),
                why.next().map(views::url).orElse(""),
                board.statuses().of(keyword).name().toLowerCase(Locale.ROOT),
                board.statuses().of(keyword).label());
    }

    private static Message how(Grouping.By by) {
        return switch (by) {
            case THEME, REST, ADOPTED -> Message.NONE;
            case RULE -> Message.of("group.opened-group-view.by-a-rule");
            case HAND -> Message.of("group.opened-group-view.by-hand");
            case LOCK -> Message.NONE;
            case JOIN -> Message.of("group.opened-group-view.joined");
            case PLACE -> Message.of("group.opened-group-view.placed");
        };
    }
}
