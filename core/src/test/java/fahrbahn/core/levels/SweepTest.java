package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.response.Spot;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SweepTest {
    /** A robot rolled to and fro over a 20 mm line: mostly ground, some line, edges between. */
    private static double[] sweep(long seed, int creases) {
        Random random = new Random(seed);
        double[] values = new double[900];
        for (int i = 0; i < values.length; i++) {
            double x = 70 * Math.sin(0.02 * i);
            values[i] = Math.rint(700 - 480 * Spot.coverage(x, 20, 2.5) + 3 * random.nextGaussian());
        }
        for (int i = 0; i < creases; i++) {
            values[random.nextInt(values.length)] = 1000 + random.nextInt(20);
        }
        return values;
    }

    @Test
    void aSweepFindsBothSurfacesAmongEdges() {
        Sweep sweep = Sweep.of(sweep(3, 0));
        assertThat(sweep.low().mean())
                .isCloseTo(220, within(0.02 * 480)); // half of a 20 mm line is its edges, which pull
        assertThat(sweep.high().mean()).isCloseTo(700, within(1.0));
        assertThat(sweep.midpoint()).isCloseTo(460, within(5.0));
        assertThat(sweep.high().sd()).isCloseTo(3, within(1.0));
    }

    @Test
    void oneCreaseRuinsTheBareEndsAndNothingElse() {
        Sweep clean = Sweep.of(sweep(3, 0));
        Sweep creased = Sweep.of(sweep(3, 4));
        assertThat(Math.abs(creased.bareMidpoint() - clean.bareMidpoint())).isGreaterThan(100);
        assertThat(creased.midpoint()).isCloseTo(clean.midpoint(), within(3.0));
    }

    @Test
    void oneSurfaceIsNotTwo() {
        Random random = new Random(9);
        double[] flat = random.doubles(300).map(u -> 500 + 4 * u).toArray();
        assertThatThrownBy(() -> Sweep.of(flat)).hasMessageContaining("over dark and light");
        assertThatThrownBy(() -> Sweep.of(new double[10])).isInstanceOf(BadValueException.class);
    }

    @Test
    void schoolsAreComparedByWhereTheRobotWouldRideAndWhatItWouldMisread() {
        double[] dark = new double[80];
        double[] light = new double[80];
        for (int i = 0; i < 80; i++) {
            dark[i] = 220 + 3 * Math.sin(i);
            light[i] = 700 + 3 * Math.cos(i);
        }
        SensorLevels levels = SensorLevels.of("eye", dark, light);
        Schools schools = Schools.of(levels, Sweep.of(sweep(3, 4)), 2.5);
        assertThat(schools.disagree()).isFalse();
        assertThat(Math.abs(schools.rideShiftMm(schools.bare()))).isGreaterThan(1);
        // At mid-slope a spot of 2.5 mm changes by 480/(2.5*sqrt(2*pi)) = 76.6 a millimetre.
        assertThat(schools.rideShiftMm(460 + 76.6)).isCloseTo(1, within(0.001));
        assertThat(schools.misreads(460).seen()).isZero();
        assertThat(schools.misreads(222).seen()).as("about a quarter of dark").isBetween(15, 27);
    }
}
