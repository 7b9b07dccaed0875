package fahrbahn.link;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;

/**
 * A file that another program writes the live line protocol into, read as it grows. What it holds already is read first, from its
 * header on, but of a long file only its last part. A file that is begun anew is read anew.
 */
public final class FileLink extends StreamLink {
    private static final long LOOK_AGAIN_NS = 20_000_000L;

    /** Readings from before; more than the window can show. */
    private static final long MOST_OLD_BYTES = 1 << 18;

    /** Room for comments and a long header line. */
    private static final int HEADER_BYTES = 1 << 14;

    private final Path file;

    private FileLink(Path file, LinkListener listener) {
        super(listener);
        this.file = file;
    }

    /** Returns at once; when there is no such file, the listener hears that the link is lost. */
    public static FileLink open(Path file, LinkListener listener) {
        FileLink link = new FileLink(file, listener);
        link.begin();
        return link;
    }

    @Override
    Way connect() throws IOException {
        return new Tail(FileChannel.open(file, StandardOpenOption.READ));
    }

    /** What tells one file from another that took its name; null when there is none. */
    private static Object key(Path file) throws IOException {
        try {
            return Optional.ofNullable(
                    Files.readAttributes(file, BasicFileAttributes.class).fileKey());
        } catch (NoSuchFileException gone) {
            return null;
        }
    }

    private final class Tail implements Way {
        private final FileChannel channel;
        private long at;
        private long skipAt = HEADER_BYTES;
        private final Object key;

        Tail(FileChannel channel) throws IOException {
            this.channel = channel;
            this.key = key(file);
        }

        @Override
        public int read(byte[] buffer) throws IOException {
            long size = channel.size();
            if (size < at || !Objects.equals(key, key(file))) {
                return -1; // begun anew, or taken away: connecting again tells which
            }
            if (size == at) {
                LockSupport.parkNanos(LOOK_AGAIN_NS);
                return 0;
            }
            long until = Math.min(size, at < skipAt ? skipAt : Long.MAX_VALUE);
            int count = channel.read(ByteBuffer.wrap(buffer, 0, (int) Math.min(buffer.length, until - at)), at);
            at += Math.max(0, count);
            if (at == skipAt && size - at > MOST_OLD_BYTES) {
                at = size - MOST_OLD_BYTES; // in the middle of a line, which counts as a broken one
                skipAt = 0;
            }
            return Math.max(0, count);
        }

        @Override
        public void write(byte[] bytes) {
            // A file cannot be told anything.
        }

        @Override
        public void close() throws IOException {
            channel.close();
        }
    }

    @Override
    String nobody(IOException why) {
        return why instanceof NoSuchFileException
                ? "There is no file " + file
                        + ". Start the program that writes it, or check the name, then connect again"
                : file + " cannot be read (" + why.getMessage() + "). Check the file, then connect again";
    }

    @Override
    String gone(IOException why) {
        return source() + " was begun anew or taken away; it is read again as soon as it is there";
    }

    @Override
    public String source() {
        return file.getFileName().toString();
    }
}
