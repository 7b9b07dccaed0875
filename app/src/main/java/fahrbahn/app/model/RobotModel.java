package fahrbahn.app.model;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.setup.Setup;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The numbers of the robot, and whether its sensors look far enough ahead for its speed. */
public final class RobotModel extends StationModel {
    private final SeasonModel season;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<Setup> shown = new ReadOnlyObjectWrapper<>();

    RobotModel(SeasonModel season, Consumer<String> told) {
        this.season = season;
        this.told = told;
        season.setupProperty().addListener(o -> update());
        update();
    }

    /** The setup to show: the coach's own, or the starting guess. */
    public ReadOnlyObjectProperty<Setup> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public SeasonModel season() {
        return season;
    }

    /** Puts words on the notice line. */
    public void tell(String words) {
        told.accept(words);
    }

    private void update() {
        Optional<Setup> known = season.setupProperty().get();
        Setup setup = season.setupOrGuess();
        shown.set(setup);
        if (known.isEmpty()) {
            say(
                    Verdict.open("These numbers are guesses. Type your robot's own, beginning with track width and"
                            + " sensor lead."),
                    Freshness.missing("nothing typed yet"));
        } else {
            say(verdict(setup), Freshness.FRESH);
        }
    }

    private static Verdict verdict(Setup setup) {
        double lead = setup.leadMm();
        double least;
        try {
            least = LoopModel.of(setup).leastLeadMm();
        } catch (BadValueException cannot) { // a target off the edge, sensors that never agree
            return Verdict.stop(cannot.getMessage() + ".");
        }
        String speed = Words.number(setup.speedMmPerS()) + " mm/s";
        if (lead <= least) {
            return Verdict.stop("The sensors sit " + Words.millimetres(lead) + " ahead; at " + speed
                    + " any gain wiggles below " + Words.millimetres(least)
                    + ". Move them forward or lower the base command.");
        }
        double drivable = BendFloor.tightestDrivableRadiusMm(setup);
        if (drivable > setup.line().tightestRadiusMm()) {
            return Verdict.care("At base command " + Words.exact(setup.law().baseCommand())
                    + " a wheel is at its limit in bends tighter than " + Words.millimetres(drivable)
                    + "; the line has "
                    + Words.millimetres(setup.line().tightestRadiusMm()) + ". Lower the base command.");
        }
        String times = Words.number(lead / least, 2);
        if (lead < 2 * least) {
            return Verdict.care("The sensors sit " + Words.millimetres(lead) + " ahead, " + times + " times the "
                    + Words.millimetres(least) + " that " + speed + " needs: it will ride, with little room for gain.");
        }
        return Verdict.good("The sensors sit " + Words.millimetres(lead) + " ahead, " + times + " times the "
                + Words.millimetres(least) + " that " + speed + " needs. Go on to Measure.");
    }
}
