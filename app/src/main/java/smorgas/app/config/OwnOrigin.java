package smorgas.app.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.HashSet;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only requests that were meant for this server: the Host must be the loopback's or the address it listens on
 * (which stops a foreign name that was pointed at 127.0.0.1), and what changes something must come from a page of ours.
 */
final class OwnOrigin extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final Set<String> hosts;

    /** @param more names under which a proxy in front of this server is called */
    OwnOrigin(String address, Set<String> more) {
        // Listening on every address, the host is whatever the researcher calls this machine; the password guards it.
        boolean anywhere = Set.of("0.0.0.0", "::").contains(address);
        hosts = new HashSet<>();
        if (!anywhere) {
            hosts.addAll(Set.of("localhost", "127.0.0.1", "[::1]"));
            hosts.add(address.contains(":") ? "[" + address + "]" : address);
            hosts.addAll(more);
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!hosts.isEmpty() && !hosts.contains(request.getServerName())) {
            response.sendError(421, "This server does not answer for that host name");
        } else if (!READING.contains(request.getMethod()) && fromElsewhere(request)) {
            response.sendError(403, "This act came from a page that is not ours");
        } else {
            chain.doFilter(request, response);
        }
    }

    private static boolean fromElsewhere(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        if (site != null && !Set.of("same-origin", "none").contains(site)) {
            return true;
        }
        String origin = request.getHeader("Origin");
        if (origin == null) {
            return false;
        }
        try {
            URI from = URI.create(origin);
            int usual = "https".equals(from.getScheme()) ? 443 : 80;
            return !request.getServerName().equals(from.getHost())
                    || !request.getScheme().equals(from.getScheme())
                    || request.getServerPort() != (from.getPort() < 0 ? usual : from.getPort());
        } catch (IllegalArgumentException e) {
            return true;
        }
    }
}
