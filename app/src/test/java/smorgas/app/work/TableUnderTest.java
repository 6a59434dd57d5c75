package smorgas.app.work;

import org.mockito.Mockito;
import smorgas.app.store.MeaningStore;
import smorgas.app.store.StoreUnderTest;

/** The table over a store, without what keywords mean. */
public final class TableUnderTest {

    private TableUnderTest() {}

    /** To be destroyed by who asked for it. */
    public static Table over(StoreUnderTest store) {
        return new Table(
                store.projects(),
                store.baskets(),
                store.histories(),
                new Memory(),
                new Meanings(Mockito.mock(MeaningStore.class), new Background(), false, 0),
                new Openings(store.folder()),
                new Background());
    }
}
