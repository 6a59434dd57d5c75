package smorgas.app.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Writes the demo's lists as files, to try the batch command on. */
@Command(name = "demo-files")
public final class DemoFilesCommand implements Callable<Integer> {

    @Option(names = "--out", required = true, paramLabel = "DIR")
    private Path out = Path.of(".");

    @Option(names = "--plan", paramLabel = "FILE")
    private @Nullable Path plan;

    @Override
    public Integer call() throws IOException {
        Files.createDirectories(out);
        for (Map.Entry<String, byte[]> list : DemoLists.make().entrySet()) {
            Files.write(out.resolve(list.getKey()), list.getValue());
        }
        if (plan != null) {
            Files.write(plan, DemoLists.plan());
        }
        return 0;
    }
}
