package fahrbahn.store.picture;

import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.mat.Picture;
import fahrbahn.store.file.BadFileException;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;

/**
 * A picture of a mat from a file: PNG, JPEG, SVG or the first page of a PDF. It is read by a process of its own, which is ended when
 * it is asked to stop and when it takes too long: there are files that keep their readers busy for ever, or would fill the memory.
 *
 * @param picture the pixels
 * @param widthMm as the file says, where it says so: drawings and pages have a size, photographs have none
 */
public record PictureFile(Picture picture, OptionalDouble widthMm) {
    private static final Duration USUAL_DEADLINE = Duration.ofSeconds(60);
    private static final int LOOK_EVERY_MS = 20;

    /** @throws BadFileException naming the file, what is wrong and what to do */
    public static PictureFile read(Path file, Job job) throws BadFileException {
        return read(file, job, USUAL_DEADLINE);
    }

    /** @throws BadFileException when the bytes are no SVG drawing; for drawings made here, which are read at once */
    public static PictureFile drawing(byte[] svg) throws BadFileException {
        return SvgPicture.read(svg);
    }

    static PictureFile read(Path file, Job job, Duration deadline) throws BadFileException {
        Process reader;
        try {
            reader = PictureProcess.start(file);
        } catch (IOException cannot) {
            throw new BadFileException(
                    file + ": the reader of pictures cannot be started (" + cannot.getMessage() + ")", cannot);
        }
        try {
            Answer answer = new Answer(reader);
            Thread hearing = new Thread(answer, "picture reader");
            hearing.setDaemon(true);
            hearing.start();
            long endNs = System.nanoTime() + deadline.toNanos();
            while (hearing.isAlive()) {
                if (job.cancelled()) {
                    throw new CancelledException();
                }
                if (System.nanoTime() > endNs) {
                    throw new BadFileException(file + ": not read within " + deadline.toSeconds()
                            + " s. Save the mat as PNG and import that");
                }
                TimeUnit.MILLISECONDS.timedJoin(hearing, LOOK_EVERY_MS);
            }
            return answer.result(file);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new CancelledException();
        } finally {
            reader.destroyForcibly();
        }
    }

    /** Hears what the process answers. */
    private static final class Answer implements Runnable {
        private final Process reader;
        private PictureFile read;
        private String refusal = "";

        Answer(Process reader) {
            this.reader = reader;
        }

        @Override
        public void run() {
            try (DataInputStream in =
                    new DataInputStream(new java.io.BufferedInputStream(reader.getInputStream(), 1 << 16))) {
                if (in.readBoolean()) {
                    read = PictureProcess.receive(in);
                } else {
                    refusal = in.readUTF();
                }
            } catch (EOFException broken) {
                refusal = "the picture needs more memory than there is, or its reader broke. Save it smaller, as PNG";
            } catch (IOException broken) {
                refusal = "the picture could not be read (" + broken.getMessage() + ")";
            }
        }

        PictureFile result(Path file) throws BadFileException {
            if (read == null) {
                throw new BadFileException(refusal.startsWith(file.toString()) ? refusal : file + ": " + refusal);
            }
            return read;
        }
    }
}
