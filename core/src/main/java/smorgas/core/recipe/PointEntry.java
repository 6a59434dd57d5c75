package smorgas.core.recipe;

import java.util.Set;
import smorgas.core.text.Refusal;

/**
 * An act on the history itself. A point is the state just after an act was made, and is named by the place of that act. What was
 * decided is not in these acts but in those of the point: {@link History} sees to them, no room does.
 */
public sealed interface PointEntry extends Entry {

    /** The point it is about: the place of an act in the history, from 1; 0 is the beginning. */
    long point();

    /** All is as it was just after an act. Nothing is cut off: undoing this brings back what came between. */
    record WentBack(long point) implements PointEntry {
        public WentBack {
            if (point < 0) {
                throw new Refusal("There is no point " + point);
            }
        }

        /** Whatever somebody saw may be otherwise now. */
        @Override
        public Set<String> touches() {
            return Set.of(Entry.EVERYTHING);
        }

        @Override
        public boolean surprises(Set<String> between) {
            return !between.isEmpty();
        }

        @Override
        public String sentence() {
            return point == 0 ? "Went back to the beginning" : "Went back to how it was after act " + point;
        }
    }

    /**
     * A point has a name; the later one of two holds, and going back takes none away.
     *
     * @param name at most 100 characters; blank takes the name away
     */
    record PointNamed(long point, String name) implements PointEntry {

        private static final int LONGEST = 100;

        public PointNamed {
            name = name.strip();
            if (point < 0) {
                throw new Refusal("There is no point " + point);
            }
            if (name.length() > LONGEST) {
                throw new Refusal("A name has at most " + LONGEST + " characters");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("point:" + point);
        }

        @Override
        public String sentence() {
            return name.isEmpty()
                    ? "Took the name of point " + point + " away"
                    : "Named point " + point + " \"" + name + "\"";
        }
    }
}
