package smorgas.app.web.frame;

import java.util.List;
import java.util.Optional;
import org.springframework.ui.Model;
import smorgas.app.web.show.Show;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;

/**
 * The tray as it is shown.
 *
 * @param texts the tidy texts of what is picked, in the order in which it was
 * @param searches their known searches together
 */
public record TrayView(long project, List<String> texts, Message picked, Message searches) {

    /** The tray that holds these texts. */
    public static TrayView of(long project, List<String> texts, Keywords keywords) {
        Optional<FigureColumn> searches = keywords.figure(Figure.SEARCHES);
        long twice = 0;
        boolean simulated = false;
        for (String text : texts) {
            Optional<Integer> keyword = keywords.find(text);
            if (keyword.isPresent() && searches.isPresent() && searches.get().known(keyword.get())) {
                twice += searches.get().twiceMiddle(keyword.get());
                simulated |= searches.get().simulated(keyword.get());
            }
        }
        return new TrayView(
                project,
                texts,
                Message.of("count.keywords", texts.size()),
                Message.verbatim(Show.marked(Show.count(twice / 2), simulated)));
    }

    /** Makes it the one that a page or a part of one shows. */
    public void show(Model model) {
        model.addAttribute("tray", this);
    }

    /** What could be said of them. */
    public Intent[] intents() {
        return Intent.values();
    }

    public int count() {
        return texts.size();
    }
}
