package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedSet;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Dial;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.Engines;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.recipe.group.SimilarityRules;

/**
 * Finds groups by how alike keywords are: average linkage, cut where the dial says. What is alike is found out over all keywords
 * that are grouped by anything, so that moving one by hand changes no group of others.
 */
public final class SimilarityEngine implements Engine {
    /** Lists it as a service. */
    public static final class Kind implements Engines.Kind {
        @Override
        public String name() {
            return "similarity";
        }

        @Override
        public Class<? extends Method> method() {
            return Method.BySimilarity.class;
        }

        @Override
        public Method usual(StandardSettings standard) {
            return standard.similarity();
        }

        @Override
        public Engine engine(GroupSettings settings) {
            return new SimilarityEngine((Method.BySimilarity) settings.method(), settings);
        }
    }

    /** From one place to the next that is told of. */
    private static final int STEP = 2;

    /**
     * What grew from some keywords. They are numbered in the order of their texts.
     *
     * @param nameless those whose texts can be no group's name
     */
    record JoinTrees(int[] keywords, Terms terms, Similarity similarity, Dendrogram tree, BitSet nameless) {}

    private final Method.BySimilarity method;
    private final GroupSettings settings;

    SimilarityEngine(Method.BySimilarity method, GroupSettings settings) {
        this.method = method;
        this.settings = settings;
    }

    @Override
    public Found find(Question question) {
        JoinTrees grove = grove(question);
        int size = grove.keywords().length;
        int[] place = place(grove, question);
        boolean[] asked = asked(place, question);
        int[] groupOf = new int[size];
        Arrays.fill(groupOf, -1);
        List<int[]> themes = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        for (Named group : named(groups(grove, asked), grove, question)) {
            for (int member : group.members()) {
                groupOf[member] = keys.size();
            }
            keys.add(question.texts().apply(grove.keywords()[group.keyword()]));
            themes.add(group.theme());
        }
        int[] found = new int[question.scope().length];
        Arrays.setAll(found, i -> groupOf[place[question.scope()[i]]]);
        return new Found(
                themes.toArray(int[][]::new),
                keys.toArray(String[]::new),
                found,
                weights(question),
                Optional.of(result -> new SimilarNearness(result, grove.similarity(), grove.terms(), place)),
                () -> dial(grove, asked));
    }

    /**
     * A group.
     *
     * @param keyword the one by which it goes, by its number among those that grew
     * @param theme which words are its theme
     */
    private record Named(int keyword, int[] members, int[] theme) {}

    /** The groups that something can name, in the order of their names, in which a result has them. */
    private static List<Named> named(List<int[]> groups, JoinTrees grove, Question question) {
        @Nullable Named[] named = new Named[groups.size()];
        GroupNames names = new GroupNames(grove, question);
        Cores.run(named.length, Similarity.FEW, (from, to) -> {
            for (int group = from; group < to; group++) {
                int[] members = groups.get(group);
                int keyword = names.of(members);
                if (keyword >= 0) {
                    int[] theme = theme(question, grove.keywords(), members, keyword);
                    named[group] = new Named(keyword, members, theme);
                }
            }
        });
        return Arrays.stream(named)
                .filter(Objects::nonNull)
                .sorted(Comparator.comparingInt(Named::keyword))
                .toList();
    }

    private static boolean[] asked(int[] place, Question question) {
        boolean[] asked = new boolean[question.all().length];
        for (int keyword : question.scope()) {
            asked[place[keyword]] = true;
        }
        return asked;
    }

    @Override
    public Found measuring(Question question) {
        int[] none = new int[question.scope().length];
        Arrays.fill(none, -1);
        return new Found(
                new int[0][],
                new String[0],
                none,
                weights(question),
                Optional.of(result -> {
                    JoinTrees grove = grove(question);
                    return new SimilarNearness(result, grove.similarity(), grove.terms(), place(grove, question));
                }),
                () -> {
                    boolean[] all = new boolean[question.all().length];
                    Arrays.fill(all, true);
                    return dial(grove(question), all);
                });
    }

    /** What the trees depend on; two buffers of the same numbers are equal. */
    private record TreeKey(
            IntBuffer keywords,
            SortedSet<String> stopWords,
            SortedSet<String> ignored,
            SameHere same,
            boolean meaning,
            SimilarityRules rules) {}

    private JoinTrees grove(Question question) {
        return question.cache()
                .get(
                        new TreeKey(
                                IntBuffer.wrap(question.all()),
                                settings.stopWords(),
                                settings.ignored(),
                                settings.same(),
                                method.meaning(),
                                question.similarity()),
                        JoinTrees.class,
                        () -> grow(question, method.meaning() ? question.meaning() : MeaningVectors.NONE));
    }

    /** By keyword its number among those that grew; -1 for others. */
    private static int[] place(JoinTrees grove, Question question) {
        int[] place = new int[question.words().rows().size()];
        Arrays.fill(place, -1);
        for (int i = 0; i < grove.keywords().length; i++) {
            place[grove.keywords()[i]] = i;
        }
        return place;
    }

    private JoinTrees grow(Question question, MeaningVectors meaning) {
        int[] keywords = question.all().clone();
        String[] texts = new String[question.words().rows().size()];
        for (int keyword : keywords) {
            texts[keyword] = question.texts().apply(keyword);
        }
        IntArrays.parallelQuickSort(keywords, (a, b) -> texts[a].compareTo(texts[b]));
        List<String> inOrder =
                Arrays.stream(keywords).mapToObj(keyword -> texts[keyword]).toList();
        Terms terms = Terms.of(
                inOrder, settings, question.language(), question.similarity().reading());
        Similarity similarity = new Similarity(inOrder, terms, question.language(), meaning, question.similarity());
        BitSet nameless = new BitSet();
        for (int keyword = 0; keyword < keywords.length; keyword++) {
            nameless.set(keyword, !GroupRule.fits(inOrder.get(keyword)));
        }
        return new JoinTrees(keywords, terms, similarity, Linkage.of(similarity), nameless);
    }

    /** How alike groups are at least at the dial's place. */
    private static double cut(int place, Similarity similarity) {
        SimilarityRules.Dial dial = similarity.rules().dial();
        double least = similarity.rules().linkage().least();
        double full = similarity.knowsMeaning() ? dial.withMeaning() : dial.byWords();
        double doublings = Math.log(similarity.size() / dial.full()) / Math.log(2);
        double usual = full * Math.clamp(1 - dial.perDoubling() * doublings, dial.broadest(), 1);
        double at = place / (double) Method.BySimilarity.USUAL;
        // Past the tightest no two are alike enough.
        return at <= 1 ? least + (usual - least) * at : usual + (dial.tightest() - usual) * (at - 1);
    }

    private Dial dial(JoinTrees grove, boolean[] asked) {
        List<Dial.Point> points = new ArrayList<>();
        for (int place = Method.BySimilarity.TIGHTEST; place >= Method.BySimilarity.BROADEST; place -= STEP) {
            double like = cut(place, grove.similarity());
            int[] sizes = new int[grove.keywords().length];
            int[] groupOf = grove.tree().cut(like);
            for (int keyword = 0; keyword < groupOf.length; keyword++) {
                sizes[groupOf[keyword]] += asked[keyword] ? 1 : 0;
            }
            int groups = 0;
            int left = 0;
            for (int size : sizes) {
                groups += size >= method.smallest() && size > 0 ? 1 : 0;
                left += size < method.smallest() ? size : 0;
            }
            points.addFirst(new Dial.Point(place, groups, left));
        }
        return new Dial(points);
    }

    private List<int[]> groups(JoinTrees grove, boolean[] asked) {
        double cut = cut(method.place(), grove.similarity());
        List<int[]> groups = new ArrayList<>();
        List<int[]> small = new ArrayList<>();
        for (TreeCut.Piece piece : new TreeCut(grove.tree(), method).groups(cut)) {
            int[] members = those(piece.members(), asked);
            if (members.length > 0 && (piece.divided() || members.length >= method.smallest())) {
                groups.add(members);
            } else if (members.length > 1) {
                small.add(members);
            }
        }
        return small.isEmpty()
                ? groups
                : joined(groups, small, cut * grove.similarity().rules().dial().nearEnough(), grove.similarity());
    }

    private static int[] those(int[] members, boolean[] asked) {
        for (int member : members) {
            if (!asked[member]) {
                return Arrays.stream(members).filter(keyword -> asked[keyword]).toArray();
            }
        }
        return members;
    }

    /** Groups that are too small join the nearest that is near enough. */
    private List<int[]> joined(List<int[]> groups, List<int[]> small, double enough, Similarity similarity) {
        List<Similarity.Sum> sums = groups.stream().map(similarity::sum).toList();
        int[] groupOf = new int[similarity.size()];
        Arrays.fill(groupOf, -1);
        List<IntArrayList> grown = new ArrayList<>();
        for (int group = 0; group < groups.size(); group++) {
            grown.add(new IntArrayList(groups.get(group)));
            for (int member : groups.get(group)) {
                groupOf[member] = group;
            }
        }
        for (int[] members : small) {
            int best = nearest(members, groupOf, sums, enough, similarity);
            if (best < 0) {
                continue;
            }
            // Without room there it stays a group of its own: a bound above throws no keyword out.
            boolean room = method.largest() == 0 || grown.get(best).size() + members.length <= method.largest();
            if (room) {
                grown.get(best).addElements(grown.get(best).size(), members);
            } else {
                grown.add(new IntArrayList(members));
            }
        }
        return grown.stream().map(IntArrayList::toIntArray).toList();
    }

    /** The group to which some keywords are most alike, if they are enough; else -1. */
    private static int nearest(
            int[] members, int[] groupOf, List<Similarity.Sum> sums, double enough, Similarity similarity) {
        Similarity.Sum sum = similarity.sum(members);
        int best = -1;
        double most = enough;
        for (int member : members) {
            for (int other : similarity.links()[member]) {
                int group = groupOf[other];
                double like = group >= 0 ? similarity.between(sum, sums.get(group)) : -1;
                if (like > most || like == most && best >= 0 && group < best) {
                    best = group;
                    most = like;
                }
            }
        }
        return best;
    }

    /** The words of the keyword by which a group goes that a good part of its members has. */
    private static int[] theme(Question question, int[] keywords, int[] members, int named) {
        ThemeWords words = question.words();
        RaggedInts rows = words.rows();
        return Arrays.stream(rows.row(keywords[named]))
                .distinct()
                .filter(word -> !words.ignored(word) && !words.stop(word) && !words.fragment(word))
                .filter(word -> {
                    int having = 0;
                    for (int member : members) {
                        having += rows.contains(keywords[member], word) ? 1 : 0;
                    }
                    return having >= question.similarity().themeShare() * members.length;
                })
                .toArray();
    }

    /** The rarer a word the more it weighs, as in finding groups by themes. */
    private static double[] weights(Question question) {
        ThemeWords words = question.words();
        int[] counts = new int[words.size()];
        for (int keyword : question.all()) {
            for (int at = 0; at < words.rows().length(keyword); at++) {
                counts[words.rows().get(keyword, at)] += words.rows().firstAt(keyword, at) ? 1 : 0;
            }
        }
        double[] weights = new double[counts.length];
        for (int word = 0; word < weights.length; word++) {
            weights[word] = counts[word] == 0 || words.ignored(word)
                    ? 0
                    : Math.log(1 + question.all().length / (double) counts[word]);
        }
        return weights;
    }
}
