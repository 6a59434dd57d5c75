package smorgas.app.demo;

import java.util.List;

/** What the demo's keywords are made of. */
final class DemoWords {

    /** Things that the shop sells, by shelf. */
    static final List<List<String>> SHELVES = List.of(
            List.of(
                    "bee hive",
                    "beehive",
                    "hive stand",
                    "hive tool",
                    "hive kit",
                    "hive frames",
                    "brood box",
                    "hive roof",
                    "nuc box",
                    "top bar hive",
                    "queen excluder",
                    "hive strap",
                    "frame nails",
                    "wax foundation",
                    "hive floor",
                    "observation hive",
                    "10 frame hive",
                    "8 frame hive",
                    "hive entrance reducer",
                    "super frames"),
            List.of(
                    "bee smoker",
                    "smoker fuel",
                    "smoker bellows",
                    "smoker lid",
                    "bee brush",
                    "uncapping knife",
                    "uncapping fork",
                    "frame lifter",
                    "bee escape board"),
            List.of(
                    "bee suit",
                    "beekeeper suit",
                    "beekeeping gloves",
                    "bee veil",
                    "bee jacket",
                    "bee hat",
                    "ventilated bee suit",
                    "kids bee suit",
                    "leather beekeeping gloves",
                    "beekeeper boots"),
            List.of(
                    "queen bee",
                    "queen cage",
                    "queen marking pen",
                    "queen rearing kit",
                    "bee feed",
                    "fondant for bees",
                    "pollen patties",
                    "sugar feeder",
                    "frame feeder",
                    "top feeder",
                    "package bees",
                    "nucleus colony"),
            List.of(
                    "honey extractor",
                    "manual honey extractor",
                    "electric honey extractor",
                    "honey jar",
                    "glass honey jar",
                    "squeeze honey bottle",
                    "honey strainer",
                    "honey bucket",
                    "honey gate",
                    "comb cutter",
                    "honey labels",
                    "settling tank",
                    "wax melter",
                    "comb honey box",
                    "refractometer"),
            List.of(
                    "beekeeping course",
                    "beekeeping class",
                    "beekeeping book",
                    "beekeeping starter kit",
                    "beekeeping supplies",
                    "beekeeping equipment",
                    "beekeeping for beginners",
                    "varroa treatment",
                    "mite strips",
                    "oxalic acid vaporizer"));

    static final List<String> QUALITIES = List.of(
            "wooden",
            "plastic",
            "cedar",
            "pine",
            "stainless steel",
            "large",
            "small",
            "mini",
            "heavy duty",
            "used",
            "insulated",
            "assembled",
            "flat pack",
            "two story",
            "organic",
            "professional",
            "hobby",
            "polystyrene",
            "painted",
            "double",
            "portable",
            "round",
            "square",
            "white",
            "yellow");

    static final List<String> BUYING =
            List.of("buy", "best", "cheap", "cost of", "price of", "order", "discount", "top rated");

    static final List<String> ENDINGS = List.of(
            "for sale",
            "near me",
            "price",
            "online",
            "reviews",
            "kit",
            "for beginners",
            "set",
            "with lid",
            "with stand",
            "uk",
            "parts",
            "plans",
            "dimensions",
            "in bulk",
            "wholesale",
            "12 pack",
            "5 litre",
            "50 cm",
            "next day delivery",
            "second hand",
            "gift",
            "accessories",
            "replacement",
            "size chart");

    static final List<String> TOWNS = List.of(
            "otterwick", "brackenmoor", "saltholm", "fennbury", "larkmouth", "grimsdale", "upper wend", "tarnhope");

    static final List<String> RIVALS = List.of("skeplund", "brumvale", "nektarby");

    static final List<String> QUESTIONS = List.of(
            "how to use %s",
            "what is a %s",
            "how much does a %s cost",
            "how to clean a %s",
            "where to buy %s",
            "which %s is best",
            "how to build a %s",
            "do i need a %s",
            "why use a %s",
            "can you paint a %s");

    /** What searchers want who do not want this shop. */
    static final List<String> NOISE = List.of(
            "free %s plans pdf",
            "%s jobs",
            "%s costume",
            "%s drawing",
            "%s clipart",
            "%s cartoon",
            "%s game",
            "%s tattoo",
            "diy %s free",
            "%s wallpaper",
            "%s rental",
            "%s crossword");

    /** Other meanings of bee, comb and queen. */
    static final List<String> OTHER_MEANINGS = List.of(
            "spelling bee",
            "spelling bee words",
            "spelling bee for kids",
            "bumble bee costume",
            "bee costume for dogs",
            "queen size bed",
            "queen bed frame",
            "queen mattress",
            "queen size sheets",
            "drag queen makeup",
            "dancing queen song",
            "hair comb",
            "wide tooth comb",
            "comb over haircut",
            "beard comb",
            "lice comb",
            "honey mustard recipe",
            "honey cake recipe",
            "honey garlic chicken",
            "honey blonde hair",
            "quilting bee",
            "busy bee daycare",
            "smoker grill",
            "electric meat smoker",
            "smoker recipes",
            "pellet smoker",
            "honey badger facts",
            "queen of hearts",
            "jar opener",
            "mason jar crafts",
            "suit jacket mens",
            "wedding suit",
            "hat rack",
            "hive blockchain news");

    /** Slips of the keyboard, as they stand in harvested lists. */
    static final List<String[]> SLIPS = List.of(
            new String[] {"beekeeping", "bee keeping"},
            new String[] {"beekeeping", "beekeping"},
            new String[] {"beehive", "bee hive"},
            new String[] {"extractor", "extracter"},
            new String[] {"beekeeper", "beekeepers"},
            new String[] {"queen", "quen"},
            new String[] {"smoker", "smokers"},
            new String[] {"honey jar", "honey jars"},
            new String[] {"gloves", "glove"},
            new String[] {"stainless steel", "stainless-steel"},
            new String[] {"hive", "hives"},
            new String[] {"foundation", "foundations"});

    private DemoWords() {}
}
