package smorgas.core.serve;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.dhatim.fastexcel.Workbook;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/**
 * A plan as a workbook (ECMA-376) for people: a summary, and a sheet each for campaigns, ad groups, keywords, negatives, ads and
 * what was dropped and why. Cells are texts and numbers; there is no formula in it.
 */
final class PlanWorkbook implements PlanFormat {

    static final String MEDIA_TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    @Override
    public String file() {
        return "plan.xlsx";
    }

    @Override
    public Message label() {
        return Message.of("serve.plan-workbook.label");
    }

    @Override
    public String mediaType() {
        return MEDIA_TYPE;
    }

    @Override
    public void write(Handover what, OutputStream to) {
        try {
            Workbook book = Sheet.book(to);
            summary(what, book);
            campaigns(what.plan(), book);
            adGroups(what, book);
            keywords(what, book);
            negatives(what.plan(), book);
            ads(what.plan(), book);
            dropped(what, book);
            book.finish();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final String SIMULATED = "Simulated";

    /** The figures of a keyword that are made up, for a column beside them; empty if none is. */
    private static String made(Keywords keywords, int keyword) {
        return keywords.simulated(keyword).stream().map(Figure::fixedWord).collect(Collectors.joining(", "));
    }

    private static final int SIMULATED_WIDTH = 30;

    private static void summary(Handover what, Workbook book) throws IOException {
        Plan plan = what.plan();
        Sheet sheet = new Sheet(
                book,
                what.text("serve.plan-workbook.summary"),
                List.of(what.text("serve.plan-workbook.what"), what.text("serve.plan-workbook.how-much")),
                List.of(46, 30));
        sheet.row(what.text("serve.plan-workbook.project"), what.project());
        sheet.row(what.text("serve.plan-workbook.currency"), what.currency());
        sheet.row(what.text("serve.plan-workbook.lines"), what.keywords().linesInUse());
        sheet.row(what.text("serve.plan-workbook.keywords"), what.keywords().size());
        for (Status status : Status.values()) {
            sheet.row(what.wording().of(status.label()), what.statuses().count(status));
        }
        sheet.row(
                what.text("serve.plan-workbook.groups"),
                what.groups().grouping().size());
        sheet.row(
                what.text("serve.plan-workbook.ungrouped"),
                what.groups().grouping().ungrouped());
        sheet.row(what.text("serve.plan-workbook.campaigns"), plan.count().campaigns());
        sheet.row(what.text("serve.plan-workbook.ad-groups"), plan.count().adGroups());
        sheet.row(what.text("serve.plan-workbook.exported"), plan.count().keywords());
        sheet.row(what.text("serve.plan-workbook.rows"), plan.count().rows());
        sheet.row(
                what.text("serve.plan-workbook.not-exported-count"),
                plan.notExported().size());
        for (Message note : plan.notes()) {
            sheet.row(what.text("serve.plan-workbook.to-know"), what.wording().of(note));
        }
        sheet.finish();
    }

    private static void campaigns(Plan plan, Workbook book) throws IOException {
        Sheet sheet = new Sheet(
                book, "Campaigns", List.of("Campaign", "Ad groups", "Keywords", "Negatives"), List.of(40, 12, 12, 12));
        for (Plan.Campaign campaign : plan.campaigns()) {
            sheet.row(
                    campaign.name(),
                    campaign.adGroups().size(),
                    campaign.adGroups().stream()
                            .mapToInt(group -> group.keywords().size())
                            .sum(),
                    campaign.negatives().size());
        }
        sheet.finish();
    }

    private static void adGroups(Handover what, Workbook book) throws IOException {
        Sheet sheet = new Sheet(
                book,
                "Ad groups",
                marked(what, List.of("Campaign", "Ad group", "Keywords", "Searches", "Max CPC", "Page"), SIMULATED),
                marked(what, List.of(30, 40, 12, 12, 12, 60), SIMULATED_WIDTH));
        Numbers searches = what.keywords().numbers(Figure.SEARCHES);
        for (Plan.Campaign campaign : what.plan().campaigns()) {
            for (Plan.AdGroup group : campaign.adGroups()) {
                BitSet members = new BitSet();
                group.keywords().stream()
                        .map(exported -> what.keywords().find(exported.keyword()))
                        .flatMap(Optional::stream)
                        .forEach(members::set);
                sheet.row(marked(
                                what,
                                List.<Object>of(
                                        campaign.name(),
                                        group.name(),
                                        group.keywords().size(),
                                        Searched.of(members, searches).sum(),
                                        money(group.bid()),
                                        group.page().orElse("")),
                                Searched.of(members, searches).told())
                        .toArray());
            }
        }
        sheet.finish();
    }

    /** A row with one more cell, which tells what of it is made up; as it is where nothing is. */
    private static <T> List<T> marked(Handover what, List<T> cells, T told) {
        return what.keywords().simulated()
                ? Stream.concat(cells.stream(), Stream.of(told)).toList()
                : cells;
    }

    private static Object money(String written) {
        return written.isEmpty() ? "" : new BigDecimal(written);
    }

    /** A number, or an empty text. */
    private static Object searched(Keywords keywords, String one) {
        Numbers searches = keywords.numbers(Figure.SEARCHES);
        return keywords.find(one)
                .filter(searches::known)
                .<Object>map(keyword -> searches.twiceMiddle(keyword) / 2)
                .orElse("");
    }

    private static void keywords(Handover what, Workbook book) throws IOException {
        Sheet sheet = new Sheet(
                book,
                "Keywords",
                marked(
                        what,
                        List.of("Campaign", "Ad group", "Keyword", "Match type", "Searches", "Max CPC", "Page"),
                        SIMULATED),
                marked(what, List.of(30, 40, 44, 12, 12, 12, 60), SIMULATED_WIDTH));
        var rows = PlanRow.of(what.plan(), EnumSet.of(PlanRow.Kind.KEYWORD)).iterator();
        String before = "";
        Object searched = "";
        String simulated = "";
        while (rows.hasNext()) {
            PlanRow one = rows.next();
            if (!one.keyword().equals(before)) {
                searched = searched(what.keywords(), one.keyword());
                simulated = what.keywords()
                        .find(one.keyword())
                        .map(keyword -> made(what.keywords(), keyword))
                        .orElse("");
                before = one.keyword();
            }
            sheet.row(marked(
                            what,
                            List.of(
                                    one.campaign(),
                                    one.adGroup(),
                                    one.keyword(),
                                    one.typeInWords(),
                                    searched,
                                    money(one.bid()),
                                    one.page()),
                            simulated)
                    .toArray());
        }
        sheet.finish();
    }

    private static void negatives(Plan plan, Workbook book) throws IOException {
        Sheet sheet = new Sheet(
                book, "Negatives", List.of("Campaign", "Ad group", "Negative", "Match type"), List.of(30, 40, 44, 20));
        var rows = PlanRow.of(plan, EnumSet.of(PlanRow.Kind.NEGATIVE)).iterator();
        while (rows.hasNext()) {
            PlanRow one = rows.next();
            sheet.row(one.campaign(), one.adGroup(), one.keyword(), one.typeInWords());
        }
        sheet.finish();
    }

    private static void ads(Plan plan, Workbook book) throws IOException {
        Sheet sheet = new Sheet(
                book,
                "Ads",
                List.of("Campaign", "Ad group", "Headlines", "Descriptions", "Path", "Page"),
                List.of(30, 40, 60, 80, 24, 60));
        var rows = PlanRow.of(plan, EnumSet.of(PlanRow.Kind.AD)).iterator();
        while (rows.hasNext()) {
            PlanRow one = rows.next();
            sheet.row(
                    one.campaign(),
                    one.adGroup(),
                    Csv.texts(one.ad().headlines()),
                    Csv.texts(one.ad().descriptions()),
                    String.join("/", one.ad().paths()),
                    one.page());
        }
        sheet.finish();
    }

    private static void dropped(Handover what, Workbook book) throws IOException {
        Sheet sheet = new Sheet(
                book,
                "Dropped and why",
                marked(what, List.of("Keyword", "Searches", "Why"), SIMULATED),
                marked(what, List.of(44, 12, 70), SIMULATED_WIDTH));
        Numbers searches = what.keywords().numbers(Figure.SEARCHES);
        int[] gone = IntStream.range(0, what.keywords().size())
                .filter(keyword -> what.statuses().of(keyword) == Status.DROPPED)
                .toArray();
        for (int keyword : gone) {
            sheet.row(marked(
                            what,
                            List.of(
                                    what.keywords().text(keyword),
                                    searches.known(keyword) ? (Object) (searches.twiceMiddle(keyword) / 2) : "",
                                    what.wording()
                                            .of(what.statuses().reason(keyword).sentence())),
                            made(what.keywords(), keyword))
                    .toArray());
        }
        for (Plan.NotExported held : what.plan().notExported()) {
            sheet.row(held.keyword(), "", what.text("serve.plan-workbook.not-exported", held.why()));
        }
        sheet.finish();
    }
}
