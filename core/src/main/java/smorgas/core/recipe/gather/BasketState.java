package smorgas.core.recipe.gather;

import java.util.Optional;

/**
 * A basket of a project as the entries in force leave it.
 *
 * @param basket its number
 * @param name the name it has in the project
 * @param kind as whoever gathered it knows it; {@link BasketInfo.Kind#OTHER} for unknown
 * @param asked what the tool of ours that made it was asked for
 * @param info what a hand has written of it; empty if nothing yet
 * @param readAs how its bytes are read
 * @param on whether its lines are in the project
 * @param brings whether its lines bring keywords, or only tell about those that others bring
 */
public record BasketState(
        long basket,
        String name,
        BasketInfo.Kind kind,
        Asked asked,
        Optional<BasketInfo> info,
        ReadAs readAs,
        boolean on,
        boolean brings) {

    /** What the tool was asked for, if it was that tool. */
    public <A extends Asked> Optional<A> asked(Class<A> tool) {
        return tool.isInstance(asked) ? Optional.of(tool.cast(asked)) : Optional.empty();
    }

    public BasketState described(BasketInfo written) {
        return new BasketState(basket, written.name(), kind, asked, Optional.of(written), readAs, on, brings);
    }

    public BasketState read(ReadAs other) {
        return new BasketState(basket, name, kind, asked, info, other, on, brings);
    }

    public BasketState switched(boolean toOn) {
        return new BasketState(basket, name, kind, asked, info, readAs, toOn, brings);
    }

    public BasketState bringing(boolean keywords) {
        return new BasketState(basket, name, kind, asked, info, readAs, on, keywords);
    }

    /** Its newer version; a list of a tool of ours has the same columns again. */
    public BasketState renewed(long by, Asked with) {
        boolean made = !(with instanceof Asked.Nothing);
        return new BasketState(by, name, kind, made ? with : asked, info, made ? readAs : ReadAs.FOUND, on, brings);
    }
}
