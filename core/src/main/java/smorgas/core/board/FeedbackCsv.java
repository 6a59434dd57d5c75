package smorgas.core.board;

import smorgas.core.figure.Figure;
import smorgas.core.serve.Csv;
import smorgas.core.text.Wording;
import smorgas.core.value.Feedback;

/** Writes what reports tell of each term, as a table for reading. */
public final class FeedbackCsv {

    private FeedbackCsv() {}

    /** Writes a row a term, that which cost most first; what is unknown stays empty. */
    public static void write(Board board, Feedback.Found found, Wording wording, Csv csv) {
        csv.row(
                wording.of("board.feedback-csv.term"),
                wording.of("board.feedback-csv.clicks"),
                wording.of("board.feedback-csv.impressions"),
                wording.of("board.feedback-csv.cost"),
                wording.of("board.feedback-csv.conversions"),
                wording.of("board.feedback-csv.hit"),
                wording.of("board.feedback-csv.keyword"),
                wording.of("board.feedback-csv.group"));
        for (Feedback.Term term : found.terms()) {
            Feedback.Figures figures = term.figures();
            csv.row(
                    term.text(),
                    String.valueOf(figures.clicks()),
                    String.valueOf(figures.impressions()),
                    Csv.amount(figures.cost(), Figure.COST.scale()),
                    figures.judged() ? Csv.amount(figures.conversions(), Figure.CONVERSIONS.scale()) : "",
                    wording.of(term.hit().label()),
                    term.keyword() < 0 ? "" : board.keywords().text(term.keyword()),
                    term.group() < 0 ? "" : board.groups().name(term.group()));
        }
    }
}
