package smorgas.app.web.show;

import java.util.Arrays;
import java.util.Optional;
import smorgas.core.text.Message;

/** The five steps, in their one direction. */
public enum Step {
    GATHER("step.gather", "gather", "step.gather.hint"),
    FOLD("step.fold", "fold", "step.fold.hint"),
    SIFT("step.sift", "sift", "step.sift.hint"),
    GROUP("step.group", "group", "step.group.hint"),
    SERVE("step.serve", "serve", "step.serve.hint");

    private final Message label;
    private final String path;
    private final Message hint;

    Step(String label, String path, String hint) {
        this.label = Message.of(label);
        this.path = path;
        this.hint = Message.of(hint);
    }

    /** The step of such a path; none of another. */
    public static Optional<Step> of(String path) {
        return Arrays.stream(values()).filter(step -> step.path.equals(path)).findFirst();
    }

    public Message label() {
        return label;
    }

    /** The last part of the step's URL. */
    public String path() {
        return path;
    }

    /** What is done here, a sentence for the first visit. */
    public Message hint() {
        return hint;
    }
}
