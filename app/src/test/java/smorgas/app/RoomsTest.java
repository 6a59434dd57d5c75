package smorgas.app;

import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.ArchConfiguration;
import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Method;

/** Which room may know which, as docs/architecture.md tells it. Every violation is listed at once. */
class RoomsTest {

    /** What every stage may know: values and the decisions of a project. A star stands for all rooms within. */
    private static final Set<String> VALUES =
            Set.of("core.text", "core.language", "core.column", "core.figure", "core.recipe*");

    /** Each room of ours with the rooms it may know besides itself. */
    private static final Map<String, Set<String>> MAY_KNOW = Map.ofEntries(
            Map.entry("core.column", Set.of()),
            Map.entry("core.figure", Set.of("core.column", "core.text")),
            Map.entry("core.text", Set.of("core.column")),
            Map.entry("core.language", Set.of("core.text", "core.figure")),
            // The settings of a room know no entry; entries and what they come to know them all.
            Map.entry("core.recipe.gather", Set.of("core.text", "core.figure")),
            Map.entry("core.recipe.fold", Set.of("core.text", "core.language")),
            Map.entry("core.recipe.value", Set.of("core.text", "core.figure")),
            Map.entry("core.recipe.sift", Set.of("core.text", "core.figure", "core.recipe.fold", "core.recipe.value")),
            Map.entry("core.recipe.group", Set.of("core.text", "core.recipe.sift", "core.recipe.value")),
            Map.entry("core.recipe.serve", Set.of("core.text", "core.figure", "core.recipe.group")),
            Map.entry("core.recipe", VALUES),
            // Fold's input is Gather's result, and so on down the one direction; never the other way.
            Map.entry("core.gather", VALUES),
            Map.entry("core.fold", with("core.gather")),
            Map.entry("core.sift", with("core.fold")),
            Map.entry("core.value", with("core.gather", "core.fold")),
            // Within Group: engines know nothing of hands and results, and nothing of each other.
            Map.entry("core.group.engine", with("core.fold")),
            Map.entry("core.group.same", with("core.fold", "core.group.engine")),
            Map.entry("core.group.themes", with("core.fold", "core.group.engine")),
            Map.entry("core.group.similarity", with("core.fold", "core.group.engine", "core.group.same")),
            Map.entry("core.group.hand", with("core.fold")),
            Map.entry("core.group", with("core.fold", "core.group.engine", "core.group.themes", "core.group.hand")),
            Map.entry(
                    "core.group.read",
                    with("core.fold", "core.group", "core.group.engine", "core.group.themes", "core.group.same")),
            Map.entry("core.draw", Set.of("core.column", "core.figure", "core.group", "core.group.read")),
            Map.entry(
                    "core.serve",
                    with("core.fold", "core.sift", "core.value", "core.group", "core.group.read", "core.draw")),
            Map.entry("core.source", VALUES),
            Map.entry(
                    "core.board",
                    with("core.gather", "core.fold", "core.sift", "core.value", "core.group*", "core.serve")),
            Map.entry("meaning.model", Set.of()),
            Map.entry("app.store", Set.of("core*")),
            Map.entry("app.standin", Set.of("core*")),
            Map.entry("app.fetch", Set.of("core*")),
            Map.entry("app.work", Set.of("core*", "app.store", "app.fetch", "meaning.model")),
            Map.entry("app.web", Set.of("core*", "app.store", "app.work", "app.demo")),
            Map.entry("app.batch", Set.of("core*", "app.store", "app.standin", "meaning.model")),
            Map.entry("app.demo", Set.of("core*", "app.store", "app.work")),
            Map.entry("app.config", Set.of("core*", "app.store")));

    private static Set<String> with(String... more) {
        Set<String> rooms = new HashSet<>(VALUES);
        rooms.addAll(List.of(more));
        return rooms;
    }

    private static boolean allows(String entry, String room) {
        return entry.endsWith("*") ? room.startsWith(entry.substring(0, entry.length() - 1)) : entry.equals(room);
    }

    private static JavaClasses ours;

    @BeforeAll
    static void read() {
        // What others are made of is not asked, and reading it takes longer than all else here.
        ArchConfiguration.get().setResolveMissingDependenciesFromClassPath(false);
        ours = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("smorgas.core", "smorgas.meaning", "smorgas.app");
    }

    /** The core is told how much memory it may take, and the application asks in one place. */
    @Test
    void oneClassAsksForTheMemory() {
        assertThat(ours.stream()
                        .filter(from -> from.getMethodCallsFromSelf().stream()
                                .anyMatch(call -> call.getTargetOwner().isEquivalentTo(Runtime.class)
                                        && call.getName().endsWith("Memory")))
                        .map(JavaClass::getSimpleName))
                .containsExactly("GivenMemory");
        assertThat(ours.stream()
                        .filter(from -> from.getPackageName().startsWith("smorgas.core"))
                        .flatMap(from -> from.getDirectDependenciesFromSelf().stream())
                        .filter(dependency -> dependency.getTargetClass().isEquivalentTo(Runtime.class))
                        .map(Dependency::getDescription))
                .isEmpty();
    }

    @Test
    void everyRoomKnowsOnlyTheRoomsItMay() {
        List<String> violations = new ArrayList<>();
        for (JavaClass from : ours) {
            String room = room(from);
            if (room.isEmpty()) {
                continue;
            }
            assertThat(MAY_KNOW).as("the room of %s", from.getName()).containsKey(room);
            for (Dependency dependency : from.getDirectDependenciesFromSelf()) {
                String to = room(dependency.getTargetClass());
                boolean allowed = to.isEmpty()
                        || to.equals(room)
                        || MAY_KNOW.get(room).stream().anyMatch(entry -> allows(entry, to));
                if (!allowed) {
                    violations.add(dependency.getDescription());
                }
            }
        }
        assertThat(violations).isEmpty();
    }

    /** The room of a class; empty for classes that are not ours, and for the entry and the generated schema. */
    private static String room(JavaClass type) {
        String[] parts = type.getPackageName().split("\\.");
        boolean ours = parts.length > 2
                && parts[0].equals("smorgas")
                && !type.getPackageName().contains(".schema");
        // Group and the recipe are houses of their own.
        boolean house =
                ours && parts.length > 3 && Set.of("group", "recipe").contains(parts[2]) && parts[1].equals("core");
        return !ours ? "" : parts[1] + "." + parts[2] + (house ? "." + parts[3] : "");
    }

    /** Code below the board gets its part of the rules as a value; which rules there are, the board and the application know. */
    @Test
    void onlyTheBoardAndTheApplicationKnowWhichRulesHold() {
        List<String> violations = new ArrayList<>();
        for (JavaClass from : ours) {
            boolean below = from.getPackageName().startsWith("smorgas.core")
                    && !room(from).matches("core\\.(board|recipe.*)");
            for (Dependency dependency : from.getDirectDependenciesFromSelf()) {
                if (below && dependency.getTargetClass().isEquivalentTo(Rules.class)) {
                    violations.add(dependency.getDescription());
                }
            }
            from.getMethodCallsFromSelf().stream()
                    .filter(call -> call.getTargetOwner().isEquivalentTo(Rules.class)
                            && call.getName().startsWith("number")
                            && room(from).startsWith("core.")
                            && !from.isEquivalentTo(Rules.class))
                    .forEach(call -> violations.add(call.getDescription()));
        }
        assertThat(violations).isEmpty();
    }

    /** A number with a fraction in a room that decides outcomes is one of the rules, but for those that only round or advise. */
    @Test
    void tunedNumbersAreInTheRules() {
        Set<String> roundsOrAdvises = Set.of(
                "WordWeights.UNIT",
                "RankWeights.WHOLE",
                "Linkage.TRULY",
                "Preferences.HAIR",
                "Nearest.NEARLY", // round
                "SameProposals",
                "Explained",
                "Doubts",
                "Families", // advise: nothing follows until somebody says so
                "EstimatedValue.PERCENT",
                "EstimatedValue.HUNDREDTHS",
                "EstimatedValue.MICROS_IN_ONE",
                "Priority.HALF", // units
                "TwoProportions.CONFIDENCE",
                "TwoProportions.POWER"); // published
        assertThat(ours.stream()
                        .filter(type -> room(type).matches("core\\.(fold|sift|value|group.*)"))
                        .flatMap(type -> type.getFields().stream())
                        .filter(field -> field.getModifiers().contains(JavaModifier.STATIC)
                                && field.getRawType().getName().matches("double|float"))
                        .map(field -> field.getOwner().getSimpleName() + "." + field.getName())
                        .filter(name -> !roundsOrAdvises.contains(name)
                                && !roundsOrAdvises.contains(name.substring(0, name.indexOf('.')))))
                .isEmpty();
    }

    /** Pages read the board: what is worked out for them is a question to it. */
    @Test
    void pagesFoldJudgeAndGroupNothingThemselves() {
        assertThat(ours.stream()
                        .filter(from -> room(from).equals("app.web"))
                        .flatMap(from -> from.getAccessesFromSelf().stream())
                        .filter(access -> access.getTargetOwner()
                                        .getPackageName()
                                        .matches("smorgas\\.core\\.group\\.(themes|similarity)")
                                || Set.of("Folder", "Judge", "Grouper", "PlanUnits", "PlanParts")
                                        .contains(access.getTargetOwner().getSimpleName())
                                || access.getDescription().matches(".*(Matcher\\.<init>|Cleaner\\.preview).*"))
                        .map(Object::toString))
                .isEmpty();
    }

    /** What everybody must know of a method of grouping it tells itself: another one is no other's business. */
    @Test
    void onlyEnginesAndDialsAskWhichMethodItIs() {
        assertThat(ours.stream()
                        .filter(from -> !room(from).matches("core\\.group\\.(engine|themes|similarity)")
                                && !from.getFullName().contains(".web.group.Dial"))
                        .flatMap(from -> from.getCodeUnits().stream())
                        .flatMap(unit -> unit.getInstanceofChecks().stream())
                        .filter(check -> check.getRawType().isAssignableTo(Method.class))
                        .map(check -> check.getOwner().getFullName()))
                .isEmpty();
    }

    /** Months, days and moments are values; nobody asks which is now. */
    @Test
    void theCoreKnowsNeitherWebNorSqlNorClockNorLog() {
        List<String> violations = new ArrayList<>();
        for (JavaClass from : ours) {
            if (from.getPackageName().startsWith("smorgas.core")) {
                for (Dependency dependency : from.getDirectDependenciesFromSelf()) {
                    String to = dependency.getTargetClass().getName();
                    if (to.matches(
                            "(org\\.springframework|java\\.sql|javax\\.(?!xml|imageio)|jakarta|org\\.jooq|org\\.slf4j|java\\.time(?!\\.(YearMonth|Month|LocalDate|DayOfWeek|Instant|Duration|temporal\\.|format\\.|DateTimeException))"
                                    + "|java\\.util\\.logging|java\\.net|java\\.nio\\.file|tools\\.jackson\\.databind)\\b.*")) {
                        violations.add(dependency.getDescription());
                    }
                }
                from.getMethodCallsFromSelf().stream()
                        .filter(call -> call.getName().equals("now"))
                        .forEach(call -> violations.add(call.getDescription()));
            }
        }
        assertThat(violations).isEmpty();
    }

    @Test
    void onlyTheStoreAndTheWiringKnowTheDatabase() {
        List<String> violations = new ArrayList<>();
        for (JavaClass from : ours) {
            boolean allowed = Set.of("app.store", "app.config").contains(room(from))
                    || from.getPackageName().contains(".schema");
            for (Dependency dependency : from.getDirectDependenciesFromSelf()) {
                if (!allowed && dependency.getTargetClass().getPackageName().startsWith("org.jooq")) {
                    violations.add(dependency.getDescription());
                }
            }
        }
        assertThat(violations).isEmpty();
    }

    @Test
    void noRoomsFormACircle() {
        slices().matching("smorgas.(*).(*)..")
                .namingSlices("$1.$2")
                .should()
                .beFreeOfCycles()
                .check(ours);
        slices().matching("smorgas.app.web.(*)..").should().beFreeOfCycles().check(ours);
    }
}
