package smorgas.app.web.group;

import java.util.List;
import java.util.function.ToIntFunction;
import smorgas.app.web.show.Html;
import smorgas.app.web.show.Show;
import smorgas.core.group.engine.Dial;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** What the dial from broad to tight gives at each place, as two lines over it: groups, and keywords left over. */
final class DialHtml {

    static final int WIDTH = 300;
    static final int HEIGHT = 34;

    /**
     * A place with a name.
     *
     * @param url shows it
     * @param here whether the dial stands there
     */
    record Named(Message name, String groups, String ungrouped, String url, boolean here) {}

    /**
     * The dial as it is shown.
     *
     * @param markup of the SVG's inside
     * @param named places that one can go to at once
     */
    record Picture(String markup, List<Named> named) {}

    private DialHtml() {}

    /** The dial; nothing over it where nothing is known of its places. */
    static Picture of(
            Dial dial, Method.BySimilarity method, GroupSettings settings, GroupQuery query, Wording wording) {
        if (dial.points().isEmpty()) {
            return new Picture("", List.of());
        }
        Html html = new Html(4_000, wording);
        int most = Math.max(1, Math.max(most(dial, Dial.Point::groups), most(dial, Dial.Point::ungrouped)));
        line(html, "dial-left", dial, most, Dial.Point::ungrouped);
        line(html, "dial-groups", dial, most, Dial.Point::groups);
        html.raw("<line class=\"dial-here\" x1=\"")
                .raw(x(method.place()))
                .raw("\" x2=\"")
                .raw(x(method.place()))
                .raw("\" y1=\"0\" y2=\"")
                .raw(String.valueOf(HEIGHT))
                .raw("\"></line>");
        Asked asked = new Asked(method, settings, query);
        List<Named> named = List.of(
                named(Message.of("group.dial-html.broad"), Method.BySimilarity.BROAD, dial, asked),
                named(Message.of("group.dial-html.usual"), Method.BySimilarity.USUAL, dial, asked),
                named(Message.of("group.dial-html.tight"), Method.BySimilarity.TIGHT, dial, asked),
                named(Message.of("group.dial-html.one-keyword-each"), Method.BySimilarity.TIGHTEST, dial, asked));
        return new Picture(html.toString(), named);
    }

    private static int most(Dial dial, ToIntFunction<Dial.Point> of) {
        return dial.points().stream().mapToInt(of).max().orElse(0);
    }

    private static String x(int place) {
        return String.valueOf(place * WIDTH / Method.BySimilarity.TIGHTEST);
    }

    private static void line(Html html, String name, Dial dial, int most, ToIntFunction<Dial.Point> of) {
        html.raw("<polyline class=\"").raw(name).raw("\" points=\"");
        for (Dial.Point point : dial.points()) {
            long y = HEIGHT - 2 - Math.round((HEIGHT - 4) * (double) of.applyAsInt(point) / most);
            html.raw(x(point.place())).raw(",").raw(String.valueOf(y)).raw(" ");
        }
        html.raw("\"></polyline>");
    }

    /** What is asked for now, of which a place on the dial is one thing otherwise. */
    private record Asked(Method.BySimilarity method, GroupSettings settings, GroupQuery query) {

        GroupQuery at(int place, boolean single) {
            Method.BySimilarity turned = new Method.BySimilarity(
                    place, single ? 1 : method.smallest(), method.largest(), method.meaning(), method.compared());
            return new GroupQuery(Dials.query(settings.with(turned)), query.fields());
        }
    }

    private static Named named(Message name, int place, Dial dial, Asked asked) {
        // Each by itself is a group of one.
        boolean single = place == Method.BySimilarity.TIGHTEST;
        Dial.Point at = dial.points().stream()
                .filter(point -> point.place() == place)
                .findFirst()
                .orElse(new Dial.Point(place, 0, 0));
        return new Named(
                name,
                Show.count(single ? at.groups() + at.ungrouped() : at.groups()),
                Show.count(single ? 0 : at.ungrouped()),
                asked.at(place, single).with(),
                place == asked.method.place());
    }
}
