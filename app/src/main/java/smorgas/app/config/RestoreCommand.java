package smorgas.app.config;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import smorgas.app.store.DataFolder;
import smorgas.app.store.OwnerOnly;

/** Puts a copy in the place of a database. */
@Command(
        name = "restore",
        description = "Puts a copy in the place of the database; what was there is kept in the folder's copies.")
public final class RestoreCommand implements Callable<Integer> {

    @Option(
            names = "--data",
            defaultValue = "data",
            description = "Folder of the database (default: ${DEFAULT-VALUE}).")
    private Path data = Path.of("data");

    @Parameters(paramLabel = "FILE", description = "A copy that Smorgas has made.")
    private Path file = Path.of("");

    @Override
    public Integer call() {
        try {
            OwnerOnly.folder(data);
            if (!FolderLock.take(data)) {
                throw new IOException(FolderLock.taken(data));
            }
            try {
                System.out.println(DataFolder.restore(data, file, Clock.systemUTC()));
            } finally {
                FolderLock.release();
            }
            return 0;
        } catch (DataFolder.Refused | IOException e) {
            System.err.println("smorgas: " + e.getMessage());
            return 1;
        }
    }
}
