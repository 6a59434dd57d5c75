package smorgas.app.config;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import smorgas.app.store.Copies;
import smorgas.app.store.DataFolder;

/** Copies a database into a file; a server that works on it goes on and makes the copy itself. */
@Command(name = "backup", description = "Copies the database of a data folder into a file, also while it is served.")
public final class BackupCommand implements Callable<Integer> {

    @Option(
            names = "--data",
            defaultValue = "data",
            description = "Folder of the database (default: ${DEFAULT-VALUE}).")
    private Path data = Path.of("data");

    @Option(names = "--to", required = true, paramLabel = "FILE", description = "File to write; it must not exist.")
    private Path to = Path.of("");

    @Override
    public Integer call() throws Exception {
        if (Files.exists(to)) {
            return refused(to + " exists already; choose another name with --to");
        }
        if (!DataFolder.exists(data)) {
            return refused("there is no database in " + data + "; name its folder with --data");
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
        } catch (DataFolder.Refused | java.io.IOException e) {
            return refused(String.valueOf(e.getMessage()));
        }
        System.out.println("The database of " + data + " is copied to " + to + " ("
                + Math.max(1, Files.size(to) / 1_000) + " kB).");
        return 0;
    }

    private static int refused(String why) {
        System.err.println("smorgas: " + why);
        return 1;
    }
}
