package smorgas.app.web.group;

import java.util.List;
import smorgas.app.web.show.Show;
import smorgas.core.group.read.Changes;
import smorgas.core.group.read.Groups;
import smorgas.core.text.Message;

/** What a change does, as figures. */
record ChangeView(
        String fresh,
        String gone,
        String changed,
        Message moved,
        List<GroupViews.Part> freshOnes,
        List<String> goneOnes) {

    private static final int MOST_NAMED = 12;

    /** What becomes of groups when others take their place; those that are new lead to themselves. */
    static ChangeView of(Changes changes, Groups before, Groups after, GroupQuery query) {
        return new ChangeView(
                Show.count(changes.fresh().size()),
                Show.count(changes.gone().size()),
                Show.count(changes.changed()),
                Message.of("count.keywords", changes.moved()),
                changes.fresh().stream()
                        .limit(MOST_NAMED)
                        .map(group -> new GroupViews.Part(
                                Message.verbatim(after.name(group)),
                                Message.verbatim(Show.count(after.keywords(group))),
                                query.opening(after.grouping().key(group))))
                        .toList(),
                changes.gone().stream().limit(MOST_NAMED).map(before::name).toList());
    }
}
