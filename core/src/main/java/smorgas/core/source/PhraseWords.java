package smorgas.core.source;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.recipe.gather.PhraseSettings.Part;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** The words of pages by numbers, with what they weigh where they stand; cut where a sentence or a part ends. */
final class PhraseWords {

    /** Stands between words that are not next to each other. */
    static final int CUT = -1;

    private final PhraseSettings wanted;
    private final Set<String> badWords;
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<String> words = new ArrayList<>();

    PhraseWords(PhraseSettings wanted) {
        this.wanted = wanted;
        this.badWords = Set.copyOf(wanted.badWords());
    }

    /** The words of a page and what each counts; {@value #CUT} between runs of text. */
    record Page(String name, int[] words, byte[] weights) {}

    /** The word with this number. */
    String word(int number) {
        return words.get(number);
    }

    /**
     * Of a page. A text without markup is a page of runs that end with its lines.
     *
     * @throws Refusal if it is none
     */
    Page page(String name, byte[] page) {
        IntArrayList ids = new IntArrayList();
        IntArrayList weights = new IntArrayList();
        boolean marked = !wanted.from().isEmpty() || !wanted.to().isEmpty();
        boolean within = wanted.from().isEmpty();
        for (PageTexts.Run run : PageTexts.of(name, page)) {
            boolean body = run.part() != Part.TITLE && run.part() != Part.META;
            if (!marked) {
                take(run.part(), Tidy.of(run.text()), ids, weights);
            } else if (body) {
                within = between(run, within, ids, weights);
            }
        }
        byte[] counts = new byte[weights.size()];
        for (int at = 0; at < counts.length; at++) {
            counts[at] = (byte) weights.getInt(at);
        }
        return new Page(name, ids.toIntArray(), counts);
    }

    /** Takes what stands between the marks in a run; whether what follows it does too. */
    private boolean between(PageTexts.Run run, boolean before, IntArrayList ids, IntArrayList weights) {
        String text = Tidy.of(run.text());
        boolean within = before;
        for (int at = 0; at <= text.length(); ) {
            if (within) {
                int end = wanted.to().isEmpty() ? -1 : text.indexOf(wanted.to(), at);
                take(run.part(), text.substring(at, end < 0 ? text.length() : end), ids, weights);
                if (end < 0) {
                    return true;
                }
                within = false;
                at = end + wanted.to().length();
            } else {
                int start = wanted.from().isEmpty() ? -1 : text.indexOf(wanted.from(), at);
                if (start < 0) {
                    return false;
                }
                within = true;
                at = start + wanted.from().length();
            }
        }
        return within;
    }

    private void take(Part part, String text, IntArrayList ids, IntArrayList weights) {
        Integer weight = wanted.weights().get(part);
        if (weight == null) {
            return;
        }
        if (plain(text)) {
            takePlain(text, weight, ids, weights);
            return;
        }
        StringBuilder word = new StringBuilder();
        for (Words.Piece piece : Words.pieces(text)) {
            if (piece.word()) {
                word.append(piece.text());
            } else if (!word.isEmpty()
                    && (piece.text().equals("-") || piece.text().equals("'"))) {
                word.append(piece.text());
            } else {
                put(word, weight, ids, weights);
                if (!piece.text().isBlank()) {
                    put(CUT, 0, ids, weights);
                }
            }
        }
        put(word, weight, ids, weights);
        put(CUT, 0, ids, weights);
    }

    /** Whether the rules for boundaries of words come to letters and digits on one side and everything else on the other. */
    private static boolean plain(String text) {
        for (int at = 0; at < text.length(); at++) {
            char sign = text.charAt(at);
            boolean ends = at + 1 == text.length() || text.charAt(at + 1) == ' ';
            if (!letter(sign) && sign != ' ' && !(ends && ".,;:!?".indexOf(sign) >= 0)) {
                return false;
            }
        }
        return true;
    }

    private static boolean letter(char sign) {
        return sign >= 'a' && sign <= 'z' || sign >= '0' && sign <= '9';
    }

    private void takePlain(String text, int weight, IntArrayList ids, IntArrayList weights) {
        int start = -1;
        for (int at = 0; at <= text.length(); at++) {
            char sign = at == text.length() ? ' ' : text.charAt(at);
            if (letter(sign)) {
                start = start < 0 ? at : start;
            } else {
                if (start >= 0) {
                    String word = text.substring(start, at);
                    put(badWords.contains(word) ? CUT : number(word), weight, ids, weights);
                    start = -1;
                }
                if (sign != ' ') {
                    put(CUT, 0, ids, weights);
                }
            }
        }
        put(CUT, 0, ids, weights);
    }

    private void put(StringBuilder word, int weight, IntArrayList ids, IntArrayList weights) {
        if (!word.isEmpty()) {
            String text = word.toString();
            word.setLength(0);
            boolean bad = badWords.contains(text);
            put(bad ? CUT : number(text), weight, ids, weights);
        }
    }

    private static void put(int id, int weight, IntArrayList ids, IntArrayList weights) {
        ids.add(id);
        weights.add(weight);
    }

    private int number(String word) {
        return numbers.computeIfAbsent(word, text -> {
            words.add(text);
            return words.size() - 1;
        });
    }
}
