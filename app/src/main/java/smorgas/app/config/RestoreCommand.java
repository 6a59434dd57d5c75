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
import smorgas.core.text.Refusal;
import smorgas.core.text.Wording;

/** Puts a copy in the place of a database. */
@Command(name = "restore")
public final class RestoreCommand implements Callable<Integer> {

    @Option(names = "--data", defaultValue = "data")
    private Path data = Path.of("data");

    @Parameters(paramLabel = "FILE", descriptionKey = "file")
    private Path file = Path.of("");

    private final Wording wording;

    public RestoreCommand(Wording wording) {
        this.wording = wording;
    }

    @Override
    public Integer call() {
        try {
            OwnerOnly.folder(data);
            if (!FolderLock.take(data)) {
                throw new Refusal(FolderLock.taken(data));
            }
            try {
                System.out.println(wording.of(DataFolder.restore(data, file, Clock.systemUTC())));
            } finally {
                FolderLock.release();
            }
            return 0;
        } catch (Refusal e) {
            System.err.println("smorgas: " + wording.of(e.message()));
            return 1;
        } catch (IOException e) {
            System.err.println("smorgas: " + e.getMessage());
            return 1;
        }
    }
}
