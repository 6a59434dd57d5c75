package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import smorgas.app.fetch.PageFetcher;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.source.PageSource;
import smorgas.core.source.PhraseFinder;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Web pages to find phrases in: those that somebody sent are held for an hour, to try settings; others are read by address. */
@Component
public class Pages {

    private static final long MOST_BYTES = 200_000_000;
    private static final Duration HELD = Duration.ofHours(1);

    private final List<PageSource> sources;
    private final boolean fetching;
    private final Cache<Long, List<Page>> held = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((Long project, List<Page> pages) -> (int) Math.min(
                    MOST_BYTES,
                    pages.stream().mapToLong(page -> page.bytes().length).sum()))
            .expireAfterAccess(HELD)
            .build();

    /** A page and what it is called. */
    public record Page(String name, byte[] bytes) {}

    @Autowired
    Pages(ObjectProvider<PageSource> sources, @Value("${smorgas.fetch}") boolean fetching) {
        this(sources.orderedStream().toList(), fetching);
    }

    Pages(List<PageSource> sources, boolean fetching) {
        this.sources = List.copyOf(sources);
        this.fetching = fetching;
    }

    /** Whether pages are fetched from the network. */
    public boolean fetching() {
        return fetching;
    }

    /** The addresses that can be read without the network. */
    public List<String> addresses() {
        return sources.stream().flatMap(source -> source.addresses().stream()).toList();
    }

    /** A page that can be read without the network. */
    public Optional<byte[]> within(String address) {
        return sources.stream().flatMap(source -> source.page(address).stream()).findFirst();
    }

    /** What somebody sent for a project last; empty after a while, or if nothing was. */
    public List<Page> held(long project) {
        return Optional.ofNullable(held.getIfPresent(project)).orElse(List.of());
    }

    /** Holds pages in the place of those before. */
    public void hold(long project, List<Page> pages) {
        held.put(project, List.copyOf(pages));
    }

    /**
     * What reads the addresses that were typed and takes phrases out of the pages.
     *
     * @throws Refusal if there are too many, or one must be fetched and that is off
     */
    public ToolTask.Work phrases(PhraseSettings wanted) {
        if (wanted.addresses().isEmpty()) {
            throw new Refusal("work.pages.pages-kept-choose-them");
        }
        if (wanted.addresses().size() > PageFetcher.MOST_PAGES) {
            throw new Refusal("work.pages.most-pages-read-time", PageFetcher.MOST_PAGES);
        }
        wanted.addresses().forEach(address -> {
            if (within(address).isEmpty() && !fetching) {
                throw new Refusal("work.pages.would-fetched-fetching-off", address);
            }
        });
        return new Reading(wanted);
    }

    private final class Reading implements ToolTask.Work {
        private final PhraseSettings wanted;
        private final AtomicInteger read = new AtomicInteger();
        private volatile boolean stopped;

        Reading(PhraseSettings wanted) {
            this.wanted = wanted;
        }

        @Override
        public ToolTask.Came run() throws InterruptedException {
            PhraseFinder finder = new PhraseFinder(wanted);
            List<Message> problems = new ArrayList<>();
            try (PageFetcher fetcher = new PageFetcher()) {
                for (String address : wanted.addresses()) {
                    if (stopped) {
                        break;
                    }
                    try {
                        Optional<byte[]> known = within(address);
                        finder.add(address, known.isPresent() ? known.get() : fetcher.page(address));
                    } catch (Refusal refused) {
                        problems.add(Message.of("sentence", refused.message()));
                    }
                    read.incrementAndGet();
                }
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
            PhraseFinder.Result result = finder.result();
            problems.addAll(result.problems());
            return new ToolTask.Came(
                    result.list(),
                    BasketInfo.Kind.PAGE,
                    new Asked.FoundPhrases(wanted, result.pages(), problems),
                    Message.joined("list.sentences", problems));
        }

        @Override
        public void stop() {
            stopped = true;
        }

        @Override
        public List<Message> told() {
            return List.of(Message.of(
                    "work.pages.pages-read", read.get(), wanted.addresses().size()));
        }
    }
}
