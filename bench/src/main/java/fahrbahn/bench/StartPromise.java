package fahrbahn.bench;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** From the call to the demo season shown, beside an empty window of one label: in turn, as the launcher starts both. */
final class StartPromise {
    private static final int ROUNDS = 7;

    /** Of the launcher: the folder with the program's jars and its archive of classes, and the options it starts windows with. */
    private static final Path RUN = Path.of(System.getProperty("fahrbahn.run", "app/target/run"));

    private static final List<String> OPTIONS =
            List.of(System.getProperty("fahrbahn.options", "-Dfahrbahn=here").split(" "));

    private StartPromise() {}

    static List<Promises.Figure> measure() throws Exception {
        Path home = Files.createTempDirectory("start");
        startedMs(window(home), "shown"); // the demo club is made, once
        List<Double> ratios = new ArrayList<>();
        List<Double> empties = new ArrayList<>();
        List<Double> ours = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            double empty = startedMs(empty(), "shown");
            double own = startedMs(window(home), "shown");
            empties.add(empty);
            ours.add(own);
            ratios.add(own / empty);
        }
        System.out.printf(
                java.util.Locale.ROOT,
                "start: an empty window in %.0f ms, the demo season in %.0f ms, medians of %d rounds%n",
                median(empties),
                median(ours),
                ROUNDS);
        return List.of(
                new Promises.Figure("start to the demo season, in starts of an empty window", median(ratios), 2));
    }

    private static double median(List<Double> values) {
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }

    private static List<String> window(Path home) {
        List<String> command = java(RUN.resolve("lib") + File.separator + "*");
        Path archive = RUN.resolve("classes.jsa");
        if (Files.exists(archive)) {
            command.add(1, "-XX:SharedArchiveFile=" + archive);
        }
        command.addAll(
                List.of("-Dfahrbahn.home=" + home, "-Dfahrbahn.leaveWhenOpen=true", "fahrbahn.app.Main", "demo"));
        return command;
    }

    private static List<String> empty() {
        List<String> command = java(System.getProperty("java.class.path"));
        command.add(EmptyWindow.class.getName());
        return command;
    }

    private static List<String> java(String classPath) {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx1g",
                "-Xshare:auto",
                "-Xlog:cds=off",
                "-Xlog:cds+dynamic=off",
                "-Dprism.order=sw"));
        command.addAll(OPTIONS);
        command.addAll(List.of(
                "--module-path",
                RUN.resolve("fx").toString(),
                "--add-modules",
                "javafx.controls,javafx.swing",
                "-cp",
                classPath));
        return command;
    }

    private static double startedMs(List<String> command, String sign) throws IOException, InterruptedException {
        long start = System.nanoTime();
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        double took = Double.NaN;
        try (BufferedReader said =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = said.readLine(); line != null; line = said.readLine()) {
                if (line.equals(sign)) {
                    took = (System.nanoTime() - start) / 1e6;
                }
            }
        }
        process.waitFor();
        if (Double.isNaN(took)) {
            throw new IllegalStateException("never shown: " + String.join(" ", command));
        }
        return took;
    }
}
