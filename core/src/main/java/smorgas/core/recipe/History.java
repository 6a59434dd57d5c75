package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

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

    public History {
        steps = List.copyOf(steps);
    }

    /** The entries in force, in order. */
    public List<Entry> effective() {
        return steps.stream()
                .filter(step -> step.state() == State.DONE)
                .map(Step::entry)
                .toList();
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
