package smorgas.app.web.group;

import smorgas.app.web.show.Html;
import smorgas.core.group.read.NetOfWords;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** The net of words as SVG: a dot as large as the word is common, a line as thick as two words are often together. */
final class NetHtml {

    private NetHtml() {}

    /** The lines and the words; every word leads to the candidates that have it. */
    static String of(NetOfWords net, double width, double height, GroupQuery query, Wording wording) {
        double[][] at = Springs.lay(net.words().size(), net.links(), width, height);
        Html html = new Html(net.words().size() * 400 + net.links().size() * 200, wording);
        double most = net.links().isEmpty() ? 1 : net.links().getFirst().keywords();
        for (NetOfWords.Link link : net.links()) {
            NetOfWords.Word one = net.words().get(link.one());
            NetOfWords.Word other = net.words().get(link.other());
            html.raw("<line class=\"net-line\" x1=\"");
            html.decimal(at[link.one()][0]).raw("\" y1=\"");
            html.decimal(at[link.one()][1]).raw("\" x2=\"");
            html.decimal(at[link.other()][0]).raw("\" y2=\"");
            html.decimal(at[link.other()][1]).raw("\" stroke-width=\"");
            html.decimal(.6 + 5.4 * link.keywords() / most)
                    .raw("\"><title>")
                    .said("group.net-html.both", one.text(), other.text(), link.keywords())
                    .raw("</title></line>");
        }
        double largest = net.words().isEmpty() ? 1 : net.words().getFirst().keywords();
        for (int i = 0; i < at.length; i++) {
            NetOfWords.Word word = net.words().get(i);
            double radius = 3 + 13 * Math.sqrt(word.keywords() / largest);
            html.raw("<a class=\"net-word\" data-word=\"")
                    .text(word.text())
                    .raw("\" tabindex=\"")
                    .raw(i == 0 ? "0" : "-1")
                    .raw("\" href=\"")
                    .text(query.with("view", "candidates", "q", word.text(), "page", ""))
                    .raw("\" aria-label=\"")
                    .text(Message.of("group.net-html.keyword-candidates", word.text(), word.keywords()))
                    .raw("\"><circle cx=\"");
            html.decimal(at[i][0]).raw("\" cy=\"");
            html.decimal(at[i][1]).raw("\" r=\"");
            html.decimal(radius).raw("\"/><text text-anchor=\"middle\" x=\"");
            html.decimal(at[i][0]).raw("\" y=\"");
            html.decimal(at[i][1] + radius + 11).raw("\">").text(word.text()).raw("</text></a>");
        }
        return html.toString();
    }
}
