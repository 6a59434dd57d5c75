package smorgas.app.config;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Sets the password that is asked for from then on. */
@Command(name = "password", description = "Sets the password of a data folder; it is asked for from the next start on.")
public final class PasswordCommand implements Callable<Integer> {

    @Option(
            names = "--data",
            defaultValue = "data",
            description = "Folder of the database (default: ${DEFAULT-VALUE}).")
    private Path data = Path.of("data");

    @Override
    public Integer call() throws IOException {
        String password = read();
        // bcrypt looks at 72 bytes and no further; letters past ASCII have two or more.
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (password.codePointCount(0, password.length()) < 8 || bytes > 72) {
            System.err.println("smorgas: a password has 8 characters or more and 72 bytes or fewer; this one has "
                    + bytes + " bytes (letters with accents have two, those of other scripts up to four)");
            return 2;
        }
        PasswordFile.in(data).set(password);
        System.out.println("The password is set; the user name is smorgas.");
        return 0;
    }

    private static String read() throws IOException {
        if (System.console() != null) {
            char[] typed = System.console().readPassword("New password: ");
            return typed == null ? "" : new String(typed);
        }
        var in = new java.io.BufferedReader(new java.io.InputStreamReader(System.in, StandardCharsets.UTF_8));
        String line = in.readLine();
        return line == null ? "" : line;
    }
}
