package smorgas.core.serve;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.draw.Drawing;
import smorgas.core.fold.Gathered;
import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Standing;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.Span;
import smorgas.core.sift.Reason;
import smorgas.core.sift.RuleFigures;
import smorgas.core.value.Worth;

/** What was done with the lists and what came out, for whoever has asked for it. */
final class Report {

    /** So many groups are told one by one; the plan and the workbook have all. */
    private static final int MOST_GROUPS = 500;

    private static final int EXAMPLES = 3;

    /** Sums of worth are in hundredths. */
    private static final double HUNDREDTHS = 100;

    private static final Map<Worth.Part, String> PARTS = Map.of(
            Worth.Part.CLICKS, "clicks",
            Worth.Part.CONVERSIONS, "conversions",
            Worth.Part.COST, "cost",
            Worth.Part.VALUE, "worth",
            Worth.Part.RETURN, "return");

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
            say("Some searches and bids in this are simulated: nobody has measured them. Groups that have some "
                    + "carry \"sim.\", and sums count them in.");
        }
        gathered();
        sifted();
        groups();
        plan();
        expected();
        return new Document(what.project().isBlank() ? "Keywords" : what.project(), blocks);
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
        heading("What was gathered and folded");
        say(count(keywords.linesInUse(), "line", "lines") + " of "
                + count(Gathered.of(keywords).size(), "list", "lists")
                + " came to " + count(keywords.size(), "keyword", "keywords")
                + ", the rest being the same keywords in other spellings or in several lists.");
        blocks.add(new Document.Table(
                List.of("List", "What it is", "Lines"),
                List.of(false, false, true),
                List.of(6, 4, 2),
                Gathered.of(keywords).stream()
                        .map(one -> List.of(
                                one.name(),
                                one.kind().label() + (one.brings() ? "" : ", which only tells about keywords"),
                                count(one.lines())))
                        .toList()));
        if (Gathered.of(keywords).size() > 1) {
            draw(Pictures.overlap(what));
        }
    }

    private void sifted() {
        heading("What was dropped and why");
        say("Dropped, since they do not fit: "
                + count(what.standings().count(Standing.DROPPED), "keyword", "keywords")
                + ". Kept by a rule or by hand: " + count(what.standings().count(Standing.KEPT))
                + ". Without a verdict, and not dropped: "
                + count(what.standings().count(Standing.UNDECIDED)) + ".");
        List<List<String>> rows = new ArrayList<>();
        List<Rule> rules = what.recipe().sifting().rules();
        for (int place = 0; place < rules.size(); place++) {
            RuleFigures figures = what.standings().figures().get(place);
            if (figures.decided() > 0) {
                rows.add(List.of(
                        rules.get(place).sentence(),
                        count(figures.decided()),
                        figures.searches().sum() == 0 ? "" : figures.searches().written()));
            }
        }
        long byHand = IntStream.range(0, keywords.size())
                .filter(keyword -> what.standings().reason(keyword) instanceof Reason.ByHand)
                .count();
        if (byHand > 0) {
            rows.add(List.of("Judged by hand, one by one", count(byHand), ""));
        }
        if (!rows.isEmpty()) {
            blocks.add(new Document.Table(
                    List.of("Rule", "Keywords", "Searches a month"),
                    List.of(false, true, true),
                    List.of(8, 2, 2),
                    rows));
        }
    }

    private void groups() {
        Groups groups = what.groups();
        heading("Groups");
        say(count(groups.grouping().size(), "group", "groups") + " of keywords that one ad and one page can answer; "
                + count(groups.grouping().leftovers()) + " keywords are in none.");
        if (groups.grouping().size() > 0) {
            draw(Pictures.map(what));
        }
        List<List<String>> rows = new ArrayList<>();
        for (int group : groups.order()) {
            if (rows.size() < MOST_GROUPS) {
                int[] members = groups.grouping().members().row(group);
                rows.add(List.of(
                        groups.name(group),
                        count(members.length),
                        groups.searches(group).written(),
                        what.intents()
                                .get()
                                .most(members)
                                .map(most -> most.intent().label())
                                .orElse(""),
                        IntStream.of(members)
                                .boxed()
                                .sorted((a, b) -> Long.compare(groups.searched(b), groups.searched(a)))
                                .limit(EXAMPLES)
                                .map(keywords::text)
                                .collect(Collectors.joining(", "))));
            }
        }
        blocks.add(new Document.Table(
                List.of("Group", "Keywords", "Searches a month", "Mostly", "Such as"),
                List.of(false, true, true, false, false),
                List.of(5, 3, 3, 3, 8),
                rows));
        if (groups.grouping().size() > MOST_GROUPS) {
            say("The " + count(MOST_GROUPS) + " most searched of them; the plan has all.");
        }
    }

    private void plan() {
        Plan plan = what.plan();
        heading("The ad plan");
        say(count(plan.count().campaigns(), "campaign", "campaigns") + ", "
                + count(plan.count().adGroups(), "ad group", "ad groups") + ", "
                + count(plan.count().keywords(), "keyword", "keywords") + ", "
                + count(plan.count().rows(), "row", "rows") + ".");
        blocks.add(new Document.Table(
                List.of("Campaign", "Ad groups", "Keywords", "Negatives"),
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
        plan.notes().forEach(note -> say(note + "."));
    }

    private void expected() {
        if (!what.recipe().valuing().assumes()) {
            return;
        }
        heading("What is expected, and what was assumed");
        BitSet served = new BitSet();
        what.plan().rows().forEach(row -> keywords.find(row.keyword()).ifPresent(served::set));
        Worth.Sum sum = what.worth().get().sum(served);
        say("A month, of everything in the plan: "
                + java.util.Arrays.stream(Worth.Part.values())
                        .filter(sum.parts()::containsKey)
                        .map(part -> PARTS.get(part) + " " + range(sum.parts().get(part)))
                        .collect(Collectors.joining(", "))
                + (what.currency().isEmpty() ? "." : ", money in " + what.currency() + "."));
        int unknown = sum.parts().values().stream()
                .mapToInt(Worth.Total::unknown)
                .max()
                .orElse(0);
        if (unknown > 0) {
            say("Of " + count(unknown) + " of " + count(sum.keywords())
                    + " keywords the searches or an assumption are unknown; they are not in it.");
        }
        blocks.add(new Document.Table(List.of("Of", "Assumed"), List.of(false, false), List.of(4, 8), assumed()));
    }

    private List<List<String>> assumed() {
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("all keywords", told(what.recipe().valuing().assumptions())));
        what.recipe().valuing().byTag().forEach((tag, own) -> rows.add(List.of("tag " + tag, told(own))));
        what.recipe().valuing().byGroup().forEach((key, own) -> rows.add(List.of("group " + key, told(own))));
        rows.add(List.of("clicks by place", what.recipe().valuing().clicks().name()));
        return rows;
    }

    private static String told(Assumptions assumed) {
        return assumed.figures().entrySet().stream()
                        .map(entry -> entry.getKey().label() + " " + told(entry.getKey(), entry.getValue()))
                        .collect(Collectors.joining("; "))
                + "; a click costs " + assumed.cost().label();
    }

    private static String told(Assumed what, Span span) {
        String low = Csv.amount(span.low(), what.scale());
        return span.low() == span.high() ? low : low + " to " + Csv.amount(span.high(), what.scale());
    }

    private static String range(Worth.Total total) {
        String middle = whole(total.middle() / HUNDREDTHS);
        String low = whole(total.low() / HUNDREDTHS);
        String high = whole(total.high() / HUNDREDTHS);
        return low.equals(high) ? middle : middle + " (" + low + " to " + high + ")";
    }

    private static String whole(double number) {
        return String.format(
                Locale.ENGLISH,
                "%,d",
                BigDecimal.valueOf(number)
                        .setScale(0, java.math.RoundingMode.HALF_UP)
                        .toBigInteger());
    }

    static String count(long number, String one, String many) {
        return count(number) + " " + (number == 1 ? one : many);
    }

    static String count(long number) {
        return String.format(Locale.ENGLISH, "%,d", number);
    }
}
