package smorgas.app.config;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.Main;
import smorgas.app.store.Project;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.text.Catalogue;

/** What stops the start is one line that says what to do. */
class ServeCommandTest {

    @TempDir
    private Path data;

    private final ByteArrayOutputStream told = new ByteArrayOutputStream();

    private int run(String... arguments) {
        PrintStream err = System.err;
        System.setErr(new PrintStream(told, true, StandardCharsets.UTF_8));
        try {
            return Main.line(Catalogue.english()).execute(arguments);
        } finally {
            System.setErr(err);
        }
    }

    private void assertOneLine(String... parts) {
        String line = told.toString(StandardCharsets.UTF_8);
        assertThat(line.lines()).hasSize(1);
        assertThat(line).startsWith("smorgas: ").contains(parts);
        told.reset();
    }

    @Test
    void aTakenPortIsToldWithTheWayOut() throws IOException {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            String port = String.valueOf(taken.getLocalPort());
            assertThat(run("serve", "--data", data.toString(), "--port", port)).isEqualTo(1);
            assertOneLine(port, "--port");
        }
    }

    @Test
    void anAddressThatOthersReachNeedsAPasswordFirst() throws IOException {
        for (String everywhere : new String[] {"0.0.0.0", "::"}) {
            assertThat(run("serve", "--data", data.toString(), "--address", everywhere))
                    .isEqualTo(1);
            assertOneLine("--host");
            assertThat(run("serve", "--data", data.toString(), "--address", everywhere, "--host", "keywords.example"))
                    .isEqualTo(1);
            assertOneLine("password");
        }
        assertThat(run("serve", "--data", data.toString(), "--proxy", "no.such.host.invalid"))
                .isEqualTo(1);
        assertOneLine("--proxy");
        assertThat(run("serve", "--data", data.toString(), "--address", "no.such.host.invalid"))
                .isEqualTo(1);
        assertOneLine("--address");
        for (String odd : new String[] {"", " ", "127.0.0.1 "}) {
            assertThat(run("serve", "--data", data.toString(), "--address", odd))
                    .as("\"%s\"", odd)
                    .isEqualTo(1);
            assertOneLine("--address");
        }
    }

    @Test
    void aCopyIsMadeAndPutBackByCommands() throws IOException {
        String folder = data.resolve("of-somebody").toString();
        String copy = data.resolve("copy.zip").toString();
        assertThat(run("backup", "--data", folder, "--to", copy)).isEqualTo(1);
        assertOneLine("no database");
        try (StoreUnderTest store = new StoreUnderTest(Path.of(folder))) {
            store.projects().create("Client", "en", "UK", "GBP");
        }
        assertThat(run("backup", "--data", folder, "--to", copy)).isZero();
        assertThat(run("backup", "--data", folder, "--to", copy)).isEqualTo(1);
        assertOneLine("exists already");
        String other = data.resolve("other").toString();
        assertThat(run("restore", copy, "--data", other)).isZero();
        try (StoreUnderTest store = new StoreUnderTest(Path.of(other))) {
            assertThat(store.projects().all()).extracting(Project::name).containsExactly("Client");
        }
        assertThat(run("restore", data.resolve("none").toString(), "--data", other))
                .isEqualTo(1);
        assertOneLine("there is no file");
    }

    @Test
    void aFolderThatCannotBeMadeIsTold() throws IOException {
        Path file = Files.writeString(data.resolve("file"), "");
        assertThat(run("serve", "--data", file.resolve("in").toString(), "--port", "0"))
                .isEqualTo(1);
        assertOneLine("--data");
    }

    @Test
    void aSecondOneOnTheSameFolderIsRefused() throws IOException {
        try (FileChannel other =
                FileChannel.open(data.resolve("in-use.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            assertThat(other.lock().isValid()).isTrue();
            assertThat(run("serve", "--data", data.toString(), "--port", "0")).isEqualTo(1);
            assertOneLine("another Smorgas");
        }
    }

    @Test
    void aPasswordIsKeptAsAHashAndAShortOneIsRefused() throws IOException {
        assertThat(setPassword("short")).isEqualTo(2);
        assertOneLine("8 characters");
        assertThat(setPassword("пароль".repeat(7)))
                .as("84 bytes, of which 72 would count")
                .isEqualTo(2);
        assertOneLine("72 bytes");
        assertThat(PasswordFile.in(data).isSet()).isFalse();

        assertThat(setPassword("long enough, käse")).isZero();
        String hash = PasswordFile.in(data).hash();
        assertThat(hash).doesNotContain("enough");
        assertThat(PasswordFile.ENCODER.matches("long enough, käse", hash)).isTrue();
        assertThat(PasswordFile.ENCODER.matches("long enough, kase", hash)).isFalse();
    }

    private int setPassword(String typed) {
        InputStream in = System.in;
        System.setIn(new ByteArrayInputStream((typed + "\n").getBytes(StandardCharsets.UTF_8)));
        try {
            return run("password", "--data", data.toString());
        } finally {
            System.setIn(in);
        }
    }
}
