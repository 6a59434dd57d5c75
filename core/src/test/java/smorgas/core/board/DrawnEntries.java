package smorgas.core.board;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Stream;
import smorgas.core.group.engine.Engines;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.group.Method;
import smorgas.core.text.Refusal;

/** Entries of every kind there is, drawn by their fields: a new kind is drawn without being named anywhere. */
final class DrawnEntries {

    private static final int TRIES = 20_000;
    private static final int DEPTH = 4;

    private final Random random;
    /** A text that may mean something where a board stands. */
    private final Supplier<String> texts;

    DrawnEntries(Random random, Supplier<String> texts) {
        this.random = random;
        this.texts = texts;
    }

    /** All kinds of entries. */
    static List<Class<? extends Entry>> kinds() {
        return leaves(Entry.class)
                .<Class<? extends Entry>>map(kind -> kind.asSubclass(Entry.class))
                .toList();
    }

    private static Stream<Class<?>> leaves(Class<?> type) {
        if (type == Method.class) {
            return Engines.kinds().stream().map(Engines.Kind::method);
        }
        return type.isRecord()
                ? Stream.of(type)
                : Arrays.stream(type.getPermittedSubclasses()).flatMap(DrawnEntries::leaves);
    }

    /** One of this kind that its own constructor takes. */
    Entry draw(Class<? extends Entry> kind) {
        return kind.cast(record(kind, 0));
    }

    private Object record(Class<?> type, int depth) {
        for (int tries = 0; tries < TRIES; tries++) {
            Optional<?> drawn = once(type, depth);
            if (drawn.isPresent()) {
                return drawn.get();
            }
        }
        throw new AssertionError("no " + type.getName() + " was taken in " + TRIES + " tries");
    }

    private Optional<?> once(Class<?> type, int depth) {
        RecordComponent[] components = type.getRecordComponents();
        Object[] values = new Object[components.length];
        try {
            for (int i = 0; i < values.length; i++) {
                values[i] = value(components[i].getGenericType(), depth + 1);
            }
            var constructor = type.getDeclaredConstructor(
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
            constructor.setAccessible(true);
            return Optional.of(constructor.newInstance(values));
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof Refusal || e.getCause() instanceof IllegalArgumentException) {
                return Optional.empty();
            }
            throw new AssertionError(type + " of " + Arrays.toString(values), e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new AssertionError(type.getName(), e);
        }
    }

    /** Small, and among the small ones that add up to a whole. */
    private int number() {
        return switch (random.nextInt(4)) {
            case 0 -> random.nextInt(100);
            case 1 -> 100 + random.nextInt(150);
            case 2 -> 10 * random.nextInt(11);
            default -> random.nextInt(10);
        };
    }

    private Object value(Type type, int depth) {
        if (type instanceof ParameterizedType of) {
            return several((Class<?>) of.getRawType(), of.getActualTypeArguments(), depth);
        }
        Class<?> plain = (Class<?>) type;
        if (plain == String.class) {
            return random.nextInt(8) == 0 ? "" : texts.get();
        } else if (plain == Object.class) {
            // What is filled into a message.
            return random.nextBoolean() ? texts.get() : (Object) number();
        } else if (plain == boolean.class) {
            return random.nextBoolean();
        } else if (plain == int.class || plain == Integer.class) {
            return number();
        } else if (plain == long.class || plain == Long.class) {
            return (long) number();
        } else if (plain == double.class) {
            return random.nextDouble();
        } else if (plain == OptionalInt.class) {
            return random.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(number());
        } else if (plain == OptionalLong.class) {
            return random.nextBoolean() ? OptionalLong.empty() : OptionalLong.of(number());
        } else if (plain == LocalDate.class) {
            return LocalDate.of(2026, 1, 1).plusDays(random.nextInt(365));
        } else if (plain == double[].class) {
            return random.doubles(3).toArray();
        } else if (plain.isEnum()) {
            return plain.getEnumConstants()[random.nextInt(plain.getEnumConstants().length)];
        }
        if (!plain.isRecord() && plain.getPermittedSubclasses() == null && plain != Method.class) {
            throw new AssertionError("nobody has told how " + plain.getName() + " is drawn");
        }
        List<Class<?>> of = leaves(plain).toList();
        return record(of.get(random.nextInt(of.size())), depth);
    }

    private Object several(Class<?> type, Type[] of, int depth) {
        int many = random.nextInt(depth > DEPTH ? 2 : 3);
        if (type == Optional.class) {
            return many == 0 ? Optional.empty() : Optional.of(value(of[0], depth));
        }
        if (Map.class.isAssignableFrom(type)) {
            Map<Object, Object> map = type == Map.class ? new LinkedHashMap<>() : new TreeMap<>();
            for (int i = 0; i < many; i++) {
                map.put(value(of[0], depth), value(of[1], depth));
            }
            return map;
        }
        List<Object> list = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            list.add(value(of[0], depth));
        }
        if (Set.class.isAssignableFrom(type)) {
            return type == Set.class ? new LinkedHashSet<>(list) : new TreeSet<>(list);
        }
        return list;
    }
}
