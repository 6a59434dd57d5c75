package smorgas.app.work;

import java.lang.ref.WeakReference;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import smorgas.app.store.MeaningStore;
import smorgas.core.board.Board;
import smorgas.core.fold.Keywords;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;
import smorgas.meaning.model.MeaningModel;
import smorgas.meaning.model.PackedVector;

/**
 * Finds out in the background what the keywords of projects mean, a part at a time, and keeps it. Nobody waits for it: until
 * all is known the words decide.
 */
@Component
public class Meanings {

    private static final Logger LOG = LoggerFactory.getLogger(Meanings.class);

    /** One thing is found out at a time: the model has one memory. */
    private static final String LANE = "meaning";

    private static final int PART = 256;
    private static final int FEW = 500;
    private static final long PATIENCE_MILLIS = 2_000;

    /** How far it is. */
    public sealed interface State {}

    /** Not in this language, or switched off. */
    public record Off() implements State {}

    /** Nobody has asked for it yet, or somebody has stopped it. */
    public record Waiting(int known, int all) implements State {}

    public record Working(int known, int all) implements State {}

    /** All is known. */
    public record Ready() implements State {}

    /** The model does not run here. */
    public record Broken(Message why) implements State {}

    private final MeaningStore store;
    private final boolean on;
    private final int most;
    /** What is known, by project: it goes with its project. */
    private final Map<Long, Map<String, byte[]>> known = new ConcurrentHashMap<>();

    private final Map<Long, MeaningTask> tasks = new ConcurrentHashMap<>();
    private final Background background;
    private @Nullable MeaningModel model;
    private volatile Message broken = Message.NONE;

    /** What is found out for some keywords, which it does not hold once it is over. */
    private final class MeaningTask extends BackgroundTask {
        /** Only until it is over: it is kept by its project, which would never be let go of. */
        private volatile @Nullable OpenProject open;

        private final WeakReference<Keywords> keywords;
        private volatile int done;
        private volatile int all;
        private volatile boolean stopped;
        private volatile boolean complete;

        MeaningTask(OpenProject open, Keywords keywords) {
            super(open.id(), "Meanings");
            this.open = open;
            this.keywords = new WeakReference<>(keywords);
        }

        @Override
        public List<Message> told() {
            return List.of(Message.of("work.meanings.progress", done, all));
        }

        @Override
        void stop() {
            stopped = true;
        }

        @Override
        void run() {
            Keywords here = keywords.get();
            OpenProject project = open;
            try {
                if (here != null && project != null && !stopped) {
                    quietly(() -> {
                        findAll(this, project, here);
                        return null;
                    });
                }
            } finally {
                open = null;
            }
        }
    }

    Meanings(
            MeaningStore store,
            Background background,
            @Value("${smorgas.meaning}") boolean on,
            @Value("${smorgas.most-meanings}") int most) {
        this.store = store;
        this.background = background;
        this.on = on;
        this.most = most;
    }

    /** Bytes that a text takes with its vector. */
    private static final long A_TEXT = MeaningModel.LENGTH + 150L;

    private Map<String, byte[]> of(long project) {
        return known.computeIfAbsent(project, id -> new ConcurrentHashMap<>());
    }

    /** Lets go of what is known of a project's texts; it is stored. */
    void forget(long project) {
        known.remove(project);
    }

    /** Bytes that all of it takes. */
    long held() {
        return known.values().stream().mapToLong(texts -> texts.size() * A_TEXT).sum();
    }

    /** What is known now of a project's texts; more comes in. */
    public MeaningVectors vectors(long project) {
        return text -> {
            byte[] packed = of(project).get(text);
            return packed == null ? null : PackedVector.unpack(packed);
        };
    }

    /**
     * Finds out what a few texts mean that are no keywords, and waits for it a moment; what is not known by then stays unknown.
     *
     * @param texts tidy; of more than {@value #FEW} the first
     */
    public void learn(OpenProject project, List<String> texts) {
        if (!on || !MeaningModel.knows(project.language()) || !broken.isEmpty()) {
            return;
        }
        Map<String, byte[]> here = of(project.id());
        List<String> missing = texts.stream()
                .distinct()
                .filter(text -> !here.containsKey(text))
                .limit(FEW)
                .toList();
        Future<?> found = background.begin(
                LANE,
                () -> quietly(() -> {
                    here.putAll(find(missing));
                    return null;
                }));
        try {
            found.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (TimeoutException e) {
            // It is done when the worker comes to it, and known the next time.
        } catch (ExecutionException e) {
            LOG.warn("what some texts mean was not found out", e.getCause());
        }
    }

    /** How far it is with a project's keywords. */
    public State state(OpenProject project) {
        Board board = project.snapshot().board();
        int all = board.keywords().size();
        if (!on || !MeaningModel.knows(project.language()) || all > most || all == 0) {
            return new Off();
        }
        if (!broken.isEmpty()) {
            return new Broken(broken);
        }
        MeaningTask task = task(project.id(), board.keywords());
        if (task == null) {
            return new Waiting(0, all);
        }
        return task.complete
                ? new Ready()
                : task.stopped ? new Waiting(task.done, task.all) : new Working(task.done, task.all);
    }

    private @Nullable MeaningTask task(long project, Keywords keywords) {
        MeaningTask task = tasks.get(project);
        return task != null && task.keywords.refersTo(keywords) ? task : null;
    }

    /** Reads what was found out of a project's texts before. */
    void recall(long project) {
        if (on) {
            of(project).putAll(store.of(project));
        }
    }

    /** Begins for the keywords that a project has now, if it has not begun; not after a stop. */
    public void begin(OpenProject project) {
        if (state(project) instanceof Waiting
                && task(project.id(), project.snapshot().board().keywords()) == null) {
            start(project);
        }
    }

    /** Begins, or goes on after a stop. */
    public void start(OpenProject project) {
        if (state(project) instanceof Waiting) {
            Keywords keywords = project.snapshot().board().keywords();
            MeaningTask task = new MeaningTask(project, keywords);
            MeaningTask before = tasks.put(project.id(), task);
            if (before != null) {
                before.stop();
            }
            background.begin(LANE, task);
        }
    }

    /** Stops; what is known stays. */
    public void stop(long project) {
        MeaningTask task = tasks.get(project);
        if (task != null) {
            task.stop();
        }
    }

    /** Everybody else goes first: nothing waits for it. */
    private static <T> T quietly(Callable<T> work) {
        Thread here = Thread.currentThread();
        here.setPriority(Thread.MIN_PRIORITY);
        try {
            return work.call();
        } catch (RuntimeException e) {
            throw e;
        } catch (Exception e) {
            throw new CompletionException(e);
        } finally {
            here.setPriority(Thread.NORM_PRIORITY);
        }
    }

    private void findAll(MeaningTask task, OpenProject project, Keywords keywords) {
        try {
            Set<String> texts = new LinkedHashSet<>();
            for (int keyword = 0; keyword < keywords.size(); keyword++) {
                texts.add(Tidy.of(keywords.text(keyword)));
            }
            task.all = texts.size();
            boolean news = !of(project.id()).keySet().containsAll(texts);
            List<String> missing = shared(project.id(), texts);
            task.done = task.all - missing.size();
            for (int from = 0; from < missing.size() && !task.stopped; from += PART) {
                List<String> part = missing.subList(from, Math.min(missing.size(), from + PART));
                Map<String, byte[]> found = find(part);
                store.keep(project.id(), found);
                of(project.id()).putAll(found);
                task.done += part.size();
            }
            boolean all = !task.stopped;
            if (all && news) {
                project.understood();
            }
            // Only now: who sees that all is known finds the groups that go by it.
            task.complete = all;
        } catch (MeaningModel.Unavailable e) {
            LOG.warn("keywords are grouped by words alone: {}", e.getMessage());
            broken = Message.of("work.meanings.unavailable", e.getMessage());
        } catch (RuntimeException e) {
            LOG.error("what keywords mean was not found out", e);
            broken = Message.of("work.meanings.broken");
        }
    }

    /** Takes over for a project what is known of its texts from others; those of which nothing is known. */
    private List<String> shared(long project, Set<String> texts) {
        Map<String, byte[]> here = of(project);
        Map<String, byte[]> own = store.of(project);
        here.putAll(own);
        List<String> lacking =
                texts.stream().filter(text -> !own.containsKey(text)).toList();
        here.putAll(store.find(
                lacking.stream().filter(text -> !here.containsKey(text)).toList()));
        store.keep(
                project, lacking.stream().filter(here::containsKey).collect(Collectors.toMap(text -> text, here::get)));
        return lacking.stream().filter(text -> !here.containsKey(text)).toList();
    }

    private Map<String, byte[]> find(List<String> texts) throws MeaningModel.Unavailable {
        MeaningModel used = model == null ? MeaningModel.load() : model;
        model = used;
        float[][] vectors = used.vectors(texts);
        Map<String, byte[]> found = new HashMap<>();
        for (int i = 0; i < vectors.length; i++) {
            found.put(texts.get(i), PackedVector.pack(vectors[i]));
        }
        return found;
    }
}
