package smorgas.core.recipe.value;

import smorgas.core.text.Refusal;

/**
 * How reports are read.
 *
 * @param clicks so many clicks without a conversion tell that there will be none; 1 to 1,000,000
 * @param added whether figures of several reports are added up, as of different weeks; else the newest report that has a
 *     term tells of it
 */
public record FeedbackSettings(int clicks, boolean added) {

    public FeedbackSettings {
        if (clicks < 1 || clicks > 1_000_000) {
            throw new Refusal("value.feedback-settings.clicks-before-term-judged", clicks);
        }
    }
}
