package smorgas.core.figure;

/**
 * Reads the numbers of lists, forms and addresses: thousands separators (comma, dot, space, apostrophe), decimal comma or point, currency
 * signs, {@code 10K}, {@code 1.5M}, ranges such as {@code 1K - 10K}, {@code 10-100} and {@code <10} (0 to 10), and the
 * words low, medium and high for competition. One instance reads one cell after another; the answer stays in {@link
 * #low()} and {@link #high()}, in parts of the figure's unit, so that reading a million cells allocates nothing.
 */
public final class FigureReader {

    /** What a cell turned out to be. */
    public enum Outcome {
        /** {@link #low()} and {@link #high()} hold the number. */
        READ,
        /** Empty, or a sign that stands for it ({@code -}, {@code --}, {@code n/a}): unknown, and no fault. */
        EMPTY,
        /** Something else: unknown, and a fault to report. */
        FAULT
    }

    /** Past this a number is a fault, not a figure: no market has 10^12 searches. */
    private static final double LARGEST = 1e12;

    private long low;
    private long high;
    private final Decimals decimals;
    private int at;

    public FigureReader(Decimals decimals) {
        this.decimals = decimals;
    }

    /** The lower end of what was read last, in parts of the unit. */
    public long low() {
        return low;
    }

    /** The upper end of what was read last. */
    public long high() {
        return high;
    }

    /** Of a number of one instance, in parts of the figure's unit; holds until the next is read. */
    public Outcome read(String cell, Figure figure) {
        String text = stripped(cell);
        if (standsForNothing(text)) {
            return Outcome.EMPTY;
        }
        if (readPlain(text, figure)) {
            return Outcome.READ;
        }
        if (figure == Figure.COMPETITION && readWord(text)) {
            return Outcome.READ;
        }
        at = 0;
        boolean falling = figure == Figure.CHANGE && isDash(text.charAt(0));
        if (figure == Figure.CHANGE && (falling || text.charAt(0) == '+')) {
            at++;
        }
        boolean below = skipTo(text, '<');
        double first = number(text, figure);
        if (Double.isNaN(first)) {
            return Outcome.FAULT;
        }
        double second = first;
        skipSpaces(text);
        if (at < text.length() && isDash(text.charAt(at))) {
            at++;
            second = number(text, figure);
        } else if (at < text.length() && text.charAt(at) == '+') {
            at++;
        }
        skipSpaces(text);
        if (at < text.length() || Double.isNaN(second) || second < first || second > LARGEST) {
            return Outcome.FAULT;
        }
        low = below ? 0 : Math.round(first * figure.scale());
        high = Math.round(second * figure.scale());
        // An index is written as 0 to 100 or as a share of 1; a share has a decimal sign.
        if (figure == Figure.COMPETITION && second <= 1 && (text.indexOf('.') >= 0 || text.indexOf(',') >= 0)) {
            low = Math.round(first * 100);
            high = Math.round(second * 100);
        }
        if (falling) {
            long rising = low;
            low = -high;
            high = -rising;
        }
        return Outcome.READ;
    }

    /**
     * The common cell: digits, and for what is not counted in whole things one point with decimals. Everything else, and
     * what could be meant otherwise, is left to the rest.
     */
    private boolean readPlain(String text, Figure figure) {
        int length = text.length();
        if (length > 12) {
            return false;
        }
        long parts = 0;
        int point = -1;
        for (int i = 0; i < length; i++) {
            char c = text.charAt(i);
            if (c >= '0' && c <= '9') {
                parts = parts * 10 + (c - '0');
            } else if (c == '.' && point < 0 && i > 0) {
                point = i;
            } else {
                return false;
            }
        }
        int decimals = point < 0 ? 0 : length - point - 1;
        boolean mayBeThousands = decimals == 3 || figure.unit() == Figure.Unit.COUNT && decimals > 0;
        if (point >= 0 && (decimals == 0 || mayBeThousands || figure == Figure.COMPETITION)) {
            return false;
        }
        long scale = figure.scale();
        for (int i = 0; i < decimals; i++) {
            if (scale % 10 != 0) {
                return false;
            }
            scale /= 10;
        }
        low = parts * scale;
        high = low;
        return true;
    }

    /** Without spaces at the ends, also those that do not break, which programs put between a number and its sign. */
    private static String stripped(String cell) {
        int start = 0;
        int end = cell.length();
        while (start < end && isSpace(cell.charAt(start))) {
            start++;
        }
        while (end > start && isSpace(cell.charAt(end - 1))) {
            end--;
        }
        return cell.substring(start, end);
    }

    private static boolean standsForNothing(String text) {
        return switch (text.length()) {
            case 0 -> true;
            case 1 -> isDash(text.charAt(0));
            case 2 -> text.equals("--");
            default -> text.equalsIgnoreCase("n/a");
        };
    }

    private boolean readWord(String text) {
        switch (text.strip().toLowerCase(java.util.Locale.ROOT)) {
            case "low", "niedrig", "faible", "bajo", "bassa", "laag", "låg", "lav", "baixa" -> range(0, 33);
            case "medium", "mittel", "moyen", "moyenne", "medio", "media", "gemiddeld", "medel", "middel", "média" ->
                range(34, 66);
            case "high", "hoch", "élevé", "élevée", "alto", "alta", "hoog", "hög", "høj", "høy" -> range(67, 100);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void range(long from, long to) {
        low = from;
        high = to;
    }

    /** One number from {@link #at} on, currency signs and all; NaN if there is none. */
    private double number(String text, Figure figure) {
        skipAround(text);
        int start = at;
        while (at < text.length() && isNumberPart(text, at)) {
            at++;
        }
        double value = value(text.substring(start, at).strip(), figure);
        double factor = 1;
        if (at < text.length()) {
            char c = text.charAt(at);
            if (c == 'K' || c == 'k') {
                factor = 1e3;
                at++;
            } else if (c == 'M') {
                factor = 1e6;
                at++;
            }
        }
        skipAround(text);
        return value * factor;
    }

    private static boolean isNumberPart(String text, int i) {
        char c = text.charAt(i);
        if (c >= '0' && c <= '9' || c == '.' || c == ',' || c == '\'' || c == '\u2019') {
            return true;
        }
        // A space belongs to the number only between two digits.
        return isSpace(c)
                && i + 1 < text.length()
                && Character.isDigit(text.charAt(i + 1))
                && i > 0
                && Character.isDigit(text.charAt(i - 1));
    }

    private double value(String digits, Figure figure) {
        int dots = 0;
        int commas = 0;
        int figures = 0;
        for (int i = 0; i < digits.length(); i++) {
            char c = digits.charAt(i);
            dots += c == '.' ? 1 : 0;
            commas += c == ',' ? 1 : 0;
            figures += c >= '0' && c <= '9' ? 1 : 0;
        }
        if (figures == 0 || figures > 15) {
            return Double.NaN;
        }
        char decimal = decimalSign(digits, dots, commas, figure);
        StringBuilder plain = new StringBuilder(digits.length());
        for (int i = 0; i < digits.length(); i++) {
            char c = digits.charAt(i);
            if (c >= '0' && c <= '9') {
                plain.append(c);
            } else if (c == decimal) {
                plain.append('.');
            }
        }
        return Double.parseDouble(plain.toString());
    }

    /** The sign that separates the decimals; NUL if all signs separate thousands. */
    private char decimalSign(String digits, int dots, int commas, Figure figure) {
        if (dots > 0 && commas > 0) {
            char last = digits.lastIndexOf('.') > digits.lastIndexOf(',') ? '.' : ',';
            return (last == '.' ? dots : commas) == 1 ? last : 0;
        }
        if (dots + commas != 1) {
            return 0;
        }
        char sign = dots == 1 ? '.' : ',';
        int place = digits.indexOf(sign);
        boolean groupOfThree = digits.length() - place == 4 && place > 0 && digits.charAt(0) != '0';
        // Three digits after one sign are thousands for counts; for money "1.250" is a price, "1,250" a thousand, or
        // the other
        // way round.
        char ofThousands = decimals == Decimals.POINT ? ',' : '.';
        boolean thousands = groupOfThree && (figure.unit() == Figure.Unit.COUNT || sign == ofThousands);
        return thousands ? 0 : sign;
    }

    private void skipAround(String text) {
        while (at < text.length() && (isSpace(text.charAt(at)) || isCurrency(text, at) || text.charAt(at) == '%')) {
            at++;
        }
    }

    /** Currency signs, and the three letters of a currency's code. */
    private static boolean isCurrency(String text, int i) {
        char c = text.charAt(i);
        return Character.getType(c) == Character.CURRENCY_SYMBOL
                || (c >= 'A' && c <= 'Z' && c != 'K' && c != 'M')
                || (c >= 'A' && c <= 'Z' && i > 0 && Character.isUpperCase(text.charAt(i - 1)))
                || (c == 'k' && i + 1 < text.length() && text.charAt(i + 1) == 'r')
                || (c == 'r' && i > 0 && text.charAt(i - 1) == 'k');
    }

    private boolean skipTo(String text, char sign) {
        skipAround(text);
        if (at < text.length() && text.charAt(at) == sign) {
            at++;
            return true;
        }
        return false;
    }

    private void skipSpaces(String text) {
        while (at < text.length() && isSpace(text.charAt(at))) {
            at++;
        }
    }

    private static boolean isSpace(char c) {
        return c == ' ' || c == '\u00A0' || c == '\u202F' || c == '\u2009' || c == '\t';
    }

    private static boolean isDash(char c) {
        return c == '-' || c == '\u2013' || c == '\u2014' || c == '\u2212';
    }
}
