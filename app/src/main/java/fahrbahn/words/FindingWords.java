package fahrbahn.words;

import fahrbahn.core.quality.Agreement;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.quality.RoomLight;

/** What the core finds about readings, as a coach would be told. */
public final class FindingWords {
    private FindingWords() {}

    public static String of(Finding finding) {
        String sensor = "Sensor " + finding.sensor() + " ";
        if (finding instanceof Finding.Outliers f) {
            return sensor + "jumped " + Words.count(f.count(), "time", "times") + ", "
                    + (f.count() == 1 ? at(f.firstS()) : "between " + at(f.firstS()) + " and " + at(f.lastS()))
                    + "; left out.";
        }
        if (finding instanceof Finding.Burst f) {
            return sensor + "was off by " + Words.number(f.size(), 2) + " from " + at(f.fromS()) + " to " + at(f.toS())
                    + ": a crease, glare or a hand? " + f.count() + " readings left out.";
        }
        if (finding instanceof Finding.Drift f) {
            boolean whole = f.share() >= 1;
            String amount = whole
                    ? "by its whole contrast or more"
                    : "by " + Words.number(f.perTenMinutes(), 2) + " (" + Words.number(f.low(), 2) + " to "
                            + Words.number(f.high(), 2) + "), " + Words.percent(f.share()) + " of its contrast,";
            return sensor + "drifts " + amount + " in ten minutes"
                    + (whole ? ": it moved, or the light changed. Hold it still" : ". Let the lamp warm up")
                    + ", then capture again.";
        }
        if (finding instanceof Finding.Moved f) {
            return sensor + "read " + Words.number(f.from()) + " and later " + Words.number(f.to())
                    + ": two places in one capture. Hold the robot still, capture again.";
        }
        if (finding instanceof Finding.NoSurface f) {
            return sensor + "read " + Words.exact(f.value()) + " in " + f.count() + " of " + f.of()
                    + " readings, with nothing under it. They are left out; keep it over the surface.";
        }
        if (finding instanceof Finding.Unsettled f) {
            return sensor + "average good to ±" + Words.number(f.plusMinus(), 2) + " from "
                    + Words.count(f.have(), "reading", "readings") + "; " + f.more() + " more would settle it.";
        }
        if (finding instanceof Finding.Saturated f) {
            return sensor + "is at the end of its range, " + Words.exact(f.end()) + ", in " + Words.percent(f.share())
                    + " of the readings. Raise it, or dim its lamp.";
        }
        if (finding instanceof Finding.Stuck f) {
            return sensor + "reads " + Words.exact(f.value())
                    + " on dark and on light: stuck, unplugged or on the wrong port.";
        }
        if (finding instanceof Finding.Unmoved f) {
            return sensor + "reads " + Words.exact(f.value()) + " all the time: coarse rounding, or stuck.";
        }
        if (finding instanceof Finding.TooFew f) {
            return sensor + "has too few readings, " + f.have() + " of " + f.needed()
                    + (Double.isNaN(f.moreS())
                            ? ": capture longer."
                            : ": " + Words.number(f.moreS(), 2) + " more seconds.");
        }
        if (finding instanceof Finding.TooAlike f) {
            return sensor + "has only " + Words.number(f.contrast()) + " between dark and light, with a noise of "
                    + Words.number(f.noise(), 2) + ". Check its height, its lamp and where it was.";
        }
        if (finding instanceof Finding.FewSteps f) {
            return sensor + "has " + Words.number(f.steps(), 2)
                    + " steps from dark to light: the error jumps. Lower it, or use its raw readings.";
        }
        return between(finding, sensor);
    }

    private static String between(Finding finding, String sensor) {
        if (finding instanceof Finding.Swapped f) {
            return "Sensors " + f.sensor() + " and " + f.other()
                    + " saw the line in the wrong order: swap their plugs or names, unless the ruler ran to the right.";
        }
        if (finding instanceof Finding.Exchanged f) {
            return "Sensors " + f.sensor() + " and " + f.other()
                    + " read as the other did before: plugs swapped? Put them back, or change their names.";
        }
        if (finding instanceof Finding.LampOff f) {
            return sensor + "reads " + Words.number(f.light()) + " on light and had " + Words.number(f.before())
                    + ", as all do: is the lamp off? Switch it on, capture light and dark again.";
        }
        if (finding instanceof Finding.OneSurface f) {
            return sensor + "saw one surface only in the sweep, about " + Words.number(f.mean())
                    + ". Sweep over dark and light, a few seconds on each.";
        }
        if (finding instanceof Finding.SurfacesSwapped) {
            return sensor
                    + "reads dark as light: were they captured in the wrong order?"
                    + " Capture both again, or correct the robot's numbers.";
        }
        if (finding instanceof Finding.Disagree f) {
            return "On " + f.surface() + ", " + f.other() + " reads " + Words.number(Math.abs(f.percent()), 2) + " % "
                    + (f.percent() > 0 ? "lighter" : "darker") + " than " + f.sensor()
                    + " even when scaled: check both heights.";
        }
        if (finding instanceof Finding.AirLooksLike f) {
            return sensor + "reads in the air as on " + f.surface()
                    + ": the program cannot tell when it is lifted from " + f.surface() + ".";
        }
        throw new IllegalArgumentException("no words for " + finding);
    }

    private static String at(double tS) {
        return Words.number(tS, 2) + " s";
    }

    /** Two sensors over the same paper. */
    public static String of(Agreement agreement) {
        return "Over the same paper " + agreement.second() + " reads " + signed(agreement.rawOnLight())
                + " on light and "
                + signed(agreement.rawOnDark()) + " on dark against " + agreement.first() + ", "
                + Words.number(agreement.rawPercent(), 2)
                + " % of the contrast. Scaled by their own dark and light they agree to "
                + Words.number(agreement.noisePercent(), 2) + " %, their noise.";
    }

    private static String signed(double value) {
        return (value < 0 ? "" : "+") + Words.number(value);
    }

    /** Whether the light of the room matters to a sensor. */
    public static String of(String sensor, RoomLight room) {
        if (!room.known()) {
            return "Sensor " + sensor + ": these readings do not show what the room adds to it. Capture again, longer.";
        }
        String share = Words.number(100 * Math.abs(room.share()), 2) + " % (± "
                + Words.number(100 * room.plusMinus(), 1) + ")";
        if (room.matters()) {
            return "Sensor " + sensor + " takes " + share
                    + " of its contrast from room light: twice that light would move its threshold by "
                    + Words.number(room.leastShiftPercent(), 2) + " % or more. Shade it, and calibrate at every venue.";
        }
        if (room.harmless()) {
            return "Sensor " + sensor + " takes " + share
                    + " of its contrast from room light: another venue will not matter.";
        }
        return "Sensor " + sensor + " takes " + share
                + " of its contrast from room light: not sure yet, capture again.";
    }
}
