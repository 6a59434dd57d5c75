package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.OtherWords;
import smorgas.core.language.Lexicon;

/**
 * The application in a made-up language in which every text is in brackets, with a project whose names and keywords are Greek: what
 * has Latin letters and no brackets is a text of ours that the catalogue does not have.
 */
class OtherWordsIT {

    /** All that a page shows or reads out, one thing a line. */
    private static final String TEXTS = """
            () => {
              const found = [document.title];
              const walk = node => {
                if (node.nodeType === Node.TEXT_NODE) { found.push(node.data); return; }
                if (node.nodeType !== Node.ELEMENT_NODE || ['SCRIPT', 'STYLE', 'TEMPLATE', 'TEXTAREA'].includes(node.tagName)) return;
                for (const name of ['title', 'aria-label', 'placeholder', 'alt', 'label', 'aria-description', 'aria-roledescription'])
                  if (node.hasAttribute(name)) found.push('\\n' + node.getAttribute(name) + '\\n');
                if (node.tagName === 'INPUT' && ['submit', 'button'].includes(node.type)) found.push('\\n' + node.value + '\\n');
                node.childNodes.forEach(walk);
                found.push(' ');
              };
              walk(document.body);
              return found.join('');
            }
            """;

    private static final int MOST_PAGES = 90;
    /** Of one path with other parameters. */
    private static final int MOST_VARIANTS = 12;

    @TempDir
    private Path data;

    private static long project(Visitor visitor) {
        long id = visitor.project("Μέλι και κυψέλες");
        String list = """
                Keyword\tSearches\tCPC\tURL
                κυψέλη μελισσών\t1000\t0.40\thttps://shop.example/κυψέλη
                ξύλινη κυψέλη\t320\t0.35\t
                κυψέλη τιμή\t90\t0.5\t
                στολή μελισσοκόμου\t590\t0.8\t
                στολή λευκή\t50\t0.7\t
                στολή παιδική\t20\t\t
                μέλι ανθέων\t2400\t\t
                μέλι θυμαρίσιο\t1900\t\t
                πού αγοράζω μέλι\t70\t\t
                μελι ανθεων\t10\t\t
                """;
        visitor.upload("/projects/" + id + "/gather", Map.of("Κατάλογος.tsv", list.getBytes(StandardCharsets.UTF_8)));
        return id;
    }

    /** Data, not texts: shipped word lists by their names, simulated services, classes of priority, what the list and the project have. */
    private static final Pattern DATA =
            Pattern.compile(".*\\((" + String.join("|", Lexicon.CODES) + ")\\)|.* \\(simulated\\)"
                    + "|(best tenth|good|fair|rest)(, \\d+)?|" + String.join("|", Lexicon.CODES)
                    + "|Keyword|Searches|CPC|URL|https://shop.example/κυψέλη|Κατάλογος.tsv|,? ?GBP"
                    + "|not judged yet|rule \\d+: .*|Negative phrase|TSV JSON|Campaign 1|United Kingdom");

    private static boolean data(String text) {
        return DATA.matcher(text).matches() || isEncoding(text);
    }

    private static boolean isEncoding(String text) {
        return text.matches("[\\w-]+") && Charset.isSupported(text);
    }

    /** A page by what it shows: the same path with the same parameters is not looked at twice. */
    private static String sort(String path) {
        return path.replaceAll("=[^&]*", "").replaceAll("#.*", "");
    }

    @Test
    void everyPageAndFileIsInTheWordsOfTheCatalogue() throws IOException {
        try (Running server = Running.inWords(data, OtherWords.WORDING);
                BrowserContext window = Browsers.window()) {
            Visitor visitor = new Visitor(server);
            long id = project(visitor);
            Page page = window.newPage();
            Set<String> seen = new LinkedHashSet<>();
            visitor.post("/projects/" + id + "/group/adopt", Map.of("on", "true"));
            visitor.post("/projects/" + id + "/rules/word", Map.of("ruleWord", "τιμή", "to", "DROPPED"));
            Deque<String> next = new ArrayDeque<>(RoutesIT.routes(server).stream()
                    .filter(route -> route.method().equals("GET"))
                    .map(route -> route.path().replace("{id}", String.valueOf(id)))
                    .filter(path -> path.startsWith("/projects/" + id + "/") && !path.contains("{"))
                    .toList());
            Set<String> own = new TreeSet<>();
            Map<String, Integer> looked = new HashMap<>();
            Set<String> files = new TreeSet<>();
            String guide = Files.readString(Path.of("..", "docs", "layouts.md"));
            while (!next.isEmpty() && seen.size() < MOST_PAGES) {
                String path = next.poll();
                int variants = looked.merge(path.replaceAll("[?#].*", ""), 1, Integer::sum);
                if (path.startsWith("/pantry/export")
                        || path.endsWith("/little-words.txt")
                        || variants > MOST_VARIANTS
                        || !seen.add(sort(path))) {
                    continue;
                }
                HttpResponse<String> answer = visitor.get(path);
                String type = answer.headers().firstValue("Content-Type").orElse("");
                boolean file =
                        answer.headers().firstValue("Content-Disposition").isPresent();
                if (file || !type.startsWith("text/html")) {
                    if (type.matches("(text/|image/svg).*")) {
                        files.add(sort(path));
                        OtherWords.outside(Parser.unescapeEntities(answer.body(), false)
                                        .replaceAll("<style.*?</style>|<[^>]*>|[,;\t\"|*#]", "\n"))
                                .stream()
                                .filter(text -> !data(text) && !guide.contains(text))
                                .forEach(text -> own.add(path + ": " + text));
                    }
                    continue;
                }
                page.navigate(server.url(path));
                Browsers.calm(page);
                OtherWords.outside((String) page.evaluate(TEXTS)).stream()
                        .filter(text -> !data(text))
                        .forEach(text -> own.add(path + ": " + text));
                ((List<?>) page.evaluate("() => [...document.links].map(a => a.pathname + a.search)"))
                        .forEach(link -> next.add((String) link));
            }
            assertThat(seen).hasSizeGreaterThan(25);
            assertThat(files).hasSizeGreaterThan(15);
            assertThat(own).isEmpty();
        }
    }
}
