package smorgas.app.config;

import java.io.IOException;
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
        if (password.length() < 8 || password.length() > 70) {
            System.err.println("smorgas: a password has 8 to 70 characters");
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
        var in = new java.io.BufferedReader(
                new java.io.InputStreamReader(System.in, java.nio.charset.StandardCharsets.UTF_8));
        String line = in.readLine();
        return line == null ? "" : line;
    }
}
