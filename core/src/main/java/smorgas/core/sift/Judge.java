package smorgas.core.sift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.TreeMap;
import java.util.function.Function;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Standing;
import smorgas.core.recipe.value.Intent;

/**
 * Gives every keyword its standing: by pin if a hand decided, else by the first rule from the top that takes it, else
 * Undecided. Rules that tag do so from the top too, and what a hand said of a tag beats them. Depends on nothing but its
 * arguments.
 */
public final class Judge {

    private final Matcher matcher;
    private final Function<Intent, BitSet> intents;
    private final Keywords keywords;
    private final List<Rule> rules;
    private final Standing[] standings;
    private final int[] deciders;
    private final BitSet open;
    private final Map<String, BitSet> tags = new TreeMap<>();
    private final Map<String, BitSet> pinnedTags = new TreeMap<>();
    private final BitSet[] touched;
    private final BitSet[] tagged;
    private int lostPins;

    private Judge(Matcher matcher, Function<Intent, BitSet> intents, List<Rule> rules) {
        this.matcher = matcher;
        this.intents = intents;
        this.keywords = matcher.keywords();
        this.rules = List.copyOf(rules);
        this.standings = new Standing[keywords.size()];
        Arrays.fill(standings, Standing.UNDECIDED);
        this.deciders = new int[keywords.size()];
        Arrays.fill(deciders, Standings.NOT_JUDGED);
        this.open = new BitSet(keywords.size());
        open.set(0, keywords.size());
        this.touched = new BitSet[rules.size()];
        this.tagged = new BitSet[rules.size()];
    }

    /**
     * Judges all keywords of the matcher.
     *
     * @param intents the keywords that are for something; asked only if a rule asks for it
     * @param pins standings given by hand, by tidy text
     * @param tags by tag, what a hand said of tidy texts: whether they have it
     * @param rules in the order in which they judge
     */
    public static Standings judge(
            Matcher matcher,
            Function<Intent, BitSet> intents,
            Map<String, Standing> pins,
            Map<String, ? extends SequencedMap<String, Boolean>> tags,
            List<Rule> rules) {
        Judge judge = new Judge(matcher, intents, rules);
        pins.forEach(judge::pin);
        tags.forEach(judge::pinTags);
        for (int place = 0; place < rules.size(); place++) {
            judge.run(place);
        }
        return new Standings(
                judge.standings, judge.deciders, judge.rules, judge.figures(), Tags.of(judge.tags), judge.lostPins);
    }

    private void pin(String text, Standing standing) {
        Optional<Integer> keyword = keywords.meant(text);
        if (keyword.isPresent()) {
            standings[keyword.get()] = standing;
            deciders[keyword.get()] = Standings.BY_HAND;
            open.clear(keyword.get());
        } else {
            lostPins++;
        }
    }

    private void pinTags(String tag, SequencedMap<String, Boolean> texts) {
        BitSet with = tags.computeIfAbsent(tag, t -> new BitSet());
        BitSet pinned = pinnedTags.computeIfAbsent(tag, t -> new BitSet());
        texts.forEach((text, on) -> keywords.meant(text).ifPresent(keyword -> {
            with.set(keyword, on);
            pinned.set(keyword);
        }));
    }

    private void run(int place) {
        Rule rule = rules.get(place);
        // Tags count as far as the rules above have given them.
        BitSet taken = matcher.match(rule.when(), ConditionContext.ofRules(this::tagged, intents));
        touched[place] = (BitSet) taken.clone();
        switch (rule.does()) {
            case Rule.Gives gives -> {
                taken.and(open);
                open.andNot(taken);
                for (int k = taken.nextSetBit(0); k >= 0; k = taken.nextSetBit(k + 1)) {
                    standings[k] = gives.standing();
                    deciders[k] = place;
                }
            }
            case Rule.Tags gives -> {
                taken.andNot(pinnedTags.getOrDefault(gives.tag(), new BitSet()));
                tags.computeIfAbsent(gives.tag(), t -> new BitSet()).or(taken);
                tagged[place] = taken;
            }
        }
    }

    private BitSet tagged(String tag) {
        return (BitSet) tags.getOrDefault(tag, new BitSet()).clone();
    }

    private List<RuleFigures> figures() {
        int[] touching = new int[keywords.size()];
        for (BitSet set : touched) {
            for (int k = set.nextSetBit(0); k >= 0; k = set.nextSetBit(k + 1)) {
                touching[k]++;
            }
        }
        Numbers searches = keywords.numbers(Figure.SEARCHES);
        List<RuleFigures> figures = new ArrayList<>();
        for (int place = 0; place < touched.length; place++) {
            boolean drops = rules.get(place).standing().orElse(Standing.KEPT) == Standing.DROPPED;
            int alone = 0;
            int decided = 0;
            int overHand = 0;
            BitSet mines = new BitSet();
            int against = 0;
            for (int k = touched[place].nextSetBit(0); k >= 0; k = touched[place].nextSetBit(k + 1)) {
                alone += touching[k] == 1 ? 1 : 0;
                boolean mine = tagged[place] == null ? deciders[k] == place : tagged[place].get(k);
                decided += mine ? 1 : 0;
                if (mine) {
                    mines.set(k);
                }
                against += deciders[k] >= 0 && opposed(deciders[k], place) ? 1 : 0;
                overHand += drops && deciders[k] == Standings.BY_HAND && standings[k] == Standing.KEPT ? 1 : 0;
            }
            figures.add(new RuleFigures(
                    touched[place].cardinality(), alone, decided, Searched.of(mines, searches), against, overHand));
        }
        return figures;
    }

    private boolean opposed(int decider, int place) {
        return rules.get(place).standing().isPresent()
                && !rules.get(decider).standing().equals(rules.get(place).standing());
    }
}
