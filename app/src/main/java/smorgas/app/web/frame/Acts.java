package smorgas.app.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;
import smorgas.app.web.show.Show;
import smorgas.app.work.Outcome;

/** After an act: back to the page it was made on. */
@Component
public class Acts {

    /** Redirects to the page of the project on which the act was made; a notice goes with it if one is due. */
    public String back(HttpServletRequest request, RedirectAttributes redirect, long project, Outcome outcome) {
        return back(request, redirect, project, outcome, Map.of());
    }

    /**
     * The same with another look at what was acted on.
     *
     * @param asking what the address asks instead; an empty value for not at all
     */
    public String back(
            HttpServletRequest request,
            RedirectAttributes redirect,
            long project,
            Outcome outcome,
            Map<String, String> asking) {
        Frames.notice(outcome).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
        return "redirect:" + asking(page(request, project), asking);
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

    private static String page(HttpServletRequest request, long project) {
        String from = request.getHeader("HX-Current-URL");
        from = from == null ? request.getHeader("Referer") : from;
        String base = "/projects/" + project;
        // Not the project's own address: it redirects once more, and a notice does not outlive the second time.
        String otherwise = base + "/sift";
        if (from == null) {
            return otherwise;
        }
        try {
            URI uri = URI.create(from);
            String path = uri.getRawPath();
            // Only a page of this project: the header is not to be trusted further. Literal braces would be taken for
            // URI variables by the redirect.
            if (path != null && path.startsWith(base + "/")) {
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
