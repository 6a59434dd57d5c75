package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import java.util.Arrays;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.RaggedInts;
import smorgas.core.figure.Figure;
import smorgas.core.group.engine.Question;

/**
 * By which of its keywords a group goes: the most searched of those that say what most members are about and nothing else; if
 * there is none, the one that is most like all. One that cannot be a group's name is not taken.
 */
final class GroupNames {

    private final SimilarityEngine.JoinTrees grove;
    private final Question question;

    GroupNames(SimilarityEngine.JoinTrees grove, Question question) {
        this.grove = grove;
        this.question = question;
    }

    /**
     * The keyword, by its number among those that grew; -1 if none can be a name, being too long or a formula: then they are
     * left over, for no plan could take them either.
     */
    int of(int[] all) {
        int[] members = grove.nameless().isEmpty()
                ? all
                : Arrays.stream(all)
                        .filter(member -> !grove.nameless().get(member))
                        .toArray();
        return members.length == 0 ? -1 : named(members);
    }

    private int named(int[] members) {
        Terms terms = grove.terms();
        Int2IntOpenHashMap counts = new Int2IntOpenHashMap();
        for (int member : members) {
            terms.rows().forEach(member, term -> counts.addTo(term, 1));
        }
        int best = -1;
        for (int member : members) {
            if (saysTheTheme(member, counts, members.length) && (best < 0 || before(member, best))) {
                best = member;
            }
        }
        return best >= 0 ? best : mostAlike(members);
    }

    /** Whether all that a keyword says is said by most of so many members. */
    private boolean saysTheTheme(int member, Int2IntOpenHashMap counts, int members) {
        RaggedInts rows = grove.terms().rows();
        for (int at = 0; at < rows.length(member); at++) {
            if (counts.get(rows.get(member, at)) <= question.similarity().themeShare() * members) {
                return false;
            }
        }
        return rows.length(member) > 0;
    }

    /** More of what the group is about first, then what is spelt right, then more searched, then shorter, then by text. */
    private boolean before(int one, int other) {
        int byTerms = Integer.compare(saying(one), saying(other));
        if (byTerms != 0) {
            return byTerms > 0;
        }
        int byAll = Integer.compare(
                grove.terms().rows().length(one), grove.terms().rows().length(other));
        if (byAll != 0) {
            return byAll < 0;
        }
        if (grove.terms().slips(one) != grove.terms().slips(other)) {
            return grove.terms().slips(other);
        }
        int bySearches = Long.compare(searches(one), searches(other));
        if (bySearches != 0) {
            return bySearches > 0;
        }
        int byLength = Integer.compare(text(one).length(), text(other).length());
        return byLength != 0 ? byLength < 0 : one < other;
    }

    /** How many of a keyword's terms say what it is about; those of buying and the like do not. */
    private int saying(int member) {
        RaggedInts rows = grove.terms().rows();
        int saying = 0;
        for (int at = 0; at < rows.length(member); at++) {
            saying += grove.terms().little(rows.get(member, at)) ? 0 : 1;
        }
        return saying;
    }

    private int mostAlike(int[] members) {
        Similarity.Sum sum = grove.similarity().sum(members);
        int best = members[0];
        double most = -1;
        for (int member : members) {
            double like = grove.similarity().between(grove.similarity().sum(member), sum);
            if (like > most + 1e-9 || Math.abs(like - most) <= 1e-9 && searches(member) > searches(best)) {
                best = member;
                most = Math.max(like, most);
            }
        }
        return best;
    }

    private long searches(int member) {
        FigureColumn searches = question.figures().get(Figure.SEARCHES);
        int keyword = grove.keywords()[member];
        return searches != null && searches.known(keyword) ? searches.twiceMiddle(keyword) : 0;
    }

    private String text(int member) {
        return question.texts().apply(grove.keywords()[member]);
    }
}
