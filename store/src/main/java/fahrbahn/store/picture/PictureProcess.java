package fahrbahn.store.picture;

import com.github.weisj.jsvg.SVGDocument;
import fahrbahn.core.mat.Picture;
import fahrbahn.store.file.BadFileException;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.PrintStream;
import java.net.URISyntaxException;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.apache.commons.logging.LogFactory;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.RandomAccessRead;

/**
 * The program that reads one picture and ends. Its answer on standard output: a truth, then the picture, or why there is none; whatever
 * libraries say meanwhile goes nowhere.
 */
public final class PictureProcess {
    /** Enough for a picture of the most pixels four times over. */
    private static final String MEMORY = "-Xmx900m";

    private PictureProcess() {}

    static Process start(Path file) throws IOException {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        return new ProcessBuilder(
                        java,
                        MEMORY,
                        "-Xshare:auto",
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-Djava.awt.headless=true",
                        "-cp",
                        classPath(),
                        PictureProcess.class.getName(),
                        file.toAbsolutePath().toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    /** Where this program and the libraries it needs have been loaded from, however it was started. */
    private static String classPath() throws IOException {
        Set<String> places = new LinkedHashSet<>();
        for (Class<?> each : new Class<?>[] {
            PictureProcess.class,
            Picture.class,
            SVGDocument.class,
            Loader.class,
            RandomAccessRead.class,
            TrueTypeFont.class,
            LogFactory.class
        }) {
            try {
                places.add(Path.of(each.getProtectionDomain()
                                .getCodeSource()
                                .getLocation()
                                .toURI())
                        .toString());
            } catch (URISyntaxException odd) {
                throw new IOException(each.getName() + " was loaded from nowhere", odd);
            }
        }
        return String.join(File.pathSeparator, places);
    }

    public static void main(String[] arguments) throws IOException {
        PrintStream answerTo = System.out;
        System.setOut(new PrintStream(java.io.OutputStream.nullOutputStream()));
        Logger.getLogger("").setLevel(Level.OFF);
        try (DataOutputStream out = new DataOutputStream(new BufferedOutputStream(answerTo, 1 << 16))) {
            answer(Path.of(arguments[0]), out);
        }
    }

    private static void answer(Path file, DataOutputStream out) throws IOException {
        PictureFile read;
        try {
            read = PictureDecoder.read(file);
        } catch (BadFileException refused) {
            out.writeBoolean(false);
            out.writeUTF(shortened(refused.getMessage()));
            return;
        } catch (RuntimeException | StackOverflowError broken) {
            out.writeBoolean(false);
            out.writeUTF(
                    "the picture is damaged (" + shortened(String.valueOf(broken.getMessage())) + "). Save it again");
            return;
        }
        out.writeBoolean(true);
        Picture picture = read.picture();
        out.writeInt(picture.columns());
        out.writeInt(picture.rows());
        out.writeInt(picture.scaledFrom());
        out.writeDouble(read.widthMm().orElse(Double.NaN));
        for (int row = 0; row < picture.rows(); row++) {
            for (int column = 0; column < picture.columns(); column++) {
                out.writeInt(picture.at(column, row));
            }
        }
    }

    private static String shortened(String words) {
        return words.length() > 2000 ? words.substring(0, 2000) : words;
    }

    static PictureFile receive(DataInputStream in) throws IOException {
        int columns = in.readInt();
        int rows = in.readInt();
        int scaledFrom = in.readInt();
        double width = in.readDouble();
        int[] rgb = new int[Math.multiplyExact(columns, rows)];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = in.readInt();
        }
        return new PictureFile(
                new Picture(columns, rows, rgb, scaledFrom),
                Double.isNaN(width) ? OptionalDouble.empty() : OptionalDouble.of(width));
    }
}
