package smorgas.app.web.frame;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import smorgas.app.store.Project;
import smorgas.app.store.Projects;
import smorgas.app.work.Table;

/** Says that a large project is being opened, instead of a page that seems to hang, and then shows the page asked for. */
@Component
class Opening implements HandlerInterceptor, WebMvcConfigurer {

    static final String PAGE = "/opening";
    static final String WANTED = "smorgas.opening.wanted";
    static final String PROJECT = "smorgas.opening.project";
    static final String NAME = "smorgas.opening.name";

    private static final long PATIENCE_MILLIS = 1_500;

    private static final Pattern PAGES =
            Pattern.compile("/projects/(\\d{1,18})/(?:gather|fold|sift|group|serve|history|rules/build)");

    private final Table table;
    private final Projects projects;

    Opening(Table table, Projects projects) {
        this.table = table;
        this.projects = projects;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/projects/*/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws ServletException, IOException {
        Matcher page = PAGES.matcher(request.getRequestURI());
        if (!request.getMethod().equals("GET") || !page.matches()) {
            return true;
        }
        long id = Long.parseLong(page.group(1));
        Optional<Project> project = projects.find(id).filter(p -> !p.binned());
        try {
            if (project.isEmpty() || table.openWithin(id, PATIENCE_MILLIS).isPresent()) {
                return true;
            }
        } catch (NoSuchElementException e) {
            return true;
        }
        String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
        request.setAttribute(WANTED, request.getRequestURI() + query);
        request.setAttribute(PROJECT, id);
        request.setAttribute(NAME, project.get().name());
        request.getRequestDispatcher(PAGE).forward(request, response);
        return false;
    }
}
