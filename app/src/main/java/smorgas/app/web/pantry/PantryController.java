package smorgas.app.web.pantry;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Pantry;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Missing;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Shows the pantry's lists; makes, changes, imports and exports them. */
@Controller
class PantryController {

    /** Longer lists are not put into a field to be changed by hand; they are exchanged as files. */
    private static final int MOST_IN_FIELD = 5_000;

    /** A list in a few words. */
    record ListLink(
            String name, Message kind, String language, int version, String words, String url, boolean opened) {}

    private final Pantry pantry;

    PantryController(Pantry pantry) {
        this.pantry = pantry;
    }

    /** The lists, and the version that is opened. */
    record PantryPage(
            List<ListLink> lists,
            WordList.Kind[] kinds,
            @Nullable WordList opened,
            List<Integer> versions,
            int newest,
            Message size,
            boolean inField,
            String text,
            List<String> removed) {}

    @GetMapping("/pantry")
    String page(
            @RequestParam(defaultValue = "") String list, @RequestParam(defaultValue = "0") int version, Model model) {
        List<WordList> all = pantry.all();
        List<WordList> versions = list.isEmpty() ? List.of() : pantry.versions(list);
        @Nullable
        WordList opened = versions.stream()
                .filter(known -> version == 0 || known.version() == version)
                .findFirst()
                .orElse(null);
        Shown.in(
                model,
                new PantryPage(
                        all.stream()
                                .map(known -> new ListLink(
                                        known.name(),
                                        known.kind().label(),
                                        known.language(),
                                        known.version(),
                                        Show.count(known.words().size()),
                                        url(known.name()),
                                        known.name().equals(list)))
                                .toList(),
                        WordList.Kind.values(),
                        opened,
                        versions.stream().map(WordList::version).toList(),
                        versions.isEmpty() ? 0 : versions.getFirst().version(),
                        opened == null
                                ? Message.NONE
                                : Message.of("count.entries", opened.words().size()),
                        opened == null || opened.words().size() <= MOST_IN_FIELD,
                        opened == null
                                ? ""
                                : String.join(
                                        "\n",
                                        opened.words()
                                                .subList(
                                                        0,
                                                        Math.min(opened.words().size(), MOST_IN_FIELD))),
                        pantry.removed()));
        return "pantry/page";
    }

    private static String url(String name) {
        return "/pantry?list=" + Show.encoded(name);
    }

    /** The words of a list and their language. */
    record Typed(String language, String words) {

        Typed {
            language = language == null ? "" : language;
            words = words == null ? "" : words;
        }
    }

    /** A list as it stands in the fields or in a file becomes the newest version of its name. */
    @PostMapping("/pantry")
    String save(
            @RequestParam String name,
            @RequestParam WordList.Kind kind,
            @ModelAttribute Typed typed,
            @RequestParam(required = false) @Nullable MultipartFile file,
            RedirectAttributes redirect)
            throws IOException {
        boolean uploaded = file != null && !file.isEmpty();
        String text = uploaded ? new String(file.getBytes(), StandardCharsets.UTF_8) : typed.words();
        try {
            WordList list = WordList.of(name, typed.language(), kind, text);
            if (list.words().isEmpty()) {
                redirect.addFlashAttribute("notice", Message.of("pantry.pantry-controller.nothing-saved-list-needs"));
                return "redirect:/pantry";
            }
            WordList saved = pantry.save(list);
            redirect.addFlashAttribute(
                    "notice",
                    Message.of(
                            "pantry.pantry-controller.entry-version",
                            saved.name(),
                            saved.words().size(),
                            saved.version()));
            return "redirect:" + url(saved.name());
        } catch (Refusal e) {
            redirect.addFlashAttribute("notice", Message.of("pantry.pantry-controller.nothing-saved", e.message()));
            return "redirect:/pantry";
        }
    }

    /** An older version becomes the newest again. */
    @PostMapping("/pantry/version")
    String goBack(@RequestParam String list, @RequestParam int version, RedirectAttributes redirect) {
        WordList older = pantry.versions(list).stream()
                .filter(known -> known.version() == version)
                .findFirst()
                .orElseThrow(() -> new Missing("missing.list", list));
        redirect.addFlashAttribute(
                "notice",
                Message.of(
                        "pantry.pantry-controller.version-version",
                        list,
                        version,
                        pantry.save(older).version()));
        return "redirect:" + url(list);
    }

    @PostMapping("/pantry/remove")
    String remove(@RequestParam String list, RedirectAttributes redirect) {
        pantry.remove(list);
        redirect.addFlashAttribute("notice", Message.of("pantry.pantry-controller.took-away-projects-use", list));
        return "redirect:/pantry";
    }

    @PostMapping("/pantry/restore")
    String restore(@RequestParam String list) {
        pantry.restore(list);
        return "redirect:" + url(list);
    }

    /** A list as text, an entry a line. */
    @GetMapping("/pantry/export")
    void export(@RequestParam String list, HttpServletResponse response) throws IOException {
        WordList found = pantry.find(list).orElseThrow(() -> new Missing("missing.list", list));
        response.setContentType("text/plain;charset=UTF-8");
        response.setHeader(
                "Content-Disposition",
                ContentDisposition.attachment()
                        .filename(list + ".txt", StandardCharsets.UTF_8)
                        .build()
                        .toString());
        for (String word : found.words()) {
            response.getWriter().write(word + "\n");
        }
    }
}
