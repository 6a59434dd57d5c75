package smorgas.core.gather;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Which lists of a new harvest are newer versions of lists that are there: those of the same name, and those whose names differ in
 * dates and numbers only, such as {@code planner-2026-09.csv} and {@code planner-2026-10.csv}.
 */
public final class Harvest {

    private static final Pattern WORD = Pattern.compile("\\p{L}+");

    private Harvest() {}

    /**
     * Pairs them; a list is never paired with two, and not at all where it could be either of two.
     *
     * @param there the names of the lists that are there
     * @param came the names of those that came
     * @return by the place of a list that came the place of the one whose newer version it is
     */
    public static Map<Integer, Integer> pairs(List<String> there, List<String> came) {
        Map<Integer, Integer> pairs = new LinkedHashMap<>();
        for (UnaryOperator<String> called : List.<UnaryOperator<String>>of(Harvest::name, Harvest::withoutTimes)) {
            Map<Integer, Integer> found = new LinkedHashMap<>();
            for (int list : open(came.size(), pairs.keySet())) {
                alone(there, called, called.apply(came.get(list)), open(there.size(), pairs.values()))
                        .filter(old -> alone(
                                        came, called, called.apply(came.get(list)), open(came.size(), pairs.keySet()))
                                .isPresent())
                        .ifPresent(old -> found.put(list, old));
            }
            pairs.putAll(found);
        }
        return pairs;
    }

    /** The place of the only one that is called so. */
    private static Optional<Integer> alone(
            List<String> names, UnaryOperator<String> called, String name, List<Integer> places) {
        List<Integer> found = places.stream()
                .filter(place -> called.apply(names.get(place)).equals(name))
                .toList();
        return found.size() == 1 ? Optional.of(found.getFirst()) : Optional.empty();
    }

    private static List<Integer> open(int size, java.util.Collection<Integer> taken) {
        return new ArrayList<>(IntStream.range(0, size)
                .boxed()
                .filter(place -> !taken.contains(place))
                .toList());
    }

    private static String name(String file) {
        return file.strip().toLowerCase(Locale.ROOT);
    }

    /** Its words but for names of months. */
    private static String withoutTimes(String file) {
        return WORD.matcher(name(file))
                .results()
                .map(MatchResult::group)
                .filter(word -> !Months.isName(word))
                .collect(Collectors.joining(" "));
    }
}
