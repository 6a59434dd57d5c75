package smorgas.app.web.project;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.ProjectFile;
import smorgas.app.store.Projects;
import smorgas.app.work.Memory;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** A whole project as a file, and a project of such a file. */
@Controller
class ProjectFileController {

    /** So long a file waits for memory. */
    private static final long PATIENCE_MILLIS = 30_000;

    private final Memory memory;

    private final ProjectFile files;
    private final Projects projects;

    ProjectFileController(ProjectFile files, Projects projects, Memory memory) {
        this.memory = memory;
        this.files = files;
        this.projects = projects;
    }

    /** Everything of a project: its lists as they came, its decisions and their history. */
    @GetMapping("/projects/{id}/project.zip")
    void download(@PathVariable long id, HttpServletResponse response) throws IOException {
        projects.find(id).orElseThrow();
        response.setContentType("application/zip");
        response.setHeader("Content-Disposition", "attachment; filename=\"project.zip\"");
        files.write(id, response.getOutputStream());
    }

    /** A project as it was written, beside those that are there. */
    @PostMapping("/projects/file")
    @SuppressWarnings("try") // it is held, not named
    String open(@RequestParam MultipartFile file, RedirectAttributes redirect) throws IOException {
        Path place = Files.createTempFile("smorgas-project", ".zip");
        try {
            file.transferTo(place);
            long needed = Memory.reading(ProjectFile.largestList(place));
            try (Memory.Claim claim =
                    memory.claim(Message.of("project.project-file-controller.project-file"), needed, PATIENCE_MILLIS)) {
                return "redirect:/projects/" + files.read(place);
            }
        } catch (Refusal refused) {
            redirect.addFlashAttribute("notice", Message.of("sentence", refused.message()));
            return "redirect:/projects";
        } finally {
            Files.deleteIfExists(place);
        }
    }
}
