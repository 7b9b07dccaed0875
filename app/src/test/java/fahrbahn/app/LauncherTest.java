package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.InMemory;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** A machine that is not as it should be: one sentence that says what to do, and no stack trace. */
@Timeout(600)
class LauncherTest {
    private static final Path LAUNCHER =
            Path.of("..", "fahrbahn").toAbsolutePath().normalize();
    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();

    @TempDir(factory = InMemory.class)
    private Path folder;

    private record Ended(int code, List<String> said) {}

    /** @param changes of the surroundings; an empty value takes one away */
    private Ended run(Map<String, String> changes, String... command) throws Exception {
        Path said = folder.resolve("said.txt");
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(said.toFile());
        changes.forEach((name, value) -> {
            if (value.isEmpty()) {
                builder.environment().remove(name);
            } else {
                builder.environment().put(name, value);
            }
        });
        Process process = builder.start();
        try {
            assertThat(process.waitFor(500, TimeUnit.SECONDS)).isTrue();
        } finally {
            process.destroyForcibly();
        }
        return new Ended(process.exitValue(), Files.readAllLines(said, StandardCharsets.UTF_8));
    }

    private Path fakeJava(String version) throws IOException {
        Path java = Files.createDirectories(folder.resolve("jdk/bin")).resolve("java");
        Files.writeString(java, "#!/bin/sh\necho '    java.specification.version = " + version + "' >&2\n");
        assertThat(java.toFile().setExecutable(true)).isTrue();
        return folder.resolve("jdk");
    }

    /** A launcher that has nothing built yet. */
    private String copied() throws IOException {
        Path copy = Files.copy(LAUNCHER, folder.resolve("fahrbahn"));
        assertThat(copy.toFile().setExecutable(true)).isTrue();
        return copy.toString();
    }

    @Test
    void aFolderWithoutJavaIsNamed() throws Exception {
        Ended ended = run(Map.of("JAVA_HOME", "/nowhere"), LAUNCHER.toString(), "lane", "x");
        assertThat(ended.code()).isEqualTo(1);
        assertThat(ended.said()).singleElement().asString().contains("'/nowhere'", "JDK 17");
    }

    @Test
    void aJavaThatIsTooOldIsNamed() throws Exception {
        Ended ended = run(Map.of("JAVA_HOME", fakeJava("11").toString()), copied(), "lane", "x");
        assertThat(ended.code()).isEqualTo(1);
        assertThat(ended.said()).singleElement().asString().contains("17", "is 11");
    }

    @Test
    void withoutAHomeItHelpsAllTheSame() throws Exception {
        Ended ended = run(Map.of("HOME", "", "FAHRBAHN_HOME", ""), LAUNCHER.toString(), "help");
        assertThat(ended.code()).isZero();
        assertThat(ended.said()).hasSizeGreaterThan(20);
    }

    @Test
    void withoutAScreenItSaysSo() throws Exception {
        String run = Path.of("target", "run").toAbsolutePath().toString();
        Ended ended = run(
                Map.of("DISPLAY", "", "JAVA_TOOL_OPTIONS", ""),
                JAVA,
                "-Dfahrbahn.home=" + folder,
                "--module-path",
                run + "/fx",
                "--add-modules",
                "javafx.controls,javafx.swing",
                "-cp",
                System.getProperty("java.class.path"),
                "fahrbahn.app.Main");
        assertThat(ended.said()).singleElement().asString().contains("no screen", "./fahrbahn");
        assertThat(ended.code()).isEqualTo(2);
    }
}
