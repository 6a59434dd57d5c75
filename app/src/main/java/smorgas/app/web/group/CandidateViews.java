package smorgas.app.web.group;

import java.util.Arrays;
import java.util.List;
import org.springframework.ui.Model;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.Prospects;
import smorgas.core.text.Message;

/** Themes on which no group formed: the list of them, what one would get, and what further words would make. */
final class CandidateViews {

    private static final int MOST = 200;
    private static final int MOST_SOURCES = 12;

    /** A theme that could be a group. */
    record CandidateView(String theme, String url, String keywords, String searches, boolean opened) {}

    /** Where keywords would come from. */
    record SourceView(Message name, String url, String keywords) {}

    /** A keyword that would come, and the group it is in. */
    record WouldBeView(String text, Message searches, Message in) {}

    private final Board board;
    private final Groups groups;
    private final GroupQuery query;

    CandidateViews(Board board, GroupQuery query) {
        this.board = board;
        this.groups = board.groups();
        this.query = query;
    }

    private CandidateView view(Prospects.Prospect prospect) {
        return new CandidateView(
                prospect.theme(),
                query.asking(prospect.theme()),
                Show.count(prospect.keywords()),
                prospect.searches().written(),
                prospect.theme().equals(query.value("candidate")));
    }

    /** The unused themes. */
    record Listed(
            List<CandidateView> candidates,
            int allCandidates,
            Prospects.By[] candidateOrders,
            Prospects.By candidateOrder,
            boolean smallCandidates) {}

    /** The unused themes that have the words asked for. */
    void list(Model model) {
        boolean small = query.value("small").equals("true");
        Prospects prospects = small ? groups.smallerProspects() : groups.prospects();
        Prospects.By by = by(query.value("first"));
        List<Prospects.Prospect> found = prospects.find(query.value("q"), by, MOST);
        Shown.in(
                model,
                new Listed(
                        found.stream().map(this::view).toList(), prospects.size(), Prospects.By.values(), by, small));
    }

    private static Prospects.By by(String name) {
        return Arrays.stream(Prospects.By.values())
                .filter(by -> by.name().equalsIgnoreCase(name))
                .findFirst()
                .orElse(Prospects.By.KEYWORDS);
    }

    /** A further word, and what it would make with all parts ticked and alone. */
    record PartView(String theme, String url, String keywords, String alone, String searches) {}

    /** The parts that further words would make. */
    record Parts(List<PartView> parts) {}

    /** The parts that further words would make of a group or, if it is below 0, of a candidate. */
    void parts(int group, String candidate, Model model) {
        List<Prospects.FurtherWord> parts = group >= 0
                ? groups.prospects().within(group)
                : groups.prospects().within(candidate);
        Shown.in(
                model,
                new Parts(parts.stream()
                        .map(part -> new PartView(
                                part.theme(),
                                query.asking(part.theme()),
                                Show.count(part.keywords()),
                                Show.count(part.alone()),
                                part.searches().written()))
                        .toList()));
    }

    /** What a group on the opened candidate would get. */
    record Opened(
            String candidate,
            Message wouldGet,
            String wouldGetSearches,
            boolean wouldGetAny,
            int staying,
            List<SourceView> sources,
            int moreSources,
            List<WouldBeView> wouldBe) {}

    /** What a group on the theme would get. */
    void opened(String theme, Model model) {
        Prospects.Got got = groups.prospects()
                .get(theme)
                .orElseGet(() -> new Prospects.Got(theme, new int[0], Searched.NOTHING, List.of(), 0));
        Shown.in(
                model,
                new Opened(
                        theme,
                        Message.of("count.keywords", got.keywords().length),
                        got.searches().written(),
                        got.keywords().length > 0,
                        got.staying(),
                        got.sources().stream()
                                .limit(MOST_SOURCES)
                                .map(source -> new SourceView(
                                        source.group() == Grouping.UNGROUPED
                                                ? Message.of("group.candidate-views.ungrouped")
                                                : Message.verbatim(groups.name(source.group())),
                                        source.group() == Grouping.UNGROUPED
                                                ? query.left()
                                                : query.opening(
                                                        groups.grouping().key(source.group())),
                                        Show.count(source.keywords())))
                                .toList(),
                        Math.max(0, got.sources().size() - MOST_SOURCES),
                        Arrays.stream(board.orders().mostSearched(got.keywords()))
                                .limit(MOST)
                                .mapToObj(keyword -> new WouldBeView(
                                        board.keywords().text(keyword),
                                        Message.verbatim(Show.figure(
                                                Figure.SEARCHES,
                                                board.keywords()
                                                        .figure(Figure.SEARCHES)
                                                        .orElse(null),
                                                keyword)),
                                        where(keyword)))
                                .toList()));
    }

    private Message where(int keyword) {
        int group = groups.grouping().groupOf(keyword);
        return group < 0 ? Message.of("group.candidate-views.ungrouped") : Message.verbatim(groups.name(group));
    }
}
