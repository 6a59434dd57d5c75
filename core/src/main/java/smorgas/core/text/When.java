package smorgas.core.text;

import java.time.LocalDate;
import java.time.YearMonth;

/** Days and months as people read them; the names of months are texts of the catalogue. */
public final class When {

    private When() {}

    /** Such as "May 2026". */
    public static Message month(YearMonth month) {
        return Message.of("when.month", name(month.getMonthValue()), Integer.toString(month.getYear()));
    }

    /** Such as "1 May 2026". */
    public static Message day(LocalDate day) {
        return Message.of("when.day", day.getDayOfMonth(), name(day.getMonthValue()), Integer.toString(day.getYear()));
    }

    private static Message name(int month) {
        return Message.of("when.month." + month);
    }
}
