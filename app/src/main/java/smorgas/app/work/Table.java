package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.stereotype.Component;
import smorgas.app.store.Baskets;
import smorgas.app.store.Histories;
import smorgas.app.store.Project;
import smorgas.app.store.Projects;
import smorgas.core.board.Board;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * The projects in use, as many as the budget of memory holds; the one not used for longest makes room, and is computed again
 * when wanted, but none that a request or a job has opened and still works with ({@link #visit}). Of each project there is one
 * object as long as anybody holds it, a list being read into it too: two would each know only their own acts.
 */
@Component
public class Table implements InitializingBean, DisposableBean, Memory.Holder {

    private static final Logger LOG = LoggerFactory.getLogger(Table.class);

    /** This part of a project's weight is taken by work on it. */
    private static final int WORKING = 3;

    /** So long somebody waits for memory to open a project with. */
    private static final long PATIENCE_MILLIS = 25_000;

    /** So long groups that are found ahead may take before they are taken for harmless. */
    private static final long AHEAD_MILLIS = 60_000;

    private final Projects projects;
    private final Baskets baskets;
    private final Histories histories;
    private final Meanings meanings;
    private final Memory memory;
    private final Openings openings;
    private final Cache<Long, OpenProject> live =
            Caffeine.newBuilder().weakValues().build();
    /** Those that are held, the one used last at the end. */
    private final LinkedHashMap<Long, OpenProject> used = new LinkedHashMap<>(16, .75f, true);
    /** How many visits have opened each of those that somebody works with now. */
    private final Map<Long, Integer> visited = new HashMap<>();
    /** What each project weighed when it was let go, which is what opening it takes. */
    private final Map<Long, Long> weights = new ConcurrentHashMap<>();
    /** One at a time opens a project. */
    private final Map<Long, Object> doors = new ConcurrentHashMap<>();
    /** What else holds boards; emptied before any project is let go. */
    private final List<Runnable> caches = new CopyOnWriteArrayList<>();
    /** Projects on their way, by number. */
    private final Map<Long, Future<OpenProject>> opening = new ConcurrentHashMap<>();

    /** The last search for groups of each project. */
    private final Map<Long, Search> searches = new ConcurrentHashMap<>();

    /** Groups are found for one project after the other. */
    private static final String LANE = "groups";

    private final Background background;

    /** Groups being found, or found, for a board. */
    private record Search(Board board, Future<?> groups) {}

    Table(
            Projects projects,
            Baskets baskets,
            Histories histories,
            Memory memory,
            Meanings meanings,
            Openings openings,
            Background background) {
        this.background = background;
        this.memory = memory;
        this.openings = openings;
        memory.add(this);
        this.projects = projects;
        this.baskets = baskets;
        this.histories = histories;
        this.meanings = meanings;
    }

    /** What {@link #visit} gives: ends the visit when it is closed. */
    public interface Visiting extends AutoCloseable {
        @Override
        void close();
    }

    /** Whatever this thread opens from now on stays in memory until this is closed. */
    public Visiting visit() {
        Visit visit = Visit.begin();
        return () -> {
            if (visit != null) {
                synchronized (used) {
                    visit.end()
                            .forEach(project -> visited.computeIfPresent(
                                    project.id(), (id, times) -> times == 1 ? null : times - 1));
                }
                memory.changed();
            }
        };
    }

    /** Something that holds boards, to be emptied when memory is short. */
    void empties(Runnable cache) {
        caches.add(cache);
    }

    /**
     * The project, loaded if it is not in use yet.
     *
     * @throws NoSuchElementException if there is none with this number
     * @throws Memory.TooLittle if there is not enough memory for it
     */
    public OpenProject open(long id) {
        OpenProject project = heldNow(id);
        if (project == null) {
            synchronized (doors.computeIfAbsent(id, any -> new Object())) {
                project = heldNow(id);
                if (project == null) {
                    project = opened(id);
                }
            }
        }
        if (project.countsMeaning()) {
            // Whatever page is asked for first, its groups are those that were adopted.
            meanings.begin(project);
        }
        return project;
    }

    private @Nullable OpenProject heldNow(long id) {
        synchronized (used) {
            OpenProject project = used.get(id);
            if (project != null) {
                hold(project);
            }
            return project;
        }
    }

    @SuppressWarnings("try") // it is held, not named
    private OpenProject opened(long id) {
        Project stored = projects.find(id).orElseThrow(() -> new NoSuchElementException("project " + id));
        long lines = baskets.linesAtMost(id);
        long needed = weights.getOrDefault(id, Memory.project(lines, lines));
        try (Memory.Claim claim =
                memory.claim(Message.of("work.table.the-project", stored.name()), needed, PATIENCE_MILLIS)) {
            // Somebody may still hold an object of it that was let go; what its keywords mean was let go with it.
            meanings.recall(id);
            OpenProject project = Objects.requireNonNull(
                    live.get(id, key -> new OpenProject(stored, baskets, histories, meanings.vectors(key), memory)));
            // It ended the server once: perhaps it was chance. Twice: its last act is left out, and so on.
            int leftOut = Math.max(0, openings.ended(id) - 1);
            openings.during(id, () -> project.follow(leftOut));
            hold(project);
            return project;
        }
    }

    private void hold(OpenProject project) {
        Visit visit = Visit.current();
        synchronized (used) {
            used.put(project.id(), project);
            if (visit != null && visit.add(project)) {
                visited.merge(project.id(), 1, Integer::sum);
            }
        }
    }

    @Override
    public long held() {
        synchronized (used) {
            long projects = 0;
            for (OpenProject project : used.values()) {
                projects += weight(project);
            }
            return projects + meanings.held();
        }
    }

    private long weight(OpenProject project) {
        long weight = project.weight();
        // Who works with it makes things and throws them away.
        return visited.containsKey(project.id()) ? weight + weight / WORKING : weight;
    }

    @Override
    public boolean letGo() {
        caches.forEach(Runnable::run);
        long id;
        synchronized (used) {
            Optional<Long> oldest = used.keySet().stream()
                    .filter(one -> !visited.containsKey(one))
                    .findFirst();
            if (oldest.isEmpty()) {
                return false;
            }
            id = oldest.get();
            weights.put(id, Objects.requireNonNull(used.remove(id)).weight());
        }
        opening.remove(id);
        searches.computeIfPresent(id, (key, search) -> {
            search.groups().cancel(true);
            return null;
        });
        meanings.forget(id);
        return true;
    }

    /**
     * The project, if it is in use or can be opened within so long with its keywords; else it is being opened.
     *
     * @throws NoSuchElementException if there is none with this number
     */
    public Optional<OpenProject> openWithin(long id, long millis) {
        OpenProject there = live.getIfPresent(id);
        if (there != null && there.snapshot().board().judgedKnown()) {
            return Optional.of(open(id));
        }
        Future<OpenProject> opened = opening.computeIfAbsent(
                id,
                key -> background.begin(() -> {
                    OpenProject project = open(key);
                    Board board = project.snapshot().board();
                    // What every page of Sift shows besides; nobody waits for it here.
                    background.begin(() -> {
                        board.orders();
                    });
                    background.begin(() -> {
                        board.phrases();
                    });
                    return project;
                }));
        try {
            opened.get(millis, TimeUnit.MILLISECONDS);
            opening.remove(id, opened);
            return Optional.of(open(id));
        } catch (TimeoutException e) {
            return Optional.empty();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        } catch (ExecutionException e) {
            // What it is shows when it is opened as usual.
            opening.remove(id, opened);
            return Optional.of(open(id));
        }
    }

    /** Forgets what is in memory of a project; what is stored stays. */
    public void forget(long id) {
        live.invalidate(id);
        synchronized (used) {
            used.remove(id);
        }
        weights.remove(id);
        searches.remove(id);
        meanings.forget(id);
    }

    /**
     * How far the groups of a project's newest board are, after waiting for them this long. What was being found for an older
     * board of the project is stopped; what failed for this board has failed until it is {@link #findAnew}.
     */
    public Finding groupsWithin(long project, Board board, long millis) {
        if (board.groupsKnown()) {
            return Finding.FOUND;
        }
        Search search = Objects.requireNonNull(searches.compute(project, (id, before) -> {
            if (before != null
                    && before.board() == board
                    && (!before.groups().isDone() || before.groups().state() == Future.State.FAILED)) {
                return before;
            }
            if (before != null) {
                before.groups().cancel(true);
            }
            return new Search(board, background.begin(LANE, () -> found(project, board)));
        }));
        try {
            search.groups().get(millis, TimeUnit.MILLISECONDS);
            return board.groupsKnown() ? Finding.FOUND : Finding.UNDER_WAY;
        } catch (TimeoutException | CancellationException e) {
            return Finding.UNDER_WAY;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Finding.UNDER_WAY;
        } catch (ExecutionException e) {
            return Finding.FAILED;
        }
    }

    /**
     * What a project weighs that stays during this visit. Else it might itself be let go of to make room for its groups, and the
     * next page would begin all over again.
     */
    private long weightHere(long id) {
        synchronized (used) {
            OpenProject project = heldNow(id);
            return project == null ? 0 : weight(project);
        }
    }

    @SuppressWarnings("try") // it is held, not named
    private Board found(long project, Board board) {
        int keywords = board.statuses().remaining().cardinality();
        long needed = board.recipe().grouping().settings().method().needed(keywords);
        try (Visiting visit = visit();
                Memory.Claim claim = memory.claimBeside(
                        weightHere(project),
                        Message.of("work.table.grouping-these-keywords"),
                        needed,
                        PATIENCE_MILLIS)) {
            board.groups();
        } catch (Refusal | Memory.TooLittle e) {
            LOG.debug("the groups of project {} do not fit", project, e);
            throw e;
        } catch (CancellationException e) {
            LOG.debug("an act made the groups of project {} old that were being found", project);
        } catch (RuntimeException | Error e) {
            LOG.error("the groups of project {} could not be found", project, e);
            throw e;
        }
        return board;
    }

    /** Why groups could not be found, if that can be said in a sentence; else empty. */
    public String whyNotFound(long project) {
        Search search = searches.get(project);
        if (search == null || search.groups().state() != Future.State.FAILED) {
            return "";
        }
        Throwable why = search.groups().exceptionNow();
        return why instanceof Refusal
                ? why.getMessage() + "."
                : why instanceof Memory.TooLittle ? String.valueOf(why.getMessage()) : "";
    }

    /** Lets groups be looked for again that could not be found: what was in the way may be gone. */
    public void findAnew(long project) {
        searches.computeIfPresent(
                project, (id, before) -> before.groups().state() == Future.State.FAILED ? null : before);
    }

    /**
     * Begins to open the project worked on last while the rest of the application starts, and to find its groups: its pages
     * are the ones that are asked for next.
     */
    @Override
    public void afterPropertiesSet() {
        projects.all().stream()
                .filter(project -> !project.binned())
                .findFirst()
                .filter(project -> openings.ended(project.id()) == 0)
                .ifPresent(project -> {
                    openWithin(project.id(), 0);
                    // What goes wrong here shows when the project is asked for.
                    background.begin(() -> findAhead(project.id()));
                });
    }

    private void findAhead(long id) {
        Board board = open(id).snapshot().board();
        openings.during(id, () -> groupsWithin(id, board, AHEAD_MILLIS));
    }

    @Override
    public void destroy() {
        searches.values().forEach(search -> search.groups().cancel(true));
    }
}
