package smorgas.app.work;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
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
import smorgas.core.text.Message;
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
            throw new Refusal("work.tool-tasks.them-work-already-wait", MOST_AT_ONCE);
        }
        if (!(purpose instanceof ToolTask.Purpose.NewBasket)
                && pending.stream().anyMatch(one -> one.purpose().equals(purpose))) {
            throw new Refusal("work.tool-tasks.being-asked-already");
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
            task.came(0, Message.of("work.tool-tasks.was-ended", task.name()));
        } catch (Refusal refused) {
            task.came(0, Message.of("work.tool-tasks.nothing-made", task.name(), refused.message()));
        } catch (Memory.TooLittle e) {
            task.came(0, Message.of("work.tool-tasks.nothing-made-2", task.name(), e.sentence()));
        } catch (RuntimeException | StackOverflowError e) {
            LOG.error("{} failed", task.name(), e);
            task.came(0, Message.of("work.tool-tasks.failed-could-stored-check", task.name()));
        } finally {
            if (task.sentence().isEmpty()) {
                task.came(0, Message.of("work.tool-tasks.failed-smorgas-ran-out", task.name()));
            }
        }
    }

    private void store(OpenProject project, ToolTask task, ToolTask.Came came) {
        Message told = came.told();
        if (came.list().rows().isEmpty()) {
            task.came(0, and(Message.of("work.tool-tasks.nothing-came", task.name()), told));
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
                                            and(gathered.outcome().sentence(), told));
                                },
                                // Taken away meanwhile: what came is a basket of its own, and nothing is lost.
                                () -> gather(project, task, task.name(), came, told));
            case ToolTask.Purpose.Again again -> offer(project, task, again, came, told);
        }
    }

    private void offer(
            OpenProject project, ToolTask task, ToolTask.Purpose.Again again, ToolTask.Came came, Message told) {
        GatheredBasket old = inForce(project, again.basket());
        Further further = Further.than(bytes(project, old), old.lines(), came.list());
        if (further.fresh().isEmpty()) {
            task.came(0, and(Message.of("work.tool-tasks.nothing-new-came", old.name()), told));
            return;
        }
        offers.keep(project.id(), old.id(), came.asked(), further.bytes(), further.fresh(), again.scheduled());
        task.came(
                old.id(),
                and(
                        Message.of(
                                "work.tool-tasks.new-keyword-waits-until",
                                old.name(),
                                further.fresh().size()),
                        told));
    }

    private static void gather(OpenProject project, ToolTask task, String name, ToolTask.Came came, Message told) {
        OpenProject.Gathered gathered = project.gather(Offered.made(name, came.list(), came.kind(), came.asked()));
        task.came(gathered.basket().orElse(0L), and(gathered.outcome().sentence(), told));
    }

    private byte[] bytes(OpenProject project, GatheredBasket basket) {
        return baskets.bytes(project.id(), basket.id()).orElseThrow();
    }

    private static GatheredBasket inForce(OpenProject project, long basket) {
        return project.snapshot()
                .version(basket)
                .orElseThrow(() -> new Refusal("work.tool-tasks.basket-taken-away-meanwhile"));
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

    /** A sentence, and what else is to be said. */
    private static Message and(Message sentence, Message told) {
        return told.isEmpty() ? sentence : Message.of("list.sentences", sentence, told);
    }
}
