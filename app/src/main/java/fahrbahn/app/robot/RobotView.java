package fahrbahn.app.robot;

import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.robot.bench.BenchPage;

/** The robot: its layout, bench measurements, and how well its numbers are known. */
public final class RobotView {
    private RobotView() {}

    public static StationView of(RobotModel model) {
        return new Pages()
                .with("Layout", () -> new LayoutPage(model).page())
                .with("Numbers", () -> new RobotForm(model).page())
                .with("Bench", () -> new BenchPage(model.bench()).page())
                .with("Guesses", () -> new GuessPage(model).page())
                .view(model.pageProperty());
    }
}
