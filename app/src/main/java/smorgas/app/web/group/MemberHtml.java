package smorgas.app.web.group;

import java.util.List;
import smorgas.app.web.show.Html;
import smorgas.app.web.show.Show;
import smorgas.core.group.read.ThemeMarks;
import smorgas.core.text.Wording;

/** Rows of the opened group's keywords, the words of its theme set off. */
final class MemberHtml {

    private MemberHtml() {}

    /**
     * The rows.
     *
     * @param base of the project's addresses
     */
    static String of(List<OpenedGroupView.Member> members, String base, Wording wording) {
        Html html = new Html(members.size() * 900, wording);
        members.forEach(member -> row(html, member, base));
        return html.toString();
    }

    private static void row(Html html, OpenedGroupView.Member member, String base) {
        String text = Show.encoded(member.text());
        html.raw("<tr class=\"keyword-row\" tabindex=\"-1\" data-k=\"")
                .text(member.text())
                .raw("\"><td class=\"pick\"><input type=\"checkbox\" tabindex=\"-1\" aria-label=\"")
                .said("sift.row.pick", member.text())
                .raw("\"></td><td class=\"keyword\"><a href=\"")
                .text(base + "/sift?q=" + text + "&story=" + text)
                .raw("\">");
        for (ThemeMarks.Mark mark : member.marks()) {
            html.raw(mark.theme() ? "<b>" : "<span>").text(mark.text()).raw(mark.theme() ? "</b>" : "</span>");
        }
        html.raw("</a>");
        if (!member.how().isEmpty()) {
            html.raw(" <span class=\"quiet hint\">").text(member.how()).raw("</span>");
        }
        html.raw("</td><td class=\"mark ")
                .text(member.status())
                .raw("\" title=\"")
                .text(member.label())
                .raw(
                        "\"><svg viewBox=\"0 0 12 12\" aria-hidden=\"true\"><path class=\"shape\"/></svg><span class=\"unseen\">")
                .text(member.label())
                .raw("</span></td><td class=\"number\">")
                .text(member.searches())
                .raw("</td><td class=\"number\">")
                .text(member.tightness())
                .raw("</td><td class=\"next-best\">");
        if (!member.next().isEmpty()) {
            html.raw("<a href=\"")
                    .text(member.nextUrl())
                    .raw("\">")
                    .text(member.next())
                    .raw("</a>");
        }
        html.raw("</td></tr>");
    }
}
