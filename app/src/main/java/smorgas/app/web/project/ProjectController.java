package smorgas.app.web.project;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.demo.DemoProject;
import smorgas.app.store.Copies;
import smorgas.app.store.Project;
import smorgas.app.store.Projects;
import smorgas.app.store.RecipeFile;
import smorgas.app.web.gather.ListsIn;
import smorgas.app.web.show.Language;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Offered;
import smorgas.app.work.Openings;
import smorgas.app.work.ReadingTasks;
import smorgas.app.work.Table;
import smorgas.core.gather.FirstGuess;
import smorgas.core.recipe.RecipeTaken;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** The projects: list, make, rename, copy, bin. */
@Controller
class ProjectController {

    private static final String LIST = "redirect:/projects";

    private final Projects projects;
    private final Table table;
    private final ListsIn listsIn;
    private final ReadingTasks gatherings;
    private final DemoProject demo;
    private final Copies copies;
    private final Openings openings;

    ProjectController(
            Projects projects,
            Table table,
            ListsIn listsIn,
            ReadingTasks gatherings,
            DemoProject demo,
            Copies copies,
            Openings openings) {
        this.openings = openings;
        this.projects = projects;
        this.table = table;
        this.listsIn = listsIn;
        this.gatherings = gatherings;
        this.demo = demo;
        this.copies = copies;
    }

    /** The project worked on last, or the list if there is none, or if Smorgas ended while it was opened. */
    @GetMapping("/")
    String start() {
        Optional<Project> last =
                projects.all().stream().filter(p -> !p.binned()).findFirst().filter(p -> openings.ended(p.id()) == 0);
        return last.map(project -> "redirect:/projects/" + project.id()).orElse(LIST);
    }

    /** All projects. */
    record ProjectsPage(
            List<Project> projects,
            List<Project> binned,
            List<Language> languages,
            Map<String, Message> names,
            List<CopyView> copies,
            Set<Long> ended) {}

    /** A copy of everything. */
    record CopyView(String name, String at, Message size) {}

    @GetMapping("/projects")
    String list(Model model) throws IOException {
        List<Project> all = projects.all();
        Shown.in(
                model,
                new ProjectsPage(
                        all.stream().filter(p -> !p.binned()).toList(),
                        all.stream().filter(Project::binned).toList(),
                        Language.ALL,
                        Language.ALL.stream().collect(Collectors.toUnmodifiableMap(Language::code, Language::name)),
                        copies.made().stream()
                                .map(one -> new CopyView(one.name(), one.at(), size(one.bytes())))
                                .toList(),
                        all.stream()
                                .map(Project::id)
                                .filter(id -> openings.ended(id) > 0)
                                .collect(Collectors.toSet())));
        return "project/list";
    }

    private static Message size(long bytes) {
        return Message.of(
                "project.project-controller.text",
                Message.of(
                        "project.project-controller.text-2",
                        Message.of(
                                "project.project-controller.text-3",
                                String.format(java.util.Locale.ENGLISH, "%,.1f MB", bytes / BYTES_OF_MEGABYTE))));
    }

    private static final double BYTES_OF_MEGABYTE = 1e6;

    @GetMapping("/projects/{id}")
    String open(@PathVariable long id) {
        projects.opened(id);
        return "redirect:/projects/" + id
                + (table.open(id).snapshot().baskets().isEmpty() ? "/gather" : "/sift?sort=-searches");
    }

    /** The first minute: a project of lists that are dropped or pasted before there is any, all told from them. */
    @PostMapping("/projects/begin")
    String begin(
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @RequestParam(defaultValue = "") String pasted,
            @RequestParam(defaultValue = "false") boolean joined,
            RedirectAttributes redirect)
            throws IOException {
        ListsIn.Came came = listsIn.open(files, pasted, "", joined);
        if (came.lists().isEmpty()) {
            redirect.addFlashAttribute(
                    "notice",
                    came.problems().isEmpty()
                            ? Message.of("project.project-controller.nothing-came-choose-file")
                            : Message.joined("list.sentences", came.problems()));
            return LIST;
        }
        Offered first = came.lists().getFirst();
        FirstGuess guess = FirstGuess.read(first.name(), first.bytes(), first.readAs());
        long id = projects.create(
                guess.name().isEmpty() ? first.name() : guess.name(), guess.language(), "", guess.currency());
        listsIn.gather(table.open(id), came.lists());
        if (!came.problems().isEmpty()) {
            redirect.addFlashAttribute("notice", Message.joined("list.sentences", came.problems()));
        }
        return "redirect:/projects/" + id + "/gather";
    }

    /** The demo, a project half-way done. */
    @PostMapping("/projects/demo")
    String demo() {
        return "redirect:/projects/" + demo.make();
    }

    /** What was guessed, or has changed, put right in place; everything is read anew by it. */
    @PostMapping("/projects/{id}/about")
    String about(@PathVariable long id, @ModelAttribute About about, RedirectAttributes redirect) {
        Optional<Message> fault = about.fault()
                .or(() -> gatherings.pending(id).isEmpty()
                        ? Optional.empty()
                        : Optional.of(Message.of("project.project-controller.lists-still-being-read")));
        if (fault.isPresent()) {
            redirect.addFlashAttribute("notice", fault.get());
        } else {
            projects.about(id, about.name(), about.language(), about.market(), about.currency());
            table.forget(id);
        }
        return "redirect:/projects/" + id + "/gather";
    }

    @PostMapping("/projects")
    String create(
            @ModelAttribute About about,
            @RequestParam(required = false) @Nullable MultipartFile recipe,
            RedirectAttributes redirect)
            throws IOException {
        Optional<Message> fault = about.fault();
        if (fault.isPresent()) {
            redirect.addFlashAttribute("notice", fault.get());
            return LIST;
        }
        Optional<RecipeTaken> taken;
        try {
            taken = recipe == null || recipe.isEmpty()
                    ? Optional.empty()
                    : Optional.of(RecipeFile.take(listsIn.nameOf(recipe), recipe.getBytes(), about.language()));
        } catch (Refusal e) {
            redirect.addFlashAttribute("notice", Message.of("sentence", e.message()));
            return LIST;
        }
        long id = projects.create(about.name(), about.language(), about.market(), about.currency());
        taken.ifPresent(first -> table.open(id).act(0, before -> first));
        return "redirect:/projects/" + id;
    }

    @PostMapping("/projects/{id}/rename")
    String rename(@PathVariable long id, @RequestParam String name, RedirectAttributes redirect) {
        Optional<Message> fault = About.fault(name);
        if (fault.isPresent()) {
            redirect.addFlashAttribute("notice", fault.get());
        } else {
            projects.rename(id, name.strip());
        }
        return LIST;
    }

    @PostMapping("/projects/{id}/copy")
    String copy(@PathVariable long id) {
        Project original = projects.find(id).orElseThrow();
        String name = original.name() + " (copy)";
        projects.copy(id, name.length() > 200 ? original.name() : name);
        return LIST;
    }

    @PostMapping("/projects/{id}/bin")
    String bin(@PathVariable long id, RedirectAttributes redirect) {
        projects.bin(id);
        redirect.addFlashAttribute("binnedNow", projects.find(id).orElse(null));
        return LIST;
    }

    @PostMapping("/projects/{id}/restore")
    String restore(@PathVariable long id) {
        projects.restore(id);
        return LIST;
    }

    /** The projects in the bin. */
    record Bin(List<Project> binned) {}

    /** The one question that Smorgas asks: this really deletes a client's data. */
    @GetMapping("/projects/bin")
    String askToEmpty(Model model) {
        Shown.in(model, new Bin(projects.all().stream().filter(Project::binned).toList()));
        return "project/bin";
    }

    @PostMapping("/projects/bin/empty")
    String empty(RedirectAttributes redirect) {
        projects.all().stream().filter(Project::binned).forEach(project -> table.forget(project.id()));
        int deleted = projects.emptyBin();
        redirect.addFlashAttribute(
                "notice",
                deleted == 1
                        ? Message.of("project.project-controller.deleted-1-project")
                        : Message.of("project.project-controller.deleted-projects", deleted));
        return LIST;
    }
}
