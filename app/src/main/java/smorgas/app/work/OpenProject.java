package smorgas.app.work;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import smorgas.app.store.Baskets;
import smorgas.app.store.DiskSpace;
import smorgas.app.store.Histories;
import smorgas.app.store.Project;
import smorgas.app.store.Watch;
import smorgas.core.board.Board;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Decimals;
import smorgas.core.gather.RawList;
import smorgas.core.gather.Reading;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * One project in use. Acts come one at a time: stored first, then shown. Readers take the {@link #snapshot()} and are
 * never in the way.
 */
public final class OpenProject {

    /** So long an act waits for memory. */
    private static final long ACT_PATIENCE_MILLIS = 20_000;

    private final long id;
    private final String language;
    private final Rules rules;
    private final Baskets baskets;
    private final Histories histories;
    private final LoadedBaskets loaded;
    private final Follower follower;
    private final Memory memory;
    private volatile Snapshot snapshot;
    /** Whether the last acts cannot be followed: then only undo is taken. */
    private boolean stuck;
    /** Whether it is known that what the history says can be worked out. */
    private volatile boolean followable;
    /** Whether the database failed in the middle of an act, so that it is not known if that is stored. */
    private boolean doubtful;

    OpenProject(Project project, Baskets baskets, Histories histories, MeaningVectors meaning, Memory memory) {
        this.id = project.id();
        this.language = project.language();
        this.rules = Rules.numbered(project.rules());
        this.baskets = baskets;
        this.histories = histories;
        this.memory = memory;
        this.loaded = new LoadedBaskets(project.id(), baskets);
        this.follower = new Follower(id, rules, language, loaded, meaning, memory.forSimilarity());
        this.snapshot = followed(histories.stored(id), 0, false);
    }

    /**
     * Works out how the keywords stand, once, as all pages need it. If that cannot be, the project is shown as it was before the
     * first act after which it cannot.
     *
     * @param leftOut how many of the last acts are not even tried, since Smorgas ended while they were
     */
    synchronized void follow(int leftOut) {
        if (!followable) {
            snapshot = followed(new Histories.Stored(snapshot.version(), snapshot.history()), leftOut, true);
            followable = true;
        }
    }

    private Snapshot followed(Histories.Stored stored, int leftOut, boolean worked) {
        Follower.Followed followed = follower.follow(stored, leftOut, worked);
        stuck = followed.stuck();
        return followed.snapshot();
    }

    private Recipe recipeOf(History history) {
        return follower.recipe(history);
    }

    public long id() {
        return id;
    }

    public String language() {
        return language;
    }

    /** What decides what its decisions come to. */
    public Rules rules() {
        return rules;
    }

    public Snapshot snapshot() {
        return snapshot;
    }

    /** Whether what its keywords mean counts for its groups. */
    boolean countsMeaning() {
        return snapshot.board().recipe().grouping().settings().method().meaning();
    }

    /** It has become known what its keywords mean: if that counts for its groups, they are found anew when they are asked for. */
    synchronized void understood() {
        Snapshot now = snapshot;
        if (countsMeaning()) {
            snapshot = new Snapshot(
                    now.version(), now.history(), now.board().understanding(), now.baskets(), now.effect());
        }
    }

    /** Lines of its baskets in force. */
    long lines() {
        return snapshot.baskets().stream().mapToLong(b -> b.lines().size()).sum();
    }

    /** Bytes of memory that it takes with all that pages ask of it. */
    long weight() {
        long lines = lines();
        Board board = snapshot.board();
        return Memory.project(lines, board.judgedKnown() ? board.keywords().size() : lines);
    }

    /** Whether what its history says has been worked out once. */
    boolean followable() {
        return followable;
    }

    /**
     * Makes an act.
     *
     * @param seen the version of the page on which it was made; an act on an older version goes through if it touches
     *     other things than what came between
     * @param make makes the entry from the recipe in force now
     */
    public synchronized Outcome act(long seen, Function<Recipe, Entry> make) {
        adopt();
        if (stuck) {
            return new Outcome.Refused(Follower.STUCK);
        }
        Snapshot before = snapshot;
        Entry entry;
        try {
            entry = make.apply(before.board().recipe());
        } catch (Refusal e) {
            return new Outcome.Refused(Message.of("sentence", e.message()));
        }
        if (entry.surprises(before.history().touchedSince(seen))) {
            return new Outcome.Refused(Message.of("work.open-project.done-same-changed-another"));
        }
        History after;
        try {
            after = before.history().act(entry, before.version() + 1);
        } catch (Refusal e) {
            return new Outcome.Refused(Message.of("sentence", e.message()));
        }
        if (recipeOf(after).sameAs(before.board().recipe())
                && after.versions().equals(before.history().versions())) {
            return new Outcome.NoChange(Message.of("work.open-project.nothing-change-so-already"));
        }
        return advance(before, after, entry.sentence(), entry);
    }

    /**
     * The project as it was just after an act was made; nothing is worked out of it before it is asked for.
     *
     * @throws Refusal if there is no such point
     */
    public Board at(long point) {
        Snapshot now = snapshot;
        Recipe recipe = Recipe.of(now.history().at(point), language, rules);
        return now.board()
                .next(LoadedBaskets.lines(loaded.at(recipe, recipe.folding().decimals())), recipe);
    }

    /** Takes the last act back; refused if the page shows an older state than that act made. */
    public synchronized Outcome undo(long seen) {
        adopt();
        Snapshot before = snapshot;
        Optional<History.Step> last = before.history().undoable();
        if (last.isEmpty()) {
            return new Outcome.NoChange(Message.of("work.open-project.nothing-undo"));
        }
        return seen != before.version()
                ? newer()
                : advance(
                        before,
                        before.history().undo(before.version() + 1),
                        Message.of("work.open-project.undid", last.get().entry().sentence()),
                        last.get().entry());
    }

    /** Brings the act undone last back. */
    public synchronized Outcome redo(long seen) {
        adopt();
        Snapshot before = snapshot;
        Optional<History.Step> next = before.history().redoable();
        if (next.isEmpty()) {
            return new Outcome.NoChange(Message.of("work.open-project.nothing-redo"));
        }
        return seen != before.version()
                ? newer()
                : advance(
                        before,
                        before.history().redo(before.version() + 1),
                        Message.of(
                                "work.open-project.did-again",
                                next.get().entry().sentence()),
                        next.get().entry());
    }

    private static Outcome newer() {
        return new Outcome.Refused(Message.of("work.open-project.done-another-window-acted"));
    }

    /** Stores a list and brings its lines into the project. */
    public Gathered gather(Offered list) {
        return gather(list, Watch.NONE);
    }

    /**
     * Stores a list and brings its lines into the project. The same bytes a second time come in switched off.
     *
     * @param watch may stop it, and then nothing is gathered
     */
    public Gathered gather(Offered list, Watch watch) {
        String name = freeName(list.name());
        byte[] bytes = list.bytes();
        ReadAs known = list.readAs();
        Optional<GatheredBasket> same = sameBytes(bytes, known.sheet());
        Decimals decimals = snapshot.board().recipe().folding().decimals();
        Baskets.Stored stored;
        try {
            stored = baskets.store(id, new RawList(name, bytes, known, decimals), watch);
        } catch (DiskSpace.None e) {
            return new Gathered(
                    new Outcome.Refused(Message.of("work.open-project.of-list", name, e.sentence())), Optional.empty());
        }
        if (stored.basket().isEmpty()) {
            return new Gathered(
                    new Outcome.Refused(Message.of(
                            "work.open-project.of-list",
                            name,
                            stored.reading().problems().getFirst().sentence())),
                    Optional.empty());
        }
        long basket = loaded.keep(stored, known, decimals);
        List<ColumnRole> roles = rememberedRoles(stored.reading()).orElse(known.roles());
        ReadAs readAs = new ReadAs(known.encoding(), known.delimiter(), known.sheet(), known.headerLine(), roles);
        Outcome added = act(
                snapshot.version(),
                recipe -> new BasketEntry.BasketAdded(basket, name, list.kind(), list.asked(), readAs));
        if (same.isPresent()) {
            act(snapshot.version(), recipe -> new BasketEntry.BasketSwitched(basket, name, false));
            return new Gathered(
                    new Outcome.Refused(Message.of(
                            "work.open-project.very-same-file-here",
                            name,
                            same.get().name())),
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

    private Optional<GatheredBasket> sameBytes(byte[] bytes, String sheet) {
        List<Long> same = baskets.withSameBytes(id, bytes);
        return snapshot.baskets().stream()
                .filter(basket -> same.contains(basket.id())
                        && basket.state().readAs().sheet().equals(sheet))
                .findFirst();
    }

    /** Stores a newer version of a list and puts it in the older one's place. */
    public Gathered renew(long older, byte[] bytes) {
        return renew(older, bytes, Asked.NOTHING, false);
    }

    /**
     * The same for a list of a tool of ours.
     *
     * @param asked what it was asked for this time
     * @param scheduled whether a schedule asked, not a hand
     */
    public Gathered renew(long older, byte[] bytes, Asked asked, boolean scheduled) {
        GatheredBasket old = snapshot.baskets().stream()
                .filter(basket -> basket.id() == older)
                .findFirst()
                .orElseThrow(() -> new Missing("missing.basket", older));
        ReadAs readAs = old.state().readAs();
        Decimals decimals = snapshot.board().recipe().folding().decimals();
        Baskets.Stored stored;
        try {
            stored = baskets.store(id, new RawList(old.name(), bytes, readAs, decimals), Watch.NONE);
        } catch (DiskSpace.None e) {
            return new Gathered(new Outcome.Refused(e.sentence()), Optional.empty());
        }
        if (stored.basket().isEmpty()) {
            return new Gathered(
                    new Outcome.Refused(Message.of(
                            "work.open-project.of-list",
                            old.name(),
                            stored.reading().problems().getFirst().sentence())),
                    Optional.empty());
        }
        long by = loaded.keep(stored, readAs, decimals);
        return new Gathered(
                act(
                        snapshot.version(),
                        recipe -> new BasketEntry.BasketRenewed(older, by, old.name(), asked, scheduled)),
                stored.basket());
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
    private void adopt() {
        if (doubtful) {
            Histories.Stored stored = histories.stored(id);
            snapshot = followed(stored, 0, true);
            doubtful = false;
        }
    }

    private Outcome advance(Snapshot before, History after, Message sentence, Entry entry) {
        try {
            return stored(before, after, sentence, entry);
        } catch (DiskSpace.None e) {
            return new Outcome.Refused(e.sentence());
        } catch (Refusal e) {
            // Worked out before it is stored; so nothing was.
            return new Outcome.Refused(Message.of("sentence", e.message()));
        } catch (Memory.TooLittle e) {
            return new Outcome.Refused(Message.of("work.open-project.not-done", e.getMessage()));
        } catch (RuntimeException | Error e) {
            doubtful = true;
            throw e;
        }
    }

    @SuppressWarnings("try") // it is held, not named
    private Outcome stored(Snapshot before, History after, Message sentence, Entry entry) {
        if (stuck) {
            // What is shown is not what is stored: only after the undo it is seen whether that can be followed.
            histories.advance(id, before.version(), before.history(), after, Message.of("sentence", sentence));
            snapshot = followed(new Histories.Stored(before.version() + 1, after), 0, true);
            return new Outcome.Done(Message.of("sentence", sentence));
        }
        // Computed before it is stored: what cannot be followed is not acknowledged.
        Recipe recipe = recipeOf(after);
        Recipe old = before.board().recipe();
        boolean sameLines = recipe.gathering().equals(old.gathering())
                && recipe.folding().decimals() == old.folding().decimals();
        List<GatheredBasket> inForce = sameLines
                ? before.baskets()
                : loaded.of(recipe, recipe.folding().decimals());
        Board board = before.board().next(LoadedBaskets.lines(inForce), recipe);
        Message effect;
        // Until the act is done there are two of what it changes.
        boolean folds = !sameLines || !recipe.folding().equals(old.folding());
        try (Memory.Claim both =
                memory.claim(Message.of("work.open-project.this-act"), folds ? weight() : 0, ACT_PATIENCE_MILLIS)) {
            effect = Effects.of(sentence, entry, before.board(), board);
        }
        histories.advance(id, before.version(), before.history(), after, effect);
        snapshot = new Snapshot(before.version() + 1, after, board, inForce, effect);
        return new Outcome.Done(effect);
    }
}
