package smorgas.app.web.group;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.app.work.Trays;
import smorgas.core.board.Board;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupsByHand;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** What a hand decides of groups, which outlasts every turn of a dial; each is one entry. */
@Controller
class DecisionActs {

    private final Trays trays;

    DecisionActs(Trays trays) {
        this.trays = trays;
    }

    /**
     * A keyword, or what is on the tray, goes into the group of this name, which is made if there is none; or is in it beside its own
     * group, or never in it.
     */
    @PostMapping("/projects/{id}/tray/group")
    String place(
            Act act,
            @RequestParam String intoGroup,
            @RequestParam(defaultValue = "into") String way,
            @RequestParam(defaultValue = "") String keyword,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab) {
        boolean one = !Tidy.of(keyword).isEmpty();
        List<String> texts = one ? List.of(Tidy.of(keyword)) : trays.texts(act.id(), tab);
        if (texts.isEmpty() || Tidy.of(intoGroup).isEmpty()) {
            Message why = texts.isEmpty()
                    ? Message.of("group.decision-acts.nothing-picked")
                    : Message.of("group.decision-acts.say-name-group");
            return act.back(new Outcome.NoChange(why));
        }
        Board board = act.snapshot().board();
        String group = key(board.groups(), Tidy.of(intoGroup));
        if (way.equals("also") && board.groups().find(group) < 0) {
            return act.back(
                    new Outcome.Refused(Message.of("group.decision-acts.group-present-so-nothing", intoGroup.strip())));
        }
        List<String> also = board.keywords().otherSpellings(texts);
        keepCase(act, board, group, intoGroup);
        Outcome outcome = act.make(recipe -> switch (way) {
            case "also" -> new GroupDecision.Membership(texts, also, group, GroupDecision.Held.ALSO);
            case "never" -> new GroupDecision.Membership(texts, also, group, GroupDecision.Held.BARRED);
            default -> new GroupDecision.KeywordsPlaced(texts, also, group);
        });
        if (!one && outcome instanceof Outcome.Done) {
            trays.clear(act.id(), tab);
        }
        return act.back(outcome);
    }

    /** A new group's name keeps the capitals that somebody has typed; its key has none. */
    private static void keepCase(Act act, Board board, String key, String typed) {
        String name = typed.strip();
        boolean fresh = board.groups().find(key) < 0
                && !board.recipe().grouping().decisions().names().containsKey(key);
        if (fresh && key.equals(Tidy.of(name)) && !name.equals(key) && name.equalsIgnoreCase(key)) {
            act.make(recipe -> new GroupDecision.GroupNamed(key, name));
        }
    }

    /** The key of the group that is called so, or the name itself. */
    private static String key(Groups groups, String name) {
        int group = groups.called(name);
        return group < 0 ? name : groups.grouping().key(group);
    }

    /** A keyword may be in a group again, or is no longer in it beside its own. */
    @PostMapping("/projects/{id}/group/let")
    String let(Act act, @RequestParam String keyword, @RequestParam String theme, @RequestParam String way) {
        List<String> texts = List.of(Tidy.of(keyword));
        List<String> also = act.snapshot().board().keywords().otherSpellings(texts);
        return act.done(recipe -> way.equals("also")
                ? new GroupDecision.Membership(texts, also, theme, GroupDecision.Held.NOT_ALSO)
                : new GroupDecision.Membership(texts, also, theme, GroupDecision.Held.ALLOWED));
    }

    /** Ticked groups are joined: into the one named, or into the first of them. */
    @PostMapping("/projects/{id}/group/join")
    String join(
            Act act,
            @RequestParam(defaultValue = "") List<String> ticked,
            @RequestParam(defaultValue = "") String intoGroup) {
        Groups groups = act.snapshot().board().groups();
        List<String> keys =
                ticked.stream().filter(key -> groups.find(key) >= 0).distinct().toList();
        String into =
                Tidy.of(intoGroup).isEmpty() ? keys.isEmpty() ? "" : keys.getFirst() : key(groups, Tidy.of(intoGroup));
        List<String> from = keys.stream().filter(key -> !key.equals(into)).toList();
        if (from.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("group.decision-acts.tick-two-groups-one")));
        }
        Outcome outcome = act.make(recipe -> new GroupDecision.GroupsJoined(from, into));
        // The page stays where it was, but that a group which is no more cannot be opened: the one it went into is.
        boolean gone = outcome instanceof Outcome.Done && from.contains(act.asked("group"));
        return act.back(outcome, gone ? GroupQuery.toOpen(into) : Map.of());
    }

    /** Groups that were joined are apart again. */
    @PostMapping("/projects/{id}/group/apart")
    String apart(Act act, @RequestParam List<String> apart) {
        return act.done(recipe -> new GroupDecision.GroupsJoined(apart, GroupsByHand.NO_GROUP));
    }

    /** Groups form on the ticked themes whatever the dials say, or need no longer. */
    @PostMapping("/projects/{id}/group/make")
    String make(
            Act act,
            @RequestParam(defaultValue = "") List<String> theme,
            @RequestParam(defaultValue = "") String typed,
            @RequestParam(defaultValue = "true") boolean on) {
        List<String> themes = Stream.concat(theme.stream(), typed.lines())
                .map(Tidy::of)
                .filter(text -> !text.isEmpty())
                .distinct()
                .toList();
        if (themes.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("group.decision-acts.tick-what-become-group")));
        }
        Outcome outcome = act.make(recipe -> new GroupDecision.ThemesMade(themes, on));
        return act.back(outcome, GroupQuery.toOpen(themes.getFirst()));
    }

    /** A group is divided by settings of its own; 0 makes it whole again. */
    @PostMapping("/projects/{id}/group/split")
    String split(
            Act act,
            @RequestParam String theme,
            @RequestParam int smallestPart,
            @RequestParam(defaultValue = "") String ignoredHere) {
        SplitBy by;
        try {
            by = new SplitBy(smallestPart, new TreeSet<>(Words.of(Tidy.of(ignoredHere))));
        } catch (Refusal e) {
            return act.back(new Outcome.NoChange(Message.of("sentence", e.message())));
        }
        return act.done(recipe -> new GroupDecision.GroupSplit(theme, by));
    }

    /** A group has just the keywords that it has now, or takes and gives again. */
    @PostMapping("/projects/{id}/group/lock")
    String lock(Act act, @RequestParam String theme, @RequestParam boolean on) {
        Board board = act.snapshot().board();
        int group = board.groups().find(theme);
        List<String> texts = group < 0
                ? List.of()
                : Arrays.stream(board.groups().grouping().members().row(group))
                        .boxed()
                        .flatMap(keyword -> board.keywords().tidyTexts(keyword).stream())
                        .toList();
        // Made within the act: a group that only a preview shows has no keywords to be locked with, and that is said.
        return act.done(recipe -> new GroupDecision.GroupLocked(theme, on ? texts : List.of(), on));
    }

    /** No group forms on the theme any more, or one may again. */
    @PostMapping("/projects/{id}/group/theme")
    String removeTheme(Act act, @RequestParam String theme, @RequestParam boolean gone) {
        return act.done(recipe -> new GroupDecision.ThemeRemoved(Tidy.of(theme), gone));
    }

    /** A group is named by hand; an empty name gives it that of its theme back. */
    @PostMapping("/projects/{id}/group/name")
    String name(Act act, @RequestParam String theme, @RequestParam String newName) {
        return act.done(recipe -> new GroupDecision.GroupNamed(theme, newName.strip()));
    }
}
