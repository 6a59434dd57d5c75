package smorgas.core.recipe;

import java.util.List;
import java.util.function.ToIntFunction;

/** Things of a list that are known by numbers. */
final class Numbered {

    private Numbered() {}

    /** Moves the one of a number to a place, counted from 0; past the end means the end. None of that number: nothing. */
    static <R> void move(List<R> things, ToIntFunction<R> number, int moved, int place) {
        for (int i = 0; i < things.size(); i++) {
            if (number.applyAsInt(things.get(i)) == moved) {
                R thing = things.remove(i);
                things.add(Math.clamp(place, 0, things.size()), thing);
                return;
            }
        }
    }

    /** Puts one in the place of that of its number, or below the others. */
    static <R> void put(List<R> things, ToIntFunction<R> number, R thing) {
        for (int i = 0; i < things.size(); i++) {
            if (number.applyAsInt(things.get(i)) == number.applyAsInt(thing)) {
                things.set(i, thing);
                return;
            }
        }
        things.add(thing);
    }
}
