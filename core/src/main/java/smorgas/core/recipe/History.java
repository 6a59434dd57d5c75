package smorgas.core.recipe;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import smorgas.core.text.Refusal;

/**
 * All acts of a project in the order in which they were made. Undo moves a mark back over it; acting after an undo
 * leaves the undone acts in it, marked, where redo does not reach them any more. Cannot change: each act gives a new
 * history.
 */
public record History(List<Step> steps) {

    /** Where an act stands. */
    public enum State {
        /** In force. */
        DONE,
        /** Undone; redo brings it back. */
        UNDONE,
        /** Undone, and left behind by a later act. */
        LEFT
    }

    /**
     * One act.
     *
     * @param seq its place, from 1, without gaps
     * @param version the version of the project, from 1, that it made or that undoing or redoing it made last
     */
    public record Step(long seq, Entry entry, State state, long version) {
        Step in(State other, long made) {
            return new Step(seq, entry, other, made);
        }
    }

    /**
     * A history.
     *
     * @throws Refusal if an act is about a point that comes after it
     */
    public History {
        steps = List.copyOf(steps);
        for (Step step : steps) {
            if (step.entry() instanceof VersionEntry of && of.point() >= step.seq()) {
                throw new Refusal("recipe.history.point-before-act", of.point(), step.seq());
            }
        }
    }

    /** The entries in force, in order: after going back those of the point, then what came since. */
    public List<Entry> effective() {
        return followed(steps.stream()
                .filter(step -> step.state() == State.DONE)
                .map(Step::entry)
                .toList());
    }

    /**
     * The entries that were in force just after an act was made, also if it was undone since; none for 0.
     *
     * @param point the act's place
     * @throws Refusal if there is no such act
     */
    public List<Entry> at(long point) {
        if (point < 0 || point > steps.size()) {
            throw new Refusal("recipe.history.there-is-no-point", point);
        }
        return followed(done(point));
    }

    /** The acts that were done just after an act was made. */
    private List<Entry> done(long point) {
        return steps.stream()
                .limit(point)
                .filter(step -> leftBy(step) > point)
                .map(Step::entry)
                .toList();
    }

    /** Of acts that were done only where it went back to last counts, and what came since. */
    private List<Entry> followed(List<Entry> acts) {
        Deque<List<Entry>> parts = new ArrayDeque<>();
        List<Entry> before = acts;
        while (!before.isEmpty()) {
            int back = before.size() - 1;
            while (back >= 0 && !(before.get(back) instanceof VersionEntry.WentBack)) {
                back--;
            }
            parts.addFirst(before.subList(back + 1, before.size()));
            before = back >= 0 && before.get(back) instanceof VersionEntry.WentBack to ? done(to.point()) : List.of();
        }
        return parts.stream()
                .flatMap(List::stream)
                .filter(entry -> !(entry instanceof VersionEntry))
                .toList();
    }

    /**
     * The place of the act that left a step behind; past the end if none did. Acts are undone from the last one back, so an act that
     * was made before this one was undone has an older version than it, and one made afterwards a newer.
     */
    private long leftBy(Step step) {
        if (step.state() != State.LEFT) {
            return Long.MAX_VALUE;
        }
        for (int later = (int) step.seq(); later < steps.size(); later++) {
            if (steps.get(later).version() > step.version()) {
                return steps.get(later).seq();
            }
        }
        return Long.MAX_VALUE;
    }

    /** The names of versions, by their place; of a version that was named twice the later. */
    public SortedMap<Long, String> versions() {
        SortedMap<Long, String> names = new TreeMap<>();
        for (Step step : steps) {
            if (step.state() == State.DONE && step.entry() instanceof VersionEntry.VersionNamed named) {
                names.put(named.point(), named.name());
            }
        }
        names.values().removeIf(String::isEmpty);
        return names;
    }

    /** The act that undo would take back. */
    public Optional<Step> undoable() {
        return steps.reversed().stream()
                .filter(step -> step.state() == State.DONE)
                .findFirst();
    }

    /** The act that redo would bring back: the one undone last. */
    public Optional<Step> redoable() {
        return steps.stream().filter(step -> step.state() == State.UNDONE).findFirst();
    }

    /** The history with one more act, made at this version; what was undone is left behind. */
    public History act(Entry entry, long version) {
        List<Step> next = new ArrayList<>(steps.size() + 1);
        for (Step step : steps) {
            next.add(step.state() == State.UNDONE ? step.in(State.LEFT, step.version()) : step);
        }
        next.add(new Step(steps.size() + 1L, entry, State.DONE, version));
        return new History(next);
    }

    /** The history with the last act in force undone, which made this version; the same history if there is none. */
    public History undo(long version) {
        return undoable().map(step -> with(step.in(State.UNDONE, version))).orElse(this);
    }

    /** The history with the act undone last in force again, which made this version; the same if there is none. */
    public History redo(long version) {
        return redoable().map(step -> with(step.in(State.DONE, version))).orElse(this);
    }

    /** What acts touch that were made, undone or redone after a version; see {@link Entry#touches()}. */
    public Set<String> touchedSince(long version) {
        Set<String> keys = new LinkedHashSet<>();
        steps.stream()
                .filter(step -> step.version() > version)
                .forEach(step -> keys.addAll(step.entry().touches()));
        return keys;
    }

    private History with(Step changed) {
        List<Step> next = new ArrayList<>(steps);
        next.set((int) changed.seq() - 1, changed);
        return new History(next);
    }
}
