package fahrbahn.core.tuning;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Surface;
import fahrbahn.core.response.Spacing;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import java.util.ArrayList;
import java.util.List;

/** What a program that looks for turn marks begins with: a start to be changed, by our own reckoning. */
public final class UsualTurnMarks {
    /** Surface names, as marks are captured. */
    public static final String MARK = "mark";

    private static final int READS = 3;

    /** Of the full command, for turning on the spot. */
    private static final double TURN_SHARE = 0.4;

    private static final int DIGITS = 2;

    private UsualTurnMarks() {}

    /**
     * With the robot's outermost two sensors, and colours as a table's palette has them: to be measured.
     *
     * @throws BadValueException when there is one sensor only
     */
    public static TurnMarks of(Setup setup, Palette palette) {
        List<Sensor> sensors = setup.robot().sensors();
        if (sensors.size() < 2) {
            throw new BadValueException(
                    "robot.sensors", 1, "two or more: one looks for marks on the left, another on the right");
        }
        double width = setup.line().widthMm();
        double markMm = Spacing.MARK_WIDTHS * width;
        double stepMm = setup.robot().loop().periodS() * setup.speedMmPerS();
        int reads = (int) Math.max(1, Math.min(READS, Math.floor(markMm / 2 / stepMm)));
        return new TurnMarks(
                looker(sensors.get(0)),
                looker(sensors.get(sensors.size() - 1)),
                colours(palette),
                MARK,
                reads,
                new Extent(Rounding.significant(width + markMm, DIGITS), Extent.Unit.MM),
                new Extent(Rounding.significant(2 * (width + markMm), DIGITS), Extent.Unit.MM),
                TurnMarks.Place.BEFORE,
                turn(setup));
    }

    /** A sensor that sees all channels alike, until they are captured. */
    private static TurnMarks.Looker looker(Sensor sensor) {
        List<Double> dark = List.of(sensor.dark(), sensor.dark(), sensor.dark());
        List<Double> light = List.of(sensor.light(), sensor.light(), sensor.light());
        return new TurnMarks.Looker(sensor.name(), new ColourScale(dark, light));
    }

    /** Nearest of the surfaces a robot meets, as a table's palette has them. */
    static ColourRule colours(Palette palette) {
        List<ColourRule.Known> known = new ArrayList<>();
        known.add(new ColourRule.Known("dark", List.of(0.0, 0.0, 0.0), List.of()));
        known.add(new ColourRule.Known("light", List.of(1.0, 1.0, 1.0), List.of()));
        known.add(new ColourRule.Known("edge", List.of(0.5, 0.5, 0.5), List.of()));
        known.add(new ColourRule.Known(MARK, scaled(palette, palette.mark()), List.of()));
        return new ColourRule(ColourSpace.SCALED, List.of(), known);
    }

    private static List<Double> scaled(Palette palette, Surface surface) {
        List<Double> scaled = new ArrayList<>();
        for (Channel channel : List.of(Channel.RED, Channel.GREEN, Channel.BLUE)) {
            double dark = palette.dark().reflectance(channel);
            double light = palette.light().reflectance(channel);
            scaled.add(Rounding.significant((surface.reflectance(channel) - dark) / (light - dark), 3));
        }
        return scaled;
    }

    /** Straight on until the wheels stand over the middle; a quarter turn at the rate of the drive, whose lag is as long at its end. */
    private static TurnMarks.Manoeuvre turn(Setup setup) {
        Drive drive = setup.robot().drive();
        double least = 1.2 * drive.traits().curve().startsAboveCommand();
        double command = Rounding.significant(Math.max(TURN_SHARE * drive.fullCommand(), least), DIGITS);
        command = Math.min(command, drive.fullCommand());
        double wheels = drive.leastCommand() < 0 ? 2 : 1;
        double turnRate = wheels * drive.speedMmPerS(command) / drive.effectiveTrackWidthMm();
        double aheadMm = Math.max(0, setup.leadMm() + setup.line().widthMm() / 2);
        return new TurnMarks.Manoeuvre(
                new Extent(Rounding.significant(aheadMm, DIGITS), Extent.Unit.MM),
                command,
                new Extent(Math.rint(1000 * Math.PI / 2 / turnRate), Extent.Unit.MS));
    }
}
