package smorgas.app.config;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import smorgas.app.store.Copies;
import smorgas.app.store.DataFolder;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Wording;

/** Copies a database into a file; a server that works on it goes on and makes the copy itself. */
@Command(name = "backup")
public final class BackupCommand implements Callable<Integer> {

    @Option(names = "--data", defaultValue = "data")
    private Path data = Path.of("data");

    @Option(names = "--to", required = true, paramLabel = "FILE")
    private Path to = Path.of("");

    private final Wording wording;

    public BackupCommand(Wording wording) {
        this.wording = wording;
    }

    @Override
    public Integer call() throws Exception {
        if (Files.exists(to)) {
            return refused(Message.of("command.backup.exists", to.toString()));
        }
        if (!DataFolder.exists(data)) {
            return refused(Message.of("command.backup.no-database", data.toString()));
        }
        try {
            if (FolderLock.take(data)) {
                try {
                    DataFolder.copy(data, to);
                } finally {
                    FolderLock.release();
                }
            } else {
                Copies.ask(data, to);
            }
        } catch (Refusal e) {
            return refused(e.message());
        } catch (java.io.IOException e) {
            return refused(Message.verbatim(String.valueOf(e.getMessage())));
        }
        System.out.println(wording.of(
                "command.backup.copied", data.toString(), to.toString(), Math.max(1, Files.size(to) / 1_000)));
        return 0;
    }

    private int refused(Message why) {
        System.err.println("smorgas: " + wording.of(why));
        return 1;
    }
}
