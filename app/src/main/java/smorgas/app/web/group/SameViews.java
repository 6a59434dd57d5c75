package smorgas.app.web.group;

import java.util.List;
import java.util.SortedSet;
import org.springframework.ui.Model;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.core.board.Board;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.same.SameFound;
import smorgas.core.group.same.SameProposals;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/** Words that count as one when groups form: what is said, what any trade says, and what may be. */
final class SameViews {

    private static final int SHOWN = 10;
    private static final int MOST_SHIPPED = 40;

    /** What a proposal would do is found out by itself up to so many keywords, else when it is asked for. */
    private static final int AT_ONCE = 20_000;

    /** A word, and how many keywords have it. */
    record Word(String text, String keywords) {}

    /** Words that count as one. */
    record SetView(String name, List<Word> words) {}

    /** Two words that may. */
    record ProposalView(
            String key,
            String one,
            String other,
            String ones,
            String others,
            List<String> example,
            Message why,
            String effect) {}

    /** The page's left side. */
    record Same(
            List<ProposalView> proposals,
            String proposalsRefused,
            boolean effectAtOnce,
            List<SetView> here,
            List<SetView> shipped,
            SortedSet<String> apart,
            List<String> sameLists) {}

    private SameViews() {}

    static void show(Board board, MeaningVectors vectors, List<WordList> lists, Model model) {
        Folding folding = board.recipe().folding();
        GroupSettings settings = board.recipe().grouping().settings();
        SortedSet<String> refused = board.recipe().grouping().refused();
        List<String> texts = board.statuses().remaining().stream()
                .mapToObj(keyword -> Tidy.of(board.keywords().text(keyword)))
                .toList();
        List<ProposalView> proposals = new SameProposals(
                        texts,
                        settings,
                        folding.language(),
                        vectors,
                        board.recipe().rules().similarity())
                .find(SHOWN + refused.size()).stream()
                        .filter(proposal -> !refused.contains(proposal.key()))
                        .limit(SHOWN)
                        .map(SameViews::view)
                        .toList();
        List<SameFound> found = SameFound.in(texts, settings.same(), folding.language());
        long before = refused.stream().filter(SameProposals::isKey).count();
        Shown.in(
                model,
                new Same(
                        proposals,
                        before > 0 ? Show.count(before) : "",
                        texts.size() <= AT_ONCE,
                        sets(found, true),
                        sets(found, false),
                        settings.same().apart(),
                        lists.stream()
                                .filter(list -> list.kind() == WordList.Kind.SAME_MEANING)
                                .map(WordList::name)
                                .toList()));
    }

    private static List<SetView> sets(List<SameFound> found, boolean here) {
        return found.stream()
                .filter(set -> set.here() == here && (here || set.words().size() > 1))
                .limit(MOST_SHIPPED)
                .map(set -> new SetView(
                        set.name(),
                        set.words().entrySet().stream()
                                .sorted((a, b) -> b.getValue() - a.getValue())
                                .map(word -> new Word(word.getKey(), Show.count(word.getValue())))
                                .toList()))
                .toList();
    }

    private static ProposalView view(SameProposals.Proposal proposal) {
        Message where = Message.of("group.same-views.pair-keywords-differ-these", proposal.surroundings());
        return new ProposalView(
                proposal.key(),
                proposal.one(),
                proposal.other(),
                Show.count(proposal.ones()),
                Show.count(proposal.others()),
                proposal.example(),
                Double.isNaN(proposal.meaning())
                        ? where
                        : Message.of("group.same-views.meaning-alike", where, Math.round(proposal.meaning() * 100)),
                "?word=" + Show.encoded(proposal.one()) + "&word=" + Show.encoded(proposal.other()));
    }
}
