package smorgas.core.gather;

import java.util.ArrayList;
import java.util.List;
import smorgas.core.text.Message;

/** Collects the problems of one basket: all are counted, the first {@value #SHOWN} are kept to be shown. */
final class Problems {

    static final int SHOWN = 1_000;

    private final String file;
    private final List<Problem> first = new ArrayList<>();
    private int count;
    private int rows;

    Problems(String file) {
        this.file = file;
    }

    void add(int line, Message what, Message todo) {
        count++;
        if (first.size() < SHOWN) {
            first.add(new Problem(file, line, what, todo));
        }
    }

    void addAll(Problems others) {
        count += others.count;
        others.first.stream().limit(SHOWN - first.size()).forEach(first::add);
    }

    /** A problem because of which one row is set aside. */
    void addRow(int line, Message what, Message todo) {
        add(line, what, todo);
        rows++;
    }

    List<Problem> first() {
        return List.copyOf(first);
    }

    int count() {
        return count;
    }

    /** How many rows were set aside. */
    int rows() {
        return rows;
    }
}
