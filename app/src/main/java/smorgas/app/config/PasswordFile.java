package smorgas.app.config;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import smorgas.app.store.OwnerOnly;

/** The password of a data folder, as a bcrypt hash in a file of its own. */
record PasswordFile(Path file) {

    static final PasswordEncoder ENCODER = new BCryptPasswordEncoder();

    static PasswordFile in(Path data) {
        return new PasswordFile(data.resolve("password.bcrypt"));
    }

    boolean isSet() {
        return Files.isRegularFile(file);
    }

    String hash() throws IOException {
        return Files.readString(file).strip();
    }

    void set(String password) throws IOException {
        OwnerOnly.folder(file.toAbsolutePath().getParent());
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        OwnerOnly.create(fresh);
        Files.writeString(fresh, ENCODER.encode(password));
        Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }
}
