package smorgas.core.recipe;

import java.util.Set;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * An act on the history itself. A point is the state just after an act was made, and is named by the place of that act. What was
 * decided is not in these acts but in those of the point: {@link History} sees to them, no room does.
 */
public sealed interface VersionEntry extends Entry {

    /** The point it is about: the place of an act in the history, from 1; 0 is the beginning. */
    long point();

    /** All is as it was just after an act. Nothing is cut off: undoing this brings back what came between. */
    record WentBack(long point) implements VersionEntry {
        public WentBack {
            if (point < 0) {
                throw new Refusal("recipe.version-entry.there-is-no-point", point);
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
        public Message sentence() {
            return point == 0
                    ? Message.of("recipe.version-entry.went-back-beginning")
                    : Message.of("recipe.version-entry.went-back-how-after", point);
        }
    }

    /**
     * A point has a name; the later one of two holds, and going back takes none away.
     *
     * @param name at most 100 characters; blank takes the name away
     */
    record VersionNamed(long point, String name) implements VersionEntry {

        private static final int LONGEST = 100;

        public VersionNamed {
            name = name.strip();
            if (point < 0) {
                throw new Refusal("recipe.version-entry.there-is-no-point", point);
            }
            if (name.length() > LONGEST) {
                throw new Refusal("recipe.version-entry.name-most-characters", LONGEST);
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("point:" + point);
        }

        @Override
        public Message sentence() {
            return name.isEmpty()
                    ? Message.of("recipe.version-entry.took-name-point-away", point)
                    : Message.of("recipe.version-entry.named-point", point, name);
        }
    }
}
