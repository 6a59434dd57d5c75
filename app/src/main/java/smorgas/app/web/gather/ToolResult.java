package smorgas.app.web.gather;

import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** How a tool of ours ends: in the baskets with a new one opened, or on its own page again with the reason why not. */
final class ToolResult {

    private static final int LONGEST_NAME = 90;

    private ToolResult() {}

    /**
     * Gathers what a tool has made.
     *
     * @param tool the last part of the tool's address
     * @param list makes it, or refuses with a sentence
     * @return where to go on
     */
    static String basket(OpenProject project, String tool, Supplier<Offered> list, RedirectAttributes redirect) {
        return basket(project, tool, list, "", redirect);
    }

    /**
     * The same, and its keywords become those of a group.
     *
     * @param group empty for none
     */
    static String basket(
            OpenProject project, String tool, Supplier<Offered> list, String group, RedirectAttributes redirect) {
        try {
            OpenProject.Gathered gathered = project.gather(list.get());
            Frames.notice(gathered.outcome()).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
            gathered.basket()
                    .filter(basket -> !group.isBlank() && gathered.outcome() instanceof Outcome.Done)
                    .ifPresent(basket ->
                            project.act(project.snapshot().version(), recipe -> placed(project, basket, group)));
            return "redirect:/projects/" + project.id() + "/gather"
                    + gathered.basket().map(basket -> "?basket=" + basket).orElse("");
        } catch (Refusal refused) {
            redirect.addFlashAttribute("notice", Message.of("gather.tool-result.nothing-made", refused.message()));
            return "redirect:/projects/" + project.id() + "/" + tool;
        }
    }

    private static GroupDecision placed(OpenProject project, long basket, String group) {
        GatheredBasket gathered = project.snapshot().baskets().stream()
                .filter(one -> one.id() == basket)
                .findFirst()
                .orElseThrow();
        return new GroupDecision.KeywordsPlaced(
                IntStream.range(0, gathered.lines().size())
                        .mapToObj(row -> Tidy.of(gathered.lines().text(row)))
                        .distinct()
                        .toList(),
                List.of(),
                Tidy.of(group));
    }

    /** A name that was typed, or else another. */
    static String name(String typed, String otherwise) {
        String name = typed.strip();
        return name.isEmpty() ? otherwise : name.substring(0, Math.min(LONGEST_NAME, name.length()));
    }
}
