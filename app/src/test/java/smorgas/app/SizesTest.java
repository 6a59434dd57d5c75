package smorgas.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.LineMap;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/** Short lines, and few methods that are long or ask for much: what is looked for is found, and what is changed is seen. */
class SizesTest {

    /** A method of more lines is long, and so many are. */
    private static final int LONG = 40;

    private static final int MOST_LONG = 15;

    /** A method of more parameters asks for much, and so many do. */
    private static final int MANY = 5;

    private static final int MOST_ASKING = 30;

    private static final int LONGEST_LINE = 140;

    private static List<Path> sources() throws IOException {
        List<Path> sources = new ArrayList<>();
        for (String module : List.of("core", "meaning", "app", "bench")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src"))) {
                files.filter(Files::isRegularFile)
                        .filter(file -> file.toString().matches(".*\\.(java|html|css|js)"))
                        .filter(file -> !file.toString().contains("vendor"))
                        .forEach(sources::add);
            }
        }
        return sources;
    }

    private static Iterable<? extends CompilationUnitTree> parsed() throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null);
        List<Path> sources = sources().stream()
                .filter(source -> source.toString().matches(".*/src/main/.*\\.java"))
                .toList();
        JavacTask task = (JavacTask)
                compiler.getTask(null, files, null, List.of(), null, files.getJavaFileObjectsFromPaths(sources));
        positions = Trees.instance(task).getSourcePositions();
        return task.parse();
    }

    private static SourcePositions positions;

    private static long lines(CompilationUnitTree unit, MethodTree method) {
        LineMap map = unit.getLineMap();
        return map.getLineNumber(positions.getEndPosition(unit, method))
                - map.getLineNumber(positions.getStartPosition(unit, method))
                + 1;
    }

    /** Whether it is the constructor of a record that names no parameters: it has a component for each thing that is kept. */
    private static boolean compact(CompilationUnitTree unit, MethodTree method) {
        try {
            String text = unit.getSourceFile().getCharContent(true).toString();
            String head = text.substring((int) positions.getStartPosition(unit, method), (int)
                    positions.getStartPosition(unit, method.getBody()));
            return !head.contains("(");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What is long or asks for much is counted, so that there is never more of it than today. */
    @Test
    void fewMethodsAreLongOrAskForMuch() throws IOException {
        List<String> lengthy = new ArrayList<>();
        List<String> asking = new ArrayList<>();
        for (CompilationUnitTree unit : parsed()) {
            new TreeScanner<Void, Void>() {
                @Override
                public Void visitMethod(MethodTree method, Void none) {
                    String name = unit.getSourceFile().getName() + " " + method.getName();
                    if (lines(unit, method) > LONG) {
                        lengthy.add(name);
                    }
                    if (method.getParameters().size() > MANY && method.getBody() != null && !compact(unit, method)) {
                        asking.add(name);
                    }
                    return super.visitMethod(method, none);
                }
            }.scan(unit, null);
        }
        assertThat(lengthy).hasSizeLessThanOrEqualTo(MOST_LONG);
        assertThat(asking).hasSizeLessThanOrEqualTo(MOST_ASKING);
    }

    @Test
    void noLineIsLongerThanAWindowIsWide() throws IOException {
        List<String> tooLong = new ArrayList<>();
        for (Path source : sources()) {
            if (source.toString().contains("/src/test/") || source.toString().contains("/standin/sites/")) {
                // Lists and pages that are read keep their lines.
                continue;
            }
            List<String> lines = Files.readAllLines(source);
            for (int at = 0; at < lines.size(); at++) {
                if (lines.get(at).length() > LONGEST_LINE) {
                    tooLong.add(source + ":" + (at + 1));
                }
            }
        }
        assertThat(tooLong).isEmpty();
    }
}
