package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.loop.SpeedFloor;
import fahrbahn.core.loop.StableSpan;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Setup;
import fahrbahn.headless.kit.Json;
import fahrbahn.store.json.SetupJson;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "lane", description = "Where a setup stands between the bend floor and the wiggle onset.")
final class LaneCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "SETUP.json")
    private Path setupFile;

    @Override
    public Integer call() throws Exception {
        Setup setup = SetupJson.read(setupFile);
        LaneReport report = LaneReport.of(setup);
        ObjectNode json = Json.object()
                .put("speedMmPerS", report.speedMmPerS())
                .put("rideOffsetMm", report.rideOffsetMm())
                .put("readingSlopePerMm", report.readingSlopePerMm())
                .put("turnRatePerCommand", report.turnRatePerCommand());
        Json.put(json, "wiggleKp", report.wiggle().map(WiggleOnset::kp));
        Json.put(json, "wigglePeriodS", report.wiggle().map(WiggleOnset::periodS));
        Json.put(json, "wiggleKpWithKdTwiceKp", report.wiggleWithKdTwiceKp().map(WiggleOnset::kp));
        Json.put(
                json, "wigglePeriodWithKdTwiceKpS", report.wiggleWithKdTwiceKp().map(WiggleOnset::periodS));
        json.put("bendKp", Double.isInfinite(report.bendKp()) ? null : report.bendKp())
                .put("leastLeadMm", report.leastLeadMm())
                .put("spectralRadius", report.spectralRadius());
        Optional<SpeedFloor> slowest = SpeedFloor.of(setup);
        Json.put(json, "leastBaseCommand", slowest.map(SpeedFloor::baseCommand));
        ArrayNode calm = json.putArray("stable");
        for (StableSpan span : report.calm()) {
            calm.addObject()
                    .put("fromKp", span.fromKp())
                    .put("toKp", Double.isInfinite(span.toKp()) ? null : span.toKp());
        }
        Json.print(spec, json);
        return 0;
    }
}
