package smorgas.bench;

import java.io.IOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Lists made for measuring, always the same for the same size: phrases of a thing with modifiers before and behind it,
 * drawn so that a third of the lines is in several lists, one line in twenty spelled otherwise.
 */
final class MadeLists {

    private static final int FILES = 6;
    private static final String[] SYLLABLES = {
        "ba", "del", "for", "gin", "hol", "ka", "lum", "mer", "nor", "pil", "ra", "sen", "tov", "ul", "wex", "zi"
    };

    private final Random random = new Random(8_620);
    private final List<String> things;
    private final List<String> modifiers;

    private MadeLists(int lines) {
        things = words(Math.max(60, lines / 250));
        modifiers = words(Math.max(40, lines / 600));
    }

    private List<String> words(int count) {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            StringBuilder word = new StringBuilder();
            for (int rest = i + 16; rest > 0; rest /= SYLLABLES.length) {
                word.append(SYLLABLES[rest % SYLLABLES.length]);
            }
            words.add(word.toString());
        }
        return words;
    }

    /** A word of the list, the first ones far more often than the last. */
    private String common(List<String> words) {
        return words.get((int) (words.size() * Math.pow(random.nextDouble(), 2.5)));
    }

    private String phrase() {
        StringBuilder phrase = new StringBuilder();
        if (random.nextInt(100) < 45) {
            phrase.append(common(modifiers)).append(' ');
        }
        phrase.append(common(things));
        for (int chance = 70; random.nextInt(100) < chance; chance /= 2) {
            phrase.append(' ').append(common(modifiers));
        }
        return phrase.toString();
    }

    private String spelled(String phrase) {
        return switch (random.nextInt(60)) {
            case 0 -> phrase.toUpperCase(java.util.Locale.ROOT);
            case 1 -> "[" + phrase + "]";
            case 2 -> phrase.replace(" ", "  ");
            default -> phrase;
        };
    }

    /** The phrases without figures, as many as lines. */
    static List<String> phrases(int lines) {
        MadeLists made = new MadeLists(lines);
        List<String> phrases = new ArrayList<>(lines);
        for (int i = 0; i < lines; i++) {
            phrases.add(made.phrase());
        }
        return phrases;
    }

    /** Writes the lists into a folder and returns them. */
    static List<Path> write(Path folder, int lines) throws IOException {
        MadeLists made = new MadeLists(lines);
        List<Path> files = new ArrayList<>();
        for (int file = 0; file < FILES; file++) {
            Path path = folder.resolve("made-" + lines + "-" + file + ".csv");
            try (Writer out = Files.newBufferedWriter(path)) {
                out.write("Keyword,Search volume,CPC\n");
                for (int i = file; i < lines; i += FILES) {
                    String phrase = made.phrase();
                    int searches = 10 + (phrase.hashCode() & 0xFFF) * 10;
                    out.write(made.spelled(phrase) + "," + searches + "," + searches % 300 / 100.0 + "\n");
                }
            }
            files.add(path);
        }
        return files;
    }
}
