package fahrbahn.core.runlog;

import fahrbahn.core.setup.*;
import java.util.*;
import org.junit.jupiter.api.Test;

class ExpTest {
    static List<LogFaults.Found> found(PlantedLogs.Planted p) {
        Optional<LogFit> fit = LogFit.of(p.log(), p.believed());
        return LogFaults.of(
                p.log(),
                p.believed(),
                LogFigures.of(p.log(), p.believed().robot().drive()),
                fit);
    }

    void faults() {
        int each = Integer.getInteger("each", 10);
        for (PlantedLogs.Kind kind : PlantedLogs.Kind.values()) {
            Map<String, Integer> firsts = new TreeMap<>();
            SplittableRandom random = new SplittableRandom(100 + kind.ordinal());
            for (int i = 0; i < each; i++) {
                PlantedLogs.Planted p = kind.plant(random);
                List<LogFaults.Found> all = found(p);
                firsts.merge(
                        (all.isEmpty() ? "none" : all.get(0).fault().word())
                                + (p.log().size() < 100 ? " short" : ""),
                        1,
                        Integer::sum);
            }
            System.err.println("EXP " + kind + " " + firsts);
        }
        Map<String, Integer> firsts = new TreeMap<>();
        SplittableRandom random = new SplittableRandom(99);
        for (int i = 0; i < 4 * each; i++) {
            List<LogFaults.Found> all = found(PlantedLogs.sound(PlantedLogs.sound(random), i));
            firsts.merge(
                    all.isEmpty()
                            ? "none"
                            : all.get(0).fault().word() + " " + all.get(0).evidence(),
                    1,
                    Integer::sum);
        }
        System.err.println("EXP sound " + firsts);
    }

    void bias() {
        for (int mode = 0; mode < 2; mode++) {
            SplittableRandom random = new SplittableRandom(7);
            int n = 14;
            double[][] r = new double[5][n];
            for (int i = 0; i < n; i++) {
                Setup b0 = PlantedLogs.sound(random);
                Setup b = b0.withLoop(new Loop(
                        b0.robot().loop().periodS(),
                        false ? 0.0003 : b0.robot().loop().delayS()));
                fahrbahn.core.table.Course course = mode == 0
                        ? new fahrbahn.core.table.Course(
                                "s",
                                6200,
                                400,
                                new fahrbahn.core.table.Pose(100, 200, 0),
                                List.of(new fahrbahn.core.table.Part.Straight(6000)),
                                false)
                        : fahrbahn.core.table.DemoCourses.workshopLoop();
                fahrbahn.core.twin.Trace trace = new fahrbahn.core.twin.Trace();
                fahrbahn.core.twin.Start start = new fahrbahn.core.twin.Start(
                        2, 0.02, new fahrbahn.core.twin.Variation(1, 1, 0, 0, 1, 1, 1, 0.03), i);
                fahrbahn.core.twin.Twin.run(fahrbahn.core.twin.Track.of(course, b), start, trace);
                LogFit f = LogFit.of(Logs.of(trace, b), b).orElseThrow();
                double[] truth = {
                    b.robot().drive().lagS(),
                    b.robot().loop().delayS(),
                    b.speedMmPerS(),
                    1,
                    b.robot().drive().lagS() + b.robot().loop().delayS()
                };
                LogFit.Told[] told = {f.lagS(), f.delayS(), f.speedMmPerS(), f.slopeShare(), f.effectS()};
                for (int k = 0; k < 5; k++) r[k][i] = Math.log(told[k].value() / truth[k]);
            }
            for (int k = 0; k < 5; k++) {
                double m = Arrays.stream(r[k]).average().orElse(0);
                double[] rk = r[k];
                System.err.printf(
                        Locale.ROOT,
                        "EXP mode %d %d log ratio mean %.3f sd %.3f%n",
                        mode,
                        k,
                        m,
                        Math.sqrt(Arrays.stream(rk)
                                .map(x -> (x - m) * (x - m))
                                .average()
                                .orElse(0)));
            }
        }
    }

    @Test
    void all() {
        intervals(0.03, 0.9, 0.15, 0.1);
    }

    void intervals(double jit, double wl, double ws, double wk) {
        System.err.println("EXP jitter " + jit + " lag " + wl + " speed " + ws + " slope " + wk);
        int n = Integer.getInteger("fits", 40);
        SplittableRandom random = new SplittableRandom(7);
        double[][] z = new double[5][n];
        double[][] ratio = new double[5][n];
        int none = 0;
        long t0 = System.nanoTime();
        for (int i = 0; i < n; i++) {
            Setup believed = PlantedLogs.sound(random);
            double lag = believed.robot().drive().lagS() * Math.exp(wl * random.nextDouble(-1, 1));
            double delay = believed.robot().loop().delayS() * Math.exp(wl * random.nextDouble(-1, 1));
            double faster = Math.exp(ws * random.nextDouble(-1.7, 1.7));
            double slope = Math.exp(wk * random.nextDouble(-1.7, 1.7));
            Setup real = believed.withDrive(believed.robot()
                            .drive()
                            .withLagS(lag)
                            .withFreeSpeedMmPerS(
                                    faster * believed.robot().drive().freeSpeedMmPerS()))
                    .withLoop(new Loop(believed.robot().loop().periodS(), delay));
            real = real.withRobot(real.robot()
                    .withSensors(real.robot().sensors().stream()
                            .map(s -> s.withSpotSigmaMm(s.spotSigmaMm() / slope))
                            .toList()));
            PlantedLogs.Planted p = PlantedLogs.drive(real, believed, i, jit, 0, 1);
            Optional<LogFit> fit = LogFit.of(p.log(), believed);
            if (fit.isEmpty()) {
                none++;
                for (double[] k : z) k[i] = Double.NaN;
                continue;
            }
            double[] truth = {lag, delay, real.speedMmPerS(), slope, lag + delay};
            LogFit.Told[] told = {
                fit.get().lagS(),
                fit.get().delayS(),
                fit.get().speedMmPerS(),
                fit.get().slopeShare(),
                fit.get().effectS()
            };
            StringBuilder line = new StringBuilder(
                    "FIT " + p.log().size() + " " + believed.law().kind());
            for (int k = 0; k < 5; k++) {
                ratio[k][i] = Math.log(told[k].value() / truth[k]);
                z[k][i] = (told[k].value() - truth[k]) / told[k].sd();
                line.append(String.format(
                        Locale.ROOT, "  %.4g/%.4g+-%.2g z%.1f", truth[k], told[k].value(), told[k].sd(), z[k][i]));
            }
            if (Math.abs(z[0][i]) > 2.5 || Math.abs(z[1][i]) > 2.5 || Math.abs(z[4][i]) > 2.5)
                System.err.println("EXP " + i + line);
        }
        String[] names = {"lag", "delay", "speed", "slope", "effect"};
        for (int k = 0; k < 5; k++) {
            double[] v = Arrays.stream(z[k]).filter(x -> !Double.isNaN(x)).toArray();
            long in = Arrays.stream(v).filter(x -> Math.abs(x) < 1.96).count();
            double mean = Arrays.stream(v).average().orElse(0);
            double sq = Math.sqrt(
                    Arrays.stream(v).map(x -> (x - mean) * (x - mean)).average().orElse(0));
            System.err.printf(
                    Locale.ROOT,
                    "EXP %s covered %d of %d mean z %.2f sd %.2f log ratio %.3f%n",
                    names[k],
                    in,
                    v.length,
                    mean,
                    sq,
                    Arrays.stream(ratio[k]).average().orElse(0));
        }
        System.err.println("EXP none " + none + " ms a fit " + (System.nanoTime() - t0) / 1e6 / n);
    }
}
