package smorgas.app.web.group;

import java.util.Optional;
import smorgas.app.work.Meanings;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.text.Message;

/**
 * What the Group page tells of what keywords mean.
 *
 * @param meaningTold a sentence
 * @param meaningStop where to stop it; empty if it is not going on
 * @param meaningGo where to go on; empty if there is nothing to go on with
 * @param meaningAgain where the line is asked for again; empty if it will stay as it is
 * @param meaningOffer the page with meaning counted; empty if it is counted already, or not known yet
 */
record MeaningView(
        Message meaningTold, String meaningStop, String meaningGo, String meaningAgain, String meaningOffer) {

    /** Instead of it, where similarity is not found out of so many keywords. */
    static MeaningView tooMany(Method method) {
        Message why = Message.of("group.meaning-view.more-than-keywords-their", method.most());
        return new MeaningView(why, "", "", "", "");
    }

    /** What it takes is told before somebody has more keywords compared. */
    static Message takes(Method method, int keywords) {
        return Message.of("group.meaning-view.left-them-takes-mb", keywords, (method.needed(keywords) >> 20) + 1);
    }

    /** What there is to tell; empty where nothing can be known of meaning. */
    static Optional<MeaningView> of(long id, Meanings.State state, GroupSettings settings, GroupQuery query) {
        String here = "/projects/" + id + "/group/meaning";
        return switch (state) {
            case Meanings.Off off -> Optional.empty();
            case Meanings.Waiting waiting ->
                Optional.of(new MeaningView(
                        Message.of(
                                "group.meaning-view.words-alone-decide-keywords",
                                progress(waiting.known(), waiting.all())),
                        "",
                        here,
                        "",
                        ""));
            case Meanings.Working working ->
                Optional.of(new MeaningView(
                        Message.of("group.meaning-view.finding-out-what-keywords", soFar(working)),
                        here,
                        "",
                        here + query.with(),
                        ""));
            case Meanings.Ready ready ->
                settings.method().meaning()
                        ? Optional.empty()
                        : Optional.of(new MeaningView(
                                Message.of("group.meaning-view.known-now-what-keywords"),
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

    private static Message soFar(Meanings.Working working) {
        return working.all() == 0
                ? Message.NONE
                : Message.of("group.meaning-view.so-far", progress(working.known(), working.all()));
    }

    private static Message progress(int known, int all) {
        return Message.of("group.meaning-view.progress", known, all);
    }
}
