package smorgas.app.demo;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * Makes the demo's lists, always the same: planner exports, competitor exports, a suggestion harvest, a pasted list and a
 * search-term report, with the overlaps, spellings, word orders, misspellings and other meanings that real ones have.
 */
public final class DemoLists {

    private static final List<String> MONTHS = List.of(
            "Oct 2025",
            "Nov 2025",
            "Dec 2025",
            "Jan 2026",
            "Feb 2026",
            "Mar 2026",
            "Apr 2026",
            "May 2026",
            "Jun 2026",
            "Jul 2026",
            "Aug 2026",
            "Sep 2026");

    private static final long SEED = 8_620;

    private final Random random = new Random(SEED);
    /** Apart from the other, so that which keywords there are does not hang on how they are written. */
    private final Random variety = new Random(SEED + 1);

    /** What a keyword that is written in other words was at first. */
    private final Map<String, String> meant = new HashMap<>();

    private final Map<String, byte[]> files = new LinkedHashMap<>();

    /** The lists by file name, in the order in which they are gathered. */
    public static Map<String, byte[]> make() {
        DemoLists lists = new DemoLists();
        lists.makeAll();
        return lists.files;
    }

    private void makeAll() {
        planner("planner-export-hives.csv", shelf(0, 1_650), StandardCharsets.UTF_16LE, '\t');
        planner("planner-export-clothing.csv", both(shelf(1, 700), shelf(2, 1_100)), StandardCharsets.UTF_8, ',');
        planner("planner-export-honey.csv", both(shelf(3, 900), shelf(4, 1_400)), StandardCharsets.UTF_8, ',');
        competitor("competitor-skeplund.csv", everything(1_900), 1);
        competitor("competitor-brumvale.csv", everything(1_500), 2);
        file("suggestion-harvest.txt", String.join("\n", messy(harvest(1_700))) + "\n", StandardCharsets.UTF_8, false);
        pasted(everything(420));
        searchTerms(both(everything(900), new ArrayList<>(DemoWords.OTHER_MEANINGS)));
    }

    private static List<String> both(List<String> one, List<String> other) {
        Set<String> all = new LinkedHashSet<>(one);
        all.addAll(other);
        return new ArrayList<>(all);
    }

    private <T> T any(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private boolean chance(int percent) {
        return random.nextInt(100) < percent;
    }

    private List<String> shelf(int shelf, int count) {
        return drawn(count, List.of(DemoWords.SHELVES.get(shelf)), 8);
    }

    private List<String> everything(int count) {
        return drawn(count, DemoWords.SHELVES, 16);
    }

    private List<String> drawn(int count, List<List<String>> shelves, int noise) {
        Set<String> keywords = new LinkedHashSet<>();
        while (keywords.size() < count) {
            String thing = any(any(shelves));
            keywords.add(chance(noise) ? other(thing) : phrase(thing));
        }
        return new ArrayList<>(keywords);
    }

    private String phrase(String thing) {
        StringBuilder phrase = new StringBuilder();
        if (chance(13)) {
            phrase.append(any(DemoWords.BUYING)).append(' ');
        }
        if (chance(34)) {
            phrase.append(any(DemoWords.QUALITIES)).append(' ');
        }
        phrase.append(thing);
        if (chance(36)) {
            phrase.append(' ').append(any(DemoWords.ENDINGS));
        }
        return phrase.toString();
    }

    private String other(String thing) {
        return switch (random.nextInt(6)) {
            case 0 -> thing + " " + any(DemoWords.TOWNS);
            case 1 -> any(DemoWords.RIVALS) + " " + thing;
            case 2 -> String.format(Locale.ROOT, any(DemoWords.NOISE), thing);
            case 3 -> any(DemoWords.OTHER_MEANINGS);
            default -> String.format(Locale.ROOT, any(DemoWords.QUESTIONS), thing);
        };
    }

    private List<String> harvest(int count) {
        Set<String> keywords = new LinkedHashSet<>();
        while (keywords.size() < count) {
            String thing = any(any(DemoWords.SHELVES));
            keywords.add(
                    switch (random.nextInt(5)) {
                        case 0 -> String.format(Locale.ROOT, any(DemoWords.QUESTIONS), thing);
                        case 1 -> other(thing);
                        default ->
                            thing + " " + any(DemoWords.ENDINGS) + (chance(30) ? " " + any(DemoWords.TOWNS) : "");
                    });
        }
        return new ArrayList<>(keywords);
    }

    /** Spells some keywords as hands and programs do. */
    private List<String> messy(List<String> keywords) {
        List<String> messy = new ArrayList<>();
        for (String keyword : keywords) {
            String text = keyword;
            if (chance(7)) {
                String[] slip = any(DemoWords.SLIPS);
                text = text.replace(slip[0], slip[1]);
            }
            text = varied(text);
            messy.add(
                    switch (random.nextInt(30)) {
                        case 0 -> text.toUpperCase(Locale.ROOT);
                        case 1 -> Character.toUpperCase(text.charAt(0)) + text.substring(1);
                        case 2 -> text.replace(" ", "  ");
                        case 3 -> "\"" + text + "\"";
                        case 4 -> "[" + text + "]";
                        case 5 -> "+" + text.replace(" ", " +");
                        default -> text;
                    });
        }
        return messy;
    }

    /** The same meaning in other words: turned round, one or many, with a hyphen. */
    private String varied(String keyword) {
        int last = keyword.lastIndexOf(' ');
        String varied =
                switch (last < 0 ? 99 : variety.nextInt(40)) {
                    case 0, 1 -> keyword.substring(last + 1) + " " + keyword.substring(0, last);
                    case 2, 3, 4 -> oneOrMany(keyword);
                    case 5 -> keyword.replaceFirst(" ", "-");
                    default -> keyword;
                };
        if (!varied.equals(keyword)) {
            meant.put(plain(varied), plain(keyword));
        }
        return varied;
    }

    private static String oneOrMany(String keyword) {
        if (keyword.endsWith("ss")) {
            return keyword + "es";
        }
        return keyword.endsWith("s") ? keyword.substring(0, keyword.length() - 1) : keyword + "s";
    }

    /** Searches of a keyword: the same in every list, falling with its length, as a tail does. */
    static long searches(String keyword) {
        Random own = new Random(keyword.hashCode() * 31L + SEED);
        int words = keyword.split(" ").length;
        double rank = Math.pow(own.nextDouble(), 2.2) + 0.0015;
        long searches = Math.round(240_000 * rank / Math.pow(words, 3.4));
        long[] steps = {
            10, 20, 30, 40, 50, 70, 90, 110, 140, 170, 210, 260, 320, 390, 480, 590, 720, 880, 1_000, 1_300, 1_600,
            1_900, 2_400, 2_900, 3_600, 4_400, 5_400, 6_600, 8_100, 9_900, 12_100, 14_800, 18_100, 22_200
        };
        long step = 0;
        for (long s : steps) {
            step = s <= searches ? s : step;
        }
        return step;
    }

    private static double bid(String keyword) {
        Random own = new Random(keyword.hashCode() * 17L + SEED);
        return 0.12 + Math.pow(own.nextDouble(), 3) * 2.4;
    }

    private void planner(String name, List<String> keywords, Charset charset, char delimiter) {
        StringBuilder text = new StringBuilder("Keyword ideas\nOctober 2025 to September 2026\n");
        List<String> header =
                new ArrayList<>(List.of("Keyword", "Avg. monthly searches", "Competition", "Low bid", "High bid"));
        header.addAll(MONTHS);
        row(text, delimiter, header.toArray(String[]::new));
        for (String keyword : messy(keywords)) {
            // Planners give close variants one figure.
            String plain = meant.getOrDefault(plain(keyword), plain(keyword));
            long searches = searches(plain);
            double bid = bid(plain);
            List<String> cells = new ArrayList<>(List.of(
                    keyword,
                    searches == 0
                            ? ""
                            : searches < 5_000 && chance(4)
                                    ? range(searches)
                                    : String.format(Locale.ENGLISH, "%,d", searches),
                    bid > 1.1 ? "High" : bid > 0.4 ? "Medium" : "Low",
                    searches < 20 ? "" : money(bid * 0.6),
                    searches < 20 ? "" : money(bid * 1.7)));
            cells.addAll(months(plain, searches));
            row(text, delimiter, cells.toArray(String[]::new));
        }
        file(name, text.toString(), charset, true);
    }

    /** Bees are looked for in spring and early summer; some keywords rise over the year, some fall. */
    private static List<String> months(String keyword, long searches) {
        Random own = new Random(keyword.hashCode() * 31L + SEED);
        double slope = own.nextGaussian() * 0.04;
        double season = 0.15 + own.nextDouble() * 0.6;
        List<String> months = new ArrayList<>();
        for (int month = 0; month < MONTHS.size(); month++) {
            double share = (1 + season * Math.cos((month - 7) * Math.PI / 6))
                    * Math.exp(slope * (month - 5.5))
                    * (0.9 + own.nextDouble() * 0.2);
            months.add(searches == 0 ? "" : String.valueOf(Math.round(searches * share)));
        }
        return months;
    }

    private static String range(long searches) {
        long low = (long) Math.pow(10, Math.floor(Math.log10(searches)));
        return low >= 1_000 ? low / 1_000 + "K - " + low / 100 + "K" : low + " - " + low * 10;
    }

    private void competitor(String name, List<String> keywords, int which) {
        boolean comma = which == 1;
        StringBuilder text = new StringBuilder();
        row(text, comma ? ';' : ',', "Keyword", "Position", "Search volume", "CPC", "Landing page");
        for (String keyword : messy(keywords)) {
            String plain = meant.getOrDefault(plain(keyword), plain(keyword));
            long searches = searches(plain);
            String cpc = money(bid(plain));
            row(
                    text,
                    comma ? ';' : ',',
                    keyword,
                    String.valueOf(1 + random.nextInt(60)),
                    searches == 0
                            ? "-"
                            : comma ? String.format(Locale.GERMAN, "%,d", searches) : String.valueOf(searches),
                    comma ? cpc.replace('.', ',') + " €" : cpc,
                    "/" + plain.split(" ")[0] + "/" + (random.nextInt(90) + 10));
        }
        row(text, comma ? ';' : ',', "", "", comma ? "1.204.300" : "988000", "", "");
        file(name, text.toString(), comma ? Charset.forName("windows-1252") : StandardCharsets.UTF_8, false);
    }

    private void pasted(List<String> keywords) {
        StringBuilder text = new StringBuilder();
        int number = 1;
        for (String keyword : messy(keywords)) {
            text.append(number++).append(". ").append(keyword).append('\n');
        }
        text.append("= hive weight formula\n10 frame hive\n");
        file("pasted-from-the-client.txt", text.toString(), StandardCharsets.UTF_8, false);
    }

    private void searchTerms(List<String> keywords) {
        StringBuilder text = new StringBuilder("Search terms report\n");
        row(text, ',', "Search term", "Clicks", "Impressions", "Cost", "Conversions");
        for (String keyword : messy(keywords)) {
            int impressions = 3 + random.nextInt(900);
            int clicks = impressions / (8 + random.nextInt(40));
            row(
                    text,
                    ',',
                    keyword,
                    String.valueOf(clicks),
                    String.valueOf(impressions),
                    money(clicks * bid(keyword)),
                    chance(12) ? "1" : "0");
        }
        file("search-terms-september.csv", text.toString(), StandardCharsets.UTF_8, false);
    }

    private static String plain(String messy) {
        return messy.toLowerCase(Locale.ROOT)
                .replaceAll("[\"\\[\\]+]", "")
                .replaceAll(" +", " ")
                .strip();
    }

    private static String money(double amount) {
        return String.format(Locale.ROOT, "%.2f", amount);
    }

    private static void row(StringBuilder text, char delimiter, String... cells) {
        for (int i = 0; i < cells.length; i++) {
            String cell = cells[i];
            boolean quoted = cell.indexOf(delimiter) >= 0 || cell.indexOf('"') >= 0;
            text.append(i == 0 ? "" : delimiter).append(quoted ? "\"" + cell.replace("\"", "\"\"") + "\"" : cell);
        }
        text.append("\r\n");
    }

    private void file(String name, String text, Charset charset, boolean mark) {
        files.put(name, ((mark ? "\uFEFF" : "") + text).getBytes(charset));
    }
}
