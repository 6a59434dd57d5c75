package smorgas.app.web.sift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;
import smorgas.app.web.show.Expected;
import smorgas.core.board.Board;
import smorgas.core.recipe.Valuing;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;
import smorgas.core.text.Message;

/**
 * The assumptions about worth, of all keywords, of a tag or of a group, and what they come to for what is on view.
 *
 * @param of of what the form assumes, as its address says it: empty, {@code tag:...} or {@code group:...}
 * @param fields what can be assumed, each as it was written
 * @param table how many clicks each place draws
 * @param open whether it was asked for
 */
record EstimatedValuePanel(
        String of,
        Message ofLabel,
        List<Field> fields,
        CostBy cost,
        List<CostBy> costs,
        ClickTable table,
        List<ClickTable> tables,
        List<Target> targets,
        Expected expected,
        boolean open) {

    static final String TAG = "tag:";
    static final String GROUP = "group:";

    /**
     * Something that can be assumed.
     *
     * @param value what is assumed here; empty if nothing is
     * @param elsewhere what holds if nothing is assumed here
     */
    record Field(String name, Message label, boolean money, String value, String elsewhere) {}

    /** Of what something can be assumed, and whether it is. */
    record Target(String of, Message label, boolean own) {}

    /** The panel of a board. */
    static EstimatedValuePanel of(Board board, String asked, BitSet view) {
        Valuing valuing = board.recipe().valuing();
        String of = known(asked) ? asked : "";
        Assumptions own = own(valuing, of);
        List<Field> fields = new ArrayList<>();
        for (Assumed one : Assumed.values()) {
            fields.add(new Field(
                    one.name(),
                    one.label(),
                    one == Assumed.VALUE,
                    own.figure(one).map(span -> written(span, one)).orElse(""),
                    of.isEmpty()
                            ? ""
                            : valuing.assumptions()
                                    .figure(one)
                                    .map(span -> written(span, one))
                                    .orElse("")));
        }
        return new EstimatedValuePanel(
                of,
                label(board, of),
                fields,
                own.cost(),
                Stream.of(CostBy.values())
                        .filter(cost -> !of.isEmpty() || cost != CostBy.AS_ELSEWHERE)
                        .toList(),
                valuing.clicks(),
                Stream.concat(
                                Stream.of(valuing.clicks()).filter(table -> !ClickTable.SHIPPED.contains(table)),
                                ClickTable.SHIPPED.stream())
                        .toList(),
                targets(board, valuing, of),
                Expected.of(board.estimatedValue().sum(valuing.assumes() ? view : new BitSet())),
                !asked.isEmpty());
    }

    private static boolean known(String asked) {
        return asked.startsWith(TAG) && asked.length() > TAG.length()
                || asked.startsWith(GROUP) && asked.length() > GROUP.length();
    }

    /** The name of the tag; empty if it is of none. */
    static String tag(String of) {
        return of.startsWith(TAG) ? of.substring(TAG.length()) : "";
    }

    /** The key of the group; empty if it is of none. */
    static String group(String of) {
        return of.startsWith(GROUP) ? of.substring(GROUP.length()) : "";
    }

    private static Assumptions own(Valuing valuing, String of) {
        return !tag(of).isEmpty()
                ? valuing.byTag().getOrDefault(tag(of), Assumptions.NONE)
                : !group(of).isEmpty()
                        ? valuing.byGroup().getOrDefault(group(of), Assumptions.NONE)
                        : valuing.assumptions();
    }

    private static List<Target> targets(Board board, Valuing valuing, String of) {
        List<Target> targets = new ArrayList<>(List.of(new Target(
                "all",
                Message.of("sift.estimated-value-panel.all-keywords"),
                valuing.assumptions().says())));
        union(board.statuses().tags().all(), valuing.byTag().keySet(), tag(of))
                .forEach(tag -> targets.add(new Target(
                        TAG + tag,
                        Message.of("sift.estimated-value-panel.tag", tag),
                        valuing.byTag().containsKey(tag))));
        union(List.of(), valuing.byGroup().keySet(), group(of))
                .forEach(key -> targets.add(new Target(
                        GROUP + key,
                        label(board, GROUP + key),
                        valuing.byGroup().containsKey(key))));
        return targets;
    }

    private static Stream<String> union(Collection<String> some, Collection<String> others, String one) {
        return Stream.of(some.stream(), others.stream(), Stream.of(one).filter(text -> !text.isEmpty()))
                .flatMap(texts -> texts)
                .distinct();
    }

    private static Message label(Board board, String of) {
        if (group(of).isEmpty()) {
            return tag(of).isEmpty()
                    ? Message.of("sift.estimated-value-panel.all-keywords")
                    : Message.of("sift.estimated-value-panel.tag", tag(of));
        }
        int group = board.groups().find(group(of));
        return Message.verbatim(
                "group " + (group < 0 ? group(of) : board.groups().name(group)));
    }

    /** As the form reads it again. */
    private static String written(Span span, Assumed of) {
        String low = plain(span.low(), of.scale());
        return span.low() == span.high() ? low : low + "-" + plain(span.high(), of.scale());
    }

    private static String plain(long parts, long scale) {
        return BigDecimal.valueOf(parts)
                .divide(BigDecimal.valueOf(scale))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** How the worth of a keyword comes about, as a sentence; empty if nothing is assumed or its searches are unknown. */
    static Message how(Board board, int keyword) {
        if (!board.recipe().valuing().assumes()) {
            return Message.NONE;
        }
        BitSet one = new BitSet();
        one.set(keyword);
        Message told = Expected.of(board.estimatedValue().sum(one)).line();
        if (told.isEmpty()) {
            return Message.of("sift.estimated-value-panel.estimated-value-unknown-since-searches");
        }
        Assumptions assumed = board.estimatedValue().assumed(keyword);
        List<Message> by = new ArrayList<>();
        board.estimatedValue()
                .clickShare(keyword)
                .ifPresent(share -> by.add(Message.of(
                        "sift.estimated-value-panel.searches-click",
                        written(share, Assumed.CLICK_SHARE),
                        assumed.figure(Assumed.PLACE)
                                .filter(place ->
                                        assumed.figure(Assumed.CLICK_SHARE).isEmpty())
                                .map(place -> Message.of(
                                        "sift.estimated-value-panel.at-place", written(place, Assumed.PLACE)))
                                .orElse(Message.NONE))));
        assumed.figure(Assumed.CONVERSION_RATE)
                .ifPresent(rate -> by.add(Message.of(
                        "sift.estimated-value-panel.clicks-convert", written(rate, Assumed.CONVERSION_RATE))));
        assumed.figure(Assumed.CUSTOMER_SHARE)
                .ifPresent(share -> by.add(Message.of(
                        "sift.estimated-value-panel.these-become-customers", written(share, Assumed.CUSTOMER_SHARE))));
        assumed.figure(Assumed.VALUE)
                .ifPresent(value -> by.add(Message.of(
                        "sift.estimated-value-panel.a-conversion",
                        written(value, Assumed.VALUE),
                        assumed.figure(Assumed.CUSTOMER_SHARE).isEmpty())));
        Message cost = assumed.cost() == CostBy.AS_ELSEWHERE
                ? CostBy.CPC_OR_BIDS.label()
                : assumed.cost().label();
        return Message.of("sift.estimated-value-panel.expected-month-assumed-click", told, List.copyOf(by), cost);
    }

    /** The label of a sum in a heading, such as 54,300; empty if nothing is assumed. */
    public Message heading() {
        return expected.estimatedValue();
    }
}
