package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.maps.Axis;
import fahrbahn.core.maps.GainMap;
import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import fahrbahn.headless.kit.CourseOption;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SeedOption;
import fahrbahn.headless.kit.SetupFile;
import fahrbahn.store.file.BadFileException;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "map", description = "How runs come out over Kp and Kd.")
final class MapCommand extends JsonCommand {
    private static final int MOST_RUNS = 1000;

    @Mixin
    private SetupFile setupFile;

    @Mixin
    private CourseOption course;

    @Option(names = "--kp", required = true, paramLabel = "A:B", description = "from and to, per loop")
    private String kp;

    @Option(names = "--kd", required = true, paramLabel = "A:B", description = "from and to, per loop")
    private String kd;

    @Option(names = "--cells", paramLabel = "N", defaultValue = "24", description = "along each axis, 2 to 256 (24)")
    private int cells;

    @Option(names = "--runs", paramLabel = "M", defaultValue = "8", description = "in each cell (8)")
    private int runs;

    @Mixin
    private SeedOption seed;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Check.between("--runs", runs, 1, MOST_RUNS);
        Axis x = axis("--kp", kp);
        Axis y = axis("--kd", kd);
        Setup setup = setupFile.read();
        Optional<SampledLoop> loop = loop(setup);
        Track track = Track.of(course.read(), setup);
        MapPicture map = new GainMap(x, y, GainMap.Setting.KP_KD, Spread.TYPICAL, runs, seed.seed())
                .drive(track, Workers.all(), progress(), picture -> {});
        ObjectNode json = Json.object();
        values(json.putArray("kp"), x);
        values(json.putArray("kd"), y);
        grid(json.putArray("completedShare"), map, (column, row) -> map.completedShare((int) column, (int) row));
        grid(json.putArray("rmsMm"), map, (column, row) -> map.rmsMm((int) column, (int) row));
        grid(json.putArray("lapS"), map, (column, row) -> map.timeS((int) column, (int) row));
        ArrayNode stable = json.putArray("stable");
        for (int row = 0; row < y.cells(); row++) {
            ArrayNode cellsOfRow = stable.addArray();
            for (int column = 0; column < x.cells(); column++) {
                if (loop.isEmpty()) {
                    cellsOfRow.addNull();
                } else {
                    cellsOfRow.add(loop.get()
                                    .spectralRadius(x.value(column), setup.law().ki(), y.value(row))
                            < 1);
                }
            }
        }
        return json;
    }

    /** A law that makes no error, or a blind one, has no theory: the twin drives it all the same. */
    private static Optional<SampledLoop> loop(Setup setup) {
        try {
            return Optional.of(new SampledLoop(LoopModel.of(setup)));
        } catch (BadValueException noTheory) {
            return Optional.empty();
        }
    }

    private Axis axis(String name, String text) {
        String[] ends = text.split(":", -1);
        try {
            double low = Check.notNegative(name, Double.parseDouble(ends[0].strip()));
            double high = Double.parseDouble(ends[1].strip());
            Check.require(
                    ends.length == 2 && high > low && high <= 1e9, name, text, "two numbers with the larger last");
            Check.between("--cells", cells, 2, 256);
            return new Axis(low, high, cells);
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException notTwoNumbers) {
            throw new BadValueException(name, "'" + text + "'", "two numbers with a colon between, like 0.1:2");
        }
    }

    private static void values(ArrayNode json, Axis axis) {
        for (int i = 0; i < axis.cells(); i++) {
            json.add(axis.value(i));
        }
    }

    /** Rows by Kd; nothing where no run completed. */
    private static void grid(ArrayNode json, MapPicture map, DoubleBinaryOperator value) {
        for (int row = 0; row < map.y().cells(); row++) {
            ArrayNode cells = json.addArray();
            for (int column = 0; column < map.x().cells(); column++) {
                double it = value.applyAsDouble(column, row);
                if (Double.isNaN(it)) {
                    cells.addNull();
                } else {
                    cells.add(it);
                }
            }
        }
    }
}
