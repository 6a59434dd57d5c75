package smorgas.core.text;

/** Cells that a spreadsheet would run when it opens a table (OWASP, CSV injection; from memory). */
public final class Formulas {

    private Formulas() {}

    /**
     * Whether a spreadsheet might run the text: it begins as a formula does, or does so behind the semicolons by which some
     * spreadsheets part cells. A plain number is none, also below zero.
     */
    public static boolean runs(String cell) {
        int start = 0;
        while (start < cell.length() && cell.charAt(start) == ';') {
            start++;
        }
        return start < cell.length()
                && starts(cell.charAt(start))
                && !(start == 0 && cell.matches("-\\d{1,15}(\\.\\d{1,9})?"));
    }

    /** Compared and not looked up: there are millions of cells. */
    private static boolean starts(char first) {
        return switch (first) {
            case '=', '+', '-', '@', '\t', '\r', '\n', '\uFF1D', '\uFF0B', '\uFF0D', '\uFF20' -> true;
            default -> false;
        };
    }

    /** The text so that no spreadsheet runs it: behind an apostrophe if one might. */
    public static String safe(String cell) {
        return runs(cell) ? "'" + cell : cell;
    }

    /**
     * Refuses a name that would be run.
     *
     * @param what it is the name of, such as "campaign"
     * @throws Refusal with a sentence without a full stop
     */
    public static void refuse(Message what, String name) {
        if (runs(name)) {
            throw new Refusal("text.formulas.must-begin-which-spreadsheet", what, name.charAt(0));
        }
    }
}
