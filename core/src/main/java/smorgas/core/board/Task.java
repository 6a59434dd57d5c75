package smorgas.core.board;

import smorgas.core.figure.Searched;

/** Something that is left to do of a job. */
public sealed interface Task {

    /** Where it is done. */
    default Place place() {
        return switch (this) {
            case Gather lists -> Place.GATHER;
            case Misspellings words -> Place.FOLD;
            case DropWords words -> Place.SIFT;
            case Sift undecided -> Place.SIFT;
            case Adopt groups -> Place.GROUP;
            case PlaceNew keywords -> Place.GROUP;
            case Doubtful groups -> Place.GROUP;
            case Ungrouped keywords -> Place.GROUP;
            case Mend findings -> Place.SERVE;
            case Download plan -> Place.SERVE;
        };
    }

    /** The five steps of a job. */
    enum Place {
        GATHER,
        FOLD,
        SIFT,
        GROUP,
        SERVE
    }

    /** There is no list yet. */
    record Gather() implements Task {}

    /** Words that look misspelt wait for an answer. */
    record Misspellings(int words) implements Task {}

    /** Nothing is dropped yet: a word that does not fit takes many keywords with it. */
    record DropWords(int keywords) implements Task {}

    /** Most is undecided: from the most searched down to where it becomes irrelevant. */
    record Sift(int undecided) implements Task {}

    /** The groups have not been adopted yet. */
    record Adopt(int groups) implements Task {}

    /** Keywords came since the groups were adopted. */
    record PlaceNew(int keywords) implements Task {}

    /** The doubtful groups want a look. */
    record Doubtful() implements Task {}

    /** Ungrouped are searched for, so many times a month. */
    record Ungrouped(int keywords, Searched searches) implements Task {}

    /** Checks of the plan have found something to mend. */
    record Mend(int findings) implements Task {}

    /** The plan can leave. */
    record Download() implements Task {}
}
