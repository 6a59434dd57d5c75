package smorgas.bench;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.same.SameProposals;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.Rules;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;
import smorgas.meaning.model.MeaningModel;

/** How many of the words that are said to mean the same stand for each other in groups that were made by judgement. */
final class SameMeaning {

    private static final int[] FIRST = {5, 10, 20};

    private SameMeaning() {}

    static void run(boolean told) throws IOException, MeaningModel.Unavailable {
        for (ExpertList list : ExpertList.all()) {
            report(list, MeaningVectors.NONE, told);
            if (MeaningModel.knows(list.language())) {
                report(list, ExpertBoards.meaning(list), told);
            }
        }
    }

    private static void report(ExpertList list, MeaningVectors vectors, boolean told) {
        List<String> texts = list.keywords().stream().map(Tidy::of).toList();
        List<SameProposals.Proposal> found = new SameProposals(
                        texts,
                        Rules.NEWEST.settings().byThemes(list.language()),
                        list.language(),
                        vectors,
                        Rules.NEWEST.similarity())
                .find(20);
        StringBuilder row = new StringBuilder(
                "| " + list.name() + " | " + (vectors == MeaningVectors.NONE ? "words" : "words and meaning") + " |");
        for (int first : FIRST) {
            long right = found.stream()
                    .limit(first)
                    .filter(proposal -> right(list, texts, proposal))
                    .count();
            row.append(String.format(Locale.ENGLISH, " %d of %d |", right, Math.min(first, found.size())));
        }
        System.out.println(row);
        if (told) {
            found.forEach(proposal -> System.out.printf(
                    Locale.ENGLISH,
                    "   %s %s / %s (%d, %d) in %d, meaning %.3f, %.3f %s%n",
                    right(list, texts, proposal) ? "+" : "-",
                    proposal.one(),
                    proposal.other(),
                    proposal.ones(),
                    proposal.others(),
                    proposal.surroundings(),
                    proposal.meaning(),
                    proposal.score(),
                    proposal.example()));
        }
    }

    /** Whether at least half of the keywords that are the same but for these words are in the same ad group. */
    private static boolean right(ExpertList list, List<String> texts, SameProposals.Proposal proposal) {
        WordForms stems = WordForms.stems(list.language());
        Map<String, Integer> with = new HashMap<>();
        String one = stems.of(proposal.one());
        String other = stems.of(proposal.other());
        int together = 0;
        int apart = 0;
        for (int pass = 0; pass < 2; pass++) {
            for (int k = 0; k < texts.size(); k++) {
                List<String> words =
                        Words.of(texts.get(k)).stream().map(stems::of).toList();
                int at = words.indexOf(pass == 0 ? one : other);
                if (at < 0) {
                    continue;
                }
                String rest = words.subList(0, at) + "_" + words.subList(at + 1, words.size());
                if (pass == 0) {
                    with.putIfAbsent(rest, k);
                } else if (with.containsKey(rest)) {
                    boolean same = list.wanted()[with.get(rest)] == list.wanted()[k];
                    together += same ? 1 : 0;
                    apart += same ? 0 : 1;
                }
            }
        }
        return together > 0 && together >= apart;
    }
}
