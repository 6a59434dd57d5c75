package smorgas.core.recipe.serve;

import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * Which groups and keywords are exported.
 *
 * @param keptOnly leave Undecided keywords out
 * @param ungrouped whether the ungrouped keywords are exported too, as an ad group of their own
 * @param smallest how many exported keywords a group has at least, from 1
 * @param small what becomes of smaller ones
 * @param withKept leave out groups of which no keyword is Kept
 */
public record PlanGroups(boolean keptOnly, boolean ungrouped, int smallest, Small small, boolean withKept) {

    /** What becomes of groups that are too small. */
    public enum Small {
        LEFT_OUT("small-groups.left-out"),
        /** The nearest that is large enough; left out if none is near. */
        INTO_RELATED("small-groups.into-related");

        private final Message label;

        Small(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /** Kept and Undecided of every group, no ungrouped keywords. */
    public static final PlanGroups ALL = new PlanGroups(false, false, 1, Small.LEFT_OUT, false);

    public PlanGroups {
        if (smallest < 1 || smallest > 100_000) {
            throw new Refusal("serve.plan-groups.smallest-group-exported-1", smallest);
        }
    }
}
