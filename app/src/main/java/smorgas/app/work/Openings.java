package smorgas.app.work;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Remembers, in a small file of the data folder, which projects are being opened. Those that are still in it at the next start
 * may have ended the server: they are not opened unless somebody asks, and then as they were some acts before if it ends again.
 */
@Component
public class Openings implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Openings.class);

    private final Path file;
    /** By project, how often the server has ended while it was being opened. */
    private final Map<Long, Integer> ended = new HashMap<>();
    /** Projects that are being opened now, by how many. */
    private final Map<Long, Integer> now = new TreeMap<>();

    private boolean over;

    @Autowired
    Openings(@Value("${smorgas.data}") String data) {
        this(Path.of(data));
    }

    Openings(Path folder) {
        this.file = folder.resolve("opening");
        try {
            for (String line : Files.readAllLines(file)) {
                if (line.matches("\\d{1,18} \\d{1,9}")) {
                    String[] parts = line.split(" ");
                    ended.put(Long.valueOf(parts[0]), Integer.valueOf(parts[1]));
                }
            }
        } catch (NoSuchFileException e) {
            LOG.debug("nothing was being opened when the server ended");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How often the server has ended while this project was being opened, since it was opened last. */
    public synchronized int ended(long project) {
        return ended.getOrDefault(project, 0);
    }

    /** Does something that may end the server, with the project noted meanwhile. */
    void during(long project, Runnable opening) {
        change(project, 1);
        boolean done = false;
        try {
            opening.run();
            done = true;
        } finally {
            synchronized (this) {
                if (done) {
                    ended.remove(project);
                }
                change(project, -1);
            }
        }
    }

    /** Whoever ends the server on purpose has not been ended by a project. */
    @Override
    public synchronized void destroy() {
        over = true;
        now.clear();
        write();
    }

    private synchronized void change(long project, int by) {
        if (over) {
            return;
        }
        if (now.merge(project, by, Integer::sum) == 0) {
            now.remove(project);
        }
        write();
    }

    private void write() {
        Map<Long, Integer> noted = new TreeMap<>(ended);
        now.keySet().forEach(one -> noted.merge(one, 1, Integer::sum));
        try {
            Path fresh = file.resolveSibling("opening.new");
            Files.writeString(
                    fresh,
                    noted.entrySet().stream()
                            .map(one -> one.getKey() + " " + one.getValue() + "\n")
                            .collect(Collectors.joining()));
            Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            // A full disk must not keep a project shut.
            LOG.warn("which projects are being opened could not be noted: {}", e.toString());
        }
    }
}
