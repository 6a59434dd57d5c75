package smorgas.app.web.group;

import java.util.List;
import org.springframework.ui.Model;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.GroupsByHand;
import smorgas.core.text.Message;

/**
 * What can be done with a group, called from the list, the map, the plan or where it is opened.
 *
 * @param names that it could have, beside the one it has
 * @param words of its theme, which can be ignored
 * @param removable whether its theme can be kept from coming back
 * @param anewUrl where it is seen grouped anew; empty where groups are not adopted
 */
record GroupMenu(
        String key,
        String name,
        Message figures,
        List<String> names,
        List<String> words,
        boolean locked,
        boolean made,
        boolean split,
        boolean removable,
        String note,
        String openUrl,
        String partsUrl,
        String anewUrl) {

    /** Makes it the one that a page or a part of one shows. */
    void show(Model model) {
        model.addAttribute("menu", this);
    }

    /**
     * Of a group.
     *
     * @param query of the page from which it is called
     * @param base of the project's addresses
     */
    static GroupMenu of(Board board, int group, GroupQuery query, String base) {
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        String key = grouping.key(group);
        GroupsByHand decisions = board.recipe().grouping().decisions();
        String page = base + "/group";
        return new GroupMenu(
                key,
                groups.name(group),
                Message.of(
                        "list.dot",
                        Message.of("count.keywords", groups.keywords(group)),
                        Show.searches(groups.searches(group))),
                groups.explained().names(group),
                grouping.theme(group),
                decisions.locked().containsKey(key),
                decisions.made().contains(key),
                decisions.split().containsKey(key),
                grouping.settings().method().byWords() && !grouping.theme(group).isEmpty(),
                board.recipe().notes().groups().getOrDefault(key, ""),
                page + query.opening(key),
                page + query.opening(key) + "parts=true",
                decisions.adopted().isEmpty() || !query.dials().isEmpty() ? "" : page + query.anew("group " + key));
    }
}
