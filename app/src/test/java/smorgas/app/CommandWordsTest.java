package smorgas.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** Every command in a made-up language: what it prints comes from the catalogue, but for names of files, commands and options. */
class CommandWordsTest {

    @TempDir
    private Path folder;

    private static final CommandLine LINE = Main.line(OtherWords.WORDING);

    /** All that it prints. */
    private static String run(Object... arguments) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        PrintStream both = new PrintStream(printed, true, StandardCharsets.UTF_8);
        System.setOut(both);
        System.setErr(both);
        try {
            CommandLine line = Main.line(OtherWords.WORDING);
            line.execute(
                    java.util.Arrays.stream(arguments).map(Object::toString).toArray(String[]::new));
        } finally {
            System.setOut(out);
            System.setErr(err);
        }
        return printed.toString(StandardCharsets.UTF_8);
    }

    private static void commands(CommandLine line, List<String> path, List<List<String>> into) {
        into.add(path);
        line.getSubcommands().forEach((name, sub) -> {
            List<String> longer = new ArrayList<>(path);
            longer.add(name);
            commands(sub, longer, into);
        });
    }

    @Test
    void helpOfEveryCommandExplainsItAndEachOption() {
        List<List<String>> all = new ArrayList<>();
        commands(LINE, List.of(), all);
        assertThat(all).hasSizeGreaterThan(12);
        for (List<String> command : all) {
            CommandLine.Model.CommandSpec spec = LINE.getCommandSpec();
            for (String name : command) {
                spec = spec.subcommands().get(name).getCommandSpec();
            }
            assertThat(spec.usageMessage().description())
                    .as(spec.qualifiedName())
                    .isNotEmpty()
                    .allMatch(text -> text.startsWith("\u27e6"));
            assertThat(spec.args()).as(spec.qualifiedName()).allSatisfy(argument -> assertThat(argument.description())
                    .as(argument.paramLabel() + " of it")
                    .isNotEmpty()
                    .allMatch(text -> text.startsWith("\u27e6")));
        }
    }

    @Test
    void whatCommandsSayIsOfTheCatalogue() throws IOException {
        Path list = Files.writeString(
                folder.resolve("λίστα.csv"), "keyword,searches\nκυψέλη,10\nμέλι,20\nμέλι ανθέων,30\n");
        Path none = folder.resolve("no.csv");
        Path words = Files.writeString(folder.resolve("words.txt"), "μέλι\nκερί\n");
        Path log = Files.writeString(
                folder.resolve("access.log"),
                "192.0.2.1 - - [01/May/2026:10:00:00 +0000] \"GET /?q=%CE%BC HTTP/1.1\" 200 1 \"-\" \"-\"\n");
        String port = "0";
        List<String> said = List.of(
                run("batch", "--in", list, "--in", none, "--out", folder.resolve("out"), "--words-only"),
                run("batch", "--in", list, "--out", folder.resolve("out"), "--format", "plan.odd"),
                run("batch", "--in", list, "--out", folder.resolve("out"), "--recipe", list),
                run("batch", "--in", list, "--out", list),
                run("batch", "--odd"),
                run("batch", "--in", list, "--out", folder.resolve("out"), "--by", "odd"),
                run("make"),
                run("make", "combinations", "--column", words, "--column", words, "--out", folder.resolve("pairs.csv")),
                run("make", "combinations", "--column", none, "--column", words, "--out", folder.resolve("pairs.csv")),
                run("make", "logs", "--in", log, "--out", folder.resolve("logs.csv")),
                run("make", "pages", "--in", words, "--out", folder.resolve("pages.csv")),
                run("make", "suggestions", "--in", words, "--out", folder.resolve("suggestions.csv")),
                run("make", "ideas", "--out", folder.resolve("ideas.csv")),
                run("backup", "--data", folder.resolve("data"), "--to", folder.resolve("copy.zip")),
                run("restore", none, "--data", folder.resolve("data")),
                run("restore", words, "--data", folder.resolve("data")),
                run("serve", "--data", folder.resolve("data"), "--port", "70000"),
                run("serve", "--data", folder.resolve("data"), "--address", "0.0.0.0", "--port", port),
                run("serve", "--data", list, "--port", port));
        assertThat(said).allMatch(text -> text.contains("\u27e6"));
        // Names of programs, files, fields and libraries' own reasons stand as they are.
        Set<String> own = said.stream()
                .flatMap(text -> OtherWords.outside(text.replace(folder.toString(), "")
                                .replaceAll("(?s)\\{\n.*\n}", "")
                                .replaceAll(
                                        "\\[[^\\]]*\\]|--?[\\w-]+(=\\w+)?|(?m)^\\W*smorgas:|\u27e7smorgas [a-z ]+", ""))
                        .stream())
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(own).isEmpty();
    }
}
