package smorgas.app.web.group;

import smorgas.core.text.Message;

/** A way to look at groups: the left side of the Group page. */
enum GroupLook {
    MAP("map", "group.look.map"),
    LIST("list", "group.look.list"),
    DOUBTS("doubts", "group.look.doubts"),
    SAME("same", "group.look.same"),
    TREE("tree", "group.look.tree"),
    NET("net", "group.look.net"),
    CANDIDATES("candidates", "group.look.candidates"),
    COMPARE("compare", "group.look.compare");

    private final String key;
    private final Message label;

    GroupLook(String key, String label) {
        this.key = key;
        this.label = Message.of(label);
    }

    /** What the address calls it. */
    public String key() {
        return key;
    }

    public Message label() {
        return label;
    }
}
