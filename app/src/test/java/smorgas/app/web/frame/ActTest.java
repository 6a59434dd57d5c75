package smorgas.app.web.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.FlashMap;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.core.text.Message;

/** After an act one is back on the page where one was, and never anywhere else. */
class ActTest {

    private final FlashMap flash = new FlashMap();

    private Act act(Map<String, String> headers) {
        HttpServletRequest request = mock();
        headers.forEach((name, value) -> when(request.getHeader(name)).thenReturn(value));
        when(request.getAttribute(DispatcherServlet.OUTPUT_FLASH_MAP_ATTRIBUTE)).thenReturn(flash);
        OpenProject project = mock();
        when(project.id()).thenReturn(7L);
        return new Act(request, project, 3);
    }

    private String back(String header, String url) {
        return act(Map.of(header, url)).back(new Outcome.Done(Message.verbatim("Done.")));
    }

    @ParameterizedTest
    @CsvSource({
        "http://127.0.0.1:8620/projects/7/sift?q=bee&page=3, /projects/7/sift?q=bee&page=3",
        "http://127.0.0.1:8620/projects/7/group?ignored=a%20b, /projects/7/group?ignored=a%20b",
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
    void whatWasNotDoneIsToldOnThePageAlsoOnAnother() {
        act(Map.of()).back(new Outcome.Refused(Message.verbatim("Not done.")));
        assertThat(flash.get("notice")).hasToString("Not done.");
        assertThat(act(Map.of()).to("/fold", new Outcome.Done(Message.verbatim("Done."))))
                .isEqualTo("redirect:/projects/7/fold");
    }

    @ParameterizedTest
    @CsvSource({
        "/group?view=list&group=old&page=2, /group?view=list&group=a+%26+b",
        "/group, /group?group=a+%26+b",
        "/group?q=[x], /group?q=[x]"
    })
    void oneIsBackWithAnotherLookAtWhatWasActedOn(String from, String to) {
        String page = "http://127.0.0.1:8620/projects/7" + from;
        assertThat(act(Map.of("Referer", page))
                        .back(new Outcome.Done(Message.verbatim("Done.")), Map.of("group", "a & b", "page", "")))
                .isEqualTo("redirect:/projects/7" + to);
    }
}
