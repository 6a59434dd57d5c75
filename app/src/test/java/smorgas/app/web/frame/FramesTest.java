package smorgas.app.web.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doReturn;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.verify;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.ui.ConcurrentModel;
import org.springframework.ui.Model;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;
import smorgas.app.store.StoreUnderTest;
import smorgas.app.web.show.Step;
import smorgas.app.work.Finding;
import smorgas.app.work.Offered;
import smorgas.app.work.Table;
import smorgas.app.work.TableUnderTest;
import smorgas.app.work.Trays;
import smorgas.core.text.Catalogue;

/** The page that stands for one about groups, as it is written. */
class FramesTest {

    private static final int MORE_THAN_A_PAGE_WAITS_FOR = 20_001;

    @TempDir
    Path folder;

    private StoreUnderTest store;
    private Table table;
    private Frames frames;
    private long project;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        table = spy(TableUnderTest.over(store));
        frames = new Frames(store.projects(), table, new Trays(), Catalogue.english());
        project = store.projects().create("Very many", "en", "UK", "GBP");
        StringBuilder list = new StringBuilder("keyword\n");
        for (int i = 0; i < MORE_THAN_A_PAGE_WAITS_FOR; i++) {
            list.append("thing").append(i).append('\n');
        }
        table.open(project).gather(Offered.file("many", list.toString().getBytes(StandardCharsets.UTF_8)));
    }

    @AfterEach
    void close() {
        table.destroy();
        store.close();
    }

    private String page(Finding finding, Model model) {
        doReturn(finding).when(table).groupsWithin(anyLong(), any(), anyLong());
        GroupsPending pending =
                catchThrowableOfType(GroupsPending.class, () -> frames.openWithGroups(project, Step.GROUP));
        assertThat(pending).isNotNull();
        return drawn(frames.waiting(pending, model), "work", model);
    }

    private static String drawn(String template, String fragment, Model model) {
        ClassLoaderTemplateResolver templates = new ClassLoaderTemplateResolver();
        templates.setPrefix("templates/");
        templates.setSuffix(".html");
        SpringTemplateEngine engine = PageWords.engine(Catalogue.english());
        engine.setTemplateResolver(templates);
        Context context = new Context();
        context.setVariables(model.asMap());
        return engine.process(template, Set.of(fragment), context);
    }

    @Test
    void whatIsBeingFoundIsWaitedForAndAsksForItself() {
        assertThat(page(Finding.UNDER_WAY, new ConcurrentModel()))
                .contains("Groups are being found", "20,001 keywords", "/groups-found?step=group")
                .doesNotContain("could not be found", "Try again");
    }

    /** It asks for nothing by itself; what is tried again is the very page that was asked for. */
    @Test
    void whatCannotBeFoundIsToldAndTriedAgainWhenItIsWanted() {
        assertThat(page(Finding.FAILED, new ConcurrentModel()))
                .contains("Groups could not be found", "20,001 keywords", "<a href=\"\">Try again</a>")
                .doesNotContain("hx-get", "are being found", "<!--");
        verify(table).findAnew(project);
    }

    @ParameterizedTest
    @EnumSource(Finding.class)
    void whoAsksOnceMoreIsToldHowFarItIs(Finding finding) {
        doReturn(finding).when(table).groupsWithin(anyLong(), any(), anyLong());
        Model model = new ConcurrentModel();
        assertThat(frames.stillWaiting(model, project, Step.SERVE)).isEqualTo(finding);
        assertThat(model.getAttribute("failed")).isEqualTo(finding == Finding.FAILED);
        assertThat(drawn("frame/waiting", "asked", model)).contains("/groups-found?step=serve");
    }
}
