package smorgas.core.serve;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import smorgas.core.text.Message;

/** A format that is a text. */
abstract class TextPlanFormat implements PlanFormat {

    private final String file;
    private final Message label;
    private final String mediaType;

    TextPlanFormat(String file, Message label, String mediaType) {
        this.file = file;
        this.label = label;
        this.mediaType = mediaType;
    }

    @Override
    public final String file() {
        return file;
    }

    @Override
    public final Message label() {
        return label;
    }

    @Override
    public final String mediaType() {
        return mediaType;
    }

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
