package smorgas.app.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import smorgas.core.board.Board;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** Tells in figures what an act did. */
final class Effects {

    private Effects() {}

    /** Keywords of which groups are looked through for what an act did beside what it says. */
    private static final int MOST_TOLD = 200_000;

    /** Keywords named; the others are counted. */
    private static final int NAMED = 3;

    /** What an act on groups did beside what it says; of very many keywords it is not waited for. */
    static Message moved(Entry entry, Board before, Board after) {
        boolean told = entry instanceof GroupDecision
                && before.groupsKnown()
                && after.keywords().size() <= MOST_TOLD;
        if (!told || before.keywords() != after.keywords()) {
            return Message.NONE;
        }
        Set<String> named =
                switch (entry) {
                    case GroupDecision.KeywordsPlaced decision -> Set.copyOf(decision.texts());
                    case GroupDecision.Membership decision
                    when decision.held() == GroupDecision.Held.BARRED
                            || decision.held() == GroupDecision.Held.ALLOWED -> Set.copyOf(decision.texts());
                    default -> Set.of();
                };
        return moved(before, after, named);
    }

    /**
     * What an act on groups did to keywords that it did not name: those that are in another group than before, in a sentence;
     * {@link Message#NONE} if there are none.
     */
    private static Message moved(Board before, Board after, Set<String> named) {
        Groups old = before.groups();
        Groups now = after.groups();
        List<String> moved = new ArrayList<>();
        for (int keyword = 0; keyword < after.keywords().size(); keyword++) {
            boolean same = place(old, keyword).equals(place(now, keyword));
            if (!same && !named.contains(after.keywords().text(keyword))) {
                moved.add(after.keywords().text(keyword));
            }
        }
        if (moved.isEmpty()) {
            return Message.NONE;
        }
        Message more = moved.size() > NAMED ? Message.of("work.effects.and-more", moved.size() - NAMED) : Message.NONE;
        return Message.of(
                "work.effects.keyword-changed-groups",
                moved.size(),
                named.isEmpty(),
                moved.subList(0, Math.min(NAMED, moved.size())),
                more);
    }

    private static String place(Groups groups, int keyword) {
        int group = groups.grouping().groupOf(keyword);
        return group < 0 ? String.valueOf(group) : groups.grouping().key(group);
    }

    /** What an act did, with the counts that changed. */
    static Message of(Message sentence, Entry entry, Board before, Board after) {
        List<Message> changes = new ArrayList<>();
        change(
                changes,
                Message.of("work.effects.keywords"),
                before.keywords().size(),
                after.keywords().size());
        for (Status status : Status.values()) {
            change(
                    changes,
                    status.label(),
                    before.statuses().count(status),
                    after.statuses().count(status));
        }
        Message told = Message.of("sentence", sentence);
        if (!changes.isEmpty()) {
            told = Message.of("list.sentences", told, Message.of("sentence", changes));
        }
        Message moved = moved(entry, before, after);
        return moved.isEmpty() ? told : Message.of("list.sentences", told, moved);
    }

    private static void change(List<Message> changes, Message what, int before, int after) {
        if (before != after) {
            changes.add(Message.of("work.effects.change", what, before, after));
        }
    }
}
