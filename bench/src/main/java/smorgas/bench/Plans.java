package smorgas.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import smorgas.core.board.Board;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.serve.Handover;
import smorgas.core.serve.PlanCheck;
import smorgas.core.serve.PlanFormat;
import smorgas.core.serve.PlanFormats;
import smorgas.core.text.Catalogue;

/** The plan: made, told before it is made, looked through for faults, and written in every format. Groups go by themes. */
final class Plans {

    /** Of more keywords it goes round less often. */
    private static final int MANY = 20_000;

    private static final int WARM_UP = 3;

    private Plans() {}

    private static PlanSettings settings() {
        return Rules.NEWEST
                .settings()
                .plan()
                .with(EnumSet.allOf(MatchType.class))
                .with(PlanBids.fixed(450_000))
                .with(new PlanPages(true, false, "https://shop.example/{theme}"))
                .with(new PlanGroups(false, true, 1, PlanGroups.Small.LEFT_OUT, false));
    }

    private static Recipe recipe(PlanSettings settings) {
        AdTemplate ad = new AdTemplate(
                List.of("{Theme}", "Buy {keyword} Now", "Free Delivery"),
                List.of("Order {theme} today.", "Rated by those who use it."),
                List.of("{theme}"));
        List<Entry> entries = List.of(
                new GroupEntry.GroupSettingsChosen(Rules.NEWEST.settings().byThemes("en")),
                new ServeEntry.PlanSettingsChosen(settings),
                new ServeEntry.AdsSet(new PlanAds(false, List.of(ad, ad), new LinkedHashMap<>())));
        return Recipe.of(entries, "en");
    }

    static void run(int count) {
        int rounds = count > MANY ? 5 : 20;
        Lines lines = Values.lines(count);
        PlanSettings settings = settings();
        Recipe recipe = recipe(settings);
        Board board = Board.of(List.of(lines), recipe);
        board.groups();
        Handover what = board.handover("Shop", "EUR", Catalogue.english());
        System.out.printf(
                Locale.ENGLISH,
                "%nThe plan of %,d keywords: %,d ad groups with two ads each, %,d rows; ms, median and 95th percentile%n",
                what.keywords().size(),
                what.plan().count().adGroups(),
                what.plan().count().rows());
        AtomicInteger bid = new AtomicInteger(450_000);
        Values.measured("made anew after another bid, with its ads", rounds, WARM_UP, round -> board.next(
                        List.of(lines), recipe.withPlan(settings.with(PlanBids.fixed(bid.incrementAndGet()))))
                .plan());
        Values.measured(
                "told before: campaigns by intent, names and counts",
                rounds,
                WARM_UP,
                round -> board.planIf(settings.with(PlanCampaigns.by(PlanCampaigns.By.INTENT)), 6));
        PlanCheck.Input odd = new PlanCheck.Input(
                what.plan(),
                board.keywords(),
                board.groups(),
                board.recipe(),
                board.intents(),
                board.exported(),
                board.apart());
        Values.measured("looked through for faults", rounds, WARM_UP, round -> PlanCheck.of(odd));
        written(what, rounds);
    }

    private static void written(Handover what, int rounds) {
        for (PlanFormat format : PlanFormats.ALL) {
            Values.measured(format.file(), rounds, WARM_UP, round -> {
                format.write(what, OutputStream.nullOutputStream());
                return format;
            });
        }
        Values.measured(
                "the keywords alone as a workbook, by a general-purpose library (peer)",
                rounds,
                WARM_UP,
                round -> peer(what));
    }

    private static Object peer(Handover what) {
        try (SXSSFWorkbook book = new SXSSFWorkbook(100)) {
            Sheet sheet = book.createSheet("Keywords");
            AtomicInteger at = new AtomicInteger();
            what.plan().rows().forEach(one -> {
                Row row = sheet.createRow(at.getAndIncrement());
                String[] cells = {
                    one.campaign(),
                    one.adGroup(),
                    one.keyword(),
                    one.matchType().fixedName(),
                    one.maxCpc(),
                    one.page()
                };
                for (int i = 0; i < cells.length; i++) {
                    row.createCell(i).setCellValue(cells[i]);
                }
            });
            book.write(OutputStream.nullOutputStream());
            return book;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
