package smorgas.core.board;

/** Something that is left to do of a job. */
public sealed interface Task {

    /** Where it is done. */
    Room room();

    /** The five steps of a job. */
    enum Room {
        GATHER,
        FOLD,
        SIFT,
        GROUP,
        SERVE
    }

    /** There is no list yet. */
    record Gather() implements Task {
        @Override
        public Room room() {
            return Room.GATHER;
        }
    }

    /** Words that look misspelt wait for an answer. */
    record Misspellings(int words) implements Task {
        @Override
        public Room room() {
            return Room.FOLD;
        }
    }

    /** Nothing is dropped yet: a word that does not fit takes many keywords with it. */
    record DropWords(int keywords) implements Task {
        @Override
        public Room room() {
            return Room.SIFT;
        }
    }

    /** Most is undecided: from the most searched down to where it becomes irrelevant. */
    record Sift(int undecided) implements Task {
        @Override
        public Room room() {
            return Room.SIFT;
        }
    }

    /** The groups have not been adopted yet. */
    record Settle(int groups) implements Task {
        @Override
        public Room room() {
            return Room.GROUP;
        }
    }

    /** Keywords came since the groups were settled. */
    record SeatNew(int keywords) implements Task {
        @Override
        public Room room() {
            return Room.GROUP;
        }
    }

    /** The doubtful groups want a look. */
    record Doubtful() implements Task {
        @Override
        public Room room() {
            return Room.GROUP;
        }
    }

    /** Leftovers are searched for, so many times a month. */
    record Leftovers(int keywords, long searches) implements Task {
        @Override
        public Room room() {
            return Room.GROUP;
        }
    }

    /** Checks of the plan have found something to mend. */
    record Mend(int findings) implements Task {
        @Override
        public Room room() {
            return Room.SERVE;
        }
    }

    /** The plan can leave. */
    record Download() implements Task {
        @Override
        public Room room() {
            return Room.SERVE;
        }
    }
}
