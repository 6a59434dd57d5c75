package smorgas.core.serve;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.language.Lexicon;
import smorgas.core.text.Words;
import smorgas.core.value.EstimatedValue;

/** What the web team needs: a page for each ad group, with what it is to say. */
final class PagePlan {

    private static final List<String> HEADINGS = List.of(
            "serve.page-plan.page",
            "serve.page-plan.working-title",
            "serve.page-plan.main-keyword",
            "serve.page-plan.other-keywords",
            "serve.page-plan.questions",
            "serve.page-plan.intent",
            "serve.page-plan.searches",
            "serve.page-plan.estimated-value");

    /** What its columns are called. */
    static List<String> headings(Handover what) {
        return HEADINGS.stream().map(key -> what.text(key)).toList();
    }

    /** Of columns, in letters. */
    static final List<Integer> WIDTHS = List.of(50, 36, 36, 70, 70, 16, 12, 12);

    /** The last columns are numbers. */
    static final int NUMBERS = 2;

    private static final int OTHERS = 12;
    private static final int QUESTIONS = 8;

    /** Sums of worth are in hundredths. */
    private static final double HUNDREDTHS = 100;

    private final Handover what;
    private final Keywords keywords;
    private final Numbers searches;
    private final Set<String> openers;

    private PagePlan(Handover what) {
        this.what = what;
        this.keywords = what.keywords();
        this.searches = keywords.numbers(Figure.SEARCHES);
        this.openers = Lexicon.of(what.recipe().folding().language()).questionOpeners();
    }

    /** A row for each ad group, of one that is parted by match types one. */
    static List<List<String>> rows(Handover what) {
        PagePlan plan = new PagePlan(what);
        List<List<String>> rows = new ArrayList<>();
        Set<List<String>> seen = new java.util.HashSet<>();
        for (Plan.Campaign campaign : what.plan().campaigns()) {
            for (Plan.AdGroup group : campaign.adGroups()) {
                List<String> texts =
                        group.keywords().stream().map(Plan.Exported::keyword).toList();
                if (seen.add(texts)) {
                    rows.add(plan.row(group, texts));
                }
            }
        }
        return rows;
    }

    private List<String> row(Plan.AdGroup group, List<String> texts) {
        List<String> questions =
                texts.stream().filter(this::asks).limit(QUESTIONS).toList();
        // What is most searched says what the page is about, unless it only asks.
        String main = texts.stream().filter(text -> !asks(text)).findFirst().orElse(texts.getFirst());
        BitSet members = new BitSet();
        texts.stream().map(keywords::find).flatMap(Optional::stream).forEach(members::set);
        Searched searched = Searched.of(members, searches);
        return List.of(
                group.page().orElse(""),
                new PlanNaming(what.recipe()
                                .serving()
                                .plan()
                                .names()
                                .with(smorgas.core.recipe.serve.PlanNames.Letters.TITLE))
                        .cased(main, false),
                main,
                String.join(
                        ", ",
                        texts.stream()
                                .filter(text -> !text.equals(main) && !questions.contains(text))
                                .limit(OTHERS)
                                .toList()),
                String.join(", ", questions),
                keywords.find(main)
                        .flatMap(keyword -> what.intents().get().lead(keyword))
                        .map(intent -> what.wording().of(intent.label()))
                        .orElse(""),
                marked(String.valueOf(searched.sum()), searched.simulated()),
                marked(estimatedValue(members), searched.simulated()));
    }

    private static String marked(String figure, boolean simulated) {
        return simulated && !figure.isEmpty() ? Searched.MARK + figure : figure;
    }

    private String estimatedValue(BitSet members) {
        EstimatedValue.Total total = what.recipe().valuing().assumes()
                ? what.estimatedValue().get().sum(members).parts().get(EstimatedValue.Part.VALUE)
                : null;
        return total == null ? "" : String.valueOf(Math.round(total.middle() / HUNDREDTHS));
    }

    private boolean asks(String text) {
        List<String> words = Words.of(text);
        return !words.isEmpty() && openers.contains(words.getFirst());
    }

    /** As a document. */
    static Document document(Handover what) {
        return new Document(
                what.project().isBlank()
                        ? what.text("serve.page-plan.pages")
                        : what.text("serve.page-plan.pages-2", what.project()),
                what.text("serve.document.made-with"),
                List.of(new Document.Table(
                        headings(what),
                        IntStream.range(0, HEADINGS.size())
                                .mapToObj(column -> column >= HEADINGS.size() - NUMBERS)
                                .toList(),
                        List.of(4, 3, 3, 5, 5, 2, 2, 2),
                        rows(what))));
    }
}
