package smorgas.core.source;

import java.util.List;
import java.util.Optional;

/** Pages that can be read without asking the network for them. */
public interface PageSource {

    /** The addresses of all of them. */
    List<String> addresses();

    /** A page; empty if it is none of these. */
    Optional<byte[]> page(String address);
}
