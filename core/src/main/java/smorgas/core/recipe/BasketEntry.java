package smorgas.core.recipe;

import java.util.Set;
import java.util.function.LongUnaryOperator;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/** An entry about baskets: it belongs to one project's inputs and is in no exported recipe. */
public sealed interface BasketEntry extends Entry {

    long basket();

    String name();

    private static Doer doer(Asked asked) {
        return Doer.of(asked instanceof Asked.Nothing ? Doer.Kind.IMPORT : Doer.Kind.TOOL);
    }

    /** The same act about other baskets, as a copied project has them. */
    default BasketEntry renumbered(LongUnaryOperator number) {
        long other = number.applyAsLong(basket());
        return switch (this) {
            case BasketAdded e -> new BasketAdded(other, e.name(), e.kind(), e.asked(), e.readAs());
            case BasketRemoved e -> new BasketRemoved(other, e.name());
            case BasketDescribed e -> new BasketDescribed(other, e.info());
            case BasketSwitched e -> new BasketSwitched(other, e.name(), e.on());
            case BasketBrings e -> new BasketBrings(other, e.name(), e.keywords());
            case BasketReadAs e -> new BasketReadAs(other, e.name(), e.readAs());
            case BasketRenewed e ->
                new BasketRenewed(other, number.applyAsLong(e.by()), e.name(), e.asked(), e.scheduled());
        };
    }

    @Override
    default Set<String> touches() {
        return Set.of("basket:" + basket());
    }

    /**
     * A basket's lines came into the project.
     *
     * @param kind as whoever gathered it knows it; {@link BasketInfo.Kind#OTHER} for unknown
     * @param asked what a tool of ours was asked for; {@link Asked#NOTHING} if none made it
     * @param readAs how its bytes are read, where whoever gathers knows it
     */
    record BasketAdded(long basket, String name, BasketInfo.Kind kind, Asked asked, ReadAs readAs)
            implements BasketEntry {
        public BasketAdded {
            // A file written by hand may leave them out.
            kind = kind == null ? BasketInfo.Kind.OTHER : kind;
            asked = asked == null ? Asked.NOTHING : asked;
            readAs = readAs == null ? ReadAs.FOUND : readAs;
        }

        /** One that no tool of ours has made. */
        public BasketAdded(long basket, String name, BasketInfo.Kind kind) {
            this(basket, name, kind, Asked.NOTHING, ReadAs.FOUND);
        }

        /** One of whose kind nothing is known. */
        public BasketAdded(long basket, String name) {
            this(basket, name, BasketInfo.Kind.OTHER);
        }

        @Override
        public Doer doneBy() {
            return doer(asked);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.basket-entry.gathered", name);
        }
    }

    /** A basket's lines left the project; its bytes stay until the bin is emptied. */
    record BasketRemoved(long basket, String name) implements BasketEntry {
        @Override
        public Message sentence() {
            return Message.of("recipe.basket-entry.took-away-basket", name);
        }
    }

    /** What a basket is and where it came from was written down, its name among it. */
    record BasketDescribed(long basket, BasketInfo info) implements BasketEntry {
        @Override
        public String name() {
            return info.name();
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.basket-entry.described-basket", name());
        }
    }

    /** A basket was switched off, and its lines left the project; or on again. */
    record BasketSwitched(long basket, String name, boolean on) implements BasketEntry {
        @Override
        public Message sentence() {
            return Message.of("recipe.basket-entry.switched-basket-on", name, on);
        }
    }

    /**
     * Whether a basket's lines bring keywords was said.
     *
     * @param keywords false if they only tell about keywords that other baskets bring, as an own campaign or a report may
     */
    record BasketBrings(long basket, String name, boolean keywords) implements BasketEntry {
        @Override
        public Message sentence() {
            return Message.of("recipe.basket-entry.basket-brings-keywords", name, keywords);
        }
    }

    /** How a basket's bytes are read was put right. */
    record BasketReadAs(long basket, String name, ReadAs readAs) implements BasketEntry {
        @Override
        public Message sentence() {
            return Message.of("recipe.basket-entry.read-basket-otherwise", name);
        }
    }

    /**
     * A basket was gathered again: the basket {@code by} takes its place.
     *
     * @param asked what a tool of ours was asked for this time; {@link Asked#NOTHING} if none made it, and then what was asked
     *     before stays known
     * @param scheduled whether a schedule asked for it, and a hand took it
     */
    record BasketRenewed(long basket, long by, String name, Asked asked, boolean scheduled) implements BasketEntry {
        public BasketRenewed {
            // A file written by hand may leave it out.
            asked = asked == null ? Asked.NOTHING : asked;
        }

        @Override
        public Doer doneBy() {
            return scheduled ? Doer.of(Doer.Kind.SCHEDULE) : doer(asked);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.basket-entry.gathered-again", name);
        }
    }
}
