package smorgas.core.group.same;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import smorgas.core.language.Lexicon;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.group.SameHere;

/**
 * Words and phrases that say the same to somebody who searches, whatever the trade ("cheap", "affordable", "low cost"), as
 * shipped for a language. Cannot change; for a language without a list it is empty.
 */
public final class SameWords {

    /**
     * What several words say.
     *
     * @param name the word by which the others go
     * @param kind such as price, place or audience
     * @param weight how much it says beside a word of the trade, 1 being as much as one that some keywords have
     */
    public record Meaning(String name, String kind, double weight) {}

    /**
     * A phrase that was found.
     *
     * @param meaning its number
     * @param words how many words it has
     */
    public record Match(int meaning, int words) {}

    /** The kind of what only a project says to be the same. */
    private static final String OF_TRADE = "here";

    /** Stands in a phrase for any number. */
    private static final String NUMBER = "#";

    private static final Map<String, SameWords> KNOWN = new ConcurrentHashMap<>();

    private static final class Node {
        private final Map<String, Node> next = new HashMap<>();
        private int meaning = -1;

        /** The place of a phrase, made if there is none. */
        Node at(List<String> phrase) {
            Node node = this;
            for (String word : phrase) {
                node = node.next.computeIfAbsent(word, next -> new Node());
            }
            return node;
        }

        void copyInto(Node copy) {
            copy.meaning = meaning;
            next.forEach((word, node) -> node.copyInto(copy.next.computeIfAbsent(word, fresh -> new Node())));
        }

        /** Phrases of some meanings are of another one from now on. */
        void become(int other, int[] some) {
            for (int one : some) {
                meaning = meaning == one ? other : meaning;
            }
            next.values().forEach(node -> node.become(other, some));
        }
    }

    private final Node root = new Node();
    private final List<Meaning> meanings = new ArrayList<>();
    private final Map<Long, Double> near = new HashMap<>();
    private final Set<String> words = new HashSet<>();
    /** By stem, what words mean that are said to mean the same here. */
    private final Map<String, Integer> stems = new HashMap<>();

    private SameWords() {}

    /** The words of a language (ISO 639-1); none of one without a list. */
    public static SameWords of(String language) {
        return KNOWN.computeIfAbsent(language, SameWords::read);
    }

    private static SameWords read(String language) {
        SameWords same = new SameWords();
        Map<String, Integer> numbers = new HashMap<>();
        Lexicon.of(language).lines("same.txt").forEach(line -> same.line(line, numbers));
        return same;
    }

    private void line(String line, Map<String, Integer> numbers) {
        String[] parts = line.split(" \\| ");
        String[] first = parts[0].split(" ");
        double figure = Double.parseDouble(first[1]);
        if (first[0].equals("near")) {
            int one = numbers.get(parts[1]);
            int other = numbers.get(parts[2]);
            near.put(pair(one, other), figure);
            return;
        }
        String[] named = parts[1].split(": ");
        int number = meanings.size();
        numbers.put(named[0], number);
        meanings.add(new Meaning(named[0], first[0], figure));
        for (String phrase : named[1].split(", ")) {
            List<String> of = List.of(phrase.split(" "));
            root.at(of).meaning = number;
            if (of.size() == 1) {
                words.add(phrase);
            }
        }
    }

    /**
     * With what is said of a project: of words that mean the same there the first of a shipped meaning brings the others to it;
     * where none is of one they are a word of the trade.
     */
    public SameWords with(SameHere here, WordForms stems) {
        if (here.equals(SameHere.NOTHING)) {
            return this;
        }
        SameWords same = new SameWords();
        same.meanings.addAll(meanings);
        same.near.putAll(near);
        same.words.addAll(words);
        root.copyInto(same.root);
        here.apart().forEach(word -> {
            Node node = same.root.at(List.of(word.split(" ")));
            node.meaning = -1;
        });
        for (SortedSet<String> set : here.sets()) {
            int[] known = set.stream()
                    .mapToInt(phrase -> same.root.at(List.of(phrase.split(" "))).meaning)
                    .filter(meaning -> meaning >= 0)
                    .distinct()
                    .sorted()
                    .toArray();
            int number = known.length > 0 ? known[0] : same.meanings.size();
            if (known.length == 0) {
                same.meanings.add(new Meaning(set.first(), OF_TRADE, 1));
            }
            same.root.become(number, known);
            set.forEach(phrase -> {
                same.root.at(List.of(phrase.split(" "))).meaning = number;
                if (!phrase.contains(" ")) {
                    same.stems.put(stems.of(phrase), number);
                    same.words.add(phrase);
                }
            });
        }
        return same;
    }

    private static long pair(int one, int other) {
        return (long) Math.min(one, other) << 32 | Math.max(one, other);
    }

    /** The longest phrase that begins at a place, else a form of a word that is said to mean the same here; null if there is none. */
    @Nullable
    public Match match(List<String> text, int at, WordForms forms) {
        Node node = root;
        Match found = null;
        for (int i = at; i < text.size(); i++) {
            String word = text.get(i);
            Node next = node.next.get(word);
            if (next == null && Character.isDigit(word.charAt(0))) {
                next = node.next.get(NUMBER);
            }
            if (next == null) {
                break;
            }
            node = next;
            if (node.meaning >= 0) {
                found = new Match(node.meaning, i - at + 1);
            }
        }
        if (found == null && !stems.isEmpty()) {
            Integer meaning = stems.get(forms.of(text.get(at)));
            return meaning == null ? null : new Match(meaning, 1);
        }
        return found;
    }

    /** Whether a meaning is of words that only this project says to be one. */
    public boolean ofTrade(int meaning) {
        return meanings.get(meaning).kind().equals(OF_TRADE);
    }

    /** Whether a stem is of a word that means the same as others here. */
    public boolean here(String stem) {
        return stems.containsKey(stem);
    }

    public int size() {
        return meanings.size();
    }

    /** What a number stands for. */
    public Meaning meaning(int number) {
        return meanings.get(number);
    }

    /** How alike two meanings are, 0 to 1; 0 unless the list says more. */
    public double similarity(int one, int other) {
        return one == other ? 1 : near.getOrDefault(pair(one, other), 0.0);
    }

    /** Its single words. */
    public Set<String> words() {
        return words;
    }
}
