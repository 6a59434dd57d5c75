package smorgas.app.web.group;

import java.util.Optional;
import smorgas.app.web.show.Show;
import smorgas.app.work.Meanings;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;

/**
 * What the Group page tells of what keywords mean.
 *
 * @param meaningTold a sentence
 * @param meaningStop where to stop it; empty if it is not going on
 * @param meaningGo where to go on; empty if there is nothing to go on with
 * @param meaningAgain where the line is asked for again; empty if it will stay as it is
 * @param meaningOffer the page with meaning counted; empty if it is counted already, or not known yet
 */
record MeaningView(String meaningTold, String meaningStop, String meaningGo, String meaningAgain, String meaningOffer) {

    /** Instead of it, where likeness is not found out of so many keywords. */
    static MeaningView tooMany(Method method) {
        String why = "More than " + Show.count(method.most())
                + " keywords: their groups form by themes here, until fewer are left. Sift out what does not fit, choose themes"
                + " to turn their dials, or compare more of them (More dials), which takes its time.";
        return new MeaningView(why, "", "", "", "");
    }

    /** What it takes is told before somebody has more keywords compared. */
    static String takes(Method method, int keywords) {
        return Show.count(keywords) + " are left; for them it takes " + Show.count((method.needed(keywords) >> 20) + 1)
                + " MB.";
    }

    /** What there is to tell; empty where nothing can be known of meaning. */
    static Optional<MeaningView> of(long id, Meanings.State state, GroupSettings settings, GroupQuery query) {
        String here = "/projects/" + id + "/group/meaning";
        return switch (state) {
            case Meanings.Off off -> Optional.empty();
            case Meanings.Waiting waiting ->
                Optional.of(new MeaningView(
                        "Words alone decide; of " + progress(waiting.known(), waiting.all())
                                + " keywords it is known what they mean.",
                        "",
                        here,
                        "",
                        ""));
            case Meanings.Working working ->
                Optional.of(new MeaningView(
                        "Finding out what keywords mean"
                                + (working.all() == 0 ? "" : ": " + progress(working.known(), working.all()))
                                + "; words decide till then.",
                        here,
                        "",
                        here + query.with(),
                        ""));
            case Meanings.Ready ready ->
                settings.method().meaning()
                        ? Optional.empty()
                        : Optional.of(new MeaningView(
                                "It is known now what the keywords mean.",
                                "",
                                "",
                                "",
                                "/projects/" + id + "/group"
                                        + new GroupQuery(
                                                        Dials.query(settings.with(settings.method()
                                                                .with(true))),
                                                        query.fields())
                                                .with()));
            case Meanings.Broken broken -> Optional.of(new MeaningView(broken.why(), "", "", "", ""));
        };
    }

    private static String progress(int known, int all) {
        return Show.count(known) + " of " + Show.count(all);
    }
}
