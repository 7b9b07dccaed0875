package fahrbahn.core.quality;

import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.List;

/**
 * Dark against light for one sensor.
 *
 * @param step smallest change the sensor reports; 0 when not known
 */
public record SurfacePair(String sensor, SurfaceStats dark, SurfaceStats light, double step) {
    /** Below this separation a reading in 16000 is on the wrong side of the middle: Q(4). */
    private static final double LEAST_CONTRAST_SDS = 8;

    /** With fewer, one step of the sensor moves the error by more than 3 % of its range. */
    private static final double FEW_STEPS = 32;

    /** Two readings with this much of their scatter between them are hardly ever mistaken for each other: Q(4/2) = 2 %. */
    private static final double TELLS_APART_SDS = 4;

    public double contrast() {
        return Math.abs(light.mean() - dark.mean());
    }

    /** Whether they may be one surface, captured twice: then nothing that is a share of their contrast means anything. */
    public boolean tooAlike() {
        return !(contrast() > LEAST_CONTRAST_SDS * noise());
    }

    /** The larger of the two scatters. */
    public double noise() {
        return Math.max(dark.sd(), light.sd());
    }

    /** Steps of the sensor from dark to light; infinite when its step is not known. */
    public double steps() {
        return contrast() / step;
    }

    /** @param expectedSign of light less dark as the setup has it; 0 when it does not know */
    public List<Finding> findings(int expectedSign) {
        List<Finding> found = new ArrayList<>();
        if (dark.mean() == light.mean()
                && dark.leftOut().size() + light.leftOut().size() == 0
                && step == 0) {
            found.add(new Finding.Stuck(sensor, dark.mean()));
            return found;
        }
        if (tooAlike()) {
            found.add(new Finding.TooAlike(sensor, contrast(), noise()));
        } else if (steps() < FEW_STEPS) {
            found.add(new Finding.FewSteps(sensor, steps()));
        }
        if (!tooAlike() && expectedSign != 0 && Math.signum(light.mean() - dark.mean()) == -expectedSign) {
            found.add(new Finding.SurfacesSwapped(sensor));
        }
        return List.copyOf(found);
    }

    /** What lifting the robot looks like to this sensor: a finding when it reads as on one of the surfaces. */
    public List<Finding> air(SurfaceStats lifted) {
        double fromDark = Math.abs(lifted.mean() - dark.mean()) / Math.max(dark.sd(), lifted.sd());
        double fromLight = Math.abs(lifted.mean() - light.mean()) / Math.max(light.sd(), lifted.sd());
        if (Math.min(fromDark, fromLight) >= TELLS_APART_SDS) {
            return List.of();
        }
        return List.of(new Finding.AirLooksLike(
                sensor, fromDark <= fromLight ? "dark" : "light", Math.min(fromDark, fromLight)));
    }

    /** A reading as a share of the way from dark (0) to light (1). */
    public double scaled(double reading) {
        return (reading - dark.mean()) / (light.mean() - dark.mean());
    }
}
