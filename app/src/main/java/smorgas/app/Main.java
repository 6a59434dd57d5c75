package smorgas.app;

import picocli.CommandLine;
import smorgas.app.batch.BatchCommand;
import smorgas.app.batch.MakeCommand;
import smorgas.app.config.BackupCommand;
import smorgas.app.config.PasswordCommand;
import smorgas.app.config.RestoreCommand;
import smorgas.app.config.ServeCommand;
import smorgas.app.demo.DemoFilesCommand;

/** The one entry: the web application, or the command line without it. */
@CommandLine.Command(
        name = "smorgas",
        description = "Merges keyword lists and serves them as themed ad groups.",
        subcommands = {
            ServeCommand.class,
            BatchCommand.class,
            MakeCommand.class,
            PasswordCommand.class,
            BackupCommand.class,
            RestoreCommand.class,
            DemoFilesCommand.class
        })
public final class Main {

    private Main() {}

    public static void main(String[] args) {
        CommandLine line = new CommandLine(new Main());
        line.setCaseInsensitiveEnumValuesAllowed(true);
        int code = line.execute(args);
        // The server goes on in its own threads after its command has returned.
        if (code != ServeCommand.SERVING) {
            System.exit(code);
        }
    }
}
