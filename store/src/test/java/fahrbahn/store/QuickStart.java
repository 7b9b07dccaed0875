package fahrbahn.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.spi.ToolProvider;
import org.sqlite.util.LibraryLoaderUtil;

/**
 * Starts programs of a test's class in a third of the usual time: from an archive of the classes loaded, which can be made of jars alone, and
 * with the database's library unpacked once. They are the same classes as the test's.
 */
public final class QuickStart {
    private final Path folder;
    private final String main;
    private final String classPath;

    /** @param main a program that ends by itself when it is given one argument, a folder to work in */
    public QuickStart(Path folder, Class<?> main) throws Exception {
        this.folder = folder;
        this.main = main.getName();
        List<String> jars = new ArrayList<>();
        String all = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        for (String part : all.split(File.pathSeparator)) {
            jars.add(Files.isDirectory(Path.of(part)) ? jar(part, jars.size()) : part);
        }
        classPath = String.join(File.pathSeparator, jars);
        String library = LibraryLoaderUtil.getNativeLibName();
        try (InputStream packed = LibraryLoaderUtil.class.getResourceAsStream(
                LibraryLoaderUtil.getNativeLibResourcePath() + "/" + library)) {
            Files.copy(packed, folder.resolve(library));
        }
        Process once = start("-XX:ArchiveClassesAtExit=" + archive(), Files.createDirectory(folder.resolve("once")));
        assertThat(once.waitFor()).isZero();
    }

    /** @param argument what it is to do there */
    public Process start(Path work, String argument) throws Exception {
        return start("-XX:SharedArchiveFile=" + archive(), work, argument);
    }

    private Path archive() {
        return folder.resolve("classes.jsa");
    }

    private String jar(String classes, int number) {
        Path jar = folder.resolve("classes" + number + ".jar");
        ToolProvider tool = ToolProvider.findFirst("jar").orElseThrow();
        assertThat(tool.run(System.out, System.err, "cf", jar.toString(), "-C", classes, "."))
                .isZero();
        return jar.toString();
    }

    private Process start(String archiving, Path work, String... arguments) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                ProcessHandle.current().info().command().orElse("java"),
                archiving,
                "-Xlog:disable",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-Dorg.sqlite.lib.path=" + folder,
                "-cp",
                classPath,
                main,
                work.toString()));
        command.addAll(List.of(arguments));
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
    }
}
