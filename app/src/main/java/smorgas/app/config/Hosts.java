package smorgas.app.config;

import java.util.Collection;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The names by which this server may be called: those of the loopback, the address it listens on, and what the administrator
 * names. A foreign name that was pointed at 127.0.0.1 is none of them.
 */
record Hosts(Set<String> names) {

    private static final Set<String> EVERYWHERE = Set.of("0.0.0.0", "::", "0:0:0:0:0:0:0:0");

    /**
     * @param address what the server listens on
     * @param named further names, without ports
     */
    static Hosts of(String address, Collection<String> named) {
        Set<String> names = new HashSet<>(Set.of("localhost", "127.0.0.1", "[::1]"));
        if (!EVERYWHERE.contains(address)) {
            names.add(address.contains(":") ? "[" + address + "]" : address);
        }
        named.stream()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .map(name -> name.toLowerCase(Locale.ROOT))
                .forEach(names::add);
        return new Hosts(Set.copyOf(names));
    }

    /** Whether a server that listens on this address cannot know by which names it is called unless somebody says so. */
    static boolean mustBeNamed(String address) {
        return EVERYWHERE.contains(address);
    }

    /** Whether a Host header, as it was received, names this server; with a port or without; null for none. */
    boolean answer(@Nullable String header) {
        if (header == null) {
            return false;
        }
        int port = header.lastIndexOf(':');
        String name = port > header.lastIndexOf(']') ? header.substring(0, port) : header;
        return names.contains(name.toLowerCase(Locale.ROOT));
    }
}
