package fahrbahn.bench;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.LongAdder;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The twin and the plain C kernel in turn, on one machine in the same minutes. Prints the best and the median over the rounds:
 * the best is what the code can do, the median what other work on the machine leaves of it, and the third column the median of the quiet
 * rounds alone: those in which the kernel, once and twice at once, before and after the twin, took at most {@value #QUIET} times its best. The
 * twin has no say in which rounds these are. Two controls for two threads: two kernels at once, and the twin in two programs of one thread each, which share nothing but the machine; they are compared with two threads that have
 * their own laps and clocks, as those have.
 */
final class SideBySide {
    private static final int LAPS = 2000;
    private static final int WARM_UP_ROUNDS = 4;
    private static final int ROUNDS = 31;
    private static final double QUIET = 1.08;
    private static final Pattern NS_PER_TICK = Pattern.compile("([0-9.]+) ns/tick");

    private final Track track = Track.of(Yardstick.twelveSeconds(), Yardstick.setup());

    private SideBySide() {}

    /** @param arguments the compiled kernel; nothing for a program that drives a round whenever it reads a line */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        SideBySide side = new SideBySide();
        side.warmUp();
        if (arguments.length > 0) {
            side.compare(arguments[0]);
            return;
        }
        BufferedReader asked = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
        do {
            System.out.println(side.nsPerTick(1));
        } while (asked.readLine() != null);
    }

    private void warmUp() {
        for (int i = 0; i < WARM_UP_ROUNDS; i++) {
            nsPerTick(1);
            nsPerTick(2);
        }
    }

    private void compare(String kernel) throws IOException, InterruptedException {
        List<Other> others = List.of(Other.begun(), Other.begun());
        for (Other other : others) {
            other.answer(); // it has warmed up
        }
        List<Double> plain = new ArrayList<>();
        List<Double> one = new ArrayList<>();
        List<Double> two = new ArrayList<>();
        List<Double> twoPlain = new ArrayList<>();
        List<Double> oneApart = new ArrayList<>();
        List<Double> twoApart = new ArrayList<>();
        List<Double> twoOwn = new ArrayList<>();
        List<Double> plainAfter = new ArrayList<>();
        List<Double> twoPlainAfter = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            plain.add(plain(kernel, 1));
            twoPlain.add(plain(kernel, 2));
            one.add(nsPerTick(1));
            two.add(nsPerTick(2));
            plainAfter.add(plain(kernel, 1));
            twoPlainAfter.add(plain(kernel, 2));
            oneApart.add(apart(others.subList(0, 1)));
            twoApart.add(apart(others));
            twoOwn.add(ownClocks());
        }
        others.forEach(Other::end);
        System.out.println("ns per tick                   best  median");
        print("plain C, one thread", plain);
        print("plain C, two at once", twoPlain);
        print("twin, one thread", one);
        print("twin, two threads", two);
        print("twin, two threads apart", twoOwn);
        print("twin, two programs", twoApart);
        boolean[] quiet = new boolean[ROUNDS];
        int quietRounds = 0;
        for (int i = 0; i < ROUNDS; i++) {
            quiet[i] = quiet(plain.get(i), plainAfter.get(i), best(plain))
                    && quiet(twoPlain.get(i), twoPlainAfter.get(i), best(twoPlain));
            quietRounds += quiet[i] ? 1 : 0;
        }
        System.out.printf(
                "ratios                        best  median of all %d rounds, of the %d quiet ones%n",
                ROUNDS, quietRounds);
        ratio("twin over plain C", one, plain, quiet);
        ratio("two threads over one", one, two, quiet);
        ratio("two threads over programs", twoApart, twoOwn, quiet);
        ratio("two programs over one", oneApart, twoApart, quiet);
        ratio("two plain C over one", plain, twoPlain, quiet);
    }

    private static boolean quiet(double before, double after, double best) {
        return Math.max(before, after) <= QUIET * best;
    }

    /** Of the bests; and of each round, whose two were measured within a second of each other, the median. */
    private static void ratio(String what, List<Double> over, List<Double> under, boolean[] quiet) {
        List<Double> rounds = new ArrayList<>();
        List<Double> quietOnes = new ArrayList<>();
        for (int i = 0; i < over.size(); i++) {
            double own = over.get(i) / under.get(i);
            rounds.add(own);
            if (quiet[i]) {
                quietOnes.add(own);
            }
        }
        String ofQuiet = quietOnes.isEmpty() ? "none" : String.format("%.2f", median(quietOnes));
        System.out.printf("%-25s   %6.2f  %6.2f  %6s%n", what, best(over) / best(under), median(rounds), ofQuiet);
    }

    private static void print(String what, List<Double> values) {
        System.out.printf("%-25s   %6.1f  %6.1f%n", what, best(values), median(values));
    }

    private static double best(List<Double> values) {
        return values.stream().min(Double::compare).orElseThrow();
    }

    /** Time per tick of all copies together. */
    private static double plain(String kernel, int copies) throws IOException, InterruptedException {
        List<Process> running = new ArrayList<>();
        for (int i = 0; i < copies; i++) {
            running.add(new ProcessBuilder(kernel, "bench", "2000").start());
        }
        double ticksPerNs = 0;
        for (Process process : running) {
            String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            process.waitFor();
            Matcher found = NS_PER_TICK.matcher(out);
            if (!found.find()) {
                throw new UncheckedIOException(new IOException("no time per tick in: " + out));
            }
            ticksPerNs += 1 / Double.parseDouble(found.group(1));
        }
        return 1 / ticksPerNs;
    }

    /** A program like this one that drives rounds of one thread. */
    private record Other(Process process, BufferedReader answers) {
        static Other begun() throws IOException {
            List<String> command = new ArrayList<>(
                    List.of(ProcessHandle.current().info().command().orElseThrow()));
            command.addAll(ManagementFactory.getRuntimeMXBean().getInputArguments());
            command.addAll(List.of("-cp", System.getProperty("java.class.path"), SideBySide.class.getName()));
            Process process = new ProcessBuilder(command)
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            return new Other(process, process.inputReader(StandardCharsets.UTF_8));
        }

        void ask() throws IOException {
            process.getOutputStream().write('\n');
            process.getOutputStream().flush();
        }

        double answer() throws IOException {
            return Double.parseDouble(answers.readLine());
        }

        void end() {
            process.destroy();
        }
    }

    /** Time per tick of all programs together, by their own clocks. */
    private static double apart(List<Other> programs) throws IOException {
        for (Other program : programs) {
            program.ask();
        }
        double ticksPerNs = 0;
        for (Other program : programs) {
            ticksPerNs += 1 / program.answer();
        }
        return 1 / ticksPerNs;
    }

    /** The same of two threads here that share no work. */
    private double ownClocks() throws InterruptedException {
        double[] other = new double[1];
        Thread thread = new Thread(() -> other[0] = nsPerTick(1));
        thread.start();
        double here = nsPerTick(1);
        thread.join();
        return 1 / (1 / here + 1 / other[0]);
    }

    private double nsPerTick(int threads) {
        LongAdder ticks = new LongAdder();
        double periodS = track.setup().robot().loop().periodS();
        long begun = System.nanoTime();
        Workers.of(threads).run(LAPS, i -> ticks.add(Math.round(lap(i).timeS() / periodS)), Job.UNWATCHED);
        return (double) (System.nanoTime() - begun) / ticks.sum();
    }

    private RunResult lap(int i) {
        Setup setup = track.setup();
        Setup gains = setup.withLaw(setup.law().withGains(0.2 + 0.0005 * (i % 400), 0, 0));
        return Twin.run(track, gains, Start.noisy(0, i));
    }

    private static double median(List<Double> values) {
        return values.stream().sorted().skip(values.size() / 2).findFirst().orElseThrow();
    }
}
