package fahrbahn.core.twin;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Path;
import fahrbahn.core.response.CurveFeatures;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.sensing.SpotView;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Relief;
import fahrbahn.core.table.SeenTable;
import fahrbahn.core.table.Standing;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A ground as the sensors of one setup see it, and what does not change from run to run, whatever the gains and the speed. Many
 * threads may share it.
 */
public final class Track {
    /** An open line without an end strip is left this many spot sigmas before its end, before the sensors see it end. */
    private static final double END_SIGMAS = 4;

    private final Ground ground;
    private final Setup setup;
    private final Path path;
    private final Relief relief;
    private final List<SpotView> views = new ArrayList<>();
    private final double pointForwardMm;
    private final double pointLeftMm;
    private final double rideOffsetMm;
    private final double usableBandMm;
    private final double steerSign;
    private final double finishMm;
    private final double settledFromMm;
    private final List<Standing> standing;
    private final Optional<SensorFault> fault;

    private Track(Ground ground, Setup setup, double finishMm, double settledFromMm, SeenTable.Cells cells) {
        this.ground = ground;
        this.setup = setup;
        this.path = ground.path();
        this.relief = ground.relief();
        this.finishMm = finishMm;
        this.settledFromMm = settledFromMm;
        this.standing = Standing.on(ground);
        this.fault = Optional.empty();
        this.pointForwardMm = setup.leadMm();
        this.pointLeftMm = setup.lawSensors().stream()
                .mapToDouble(Sensor::leftMm)
                .average()
                .orElseThrow();
        views.addAll(views(cells));
        if (!setup.law().signal().hasError()) {
            rideOffsetMm = 0;
            usableBandMm = (setup.lawSensors().get(0).leftMm()
                            - setup.lawSensors()
                                    .get(setup.lawSensors().size() - 1)
                                    .leftMm())
                    / 2;
            steerSign = 1;
        } else {
            ErrorCurve curve = ErrorCurve.of(setup);
            CurveFeatures.Range guided = CurveFeatures.of(curve).guided();
            rideOffsetMm = curve.rideOffsetMm();
            usableBandMm = Math.min(rideOffsetMm - guided.lowMm(), guided.highMm() - rideOffsetMm);
            steerSign = curve.steerSign();
        }
    }

    /** Of each sensor that looks; those of the same spot and channel share one. */
    private List<SpotView> views(SeenTable.Cells cells) {
        List<Sensor> looking = lookingSensors(setup);
        Map<Object, SpotView> different = new HashMap<>();
        int count = (int) looking.stream().map(Track::eye).distinct().count();
        return looking.stream()
                .map(s -> different.computeIfAbsent(eye(s), e -> new SpotView(ground, setup.line(), s, cells, count)))
                .toList();
    }

    /** What tells views of a table apart. */
    private static Object eye(Sensor sensor) {
        return List.of(sensor.channel(), sensor.spotSigmaMm());
    }

    /** A lap of a closed course, or an open one to its stop strip or the end of its line; figures count from the start. */
    public static Track of(Ground ground, Setup setup) {
        return of(ground, setup, SeenTable.Cells.FINE);
    }

    /** The same, seen as fine as is asked for. */
    public static Track of(Ground ground, Setup setup, SeenTable.Cells cells) {
        Path path = ground.path();
        Setup.checkTurns(
                "course.parts.radiusMm",
                ground.tightestRadiusMm(),
                setup.robot().drive());
        double lead = Math.max(0, setup.leadMm());
        if (ground.closed()) {
            return new Track(ground, setup, lead + path.lengthMm(), lead, cells);
        }
        boolean endsItself = path.finishMm() < path.lengthMm();
        double finish = endsItself ? path.finishMm() : path.lengthMm() - END_SIGMAS * widestSpot(setup);
        if (!(finish > lead)) {
            throw new BadValueException(
                    "course", path.lengthMm() + " mm long", "longer than the robot's lead of " + lead + " mm");
        }
        return new Track(ground, setup, finish, lead, cells);
    }

    /** The same with an earlier finish. @param mm along the path, beyond the robot's lead; no later than this one's finish */
    public Track until(double mm) {
        return mm < finishMm ? new Track(this, mm, fault) : this;
    }

    /**
     * The same for a robot of which a sensor has failed.
     *
     * @throws BadValueException when it has no such sensor that looks at the line
     */
    public Track with(SensorFault failed) {
        boolean known = lookingSensors(setup).stream().anyMatch(s -> s.name().equals(failed.sensor()));
        Check.require(
                known,
                "sensor",
                "\"" + failed.sensor() + "\"",
                "one of those its program reads: "
                        + lookingSensors(setup).stream()
                                .map(Sensor::name)
                                .distinct()
                                .toList());
        return new Track(this, finishMm, Optional.of(failed));
    }

    private Track(Track other, double finishMm, Optional<SensorFault> fault) {
        ground = other.ground;
        setup = other.setup;
        path = other.path;
        relief = other.relief;
        views.addAll(other.views);
        pointForwardMm = other.pointForwardMm;
        pointLeftMm = other.pointLeftMm;
        rideOffsetMm = other.rideOffsetMm;
        usableBandMm = other.usableBandMm;
        steerSign = other.steerSign;
        this.finishMm = finishMm;
        settledFromMm = other.settledFromMm;
        standing = other.standing;
        this.fault = fault;
    }

    /** A straight line on which the robot drives this far; figures count over the second half, when it has settled. */
    public static Track straight(double driveMm, Setup setup) {
        double lead = Math.max(0, setup.leadMm());
        double spare = END_SIGMAS * widestSpot(setup);
        double length = Course.straight(driveMm).path().lengthMm();
        Course line = Course.straight(driveMm + lead + spare);
        return new Track(line, setup, lead + length, lead + length / 2, SeenTable.Cells.FINE);
    }

    /** Those of the law, then its emergency sensors, then one for each channel of those that look for marks. */
    static List<Sensor> lookingSensors(Setup setup) {
        List<Sensor> looking = new ArrayList<>(setup.lawSensors());
        looking.addAll(setup.outerSensors());
        setup.law().options().turnMarks().ifPresent(marks -> {
            addChannels(looking, setup.markSensors().get(0), marks.left());
            addChannels(looking, setup.markSensors().get(1), marks.right());
        });
        return looking;
    }

    static int plainSensors(Setup setup) {
        return setup.lawSensors().size() + setup.outerSensors().size();
    }

    /** A channel reads its own dark and light, and scatters by the same share of them as the sensor does. */
    private static void addChannels(List<Sensor> looking, Sensor sensor, TurnMarks.Looker looker) {
        for (Channel channel : List.of(Channel.RED, Channel.GREEN, Channel.BLUE)) {
            int at = channel.ordinal() - Channel.RED.ordinal();
            double dark = looker.scale().dark().get(at);
            double light = looker.scale().light().get(at);
            double noise = sensor.noise() / sensor.contrast() * Math.abs(light - dark);
            looking.add(sensor.withSurfaces(dark, light, noise).withChannel(channel));
        }
    }

    private static double widestSpot(Setup setup) {
        return setup.lawSensors().stream()
                .mapToDouble(Sensor::spotSigmaMm)
                .max()
                .orElseThrow();
    }

    /** The same track for a setup that differs in gains, steps or speed only; nothing is painted anew. */
    void checkSameSight(Setup other) {
        boolean sameSensors = setup.robot().sensors().equals(other.robot().sensors())
                && setup.law().signal() == other.law().signal()
                && setup.law().options().outer().equals(other.law().options().outer())
                && setup.markSensors().equals(other.markSensors());
        if (!sameSensors || !setup.line().equals(other.line())) {
            throw new IllegalArgumentException("this track was made for other sensors or another line");
        }
    }

    /** Another program for the same robot: as many sensors of the same names at the same places, whatever they are believed to read. */
    void checkSamePlaces(Setup program) {
        List<Sensor> is = lookingSensors(setup);
        List<Sensor> believed = lookingSensors(program);
        boolean same = is.size() == believed.size() && setup.line().equals(program.line());
        for (int i = 0; same && i < is.size(); i++) {
            same = is.get(i).name().equals(believed.get(i).name())
                    && is.get(i).forwardMm() == believed.get(i).forwardMm()
                    && is.get(i).leftMm() == believed.get(i).leftMm();
        }
        if (!same) {
            throw new IllegalArgumentException("this program is for other sensors or another line");
        }
    }

    public Ground ground() {
        return ground;
    }

    public Setup setup() {
        return setup;
    }

    public Path path() {
        return path;
    }

    public Relief relief() {
        return relief;
    }

    /** The sensor that has failed; usually none. */
    public Optional<SensorFault> fault() {
        return fault;
    }

    /** What stands on the line. */
    List<Standing> standing() {
        return standing;
    }

    /** One view for each of {@link #lookingSensors}. */
    List<SpotView> views() {
        return views;
    }

    /** Where on the robot the law looks from: the middle of its sensors, ahead of the turning point and left of its middle. */
    double pointForwardMm() {
        return pointForwardMm;
    }

    /** Left of the robot's middle, of the law's point. */
    public double pointLeftMm() {
        return pointLeftMm;
    }

    public double rideOffsetMm() {
        return rideOffsetMm;
    }

    /** How far the law's point may leave its path to the scarcer side before the error folds over. */
    public double usableBandMm() {
        return usableBandMm;
    }

    /** Which way to steer for a positive error. */
    double steerSign() {
        return steerSign;
    }

    /** Arc length at which the law's point has finished. */
    public double finishMm() {
        return finishMm;
    }

    /** Arc length from which the figures of a run count. */
    public double settledFromMm() {
        return settledFromMm;
    }
}
