package smorgas.app.web.sift;

import java.util.List;
import smorgas.app.web.show.Html;
import smorgas.app.web.show.Show;
import smorgas.core.sift.WordCounts.WordCount;
import smorgas.core.text.Wording;

/** The list of words on view: each a handle, a bar of what became of its keywords, a figure. */
final class WordHtml {

    private WordHtml() {}

    /**
     * The items of the list.
     *
     * @param searches whether the figure is the searches and not the count
     */
    static String of(List<WordCount> words, boolean searches, Wording wording) {
        Html html = new Html(words.size() * 500, wording);
        for (WordCount word : words) {
            html.raw("<li><button type=\"button\" class=\"w\" title=\"")
                    .said("sift.word.counts", word.searches().written(), word.kept(), word.undecided(), word.dropped())
                    .raw("\">")
                    .text(word.word())
                    .raw("</button><svg class=\"split\" viewBox=\"0 0 ")
                    .number(word.count())
                    .raw(" 10\" preserveAspectRatio=\"none\" aria-hidden=\"true\">");
            bar(html, "kept", 0, word.kept());
            bar(html, "undecided", word.kept(), word.undecided());
            bar(html, "dropped", word.kept() + word.undecided(), word.dropped());
            html.raw("</svg><span class=\"number\">")
                    .text(searches ? word.searches().written() : Show.count(word.count()))
                    .raw("</span></li>");
        }
        return html.toString();
    }

    private static void bar(Html html, String status, int from, int width) {
        html.raw("<rect y=\"0\" height=\"10\" class=\"")
                .raw(status)
                .raw("\" x=\"")
                .number(from)
                .raw("\" width=\"")
                .number(width)
                .raw("\"/>");
    }
}
