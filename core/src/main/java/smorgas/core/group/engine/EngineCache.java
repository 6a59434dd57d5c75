package smorgas.core.group.engine;

import java.lang.ref.SoftReference;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Remembers what an engine has found about the same keywords, so that a dial is turned without finding it out again. Safe for many
 * threads; forgets when memory is short.
 */
public final class EngineCache {

    private static final int KEPT = 2;

    private record Kept(Object key, SoftReference<Object> found) {}

    private final Deque<Kept> kept = new ArrayDeque<>();
    private final MemoryLimit limit;

    /** @param limit what finding it out may take */
    public EngineCache(MemoryLimit limit) {
        this.limit = limit;
    }

    /** How much memory may be taken to find out. */
    public MemoryLimit limit() {
        return limit;
    }

    /**
     * What is known, else found now.
     *
     * @param key all that it depends on, equal if it is the same
     * @param type what is found for such keys
     */
    public <T> T get(Object key, Class<T> type, Supplier<T> find) {
        Object known = known(key);
        if (known != null) {
            return type.cast(known);
        }
        T found = find.get();
        synchronized (kept) {
            kept.addFirst(new Kept(key, new SoftReference<>(found)));
            while (kept.size() > KEPT) {
                kept.removeLast();
            }
        }
        return found;
    }

    private @Nullable Object known(Object key) {
        synchronized (kept) {
            return kept.stream()
                    .filter(one -> one.key().equals(key))
                    .findFirst()
                    .map(one -> one.found().get())
                    .orElse(null);
        }
    }
}
