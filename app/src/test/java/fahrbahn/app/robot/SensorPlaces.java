package fahrbahn.app.robot;

import javafx.geometry.Point2D;
import javafx.scene.Node;

/** Where the robot's picture draws its sensors, for tests that point at them. */
public final class SensorPlaces {
    private final TopView view;

    public SensorPlaces(Node topView) {
        view = (TopView) topView;
    }

    public Point2D onScreen(int sensor) {
        return view.localToScreen(view.place(sensor));
    }
}
