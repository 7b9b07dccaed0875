package fahrbahn.store.file;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalLong;

/**
 * A file in the making beside its place. What a program that was killed left of one is taken away when the next is begun; each
 * program has one of its own, so that two never write into each other's.
 */
public final class NewFile implements AutoCloseable {
    private static final String END = ".part";

    private final Path place;
    private final Path part;

    private NewFile(Path place, Path part) {
        this.place = place;
        this.part = part;
    }

    public static NewFile beside(Path place) throws IOException {
        String name = place.getFileName() + ".";
        Path folder = place.toAbsolutePath().getParent();
        clean(folder, name);
        Path part = folder.resolve(name + ProcessHandle.current().pid() + END);
        Files.deleteIfExists(part);
        Files.createFile(part);
        Privacy.ownerOnly(part);
        return new NewFile(place, part);
    }

    private static void clean(Path folder, String name) throws IOException {
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder)) {
            for (Path other : all) {
                OptionalLong maker = maker(other.getFileName().toString(), name);
                if (maker.isPresent() && ProcessHandle.of(maker.getAsLong()).isEmpty()) {
                    forget(other);
                }
            }
        }
    }

    /** The program that made a part of this name; empty when it is none. */
    private static OptionalLong maker(String file, String name) {
        if (!file.startsWith(name) || !file.endsWith(END)) {
            return OptionalLong.empty();
        }
        String number = file.substring(name.length(), Math.max(name.length(), file.length() - END.length()));
        boolean plain =
                !number.isEmpty() && number.length() < 19 && number.chars().allMatch(c -> c >= '0' && c <= '9');
        return plain ? OptionalLong.of(Long.parseLong(number)) : OptionalLong.empty();
    }

    public Path part() {
        return part;
    }

    /** Puts it in its place. @throws FileAlreadyExistsException when somebody else has put one there that is not empty */
    public void finish() throws IOException {
        if (Files.exists(place)) {
            if (Files.size(place) > 0) {
                throw new FileAlreadyExistsException(place.toString());
            }
            Export.replace(part, place);
            return;
        }
        try {
            Files.createLink(place, part); // fails when there is one, which a move would replace
        } catch (UnsupportedOperationException | java.nio.file.FileSystemException noLinks) {
            if (noLinks instanceof FileAlreadyExistsException there) {
                throw there;
            }
            Files.move(part, place);
        }
    }

    @Override
    public void close() {
        forget(part);
    }

    private static void forget(Path part) {
        for (String also : List.of("", "-journal")) {
            Export.forget(part.resolveSibling(part.getFileName() + also));
        }
    }
}
