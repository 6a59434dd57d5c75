package smorgas.core.sift;

import smorgas.core.figure.Searched;

/**
 * What a rule does among the others.
 *
 * @param touched keywords that fulfil its condition, decided by it or not
 * @param alone of these, those that no other rule touches
 * @param decided keywords that stand as they do because of it; of a rule that tags, those that it gives the tag
 * @param searches known searches a month of those decided
 * @param against keywords touched to which a rule above gives another status
 * @param overHand of a rule that drops, the keywords touched that a hand has kept, and that stay
 */
public record RuleFigures(int touched, int alone, int decided, Searched searches, int against, int overHand) {}
