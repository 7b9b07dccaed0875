package fahrbahn.core.language;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.DrawnLaws;
import fahrbahn.core.law.Program;
import fahrbahn.core.program.LawListing;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/**
 * The law in each language, compiled and run, against the program that the twin drives by: drawn setups of each of the five laws, over
 * every scale, mixing, clamp, lost rule, limit and school of marks.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ExportedLawTest extends Repeated {
    private static final int TICKS = 80;

    /** A setup, what it reads tick by tick, and what the twin's program answers. */
    private record Case(Setup setup, List<double[]> readings, List<Double> seconds, List<double[]> commands) {}

    private final List<Case> cases = new ArrayList<>();

    @TempDir
    private Path folder;

    @BeforeAll
    void draw() {
        for (ErrorSignal kind : ErrorSignal.values()) {
            Random random = new Random(kind.ordinal() + 900);
            for (int i = 0; i < times(6, 44); i++) {
                cases.add(drawn(random, DrawnLaws.drawn(random, kind)));
            }
        }
    }

    private static Case drawn(Random random, Setup setup) {
        Program program = new Program(setup);
        List<String> inputs = LawListing.of(setup).inputs();
        Case made = new Case(setup, new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        Set<String> all = new HashSet<>(program.sensors());
        all.addAll(inputs);
        for (int tick = 0; tick < TICKS; tick++) {
            Map<String, Double> byName =
                    DrawnLaws.readings(random, setup, new ArrayList<>(new java.util.TreeSet<>(all)), tick);
            double seconds = 0.005 + 0.01 * random.nextDouble();
            program.tick(program.sensors().stream().mapToDouble(byName::get).toArray(), seconds);
            made.readings().add(inputs.stream().mapToDouble(byName::get).toArray());
            made.seconds().add(seconds);
            made.commands().add(new double[] {program.left(), program.right()});
        }
        return made;
    }

    /** Tick by tick within 1e-9 of full command. */
    private void same(String language, int number, List<double[]> answers) {
        Case its = cases.get(number);
        assertThat(answers).as(language).hasSize(TICKS);
        double allowed = 1e-9 * its.setup().robot().drive().fullCommand();
        for (int tick = 0; tick < TICKS; tick++) {
            for (int wheel = 0; wheel < 2; wheel++) {
                assertThat(answers.get(tick)[wheel])
                        .as(
                                "%s, case %d (%s), tick %d, wheel %d",
                                language, number, its.setup().law(), tick, wheel)
                        .isCloseTo(its.commands().get(tick)[wheel], within(allowed));
            }
        }
    }

    /** The drawn cases are no idle ones: most ticks steer, and no two wheels alike. */
    @Test
    void theCasesAreWorthIt() {
        long steering = cases.stream()
                .flatMap(c -> c.commands().stream())
                .filter(c -> c[0] != c[1])
                .count();
        assertThat(cases).hasSizeGreaterThanOrEqualTo(times(30, 200));
        assertThat((double) steering / cases.size() / TICKS).isGreaterThan(0.4);
    }

    @Test
    void javaSaysTheSame() throws Exception {
        List<String> files = new ArrayList<>(List.of("-nowarn", "-proc:none", "-d", folder.toString()));
        for (int i = 0; i < cases.size(); i++) {
            Path file = Files.createDirectories(folder.resolve("p" + i)).resolve("Law.java");
            Files.writeString(
                    file,
                    "package p" + i + ";\n" + Language.JAVA.program(cases.get(i).setup()));
            files.add(file.toString());
        }
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        assertThat(compiler.run(null, null, null, files.toArray(String[]::new))).isZero();
        try (URLClassLoader loader =
                new URLClassLoader(new URL[] {folder.toUri().toURL()})) {
            for (int i = 0; i < cases.size(); i++) {
                Class<?> type = loader.loadClass("p" + i + ".Law");
                Constructor<?> constructor = type.getDeclaredConstructor();
                constructor.setAccessible(true);
                Object law = constructor.newInstance();
                Method tick = type.getDeclaredMethod("tick", double[].class, double.class);
                tick.setAccessible(true);
                Method reset = type.getDeclaredMethod("reset");
                reset.setAccessible(true);
                // Twice, for reset() must bring back all of it.
                for (int go = 0; go < 2; go++) {
                    reset.invoke(law);
                    List<double[]> answers = new ArrayList<>();
                    for (int t = 0; t < TICKS; t++) {
                        answers.add((double[]) tick.invoke(
                                law,
                                cases.get(i).readings().get(t),
                                cases.get(i).seconds().get(t)));
                    }
                    same("java", i, answers);
                }
            }
        }
    }

    private Path readings() throws Exception {
        StringBuilder text = new StringBuilder();
        for (Case one : cases) {
            text.append(one.readings().get(0).length).append('\n');
            for (int t = 0; t < TICKS; t++) {
                text.append(one.seconds().get(t));
                for (double reading : one.readings().get(t)) {
                    text.append(' ').append(reading);
                }
                text.append('\n');
            }
        }
        return Files.writeString(folder.resolve("readings.txt"), text);
    }

    private static boolean there(String... command) {
        try {
            Process process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            return process.waitFor() == 0;
        } catch (java.io.IOException missing) {
            return false;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private void run(String language, List<String> command) throws Exception {
        Path out = folder.resolve(language + ".out");
        Path errors = folder.resolve(language + ".errors");
        Process process = new ProcessBuilder(command)
                .redirectOutput(out.toFile())
                .redirectError(errors.toFile())
                .start();
        assertThat(process.waitFor()).as(Files.readString(errors)).isZero();
    }

    private void answersAreTheSame(String language) throws Exception {
        List<double[]> all = new ArrayList<>();
        try (Stream<String> lines = Files.lines(folder.resolve(language + ".out"))) {
            lines.forEach(line -> {
                String[] both = line.split(" ");
                all.add(new double[] {Double.parseDouble(both[0]), Double.parseDouble(both[1])});
            });
        }
        assertThat(all).hasSize(cases.size() * TICKS);
        for (int i = 0; i < cases.size(); i++) {
            same(language, i, all.subList(i * TICKS, (i + 1) * TICKS));
        }
    }

    @Test
    void cppSaysTheSame() throws Exception {
        assumeTrue(there("g++", "--version"), "g++ is not installed; ./fahrbahn test installs it as root");
        StringBuilder text = new StringBuilder("#include <cmath>\n#include <cstdio>\n");
        StringBuilder main = new StringBuilder();
        for (int i = 0; i < cases.size(); i++) {
            text.append("namespace p")
                    .append(i)
                    .append(" {\n")
                    .append(Language.CPP.program(cases.get(i).setup()))
                    .append("}\n");
            main.append("    run<p").append(i).append("::Law>(in);\n");
        }
        text.append(String.format(Locale.ROOT, """
                template <class L> void run(FILE* in) {
                    int n;
                    if (fscanf(in, "%%d", &n) != 1) return;
                    L law;
                    law.reset();
                    for (int t = 0; t < %d; t++) {
                        double seconds, r[64], left, right;
                        if (fscanf(in, "%%lf", &seconds) != 1) return;
                        for (int i = 0; i < n; i++) if (fscanf(in, "%%lf", &r[i]) != 1) return;
                        law.tick(r, seconds, left, right);
                        printf("%%.17g %%.17g\\n", left, right);
                    }
                }
                int main(int, char** a) {
                    FILE* in = fopen(a[1], "r");
                """, TICKS)).append(main).append("    return 0;\n}\n");
        Path source = Files.writeString(folder.resolve("laws.cpp"), text);
        Path program = folder.resolve("laws");
        run(
                "compiler",
                List.of(
                        "g++",
                        "-std=c++11",
                        "-Wall",
                        "-Werror",
                        "-Wno-unused-but-set-variable",
                        "-O0",
                        "-o",
                        program.toString(),
                        source.toString()));
        run("cpp", List.of(program.toString(), readings().toString()));
        answersAreTheSame("cpp");
    }

    @Test
    void pythonSaysTheSame() throws Exception {
        assumeTrue(there("python3", "--version"), "python3 is not installed; ./fahrbahn test installs it as root");
        for (int i = 0; i < cases.size(); i++) {
            Files.writeString(
                    folder.resolve("law" + i + ".py"),
                    Language.PYTHON.program(cases.get(i).setup()));
        }
        String main = String.format(Locale.ROOT, """
                import importlib, sys
                sys.path.insert(0, sys.argv[2])
                with open(sys.argv[1]) as lines:
                    for case in range(%d):
                        law = importlib.import_module("law%%d" %% case)
                        lines.readline()
                        law.reset()
                        for tick in range(%d):
                            numbers = [float(word) for word in lines.readline().split()]
                            left, right = law.tick(numbers[1:], numbers[0])
                            print(repr(float(left)), repr(float(right)))
                """, cases.size(), TICKS);
        Path driver = Files.writeString(folder.resolve("drive.py"), main);
        run("python", List.of("python3", driver.toString(), readings().toString(), folder.toString()));
        answersAreTheSame("python");
    }

    /** In plain words every step has a number, and nothing of a language is left in it. */
    @Test
    void blocksAreNumberedStepsInWords() {
        String steps = Language.BLOCKS.program(Setups.pair());
        assertThat(steps).contains("1. Set s0 to", "KP = ", "Send left to the left wheel");
        for (Case one : cases) {
            assertThat(Language.BLOCKS.program(one.setup())).doesNotContain("==", "[", "&&", "_");
        }
    }

    /** A name that would end a comment or a line does no harm. */
    @Test
    void namesDoNoHarm() {
        Setup setup = Setups.pair();
        List<Sensor> sensors = setup.robot().sensors();
        Setup named = setup.withRobot(setup.robot()
                .withName("evil\nimport os\\")
                .withSensors(
                        List.of(DrawnLaws.called(sensors.get(0), "a\r\nb */"), DrawnLaws.called(sensors.get(1), "c"))));
        for (Language language : Language.values()) {
            String text = language.program(named);
            assertThat(text.lines().filter(l -> l.contains("import os")).map(String::strip))
                    .as(language.word())
                    .allMatch(l -> l.startsWith("#") || l.startsWith("//") || l.startsWith("The law of"));
            assertThat(text).doesNotContain("\r", "\\");
        }
    }

    /** A target that no reading reaches. */
    @Test
    void aRobotThatWouldRideNowhereHasNoProgram() {
        Setup setup = Setups.edge();
        Setup nowhere = setup.withLaw(setup.law().withTarget(5000));
        assertThatThrownBy(() -> Language.PYTHON.program(nowhere)).isInstanceOf(BadValueException.class);
    }
}
