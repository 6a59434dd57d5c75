package smorgas.core.figure;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.text.Message;

/** What a column of a list is understood to hold. Every column is kept with the lines; only some are read as figures. */
public enum ColumnRole {
    KEYWORD("column.keyword", null),
    SEARCHES(Figure.SEARCHES),
    CPC(Figure.CPC),
    LOW_BID(Figure.LOW_BID),
    HIGH_BID(Figure.HIGH_BID),
    POSITION(Figure.POSITION),
    COMPETITION(Figure.COMPETITION),
    PREVIOUS_POSITION(Figure.PREVIOUS_POSITION),
    CHANGE(Figure.CHANGE),
    TRAFFIC(Figure.TRAFFIC),
    DIFFICULTY(Figure.DIFFICULTY),
    CLICKS(Figure.CLICKS),
    IMPRESSIONS(Figure.IMPRESSIONS),
    CTR(Figure.CTR),
    COST(Figure.COST),
    CONVERSIONS(Figure.CONVERSIONS),
    QUALITY(Figure.QUALITY),
    VISITS(Figure.VISITS),
    GOALS(Figure.GOALS),
    LANDING_PAGE("column.landing-page", null),
    MATCH_TYPE("column.match-type", null),
    CAMPAIGN("column.campaign", null),
    AD_GROUP("column.ad-group", null),
    STATUS("column.status", null),
    TAGS("column.tags", null),
    TARGET_LOCATION("column.target-location", null),
    DATE("column.date", null),
    /** Which figures of a line a stand-in for a service has made up. */
    SIMULATED("column.simulated", null),
    /** Of ads, which have several. */
    HEADLINE("column.headline", null),
    DESCRIPTION("column.description", null),
    /** Searches of one month, of which lists have a column for each. */
    MONTH("column.month", null),
    OTHER("column.other", null);

    private final Message label;
    private final @Nullable Figure figure;

    ColumnRole(String label, @Nullable Figure figure) {
        this.label = Message.of(label);
        this.figure = figure;
    }

    ColumnRole(Figure figure) {
        this.label = figure.word();
        this.figure = figure;
    }

    /** What it holds, in the trade's words. */
    public Message label() {
        return label;
    }

    /** The figure that the column's cells are read as; empty for the keyword and for what is kept as text. */
    public Optional<Figure> figure() {
        return Optional.ofNullable(figure);
    }

    /** Whether its cells are texts that are kept beside the figures of lines. */
    public boolean text() {
        return figure == null && this != KEYWORD && this != MONTH && this != OTHER;
    }

    /** Whether a list may have several columns of it. */
    public boolean repeats() {
        return this == MONTH || this == OTHER || this == HEADLINE || this == DESCRIPTION;
    }
}
