package smorgas.app.config;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import smorgas.core.text.Wording;

/** Who may reach the application and what a page of it may do. */
@Configuration
class Security {

    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "img-src 'self' data:; font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; "
            + "frame-ancestors 'none'";

    private final Wording wording;

    Security(Wording wording) {
        this.wording = wording;
    }

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http,
            Guesses guesses,
            @Value("${smorgas.data}") String data,
            @Value("${server.address:127.0.0.1}") String address,
            @Value("${smorgas.hosts}") Set<String> hosts)
            throws IOException {
        if (Hosts.mustBeNamed(address) && hosts.isEmpty()) {
            throw new IllegalStateException("who listens on " + address + " must name the hosts by which it is called");
        }
        // The token is in a cookie and in the page, not in a session: an open tab goes on after a restart.
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict").httpOnly(true));
        http.csrf(csrf -> csrf.csrfTokenRepository(tokens)
                        .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler()))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)))
                .addFilterBefore(new OwnOrigin(Hosts.of(address, hosts), wording), AuthorizationFilter.class)
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable());
        PasswordFile password = PasswordFile.in(Path.of(data));
        if (password.isSet()) {
            http.addFilterBefore(new SlowGuesses(guesses, password.hash(), wording), BasicAuthenticationFilter.class);
            http.authorizeHttpRequests(all -> all.anyRequest().authenticated()).httpBasic(Customizer.withDefaults());
        } else {
            http.authorizeHttpRequests(all -> all.anyRequest().permitAll());
        }
        return http.build();
    }

    @Bean
    UserDetailsService users(@Value("${smorgas.data}") String data) throws IOException {
        PasswordFile file = PasswordFile.in(Path.of(data));
        if (!file.isSet()) {
            return new InMemoryUserDetailsManager();
        }
        return new InMemoryUserDetailsManager(User.withUsername("smorgas")
                .password(file.hash())
                .roles("RESEARCHER")
                .build());
    }

    @Bean
    Guesses passwordEncoder() {
        return new Guesses(PasswordFile.ENCODER, System::nanoTime);
    }
}
