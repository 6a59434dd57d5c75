package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nu.validator.htmlparser.common.XmlViolationPolicy;
import nu.validator.htmlparser.sax.HtmlParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.xml.sax.Attributes;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.helpers.DefaultHandler;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.recipe.gather.PhraseSettings.Part;
import smorgas.core.recipe.gather.PhraseSettings.Range;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** Phrases of pages. */
class PhraseFinderTest {

    private static Map<Part, Integer> all() {
        Map<Part, Integer> weights = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            weights.put(part, part.usual());
        }
        return weights;
    }

    private static PhraseSettings wanted(
            int words, int times, String from, String to, List<String> stop, List<String> bad) {
        return new PhraseSettings(
                all(), from, to, new Range(1, 80), new Range(1, words), times, 1, stop, bad, "en", List.of());
    }

    private static PhraseFinder.Result phrases(PhraseSettings wanted, String... pages) {
        PhraseFinder finder = new PhraseFinder(wanted);
        for (int page = 0; page < pages.length; page++) {
            finder.add("page" + page, pages[page].getBytes(StandardCharsets.UTF_8));
        }
        return finder.result();
    }

    private static Map<String, Integer> times(PhraseFinder.Result result) {
        Map<String, Integer> times = new TreeMap<>();
        result.phrases().forEach(phrase -> times.put(phrase.text(), phrase.times()));
        return times;
    }

    @Test
    void partsCountByTheirWeightsAndWhatNobodySeesDoesNotCount() {
        String page = """
                <!doctype html><html><head><title>Cedar hive</title>
                <meta name="description" content="A cedar hive, made here"><meta name="keywords" content="cedar hive, nuc box">
                <style>.cedar hive{}</style><script>var cedar = "cedar hive";</script></head>
                <body><h2>Cedar <b>hive</b></h2><p>cedar<br>hive</p><p hidden>cedar hive</p>
                <a href="/x">cedar hive</a> <img alt="cedar hive" src="x"><noscript>cedar hive</noscript><!-- cedar hive --></body>""";
        PhraseFinder.Result result = phrases(wanted(2, 1, "", "", List.of("a"), List.of()), page);
        PhraseFinder.Phrase hive = result.phrases().stream()
                .filter(phrase -> phrase.text().equals("cedar hive"))
                .findFirst()
                .orElseThrow();
        assertThat(hive.times()).isEqualTo(6);
        // Title 5, heading 3, description and keywords 2 each, link 1, picture 1; broken over two lines it is none.
        assertThat(hive.weight()).isEqualTo(5 + 3 + 2 + 2 + 1 + 1);
        assertThat(times(result)).containsEntry("nuc box", 1).doesNotContainKeys("var", "a cedar", "cedar hive made");
        Map<Part, Integer> links = new EnumMap<>(Map.of(Part.LINKS, 7));
        assertThat(phrases(
                                new PhraseSettings(
                                        links,
                                        "",
                                        "",
                                        new Range(1, 80),
                                        new Range(2, 2),
                                        1,
                                        1,
                                        List.of(),
                                        List.of(),
                                        "en",
                                        List.of()),
                                page)
                        .phrases())
                .containsExactly(new PhraseFinder.Phrase("cedar hive", 7, 1, 1, Map.of("page0", 1)));
    }

    @Test
    void aPhraseNeitherBeginsNorEndsWithStopWordsHasNoBadOnesAndIsNotToldWithinALongerOne() {
        PhraseFinder.Result result = phrases(
                wanted(3, 2, "", "", List.of("for", "the"), List.of("cheap")),
                "Stand for the hive. Stand for hive!\nStand for hive; cheap stand, cheap stand. Top-bar stand",
                "stand for hive (beekeeper's)");
        assertThat(times(result))
                .containsExactly(Map.entry("hive", 4), Map.entry("stand", 7), Map.entry("stand for hive", 3));
        assertThat(result.phrases().getFirst().most()).containsExactly(Map.entry("page0", 6), Map.entry("page1", 1));
        assertThat(times(phrases(wanted(2, 1, "", "", List.of(), List.of()), "top-bar stand's, wood")))
                .containsOnlyKeys("top-bar stand's", "wood");
    }

    @Test
    void onlyWhatStandsBetweenTwoMarksIsTaken() {
        String page = "<title>menu hive</title><p>skip menu</p><p>Products: cedar hive <b>nuc</b></p><div>smoker</div>"
                + "<p>veil. Contact us</p><p>address</p><p>products: more</p>";
        assertThat(times(phrases(wanted(1, 1, "Products:", "contact", List.of(), List.of()), page)))
                .containsOnlyKeys("cedar", "hive", "nuc", "smoker", "veil", "more");
        assertThat(times(phrases(wanted(1, 1, "contact us", "", List.of(), List.of()), page)))
                .containsOnlyKeys("address", "products", "more");
        assertThat(times(phrases(wanted(1, 1, "", "products", List.of(), List.of()), page)))
                .containsOnlyKeys("skip", "menu");
        assertThat(times(phrases(wanted(1, 1, "nowhere", "", List.of(), List.of()), page)))
                .isEmpty();
    }

    /** Every run of words counted one by one is what comes out, but for those that a longer one holds as often. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void countsAreThoseOfCountingEveryRunOfWords(long seed) {
        Random random = new Random(seed);
        List<List<String>> pages = new ArrayList<>();
        for (int page = 0; page < 5; page++) {
            pages.add(random.ints(60, 0, 6)
                    .mapToObj(word -> "abcdef".substring(word, word + 1))
                    .toList());
        }
        Map<String, Integer> counted = new HashMap<>();
        for (List<String> page : pages) {
            for (int from = 0; from < page.size(); from++) {
                for (int to = from + 1; to <= Math.min(page.size(), from + 4); to++) {
                    counted.merge(String.join(" ", page.subList(from, to)), 1, Integer::sum);
                }
            }
        }
        counted.values().removeIf(times -> times < 3);
        Map<String, Integer> expected = new TreeMap<>(counted);
        counted.forEach((longer, times) -> {
            List<String> words = List.of(longer.split(" "));
            for (List<String> part : List.of(words.subList(1, words.size()), words.subList(0, words.size() - 1))) {
                expected.remove(String.join(" ", part), times);
            }
        });
        assertThat(times(phrases(
                        wanted(4, 3, "", "", List.of(), List.of()),
                        pages.stream().map(page -> String.join(" ", page)).toArray(String[]::new))))
                .isEqualTo(expected);
    }

    /** The words that a parser of the HTML standard by other people finds in the same page, which nobody has written well. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<p>one<p>two<table><tr><td>three</table>four",
                "<b><p>bold</b>rest</p><i>half",
                "<ul><li>a<li>b</ul><select><option>no</select><textarea>area</textarea>",
                "text <a href=x>in<div>block</a>after</div>",
                "<p>&eacute;t&eacute; &amp; &#x442;&#1077;&#1089;&#1090; &nosuch; &lt;tag&gt;",
                "<p>un<wbr>broken <span>sp</span>an</p><svg><text>no</text></svg>",
                "<title>t</title><style>x{}</style><p title='no'>yes</p></body></html>late",
                "<table>before<tr><td>cell</td></tr></table><!-- no --><template>no</template>end",
                "<math><mi>no</mi></math><p>plus<noscript>no</noscript>",
                "<frameset><frame></frameset>"
            })
    void theWordsOfABrokenPageAreThoseThatAParserOfTheStandardSees(String page) throws IOException, SAXException {
        List<String> ours = PageTexts.of("page", page.getBytes(StandardCharsets.UTF_8)).stream()
                .filter(run -> run.part() != Part.TITLE)
                .flatMap(run -> Words.of(Tidy.of(run.text())).stream())
                .toList();
        assertThat(String.join("", ours)).isEqualTo(String.join("", reference(page)));
    }

    private static List<String> reference(String page) throws IOException, SAXException {
        StringBuilder text = new StringBuilder();
        HtmlParser parser = new HtmlParser(XmlViolationPolicy.ALLOW);
        parser.setScriptingEnabled(false);
        parser.setContentHandler(new DefaultHandler() {
            private int unseen;

            @Override
            public void startElement(String uri, String name, String qualified, Attributes attributes) {
                unseen += hides(name) ? 1 : 0;
                text.append(List.of("span", "b", "i", "a", "wbr").contains(name) ? "" : " ");
            }

            @Override
            public void endElement(String uri, String name, String qualified) {
                unseen -= hides(name) ? 1 : 0;
                text.append(List.of("span", "b", "i", "a", "wbr").contains(name) ? "" : " ");
            }

            private boolean hides(String name) {
                return Stream.of("head", "style", "script", "svg", "math", "select", "template", "noscript")
                        .anyMatch(name::equals);
            }

            @Override
            public void characters(char[] signs, int start, int length) {
                if (unseen == 0) {
                    text.append(signs, start, length);
                }
            }
        });
        parser.parse(new InputSource(new StringReader(page)));
        return Words.of(Tidy.of(text.toString()));
    }

    @Test
    void pagesOfAnyEncodingAndDepthAreReadAndTooLargeOnesAreTold() {
        PhraseFinder finder = new PhraseFinder(wanted(1, 1, "", "", List.of(), List.of()));
        finder.add(
                "old",
                "<meta charset=windows-1251><p>\u0443\u043b\u0435\u0439</p>".getBytes(Charset.forName("windows-1251")));
        finder.add("deep", ("<div>".repeat(200_000) + "deep").getBytes(StandardCharsets.UTF_8));
        finder.add("wide", "<p>wide</p>".getBytes(StandardCharsets.UTF_16));
        finder.add("nothing", new byte[0]);
        finder.add("large", new byte[PageTexts.LARGEST + 1]);
        PhraseFinder.Result result = finder.result();
        assertThat(times(result)).containsOnlyKeys("\u0443\u043b\u0435\u0439", "deep", "wide");
        assertThat(result.problems())
                .map(Object::toString)
                .containsExactly("large has 10,000 kB, and a page has at most 10,000.");
        assertThat(result.pages()).isEqualTo(4);
    }

    @Test
    void theListHasTheCountsAndWhatCannotBeMeantIsRefused() {
        MadeList list = phrases(wanted(1, 2, "", "", List.of(), List.of()), "hive hive, \"hive\"", "hive")
                .list();
        assertThat(new String(list.bytes(), StandardCharsets.UTF_8))
                .isEqualTo("keyword,weight,times,pages,most on\nhive,4,4,2,\"page0 3; page1 1\"\n");
        assertThatThrownBy(() -> new PhraseSettings(
                        Map.of(),
                        "",
                        "",
                        new Range(1, 9),
                        new Range(1, 3),
                        1,
                        1,
                        List.of(),
                        List.of(),
                        "en",
                        List.of()))
                .hasMessageContaining("Choose a part");
        assertThatThrownBy(() -> new PhraseSettings(
                        all(), "", "", new Range(9, 1), new Range(1, 3), 1, 1, List.of(), List.of(), "en", List.of()))
                .hasMessageContaining("1 to 200 characters");
        assertThatThrownBy(() -> wanted(9, 1, "", "", List.of(), List.of())).hasMessageContaining("1 to 8 words");
        assertThat(List.of(Part.values()).stream().map(Part::label).collect(Collectors.toSet()))
                .hasSize(Part.values().length);
    }
}
