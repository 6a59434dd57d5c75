package smorgas.core.gather;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Lists for tests, read as the application reads them. */
public final class TestLists {

    private TestLists() {}

    /** Rows are kept first and interpreted afterwards, as the store does. */
    public static Lines lines(long basket, String name, byte[] bytes) {
        List<Object[]> rows = new ArrayList<>();
        Reading reading = BasketReader.read(name, bytes, (line, cells) -> rows.add(new Object[] {line, cells}));
        Interpreter interpreter = new Interpreter(basket, name, reading, smorgas.core.figure.Decimals.POINT);
        rows.forEach(r -> interpreter.row((int) r[0], (String[]) r[1]));
        return interpreter.lines(reading);
    }

    public static Lines lines(long basket, String text) {
        return lines(basket, "list " + basket, text.getBytes(StandardCharsets.UTF_8));
    }
}
