package smorgas.app.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;
import smorgas.core.text.Wording;

/**
 * Answers only requests that were meant for this server: the Host header as received must be a name of ours, whatever other
 * headers say, and what changes something must come from a page of ours.
 */
final class OwnOrigin extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final Hosts hosts;
    private final Wording wording;

    OwnOrigin(Hosts hosts, Wording wording) {
        this.wording = wording;
        this.hosts = hosts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!hosts.answer(request.getHeader("Host"))) {
            Refused.with(421, wording.of("config.refused.other-host"), response);
        } else if (!READING.contains(request.getMethod()) && fromElsewhere(request)) {
            response.sendError(403, wording.of("config.refused.other-page"));
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
