package fahrbahn.app.robot;

import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import java.util.List;

/** The robot: its layout, bench measurements, and how well its numbers are known. */
public final class RobotView {
    private RobotView() {}

    public static StationView of(RobotModel model) {
        return new Pages(List.of(
                        new LayoutPage(model).page(),
                        new RobotForm(model).page(),
                        new BenchPage(model.bench()).page(),
                        new GuessPage(model).page()))
                .view(model.pageProperty());
    }
}
