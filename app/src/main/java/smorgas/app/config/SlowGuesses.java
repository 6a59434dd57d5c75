package smorgas.app.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.web.authentication.www.BasicAuthenticationConverter;
import org.springframework.web.filter.OncePerRequestFilter;
import smorgas.core.text.Wording;

/** Turns guesses away that come too soon after the ones before, without looking at them. */
final class SlowGuesses extends OncePerRequestFilter {

    private final Guesses guesses;
    private final String hash;
    private final Wording wording;
    private final BasicAuthenticationConverter basic = new BasicAuthenticationConverter();

    SlowGuesses(Guesses guesses, String hash, Wording wording) {
        this.wording = wording;
        this.guesses = guesses;
        this.hash = hash;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        UsernamePasswordAuthenticationToken given;
        try {
            given = basic.convert(request);
        } catch (org.springframework.security.core.AuthenticationException e) {
            Refused.with(400, wording.of("config.refused.password-not-sent"), response);
            return;
        }
        if (given != null && !guesses.remembers(String.valueOf(given.getCredentials()), hash)) {
            long wait = guesses.waits(request.getRemoteAddr());
            if (wait > 0) {
                response.setHeader("Retry-After", String.valueOf(wait));
                Refused.with(429, wording.of("config.refused.too-many-passwords", wait), response);
                return;
            }
            chain.doFilter(request, response);
            if (response.getStatus() == 401) {
                guesses.missed(request.getRemoteAddr());
            }
            return;
        }
        chain.doFilter(request, response);
    }
}
