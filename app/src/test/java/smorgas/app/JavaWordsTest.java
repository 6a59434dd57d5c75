package smorgas.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/** No class has a text that people read: it stands in the catalogue, and the class names its key. */
class JavaWordsTest {

    /** Words with a blank between, or one word as a heading writes it. */
    private static final Pattern READ = Pattern.compile(
            "(?s).*\\p{L}{2}[,.:;]? \\p{L}{2}.*|\\p{Lu}\\p{Ll}{2,}( .*)?| ?\\p{L}+ \\p{L}?.*| \\p{L}{2,}.*");

    /** What programs read, not people: markup, statements of SQL, fields of HTTP, patterns, names of parts of files. */
    private static final Pattern FOR_PROGRAMS =
            Pattern.compile("(?s).*[<>\\\\].*|.*=\"|.*\\$\\{.*|[a-z-]+=.*|.*'self'.*"
                    + "|(select|insert|merge|update|delete|backup|values|using| from| where| join| on| when|  cast|  values|cast).*"
                    + "|.* (and|values|count)\\(?.*\\(.*|attachment; filename=.*|text/.*");

    private static final Set<String> NAMES_OF_STANDARDS = Set.of(
            "Host",
            "Origin",
            "Location",
            "Strict",
            "Retry-After",
            "Referer",
            "Jan",
            "Feb",
            "Mar",
            "Apr",
            "May",
            "Jun",
            "Jul",
            "Aug",
            "Sep",
            "Oct",
            "Nov",
            "Dec");

    /** What throws for programmers, what logs, and what asks a database. */
    private static final Pattern NOT_SAID = Pattern.compile(
            "LOG\\..*|.*\\.?(executeQuery|execute|prepareStatement|resultQuery|query|batch|sql|field|format|requireNonNull"
                    + "|reportInputMismatch|ofPattern|compile|replaceAll|setHeader|getHeader|joining)");

    private static final Pattern FOR_PROGRAMMERS = Pattern.compile(
            "(Illegal\\w+|NoSuchElement|UnsupportedOperation|Unchecked\\w+|Assertion|IO|Binding\\w*|ServletRequestBinding"
                    + "|MissingServlet\\w*|Cancellation)(Exception|Error)");

    /** Classes whose words are no texts, and what they are. */
    private static final Map<String, Set<String>> FIXED = Map.of(
            "names that docs/layouts.md fixes",
            Set.of(
                    "BatchRun",
                    "BatchTables",
                    "Computed",
                    "EarlierRun",
                    "Figure",
                    "SuggestionFinder",
                    "PhraseFinder",
                    "LogTerms",
                    "MatchType",
                    "NoteController",
                    "PlanChanges",
                    "PlanLayout",
                    "PlanNames",
                    "PlanRow",
                    "PlanTable",
                    "PlanWorkbook",
                    "Status",
                    "AdWriter",
                    "Reading"),
            "names in the recipe, which people can change",
            Set.of("ClickTable", "Grouper", "PrioritySettings", "StandardSettings"),
            "the demo's made-up data, and services that are simulated",
            Set.of("DemoKeywords", "DemoLists", "DemoProject", "FigureStandIn", "StandIns"),
            "keys by which acts, views and addresses are found again",
            Set.of(
                    "Alternatives",
                    "Doubts",
                    "FoldEntry",
                    "GroupEntry",
                    "GroupMenu",
                    "GroupDecision",
                    "NoteEntry",
                    "Previews",
                    "ReadingTasks",
                    "SameProposals",
                    "ServeEntry",
                    "SiftEntry",
                    "ToolTasks",
                    "ValueEntry",
                    "WordsFrom",
                    "EstimatedValuePanel",
                    "PhrasesController"),
            "what only programs read",
            Set.of(
                    "Band",
                    "Failures",
                    "HtmlDocument",
                    "Sheet",
                    "SvgDrawing",
                    "Tally",
                    "TallyMarks",
                    "GroupsPending",
                    "KeywordNumbers",
                    "MapHtml",
                    "Meanings",
                    "PageFetcher",
                    "Patterns"));

    private static List<Path> sources() throws IOException {
        List<Path> sources = new ArrayList<>();
        for (String module : List.of("app", "core", "meaning")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src", "main", "java"))) {
                files.filter(file -> file.toString().endsWith(".java")).forEach(sources::add);
            }
        }
        return sources;
    }

    @Test
    void noClassHasWordsThatPeopleRead() throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        Map<String, Set<String>> own = new TreeMap<>();
        int classes = 0;
        try (var files = compiler.getStandardFileManager(null, null, null)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null, files, null, List.of("-proc:none"), null, files.getJavaFileObjectsFromPaths(sources()));
            for (CompilationUnitTree unit : task.parse()) {
                classes++;
                String name = Path.of(unit.getSourceFile().getName())
                        .getFileName()
                        .toString()
                        .replace(".java", "");
                new TreeScanner<Void, Void>() {
                    @Override
                    public Void visitAnnotation(AnnotationTree tree, Void none) {
                        return null;
                    }

                    @Override
                    public Void visitMethodInvocation(MethodInvocationTree tree, Void none) {
                        return NOT_SAID.matcher(tree.getMethodSelect().toString())
                                        .matches()
                                ? scan(tree.getMethodSelect(), null)
                                : super.visitMethodInvocation(tree, none);
                    }

                    @Override
                    public Void visitNewClass(NewClassTree tree, Void none) {
                        return FOR_PROGRAMMERS
                                        .matcher(tree.getIdentifier().toString().replaceAll(".*\\.", ""))
                                        .matches()
                                ? null
                                : super.visitNewClass(tree, none);
                    }

                    @Override
                    public Void visitLiteral(LiteralTree tree, Void none) {
                        if (tree.getValue() instanceof String text
                                && READ.matcher(text).matches()
                                && !FOR_PROGRAMS.matcher(text).matches()
                                && !NAMES_OF_STANDARDS.contains(text)
                                && FIXED.values().stream().noneMatch(names -> names.contains(name))) {
                            own.computeIfAbsent(name, any -> new TreeSet<>()).add(text);
                        }
                        return null;
                    }
                }.scan(unit, null);
            }
        }
        assertThat(classes).isGreaterThan(500);
        assertThat(own).isEmpty();
    }
}
