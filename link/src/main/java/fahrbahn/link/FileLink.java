package fahrbahn.link;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Arrays;
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

    /** Of what was read last: a file that is written anew in its place is known by it. */
    private static final int REMEMBERED_BYTES = 256;

    private final Path file;

    private FileLink(Path file, LinkListener listener, LinkTimes times) {
        super(listener, times);
        this.file = file;
    }

    /** Returns at once; when there is no such file, the listener hears that the link is lost. */
    public static FileLink open(Path file, LinkListener listener, LinkTimes times) {
        FileLink link = new FileLink(file, listener, times);
        link.begin();
        return link;
    }

    @Override
    Way connect() throws IOException {
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            // A pipe that nobody writes into would keep the thread for ever.
            throw new IOException("it is no plain file but a folder, a device or a pipe");
        }
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
        private final byte[] last = new byte[REMEMBERED_BYTES];
        private int known;
        private FileTime touched;

        Tail(FileChannel channel) throws IOException {
            this.channel = channel;
            this.key = key(file);
        }

        @Override
        public int read(byte[] buffer) throws IOException {
            long size = channel.size();
            if (size < at || !Objects.equals(key, key(file)) || rewritten()) {
                return -1; // begun anew, or taken away: connecting again tells which
            }
            if (size == at) {
                LockSupport.parkNanos(LOOK_AGAIN_NS);
                return 0;
            }
            long until = Math.min(size, at < skipAt ? skipAt : Long.MAX_VALUE);
            int count = channel.read(ByteBuffer.wrap(buffer, 0, (int) Math.min(buffer.length, until - at)), at);
            remember(buffer, Math.max(0, count));
            at += Math.max(0, count);
            if (at == skipAt && size - at > MOST_OLD_BYTES) {
                at = size - MOST_OLD_BYTES; // in the middle of a line, which counts as a broken one
                skipAt = 0;
                known = 0;
            }
            return Math.max(0, count);
        }

        /** Keeps the last bytes that were read, to know them again. */
        private void remember(byte[] buffer, int count) {
            int kept = Math.min(known, last.length - Math.min(count, last.length));
            System.arraycopy(last, known - kept, last, 0, kept);
            int added = Math.min(count, last.length);
            System.arraycopy(buffer, count - added, last, kept, added);
            known = kept + added;
        }

        /** Whether what was read last stands otherwise in the file now; looked at when the file has been touched. */
        private boolean rewritten() throws IOException {
            FileTime now = Files.getLastModifiedTime(file);
            if (now.equals(touched)) {
                return false;
            }
            touched = now;
            byte[] there = new byte[known];
            int count = channel.read(ByteBuffer.wrap(there), at - known);
            return count < known || !Arrays.equals(there, 0, known, last, 0, known);
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
        return source() + " was restarted or removed; it is read again when it is there";
    }

    @Override
    public String source() {
        return file.getFileName().toString();
    }
}
