package smorgas.core.recipe.gather;

import java.util.ArrayList;
import java.util.List;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * What is taken from the access log of a web server.
 *
 * @param parameters names of the query parameters in which searches stand, such as q; case does not matter
 * @param referrers whether the addresses that visitors came from are looked through for the same parameters
 * @param goals pages that a visit hopes to reach; may be empty
 * @param least visits of a term at least, from 1
 */
public record LogReading(List<String> parameters, boolean referrers, List<Goal> goals, int least) {

    /** What search pages commonly call their field (common practice). */
    public static final LogReading USUAL = new LogReading(List.of("q", "s", "query", "search"), true, List.of(), 1);

    private static final int MOST = 50;

    public LogReading {
        parameters = parameters.stream()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
        goals = List.copyOf(goals);
        if (parameters.isEmpty() || parameters.size() > MOST) {
            throw new Refusal("gather.log-reading.name-1-query-parameters", MOST);
        }
        parameters.forEach(name -> {
            if (name.length() > 100) {
                throw new Refusal("gather.log-reading.query-parameter-most-100");
            }
        });
        if (goals.size() > MOST) {
            throw new Refusal("gather.log-reading.most-goals-can-told", MOST);
        }
        if (least < 1 || least > 1_000_000) {
            throw new Refusal("gather.log-reading.term-1-1-000");
        }
    }

    /**
     * A page that a visit reaches.
     *
     * @param page its path, such as /thanks; a star at the end stands for whatever follows
     * @param weight what it counts, from 1 to {@value #HEAVIEST}
     */
    public record Goal(String page, int weight) {

        /** The most that one goal counts. */
        public static final int HEAVIEST = 1_000;

        public Goal {
            page = page.strip();
            if (!page.startsWith("/") || page.length() > 500) {
                throw new Refusal("gather.log-reading.page-goal-path-such", page);
            }
            if (weight < 1 || weight > HEAVIEST) {
                throw new Refusal("gather.log-reading.goal-counts-1-1");
            }
        }

        /**
         * A goal as a line of a form: the path, and behind a space what it counts; 1 if nothing is said.
         *
         * @throws Refusal with a sentence, if the line is none
         */
        public static Goal read(String line) {
            String text = line.strip();
            int space = text.lastIndexOf(' ');
            String last = text.substring(space + 1);
            boolean counts = space > 0 && last.matches("\\d{1,4}");
            if (space > 0 && !counts) {
                throw new Refusal("gather.log-reading.behind-page-goal-stands", last);
            }
            return new Goal(counts ? text.substring(0, space) : text, counts ? Integer.parseInt(last) : 1);
        }

        /** As {@link #read} takes it. */
        public String written() {
            return page + (weight == 1 ? "" : " " + weight);
        }

        /** Whether a path is this page. */
        public boolean reached(String path) {
            return page.endsWith("*") ? path.startsWith(page.substring(0, page.length() - 1)) : path.equals(page);
        }
    }

    /**
     * What was found in a log beside the terms, to be told.
     *
     * @param lines that were read
     * @param searches of them
     * @param strange lines that are of no known format, or cut off
     * @param firstStrange the first of them, as "line 7: ..."; empty if there is none
     * @param personal searches that looked like mail addresses or numbers of persons, and were left out
     * @param others searches that were left out for their length, or since there were too many
     * @param seldom terms with fewer visits than asked for
     */
    public record Counted(
            long lines, long searches, long strange, Message firstStrange, long personal, long others, long seldom) {

        /** What was read and what was left out, without a full stop. */
        public Message told() {
            List<Message> told = new ArrayList<>();
            told.add(Message.of("gather.log-reading.lines", lines(), searches()));
            if (personal() > 0) {
                told.add(Message.of("gather.log-reading.personal", personal()));
            }
            if (others() > 0) {
                told.add(Message.of("gather.log-reading.others", others()));
            }
            if (seldom() > 0) {
                told.add(Message.of("gather.log-reading.seldom", seldom()));
            }
            if (strange() > 0) {
                told.add(Message.of("gather.log-reading.strange", strange(), firstStrange()));
            }
            return Message.joined("list.semicolon", told);
        }
    }
}
