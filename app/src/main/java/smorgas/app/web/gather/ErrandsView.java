package smorgas.app.web.gather;

import java.util.List;
import smorgas.app.work.Errand;
import smorgas.app.work.Errands;

/**
 * The tools at work for a project, and those that were lately.
 *
 * @param pending whether one is at work
 */
record ErrandsView(long id, boolean pending, List<One> all) {

    private static final int SHOWN = 5;

    /**
     * One of them.
     *
     * @param lines how far it is, or what came of it
     * @param basket that it made or renewed; 0 for none
     */
    record One(long number, String name, boolean pending, List<String> lines, long basket) {}

    static ErrandsView of(Errands errands, long project) {
        List<One> all =
                errands.of(project).stream().limit(SHOWN).map(ErrandsView::one).toList();
        return new ErrandsView(project, all.stream().anyMatch(One::pending), all);
    }

    private static One one(Errand errand) {
        boolean pending = errand.pending();
        return new One(
                errand.number(),
                errand.name(),
                pending,
                pending ? errand.told() : List.of(errand.sentence()),
                errand.basket());
    }
}
