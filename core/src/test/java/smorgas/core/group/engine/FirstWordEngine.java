package smorgas.core.group.engine;

import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.text.Words;

/** The engine of {@link FirstWord}. */
record FirstWordEngine(FirstWord method) implements Engine {

    /** What lists it as a service. */
    public static final class Kind implements Engines.Kind {
        @Override
        public String name() {
            return "first-word";
        }

        @Override
        public Class<? extends Method> method() {
            return FirstWord.class;
        }

        @Override
        public Method usual(StandardSettings standard) {
            return new FirstWord(2);
        }

        @Override
        public Engine engine(GroupSettings settings) {
            return new FirstWordEngine((FirstWord) settings.method());
        }
    }

    @Override
    public Found find(Question question) {
        int[] scope = question.scope();
        Function<Integer, String> first =
                place -> Words.of(question.texts().apply(scope[place])).getFirst();
        Map<String, Long> counts = IntStream.range(0, scope.length)
                .boxed()
                .collect(Collectors.groupingBy(first, TreeMap::new, Collectors.counting()));
        counts.values().removeIf(count -> count < method.fewest());
        String[] words = counts.keySet().toArray(String[]::new);
        int[][] themes = Arrays.stream(words)
                .map(word -> question.words().find(word).orElseThrow())
                .toArray(int[][]::new);
        int[] group = IntStream.range(0, scope.length)
                .map(place -> Math.max(-1, Arrays.binarySearch(words, first.apply(place))))
                .toArray();
        double[] weights = new double[question.words().size()];
        Arrays.fill(weights, 1);
        return Found.byThemes(themes, group, weights);
    }
}
