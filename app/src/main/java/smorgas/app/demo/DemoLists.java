package smorgas.app.demo;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import smorgas.app.demo.DemoKeywords.DemoKeyword;

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

    /** October, counted from January. */
    private static final int FIRST_MONTH = 9;

    private static final long SEED = 8_620;

    private static final Set<String> LITTLE = Set.of(
            "a",
            "and",
            "can",
            "do",
            "does",
            "for",
            "from",
            "how",
            "in",
            "is",
            "me",
            "near",
            "of",
            "on",
            "the",
            "to",
            "uk",
            "use",
            "vs",
            "what",
            "when",
            "which",
            "who",
            "with",
            "without",
            "sale",
            "online",
            "women",
            "children",
            "kids");

    /** Endings of words that have no plural, or another one. */
    private static final Pattern NO_THING =
            Pattern.compile("(ing|ion|ax|ey|ght|ial|ed|ly|ss|ous|us|men|ic|al|ise|ant|ead|ure|\\d)$");

    private final Random random = new Random(SEED);
    private final Map<String, byte[]> files = new LinkedHashMap<>();

    /** A keyword as somebody has written it. */
    private record Entry(String text, DemoKeyword keyword) {}

    /** The lists by file name, in the order in which they are gathered. */
    public static Map<String, byte[]> make() {
        DemoLists lists = new DemoLists();
        lists.makeAll();
        return lists.files;
    }

    /** The shop's own plan of ad groups, made by hand: keyword and ad group. */
    static byte[] plan() {
        StringBuilder text = new StringBuilder();
        row(text, ',', "Keyword", "Ad group", "Campaign");
        DemoKeywords.ALL.stream()
                .filter(keyword -> keyword.relevant() && !keyword.group().equals("-"))
                .forEach(keyword -> row(text, ',', keyword.text(), keyword.group(), keyword.shelf()));
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    private void makeAll() {
        planner(
                "planner-export-hives.csv",
                drawn(of("Hives", "Hive Parts", "Frames & Foundation", "Bees", "Learning"), 97, 3.2),
                StandardCharsets.UTF_16LE,
                '\t');
        planner(
                "planner-export-clothing.csv",
                drawn(of("Clothing", "Tools", "Shop & Gifts", "no"), 95, 3.1),
                StandardCharsets.UTF_8,
                ',');
        planner(
                "planner-export-honey.csv",
                drawn(of("Honey & Wax", "Feeding & Health", "Frames & Foundation"), 96, 3.2),
                StandardCharsets.UTF_8,
                ',');
        competitor("competitor-skeplund.csv", drawn(DemoKeyword::relevant, 84, 2.6), true);
        competitor("competitor-brumvale.csv", drawn(DemoKeyword::relevant, 74, 2.5), false);
        List<String> harvest =
                drawn(keyword -> true, 88, 2).stream().map(Entry::text).toList();
        file("suggestion-harvest.txt", String.join("\n", harvest) + "\n", StandardCharsets.UTF_8, false);
        pasted(drawn(DemoKeyword::relevant, 27, 1));
        searchTerms(drawn(keyword -> true, 66, 1.5));
    }

    private static Predicate<DemoKeyword> of(String... shelves) {
        return keyword -> List.of(shelves).contains(keyword.shelf());
    }

    private boolean chance(double percent) {
        return random.nextDouble() * 100 < percent;
    }

    /**
     * A part of the keywords, shuffled as programs give them, each written in several ways.
     *
     * @param percent of the keywords that are in the list
     * @param ways in how many on the whole each is written
     */
    private List<Entry> drawn(Predicate<DemoKeyword> wanted, int percent, double ways) {
        List<Entry> drawn = new ArrayList<>();
        for (DemoKeyword keyword : DemoKeywords.ALL) {
            if (wanted.test(keyword) && chance(percent)) {
                Set<String> texts = new LinkedHashSet<>();
                texts.add(chance(92) ? keyword.text() : varied(keyword.text()));
                // Who is searched for more is found in more ways.
                double more = (ways - 1) * (keyword.searches() >= 90 ? 1.5 : .8);
                for (double left = more; left > 0 && chance(100 * left); left -= 1) {
                    texts.add(varied(keyword.text()));
                }
                texts.forEach(text -> drawn.add(new Entry(dressed(text), keyword)));
            }
        }
        Collections.shuffle(drawn, random);
        return drawn;
    }

    /** The same meant, written otherwise: turned round, one or many, joined, with a hyphen, or with a slip. */
    private String varied(String keyword) {
        int last = keyword.lastIndexOf(' ');
        List<String> words = List.of(keyword.split(" "));
        boolean turns = last > 0 && words.size() <= 3 && words.stream().noneMatch(LITTLE::contains);
        return switch (random.nextInt(12)) {
            case 0, 1, 2 -> turns ? keyword.substring(last + 1) + " " + keyword.substring(0, last) : keyword;
            case 3, 4, 5, 6 -> oneOrMany(keyword);
            case 7 -> turns ? keyword.replaceFirst(" ", "-") : keyword;
            case 8 -> turns && keyword.length() <= 12 ? keyword.replaceFirst(" ", "") : keyword;
            case 9 -> slip(keyword);
            case 10 -> keyword.replace("beekeeping", "bee keeping").replace("beehive", "bee hive");
            default -> keyword;
        };
    }

    /** Of things only, whose names are not so short that they could be anything. */
    private static String oneOrMany(String keyword) {
        String last = keyword.substring(keyword.lastIndexOf(' ') + 1);
        if (last.length() < 4 || NO_THING.matcher(last).find() || LITTLE.contains(last)) {
            return keyword;
        }
        return keyword.endsWith("s") ? keyword.substring(0, keyword.length() - 1) : keyword + "s";
    }

    /** Two letters changed places, or one left out, in the longest word. */
    private String slip(String keyword) {
        String longest = "";
        for (String word : keyword.split(" ")) {
            longest = word.length() > longest.length() ? word : longest;
        }
        if (longest.length() < 6 || longest.chars().anyMatch(Character::isDigit)) {
            return keyword;
        }
        int at = 1 + random.nextInt(longest.length() - 3);
        String wrong = chance(50)
                ? longest.substring(0, at) + longest.charAt(at + 1) + longest.charAt(at) + longest.substring(at + 2)
                : longest.substring(0, at) + longest.substring(at + 1);
        return keyword.replace(longest, wrong);
    }

    /** As programs and hands dress what they export. */
    private String dressed(String text) {
        return switch (random.nextInt(36)) {
            case 0 -> text.toUpperCase(Locale.ROOT);
            case 1, 2 -> Character.toUpperCase(text.charAt(0)) + text.substring(1);
            case 3 -> text.replace(" ", "  ");
            case 4 -> "\"" + text + "\"";
            case 5 -> "[" + text + "]";
            case 6 -> "+" + text.replace(" ", " +");
            default -> text;
        };
    }

    private void planner(String name, List<Entry> entries, Charset charset, char delimiter) {
        StringBuilder text = new StringBuilder("Keyword ideas\nOctober 2025 to September 2026\n");
        List<String> header =
                new ArrayList<>(List.of("Keyword", "Avg. monthly searches", "Competition", "Low bid", "High bid"));
        header.addAll(MONTHS);
        row(text, delimiter, header.toArray(String[]::new));
        for (Entry entry : entries) {
            // Planners give close variants one figure.
            long searches = entry.keyword().searches();
            double cpc = entry.keyword().cpc();
            boolean unknown =
                    searches <= 10 && Math.floorMod(entry.keyword().text().hashCode(), 5) == 0;
            List<String> cells = new ArrayList<>(List.of(
                    entry.text(),
                    unknown
                            ? ""
                            : searches < 5_000 && chance(.6)
                                    ? range(searches)
                                    : String.format(Locale.ENGLISH, "%,d", searches),
                    cpc > .6 ? "High" : cpc > .25 ? "Medium" : "Low",
                    searches < 20 ? "" : money(cpc * .7),
                    searches < 20 ? "" : money(cpc * 1.6)));
            cells.addAll(months(entry.keyword(), unknown));
            row(text, delimiter, cells.toArray(String[]::new));
        }
        file(name, text.toString(), charset, true);
    }

    /** The searches of each month, whose mean is that of the year; some keywords rise over the year, some fall. */
    private static List<String> months(DemoKeyword keyword, boolean unknown) {
        Random own = new Random(keyword.text().hashCode() * 31L + SEED);
        double slope = own.nextGaussian() * .02;
        double season = keyword.peak() < 0 ? .05 : .35 + own.nextDouble() * .4;
        List<String> months = new ArrayList<>();
        for (int month = 0; month < MONTHS.size(); month++) {
            int ofYear = (FIRST_MONTH + month) % 12;
            double share = (1 + season * Math.cos((ofYear - Math.max(0, keyword.peak())) * Math.PI / 6))
                    * Math.exp(slope * (month - 5.5))
                    * (.94 + own.nextDouble() * .12);
            months.add(unknown ? "" : String.valueOf(Math.round(keyword.searches() * share / 10) * 10));
        }
        return months;
    }

    private static String range(long searches) {
        long low = (long) Math.pow(10, Math.floor(Math.log10(searches)));
        return low >= 1_000 ? low / 1_000 + "K - " + low / 100 + "K" : low + " - " + low * 10;
    }

    private void competitor(String name, List<Entry> entries, boolean comma) {
        StringBuilder text = new StringBuilder();
        char delimiter = comma ? ';' : ',';
        row(text, delimiter, "Keyword", "Position", "Search volume", "CPC", "Landing page");
        for (Entry entry : entries) {
            long searches = entry.keyword().searches();
            String cpc = money(entry.keyword().cpc());
            row(
                    text,
                    delimiter,
                    entry.text(),
                    String.valueOf(1 + random.nextInt(60)),
                    comma ? String.format(Locale.GERMAN, "%,d", searches) : String.valueOf(searches),
                    comma ? cpc.replace('.', ',') + " €" : cpc,
                    "/" + entry.keyword().group().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
        }
        row(text, delimiter, "", "", comma ? "1.204.300" : "988000", "", "");
        file(name, text.toString(), comma ? Charset.forName("windows-1252") : StandardCharsets.UTF_8, false);
    }

    private void pasted(List<Entry> entries) {
        StringBuilder text = new StringBuilder();
        int number = 1;
        for (Entry entry : entries) {
            text.append(number++).append(". ").append(entry.text()).append('\n');
        }
        text.append("= hive weight formula\n10 frame hive\n");
        file("pasted-from-the-client.txt", text.toString(), StandardCharsets.UTF_8, false);
    }

    private void searchTerms(List<Entry> entries) {
        StringBuilder text = new StringBuilder("Search terms report\n");
        row(text, ',', "Search term", "Clicks", "Impressions", "Cost", "Conversions");
        for (Entry entry : entries) {
            int impressions = 3 + (int) (entry.keyword().searches() * (.1 + random.nextDouble() * .5));
            int clicks = (int) (impressions * (entry.keyword().relevant() ? .02 + random.nextDouble() * .1 : .01));
            row(
                    text,
                    ',',
                    entry.text(),
                    String.valueOf(clicks),
                    String.valueOf(impressions),
                    money(clicks * entry.keyword().cpc()),
                    String.valueOf(entry.keyword().relevant() ? (int) (clicks * random.nextDouble() * .09) : 0));
        }
        file("search-terms-september.csv", text.toString(), StandardCharsets.UTF_8, false);
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
