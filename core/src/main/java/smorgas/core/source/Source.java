package smorgas.core.source;

import java.util.List;

/** A service that suggests what else people search for; {@link SuggestionFinder} asks it. */
public interface Source extends Service {

    /** What is asked. Language is an ISO 639-1 code, place may be empty. */
    record Query(String text, String language, String place) {}

    /**
     * Suggestions, the best first.
     *
     * @throws Fault if it cannot answer now
     * @throws InterruptedException if it is not waited for any more
     */
    List<String> suggest(Query query) throws Fault, InterruptedException;
}
