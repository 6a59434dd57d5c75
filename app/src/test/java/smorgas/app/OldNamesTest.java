package smorgas.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import smorgas.core.text.Catalogue;

/** What docs/wording.md says is not said any more: neither in names nor in texts. */
class OldNamesTest {

    private static final Path TOP = Path.of("..");

    private static final Pattern QUOTED = Pattern.compile("`([^`]+)`");

    private static final Pattern COMMENT = Pattern.compile("(?s)/\\*.*?\\*/|(?<!:)//[^\\n]*|<!--.*?-->");

    /** A text with a blank in it is for people or a sample; without one it may be a kind, a field, a key or an address. */
    private static final Pattern TEXT = Pattern.compile("\"(?=[^\"\\n]* )(?:[^\"\\\\\\n]|\\\\.)*\"");

    private static final Pattern NAME = Pattern.compile("[A-Za-z]+");

    private static final Pattern PART = Pattern.compile("\\p{Lu}?\\p{Ll}+|\\p{Lu}+(?!\\p{Ll})");

    /** Names that are somebody else's: of scripts, of their libraries, of Java. */
    private static final Set<String> OTHERS = Set.of("Promise", "afterSettle", "defaultSettleDelay");

    /** Column 2 or 3 of the table: what may not be in names, or in texts. */
    private static Set<String> forbidden(int column) throws IOException {
        Set<String> words = new HashSet<>();
        for (String line : Files.readAllLines(TOP.resolve("docs/wording.md"))) {
            String[] cells = line.split("\\|", -1);
            if (cells.length == 6) {
                QUOTED.matcher(cells[column + 1])
                        .results()
                        .map(found -> found.group(1))
                        .forEach(words::add);
            }
        }
        return words;
    }

    private static List<Path> sources() throws IOException {
        List<Path> sources = new ArrayList<>();
        for (String module : List.of("app", "core", "meaning", "bench", "schema")) {
            try (Stream<Path> files = Files.walk(TOP.resolve(module).resolve("src"))) {
                files.filter(file ->
                                file.toString().matches(".*\\.(java|html|js|css|sql)") || file.endsWith("entries.txt"))
                        .forEach(sources::add);
            }
        }
        return sources;
    }

    private static Set<String> old(String where, String code, Set<String> forbidden) {
        Set<String> old = new TreeSet<>();
        Matcher names = NAME.matcher(code);
        while (names.find()) {
            boolean bad = !OTHERS.contains(names.group())
                    && PART.matcher(names.group())
                            .results()
                            .map(MatchResult::group)
                            .anyMatch(part -> forbidden.contains(part.toLowerCase(Locale.ROOT)));
            if (bad) {
                old.add(where + ": " + names.group());
            }
        }
        return old;
    }

    @Test
    void noNameIsAnOldOne() throws IOException {
        Set<String> forbidden = forbidden(2);
        assertThat(forbidden).hasSizeGreaterThan(30);
        Set<String> old = new TreeSet<>();
        List<Path> sources = sources();
        assertThat(sources).hasSizeGreaterThan(800);
        for (Path file : sources) {
            String name = file.getFileName().toString();
            old.addAll(old("file", name, forbidden));
            if (!name.equals("OldNamesTest.java")) {
                // Samples of SQL and HTML are read as they are.
                String code = COMMENT.matcher(Files.readString(file)).replaceAll(" ");
                old.addAll(old(name, name.endsWith(".java") ? TEXT.matcher(code).replaceAll("\"\"") : code, forbidden));
            }
        }
        old.addAll(old("key", String.join(" ", Catalogue.english().keys()), forbidden));
        assertThat(old).isEmpty();
    }

    @Test
    void noTextHasAnOldWord() throws IOException {
        Pattern words = Pattern.compile("(?i)(?<![\\p{L}])(" + String.join("|", forbidden(3)) + ")(?![\\p{L}])");
        assertThat(Catalogue.english().patterns().entrySet())
                .filteredOn(text -> words.matcher(text.getValue()).find())
                .isEmpty();
    }
}
