package smorgas.core.group.engine;

import java.util.Comparator;
import java.util.List;
import java.util.ServiceLoader;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;

/**
 * The kinds of methods that there are, each with its engine. Another is a {@link Kind} that is listed as a service.
 */
public final class Engines {

    /** A kind of method. */
    public interface Kind {
        /** Its name in recipes and addresses, which stays. */
        String name();

        /** The methods of this kind. */
        Class<? extends Method> method();

        /** The method where nothing is chosen but its kind. */
        Method usual(StandardSettings standard);

        /** The engine of a method of this kind, which {@code settings} hold. */
        Engine engine(GroupSettings settings);
    }

    private static final List<Kind> KINDS = ServiceLoader.load(Kind.class, Kind.class.getClassLoader()).stream()
            .map(ServiceLoader.Provider::get)
            .sorted(Comparator.comparing(Kind::name))
            .toList();

    private Engines() {}

    /** All of them, by name. */
    public static List<Kind> kinds() {
        return KINDS;
    }

    /** The kind of a method. */
    public static Kind of(Method method) {
        return KINDS.stream()
                .filter(kind -> kind.method() == method.getClass())
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(method.getClass() + " is not listed as a service"));
    }

    /** The engine that finds groups as the settings say. */
    public static Engine of(GroupSettings settings) {
        return of(settings.method()).engine(settings);
    }
}
