package smorgas.core.serve;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.function.Supplier;
import java.util.stream.Stream;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Formulas;
import smorgas.core.value.SearchWords;

/**
 * The negatives of a plan: words that rules drop, as phrases, and what a hand said of these and others. Platforms match
 * negatives to the letter (common practice), so each leaves as the keywords write it. What would block a keyword of the plan
 * is not exported until somebody says that it is meant.
 */
final class Negatives {

    private static final int SAMPLES = 20;

    private final Keywords keywords;
    private final Supplier<SearchWords> words;
    private final Recipe recipe;
    private final BitSet exported;
    private final List<Plan.Conflict> conflicts = new ArrayList<>();

    /**
     * Of a plan.
     *
     * @param words of all keywords; asked only if there are negatives
     * @param exported the keywords that the plan serves
     */
    Negatives(Keywords keywords, Supplier<SearchWords> words, Recipe recipe, BitSet exported) {
        this.keywords = keywords;
        this.words = words;
        this.recipe = recipe;
        this.exported = exported;
    }

    /** What was not exported, or leaves though it blocks, as far as was asked for negatives. */
    List<Plan.Conflict> conflicts() {
        return List.copyOf(conflicts);
    }

    /** Those that all campaigns share. */
    List<Plan.Negative> ofCampaigns() {
        SequencedMap<String, MatchType> wanted = new LinkedHashMap<>();
        ruled(recipe).forEach(word -> wanted.put(word, MatchType.PHRASE));
        said("", wanted);
        return leaving(wanted, "", exported);
    }

    /**
     * Those of one campaign.
     *
     * @param key of the campaign
     * @param own what a hand said of it alone
     * @param shared those of all campaigns
     * @param among what the campaign serves
     */
    List<Plan.Negative> ofCampaign(String key, List<ServeEntry.Said> own, List<Plan.Negative> shared, BitSet among) {
        SequencedMap<String, MatchType> wanted = new LinkedHashMap<>();
        List<Plan.Negative> all = new ArrayList<>(shared);
        for (ServeEntry.Said said : own) {
            said.say()
                    .type()
                    .ifPresentOrElse(
                            type -> wanted.put(said.text(), type),
                            () -> all.removeIf(negative -> isWritten(negative, said.text())));
        }
        all.addAll(leaving(wanted, key, among));
        return all.stream().distinct().toList();
    }

    private boolean isWritten(Plan.Negative negative, String word) {
        return written(word, negative.matchType(), "").contains(negative.keyword());
    }

    private List<Plan.Negative> leaving(Map<String, MatchType> wanted, String campaign, BitSet among) {
        List<Plan.Negative> leaving = new ArrayList<>();
        wanted.forEach((word, type) -> leaving.addAll(unblocking(word, type, campaign, "", among)));
        leaving.removeIf(negative -> Formulas.runs(negative.keyword()));
        return leaving.stream().distinct().toList();
    }

    /** Those of an ad group that a hand has given it. */
    List<Plan.Negative> ofGroups(Collection<String> keys, int[] keywordsOf) {
        List<Plan.Negative> leaving = new ArrayList<>();
        if (!recipe.serving().said().isEmpty()) {
            BitSet own = new BitSet();
            for (int keyword : keywordsOf) {
                own.set(keyword);
            }
            for (String key : keys) {
                SequencedMap<String, MatchType> wanted = new LinkedHashMap<>();
                said(key, wanted);
                wanted.forEach((word, type) -> leaving.addAll(unblocking(word, type, "", key, own)));
            }
        }
        return leaving;
    }

    private void said(String group, Map<String, MatchType> wanted) {
        recipe.serving().said().forEach((place, say) -> {
            if (place.group().equals(group)) {
                say.type().ifPresentOrElse(type -> wanted.put(place.text(), type), () -> wanted.remove(place.text()));
            }
        });
    }

    /** The words that rules drop, each once. */
    static List<String> ruled(Recipe recipe) {
        return recipe.sifting().rules().stream()
                .filter(rule -> rule.status().orElse(Status.KEPT) == Status.DROPPED)
                .flatMap(rule -> dropped(rule, recipe))
                .distinct()
                .toList();
    }

    /** The words for which a rule drops keywords; none if it does so for something else. */
    static Stream<String> dropped(Rule rule, Recipe recipe) {
        return switch (rule.when()) {
            case Condition.HasWord has -> Stream.of(has.word());
            case Condition.HasAnyWord any -> any.words().stream();
            case Condition.OnList on ->
                Optional.ofNullable(recipe.sifting().lists().get(on.list())).stream()
                        .map(WordList::words)
                        .flatMap(List::stream);
            default -> Stream.of();
        };
    }

    /** The ways in which a word is written, if it may leave; else it becomes a conflict. */
    private List<Plan.Negative> unblocking(String word, MatchType type, String campaign, String group, BitSet among) {
        List<Plan.Negative> negatives = written(word, type, group).stream()
                .map(one -> new Plan.Negative(one, type))
                .toList();
        BitSet blocked = blocked(word, type, group, among);
        if (blocked.isEmpty()) {
            return negatives;
        }
        boolean exported = recipe.serving().negatives().contains(word);
        conflicts.add(new Plan.Conflict(
                word,
                type,
                campaign,
                group,
                blocked.cardinality(),
                blocked.stream().limit(SAMPLES).mapToObj(keywords::text).toList(),
                exported,
                narrower(word, type, group, among)));
        return exported ? negatives : List.of();
    }

    /** The keywords among some that a negative would block, in each way in which it is written. */
    BitSet blocked(String word, MatchType type, String group, BitSet among) {
        BitSet blocked = new BitSet();
        written(word, type, group).forEach(one -> blocked.or(words.get().blocked(one, type)));
        blocked.and(among);
        return blocked;
    }

    /** The widest of the narrower match types in which it would block none of them. */
    Optional<MatchType> narrower(String word, MatchType type, String group, BitSet among) {
        return Stream.of(MatchType.values())
                .filter(other -> other.compareTo(type) > 0)
                // One word is the same in broad and in phrase.
                .filter(other -> blocked(word, other, group, among).isEmpty())
                .findFirst();
    }

    /** A word of the campaign leaves in every form that keywords have; a whole search, and what parts groups, as it stands. */
    private List<String> written(String word, MatchType type, String group) {
        List<String> written = new ArrayList<>(List.of(word));
        if (type == MatchType.EXACT || !group.isEmpty()) {
            return written;
        }
        keywords.folded()
                .find(word)
                .filter(found -> found.length == 1)
                .ifPresent(found -> keywords.folded().surfaces(found[0]).stream()
                        .filter(surface -> !surface.equals(word))
                        .sorted()
                        .forEach(written::add));
        return written;
    }
}
