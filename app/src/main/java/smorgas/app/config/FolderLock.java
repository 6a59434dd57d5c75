package smorgas.app.config;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import smorgas.core.text.Message;

/** Keeps a second process off a data folder. */
final class FolderLock {

    /** Held as long as the process lives. */
    private static @Nullable FileLock lock;

    private FolderLock() {}

    /** Takes the folder, until the process ends; false if it is taken. */
    static boolean take(Path data) throws IOException {
        // Deliberately left open: closing it would give the lock back.
        @SuppressWarnings("resource")
        RandomAccessFile file = new RandomAccessFile(data.resolve("in-use.lock").toFile(), "rw");
        try {
            lock = file.getChannel().tryLock();
        } catch (OverlappingFileLockException e) {
            // It is this very process that holds it.
            lock = null;
        }
        return lock != null;
    }

    static void release() throws IOException {
        if (lock != null) {
            lock.acquiredBy().close();
            lock = null;
        }
    }

    static Message taken(Path data) {
        return Message.of("command.folder-taken", data.toString());
    }
}
