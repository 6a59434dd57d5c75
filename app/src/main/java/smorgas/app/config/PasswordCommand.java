package smorgas.app.config;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import smorgas.core.text.Wording;

/** Sets the password that is asked for from then on. */
@Command(name = "password")
public final class PasswordCommand implements Callable<Integer> {

    @Option(names = "--data", defaultValue = "data")
    private Path data = Path.of("data");

    private final Wording wording;

    public PasswordCommand(Wording wording) {
        this.wording = wording;
    }

    @Override
    public Integer call() throws IOException {
        String password = read();
        // bcrypt looks at 72 bytes and no further; letters past ASCII have two or more.
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (password.codePointCount(0, password.length()) < 8 || bytes > 72) {
            System.err.println("smorgas: " + wording.of("command.password.too-short-or-long", bytes));
            return 2;
        }
        PasswordFile.in(data).set(password);
        System.out.println(wording.of("command.password.set"));
        return 0;
    }

    private String read() throws IOException {
        if (System.console() != null) {
            char[] typed = System.console().readPassword("%s", wording.of("command.password.new"));
            return typed == null ? "" : new String(typed);
        }
        var in = new java.io.BufferedReader(new java.io.InputStreamReader(System.in, StandardCharsets.UTF_8));
        String line = in.readLine();
        return line == null ? "" : line;
    }
}
