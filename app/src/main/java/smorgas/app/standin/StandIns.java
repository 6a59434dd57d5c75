package smorgas.app.standin;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import smorgas.core.source.FigureService;
import smorgas.core.source.PageSource;
import smorgas.core.source.Source;

/** The stand-ins there are, and what they know. */
@Configuration
@ConditionalOnProperty("smorgas.standins")
public class StandIns {

    /** Answers faster than the other. */
    private static final long FAST_MILLIS = 12;

    private static final long SLOW_MILLIS = 25;

    /** All sources, for whoever works without a server. */
    public static List<Source> sources() {
        StandIns all = new StandIns();
        return List.of(all.ottermere(), all.quillfen());
    }

    @Bean
    Source ottermere() {
        return new Suggester("Ottermere (simulated)", FAST_MILLIS, corpus(0));
    }

    @Bean
    Source quillfen() {
        return new Suggester("Quillfen (simulated)", SLOW_MILLIS, corpus(1));
    }

    @Bean
    FigureService tollbeck() {
        return new FigureStandIn();
    }

    @Bean
    PageSource sites() {
        return new Sites();
    }

    /**
     * Thousands of phrases: every thing with what it can be, what it is for, who wants it and what one wants to know. Each of the two
     * sources knows two of three.
     */
    static List<String> corpus(int which) {
        Map<String, List<String>> parts = read();
        Set<String> phrases = new LinkedHashSet<>();
        for (String thing : parts.getOrDefault("things", List.of())) {
            phrases.add(thing);
            parts.getOrDefault("before", List.of()).forEach(word -> phrases.add(word + " " + thing));
            parts.getOrDefault("behind", List.of()).forEach(word -> phrases.add(thing + " " + word));
            parts.getOrDefault("questions", List.of()).forEach(word -> phrases.add(word + " " + thing));
            for (String before : parts.getOrDefault("before", List.of())) {
                for (String behind : parts.getOrDefault("behind", List.of())) {
                    if (Math.floorMod((before + thing + behind).hashCode(), 9) == 0) {
                        phrases.add(before + " " + thing + " " + behind);
                    }
                }
            }
        }
        return phrases.stream()
                .filter(phrase -> Math.floorMod(phrase.hashCode() * 31, 3) != which)
                .toList();
    }

    private static Map<String, List<String>> read() {
        Map<String, List<String>> parts = new LinkedHashMap<>();
        try (InputStream bytes =
                Objects.requireNonNull(StandIns.class.getResourceAsStream("/smorgas/standin/corpus.txt"))) {
            List<String> part = new ArrayList<>();
            for (String line : new String(bytes.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList()) {
                if (line.startsWith("= ")) {
                    part = parts.computeIfAbsent(line.substring(2), none -> new ArrayList<>());
                } else if (!line.isBlank() && !line.startsWith("#")) {
                    part.addAll(List.of(line.split(", ")));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return parts;
    }
}
