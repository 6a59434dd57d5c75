package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
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

/**
 * The projects in use, at most eight; the one not used for longest makes room, and is computed again when wanted. Of each
 * project there is one object as long as anybody holds it, a list being read into it too: two would each know only their
 * own acts.
 */
@Component
public class Table implements InitializingBean, DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Table.class);
    private static final int PLACES = 8;

    private final Projects projects;
    private final Baskets baskets;
    private final Histories histories;
    private final Meanings meanings;
    private final long mostLines;
    private final Cache<Long, OpenProject> live =
            Caffeine.newBuilder().weakValues().build();
    /** Those that are held without anybody working on them at the moment, the one used last at the end. */
    private final LinkedHashMap<Long, OpenProject> used = new LinkedHashMap<>(16, .75f, true);
    /** Projects on their way, by number. */
    private final Map<Long, Future<OpenProject>> opening = new ConcurrentHashMap<>();

    private final ExecutorService openers = Executors.newCachedThreadPool(
            Thread.ofPlatform().name("open-", 0).daemon().factory());

    /** The last search for groups of each project. */
    private final Map<Long, Search> searches = new ConcurrentHashMap<>();

    private final ExecutorService ahead = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().name("groups-", 0).daemon().factory());

    /** Groups being found, or found, for a board. */
    private record Search(Board board, Future<?> groups) {}

    Table(Projects projects, Baskets baskets, Histories histories, Memory memory, Meanings meanings) {
        this.mostLines = memory.mostLines();
        this.projects = projects;
        this.baskets = baskets;
        this.histories = histories;
        this.meanings = meanings;
    }

    /**
     * The project, loaded if it is not in use yet.
     *
     * @throws NoSuchElementException if there is none with this number
     */
    public OpenProject open(long id) {
        OpenProject project = Objects.requireNonNull(live.get(id, key -> {
            Project stored = projects.find(key).orElseThrow(() -> new NoSuchElementException("project " + key));
            meanings.recall(key);
            return new OpenProject(stored, baskets, histories, meanings.vectors());
        }));
        if (project.countsMeaning()) {
            // Whatever page is asked for first, its groups are those that were adopted.
            meanings.begin(project);
        }
        synchronized (used) {
            used.put(id, project);
            while (used.size() > PLACES || used.size() > 1 && lines() > mostLines) {
                searches.remove(used.pollFirstEntry().getKey());
            }
        }
        return project;
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
                key -> openers.submit(() -> {
                    OpenProject project = open(key);
                    Board board = project.snapshot().board();
                    board.standings();
                    // What every page of Sift shows besides; nobody waits for it here.
                    openers.execute(board::orders);
                    openers.execute(board::phrases);
                    return project;
                }));
        try {
            OpenProject project = opened.get(millis, TimeUnit.MILLISECONDS);
            opening.remove(id, opened);
            return Optional.of(project);
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

    private long lines() {
        return used.values().stream().mapToLong(OpenProject::lines).sum();
    }

    /** Forgets what is in memory of a project; what is stored stays. */
    public void forget(long id) {
        live.invalidate(id);
        synchronized (used) {
            used.remove(id);
        }
        searches.remove(id);
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
            return new Search(board, ahead.submit(() -> find(project, board)));
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

    private static void find(long project, Board board) {
        try {
            board.groups();
        } catch (CancellationException e) {
            LOG.debug("an act made the groups of project {} old that were being found", project);
        } catch (RuntimeException | Error e) {
            LOG.error("the groups of project {} could not be found", project, e);
            throw e;
        }
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
        projects.all().stream().filter(project -> !project.binned()).findFirst().ifPresent(project -> {
            openWithin(project.id(), 0);
            // What goes wrong here shows when the project is asked for.
            openers.submit(() -> findAhead(project.id()));
        });
    }

    private void findAhead(long id) {
        Board board = open(id).snapshot().board();
        board.standings();
        groupsWithin(id, board, 0);
    }

    @Override
    public void destroy() {
        ahead.shutdownNow();
        // Never by an interrupt, which would close the database's file.
        openers.shutdown();
    }
}
