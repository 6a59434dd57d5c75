package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;
import smorgas.core.text.Catalogue;

/** Templates have no words of their own: all come from the catalogue, and the catalogue has no more than is used. */
class TemplateWordsTest {

    private static final Path TEMPLATES = Path.of("src/main/resources/templates");

    /** Attributes that people read or hear. */
    private static final Set<String> READ = Set.of("title", "aria-label", "placeholder", "alt", "label");

    /** Asked by {@code #{key}}, or within an expression. */
    private static final Pattern ASKED = Pattern.compile("#\\{([\\w.-]+)|messages\\.msg\\('([\\w.-]+)'");

    /** A text in quotes within an expression, with a blank between words. */
    private static final Pattern QUOTED =
            Pattern.compile("'([^']*\\p{L}{2} [^']*\\p{L}{2}[^']*|\\p{Lu}\\p{Ll}+[^']*)'");

    private static final Pattern WORD = Pattern.compile("\\p{L}{2}");

    /** Keys that are put together of a beginning and a name. */
    private static final Pattern PUT_TOGETHER = Pattern.compile(
            "(fact|status|match-type|intent|check|script|finder|fold-kind|priority-factor|show\\.expected|serve\\.report\\.part"
                    + "|board\\.difference-csv|sift\\.page\\.by|group\\.dials|group\\.looks\\.order|band\\.peel|command|language|when\\.month"
                    + "|batch\\.batch-run\\.stage)\\..*");

    private static List<Path> files(Path folder, String ending) {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(file -> file.toString().endsWith(ending)).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void noTemplateHasWordsOfItsOwn() {
        List<String> own = new ArrayList<>();
        for (Path file : files(TEMPLATES, ".html")) {
            Jsoup.parse(text(file), "", Parser.xmlParser()).traverse((node, depth) -> {
                if (node instanceof TextNode words
                        && WORD.matcher(words.text().replaceAll("\\[\\[.*?]]", ""))
                                .find()) {
                    own.add(file + ": " + words.text().strip());
                } else if (node instanceof Element element) {
                    for (Attribute attribute : element.attributes()) {
                        if (READ.contains(attribute.getKey())
                                && WORD.matcher(attribute.getValue()).find()) {
                            own.add(file + ": " + attribute);
                        }
                        // Ids and addresses have no blanks; what stands before a sign of ours is a class or a trigger.
                        boolean shown =
                                attribute.getKey().matches("th:(text|utext|title|aria-.*|placeholder|alt|attr)");
                        if (shown
                                && QUOTED.matcher(attribute
                                                .getValue()
                                                .replaceAll("messages\\.msg\\('[^']*'", "")
                                                .replaceAll("hx-[a-z-]+=[^,]*", ""))
                                        .find()) {
                            own.add(file + ": " + attribute);
                        }
                    }
                }
            });
        }
        assertThat(own).isEmpty();
    }

    @Test
    void whatTemplatesAskForIsThere() {
        Set<String> asked = new HashSet<>();
        for (Path file : files(TEMPLATES, ".html")) {
            Matcher found = ASKED.matcher(text(file));
            while (found.find()) {
                asked.add(found.group(1) == null ? found.group(2) : found.group(1));
            }
        }
        assertThat(asked)
                .hasSizeGreaterThan(1_000)
                .isSubsetOf(Catalogue.english().patterns().keySet());
    }

    @Test
    void theCatalogueHasNoTextThatNobodyAsksFor() {
        StringBuilder all = new StringBuilder();
        files(TEMPLATES, ".html").forEach(file -> all.append(text(file)));
        for (String sources : List.of("src/main/java", "../core/src/main/java")) {
            files(Path.of(sources), ".java").forEach(file -> all.append(text(file)));
        }
        String everything = all.toString();
        assertThat(Catalogue.english().patterns().keySet())
                .filteredOn(key -> !PUT_TOGETHER.matcher(key).matches())
                .allMatch(key -> everything.contains("\"" + key + "\"")
                        || everything.contains("'" + key + "'")
                        || everything.contains("#{" + key + "}")
                        || everything.contains("#{" + key + "("));
    }
}
