package smorgas.app.web.show;

import org.unbescape.html.HtmlEscape;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/**
 * HTML or SVG written in Java where thousands of elements would take a template engine most of a page's time. What is not
 * a constant of the code goes through {@link #text}.
 */
public final class Html {

    private final StringBuilder html;
    private final Wording wording;

    public Html(int expectedLength, Wording wording) {
        this.html = new StringBuilder(expectedLength);
        this.wording = wording;
    }

    /** Markup as it stands in the code. */
    public Html raw(String markup) {
        html.append(markup);
        return this;
    }

    public Html number(long number) {
        html.append(number);
        return this;
    }

    /** A number with one digit behind the point, as pictures need it. */
    public Html decimal(double number) {
        long tenths = Math.round(number * 10);
        html.append(tenths < 0 ? "-" : "")
                .append(Math.abs(tenths) / 10)
                .append('.')
                .append(Math.abs(tenths) % 10);
        return this;
    }

    /** A text with everything escaped that means something in an element or between quotes of an attribute. */
    public Html text(String text) {
        html.append(HtmlEscape.escapeHtml4Xml(text));
        return this;
    }

    /** A message in its words, escaped like any text. */
    public Html text(Message message) {
        return text(wording.of(message));
    }

    /** A text of the catalogue, escaped like any text. */
    public Html said(String key, Object... arguments) {
        return text(wording.of(key, arguments));
    }

    @Override
    public String toString() {
        return html.toString();
    }
}
