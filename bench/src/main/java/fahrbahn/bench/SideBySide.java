package fahrbahn.bench;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.LongAdder;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The twin and the plain C kernel in turn, on one machine in the same minutes: other work on the machine then slows both. Prints
 * medians over the rounds, of the times and of the ratios within a round.
 */
final class SideBySide {
    private static final int LAPS = 2000;
    private static final int WARM_UP_ROUNDS = 4;
    private static final int ROUNDS = 21;
    private static final Pattern NS_PER_TICK = Pattern.compile("([0-9.]+) ns/tick");

    private final Track track = Track.of(Yardstick.twelveSeconds(), Yardstick.setup());

    private SideBySide() {}

    /** @param arguments the compiled kernel */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        new SideBySide().compare(arguments[0]);
    }

    private void compare(String kernel) throws IOException, InterruptedException {
        for (int i = 0; i < WARM_UP_ROUNDS; i++) {
            nsPerTick(1);
            nsPerTick(2);
        }
        List<Double> plain = new ArrayList<>();
        List<Double> one = new ArrayList<>();
        List<Double> two = new ArrayList<>();
        List<Double> cost = new ArrayList<>();
        List<Double> gain = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            double before = plain(kernel);
            one.add(nsPerTick(1));
            double after = plain(kernel);
            two.add(nsPerTick(2));
            double again = nsPerTick(1);
            plain.add((before + after) / 2);
            cost.add(one.get(i) / plain.get(i));
            gain.add((one.get(i) + again) / 2 / two.get(i));
        }
        System.out.printf("plain C, one thread    %6.1f ns/tick%n", median(plain));
        System.out.printf("twin, one thread       %6.1f ns/tick, %.2f of plain C%n", median(one), median(cost));
        System.out.printf(
                "twin, two threads      %6.1f ns/tick, %.2f times the laps of one%n", median(two), median(gain));
    }

    private static double plain(String kernel) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(kernel, "bench", "3000").start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        Matcher found = NS_PER_TICK.matcher(out);
        if (!found.find()) {
            throw new UncheckedIOException(new IOException("no time per tick in: " + out));
        }
        return Double.parseDouble(found.group(1));
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
