package smorgas.app;

import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** A made-up language: every text of the catalogue in brackets that nothing else has. */
public final class OtherWords implements Wording {

    public static final Wording WORDING = new OtherWords();

    private static final Pattern WORD = Pattern.compile("(?:https?://|/|[./-])?[A-Za-z][A-Za-z'.-]*[A-Za-z]");

    private OtherWords() {}

    @Override
    public String of(Message message) {
        String text = Catalogue.english().of(message);
        return message.key().isEmpty() || text.isEmpty() ? text : "\u27e6" + text + "\u27e7";
    }

    @Override
    public Set<String> keys() {
        return Catalogue.english().keys();
    }

    /** The words with Latin letters that stand outside of brackets. */
    public static Set<String> outside(String text) {
        StringBuilder left = new StringBuilder();
        int depth = 0;
        for (char sign : text.toCharArray()) {
            if (sign == '\u27e6') {
                depth++;
            } else if (sign == '\u27e7') {
                depth--;
                left.append(' ');
            } else if (depth == 0) {
                left.append(sign);
            }
        }
        Set<String> words = new TreeSet<>();
        for (String line : left.toString().split("\n")) {
            Matcher found = WORD.matcher(line);
            if (found.find()) {
                words.add(line.strip().replaceAll("\\s+", " "));
            }
        }
        return words;
    }
}
