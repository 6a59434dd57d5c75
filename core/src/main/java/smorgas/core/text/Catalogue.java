package smorgas.core.text;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * All texts that people read, by key, in the message format of ICU: {@code {0}} is what is filled in, {@code {0, plural, one {# keyword}
 * other {# keywords}}} goes by a count, {@code '{'} is a brace. English is {@code messages.properties}; a further language is a catalogue
 * of the same keys.
 */
public final class Catalogue implements Wording {

    /** The keys of a text out of others: see {@link #of}. */
    private static final String COMMA = "list.comma";

    private final ULocale locale;
    private final Map<String, String> patterns;
    private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();

    /**
     * @param locale whose plurals and numbers the texts have
     * @param patterns the texts by key
     */
    public Catalogue(ULocale locale, Map<String, String> patterns) {
        this.locale = locale;
        this.patterns = Map.copyOf(patterns);
    }

    /** The texts that are shipped. */
    public static Catalogue english() {
        return Shipped.ENGLISH;
    }

    /** The texts as they are written, by key. */
    public Map<String, String> patterns() {
        return patterns;
    }

    @Override
    public Set<String> keys() {
        return patterns.keySet();
    }

    /** The text of a message; arguments that are lists are written with commas between. */
    @Override
    public String of(Message message) {
        if (message.key().isEmpty()) {
            return written(message.arguments().getFirst()).toString();
        }
        String pattern = patterns.get(message.key());
        if (pattern == null) {
            throw new IllegalArgumentException("There is no text " + message.key());
        }
        if (pattern.indexOf('{') < 0) {
            return pattern;
        }
        Object[] arguments = message.arguments().stream().map(this::written).toArray();
        // A format of ICU is no two threads' at once.
        MessageFormat format = formats.computeIfAbsent(message.key(), key -> new MessageFormat(pattern, locale));
        synchronized (format) {
            return format.format(arguments);
        }
    }

    private Object written(Object argument) {
        return switch (argument) {
            case Message message -> of(message);
            case List<?> list ->
                list.stream()
                        .map(this::written)
                        .map(Object::toString)
                        .reduce((before, next) -> of(COMMA, before, next))
                        .orElse("");
            case Boolean yes -> yes.toString();
            default -> argument;
        };
    }

    /** Read when it is first asked for. */
    private static final class Shipped {

        private static final Catalogue ENGLISH = new Catalogue(ULocale.ENGLISH, read());

        private static Map<String, String> read() {
            Properties read = new Properties();
            try (Reader reader = new InputStreamReader(
                    Objects.requireNonNull(Catalogue.class.getResourceAsStream("/smorgas/messages.properties")),
                    StandardCharsets.UTF_8)) {
                read.load(reader);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return read.stringPropertyNames().stream().collect(Collectors.toMap(key -> key, read::getProperty));
        }
    }
}
