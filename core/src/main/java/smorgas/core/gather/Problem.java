package smorgas.core.gather;

import smorgas.core.text.Message;

/**
 * A fault in what somebody gathered, where it is, and what can be done about it.
 *
 * @param file the basket's name
 * @param line the line of the file as an editor counts it, from 1; 0 when it concerns the whole file
 * @param what what is wrong, a sentence without a full stop
 * @param todo what Smorgas did and what the researcher can do, a sentence
 */
public record Problem(String file, int line, Message what, Message todo) {

    /** The sentence for a page or a report. */
    public Message sentence() {
        return line > 0
                ? Message.of("gather.problem.at-line", Integer.toString(line), what, todo)
                : Message.of("gather.problem.of-file", what, todo);
    }
}
