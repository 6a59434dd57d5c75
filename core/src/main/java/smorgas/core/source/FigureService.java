package smorgas.core.source;

import java.util.List;
import java.util.Map;
import smorgas.core.figure.Figure;

/** A service that says how often keywords are searched for and what others bid for them; {@link Estimator} asks it. */
public interface FigureService extends Service {

    /** What is asked. Language is an ISO 639-1 code, place may be empty. */
    record Question(List<String> keywords, String language, String place) {
        public Question {
            keywords = List.copyOf(keywords);
        }
    }

    /** From low to high, both inclusive and equal for a plain number, in parts of the figure's unit. */
    record Range(long low, long high) {}

    /** What it says of one keyword; a figure that it does not know is not among them. */
    record Estimate(String keyword, Map<Figure, Range> figures) {
        public Estimate {
            figures = Map.copyOf(figures);
        }
    }

    /** Of so many keywords it takes a question at most. */
    int most();

    /**
     * What it knows, in any order.
     *
     * @throws Fault if it cannot answer now
     * @throws InterruptedException if it is not waited for any more
     */
    List<Estimate> estimate(Question question) throws Fault, InterruptedException;
}
