package smorgas.app.web.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import smorgas.app.work.Table;

/** What a request opens stays in memory until it is answered, downloads too. */
@Component
class Visits extends OncePerRequestFilter {

    private final Table table;

    Visits(Table table) {
        this.table = table;
    }

    @Override
    @SuppressWarnings("try") // it is held, not named
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try (Table.Visiting visit = table.visit()) {
            chain.doFilter(request, response);
        }
    }
}
