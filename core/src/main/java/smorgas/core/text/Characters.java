package smorgas.core.text;

/** Characters as people and ad platforms count them: code points, of which some take two places in a text. */
public final class Characters {

    private Characters() {}

    public static int count(String text) {
        return text.codePointCount(0, text.length());
    }
}
