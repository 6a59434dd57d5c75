package smorgas.app.store;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;

/** Files and folders that only their owner may read, where the file system knows of such things. */
public final class OwnerOnly {

    private OwnerOnly() {}

    /** Makes the folder and those above it; what exists already is closed to others. */
    public static void folder(Path folder) throws IOException {
        Files.createDirectories(folder);
        set(folder, "rwx------");
    }

    /** Makes an empty file, closed from its first moment; one that exists is closed and stays as it is. */
    public static void create(Path file) throws IOException {
        try {
            if (posix(file.toAbsolutePath().getParent())) {
                Files.createFile(
                        file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            } else {
                Files.createFile(file);
            }
        } catch (FileAlreadyExistsException e) {
            close(file);
        }
    }

    /** Closes a file to others. */
    public static void close(Path file) throws IOException {
        set(file, "rw-------");
    }

    private static void set(Path path, String permissions) throws IOException {
        if (posix(path)) {
            Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(permissions));
        }
    }

    private static boolean posix(Path path) throws IOException {
        FileStore store = Files.getFileStore(path);
        return store.supportsFileAttributeView(PosixFileAttributeView.class);
    }
}
