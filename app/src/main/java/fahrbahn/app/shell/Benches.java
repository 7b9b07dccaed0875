package fahrbahn.app.shell;

import fahrbahn.app.club.ClubPage;
import fahrbahn.app.drive.DriveView;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.gains.GainsView;
import fahrbahn.app.handover.HandoverView;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.levels.LevelsView;
import fahrbahn.app.measure.MeasureView;
import fahrbahn.app.robot.RobotView;
import fahrbahn.app.runs.RunsView;
import fahrbahn.app.table.TableView;
import java.util.EnumMap;
import java.util.Map;

/** The benches of the stations and the club's, each built when somebody goes there first. */
final class Benches {
    private final Workshop workshop;
    private final Runnable turned;
    private final Map<Station, StationView> views = new EnumMap<>(Station.class);
    private StationView club;

    /** @param turned called when another page of a station is turned to */
    Benches(Workshop workshop, Runnable turned) {
        this.workshop = workshop;
        this.turned = turned;
    }

    /** The bench of a station, built when somebody goes there first. */
    StationView view(Station station) {
        StationView there = views.get(station);
        if (there != null) {
            return there;
        }
        StationView built = switch (station) {
            case ROBOT -> RobotView.of(workshop.robot());
            case TABLE -> TableView.of(workshop.table());
            case MEASURE -> MeasureView.of(workshop.measure());
            case LEVELS -> LevelsView.of(workshop.levels());
            case GAINS -> GainsView.of(workshop.gains());
            case DRIVE -> DriveView.of(workshop.drive());
            case RUNS -> RunsView.of(workshop.runs());
            case HANDOVER -> HandoverView.of(workshop.handover());
        };
        built.page().addListener(o -> turned.run());
        views.put(station, built);
        return built;
    }

    /** The club's list, likewise. */
    StationView club(Runnable done) {
        if (club == null) {
            club = ClubPage.of(workshop.club(), done);
        }
        return club;
    }
}
