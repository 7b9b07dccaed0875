package fahrbahn.core.detour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Spread;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DetourTest {
    private static final double FRONT_MM = 70;
    private static final double WIDTH_MM = 130;

    /** Driven step by step round a circle to the right, it keeps clear by what was asked for, and meets the line where it is said to. */
    @ParameterizedTest
    @CsvSource({"40, 20, 90, 90", "60, 10, 120, 70", "30, 30, 200, 55"})
    void theArcKeepsClearAndMeetsTheLineWhereItIsSaidTo(double obstacle, double clear, double off, double degrees) {
        Detour detour = new Detour(obstacle, clear, off, Math.toRadians(degrees));
        double radius = detour.leastRadiusMm(FRONT_MM, WIDTH_MM);
        assertThat(radius).as("radius, mm").isBetween(50.0, 2000.0);
        double lead = 55;
        double lineMm = 24;
        double x = -detour.startMm(FRONT_MM);
        double y = 0;
        double heading = detour.turnRad();
        double nearest = Double.POSITIVE_INFINITY;
        double step = 0.01;
        double sensor = y + lead * Math.sin(heading);
        while (!(heading < 0 && sensor <= lineMm / 2)) {
            x += step * Math.cos(heading - step / radius / 2);
            y += step * Math.sin(heading - step / radius / 2);
            heading -= step / radius;
            sensor = y + lead * Math.sin(heading);
            nearest = Math.min(nearest, Math.hypot(x, y));
        }
        double kept = nearest - obstacle - WIDTH_MM / 2;
        assertThat(kept).as("clear of the obstacle, mm").isGreaterThanOrEqualTo(clear - 0.01);
        double meets = detour.meetsAtRad(radius, lead, lineMm);
        assertThat(meets).as("heading, rad").isCloseTo(heading, within(1e-4));
        assertThat(detour.meetsAtMm(FRONT_MM, radius, lead, meets))
                .as("place, mm")
                .isCloseTo(x + lead * Math.cos(heading), within(0.02));
    }

    /** From a place too near, no arc to the side keeps clear: it has to back off. */
    @Test
    void fromTooNearThereIsNoArc() {
        assertThat(new Detour(40, 20, 0, Math.PI / 2).leastRadiusMm(FRONT_MM, WIDTH_MM))
                .isInfinite();
    }

    @Test
    void commandsAreInTheRatioOfTheirCircles() {
        Setup setup = Setups.pair();
        double[] commands = Detour.commands(setup, 200);
        assertThat(commands[0]).isEqualTo(setup.law().baseCommand());
        assertThat(commands[1] / commands[0]).isCloseTo((200 - 62.0) / (200 + 62), within(1e-12));
    }

    /** R = b/2 (l + r)/(l - r), worked out for wheels uneven by a tenth of a hundredth and more. */
    @Test
    void unevenWheelsDriveAnotherArc() {
        Drive drive = new Drive(120, 500, 0.04, Mixing.DIFFERENCE, 100);
        assertThat(DetourTrial.drivenRadiusMm(drive, 180, 0)).isCloseTo(180, within(1e-9));
        // left 0.99, right 0.5 * 1.01: 60 * 1.495/0.485
        assertThat(DetourTrial.drivenRadiusMm(drive, 180, 0.02)).isCloseTo(60 * 1.495 / 0.485, within(1e-9));
        assertThat(DetourTrial.drivenRadiusMm(drive, 1e5, 0.3))
                .as("turns the other way")
                .isEqualTo(1e6);
    }

    @Test
    void withoutDifferencesEveryRunMeetsTheLineAtTheSamePlace() {
        Setup setup = Setups.pair();
        Detour detour = new Detour(40, 20, 120, Math.toRadians(60));
        double radius = detour.leastRadiusMm(FRONT_MM, WIDTH_MM);
        DetourTrial same =
                DetourTrial.of(setup, detour, FRONT_MM, radius, Spread.NONE, 20, 3, Workers.all(), Job.UNWATCHED);
        assertThat(same.alongMm().sd()).isCloseTo(0, within(1e-9));
        assertThat(same.met().completed()).isEqualTo(20);
        DetourTrial varied =
                DetourTrial.of(setup, detour, FRONT_MM, radius, Spread.TYPICAL, 400, 3, Workers.all(), Job.UNWATCHED);
        assertThat(varied.alongMm().sd()).as("scatter, mm").isBetween(2.0, 60.0);
        assertThat(varied.kept().completed()).isLessThanOrEqualTo(varied.met().completed());
    }
}
