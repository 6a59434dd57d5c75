package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * The trays: the keywords picked up at the moment, as tidy texts, one tray for each project and browser tab. Kept in
 * memory for a day; a tray is a hand's reach, not a decision.
 */
@Component
public class Trays {

    private record Key(long project, String tab) {}

    private final Cache<Key, Set<String>> trays = Caffeine.newBuilder()
            .maximumSize(200)
            .expireAfterAccess(Duration.ofDays(1))
            .build();

    /** What is on the tray, in the order it was picked. */
    public List<String> texts(long project, String tab) {
        Set<String> tray = trays.getIfPresent(new Key(project, tab));
        if (tray == null) {
            return List.of();
        }
        synchronized (tray) {
            return List.copyOf(tray);
        }
    }

    public void pick(long project, String tab, Collection<String> texts) {
        Set<String> tray = tray(project, tab);
        synchronized (tray) {
            tray.addAll(texts);
        }
    }

    public void putBack(long project, String tab, Collection<String> texts) {
        Set<String> tray = tray(project, tab);
        synchronized (tray) {
            texts.forEach(tray::remove);
        }
    }

    public void clear(long project, String tab) {
        trays.invalidate(new Key(project, tab));
    }

    private Set<String> tray(long project, String tab) {
        return Objects.requireNonNull(trays.get(new Key(project, tab), key -> new LinkedHashSet<>()));
    }
}
