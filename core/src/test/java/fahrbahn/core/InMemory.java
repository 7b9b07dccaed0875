package fahrbahn.core;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.AnnotatedElementContext;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.io.TempDirFactory;

/** Folders in memory, where there are such: for tests that write hundreds of seasons and do not measure the disk. */
public final class InMemory implements TempDirFactory {
    private static final Path MEMORY = Path.of("/dev/shm");

    @Override
    public Path createTempDirectory(AnnotatedElementContext element, ExtensionContext test) throws Exception {
        return Files.isWritable(MEMORY)
                ? Files.createTempDirectory(MEMORY, "junit")
                : Files.createTempDirectory("junit");
    }
}
