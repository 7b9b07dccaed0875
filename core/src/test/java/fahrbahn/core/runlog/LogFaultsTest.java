package fahrbahn.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.core.runlog.PlantedLogs.Kind;
import fahrbahn.core.runlog.PlantedLogs.Planted;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Logs of drawn robots with one fault planted in each: it is the first that is named, and a sound robot has none. */
class LogFaultsTest extends Repeated {
    private static final Map<Kind, Fault> NAMED = Map.ofEntries(
            Map.entry(Kind.SWAPPED, Fault.WRONG_WAY),
            Map.entry(Kind.WRONG_EDGE, Fault.WRONG_WAY),
            Map.entry(Kind.STUCK, Fault.STUCK_SENSOR),
            Map.entry(Kind.GLARE, Fault.GLARE),
            Map.entry(Kind.LEVELS, Fault.LEVELS),
            Map.entry(Kind.SLOW_LOOP, Fault.SLOW_LOOP),
            Map.entry(Kind.UNEVEN_LOOP, Fault.UNEVEN_LOOP),
            Map.entry(Kind.LOST_PACKETS, Fault.LOST_LINES),
            Map.entry(Kind.LOW_BATTERY, Fault.LOW_BATTERY),
            Map.entry(Kind.UNEVEN_WHEELS, Fault.UNEVEN_WHEELS),
            Map.entry(Kind.LAG, Fault.LAG),
            Map.entry(Kind.NO_DAMPING, Fault.NO_DAMPING),
            Map.entry(Kind.TOO_SHARP, Fault.TOO_SHARP),
            Map.entry(Kind.TOO_SOFT, Fault.TOO_SOFT));

    private static List<LogFaults.Found> found(Planted planted) {
        Setup believed = planted.believed();
        LogFigures figures = LogFigures.of(planted.log(), believed.robot().drive());
        Optional<LogFit> fit = LogFit.of(planted.log(), believed);
        return LogFaults.of(planted.log(), believed, figures, fit);
    }

    @ParameterizedTest
    @EnumSource
    void whatWasPlantedIsNamedFirst(Kind kind) {
        int logs = times(2, 20);
        SplittableRandom random = new SplittableRandom(900 + kind.ordinal());
        int first = 0;
        for (int i = 0; i < logs; i++) {
            List<LogFaults.Found> all = found(kind.plant(random));
            first += !all.isEmpty() && all.get(0).fault() == NAMED.get(kind) ? 1 : 0;
        }
        // Of two logs one may be the one in ten.
        assertThat(first).as("of %s logs", logs).isGreaterThanOrEqualTo(logs < 10 ? logs - 1 : 9 * logs / 10);
    }

    @Test
    void aSoundRobotHasNone() {
        SplittableRandom random = new SplittableRandom(890);
        for (int i = 0; i < times(6, 40); i++) {
            assertThat(found(PlantedLogs.sound(PlantedLogs.sound(random), i)))
                    .as("sound robot %s", i)
                    .isEmpty();
        }
    }

    /** A log without error and commands: its loop and its wiggle are judged, and nothing else is said. */
    @Test
    void ofReadingsAloneOnlyTheWiggleIsJudged() {
        Planted sharp = Kind.TOO_SHARP.plant(new SplittableRandom(3));
        RunLog log = sharp.log();
        double[] tS = new double[log.size()];
        for (int i = 0; i < tS.length; i++) {
            tS[i] = log.tS(i);
        }
        double[][] readings = new double[log.sensors().size()][];
        for (int k = 0; k < readings.length; k++) {
            readings[k] = log.readings(k);
        }
        RunLog alone = new RunLog(tS, log.sensors(), readings, new double[RunLog.Column.values().length][]);
        assertThat(alone.missing()).containsExactly("error", "commands");
        LogFigures figures = LogFigures.of(alone, sharp.believed().robot().drive());
        assertThat(figures.wiggle()).isPresent();
        assertThat(figures.meanError()).isEmpty();
        assertThat(figures.saturatedShare()).isEmpty();
        assertThat(found(new Planted(alone, sharp.real(), sharp.believed())))
                .extracting(LogFaults.Found::fault)
                .containsExactly(Fault.TOO_SHARP);
    }
}
