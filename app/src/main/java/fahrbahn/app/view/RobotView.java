package fahrbahn.app.view;

import fahrbahn.app.model.RobotModel;
import java.util.List;

/** The robot: its layout, bench measurements, and how well its numbers are known. */
final class RobotView {
    private RobotView() {}

    static StationView of(RobotModel model) {
        return new Pages(List.of(
                        new LayoutPage(model).page(),
                        new RobotForm(model).page(),
                        new BenchPage(model.bench()).page(),
                        new GuessPage(model).page()))
                .view();
    }
}
