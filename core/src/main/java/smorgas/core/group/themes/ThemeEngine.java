package smorgas.core.group.themes;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.Engines;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;

/** Finds groups by themes: its passes one after the other, each over what the ones before left. */
public final class ThemeEngine implements Engine {
    /** Lists it as a service. */
    public static final class Kind implements Engines.Kind {
        @Override
        public String name() {
            return "themes";
        }

        @Override
        public Class<? extends Method> method() {
            return Method.ByThemes.class;
        }

        @Override
        public Method usual(StandardSettings standard) {
            return standard.themes();
        }

        @Override
        public Engine engine(GroupSettings settings) {
            return new ThemeEngine((Method.ByThemes) settings.method(), settings);
        }
    }

    /** Of fewer groups one core has put the themes' words in order before a second has begun. */
    private static final int FEW_GROUPS = 200;

    private final Method.ByThemes method;
    private final GroupSettings settings;

    ThemeEngine(Method.ByThemes method, GroupSettings settings) {
        this.method = method;
        this.settings = settings;
    }

    @Override
    public Found find(Question question) {
        ThemeWords words = question.words();
        int[] scope = question.scope();
        long[] estimatedValue = estimatedValue(question);
        double[] weights = new double[words.size()];
        List<int[]> themes = new ArrayList<>();
        int[] group = new int[scope.length];
        Arrays.fill(group, -1);
        // The places in the scope that no pass has taken yet.
        int[] left = IntStream.range(0, scope.length).toArray();
        for (Pass pass : method.passes()) {
            int[] places = left;
            int[] keywords = new int[places.length];
            Arrays.setAll(keywords, i -> scope[places[i]]);
            Found found = run(pass, keywords, estimatedValue, question);
            // A word keeps the weight that the first pass that saw it gave it, so that tightness means the same in all
            // groups.
            for (int word = 0; word < weights.length; word++) {
                weights[word] = weights[word] == 0 ? found.weights()[word] : weights[word];
            }
            int still = 0;
            left = new int[places.length];
            for (int i = 0; i < places.length; i++) {
                if (found.group()[i] >= 0) {
                    group[places[i]] = themes.size() + found.group()[i];
                } else {
                    left[still++] = places[i];
                }
            }
            left = Arrays.copyOf(left, still);
            themes.addAll(Arrays.asList(found.themes()));
        }
        return Found.byThemes(themes.toArray(int[][]::new), group, weights);
    }

    private long[] estimatedValue(Question question) {
        int keywords = question.words().rows().size();
        BitSet scope = new BitSet(keywords);
        for (int keyword : question.scope()) {
            scope.set(keyword);
        }
        return RankWeights.of(keywords, scope, method.rank(), question.figures());
    }

    private Found run(Pass pass, int[] scope, long[] estimatedValue, Question question) {
        long[] estimatedValueOfScope = new long[scope.length];
        Arrays.setAll(estimatedValueOfScope, i -> estimatedValue[scope[i]]);
        ThemeWords words = question.words();
        Found found = new PassEngine(
                        ScopeWords.of(words, scope), estimatedValueOfScope, settings, pass, question.themes())
                .run(question.barred());
        if (pass.anyOrder()) {
            int[][] themes = found.themes();
            RaggedInts groups = RaggedInts.byKey(found.group(), themes.length);
            Cores.run(themes.length, FEW_GROUPS, (from, to) -> {
                for (int group = from; group < to; group++) {
                    int[] members =
                            Arrays.stream(groups.row(group)).map(i -> scope[i]).toArray();
                    themes[group] = words.asTheyStand(themes[group], members);
                }
            });
        }
        return found;
    }
}
