package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Status;
import smorgas.core.sift.DropEffects;
import smorgas.core.sift.Matcher;
import smorgas.core.sift.Phrases;
import smorgas.core.sift.Statuses;
import smorgas.core.sift.WordCounts;
import smorgas.core.text.Message;
import smorgas.core.text.Words;

/**
 * What one can do with a word or phrase, with what each would change before it is done.
 *
 * @param counts keywords with the word, and how they stand
 * @param ignored whether the word is ignored in Group
 * @param phrases the commonest in which it stands with one word more
 */
record Offer(String word, Message counts, List<Act> acts, boolean ignored, List<Phrase> phrases) {

    private static final int SAMPLES = 4;

    private static final int PHRASES = 6;

    /** A phrase and in how many keywords it is. */
    record Phrase(String text, String count) {}

    /**
     * A rule that could be made.
     *
     * @param changes how many keywords would stand otherwise
     * @param samples some of them
     * @param along what goes along that one may not have thought of, in words; empty if nothing does
     */
    record Act(String status, Message label, String changes, String samples, Message along) {}

    static Offer of(String word, Board board) {
        Condition condition = new Condition.HasWord(word);
        return new Offer(
                word,
                counts(board.matcher().match(condition), board),
                acts(board, board.matcher(), condition),
                board.recipe().grouping().settings().ignored().contains(word),
                phrases(word, board));
    }

    /** "near me" is asked for as often as "near": what stands around a word leads on to the phrase. */
    private static List<Phrase> phrases(String word, Board board) {
        int length = Words.of(word).size() + 1;
        if (length > Phrases.LONGEST) {
            return List.of();
        }
        WordCounts.Asked asked = new WordCounts.Asked(
                length, length, WordCounts.By.COUNT, word, WordCounts.Little.SHOWN, true, 4 * PHRASES);
        return WordCounts.of(board.keywords().withWord(word), board.phrases(), board.statuses(), Set.of(), asked)
                .words()
                .stream()
                .filter(found -> found.count() > 1 && (" " + found.word() + " ").contains(" " + word + " "))
                .limit(PHRASES)
                .map(found -> new Phrase(found.word(), Show.count(found.count())))
                .toList();
    }

    /** Dropping and keeping what fulfils a condition. */
    static List<Act> acts(Board board, Matcher matcher, Condition condition) {
        return List.of(act(board, matcher, condition, Status.DROPPED), act(board, matcher, condition, Status.KEPT));
    }

    /** How many keywords there are, and how they stand. */
    static Message counts(BitSet with, Board board) {
        Message counts = Message.of("count.keywords", with.cardinality());
        for (Status status : Status.values()) {
            BitSet statusSo = board.statuses().with(status);
            statusSo.and(with);
            if (!statusSo.isEmpty()) {
                counts = Message.of(
                        "list.dot", counts, Message.of("sift.offer.so-many", statusSo.cardinality(), status.label()));
            }
        }
        return counts;
    }

    /** What a rule put below the others would change. */
    private static Act act(Board board, Matcher matcher, Condition condition, Status status) {
        Statuses would = board.judgedWith(matcher, condition, status);
        int changes = 0;
        BitSet changed = new BitSet();
        List<String> samples = new ArrayList<>();
        for (int k = 0; k < would.size(); k++) {
            if (would.of(k) != board.statuses().of(k)) {
                changes++;
                changed.set(k);
                if (samples.size() < SAMPLES) {
                    samples.add(board.keywords().text(k));
                }
            }
        }
        Message verb = status == Status.DROPPED ? Message.of("sift.offer.drop") : Message.of("sift.offer.keep");
        return new Act(
                status.name().toLowerCase(Locale.ROOT),
                verb,
                Show.count(changes),
                String.join(", ", samples) + (changes > SAMPLES ? ", \u2026" : ""),
                status == Status.DROPPED
                        ? along(DropEffects.of(changed, board.keywords(), board.statuses()))
                        : Message.NONE);
    }

    private static Message along(DropEffects along) {
        List<Message> parts = new ArrayList<>();
        if (along.kept() > 0) {
            parts.add(Message.of("sift.offer.kept", along.kept()));
        }
        along.reported().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(figure -> parts.add(Message.of(
                        "sift.offer.figure",
                        figure.getValue().toPlainString(),
                        figure.getKey().word())));
        return Message.joined("list.comma", parts);
    }
}
