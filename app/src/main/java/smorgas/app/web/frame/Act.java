package smorgas.app.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.function.Function;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;
import smorgas.app.web.show.Show;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Snapshot;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.Recipe;

/**
 * An act that a form on a project's page asks for: it knows the project, the version that the page showed, and the way back.
 * A controller's parameter of this type is filled in from the address and the form's {@code version}.
 */
public final class Act {

    private final HttpServletRequest request;
    private final OpenProject project;
    private final long version;

    Act(HttpServletRequest request, OpenProject project, long version) {
        this.request = request;
        this.project = project;
        this.version = version;
    }

    /** The project's number. */
    public long id() {
        return project.id();
    }

    public OpenProject project() {
        return project;
    }

    /** The project as it is now, before the act. */
    public Snapshot snapshot() {
        return project.snapshot();
    }

    /**
     * Makes the act, if nothing that it touches was changed since the page was shown.
     *
     * @param entry makes the entry from the recipe in force; what it refuses is told, so it is made only here
     */
    public Outcome make(Function<Recipe, Entry> entry) {
        return project.act(version, entry);
    }

    /** Takes the last act back. */
    public Outcome undo() {
        return project.undo(version);
    }

    /** Brings the act undone last back. */
    public Outcome redo() {
        return project.redo(version);
    }

    /** Makes the act, as {@link #make}, and goes back to the page. */
    public String done(Function<Recipe, Entry> entry) {
        return back(make(entry));
    }

    /** Back to the page that asked, which tells what came of it. */
    public String back(Outcome outcome) {
        return back(outcome, Map.of());
    }

    /**
     * Back to the page that asked with another look at what was acted on.
     *
     * @param asking what its address asks instead; an empty value for not at all
     */
    public String back(Outcome outcome, Map<String, String> asking) {
        tell(outcome);
        return "redirect:" + asking(page(), asking);
    }

    /** What the page that asked has in its address under this name; empty if nothing, or if there is no such page. */
    public String asked(String name) {
        String value = UriComponentsBuilder.fromUriString(page())
                .build()
                .getQueryParams()
                .getFirst(name);
        return value == null ? "" : UriUtils.decode(value.replace("+", " "), StandardCharsets.UTF_8);
    }

    /**
     * On to another page of the project, which tells what came of it.
     *
     * @param page its address behind the project's own, such as {@code /fold}
     */
    public String to(String page, Outcome outcome) {
        tell(outcome);
        return "redirect:" + base() + page;
    }

    private void tell(Outcome outcome) {
        Frames.notice(outcome).ifPresent(notice -> RequestContextUtils.getOutputFlashMap(request)
                .put("notice", notice));
    }

    private String base() {
        return "/projects/" + project.id();
    }

    private static String asking(String page, Map<String, String> asking) {
        UriComponentsBuilder asked = UriComponentsBuilder.fromUriString(page);
        asking.forEach((name, value) ->
                asked.replaceQueryParam(name, value.isEmpty() ? new Object[0] : new Object[] {Show.encoded(value)}));
        try {
            return asking.isEmpty() ? page : asked.build(true).toUriString();
        } catch (IllegalArgumentException e) {
            // The header holds what no page of ours would write.
            return page;
        }
    }

    private String page() {
        String from = request.getHeader("HX-Current-URL");
        from = from == null ? request.getHeader("Referer") : from;
        // Not the project's own address: it redirects once more, and a notice does not outlive the second time.
        String otherwise = base() + "/sift";
        if (from == null) {
            return otherwise;
        }
        try {
            URI uri = URI.create(from);
            String path = uri.getRawPath();
            // Only a page of this project: the header is not to be trusted further. Literal braces would be taken for
            // URI variables by the redirect.
            if (path != null && path.startsWith(base() + "/")) {
                String query = uri.getRawQuery();
                return (path + (query == null ? "" : "?" + query))
                        .replace("{", "%7B")
                        .replace("}", "%7D");
            }
        } catch (IllegalArgumentException e) {
            return otherwise;
        }
        return otherwise;
    }
}
