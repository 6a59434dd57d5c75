package smorgas.app.web.again;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Projects;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.gather.ListsIn;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.core.gather.Harvest;
import smorgas.core.text.Message;

/** A new harvest: the lists of this month in the places of those of the last, here or in a copy, and then what is otherwise. */
@Controller
class HarvestController {

    private static final int LONGEST_NAME = 200;

    private final Frames frames;
    private final Projects projects;
    private final ListsIn listsIn;

    HarvestController(Frames frames, Projects projects, ListsIn listsIn) {
        this.frames = frames;
        this.projects = projects;
        this.listsIn = listsIn;
    }

    /**
     * What is there to be renewed.
     *
     * @param baskets their names
     * @param copyName what a copy would be called
     */
    record HarvestPage(List<String> baskets, String copyName) {}

    @GetMapping("/projects/{id}/harvest")
    String page(@PathVariable long id, Model model) {
        OpenProject project = frames.open(id);
        Shown.in(
                model,
                new HarvestPage(
                        project.snapshot().baskets().stream()
                                .map(GatheredBasket::name)
                                .toList(),
                        copyName(id)));
        frames.frame(model, id, project.snapshot(), Step.GATHER);
        return "again/harvest";
    }

    private String copyName(long id) {
        return cut(frames.wording()
                .of("again.harvest-controller.name", frames.project(id).name()));
    }

    private static String cut(String name) {
        return name.substring(0, Math.min(LONGEST_NAME, name.length()));
    }

    /** Each list takes the place of its older version, or is a new basket. Each is an act of its own; the point before has a number. */
    @PostMapping("/projects/{id}/harvest")
    String gather(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @RequestParam(defaultValue = "false") boolean copy,
            @RequestParam(defaultValue = "") String name,
            RedirectAttributes redirect)
            throws IOException {
        ListsIn.Came came = listsIn.open(files, "", "", false);
        List<Message> told = new ArrayList<>(came.problems());
        if (came.lists().isEmpty()) {
            redirect.addFlashAttribute(
                    "notice",
                    told.isEmpty()
                            ? Message.of("again.harvest-controller.list-chosen")
                            : Message.joined("list.sentences", told));
            return "redirect:/projects/" + id + "/harvest";
        }
        long into = copy ? projects.copy(id, name.isBlank() ? copyName(id) : cut(name.strip())) : id;
        OpenProject project = frames.open(into);
        int before = project.snapshot().history().steps().size();
        told.addFirst(gather(project, came.lists(), told));
        if (project.snapshot().history().steps().size() == before) {
            redirect.addFlashAttribute("notice", Message.joined("list.sentences", told));
            return "redirect:/projects/" + into + "/harvest";
        }
        redirect.addFlashAttribute("notice", Message.joined("list.sentences", told));
        return "redirect:/projects/" + into + "/difference?from=" + before;
    }

    /** Says in a sentence what became of them. */
    private static Message gather(OpenProject project, List<Offered> lists, List<Message> problems) {
        List<GatheredBasket> there = project.snapshot().baskets();
        Map<Integer, Integer> pairs = Harvest.pairs(
                there.stream().map(GatheredBasket::name).toList(),
                lists.stream().map(Offered::name).toList());
        int renewed = 0;
        int fresh = 0;
        for (int place = 0; place < lists.size(); place++) {
            Offered list = lists.get(place);
            Optional<GatheredBasket> older =
                    Optional.ofNullable(pairs.get(place)).map(there::get);
            OpenProject.Gathered gathered =
                    older.isPresent() ? project.renew(older.get().id(), list.bytes()) : project.gather(list);
            Frames.notice(gathered.outcome()).ifPresent(problems::add);
            if (gathered.basket().isPresent()) {
                renewed += older.isPresent() ? 1 : 0;
                fresh += older.isPresent() ? 0 : 1;
            }
        }
        return Message.of("again.harvest-controller.list-place-older-version", renewed, fresh);
    }
}
