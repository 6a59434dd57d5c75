package smorgas.app.standin;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import smorgas.core.source.PageSource;

/** The pages of the demo's invented rivals. */
final class Sites implements PageSource {

    private static final Map<String, String> FILES = Map.of(
            "https://skeplund.example/hives", "skeplund-hives.html",
            "https://skeplund.example/suits", "skeplund-suits.html",
            "https://brumvale.example/honey", "brumvale-honey.html",
            "https://nektarby.example/swarms", "nektarby-swarms.html");

    @Override
    public List<String> addresses() {
        return FILES.keySet().stream().sorted().toList();
    }

    @Override
    public Optional<byte[]> page(String address) {
        return Optional.ofNullable(FILES.get(address)).map(Sites::read);
    }

    private static byte[] read(String file) {
        try (InputStream in =
                Objects.requireNonNull(Sites.class.getResourceAsStream("/smorgas/standin/sites/" + file))) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
