package smorgas.core.language;

import java.util.Set;
import java.util.stream.Collectors;

/** Units of measure, which are the same in most languages, from {@code units.txt}. */
public final class Units {

    /** Stand right behind a number or apart from it; none is a word by itself. */
    static final Set<String> APART = of("apart");

    /** Say little beside the number before them. */
    public static final Set<String> LITTLE = of("little");

    /** Tell a size with a number before them. */
    public static final Set<String> OF_SIZES = of("size");

    private Units() {}

    private static Set<String> of(String use) {
        return Lexicon.read("units.txt").stream()
                .map(line -> line.split(": "))
                .filter(parts -> Set.of(parts[1].split(", ")).contains(use))
                .map(parts -> parts[0])
                .collect(Collectors.toUnmodifiableSet());
    }
}
