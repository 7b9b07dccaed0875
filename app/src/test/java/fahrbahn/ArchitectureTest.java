package fahrbahn;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class ArchitectureTest {
    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("fahrbahn");

    @Test
    void coreComputesAndNothingElse() {
        noClasses()
                .that()
                .resideInAPackage("fahrbahn.core..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "javafx..", "java.awt..", "javax.swing..", "java.sql..", "java.nio.file..", "java.net..")
                .orShould()
                .dependOnClassesThat()
                .haveNameMatching(
                        "java\\.io\\.(File|FileReader|FileWriter|FileInputStream|FileOutputStream|RandomAccessFile)")
                .check(CLASSES);
    }

    @Test
    void arrowsOfUsePointDownwards() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("core")
                .definedBy("fahrbahn.core..")
                .layer("store")
                .definedBy("fahrbahn.store..")
                .layer("link")
                .definedBy("fahrbahn.link..")
                .layer("paper")
                .definedBy("fahrbahn.words..", "fahrbahn.pen..", "fahrbahn.card..")
                .layer("app")
                .definedBy("fahrbahn.app..")
                .layer("headless")
                .definedBy("fahrbahn.headless..")
                .whereLayer("store")
                .mayOnlyBeAccessedByLayers("paper", "app", "headless")
                .whereLayer("paper")
                .mayOnlyBeAccessedByLayers("app", "headless")
                .whereLayer("link")
                .mayOnlyBeAccessedByLayers("app", "headless")
                .whereLayer("app")
                .mayNotBeAccessedByAnyLayer()
                .check(CLASSES);
    }

    @Test
    void noPackagesFormACycle() {
        slices().matching("fahrbahn.(**)").should().beFreeOfCycles().check(CLASSES);
    }

    /** The house's document draws in which order the packages of the core use each other. */
    @Test
    void theCoreIsInTheOrderOfItsDocument() throws IOException {
        String document = Files.readString(Path.of("../docs/architecture.md"));
        String drawn = document.substring(document.indexOf("## Core"));
        List<List<String>> lines = drawn.substring(drawn.indexOf("```\n") + 4)
                .lines()
                .takeWhile(line -> !line.startsWith("```"))
                .map(line -> List.of(line.split(" ")))
                .toList();
        Set<String> there = CLASSES.stream()
                .map(JavaClass::getPackageName)
                .filter(name -> name.startsWith("fahrbahn.core."))
                .map(name -> name.substring("fahrbahn.core.".length()))
                .collect(Collectors.toSet());
        assertThat(lines.stream().flatMap(List::stream)).containsExactlyInAnyOrderElementsOf(there);
        for (int i = 0; i < lines.size(); i++) {
            String[] notAbove = lines.subList(i, lines.size()).stream()
                    .flatMap(List::stream)
                    .map(name -> "fahrbahn.core." + name)
                    .toArray(String[]::new);
            for (String name : lines.get(i)) {
                noClasses()
                        .that()
                        .resideInAPackage("fahrbahn.core." + name)
                        .should()
                        .dependOnClassesThat(DescribedPredicate.describe(
                                "of a package that is not above " + name,
                                c -> !c.getPackageName().equals("fahrbahn.core." + name)
                                        && List.of(notAbove).contains(c.getPackageName())))
                        .check(CLASSES);
            }
        }
    }

    private static final String[] STATIONS = {
        "fahrbahn.app.robot..",
        "fahrbahn.app.table..",
        "fahrbahn.app.measure..",
        "fahrbahn.app.levels..",
        "fahrbahn.app.gains..",
        "fahrbahn.app.drive..",
        "fahrbahn.app.runs..",
        "fahrbahn.app.handover.."
    };

    @Test
    void whatAllStationsUseKnowsNoneOfThem() {
        noClasses()
                .that()
                .resideInAnyPackage(
                        "fahrbahn.app.kit..",
                        "fahrbahn.words..",
                        "fahrbahn.app.season..",
                        "fahrbahn.app.live..",
                        "fahrbahn.app.chart..",
                        "fahrbahn.app.ground..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(STATIONS)
                .check(CLASSES);
        noClasses()
                .that()
                .resideInAnyPackage(STATIONS)
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("fahrbahn.app.shell..", "fahrbahn.app", "fahrbahn.app.demo..")
                .check(CLASSES);
    }

    @Test
    void modelsAndWordsHoldNoNodes() {
        noClasses()
                .that()
                .resideInAPackage("fahrbahn.app..")
                .and()
                .haveNameMatching(".*(Model|Words)(\\$.*)?")
                .or()
                .resideInAnyPackage("fahrbahn.app.season..", "fahrbahn.words..", "fahrbahn.app.live..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx.scene..", "javafx.stage..")
                .check(CLASSES);
    }

    private static final DescribedPredicate<JavaClass> VIEWS = DescribedPredicate.describe(
            "shelves' classes that hold nodes",
            c -> Arrays.stream(STATIONS).anyMatch(s -> c.getPackageName().startsWith(s.replace("..", "")))
                    && c.getDirectDependenciesFromSelf().stream()
                            .anyMatch(d -> d.getTargetClass().getPackageName().startsWith("javafx.scene")));

    @Test
    void viewsReachTheSeasonOnlyThroughTheirModels() {
        noClasses()
                .that(VIEWS)
                .should()
                .dependOnClassesThat()
                .haveNameMatching("fahrbahn\\.app\\.season\\.(Season|Club|SetupChanges)|fahrbahn\\.store\\..*")
                .check(CLASSES);
    }

    @Test
    void onlyPensTouchTheCanvas() {
        noClasses()
                .that()
                .resideInAPackage("fahrbahn.app..")
                .and()
                .resideOutsideOfPackage("fahrbahn.app.chart..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("javafx.scene.canvas..")
                .check(CLASSES);
    }

    @Test
    void viewsHoldNoClocksAndNoParsing() {
        noClasses()
                .that(VIEWS)
                .should()
                .callMethodWhere(DescribedPredicate.describe(
                        "a clock or a parser",
                        call -> List.of("nanoTime", "currentTimeMillis", "now", "parse", "parseDouble", "parseInt")
                                .contains(call.getTarget().getName())))
                .check(CLASSES);
    }

    @Test
    void commandsAndPaperHaveNoWindow() {
        noClasses()
                .that()
                .resideInAnyPackage("fahrbahn.headless", "fahrbahn.words..", "fahrbahn.pen..", "fahrbahn.card..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx..", "fahrbahn.app..")
                .check(CLASSES);
    }
}
