package smorgas.core.gather;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.CRC32;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;

/** The parts of a ZIP file by its central directory, as programs mean them; a stream of it may be read otherwise. */
final class ZipParts implements AutoCloseable {

    private final ZipFile zip;

    ZipParts(byte[] bytes) throws IOException {
        zip = ZipFile.builder().setByteArray(bytes).get();
    }

    List<String> names() {
        List<String> names = new ArrayList<>();
        zip.getEntriesInPhysicalOrder().asIterator().forEachRemaining(entry -> {
            if (!entry.isDirectory()) {
                names.add(entry.getName());
            }
        });
        return names;
    }

    boolean locked(String name) {
        ZipArchiveEntry entry = zip.getEntry(name);
        return entry != null && entry.getGeneralPurposeBit().usesEncryption();
    }

    /** Whether a part's bytes have the checksum that is told of them. */
    boolean right(String name, byte[] bytes) {
        ZipArchiveEntry entry = zip.getEntry(name);
        CRC32 sum = new CRC32();
        sum.update(bytes);
        return entry == null || entry.getCrc() < 0 || entry.getCrc() == sum.getValue();
    }

    InputStream open(String name) throws IOException {
        InputStream in = zip.getInputStream(zip.getEntry(name));
        if (in == null) {
            throw new IOException("no part " + name);
        }
        return in;
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
