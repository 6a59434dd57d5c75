package smorgas.app.web.gather;

import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Offered;
import smorgas.app.work.Snapshot;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.LogReading;
import smorgas.core.source.LogTerms;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Logs: the searches of one's own visitors counted, and made a basket; the log itself is never kept. */
@Controller
class LogsController {

    /** No log that can be sent takes so long. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    private final Frames frames;

    LogsController(Frames frames) {
        this.frames = frames;
    }

    /** The form. */
    record LogsPage(LogsForm form) {}

    /** A reading as the fields of its form. */
    record LogsForm(String parameters, boolean referrers, String goals, int least, String name) {
        static LogsForm of(LogReading reading, String name) {
            return new LogsForm(
                    String.join(" ", reading.parameters()),
                    reading.referrers(),
                    reading.goals().stream().map(LogReading.Goal::written).collect(Collectors.joining("\n")),
                    reading.least(),
                    name);
        }
    }

    @GetMapping("/projects/{id}/logs")
    String page(@PathVariable long id, @RequestParam(defaultValue = "0") long again, Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        LogsForm form = snapshot.board()
                .recipe()
                .gathering()
                .find(again)
                .flatMap(basket ->
                        basket.asked(Asked.Logged.class).map(asked -> LogsForm.of(asked.reading(), basket.name())))
                .orElse(LogsForm.of(LogReading.USUAL, ""));
        Shown.in(model, new LogsPage(form));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/logs";
    }

    @PostMapping("/projects/{id}/logs")
    String count(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @RequestParam MultiValueMap<String, String> fields,
            RedirectAttributes redirect) {
        Fields form = new Fields(fields);
        return ToolResult.basket(
                frames.open(id), "logs", () -> counted(form, files == null ? List.of() : files, redirect), redirect);
    }

    private Offered counted(Fields form, List<MultipartFile> files, RedirectAttributes redirect) {
        LogReading reading = new LogReading(
                List.of(form.text("parameters").split("[\\s,;]+")),
                form.has("referrers"),
                form.lines("goals").stream().map(LogReading.Goal::read).toList(),
                form.number("least", Message.of("unit.visits")));
        List<MultipartFile> logs =
                files.stream().filter(file -> !file.isEmpty()).toList();
        if (logs.isEmpty()) {
            throw new Refusal("gather.logs-controller.choose-log-first");
        }
        LogTerms.Result result = read(reading, logs, redirect);
        if (result.terms().isEmpty()) {
            throw new Refusal(
                    "gather.logs-controller.search-found-can-keyword",
                    result.counted().told(),
                    List.copyOf(reading.parameters()));
        }
        return Offered.made(
                ToolResult.name(
                        form.text("name"),
                        frames.wording()
                                .of(
                                        "basket-name.searches-of",
                                        Show.fileName(
                                                String.valueOf(logs.getFirst().getOriginalFilename()),
                                                frames.wording()))),
                result.list(!reading.goals().isEmpty()),
                BasketInfo.Kind.LOG,
                new Asked.Logged(reading, result.counted()));
    }

    private LogTerms.Result read(LogReading reading, List<MultipartFile> logs, RedirectAttributes redirect) {
        LogTerms terms = new LogTerms(reading);
        long until = System.nanoTime() + LONGEST.toNanos();
        for (MultipartFile log : logs) {
            try (InputStream bytes = log.getInputStream()) {
                terms.read(bytes, () -> {
                    if (System.nanoTime() > until) {
                        throw new Refusal("gather.logs-controller.still-being-read-after", LONGEST.toMinutes());
                    }
                });
            } catch (IOException e) {
                // What was counted before stands.
                redirect.addFlashAttribute(
                        "notice",
                        Message.of(
                                "gather.logs-controller.damaged-read-until-pack",
                                Show.fileName(String.valueOf(log.getOriginalFilename()), frames.wording())));
            }
        }
        return terms.result();
    }
}
