package smorgas.app.web.gather;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import smorgas.app.web.show.Show;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Overlap;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.text.Message;
import smorgas.core.text.When;

/**
 * A basket as the list of baskets shows it. Bars are thousandths of the largest basket.
 *
 * @param alone keywords that no other basket has
 * @param shared keywords that others have too
 * @param folded lines that came twice in it
 */
record BasketView(
        long id,
        BasketInfo info,
        boolean on,
        boolean brings,
        int tint,
        String lines,
        String keywords,
        String alone,
        String searches,
        String setAside,
        int aloneBar,
        int sharedBar,
        Message gathered,
        Message warning) {

    static List<BasketView> of(Snapshot snapshot, Overlap overlap, String market, String currency) {
        Keywords keywords = snapshot.board().keywords();
        int largest = 1;
        for (Overlap.Added added : overlap.added()) {
            largest = Math.max(largest, added.keywords());
        }
        List<BasketView> views = new ArrayList<>();
        for (GatheredBasket basket : snapshot.baskets()) {
            int place = place(keywords, basket.id());
            Overlap.Added added = place < 0
                    ? Overlap.Added.none(basket.lines().size())
                    : overlap.added().get(place);
            views.add(new BasketView(
                    basket.id(),
                    basket.info(),
                    basket.on(),
                    basket.lines().brings(),
                    Math.max(0, place) % 8 + 1,
                    Show.count(basket.lines().size()),
                    basket.on() ? Show.count(added.keywords()) : "",
                    basket.on() ? Show.count(added.alone()) : "",
                    basket.on() && added.searched() > 0 ? added.searches().written() : "",
                    Show.count(basket.lines().setAside()),
                    Math.round(1_000f * added.alone() / largest),
                    Math.round(1_000f * (added.keywords() - added.alone()) / largest),
                    basket.info().gathered().isEmpty()
                            ? When.day(basket.stored()
                                    .gatheredAt()
                                    .withOffsetSameInstant(ZoneOffset.UTC)
                                    .toLocalDate())
                            : Message.verbatim(basket.info().gathered()),
                    warning(basket.info(), market, currency)));
        }
        return views;
    }

    private static int place(Keywords keywords, long basket) {
        List<Lines> in = keywords.baskets();
        for (int place = 0; place < in.size(); place++) {
            if (in.get(place).basket() == basket) {
                return place;
            }
        }
        return -1;
    }

    private static Message warning(BasketInfo info, String market, String currency) {
        List<Message> other = new ArrayList<>();
        if (!info.market().isEmpty() && !info.market().equalsIgnoreCase(market)) {
            other.add(Message.of("gather.basket-view.market", info.market()));
        }
        if (!info.currency().isEmpty() && !info.currency().equalsIgnoreCase(currency)) {
            other.add(Message.of("gather.basket-view.currency", info.currency()));
        }
        return other.isEmpty()
                ? Message.NONE
                : Message.of("gather.basket-view.another-than-project-figures", Message.joined("list.and", other));
    }
}
