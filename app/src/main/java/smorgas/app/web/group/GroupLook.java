package smorgas.app.web.group;

/** A way to look at groups: the left side of the Group page. */
enum GroupLook {
    MAP("map", "Map"),
    LIST("list", "List"),
    DOUBTS("doubts", "Doubtful first"),
    SAME("same", "Same meaning"),
    TREE("tree", "Broader themes"),
    NET("net", "Net of words"),
    CANDIDATES("candidates", "Candidates"),
    COMPARE("compare", "Alternatives");

    private final String key;
    private final String label;

    GroupLook(String key, String label) {
        this.key = key;
        this.label = label;
    }

    /** What the address calls it. */
    public String key() {
        return key;
    }

    public String label() {
        return label;
    }
}
