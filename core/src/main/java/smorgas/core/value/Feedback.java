package smorgas.core.value;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.IntUnaryOperator;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.value.FeedbackSettings;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/**
 * What search-term reports and own campaigns tell: what their terms hit, what they cost and brought, and what follows. What a
 * report does not tell is unknown: nothing is proposed of a term of which conversions are. Cannot change.
 */
public final class Feedback {

    private static final Set<BasketInfo.Kind> REPORTS =
            Set.of(BasketInfo.Kind.SEARCH_TERMS, BasketInfo.Kind.OWN_CAMPAIGN);

    /** How a term came to a keyword. */
    public enum Hit {
        /** It is the keyword as it is exported. */
        EXACT("hit.exact"),
        /** It is folded into the keyword. */
        CLOSE("hit.close"),
        /** It has the words of the keyword next to each other, as the project folds them. */
        PHRASE("hit.phrase"),
        /** It is a keyword that is dropped. */
        DROPPED("hit.dropped"),
        /** No keyword is in it. */
        NONE("hit.none");

        private final Message label;

        Hit(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /**
     * Figures of a report.
     *
     * @param cost in millionths of the currency
     * @param conversions in hundredths of one
     * @param judged whether conversions are known of all lines
     */
    public record Figures(long clicks, long impressions, long cost, long conversions, boolean judged) {

        static final Figures NONE = new Figures(0, 0, 0, 0, true);

        Figures plus(Figures other) {
            return new Figures(
                    clicks + other.clicks,
                    impressions + other.impressions,
                    cost + other.cost,
                    conversions + other.conversions,
                    judged && other.judged);
        }

        /** Whether it had enough clicks to convert, and never did. */
        boolean wasted(FeedbackSettings settings) {
            return judged && conversions == 0 && clicks >= settings.clicks();
        }
    }

    /**
     * A term of the reports.
     *
     * @param keyword what it hit; -1 for none
     * @param group the group of that; negative for none
     */
    public record Term(String text, Figures figures, Hit hit, int keyword, int group) {}

    /**
     * A word or term that cost and never converted, as a negative.
     *
     * @param spells the keyword of which it is a spelling; -1 for none
     */
    public record Waste(String text, MatchType type, Figures figures, int spells) {}

    /** What the terms of a group cost and brought. */
    public record OfGroup(int group, int terms, Figures figures, boolean wasted) {}

    /** A week, by its Monday, or a report that tells no days, by its name. */
    public record Week(String name, Figures figures) {}

    /**
     * All of it.
     *
     * @param terms those that cost most first
     * @param wastes words before whole terms, those that cost most first
     * @param fresh terms that convert and are no keyword yet, or a dropped one; those that convert most first
     * @param groups those that cost most first
     * @param weeks in their order
     * @param told what was left out and why, a sentence each
     */
    public record Found(
            List<Term> terms,
            List<Waste> wastes,
            List<Term> fresh,
            List<OfGroup> groups,
            List<Week> weeks,
            List<Message> told) {}

    private final Keywords keywords;
    private final BitSet alive;
    private final IntUnaryOperator groupOf;
    private final FeedbackSettings settings;
    private final BitSet keptWords = new BitSet();
    private final Map<String, int[]> folded = new HashMap<>();
    private final Map<List<Integer>, Integer> phrases = new HashMap<>();

    private Feedback(
            Keywords keywords, BitSet alive, BitSet kept, IntUnaryOperator groupOf, FeedbackSettings settings) {
        this.keywords = keywords;
        this.alive = alive;
        this.groupOf = groupOf;
        this.settings = settings;
        kept.stream().forEach(keyword -> keywords.folded().rows().forEach(keyword, keptWords::set));
        alive.stream().forEach(keyword -> {
            List<Integer> words = new ArrayList<>();
            keywords.folded().rows().forEach(keyword, words::add);
            phrases.putIfAbsent(words, keyword);
        });
    }

    /**
     * Of the reports among the baskets of a project.
     *
     * @param alive the keywords that are not dropped
     * @param kept those that are kept; a word that one of them has makes no negative by itself
     * @param groupOf the group of each; negative for none
     * @param currency the project's, or empty if it is not known; a report of another is left out, and so is one of another market
     * @param little words that say nothing and make no negative
     */
    public static Found of(
            Keywords keywords,
            BitSet alive,
            BitSet kept,
            IntUnaryOperator groupOf,
            FeedbackSettings settings,
            String currency,
            String market,
            Collection<String> little) {
        List<Message> told = new ArrayList<>();
        List<Lines> reports = new ArrayList<>();
        for (Lines lines : keywords.baskets()) {
            if (REPORTS.contains(lines.info().kind())) {
                Optional<Message> why = leftOut(lines, currency, market);
                why.ifPresent(told::add);
                boolean tells = lines.figure(Figure.CLICKS).isPresent();
                if (why.isEmpty() && tells) {
                    reports.add(lines);
                    if (lines.figure(Figure.CONVERSIONS).isEmpty()) {
                        told.add(Message.of("value.feedback.conversions-clicks-cost-told", lines.name()));
                    }
                }
            }
        }
        if (reports.isEmpty()) {
            // All keywords are looked up below, and there is nothing to look for.
            return new Found(List.of(), List.of(), List.of(), List.of(), List.of(), told);
        }
        reports.sort(Comparator.comparing(lines -> lines.info().gathered()));
        return new Feedback(keywords, alive, kept, groupOf, settings).found(reports, told, little);
    }

    private static Optional<Message> leftOut(Lines report, String currency, String market) {
        BasketInfo info = report.info();
        if (!info.currency().isEmpty()
                && !currency.isEmpty()
                && !info.currency().equalsIgnoreCase(currency)) {
            return Optional.of(Message.of("value.feedback.currency", report.name(), info.currency(), currency));
        }
        if (!info.market().isEmpty() && !market.isEmpty() && !info.market().equalsIgnoreCase(market)) {
            return Optional.of(Message.of("value.feedback.market", report.name(), info.market(), market));
        }
        // An own campaign may have been gathered for its groups alone.
        return info.kind() == BasketInfo.Kind.SEARCH_TERMS
                        && report.figure(Figure.CLICKS).isEmpty()
                ? Optional.of(Message.of("value.feedback.no-clicks", report.name()))
                : Optional.empty();
    }

    private Found found(List<Lines> reports, List<Message> told, Collection<String> little) {
        Map<String, Figures> byTerm = new LinkedHashMap<>();
        SortedMap<String, Figures> weeks = new TreeMap<>();
        for (Lines report : reports) {
            Map<String, Figures> here = new LinkedHashMap<>();
            for (int row = 0; row < report.size(); row++) {
                String term = Tidy.of(report.text(row));
                if (!term.isEmpty()) {
                    Figures figures = figures(report, row);
                    here.merge(term, figures, Figures::plus);
                    weeks.merge(week(report, row), figures, Figures::plus);
                }
            }
            if (settings.added()) {
                here.forEach((term, figures) -> byTerm.merge(term, figures, Figures::plus));
            } else {
                byTerm.putAll(here);
            }
        }
        List<Term> terms = byTerm.entrySet().stream()
                .map(entry -> term(entry.getKey(), entry.getValue()))
                .sorted(Comparator.<Term>comparingLong(term -> -term.figures().cost())
                        .thenComparing(Term::text))
                .toList();
        return new Found(
                terms,
                wastes(terms, little),
                terms.stream()
                        .filter(term -> term.figures().conversions() > 0)
                        .filter(term -> term.hit() != Hit.EXACT && term.hit() != Hit.CLOSE)
                        .sorted(Comparator.comparingLong(term -> -term.figures().conversions()))
                        .toList(),
                groups(terms),
                weeks.entrySet().stream()
                        .map(week -> new Week(week.getKey(), week.getValue()))
                        .toList(),
                List.copyOf(told));
    }

    private static Figures figures(Lines report, int row) {
        FigureColumn conversions = report.figure(Figure.CONVERSIONS).orElse(null);
        boolean judged = conversions != null && conversions.known(row);
        return new Figures(
                figure(report, Figure.CLICKS, row),
                figure(report, Figure.IMPRESSIONS, row),
                figure(report, Figure.COST, row),
                judged ? conversions.twiceMiddle(row) / 2 : 0,
                judged);
    }

    private static long figure(Lines report, Figure figure, int row) {
        return report.figure(figure)
                .filter(column -> column.known(row))
                .map(column -> column.twiceMiddle(row) / 2)
                .orElse(0L);
    }

    private static String week(Lines report, int row) {
        @Nullable
        TextColumn dates = report.texts(ColumnRole.DATE).stream().findFirst().orElse(null);
        if (dates != null && dates.text(row).length() >= 10) {
            try {
                return LocalDate.parse(dates.text(row).substring(0, 10))
                        .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                        .toString();
            } catch (DateTimeParseException e) {
                return report.name();
            }
        }
        return report.info().gathered().isEmpty()
                ? report.name()
                : report.info().gathered() + ", " + report.name();
    }

    private Term term(String text, Figures figures) {
        Optional<Integer> meant = keywords.meant(text);
        if (meant.isPresent()) {
            int keyword = meant.get();
            boolean same = keywords.text(keyword).equals(text);
            Hit hit = !alive.get(keyword) ? Hit.DROPPED : same ? Hit.EXACT : Hit.CLOSE;
            return new Term(text, figures, hit, keyword, groupOf.applyAsInt(keyword));
        }
        int within = longest(words(text));
        return within < 0
                ? new Term(text, figures, Hit.NONE, -1, -1)
                : new Term(text, figures, Hit.PHRASE, within, groupOf.applyAsInt(within));
    }

    /** The folded words of a text; -1 for a word that no keyword has. */
    private List<Integer> words(String text) {
        List<Integer> all = new ArrayList<>();
        for (String word : Words.of(text)) {
            for (int one :
                    folded.computeIfAbsent(word, w -> keywords.folded().find(w).orElse(new int[] {-1}))) {
                all.add(one);
            }
        }
        return all;
    }

    /** The keyword with the most words that stand next to each other among these; -1 for none. */
    private int longest(List<Integer> words) {
        for (int length = words.size(); length > 0; length--) {
            for (int from = 0; from + length <= words.size(); from++) {
                Integer keyword = phrases.get(words.subList(from, from + length));
                if (keyword != null) {
                    return keyword;
                }
            }
        }
        return -1;
    }

    /** Words that had their chance in all their terms together, and terms that had it by themselves. */
    private List<Waste> wastes(List<Term> terms, Collection<String> little) {
        Map<String, Figures> byWord = new LinkedHashMap<>();
        for (Term term : terms) {
            Words.of(term.text()).stream()
                    .distinct()
                    .filter(word -> !little.contains(word))
                    .forEach(word -> byWord.merge(word, term.figures(), Figures::plus));
        }
        Map<String, Figures> wasted = new LinkedHashMap<>(byWord);
        wasted.values().removeIf(figures -> !figures.wasted(settings));
        wasted.keySet().removeIf(one -> words(one).stream().anyMatch(known -> known >= 0 && keptWords.get(known)));
        List<Waste> wastes = new ArrayList<>();
        wasted.forEach((word, figures) -> wastes.add(new Waste(word, MatchType.PHRASE, figures, -1)));
        wastes.sort(Comparator.<Waste>comparingLong(waste -> -waste.figures().cost())
                .thenComparing(Waste::text));
        terms.stream()
                .filter(term -> term.figures().wasted(settings))
                .filter(term -> Words.of(term.text()).stream().noneMatch(wasted::containsKey))
                .forEach(term -> wastes.add(new Waste(
                        term.text(),
                        MatchType.EXACT,
                        term.figures(),
                        term.hit() == Hit.EXACT || term.hit() == Hit.CLOSE ? term.keyword() : -1)));
        return wastes;
    }

    private List<OfGroup> groups(List<Term> terms) {
        Map<Integer, List<Term>> byGroup = new LinkedHashMap<>();
        terms.stream().filter(term -> term.group() >= 0).forEach(term -> byGroup.computeIfAbsent(
                        term.group(), none -> new ArrayList<>())
                .add(term));
        return byGroup.entrySet().stream()
                .map(entry -> {
                    Figures sum = entry.getValue().stream().map(Term::figures).reduce(Figures.NONE, Figures::plus);
                    return new OfGroup(entry.getKey(), entry.getValue().size(), sum, sum.wasted(settings));
                })
                .sorted(Comparator.comparingLong(group -> -group.figures().cost()))
                .toList();
    }
}
