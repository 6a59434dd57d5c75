package smorgas.app.work;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import smorgas.app.store.Baskets;
import smorgas.app.store.Offers;
import smorgas.core.gather.Lines;
import smorgas.core.source.MadeList;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Tools of ours at work in the background: they tell how far they are, can be stopped, and what they bring is stored. */
@Component
public class ToolTasks {

    private static final Logger LOG = LoggerFactory.getLogger(ToolTasks.class);

    private static final int MOST_AT_ONCE = 8;
    private static final int MOST_TOLD = 50;

    private final ConcurrentLinkedQueue<ToolTask> tasks = new ConcurrentLinkedQueue<>();
    private final Baskets baskets;
    private final Offers offers;
    private final Table table;
    private final Background background;

    ToolTasks(Baskets baskets, Offers offers, Table table, Background background) {
        this.background = background;
        this.table = table;
        this.baskets = baskets;
        this.offers = offers;
    }

    /**
     * Sends one off.
     *
     * @throws Refusal if too many are at work already, or one is for the same basket
     */
    public ToolTask send(OpenProject project, String name, ToolTask.Purpose purpose, ToolTask.Work work) {
        return send(project, name, purpose, work, over -> {});
    }

    /**
     * The same.
     *
     * @param over told when it is over
     */
    @SuppressWarnings("try") // it is held, not named
    public synchronized ToolTask send(
            OpenProject project, String name, ToolTask.Purpose purpose, ToolTask.Work work, Consumer<ToolTask> over) {
        List<ToolTask> pending = tasks.stream().filter(ToolTask::pending).toList();
        if (pending.size() >= MOST_AT_ONCE) {
            throw new Refusal(MOST_AT_ONCE + " of them are at work already: wait for one, or stop it");
        }
        if (!(purpose instanceof ToolTask.Purpose.NewBasket)
                && pending.stream().anyMatch(one -> one.purpose().equals(purpose))) {
            throw new Refusal("It is being asked already");
        }
        ToolTask task = new ToolTask(project.id(), name, purpose, work, sent -> {
            try (Table.Visiting visit = table.visit()) {
                run(project, sent);
                over.accept(sent);
            }
        });
        tasks.add(task);
        while (tasks.size() > MOST_TOLD) {
            tasks.stream().filter(one -> !one.pending()).findFirst().ifPresentOrElse(tasks::remove, tasks::poll);
        }
        background.begin("tool " + task.number(), task);
        return task;
    }

    private void run(OpenProject project, ToolTask task) {
        try {
            table.open(project.id());
            ToolTask.Came came = task.work().run();
            store(project, task, came);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            task.came(0, task.name() + " was ended.");
        } catch (Refusal refused) {
            task.came(0, task.name() + ": nothing was made. " + refused.getMessage() + ".");
        } catch (Memory.TooLittle e) {
            task.came(0, task.name() + ": nothing was made. " + e.getMessage());
        } catch (RuntimeException | StackOverflowError e) {
            LOG.error("{} failed", task.name(), e);
            task.came(
                    0, task.name() + " failed: it could not be stored. Check that the disk has room, then ask again.");
        } finally {
            if (task.sentence().isEmpty()) {
                task.came(0, task.name() + " failed: Smorgas ran out of memory or was ended.");
            }
        }
    }

    private void store(OpenProject project, ToolTask task, ToolTask.Came came) {
        String told = came.told().isEmpty() ? "" : " " + came.told();
        if (came.list().rows().isEmpty()) {
            task.came(0, task.name() + ": nothing came." + told);
            return;
        }
        switch (task.purpose()) {
            case ToolTask.Purpose.NewBasket basket -> gather(project, task, basket.name(), came, told);
            case ToolTask.Purpose.Rest rest ->
                project.snapshot()
                        .version(rest.basket())
                        .ifPresentOrElse(
                                old -> {
                                    byte[] all = Further.than(bytes(project, old), old.lines(), came.list())
                                            .bytes();
                                    OpenProject.Gathered gathered = project.renew(old.id(), all, came.asked(), false);
                                    task.came(
                                            gathered.basket().orElse(0L),
                                            gathered.outcome().sentence() + told);
                                },
                                // Taken away meanwhile: what came is a basket of its own, and nothing is lost.
                                () -> gather(project, task, task.name(), came, told));
            case ToolTask.Purpose.Again again -> offer(project, task, again, came, told);
        }
    }

    private void offer(
            OpenProject project, ToolTask task, ToolTask.Purpose.Again again, ToolTask.Came came, String told) {
        GatheredBasket old = inForce(project, again.basket());
        Further further = Further.than(bytes(project, old), old.lines(), came.list());
        if (further.fresh().isEmpty()) {
            task.came(0, old.name() + ": nothing new came." + told);
            return;
        }
        offers.keep(project.id(), old.id(), came.asked(), further.bytes(), further.fresh(), again.scheduled());
        task.came(
                old.id(),
                String.format(
                        Locale.ENGLISH,
                        "%s: %,d new %s, until you take or leave them.%s",
                        old.name(),
                        further.fresh().size(),
                        further.fresh().size() == 1 ? "keyword waits" : "keywords wait",
                        told));
    }

    private static void gather(OpenProject project, ToolTask task, String name, ToolTask.Came came, String told) {
        OpenProject.Gathered gathered = project.gather(Offered.made(name, came.list(), came.kind(), came.asked()));
        task.came(gathered.basket().orElse(0L), gathered.outcome().sentence() + told);
    }

    private byte[] bytes(OpenProject project, GatheredBasket basket) {
        return baskets.bytes(project.id(), basket.id()).orElseThrow();
    }

    private static GatheredBasket inForce(OpenProject project, long basket) {
        return project.snapshot().version(basket).orElseThrow(() -> new Refusal("The basket was taken away meanwhile"));
    }

    /**
     * A list of ours with what is new in another of the same columns.
     *
     * @param fresh the new keywords
     */
    record Further(byte[] bytes, List<String> fresh) {
        static Further than(byte[] old, Lines lines, MadeList list) {
            Set<String> known = new HashSet<>();
            for (int row = 0; row < lines.size(); row++) {
                known.add(Tidy.of(lines.text(row)));
            }
            List<List<String>> rows = new ArrayList<>();
            List<String> fresh = new ArrayList<>();
            for (List<String> row : list.rows()) {
                if (known.add(Tidy.of(row.get(0)))) {
                    rows.add(row);
                    fresh.add(row.get(0));
                }
            }
            ByteArrayOutputStream all = new ByteArrayOutputStream();
            all.writeBytes(old);
            String more = new String(new MadeList(list.columns(), rows).bytes(), StandardCharsets.UTF_8);
            all.writeBytes(more.substring(more.indexOf('\n') + 1).getBytes(StandardCharsets.UTF_8));
            return new Further(all.toByteArray(), fresh);
        }
    }

    /** Those of a project, the ones that are over too, the newest first. */
    public List<ToolTask> of(long project) {
        return tasks.stream().filter(task -> task.project() == project).toList().reversed();
    }

    /** One of a project. */
    public Optional<ToolTask> find(long project, long number) {
        return of(project).stream().filter(task -> task.number() == number).findFirst();
    }

    /** Makes one end with what came until now. */
    public void stop(long project, long number) {
        find(project, number).ifPresent(ToolTask::stop);
    }
}
