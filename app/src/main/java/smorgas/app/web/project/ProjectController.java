package smorgas.app.web.project;

import java.io.IOException;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Project;
import smorgas.app.store.Projects;
import smorgas.app.store.RecipeFile;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Table;
import smorgas.core.recipe.RecipeTaken;
import smorgas.core.text.Refusal;

/** The projects: list, make, rename, copy, bin. */
@Controller
class ProjectController {

    /** A language that a project can be in. */
    record Language(String code, String name) {}

    private static final List<Language> LANGUAGES = List.of(
            new Language("en", "English"),
            new Language("de", "German"),
            new Language("fr", "French"),
            new Language("es", "Spanish"),
            new Language("it", "Italian"),
            new Language("nl", "Dutch"),
            new Language("pt", "Portuguese"),
            new Language("sv", "Swedish"),
            new Language("da", "Danish"),
            new Language("no", "Norwegian"),
            new Language("fi", "Finnish"));

    private static final Set<String> CURRENCIES = Currency.getAvailableCurrencies().stream()
            .map(Currency::getCurrencyCode)
            .collect(Collectors.toUnmodifiableSet());

    private static final String LIST = "redirect:/projects";

    private final Projects projects;
    private final Table table;

    ProjectController(Projects projects, Table table) {
        this.projects = projects;
        this.table = table;
    }

    /** The project worked on last, or the list if there is none. */
    @GetMapping("/")
    String start() {
        Optional<Project> last =
                projects.all().stream().filter(p -> !p.binned()).findFirst();
        return last.map(project -> "redirect:/projects/" + project.id()).orElse(LIST);
    }

    /** All projects. */
    record ProjectsPage(
            List<Project> projects, List<Project> binned, List<Language> languages, Map<String, String> names) {}

    @GetMapping("/projects")
    String list(Model model) {
        List<Project> all = projects.all();
        Shown.in(
                model,
                new ProjectsPage(
                        all.stream().filter(p -> !p.binned()).toList(),
                        all.stream().filter(Project::binned).toList(),
                        LANGUAGES,
                        LANGUAGES.stream().collect(Collectors.toUnmodifiableMap(Language::code, Language::name))));
        return "project/list";
    }

    @GetMapping("/projects/{id}")
    String open(@PathVariable long id) {
        projects.opened(id);
        return "redirect:/projects/" + id
                + (table.open(id).snapshot().baskets().isEmpty() ? "/gather" : "/sift?sort=-searches");
    }

    @PostMapping("/projects")
    String create(
            @RequestParam String name,
            @RequestParam String language,
            @RequestParam String market,
            @RequestParam String currency,
            @RequestParam(required = false) @Nullable MultipartFile recipe,
            RedirectAttributes redirect)
            throws IOException {
        Optional<String> fault = fault(name, market)
                .or(() -> LANGUAGES.stream().noneMatch(l -> l.code().equals(language))
                        ? Optional.of("Choose one of the languages.")
                        : Optional.empty())
                .or(() -> CURRENCIES.contains(currency.strip().toUpperCase(java.util.Locale.ROOT))
                        ? Optional.empty()
                        : Optional.of("A currency is three letters, such as GBP or EUR."));
        if (fault.isPresent()) {
            redirect.addFlashAttribute("notice", fault.get());
            return LIST;
        }
        Optional<RecipeTaken> taken;
        try {
            taken = recipe == null || recipe.isEmpty()
                    ? Optional.empty()
                    : Optional.of(
                            RecipeFile.take(Show.fileName(recipe.getOriginalFilename()), recipe.getBytes(), language));
        } catch (Refusal e) {
            redirect.addFlashAttribute("notice", e.getMessage() + ".");
            return LIST;
        }
        long id = projects.create(
                name.strip(), language, market.strip(), currency.strip().toUpperCase(java.util.Locale.ROOT));
        taken.ifPresent(first -> table.open(id).act(0, before -> first));
        return "redirect:/projects/" + id;
    }

    private static Optional<String> fault(String name, String market) {
        if (name.isBlank() || name.strip().length() > 200) {
            return Optional.of("A project needs a name of 1 to 200 characters.");
        }
        return market.length() > 80 ? Optional.of("A market has at most 80 characters.") : Optional.empty();
    }

    @PostMapping("/projects/{id}/rename")
    String rename(@PathVariable long id, @RequestParam String name, RedirectAttributes redirect) {
        Optional<String> fault = fault(name, "");
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

    /** The one question that Smorgas asks: this really deletes a client's data. */
    @GetMapping("/projects/bin")
    String askToEmpty(Model model) {
        model.addAttribute(
                "binned", projects.all().stream().filter(Project::binned).toList());
        return "project/bin";
    }

    @PostMapping("/projects/bin/empty")
    String empty(RedirectAttributes redirect) {
        projects.all().stream().filter(Project::binned).forEach(project -> table.forget(project.id()));
        int deleted = projects.emptyBin();
        redirect.addFlashAttribute("notice", deleted == 1 ? "Deleted 1 project." : "Deleted " + deleted + " projects.");
        return LIST;
    }
}
