package smorgas.app.batch;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import smorgas.core.text.Refusal;

/** Several projects of one run: each a folder of lists, or a list, and called as that is. */
final class Projects {

    private Projects() {}

    /**
     * The lists of each, by name, in the order in which they were given.
     *
     * @throws Refusal if two would be called the same, or one has no list
     * @throws IOException if a folder cannot be read
     */
    static Map<String, List<Path>> of(List<Path> given) throws IOException {
        Map<String, List<Path>> projects = new LinkedHashMap<>();
        for (Path one : given) {
            List<Path> lists = Files.isDirectory(one) ? lists(one) : List.of(one);
            if (lists.isEmpty()) {
                throw new Refusal("batch.projects.has-no-lists-in", one);
            }
            if (projects.put(name(one), lists) != null) {
                throw new Refusal("batch.projects.two-projects-would-called", name(one));
            }
        }
        return projects;
    }

    private static List<Path> lists(Path folder) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return new ArrayList<>(all.filter(Files::isRegularFile)
                    .filter(file -> !file.getFileName().toString().startsWith("."))
                    .sorted()
                    .toList());
        }
    }

    private static String name(Path one) {
        String file = one.toAbsolutePath().normalize().getFileName().toString();
        int dot = Files.isDirectory(one) ? -1 : file.indexOf('.');
        return dot > 0 ? file.substring(0, dot) : file;
    }
}
