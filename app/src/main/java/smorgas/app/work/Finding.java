package smorgas.app.work;

/** How far the groups of a board are that are found in the background. */
public enum Finding {
    /** They are there. */
    FOUND,
    /** They are being found, or what was being found was stopped because an act made it old. */
    UNDER_WAY,
    /** A fault ended it; the log says which. An act, or asking for it anew, begins again. */
    FAILED
}
