package smorgas.app;

import java.lang.reflect.Constructor;
import java.util.List;
import picocli.CommandLine;
import smorgas.app.batch.BatchCommand;
import smorgas.app.batch.MakeCommand;
import smorgas.app.config.BackupCommand;
import smorgas.app.config.PasswordCommand;
import smorgas.app.config.RestoreCommand;
import smorgas.app.config.ServeCommand;
import smorgas.app.demo.DemoFilesCommand;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Wording;

/** The one entry: the web application, or the command line without it. */
@CommandLine.Command(
        name = "smorgas",
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
        int code = line(Catalogue.english()).execute(args);
        // The server goes on in its own threads after its command has returned.
        if (code != ServeCommand.SERVING) {
            System.exit(code);
        }
    }

    /** All commands, which say what they have to say in this wording. */
    public static CommandLine line(Wording wording) {
        CommandLine line = new CommandLine(new Main(), new CommandLine.IFactory() {
            @Override
            public <K> K create(Class<K> type) throws Exception {
                for (Constructor<?> constructor : type.getDeclaredConstructors()) {
                    if (List.of(constructor.getParameterTypes()).equals(List.of(Wording.class))) {
                        constructor.setAccessible(true);
                        return type.cast(constructor.newInstance(wording));
                    }
                }
                return CommandLine.defaultFactory().create(type);
            }
        });
        return line.setResourceBundle(new CommandTexts(wording))
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setParameterExceptionHandler((fault, args) -> CommandTexts.wrongUse(fault, wording));
    }
}
