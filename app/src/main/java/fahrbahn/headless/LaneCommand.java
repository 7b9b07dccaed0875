package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.loop.SpeedFloor;
import fahrbahn.core.loop.StableSpan;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Setup;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SetupFile;
import fahrbahn.store.file.BadFileException;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(name = "lane", description = "Where a setup is between bend minimum and wiggle limit.")
final class LaneCommand extends JsonCommand {
    @Mixin
    private SetupFile setupFile;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Setup setup = setupFile.read();
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
        return json;
    }
}
