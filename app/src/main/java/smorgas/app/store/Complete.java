package smorgas.app.store;

import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.text.Refusal;

/** Looks through what was read from JSON for values that are not there: JSON can leave out what a record needs. */
final class Complete {

    private Complete() {}

    /**
     * Refuses a value in which one is missing, however deep; the ends of {@link Bounds} may be.
     *
     * @param name what the value is called
     * @throws Refusal that tells which
     */
    static void require(@Nullable Object value, String name) {
        switch (value) {
            case null -> throw new Refusal("store.complete.is-missing", name);
            case Bounds bounds -> {
                // Open on a side, or on both.
            }
            case Record record -> {
                for (RecordComponent component : record.getClass().getRecordComponents()) {
                    require(valueOf(component, record), component.getName());
                }
            }
            case Collection<?> many -> many.forEach(one -> require(one, name));
            case Map<?, ?> many -> many.values().forEach(one -> require(one, name));
            default -> {
                // A text, a number, a constant.
            }
        }
    }

    private static @Nullable Object valueOf(RecordComponent component, Record record) {
        try {
            return component.getAccessor().invoke(record);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a record of the core that cannot be read", e);
        }
    }
}
