package smorgas.core.serve;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;

/** A format that is a text. */
abstract class TextPlanFormat implements PlanFormat {

    abstract void write(Handover what, Writer to) throws IOException;

    @Override
    public boolean isText() {
        return true;
    }

    @Override
    public void write(Handover what, OutputStream to) {
        try {
            // Unlike a writer of Files it writes a replacement for half a character, instead of ending there.
            Writer out = new BufferedWriter(new OutputStreamWriter(to, StandardCharsets.UTF_8));
            write(what, out);
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
