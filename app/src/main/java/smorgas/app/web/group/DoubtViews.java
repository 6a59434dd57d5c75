package smorgas.app.web.group;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.ui.Model;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.core.board.Board;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Doubts;
import smorgas.core.group.read.Groups;
import smorgas.core.group.same.SameProposals;
import smorgas.core.text.Message;

/** The queue of what most needs a look, each with the acts that adopt it. */
final class DoubtViews {

    private static final int SHOWN = 12;
    private static final int SAMPLES = 4;

    /** A side of a doubt: keywords, and the group they are in or would be in. */
    record Side(String name, String url, Message told, List<String> keywords, Message more) {}

    /** What adopts a doubt. */
    record Answer(String value, Message label) {}

    record DoubtView(String key, Message question, Side one, Side other, List<Answer> answers) {}

    /** The queue. */
    record Queue(List<DoubtView> doubts, String doubtsLeft, String doubtsRefused) {}

    private final Board board;
    private final Groups groups;
    private final Grouping grouping;
    private final GroupQuery query;

    DoubtViews(Board board, GroupQuery query) {
        this.board = board;
        this.groups = board.groups();
        this.grouping = groups.grouping();
        this.query = query;
    }

    void show(Model model) {
        Set<String> refused = board.recipe().grouping().refused();
        List<Doubts.Doubt> open = groups.doubts().stream()
                .filter(doubt -> !refused.contains(Doubts.key(doubt, groups)))
                .toList();
        long before = refused.stream().filter(key -> !SameProposals.isKey(key)).count();
        Shown.in(
                model,
                new Queue(
                        open.stream().limit(SHOWN).map(this::view).toList(),
                        open.size() > SHOWN ? Show.count(open.size() - SHOWN) : "",
                        before > 0 ? Show.count(before) : ""));
    }

    private DoubtView view(Doubts.Doubt doubt) {
        String key = Doubts.key(doubt, groups);
        return switch (doubt) {
            case Doubts.Join join ->
                new DoubtView(
                        key,
                        Message.of("group.doubt-views.does-one-ad-answer"),
                        side(join.from()),
                        side(join.into()),
                        List.of(
                                new Answer("join", Message.of("group.doubt-views.join-them")),
                                new Answer("refuse", Message.of("group.doubt-views.keep-them-apart"))));
            case Doubts.Move move -> move(key, move);
            case Doubts.Part part -> part(key, part);
        };
    }

    private DoubtView move(String key, Doubts.Move move) {
        int own = grouping.groupOf(move.keyword());
        Side keyword = new Side(
                board.keywords().text(move.keyword()),
                own < 0 ? query.left() : query.opening(grouping.key(own)),
                in(own, move.keyword()),
                List.of(),
                Message.NONE);
        return new DoubtView(
                key,
                own < 0
                        ? Message.of("group.doubt-views.does-belong-here")
                        : Message.of("group.doubt-views.better-here"),
                keyword,
                side(move.into()),
                List.of(
                        new Answer("move", Message.of("group.doubt-views.put-it-there")),
                        new Answer("refuse", Message.of("group.doubt-views.leave-it"))));
    }

    private DoubtView part(String key, Doubts.Part part) {
        Set<Integer> leaving = Arrays.stream(part.keywords()).boxed().collect(Collectors.toSet());
        int[] staying = Arrays.stream(grouping.members().row(part.group()))
                .filter(keyword -> !leaving.contains(keyword))
                .toArray();
        Answer own = new Answer("own", Message.of("group.doubt-views.group-own"));
        Answer leave = new Answer("refuse", Message.of("group.doubt-views.leave-whole"));
        return new DoubtView(
                key,
                Message.of("group.doubt-views.these-two-things"),
                new Side(
                        "",
                        "",
                        Message.of("count.keywords", part.keywords().length),
                        texts(part.keywords()),
                        more(part.keywords())),
                new Side(
                        groups.name(part.group()),
                        query.opening(grouping.key(part.group())),
                        Message.of("group.doubt-views.stay", staying.length),
                        texts(staying),
                        more(staying)),
                part.near() < 0
                        ? List.of(own, leave)
                        : List.of(
                                own,
                                new Answer("near", Message.of("group.doubt-views.into", groups.name(part.near()))),
                                leave));
    }

    private Side side(int group) {
        int[] members = grouping.members().row(group);
        return new Side(
                groups.name(group),
                query.opening(grouping.key(group)),
                groups.searches(group).sum() > 0
                        ? Message.of(
                                "group.doubt-views.searched",
                                members.length,
                                groups.searches(group).written())
                        : Message.of("count.keywords", members.length),
                texts(members),
                more(members));
    }

    /** The most searched of some keywords. */
    private List<String> texts(int[] keywords) {
        return Arrays.stream(board.orders().mostSearched(keywords))
                .limit(SAMPLES)
                .mapToObj(board.keywords()::text)
                .toList();
    }

    private static Message more(int[] keywords) {
        return keywords.length > SAMPLES ? Message.of("and-more", keywords.length - SAMPLES) : Message.NONE;
    }

    /** Where a keyword is, and how much it is searched. */
    private Message in(int group, int keyword) {
        Message in = group < 0
                ? Message.of("group.doubt-views.in-no-group")
                : Message.of("group.doubt-views.in-group", groups.name(group));
        return groups.searched(keyword) > 0
                ? Message.of("group.doubt-views.and-searches", in, groups.searched(keyword))
                : in;
    }
}
