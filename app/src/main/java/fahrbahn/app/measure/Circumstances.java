package fahrbahn.app.measure;

import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;

/** Where and with what the team measures now. */
public final class Circumstances {
    private final Season season;
    private final LiveModel live;

    Circumstances(Season season, LiveModel live) {
        this.season = season;
        this.live = live;
    }

    /** Notes that the sensors' lamps are switched, and asks the robot to switch them if it can. */
    public void switchLamps() {
        Lamp next = season.conditionsProperty().get().lamp() == Lamp.ON ? Lamp.OFF : Lamp.ON;
        live.send("lamp " + next.word());
        season.changeConditions(c -> c.withLamp(next));
    }

    /** Where and with what the team works now. */
    public ReadOnlyObjectProperty<Conditions> conditionsProperty() {
        return season.conditionsProperty();
    }

    /** Notes another of these circumstances; the same as before is no change. */
    public void note(UnaryOperator<Conditions> change) {
        season.changeConditions(change);
    }

    public void setSensorHeightMm(double heightMm) {
        season.changeSetup(
                s -> s.withRobot(s.robot().withChassis(s.robot().chassis().withSensorHeightMm(heightMm))));
    }

    /** What a venue is called. */
    public String venueName(String id) {
        return season.club().venueName(id);
    }

    /** Takes the venue of this name in hand; one of a new name is added to the club. */
    public void goTo(String venueName) {
        if (!venueName.strip().equals(venueName(conditionsProperty().get().venue()))) {
            season.club().goTo(venueName);
        }
    }
}
