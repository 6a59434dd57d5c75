package smorgas.app.web.frame;

import smorgas.app.web.show.Step;

/** A page is about groups that are still being found; {@link Failures} shows one in its place that opens it when they are there. */
final class GroupsPending extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final long project;
    private final transient Step step;

    GroupsPending(long project, Step step) {
        super("groups of project " + project + " are being found");
        this.project = project;
        this.step = step;
    }

    long project() {
        return project;
    }

    Step step() {
        return step;
    }
}
