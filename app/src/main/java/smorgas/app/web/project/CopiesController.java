package smorgas.app.web.project;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Copies;
import smorgas.app.work.Missing;
import smorgas.core.text.Message;

/** Copies of everything that is stored: made when asked for, and given away. */
@Controller
class CopiesController {

    private final Copies copies;

    CopiesController(Copies copies) {
        this.copies = copies;
    }

    /** A copy is made now, unless the newest has everything already. */
    @PostMapping("/copies")
    String make(RedirectAttributes redirect) throws IOException, SQLException {
        boolean made = copies.makeIfChanged().isPresent();
        redirect.addFlashAttribute(
                "notice",
                made
                        ? Message.of("project.copies-controller.made-copy-everything")
                        : Message.of("project.copies-controller.nothing-changed-since-newest"));
        return "redirect:/projects#copies";
    }

    /** A copy as a file, for {@code ./smorgas restore}. */
    @GetMapping("/copies/{name:copy-[0-9a-f-]{1,60}\\.zip}")
    ResponseEntity<Resource> give(@PathVariable String name) throws IOException {
        Path copy = copies.find(name).orElseThrow(() -> new Missing("missing.copy", name));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(new FileSystemResource(copy));
    }
}
