package smorgas.core.source;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import smorgas.core.figure.ColumnRole;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/**
 * Asks sources for suggestions, in rounds: what came new in one is asked in the next. Sources are asked beside each other, each one
 * query after the other; what fails is tried again after growing pauses and then listed, and a source that fails over and over is
 * given up. It can be stopped at any moment; what came stays, and what was not asked yet is known.
 */
public final class SuggestionFinder {

    private static final int MOST_ANSWERS = 100;
    private static final int MOST_FOUND = 200_000;
    private static final int MOST_FAILED = 200;
    private static final int LONGEST = 200;

    private final SuggestionSettings wanted;
    private final List<Source> sources;
    private final Pauses pauses;
    private final BooleanSupplier stopped;
    private final Set<String> seedWords = new HashSet<>();
    private final Map<String, Suggestion> found = new LinkedHashMap<>();
    private final Map<String, Deque<String>> waiting = new LinkedHashMap<>();
    private final Map<String, Progress> progress = new LinkedHashMap<>();
    private final List<SuggestionSettings.Failed> failed = new ArrayList<>();
    private final Set<String> asked = new HashSet<>();
    /** What came in this round, by source: it is put together in their order, so that it is the same whoever was faster. */
    private final Map<String, Map<String, Suggestion>> coming = new LinkedHashMap<>();

    private final Set<String> seen = new HashSet<>();
    private int round;

    /**
     * Something that was suggested.
     *
     * @param text tidy
     * @param query that brought it first
     * @param source that said it first
     * @param round in which it came, from 1
     * @param seeded whether a seed's words are among its words
     */
    public record Suggestion(String text, String query, String source, int round, boolean seeded) {}

    /**
     * How far a source is.
     *
     * @param asked queries of this round that were answered or given up, of {@code of}
     * @param found suggestions it gave, all rounds
     * @param fresh of them those that nobody had said before
     * @param failed queries that it did not answer
     * @param told why it is not asked any more; empty while it is
     */
    public record Progress(
            String source, int round, int asked, int of, int found, int fresh, int failed, Message told) {}

    /** What came of it. */
    public record Result(
            List<Suggestion> found,
            List<SuggestionSettings.Left> left,
            List<SuggestionSettings.Failed> failed,
            boolean whole) {

        /** As a list to be gathered; what holds no seed word is marked by a tag of the list. */
        public MadeList list() {
            return new MadeList(
                    List.of(
                            MadeList.Column.KEYWORD,
                            new MadeList.Column("tags", ColumnRole.TAGS),
                            new MadeList.Column("asked for", ColumnRole.OTHER),
                            new MadeList.Column("source", ColumnRole.OTHER),
                            new MadeList.Column("round", ColumnRole.OTHER)),
                    found.stream()
                            .map(one -> List.of(
                                    one.text(),
                                    one.seeded() ? "" : "no seed word",
                                    one.query(),
                                    one.source(),
                                    String.valueOf(one.round())))
                            .toList());
        }
    }

    /**
     * A finder that begins at the beginning.
     *
     * @param sources those of the wanted ones that there are
     * @param stopped asked before every query; true ends it
     */
    public SuggestionFinder(SuggestionSettings wanted, List<Source> sources, Pauses pauses, BooleanSupplier stopped) {
        this(wanted, sources, pauses, stopped, List.of(), Set.of());
    }

    /**
     * A finder that goes on where one was stopped.
     *
     * @param left what was not asked; empty to begin at the beginning
     * @param known what came then, tidy
     */
    public SuggestionFinder(
            SuggestionSettings wanted,
            List<Source> sources,
            Pauses pauses,
            BooleanSupplier stopped,
            List<SuggestionSettings.Left> left,
            Collection<String> known) {
        this.wanted = wanted;
        this.sources = sources.stream()
                .filter(source -> wanted.sources().contains(source.name()))
                .toList();
        this.pauses = pauses;
        this.stopped = stopped;
        wanted.seeds().forEach(seed -> seedWords.add(padded(seed)));
        known.forEach(text -> found.put(text, new Suggestion(text, "", "", 0, seeded(text))));
        seen.addAll(found.keySet());
        this.sources.forEach(source -> {
            List<String> queries = left.isEmpty()
                    ? wanted.queries()
                    : left.stream()
                            .filter(one -> one.source().equals(source.name()))
                            .map(SuggestionSettings.Left::query)
                            .toList();
            queue(source.name(), queries);
        });
    }

    private void queue(String source, Collection<String> queries) {
        Deque<String> queue = new ArrayDeque<>();
        queries.stream().limit(wanted.most()).forEach(queue::add);
        waiting.put(source, queue);
        asked.addAll(queue);
        Progress old = progress.get(source);
        progress.put(
                source,
                old == null
                        ? new Progress(source, 1, 0, queue.size(), 0, 0, 0, Message.NONE)
                        : new Progress(
                                source, round, 0, queue.size(), old.found(), old.fresh(), old.failed(), old.told()));
    }

    /** How far each source is; may be asked from any thread. */
    public synchronized List<Progress> progress() {
        return List.copyOf(progress.values());
    }

    /** Asks until all rounds are over or it is stopped. */
    public Result run() throws InterruptedException {
        try (Asking asking = new Asking(pauses, stopped)) {
            for (round = 1; round <= wanted.rounds() && !stopped.getAsBoolean(); round++) {
                begin();
                List<Future<?>> running = new ArrayList<>();
                for (Source source : sources) {
                    running.add(asking.beside(() -> ask(source, asking)));
                }
                for (Future<?> one : running) {
                    try {
                        one.get();
                    } catch (ExecutionException e) {
                        throw new IllegalStateException(e.getCause());
                    }
                }
            }
        }
        return result();
    }

    /** What came new in the round before is asked in this one, as it is. */
    private synchronized void begin() {
        List<String> fresh = together();
        if (round > 1) {
            List<String> queries =
                    fresh.stream().filter(text -> !asked.contains(text)).toList();
            sources.forEach(source -> queue(source.name(), queries));
        }
    }

    /** Puts together what came of all sources; the new ones. */
    private List<String> together() {
        List<String> fresh = new ArrayList<>();
        for (Source source : sources) {
            coming.getOrDefault(source.name(), Map.of()).forEach((text, suggestion) -> {
                if (found.size() < MOST_FOUND && found.putIfAbsent(text, suggestion) == null) {
                    fresh.add(text);
                }
            });
        }
        coming.clear();
        return fresh;
    }

    private @Nullable Void ask(Source source, Asking asking) throws InterruptedException {
        int inARow = 0;
        for (String query = next(source); query != null; query = next(source)) {
            String text = query;
            Asking.Answer<List<String>> answer = asking.ask(
                    source.limits(), () -> source.suggest(new Source.Query(text, wanted.language(), wanted.place())));
            if (answer.stopped()) {
                putBack(source, query);
                return null;
            }
            inARow = answer.fault().isEmpty() ? 0 : inARow + 1;
            take(source, query, answer, inARow >= Asking.PATIENCE);
            if (inARow >= Asking.PATIENCE) {
                return null;
            }
            asking.rest(source.limits());
        }
        return null;
    }

    private synchronized @Nullable String next(Source source) {
        return stopped.getAsBoolean() || !progress.get(source.name()).told().isEmpty()
                ? null
                : waiting.get(source.name()).poll();
    }

    private synchronized void putBack(Source source, String query) {
        waiting.get(source.name()).addFirst(query);
    }

    private synchronized void take(Source source, String query, Asking.Answer<List<String>> answer, boolean givenUp) {
        int gave = 0;
        int came = 0;
        for (String text : clean(answer.came().orElse(List.of()))) {
            gave++;
            came += seen.add(text) ? 1 : 0;
            coming.computeIfAbsent(source.name(), none -> new LinkedHashMap<>())
                    .putIfAbsent(text, new Suggestion(text, query, source.name(), round, seeded(text)));
        }
        boolean faulty = !answer.fault().isEmpty();
        if (faulty && failed.size() < MOST_FAILED) {
            failed.add(new SuggestionSettings.Failed(source.name(), Message.verbatim(query), answer.fault()));
        }
        Progress now = progress.get(source.name());
        progress.put(
                source.name(),
                new Progress(
                        source.name(),
                        round,
                        now.asked() + 1,
                        now.of(),
                        now.found() + gave,
                        now.fresh() + came,
                        now.failed() + (faulty ? 1 : 0),
                        givenUp ? Message.of("source.finder.given-up", answer.fault()) : Message.NONE));
    }

    /** Whatever a source answers: bounded, tidy, each once. */
    private static Set<String> clean(List<String> texts) {
        Set<String> clean = new LinkedHashSet<>();
        texts.stream()
                .limit(MOST_ANSWERS)
                .filter(text -> text != null && text.length() <= LONGEST)
                .map(Tidy::of)
                .filter(text -> !text.isEmpty())
                .forEach(clean::add);
        return clean;
    }

    private boolean seeded(String text) {
        String words = padded(text);
        return seedWords.stream().anyMatch(words::contains);
    }

    /** Its words with spaces around them, so that whole words are found. */
    private static String padded(String text) {
        return " " + String.join(" ", Words.of(text)) + " ";
    }

    private synchronized Result result() {
        together();
        List<SuggestionSettings.Left> left = new ArrayList<>();
        waiting.forEach(
                (source, queries) -> queries.forEach(query -> left.add(new SuggestionSettings.Left(source, query))));
        return new Result(
                List.copyOf(found.values()), left, List.copyOf(failed), left.isEmpty() && !stopped.getAsBoolean());
    }
}
