package smorgas.core.serve;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.draw.Drawing;
import smorgas.core.fold.Gathered;
import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.Span;
import smorgas.core.sift.Reason;
import smorgas.core.sift.RuleFigures;
import smorgas.core.value.EstimatedValue;

/** What was done with the lists and what came out, for whoever has asked for it. */
final class Report {

    /** So many groups are told one by one; the plan and the workbook have all. */
    private static final int MOST_GROUPS = 500;

    private static final int EXAMPLES = 3;

    /** Sums of worth are in hundredths. */
    private static final double HUNDREDTHS = 100;

    private final Handover what;
    private final Keywords keywords;
    private final List<Document.Block> blocks = new ArrayList<>();

    private Report(Handover what) {
        this.what = what;
        this.keywords = what.keywords();
    }

    static Document of(Handover what) {
        return new Report(what).document();
    }

    private Document document() {
        String note = what.recipe().notes().project();
        if (!note.isEmpty()) {
            note.lines().filter(line -> !line.isBlank()).forEach(this::say);
        }
        draw(Pictures.flow(what));
        if (keywords.simulated()) {
            say(what.text("serve.report.some-searches-bids-simulated"));
        }
        gathered();
        sifted();
        groups();
        plan();
        expected();
        return new Document(
                what.project().isBlank() ? what.text("serve.report.keywords") : what.project(),
                what.text("serve.document.made-with"),
                blocks);
    }

    private void heading(String text) {
        blocks.add(new Document.Heading(text));
    }

    private void draw(Drawing drawing) {
        blocks.add(new Document.Picture(drawing));
    }

    private void say(String text) {
        blocks.add(new Document.Paragraph(text));
    }

    private void gathered() {
        heading(what.text("serve.report.what-gathered-folded"));
        say(what.text(
                "serve.report.line-list-came-keyword",
                keywords.linesInUse(),
                Gathered.of(keywords).size(),
                keywords.size()));
        blocks.add(new Document.Table(
                List.of(
                        what.text("serve.report.list"),
                        what.text("serve.report.what-it-is"),
                        what.text("serve.report.lines")),
                List.of(false, false, true),
                List.of(6, 4, 2),
                Gathered.of(keywords).stream()
                        .map(one -> List.of(
                                one.name(),
                                what.text("serve.report.text", one.kind().label(), one.brings()),
                                count(one.lines())))
                        .toList()));
        if (Gathered.of(keywords).size() > 1) {
            draw(Pictures.overlap(what));
        }
    }

    private void sifted() {
        heading(what.text("serve.report.what-dropped-why"));
        say(what.text(
                "serve.report.dropped-since-they-do",
                what.statuses().count(Status.DROPPED),
                what.statuses().count(Status.KEPT),
                what.statuses().count(Status.UNDECIDED)));
        List<List<String>> rows = new ArrayList<>();
        List<Rule> rules = what.recipe().sifting().rules();
        for (int place = 0; place < rules.size(); place++) {
            RuleFigures figures = what.statuses().figures().get(place);
            if (figures.decided() > 0) {
                rows.add(List.of(
                        what.wording().of(rules.get(place).sentence()),
                        count(figures.decided()),
                        figures.searches().sum() == 0 ? "" : figures.searches().written()));
            }
        }
        long byHand = IntStream.range(0, keywords.size())
                .filter(keyword -> what.statuses().reason(keyword) instanceof Reason.ByHand)
                .count();
        if (byHand > 0) {
            rows.add(List.of(what.text("serve.report.judged-hand-one-one"), count(byHand), ""));
        }
        if (!rows.isEmpty()) {
            blocks.add(new Document.Table(
                    List.of(
                            what.text("serve.report.rule"),
                            what.text("serve.report.keywords"),
                            what.text("serve.report.searches-month")),
                    List.of(false, true, true),
                    List.of(8, 2, 2),
                    rows));
        }
    }

    private void groups() {
        Groups groups = what.groups();
        heading(what.text("serve.report.groups"));
        say(what.text(
                "serve.report.group-keywords-one-ad",
                groups.grouping().size(),
                groups.grouping().ungrouped()));
        if (groups.grouping().size() > 0) {
            draw(Pictures.map(what));
        }
        List<List<String>> rows = new ArrayList<>();
        for (int group : groups.order()) {
            if (rows.size() < MOST_GROUPS) {
                rows.add(row(groups, group));
            }
        }
        blocks.add(new Document.Table(
                List.of(
                        what.text("serve.report.group"),
                        what.text("serve.report.keywords"),
                        what.text("serve.report.searches-month"),
                        what.text("serve.report.mostly"),
                        what.text("serve.report.such-as")),
                List.of(false, true, true, false, false),
                List.of(5, 3, 3, 3, 8),
                rows));
        if (groups.grouping().size() > MOST_GROUPS) {
            say(what.text("serve.report.most-searched-them-plan", MOST_GROUPS));
        }
    }

    private List<String> row(Groups groups, int group) {
        int[] members = groups.grouping().members().row(group);
        return List.of(
                groups.name(group),
                count(members.length),
                groups.searches(group).written(),
                what.intents()
                        .get()
                        .most(members)
                        .map(most -> what.wording().of(most.intent().label()))
                        .orElse(""),
                IntStream.of(members)
                        .boxed()
                        .sorted((a, b) -> Long.compare(groups.searched(b), groups.searched(a)))
                        .limit(EXAMPLES)
                        .map(keywords::text)
                        .collect(Collectors.joining(", ")));
    }

    private void plan() {
        Plan plan = what.plan();
        heading(what.text("serve.report.ad-plan"));
        say(what.text(
                "serve.report.campaign-ad-group-keyword",
                plan.count().campaigns(),
                plan.count().adGroups(),
                plan.count().keywords(),
                plan.count().rows()));
        blocks.add(new Document.Table(
                List.of(
                        what.text("serve.report.campaign"),
                        what.text("serve.report.ad-groups"),
                        what.text("serve.report.keywords"),
                        what.text("serve.report.negatives")),
                List.of(false, true, true, true),
                List.of(6, 2, 2, 2),
                plan.campaigns().stream()
                        .map(campaign -> List.of(
                                campaign.name(),
                                count(campaign.adGroups().size()),
                                count(campaign.adGroups().stream()
                                        .mapToInt(group -> group.keywords().size())
                                        .sum()),
                                count(campaign.negatives().size())))
                        .toList()));
        plan.notes().forEach(note -> say(what.text("serve.report.note", note)));
    }

    private void expected() {
        if (!what.recipe().valuing().assumes()) {
            return;
        }
        heading(what.text("serve.report.what-expected-what-assumed"));
        BitSet exported = new BitSet();
        what.plan().rows().forEach(row -> keywords.find(row.keyword()).ifPresent(exported::set));
        EstimatedValue.Sum sum = what.estimatedValue().get().sum(exported);
        List<String> parts = Arrays.stream(EstimatedValue.Part.values())
                .filter(sum.parts()::containsKey)
                .map(part -> what.text(
                        "serve.report.part." + part.name().toLowerCase(Locale.ROOT),
                        range(sum.parts().get(part))))
                .toList();
        say(
                what.currency().isEmpty()
                        ? what.text("serve.report.month", parts)
                        : what.text("serve.report.month-in", parts, what.currency()));
        int unknown = sum.parts().values().stream()
                .mapToInt(EstimatedValue.Total::unknown)
                .max()
                .orElse(0);
        if (unknown > 0) {
            say(what.text("serve.report.keywords-searches-assumption-unknown", unknown, sum.keywords()));
        }
        blocks.add(new Document.Table(
                List.of(what.text("serve.report.of"), what.text("serve.report.assumed")),
                List.of(false, false),
                List.of(4, 8),
                assumed()));
    }

    private List<List<String>> assumed() {
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of(
                what.text("serve.report.all-keywords"),
                told(what.recipe().valuing().assumptions())));
        what.recipe()
                .valuing()
                .byTag()
                .forEach((tag, own) -> rows.add(List.of(what.text("serve.report.tag", tag), told(own))));
        what.recipe()
                .valuing()
                .byGroup()
                .forEach((key, own) -> rows.add(List.of(what.text("serve.report.of-group", key), told(own))));
        rows.add(List.of(
                what.text("serve.report.clicks-place"),
                what.recipe().valuing().clicks().name()));
        return rows;
    }

    private String told(Assumptions assumed) {
        return what.text(
                "serve.report.click-costs",
                assumed.figures().entrySet().stream()
                        .map(entry -> what.text(
                                "serve.report.assumption",
                                entry.getKey().label(),
                                told(entry.getKey(), entry.getValue())))
                        .collect(Collectors.joining("; ")),
                assumed.cost().label());
    }

    private String told(Assumed assumed, Span span) {
        String low = Csv.amount(span.low(), assumed.scale());
        return span.low() == span.high()
                ? low
                : what.text("bounds.from-to", low, Csv.amount(span.high(), assumed.scale()));
    }

    private String range(EstimatedValue.Total total) {
        String middle = whole(total.middle() / HUNDREDTHS);
        String low = whole(total.low() / HUNDREDTHS);
        String high = whole(total.high() / HUNDREDTHS);
        return low.equals(high) ? middle : what.text("serve.report.range", middle, low, high);
    }

    private static String whole(double number) {
        return String.format(
                Locale.ENGLISH,
                "%,d",
                BigDecimal.valueOf(number)
                        .setScale(0, java.math.RoundingMode.HALF_UP)
                        .toBigInteger());
    }

    static String count(long number) {
        return String.format(Locale.ENGLISH, "%,d", number);
    }
}
