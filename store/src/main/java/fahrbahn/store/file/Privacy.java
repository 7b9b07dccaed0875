package fahrbahn.store.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;

/** Files of children's names and places are for their owner's eyes alone, where the system knows owners. */
public final class Privacy {
    private static final Set<PosixFilePermission> FILE = PosixFilePermissions.fromString("rw-------");
    private static final Set<PosixFilePermission> FOLDER = PosixFilePermissions.fromString("rwx------");

    private Privacy() {}

    /** Takes the rights of all others away. */
    public static void ownerOnly(Path path) throws IOException {
        if (posix(path)) {
            Files.setPosixFilePermissions(path, Files.isDirectory(path) ? FOLDER : FILE);
        }
    }

    /** A folder for the owner alone; one that is there already becomes so. */
    public static void folder(Path folder) throws IOException {
        FileAttribute<?>[] rights = posix(folder)
                ? new FileAttribute<?>[] {PosixFilePermissions.asFileAttribute(FOLDER)}
                : new FileAttribute<?>[0];
        Files.createDirectories(folder, rights);
        ownerOnly(folder);
    }

    /** The second file is for those who may read and write the first. */
    static void copy(Path like, Path file) throws IOException {
        if (posix(file)) {
            Files.setPosixFilePermissions(file, Files.getPosixFilePermissions(like));
        }
    }

    private static boolean posix(Path path) {
        return path.getFileSystem().supportedFileAttributeViews().contains("posix");
    }
}
