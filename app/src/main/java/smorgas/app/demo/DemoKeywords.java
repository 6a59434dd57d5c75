package smorgas.app.demo;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** What people type who may want something of the demo's shop, with the shop's own plan of ad groups; see keywords.txt. */
final class DemoKeywords {

    static final List<String> TOWNS = List.of(
            "brackenmoor", "fennbury", "larkmouth", "tarnhope", "saltholm", "grimsdale", "upper wend", "otterwick");

    static final List<String> RIVALS = List.of("skeplund", "brumvale", "nektarby");

    /** Figures as planners give them: in steps that widen (common practice). */
    private static final long[] STEPS = {
        10, 20, 30, 40, 50, 70, 90, 110, 140, 170, 210, 260, 320, 390, 480, 590, 720, 880, 1_000, 1_300, 1_600, 1_900,
        2_400, 2_900, 3_600, 4_400, 5_400, 6_600, 8_100, 9_900, 12_100, 14_800, 18_100, 22_200
    };

    /** From one keyword of a group to the next. */
    private static final double FALL = .62;

    /**
     * A keyword.
     *
     * @param shelf the part of the shop; "no" for what the shop has nothing to do with
     * @param group the shop's own ad group; "-" for left over
     * @param searches a month, over the year
     * @param cpc what a click costs, in pounds
     * @param peak the month in which most search for it, 0 for January; below 0 for none
     */
    record DemoKeyword(String text, String shelf, String group, long searches, double cpc, int peak) {
        boolean relevant() {
            return !shelf.equals("no");
        }
    }

    static final List<DemoKeyword> ALL = read();

    private DemoKeywords() {}

    private static List<DemoKeyword> read() {
        List<DemoKeyword> all = new ArrayList<>();
        String shelf = "";
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(DemoKeywords.class.getResourceAsStream("/smorgas/demo/keywords.txt")),
                StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.startsWith("= ")) {
                    shelf = line.substring(2);
                } else if (!line.startsWith("#") && !line.isBlank()) {
                    group(line.split(" \\| "), shelf, all);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return List.copyOf(all);
    }

    private static void group(String[] parts, String shelf, List<DemoKeyword> all) {
        double searches = Long.parseLong(parts[1].strip());
        for (String text : parts[4].split(", ")) {
            // Longer keywords are more exactly meant, and a click of them costs more.
            double cpc = Double.parseDouble(parts[2]) * (.8 + .1 * Math.min(4, text.split(" ").length));
            all.add(new DemoKeyword(text, shelf, parts[0].strip(), step(searches), cpc, peak(parts[3])));
            searches *= FALL;
        }
    }

    private static long step(double searches) {
        long nearest = 0;
        for (long step : STEPS) {
            nearest = Math.abs(step - searches) < Math.abs(nearest - searches) ? step : nearest;
        }
        return nearest;
    }

    private static int peak(String season) {
        return switch (season) {
            case "spring" -> 3;
            case "summer" -> 6;
            case "autumn" -> 8;
            case "winter" -> 11;
            default -> -1;
        };
    }
}
