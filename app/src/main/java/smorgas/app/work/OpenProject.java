package smorgas.app.work;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import smorgas.app.store.Baskets;
import smorgas.app.store.Baskets.Basket;
import smorgas.app.store.Histories;
import smorgas.app.store.Project;
import smorgas.app.store.Room;
import smorgas.core.board.Board;
import smorgas.core.column.ColumnRole;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.Reading;
import smorgas.core.recipe.BasketInfo;
import smorgas.core.recipe.BasketState;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.ReadAs;
import smorgas.core.recipe.Recipe;

/**
 * One project in use. Acts come one at a time: stored first, then shown. Readers take the {@link #snapshot()} and are
 * never in the way.
 */
public final class OpenProject {

    private final long id;
    private final String language;
    private final Baskets baskets;
    private final Histories histories;
    private final Map<LinesKey, GatheredBasket> loaded = new HashMap<>();
    /** Lines just stored, by basket, which need not be read back. */
    private final Map<Long, Lines> fresh = new ConcurrentHashMap<>();

    private volatile Snapshot snapshot;
    /** Whether the database failed in the middle of an act, so that it is not known if that is stored. */
    private boolean doubtful;

    /** What lines depend on. */
    private record LinesKey(long basket, ReadAs readAs) {}

    OpenProject(Project project, Baskets baskets, Histories histories) {
        this.id = project.id();
        this.language = project.language();
        this.baskets = baskets;
        this.histories = histories;
        Histories.Stored stored = histories.stored(id);
        Recipe recipe = Recipe.of(stored.history().effective(), language);
        List<GatheredBasket> inForce = basketsOf(recipe);
        this.snapshot =
                new Snapshot(stored.version(), stored.history(), Board.of(linesOf(inForce), recipe), inForce, "");
    }

    public long id() {
        return id;
    }

    public String language() {
        return language;
    }

    public Snapshot snapshot() {
        return snapshot;
    }

    /** Lines of its baskets in force, which is what it takes of the memory. */
    long lines() {
        return snapshot.baskets().stream().mapToLong(b -> b.lines().size()).sum();
    }

    /**
     * Makes an act.
     *
     * @param seen the version of the page on which it was made; an act on an older version goes through if it touches
     *     other things than what came between
     * @param make makes the entry from the recipe in force now
     */
    public synchronized Outcome act(long seen, Function<Recipe, Entry> make) {
        settle();
        Snapshot before = snapshot;
        Entry entry;
        try {
            entry = make.apply(before.board().recipe());
            entry.requireFit();
        } catch (IllegalArgumentException e) {
            return new Outcome.Refused(String.valueOf(e.getMessage()) + ".");
        }
        if (entry.surprises(before.history().touchedSince(seen))) {
            return new Outcome.Refused(
                    "Not done: the same was changed in another window meanwhile. This is the newer state.");
        }
        History after = before.history().act(entry, before.version() + 1);
        if (Recipe.of(after.effective(), language).equals(before.board().recipe())) {
            return new Outcome.NoChange("Nothing to change: it is so already.");
        }
        return advance(before, after, entry.sentence());
    }

    /** Takes the last act back; refused if the page shows an older state than that act made. */
    public synchronized Outcome undo(long seen) {
        settle();
        Snapshot before = snapshot;
        Optional<History.Step> last = before.history().undoable();
        if (last.isEmpty()) {
            return new Outcome.NoChange("There is nothing to undo.");
        }
        return seen != before.version()
                ? newer()
                : advance(
                        before,
                        before.history().undo(before.version() + 1),
                        "Undid: " + last.get().entry().sentence());
    }

    /** Brings the act undone last back. */
    public synchronized Outcome redo(long seen) {
        settle();
        Snapshot before = snapshot;
        Optional<History.Step> next = before.history().redoable();
        if (next.isEmpty()) {
            return new Outcome.NoChange("There is nothing to redo.");
        }
        return seen != before.version()
                ? newer()
                : advance(
                        before,
                        before.history().redo(before.version() + 1),
                        "Did again: " + next.get().entry().sentence());
    }

    private static Outcome newer() {
        return new Outcome.Refused("Not done: another window has acted meanwhile. This is the newer state.");
    }

    /** Stores a list and brings its lines into the project. */
    public Gathered gather(String wanted, byte[] bytes) {
        return gather(wanted, bytes, Watch.NONE);
    }

    /** Who waits for a list that is being read. */
    public interface Watch extends Halt {

        Watch NONE = new Watch() {
            @Override
            public void check() {
                // It is wanted.
            }

            @Override
            public void rows(long stored) {
                // Nobody asks.
            }

            @Override
            public void keeping() {
                // Nobody stops it.
            }
        };

        /** So many rows are stored so far. May throw {@link smorgas.core.gather.ReadingStopped}. */
        void rows(long stored);

        /** The last moment in which it can be stopped. May throw {@link smorgas.core.gather.ReadingStopped}. */
        void keeping();
    }

    /**
     * Stores a list and brings its lines into the project. The same bytes a second time come in switched off.
     *
     * @param watch may stop it, and then nothing is gathered
     */
    public Gathered gather(String wanted, byte[] bytes, Watch watch) {
        String name = freeName(wanted);
        Optional<GatheredBasket> same = sameBytes(bytes);
        Baskets.Stored stored;
        try {
            stored = baskets.store(id, name, bytes, watch, watch::rows, watch::keeping);
        } catch (Room.None e) {
            return new Gathered(new Outcome.Refused(name + ": " + e.getMessage()), Optional.empty());
        }
        if (stored.basket().isEmpty()) {
            return new Gathered(
                    new Outcome.Refused(
                            name + ": " + stored.reading().problems().getFirst().sentence()),
                    Optional.empty());
        }
        long basket = keepFresh(stored);
        Outcome added = act(snapshot.version(), recipe -> new Entry.BasketAdded(basket, name));
        rememberedRoles(stored.reading())
                .ifPresent(roles -> act(
                        snapshot.version(),
                        recipe -> new Entry.BasketReadAs(basket, name, new ReadAs("", "", "", -1, roles))));
        if (same.isPresent()) {
            act(snapshot.version(), recipe -> new Entry.BasketSwitched(basket, name, false));
            return new Gathered(
                    new Outcome.Refused(
                            name + " is the very same file as " + same.get().name()
                                    + ". It is here, switched off; switch it on to count it too, or take it away."),
                    Optional.of(basket));
        }
        return new Gathered(added, Optional.of(basket));
    }

    /** What a hand has said of columns with these very names, the last time it did. */
    private Optional<List<ColumnRole>> rememberedRoles(Reading reading) {
        return snapshot.baskets().reversed().stream()
                .filter(basket -> !reading.headers().isEmpty()
                        && basket.stored().reading().headers().equals(reading.headers())
                        && !basket.state().readAs().roles().isEmpty())
                .map(basket -> basket.state().readAs().roles())
                .findFirst();
    }

    private Optional<GatheredBasket> sameBytes(byte[] bytes) {
        List<Long> same = baskets.withSameBytes(id, bytes);
        return snapshot.baskets().stream()
                .filter(basket -> same.contains(basket.id()))
                .findFirst();
    }

    /** Stores a newer version of a list and puts it in the older one's place. */
    public Gathered renew(long older, byte[] bytes) {
        GatheredBasket old = snapshot.baskets().stream()
                .filter(basket -> basket.id() == older)
                .findFirst()
                .orElseThrow(() -> new java.util.NoSuchElementException("There is no basket " + older));
        Baskets.Stored stored;
        try {
            stored = baskets.store(id, old.name(), bytes);
        } catch (Room.None e) {
            return new Gathered(new Outcome.Refused(e.getMessage()), Optional.empty());
        }
        if (stored.basket().isEmpty()) {
            return new Gathered(
                    new Outcome.Refused(old.name() + ": "
                            + stored.reading().problems().getFirst().sentence()),
                    Optional.empty());
        }
        long by = keepFresh(stored);
        return new Gathered(
                act(snapshot.version(), recipe -> new Entry.BasketRenewed(older, by, old.name())), stored.basket());
    }

    private long keepFresh(Baskets.Stored stored) {
        long basket = stored.basket().orElseThrow();
        fresh.put(basket, stored.lines().orElseThrow());
        return basket;
    }

    /** What became of a gathered list. */
    public record Gathered(Outcome outcome, Optional<Long> basket) {}

    private String freeName(String wanted) {
        Set<String> taken =
                snapshot.baskets().stream().map(GatheredBasket::name).collect(Collectors.toSet());
        String name = wanted;
        for (int n = 2; taken.contains(name); n++) {
            name = wanted + " (" + n + ")";
        }
        return name;
    }

    /** After a fault of the database: what is stored is read anew, and holds. */
    private void settle() {
        if (doubtful) {
            Histories.Stored stored = histories.stored(id);
            Recipe recipe = Recipe.of(stored.history().effective(), language);
            List<GatheredBasket> inForce = basketsOf(recipe);
            Board board = snapshot.board().next(linesOf(inForce), recipe);
            snapshot = new Snapshot(stored.version(), stored.history(), board, inForce, "");
            doubtful = false;
        }
    }

    private Outcome advance(Snapshot before, History after, String sentence) {
        try {
            return stored(before, after, sentence);
        } catch (Room.None e) {
            return new Outcome.Refused(e.getMessage());
        } catch (RuntimeException | Error e) {
            doubtful = true;
            throw e;
        }
    }

    private Outcome stored(Snapshot before, History after, String sentence) {
        histories.advance(id, before.version(), before.history(), after);
        Recipe recipe = Recipe.of(after.effective(), language);
        List<GatheredBasket> inForce =
                recipe.baskets().equals(before.board().recipe().baskets()) ? before.baskets() : basketsOf(recipe);
        Board board = before.board().next(linesOf(inForce), recipe);
        String effect = sentence + Effects.between(before.board(), board);
        snapshot = new Snapshot(before.version() + 1, after, board, inForce, effect);
        return new Outcome.Done(effect);
    }

    private List<GatheredBasket> basketsOf(Recipe recipe) {
        Map<Long, Basket> stored = baskets.of(id).stream().collect(Collectors.toMap(Basket::id, Function.identity()));
        List<GatheredBasket> inForce = new ArrayList<>();
        for (BasketState state : recipe.baskets()) {
            Basket basket = stored.get(state.basket());
            if (basket != null) {
                inForce.add(placed(state, basket));
            }
        }
        loaded.keySet()
                .retainAll(inForce.stream()
                        .map(basket -> new LinesKey(basket.id(), basket.state().readAs()))
                        .toList());
        return inForce;
    }

    private GatheredBasket placed(BasketState state, Basket stored) {
        GatheredBasket known = loaded.computeIfAbsent(new LinesKey(state.basket(), state.readAs()), key -> {
            Basket read = baskets.readAs(stored, state.readAs());
            Lines kept = fresh.remove(key.basket());
            boolean asFound = kept != null && state.readAs().equals(ReadAs.FOUND);
            return new GatheredBasket(state, read, asFound ? kept : baskets.lines(read));
        });
        // The same object as before if nothing was written down since: the board takes its stages over by that.
        BasketInfo info = state.info()
                .orElseGet(
                        () -> BasketInfo.of(state.name(), known.lines().info().kind()));
        GatheredBasket placed =
                new GatheredBasket(state, known.stored(), known.lines().described(info));
        loaded.put(new LinesKey(state.basket(), state.readAs()), placed);
        return placed;
    }

    private static List<Lines> linesOf(List<GatheredBasket> wanted) {
        return wanted.stream()
                .filter(GatheredBasket::on)
                .map(GatheredBasket::lines)
                .toList();
    }
}
