package fahrbahn.app.shell;

import fahrbahn.app.drive.run.Laid;
import fahrbahn.app.freshness.FreshnessInputs;
import java.time.Instant;
import java.util.List;

/** Gathers from all stations what freshness is derived from. */
record FreshnessNow(Workshop workshop) {
    FreshnessInputs at(Instant minute) {
        boolean typed = workshop.season().setup().kept().isPresent();
        return new FreshnessInputs(
                workshop.season().basisNow().withKnown(workshop.robot().known()).withAt(minute),
                new FreshnessInputs.OfRobot(
                        typed,
                        typed ? workshop.season().sensorNames() : List.of(),
                        List.copyOf(workshop.season().facts().values()),
                        workshop.robot().constants().need()),
                new FreshnessInputs.OfTable(
                        workshop.table().problem(),
                        workshop.season().course().kept().isPresent()
                                || workshop.season().mat().kept().isPresent(),
                        workshop.table().tightestRadiusMm()),
                workshop.season().capturesNow(),
                new FreshnessInputs.OfLevels(
                        workshop.season().changes().levelsFrom().kept(),
                        workshop.levels().onRobot()),
                workshop.season().changes().gainsFor().kept(),
                new FreshnessInputs.Driven(
                        workshop.drive().shownBasis(),
                        workshop.drive().laidProperty().get().map(Laid::print).orElseGet(workshop.season()::tableNow)),
                new FreshnessInputs.Handed(
                        workshop.handover().program().handedOver(),
                        workshop.handover().program().toType()),
                workshop.season().runsNow(),
                workshop.season().club().names());
    }
}
