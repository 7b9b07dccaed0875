package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.runlog.LogFaults;
import fahrbahn.core.runlog.LogFigures;
import fahrbahn.core.runlog.LogFit;
import fahrbahn.core.runlog.OnTheWay;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.runlog.Wiggle;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.store.exchange.LogFile;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "runlog", description = "What a robot's own log of a run tells.")
final class RunLogCommand extends JsonCommand {
    @Parameters(paramLabel = "LOG.csv")
    private Path logFile;

    @Option(names = "--setup", paramLabel = "SETUP.json", description = "what the robot was set to: faults and a fit")
    private Path setupFile;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Optional<Setup> setup = setupFile == null ? Optional.empty() : Optional.of(SetupJson.read(setupFile));
        List<String> sensors = setup.stream()
                .flatMap(s -> s.robot().sensors().stream())
                .map(Sensor::name)
                .toList();
        RunLog log = LogFile.read(logFile, sensors);
        LogFigures figures =
                setup.map(s -> LogFigures.of(log, s.robot().drive())).orElseGet(() -> LogFigures.of(log));
        ObjectNode json = Json.object();
        json.put("ticks", log.size());
        json.putObject("loopPeriodS")
                .put("mean", figures.loopPeriodS().mean())
                .put("sd", figures.loopPeriodS().sd());
        Json.put(json, "wigglePeriodS", figures.wiggle().map(Wiggle::periodS));
        Json.put(json, "wiggleAmplitude", figures.wiggle().map(Wiggle::amplitude));
        Json.put(json, "meanError", figures.meanError());
        Json.put(json, "saturatedShare", figures.saturatedShare());
        ArrayNode missing = json.putArray("missing");
        log.missing().forEach(missing::add);
        setup.ifPresent(s -> {
            OnTheWay way = OnTheWay.of(log, s);
            ArrayNode lost = json.putArray("lost");
            way.lost()
                    .orElse(List.of())
                    .forEach(place -> lost.addObject().put("atS", place.atS()).put("lengthS", place.lengthS()));
            Json.put(json, "straightSteering", way.straightSteering());
            Optional<LogFit> fit = LogFit.of(log, s);
            ArrayNode faults = json.putArray("faults");
            LogFaults.of(log, s, figures, fit)
                    .forEach(found -> faults.addObject()
                            .put("fault", found.fault().word())
                            .put("evidence", found.evidence()));
            fit.ifPresentOrElse(told -> fit(json.putObject("fit"), told), () -> json.putNull("fit"));
        });
        return json;
    }

    private static void fit(ObjectNode json, LogFit fit) {
        told(json, "lagS", fit.lagS());
        told(json, "delayS", fit.delayS());
        told(json, "speedMmPerS", fit.speedMmPerS());
        told(json, "slopeShare", fit.slopeShare());
        told(json, "effectS", fit.effectS());
    }

    private static void told(ObjectNode json, String name, LogFit.Told told) {
        Json.put(json.putObject(name), "value", told.value());
        Json.put((ObjectNode) json.get(name), "sd", told.sd());
    }
}
