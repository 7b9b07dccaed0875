package fahrbahn.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What the program promises of its speed, measured, each with its bar. Before and after each group two threads work out a fixed sum, which
 * tells how fast the machine is in that minute: a figure that misses its bar while the sum takes twice as long as elsewhere says something of
 * the machine, not of the program. Bars are printed and missed here; no test holds them.
 */
final class Promises {
    /** Figures that are measured together. */
    interface Group {
        List<Figure> measure() throws Exception;
    }

    /**
     * @param what with its unit
     * @param measured in that unit
     * @param bar that it must not exceed
     */
    record Figure(String what, double measured, double bar) {
        boolean kept() {
            return measured <= bar;
        }
    }

    private Promises() {}

    /** @param arguments the beginnings of names of groups; none for all */
    public static void main(String[] arguments) throws Exception {
        record Named(String name, Group group) {}
        List<Named> all = List.of(
                new Named("start", StartPromise::measure),
                new Named("advice", AdvicePromise::measure),
                new Named("season", LargeSeasonPromise::measure),
                new Named("readings", ReadingsPromise::measure),
                new Named("window", WindowPromises::measure));
        List<String> wanted = List.of(arguments);
        List<String> missed = new ArrayList<>();
        System.out.printf(Locale.ROOT, "%-62s %10s %10s  %s%n", "figure", "measured", "bar", "fixed sum, ms");
        for (Named named : all) {
            if (!wanted.isEmpty() && wanted.stream().noneMatch(named.name()::startsWith)) {
                continue;
            }
            double before = FixedSum.milliseconds();
            List<Figure> figures = named.group().measure();
            double after = FixedSum.milliseconds();
            for (Figure figure : figures) {
                System.out.printf(
                        Locale.ROOT,
                        "%-62s %10.4g %10.4g  %.0f, %.0f%s%n",
                        figure.what(),
                        figure.measured(),
                        figure.bar(),
                        before,
                        after,
                        figure.kept() ? "" : "  MISSED");
                if (!figure.kept()) {
                    missed.add(figure.what());
                }
            }
        }
        System.out.println(missed.isEmpty() ? "every bar is kept" : "missed: " + String.join("; ", missed));
        System.exit(0); // the window's threads
    }
}
