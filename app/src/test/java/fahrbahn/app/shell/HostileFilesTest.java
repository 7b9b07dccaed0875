package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.runs.QuickLog;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Every file that can be chosen in the window, and files that are none of those: each is refused in words, at once, and changes nothing. */
@Timeout(900)
class HostileFilesTest extends InShop {
    /** @param ends of the names of files that are chosen for it */
    private record Import(String what, String ends, Consumer<Path> from) {}

    private List<Import> imports() {
        return List.of(
                new Import("readings", "csv", shop.measure()::importFile),
                new Import("course", "json svg", shop.table()::open),
                new Import("mat", "png pdf svg", shop.table().mat()::open),
                new Import("log", "csv", file -> shop.drive().log().open(file)),
                new Import("runs", "csv json", shop.runs().book().files()::open),
                new Import("robot", "json", shop.club()::importSetup),
                new Import("photograph", "png", shop.runs().book()::addPhoto));
    }

    private Map<String, Path> files() throws IOException {
        byte[] noise = new byte[300_000];
        new Random(3).nextBytes(noise);
        Map<String, byte[]> contents = new LinkedHashMap<>();
        contents.put("empty", new byte[0]);
        contents.put("nothing", new byte[2_000_000]);
        contents.put("noise", noise);
        contents.put("nested", "[".repeat(500_000).getBytes(StandardCharsets.US_ASCII));
        contents.put("wide", ("a,".repeat(100_000) + "\n1").getBytes(StandardCharsets.US_ASCII));
        contents.put("long", ("a\n" + "9".repeat(1_000_000)).getBytes(StandardCharsets.US_ASCII));
        contents.put("quote", ("left,right\n\"" + "1,2\n".repeat(100_000)).getBytes(StandardCharsets.US_ASCII));
        contents.put("escape", "\u001b[2J\u0007,\u202e\n1,2\n".getBytes(StandardCharsets.UTF_8));
        contents.put(
                "laugh",
                ("<?xml version='1.0'?><!DOCTYPE svg [<!ENTITY a 'ha'>"
                                + "<!ENTITY b '&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;'><!ENTITY c '&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;'>"
                                + "<!ENTITY d '&c;&c;&c;&c;&c;&c;&c;&c;&c;&c;'><!ENTITY e '&d;&d;&d;&d;&d;&d;&d;&d;&d;&d;'>"
                                + "<!ENTITY f SYSTEM 'file:///etc/passwd'>]>"
                                + "<svg xmlns='http://www.w3.org/2000/svg' width='10mm' height='10mm'><text>&e;&f;</text></svg>")
                        .getBytes(StandardCharsets.UTF_8));
        contents.put("bomb", bomb());
        Map<String, Path> files = new LinkedHashMap<>();
        for (Map.Entry<String, byte[]> content : contents.entrySet()) {
            for (String end : new String[] {"json", "csv", "svg", "png", "pdf"}) {
                String name = content.getKey() + "." + end;
                files.put(name, Files.write(folder.resolve(name), content.getValue()));
            }
        }
        files.put("folder", Files.createDirectory(folder.resolve("folder.csv")));
        files.put("missing", folder.resolve("missing.csv"));
        files.put("circle", Files.createSymbolicLink(folder.resolve("circle.csv"), folder.resolve("circle.csv")));
        files.put("endless", Path.of("/dev/zero"));
        files.put("pipe", pipe());
        return files;
    }

    /** A picture that says it has 60,000 by 60,000 pixels. */
    private static byte[] bomb() {
        byte[] png = new byte[60];
        byte[] head = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n', 0, 0, 0, 13, 'I', 'H', 'D', 'R'};
        System.arraycopy(head, 0, png, 0, head.length);
        png[18] = png[22] = (byte) 0xea;
        png[19] = png[23] = 0x60;
        png[24] = 8;
        png[25] = 2;
        return png;
    }

    /** Nobody ever writes into it: who opens it waits. */
    private Path pipe() throws IOException {
        Path pipe = folder.resolve("pipe.csv");
        try {
            assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor())
                    .isZero();
        } catch (InterruptedException stopped) {
            throw new IOException(stopped);
        }
        return pipe;
    }

    @Test
    void noFileThatIsNoneOfOursChangesAnythingOrKeepsTheWindow() throws Exception {
        shop.runs().log().log(true, QuickLog.Typed.NOTHING);
        shop.runs().book().take(shop.season().runs().get(0)); // which a photograph would belong to
        int steps = shop.season().ledger().undoable().size();
        Map<String, Path> files = files();
        String untouched = shop.drive().verdictProperty().get().sentence();
        for (Import each : imports()) {
            for (Map.Entry<String, Path> file : files.entrySet()) {
                String name = file.getKey();
                int end = name.indexOf('.');
                boolean drawing = each.what().equals("mat") && name.equals("laugh.svg"); // its entities are left out
                // Drawings and pages are each read by a program of its own, which takes its time to start.
                boolean another = each.what().equals("mat")
                        && !name.endsWith("png")
                        && end >= 0
                        && !name.startsWith("noise")
                        && !name.startsWith("nested");
                if (drawing || another || end >= 0 && !each.ends().contains(name.substring(end + 1))) {
                    continue;
                }
                String what = each.what() + " from " + name;
                shop.notices().tell("nothing yet");

                CompletableFuture<Void> ended =
                        CompletableFuture.runAsync(() -> each.from().accept(file.getValue()));
                assertThat(ended).as(what).succeedsWithin(Duration.ofMinutes(2));
                String answer = each.what().equals("log")
                        ? shop.drive().verdictProperty().get().sentence()
                        : told();
                assertThat(answer).as(what).isNotIn("nothing yet", untouched).doesNotContain("Exception");
                assertThat(answer.codePoints().filter(Character::isISOControl))
                        .as(what)
                        .isEmpty();
            }
        }
        assertThat(shop.season().ledger().undoable()).hasSize(steps);
    }
}
