package smorgas.core.serve;

import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.Set;
import java.util.stream.Collectors;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.sift.Reason;
import smorgas.core.sift.Statuses;
import smorgas.core.text.Message;
import smorgas.core.value.SearchWords;

/**
 * What could be a negative of the campaign, and what it would take and block: words that rules drop, lists of negatives that
 * the project has taken, what only keywords have that a hand has dropped, and what a hand has said.
 */
public final class NegativeProposals {

    /** More rows of one source help nobody. */
    private static final int MOST = 500;

    private static final int SAMPLES = 20;

    /** Where it comes from. */
    public enum Source {
        RULE,
        LIST,
        HAND,
        SAID
    }

    /** Whether it leaves with the plan. */
    public enum State {
        LEAVES,
        /** It would block what is exported. */
        NOT_EXPORTED,
        /** Nobody has said that it is to leave. */
        PROPOSED,
        /** A hand has said that it never leaves. */
        NEVER
    }

    /**
     * A negative of the campaign, or one that could be.
     *
     * @param from the rule, the list or the hand that it comes of, for a sentence
     * @param takes how many dropped keywords it holds off
     * @param searches their known searches a month
     * @param blocks how many keywords that are exported it would block
     * @param samples some of these, the most searched first
     * @param narrower a narrower match type in which it would block none
     */
    public record Proposal(
            String text,
            MatchType type,
            Source source,
            Message from,
            State state,
            int takes,
            Searched searches,
            int blocks,
            List<String> samples,
            Optional<MatchType> narrower) {}

    private final Keywords keywords;
    private final SearchWords words;
    private final Statuses statuses;
    private final Recipe recipe;
    private final BitSet exported;
    private final BitSet dropped;
    private final Negatives negatives;
    private final Numbers searches;

    /**
     * Of a board.
     *
     * @param exported the keywords that the plan serves
     */
    public NegativeProposals(Keywords keywords, SearchWords words, Statuses statuses, Recipe recipe, BitSet exported) {
        this.keywords = keywords;
        this.words = words;
        this.statuses = statuses;
        this.recipe = recipe;
        this.exported = exported;
        this.dropped = statuses.with(Status.DROPPED);
        this.negatives = new Negatives(keywords, () -> words, recipe, exported);
        this.searches = keywords.numbers(Figure.SEARCHES);
    }

    /** All of them: of rules in their order, then of lists, of hands, and what was said of others. */
    public List<Proposal> all() {
        SequencedMap<String, Proposal> found = new LinkedHashMap<>();
        for (Rule rule : recipe.sifting().rules()) {
            if (rule.status().orElse(Status.KEPT) == Status.DROPPED) {
                Negatives.dropped(rule, recipe)
                        .limit(MOST)
                        .forEach(word -> put(
                                found,
                                word,
                                MatchType.PHRASE,
                                Source.RULE,
                                Message.of("serve.negative-proposals.rule", rule.number())));
            }
        }
        unusedLists().forEach(list -> list.words().stream()
                .limit(MOST)
                .forEach(word -> put(found, word, MatchType.PHRASE, Source.LIST, Message.verbatim(list.name()))));
        ofHands(found);
        recipe.serving().said().forEach((place, say) -> {
            if (place.group().isEmpty()) {
                put(
                        found,
                        place.text(),
                        say.type().orElse(MatchType.PHRASE),
                        Source.SAID,
                        Message.of("serve.negative-proposals.by-hand"));
            }
        });
        return List.copyOf(found.values());
    }

    /** Lists of negatives that no rule drops by. */
    private List<WordList> unusedLists() {
        Set<String> used = recipe.sifting().rules().stream()
                .flatMap(rule -> rule.when().all())
                .filter(Condition.OnList.class::isInstance)
                .map(condition -> ((Condition.OnList) condition).list())
                .collect(Collectors.toSet());
        return recipe.sifting().lists().values().stream()
                .filter(list -> list.kind() == WordList.Kind.NEGATIVES && !used.contains(list.name()))
                .toList();
    }

    private void put(Map<String, Proposal> found, String text, MatchType usual, Source source, Message from) {
        if (!found.containsKey(text)) {
            ServeEntry.Say say =
                    recipe.serving().said().getOrDefault(new Serving.Place(text, ""), ServeEntry.Say.NOTHING);
            found.put(text, proposal(text, say.type().orElse(usual), source, from, say));
        }
    }

    private Proposal proposal(String text, MatchType type, Source source, Message from, ServeEntry.Say say) {
        BitSet takes = negatives.blocked(text, type, "", dropped);
        BitSet blocks = negatives.blocked(text, type, "", exported);
        boolean wanted = say.type().isPresent() || say == ServeEntry.Say.NOTHING && source == Source.RULE;
        State state = say == ServeEntry.Say.NEVER
                ? State.NEVER
                : !wanted
                        ? State.PROPOSED
                        : blocks.isEmpty() || recipe.serving().negatives().contains(text)
                                ? State.LEAVES
                                : State.NOT_EXPORTED;
        return new Proposal(
                text,
                type,
                source,
                from,
                state,
                takes.cardinality(),
                Searched.of(takes, searches),
                blocks.cardinality(),
                samples(blocks),
                blocks.isEmpty() ? Optional.empty() : negatives.narrower(text, type, "", exported));
    }

    /** What a negative that somebody thinks of would do, in the campaign or in the group of a key. */
    public Proposal tried(String text, MatchType type, String group, Collection<Integer> keywordsOfGroup) {
        BitSet among = exported;
        if (!group.isEmpty()) {
            among = new BitSet();
            keywordsOfGroup.forEach(among::set);
        }
        BitSet blocks = negatives.blocked(text, type, group, among);
        Proposal ofCampaign = proposal(
                text, type, Source.SAID, Message.of("serve.negative-proposals.by-hand"), ServeEntry.Say.NOTHING);
        return new Proposal(
                text,
                type,
                Source.SAID,
                Message.of("serve.negative-proposals.by-hand"),
                State.PROPOSED,
                ofCampaign.takes(),
                ofCampaign.searches(),
                blocks.cardinality(),
                samples(blocks),
                blocks.isEmpty() ? Optional.empty() : negatives.narrower(text, type, group, among));
    }

    private List<String> samples(BitSet some) {
        return some.stream()
                .boxed()
                .sorted(Comparator.<Integer>comparingLong(
                                keyword -> searches.known(keyword) ? -searches.twiceMiddle(keyword) : 1)
                        .thenComparing(keywords::text))
                .limit(SAMPLES)
                .map(keywords::text)
                .toList();
    }

    /** Words that only keywords have which a hand has dropped; of what no such word holds off, the keyword itself. */
    private void ofHands(Map<String, Proposal> found) {
        BitSet byHand = new BitSet();
        for (int keyword = dropped.nextSetBit(0); keyword >= 0; keyword = dropped.nextSetBit(keyword + 1)) {
            byHand.set(keyword, statuses.reason(keyword) instanceof Reason.ByHand);
        }
        BitSet left = (BitSet) byHand.clone();
        Set<String> looked = new HashSet<>();
        for (int keyword = byHand.nextSetBit(0);
                keyword >= 0 && found.size() < 4 * MOST;
                keyword = byHand.nextSetBit(keyword + 1)) {
            for (String word : words.words(keyword)) {
                if (looked.add(word) && !recipe.folding().littleWords().contains(word)) {
                    BitSet with = words.blocked(word, MatchType.PHRASE);
                    int all = with.cardinality();
                    with.and(dropped);
                    if (with.cardinality() == all) {
                        put(
                                found,
                                word,
                                MatchType.PHRASE,
                                Source.HAND,
                                Message.of("serve.negative-proposals.dropped-hand"));
                        left.andNot(with);
                    }
                }
            }
        }
        left.stream()
                .limit(MOST)
                .forEach(keyword -> put(
                        found,
                        keywords.text(keyword),
                        MatchType.EXACT,
                        Source.HAND,
                        Message.of("serve.negative-proposals.dropped-hand")));
    }

    /** The keywords exported that a negative of the campaign would block. */
    public List<String> blocked(String text, MatchType type) {
        return negatives.blocked(text, type, "", exported).stream()
                .mapToObj(keywords::text)
                .toList();
    }

    /** Words of some list as they would do here: how many keywords each holds off, and how many of them are exported. */
    public List<Proposal> ofList(WordList list) {
        return list.words().stream()
                .limit(MOST)
                .map(word -> proposal(
                        word, MatchType.PHRASE, Source.LIST, Message.verbatim(list.name()), ServeEntry.Say.NEVER))
                .filter(one -> one.takes() + one.blocks() > 0)
                .toList();
    }
}
