package smorgas.core.source;

import com.ibm.icu.text.CharsetDetector;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeVisitor;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.gather.PhraseSettings.Part;
import smorgas.core.text.Refusal;

/** The texts of a page by their parts, in the order in which they stand; what no reader sees is not among them. */
final class PageTexts {

    /** No page that somebody reads is larger. */
    static final int LARGEST = 10_000_000;

    private static final Set<String> UNSEEN = Set.of(
            "script", "style", "noscript", "template", "svg", "math", "iframe", "object", "head", "select", "datalist");

    private static final Set<String> HEADINGS = Set.of("h1", "h2", "h3", "h4", "h5", "h6");

    /** A run of text that nothing parts. */
    record Run(Part part, String text) {}

    private PageTexts() {}

    /**
     * The texts of a page; a text without any markup is a page too.
     *
     * @throws Refusal with a sentence, if it is too large to be a page
     */
    static List<Run> of(String name, byte[] page) {
        if (page.length > LARGEST) {
            throw new Refusal("source.page-texts.kb-page-most", name, page.length / 1_000, LARGEST / 1_000);
        }
        try {
            if (indexOfMarkup(page) < 0) {
                return lines(page);
            }
            // The encoding is the one that the page names; without one it is found.
            Document document = Jsoup.parse(new ByteArrayInputStream(page), declared(page), "");
            Reading reading = new Reading();
            reading.head(document);
            document.body().traverse(reading);
            reading.end();
            return reading.runs;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int indexOfMarkup(byte[] page) {
        for (int at = 0; at < page.length; at++) {
            if (page[at] == '<') {
                return at;
            }
        }
        return -1;
    }

    /** A text without markup: its lines part it. */
    private static List<Run> lines(byte[] text) {
        String found = found(text);
        String decoded = new String(text, found == null ? StandardCharsets.UTF_8 : Charset.forName(found));
        return (decoded.startsWith("\ufeff") ? decoded.substring(1) : decoded)
                .lines()
                .filter(line -> !line.isBlank())
                .map(line -> new Run(Part.TEXT, line))
                .toList();
    }

    /** Bytes that a guess of the encoding looks at, and how sure it must be, of 100. */
    private static final int GUESSED_FROM = 1 << 16;

    private static final int SURE = 30;

    private static final int LOOKED_AT = 1_024;

    /** Null where the page says itself, in its mark or its meta tag; the parser sees to that. */
    private static @Nullable String declared(byte[] page) {
        String start = new String(page, 0, Math.min(LOOKED_AT, page.length), StandardCharsets.ISO_8859_1)
                .toLowerCase(Locale.ROOT);
        boolean marked = start.startsWith("\u00ef\u00bb\u00bf")
                || start.startsWith("\u00ff\u00fe")
                || start.startsWith("\u00fe\u00ff");
        if (marked || start.contains("charset")) {
            return null;
        }
        return found(page);
    }

    /** The encoding that bytes look like; null if like none. */
    private static @Nullable String found(byte[] page) {
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(page));
            return StandardCharsets.UTF_8.name();
        } catch (CharacterCodingException e) {
            var found = new CharsetDetector()
                    .setText(Arrays.copyOf(page, Math.min(GUESSED_FROM, page.length)))
                    .detect();
            return found == null || found.getConfidence() < SURE ? null : supported(found.getName());
        }
    }

    private static @Nullable String supported(String name) {
        return Charset.isSupported(name) ? name : null;
    }

    private static final class Reading implements NodeVisitor {
        private final List<Run> runs = new ArrayList<>();
        private final StringBuilder text = new StringBuilder();
        private Part part = Part.TEXT;
        private int unseen;
        private int headings;
        private int links;

        private void head(Document document) {
            add(Part.TITLE, document.title());
            for (Element meta : document.select("meta[content]")) {
                String name = meta.attr("name").toLowerCase(Locale.ROOT);
                if (name.equals("description")) {
                    add(Part.META, meta.attr("content"));
                } else if (name.equals("keywords")) {
                    for (String keyword : meta.attr("content").split("[,;]")) {
                        add(Part.META, keyword);
                    }
                }
            }
        }

        private void add(Part of, String run) {
            if (!run.isBlank()) {
                runs.add(new Run(of, run));
            }
        }

        @Override
        public void head(Node node, int depth) {
            if (node instanceof Element element) {
                String name = element.normalName();
                if (UNSEEN.contains(name) || element.hasAttr("hidden")) {
                    unseen++;
                }
                if (element.isBlock()
                        || name.equals("br")
                        || name.equals("td")
                        || name.equals("th")
                        || name.equals("option")) {
                    cut();
                }
                boolean heading = HEADINGS.contains(name);
                boolean link = name.equals("a") && element.hasAttr("href");
                if (heading || link) {
                    cut();
                    headings += heading ? 1 : 0;
                    links += link ? 1 : 0;
                    part = part();
                }
                if (unseen == 0 && name.equals("img")) {
                    cut();
                    add(Part.ALTERNATIVES, element.attr("alt"));
                }
            } else if (unseen == 0 && node instanceof TextNode run) {
                text.append(run.getWholeText());
            }
        }

        private Part part() {
            return headings > 0 ? Part.HEADINGS : links > 0 ? Part.LINKS : Part.TEXT;
        }

        @Override
        public void tail(Node node, int depth) {
            if (node instanceof Element element) {
                String name = element.normalName();
                boolean heading = HEADINGS.contains(name);
                boolean link = name.equals("a") && element.hasAttr("href");
                if (heading || link) {
                    cut();
                    headings -= heading ? 1 : 0;
                    links -= link ? 1 : 0;
                    part = part();
                } else if (element.isBlock() || name.equals("td") || name.equals("th")) {
                    cut();
                }
                if (UNSEEN.contains(name) || element.hasAttr("hidden")) {
                    unseen--;
                }
            }
        }

        private void cut() {
            add(part, text.toString());
            text.setLength(0);
        }

        private void end() {
            cut();
        }
    }
}
