package smorgas.app.web.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.web.servlet.mvc.support.RedirectAttributesModelMap;
import smorgas.app.work.Outcome;

/** After an act one is back on the page where one was, and never anywhere else. */
class ActsTest {

    private final RedirectAttributesModelMap redirect = new RedirectAttributesModelMap();

    private static HttpServletRequest request(Map<String, String> headers) {
        HttpServletRequest request = mock();
        headers.forEach((name, value) -> when(request.getHeader(name)).thenReturn(value));
        return request;
    }

    private String back(String header, String url) {
        return new Acts().back(request(Map.of(header, url)), redirect, 7, new Outcome.Done("Done."));
    }

    @ParameterizedTest
    @CsvSource({
        "http://127.0.0.1:8620/projects/7/sift?q=bee&page=3, /projects/7/sift?q=bee&page=3",
        "http://127.0.0.1:8620/projects/7/group?muted=a%20b, /projects/7/group?muted=a%20b",
        "http://127.0.0.1:8620/projects/7/sift?q=%7Bx%7D, /projects/7/sift?q=%7Bx%7D",
        "http://elsewhere.example/projects/7/sift, /projects/7/sift",
        "http://elsewhere.example/other, /projects/7/sift",
        "http://127.0.0.1:8620/projects/71/sift, /projects/7/sift",
        "http://127.0.0.1:8620/projects/8/sift?q=x, /projects/7/sift",
        "//elsewhere.example/x, /projects/7/sift",
        "not a url at all, /projects/7/sift"
    })
    void onlyAPageOfTheProjectIsGoneBackTo(String from, String to) {
        assertThat(back("Referer", from)).isEqualTo("redirect:" + to);
        assertThat(back("HX-Current-URL", from)).isEqualTo("redirect:" + to);
    }

    @Test
    void whatWasNotDoneIsToldOnThePage() {
        new Acts().back(request(Map.of()), redirect, 7, new Outcome.Refused("Not done."));
        assertThat(redirect.getFlashAttributes()).hasToString("{notice=Not done.}");
    }
}
