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
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Intent;

/**
 * Gives every keyword its status: by your decision if there is one, else by the first rule from the top that takes it, else
 * Undecided. Rules that tag do so from the top too, and what a hand said of a tag beats them. Depends on nothing but its
 * arguments.
 */
public final class Judge {

    private final Matcher matcher;
    private final Function<Intent, BitSet> intents;
    private final Keywords keywords;
    private final List<Rule> rules;
    private final Status[] statuses;
    private final int[] deciders;
    private final BitSet open;
    private final Map<String, BitSet> tags = new TreeMap<>();
    private final Map<String, BitSet> decidedTags = new TreeMap<>();
    private final BitSet[] touched;
    private final BitSet[] tagged;
    private int lostDecisions;

    private Judge(Matcher matcher, Function<Intent, BitSet> intents, List<Rule> rules) {
        this.matcher = matcher;
        this.intents = intents;
        this.keywords = matcher.keywords();
        this.rules = List.copyOf(rules);
        this.statuses = new Status[keywords.size()];
        Arrays.fill(statuses, Status.UNDECIDED);
        this.deciders = new int[keywords.size()];
        Arrays.fill(deciders, Statuses.NOT_JUDGED);
        this.open = new BitSet(keywords.size());
        open.set(0, keywords.size());
        this.touched = new BitSet[rules.size()];
        this.tagged = new BitSet[rules.size()];
    }

    /**
     * Judges all keywords of the matcher.
     *
     * @param intents the keywords that are for something; asked only if a rule asks for it
     * @param decisions statuses given by hand, by tidy text
     * @param tags by tag, what a hand said of tidy texts: whether they have it
     * @param rules in the order in which they judge
     */
    public static Statuses judge(
            Matcher matcher,
            Function<Intent, BitSet> intents,
            Map<String, Status> decisions,
            Map<String, ? extends SequencedMap<String, Boolean>> tags,
            List<Rule> rules) {
        Judge judge = new Judge(matcher, intents, rules);
        decisions.forEach(judge::decision);
        tags.forEach(judge::tagDecisions);
        for (int place = 0; place < rules.size(); place++) {
            judge.run(place);
        }
        return new Statuses(
                judge.statuses, judge.deciders, judge.rules, judge.figures(), Tags.of(judge.tags), judge.lostDecisions);
    }

    private void decision(String text, Status status) {
        Optional<Integer> keyword = keywords.meant(text);
        if (keyword.isPresent()) {
            statuses[keyword.get()] = status;
            deciders[keyword.get()] = Statuses.BY_HAND;
            open.clear(keyword.get());
        } else {
            lostDecisions++;
        }
    }

    private void tagDecisions(String tag, SequencedMap<String, Boolean> texts) {
        BitSet with = tags.computeIfAbsent(tag, t -> new BitSet());
        BitSet decided = decidedTags.computeIfAbsent(tag, t -> new BitSet());
        texts.forEach((text, on) -> keywords.meant(text).ifPresent(keyword -> {
            with.set(keyword, on);
            decided.set(keyword);
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
                    statuses[k] = gives.status();
                    deciders[k] = place;
                }
            }
            case Rule.Tags gives -> {
                taken.andNot(decidedTags.getOrDefault(gives.tag(), new BitSet()));
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
            boolean drops = rules.get(place).status().orElse(Status.KEPT) == Status.DROPPED;
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
                overHand += drops && deciders[k] == Statuses.BY_HAND && statuses[k] == Status.KEPT ? 1 : 0;
            }
            figures.add(new RuleFigures(
                    touched[place].cardinality(), alone, decided, Searched.of(mines, searches), against, overHand));
        }
        return figures;
    }

    private boolean opposed(int decider, int place) {
        return rules.get(place).status().isPresent()
                && !rules.get(decider).status().equals(rules.get(place).status());
    }
}
