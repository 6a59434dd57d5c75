package smorgas.core.group.themes;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.RemovedThemes;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.recipe.group.ThemeRules;

/**
 * Divides some keywords by what they have beside the words that they share.
 *
 * @param words of all keywords
 */
public record Division(ThemeWords words, GroupSettings settings, ThemeRules rules) {

    /**
     * A part.
     *
     * @param theme the shared words and those that make the part
     * @param further those that make the part
     */
    public record Part(int[] theme, int[] further, int[] keywords) {}

    /**
     * The parts, largest first, then by their words; what no part takes is left out.
     *
     * @param keywords rising
     * @param shared the words on which no part forms, for all of them have them
     * @param further how many words a part has beside the shared ones, at most
     */
    public List<Part> parts(int[] keywords, int[] shared, SplitBy by, int further) {
        if (keywords.length == 0) {
            return List.of();
        }
        ThemeWords others = words.ignoring(shared, by.ignored());
        Pass pass = new Pass(
                Math.max(1, by.smallest()),
                Pass.ANY,
                Pass.ANY,
                1,
                further,
                settings.themes(rules.usual()).passes().getFirst().anyOrder(),
                0);
        BitSet scope = new BitSet();
        Arrays.stream(keywords).forEach(scope::set);
        long[] estimatedValue = new long[keywords.length];
        Arrays.fill(estimatedValue, 1);
        Engine.Found found = new PassEngine(ScopeWords.of(others, keywords), estimatedValue, settings, pass, rules)
                .run(new Question.Barred(new RemovedThemes(new TreeSet<>(), words), Map.of()));
        RaggedInts groups = RaggedInts.byKey(found.group(), found.themes().length);
        List<Part> parts = new ArrayList<>();
        for (int part = 0; part < groups.size(); part++) {
            int[] in = Arrays.stream(groups.row(part)).map(i -> keywords[i]).toArray();
            int[] more = words.asTheyStand(found.themes()[part], in);
            int[] all = words.asTheyStand(
                    Arrays.stream(concat(shared, more)).distinct().toArray(), in);
            parts.add(new Part(all, more, in));
        }
        parts.sort(Comparator.<Part>comparingInt(part -> -part.keywords().length)
                .thenComparing(part -> words.text(part.theme())));
        return parts;
    }

    private static int[] concat(int[] a, int[] b) {
        int[] both = Arrays.copyOf(a, a.length + b.length);
        System.arraycopy(b, 0, both, a.length, b.length);
        return both;
    }
}
