package smorgas.app.web.pantry;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Json;
import smorgas.app.store.Layouts;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Missing;
import smorgas.core.serve.PlanLayout;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Wording;

/** The layouts of the ad plan: makes, changes, imports and exports them. */
@Controller
class LayoutController {

    private final Layouts layouts;
    private final Wording wording;

    LayoutController(Layouts layouts, Wording wording) {
        this.layouts = layouts;
        this.wording = wording;
    }

    /** The layouts, and the one in the form; a fresh one has no name yet. */
    record LayoutsPage(
            List<PlanLayout> layouts,
            List<String> removed,
            boolean fresh,
            PlanLayout opened,
            PlanLayout.Between[] betweens,
            PlanLayout.Kind[] kinds,
            Message fields) {}

    @GetMapping("/pantry/layouts")
    String page(@RequestParam(defaultValue = "") String layout, Model model) {
        List<PlanLayout> all = layouts.all();
        PlanLayout opened = all.stream()
                .filter(one -> one.name().equals(layout))
                .findFirst()
                .orElse(PlanLayout.usual(wording.of("pantry.layout-controller.new-layout")));
        Shown.in(
                model,
                new LayoutsPage(
                        all,
                        layouts.removed(),
                        !all.contains(opened),
                        opened,
                        PlanLayout.Between.values(),
                        PlanLayout.Kind.values(),
                        PlanLayout.fields()));
        return "pantry/layouts";
    }

    /** A layout as it stands in the fields or in a file becomes the newest version of its name. */
    @PostMapping("/pantry/layouts")
    String save(
            @RequestParam MultiValueMap<String, String> fields,
            @RequestParam(required = false) @Nullable MultipartFile file,
            RedirectAttributes redirect)
            throws IOException {
        try {
            PlanLayout layout = file != null && !file.isEmpty()
                    ? Json.layout(new String(file.getBytes(), StandardCharsets.UTF_8))
                    : read(new Fields(fields));
            layouts.save(layout);
            redirect.addFlashAttribute(
                    "notice", Message.of("pantry.layout-controller.pantry-every-project-offers", layout.name()));
            return "redirect:/pantry/layouts?layout=" + Show.encoded(layout.name());
        } catch (Refusal refused) {
            redirect.addFlashAttribute(
                    "notice", Message.of("pantry.layout-controller.nothing-saved", refused.message()));
            return "redirect:/pantry/layouts";
        }
    }

    private static PlanLayout read(Fields fields) {
        return new PlanLayout(
                fields.text("name"),
                fields.choice(PlanLayout.Between.class, "between"),
                fields.ticked(PlanLayout.Kind.class, "rows"),
                new PlanLayout.Words(
                        fields.has("signs"),
                        fields.text("broad"),
                        fields.text("phrase"),
                        fields.text("exact"),
                        fields.text("negative")),
                fields.text("insertion"),
                fields.text("enabled"),
                fields.lines("columns").stream().map(PlanLayout.Column::read).toList());
    }

    @PostMapping("/pantry/layouts/remove")
    String remove(@RequestParam String layout, @RequestParam boolean away, RedirectAttributes redirect) {
        layouts.remove(layout, away);
        redirect.addFlashAttribute(
                "notice",
                away
                        ? Message.of("pantry.layout-controller.took-away-put-back", layout)
                        : Message.of("pantry.layout-controller.is-back", layout));
        return "redirect:/pantry/layouts";
    }

    /** A layout as a file, for another pantry or the command line. */
    @GetMapping("/pantry/layouts/export")
    ResponseEntity<String> export(@RequestParam String layout) {
        PlanLayout found = layouts.find(layout).orElseThrow(() -> new Missing("missing.layout", layout));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename(layout + ".json", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(Json.pretty(found));
    }
}
