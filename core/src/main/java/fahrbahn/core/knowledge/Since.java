package fahrbahn.core.knowledge;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.difference.SetupDifference;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What has changed since something was found out. A constant that is only known better has not changed: measured anew within its old
 * uncertainty, or so that wiggle onset moves by less than {@link #SAME_ONSET}.
 *
 * @param causes what has changed, circumstances first
 * @param better constants that are known better and did not change what rests on them
 */
public record Since(List<Cause> causes, List<Constant> better) {
    /** A twentieth of wiggle onset: a third of the way between two gains that a coach would try. */
    public static final double SAME_ONSET = 0.05;

    /** Of the contrast: what a hand that holds a robot over paper twice is off by. */
    private static final double SAME_SURFACE = 0.05;

    public Since {
        causes = List.copyOf(causes);
        better = List.copyOf(better);
    }

    /** Everything that differs between what a result rests on and how things stand. */
    public static Since of(Basis then, Basis now) {
        return ofSetting(then, now).andCircumstances(then, now);
    }

    /** What differs in the setting alone: the costly part, the same for all that rest on one setting known as well. */
    public static Since ofSetting(Basis then, Basis now) {
        if (then.setting().isEmpty()
                || now.setting().isEmpty()
                || then.setting().equals(now.setting())) {
            return new Since(List.of(), List.of());
        }
        Setup before = then.setup().get();
        Setup after = now.setup().get();
        Setup measured = withSurfaces(before, after);
        List<Constant> better = better(then, measured, after);
        return new Since(SetupDifference.between(adopted(measured, after, better), after), better);
    }

    /** The same with venue, lamps, height, battery, wheels and table. */
    public Since andCircumstances(Basis then, Basis now) {
        List<Cause> all = new ArrayList<>(then.conditions().changesTo(now.conditions()));
        if (then.table().differsFrom(now.table())) {
            all.add(Cause.circumstance(
                    Aspect.TABLE, then.table().name(), now.table().name()));
        }
        causes.stream()
                .filter(c -> all.stream().noneMatch(said -> said.aspect() == c.aspect()))
                .toList()
                .forEach(all::add);
        return new Since(all, better);
    }

    /** Only what touches these aspects; a constant known better is told where its own aspects are touched. */
    public Since only(Set<Aspect> aspects) {
        return new Since(
                causes.stream().filter(c -> aspects.contains(c.aspect())).toList(), better);
    }

    /** The same with the age among the causes, when it is more than it may be. */
    public Since aged(Basis then, Basis now, Duration stays) {
        Duration age = Duration.between(then.at(), now.at());
        if (age.compareTo(stays) <= 0) {
            return this;
        }
        List<Cause> all = new ArrayList<>(causes);
        all.add(Cause.circumstance(Aspect.AGE, Duration.ZERO, age));
        return new Since(all, better);
    }

    public boolean nothing() {
        return causes.isEmpty();
    }

    public Set<Aspect> aspects() {
        Set<Aspect> all = EnumSet.noneOf(Aspect.class);
        causes.forEach(c -> all.add(c.aspect()));
        return all;
    }

    /** The constants that differ and may be taken as they are now. */
    private static List<Constant> better(Basis then, Setup before, Setup after) {
        List<Constant> differing = new ArrayList<>();
        for (Constant constant : Constant.values()) {
            if (constant.of(before) != constant.of(after)) {
                differing.add(constant);
            }
        }
        if (differing.isEmpty()) {
            return differing;
        }
        List<Constant> ofTheLoop =
                differing.stream().filter(Constant::ofTheLoop).toList();
        boolean same = sameOnset(before, adopted(before, after, ofTheLoop));
        return differing.stream()
                .filter(c -> same && c.ofTheLoop()
                        || Math.abs(c.of(after) - c.of(before)) <= then.known().getOrDefault(c, 0.0))
                .toList();
    }

    /** The setup of before with some constants as they are after; noise and step go with the spot: all are of the sensor. */
    private static Setup adopted(Setup before, Setup after, List<Constant> constants) {
        Setup told = before;
        for (Constant constant : constants) {
            try {
                told = constant == Constant.SPOT ? withSpots(told, after) : constant.with(told, constant.of(after));
            } catch (BadValueException impossible) {
                return before; // the two setups have more than constants between them
            }
        }
        return told;
    }

    private static Setup withSpots(Setup told, Setup after) {
        List<Sensor> now = after.robot().sensors();
        List<Sensor> sensors = new ArrayList<>(told.robot().sensors());
        for (int i = 0; i < Math.min(now.size(), sensors.size()); i++) {
            sensors.set(i, sensors.get(i).withSpotSigmaMm(now.get(i).spotSigmaMm()));
        }
        return told.withRobot(told.robot().withSensors(sensors));
    }

    /** Dark, light, noise and step captured again and found as they were are no change. */
    private static Setup withSurfaces(Setup before, Setup after) {
        List<Sensor> then = before.robot().sensors();
        List<Sensor> now = after.robot().sensors();
        if (then.size() != now.size()) {
            return before;
        }
        List<Sensor> sensors = new ArrayList<>();
        for (int i = 0; i < then.size(); i++) {
            Sensor a = then.get(i);
            Sensor b = now.get(i);
            double most = SAME_SURFACE * a.contrast();
            boolean same = Math.abs(a.dark() - b.dark()) <= most && Math.abs(a.light() - b.light()) <= most;
            sensors.add(same ? a.withSurfaces(b.dark(), b.light(), b.noise()).withStep(b.step()) : a);
        }
        return before.withRobot(before.robot().withSensors(sensors));
    }

    private static boolean sameOnset(Setup before, Setup after) {
        try {
            double kp = before.law().kp();
            GainRay ray = kp > 0 ? GainRay.ratio(before.law().kd() / kp) : GainRay.PROPORTIONAL;
            double then = onset(before, ray);
            return then > 0 && Math.abs(onset(after, ray) / then - 1) < SAME_ONSET;
        } catch (BadValueException noLoop) {
            return false;
        }
    }

    private static double onset(Setup setup, GainRay ray) {
        return WiggleOnset.along(new SampledLoop(LoopModel.of(setup)), ray)
                .map(WiggleOnset::kp)
                .orElse(0.0);
    }
}
