package fahrbahn.app.club;

import fahrbahn.core.knowledge.SensorPreset;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;

/** Kinds of robot to begin with. Every number is a guess of our own, to be measured. */
public enum RobotKind {
    EDGE("one sensor, on an edge", 1, ErrorSignal.EDGE, SensorPreset.PERCENT, 45, false, 0.8, 2),
    PAIR(
            "two sensors, one each side of the line",
            2,
            ErrorSignal.PAIR,
            SensorPreset.PHOTOTRANSISTOR,
            50,
            false,
            0.3,
            0.8),
    ROW("a row of eight sensors", 8, ErrorSignal.ARRAY_MEAN, SensorPreset.PHOTOTRANSISTOR, 60, false, 1.2, 3),
    TRACKS("two sensors, on tracks", 2, ErrorSignal.PAIR, SensorPreset.COLOUR, 60, true, 0.3, 0.8);

    private static final double USUAL_LINE_MM = 20;

    private final String words;
    private final int sensors;
    private final ErrorSignal law;
    private final SensorPreset preset;
    private final double leadMm;
    private final boolean tracks;
    private final double kp;
    private final double kd;

    RobotKind(
            String words,
            int sensors,
            ErrorSignal law,
            SensorPreset preset,
            double leadMm,
            boolean tracks,
            double kp,
            double kd) {
        this.words = words;
        this.sensors = sensors;
        this.law = law;
        this.preset = preset;
        this.leadMm = leadMm;
        this.tracks = tracks;
        this.kp = kp;
        this.kd = kd;
    }

    public String words() {
        return words;
    }

    /** A robot of this kind that nobody has measured. */
    public Setup setup(String name) {
        Drive drive = new Drive(tracks ? 120 : 140, tracks ? 350 : 500, tracks ? 0.08 : 0.05, Mixing.DIFFERENCE, 100);
        Robot robot = new Robot(
                name,
                drive,
                new Loop(0.01, 0.01),
                preset.row(sensors, leadMm, USUAL_LINE_MM),
                Chassis.TYPICAL.withTracks(tracks));
        Law usual = new Law(law, Side.RIGHT, Scale.PERCENT, 50, kp, 0, kd, 40);
        return new Setup(robot, new Line(USUAL_LINE_MM, Polarity.DARK_ON_LIGHT, 150), usual);
    }
}
