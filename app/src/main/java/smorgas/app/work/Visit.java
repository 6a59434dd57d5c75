package smorgas.app.work;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A request or a job on its thread: the projects that it has opened stay in memory until it is over. One within another is the
 * same visit.
 */
final class Visit {

    private static final ThreadLocal<Visit> CURRENT = new ThreadLocal<>();

    private final Map<Long, OpenProject> projects = new HashMap<>();

    private Visit() {}

    static @Nullable Visit current() {
        return CURRENT.get();
    }

    /** Begins one on this thread, or goes on with the one that there is; null in that case. */
    static @Nullable Visit begin() {
        if (CURRENT.get() != null) {
            return null;
        }
        Visit visit = new Visit();
        CURRENT.set(visit);
        return visit;
    }

    /** True if the project was not in it yet. */
    boolean add(OpenProject project) {
        return projects.putIfAbsent(project.id(), project) == null;
    }

    Iterable<OpenProject> end() {
        CURRENT.remove();
        return projects.values();
    }
}
