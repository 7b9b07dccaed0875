package fahrbahn.app.drive;

import fahrbahn.app.drive.detour.DetourPage;
import fahrbahn.app.drive.log.LogPage;
import fahrbahn.app.drive.run.Laid;
import fahrbahn.app.drive.run.SensorState;
import fahrbahn.app.drive.stopping.StopPage;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.kit.field.ChoiceField;
import java.util.List;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;

/** The twin on its table: one run to see why, many for the odds, two for which is better. */
public final class DriveView {
    private DriveView() {}

    public static StationView of(DriveModel model) {
        return new Pages()
                .with(DriveModel.REPLAY, () -> replay(model))
                .with(DriveModel.MANY, () -> many(model))
                .with("A and B", () -> new TwoPage(model).page())
                .with("Stopping", () -> new StopPage(model.stops()).page())
                .with("Detour", () -> new DetourPage(model.detours()).page())
                .with("Robot log", () -> new LogPage(model.log()).page())
                .view(model.pageProperty());
    }

    private static Pages.Page replay(DriveModel model) {
        Controls one = new Controls(model, "");
        return one.watched(new ReplayPage(model).page(one.row(one.run, one.many, one.stop, one.keep), one.actions()));
    }

    private static Pages.Page many(DriveModel model) {
        Controls all = new Controls(model, "Many");
        List<Action> actions = List.of(all.many, all.stop, all.run);
        return all.watched(new ManyPage(model).page(all.row(all.many, all.stop, all.run), actions));
    }

    /** What starts and stops the twin, and on which table; on two pages alike. */
    private static final class Controls {
        private final DriveModel model;
        private final String suffix;
        private final Action run;
        private final Action keep;
        private final Action many;
        private final Action stop;
        private final ProgressBar progress = new ProgressBar(0);

        /** @param suffix of the identifiers of the second of the two */
        Controls(DriveModel model, String suffix) {
            this.model = model;
            this.suffix = suffix;
            run = new Action("runTwin" + suffix, "Simulate a run", KeyCode.SPACE, () -> {
                model.showPage(DriveModel.REPLAY);
                model.run();
            });
            keep = new Action("keepRun" + suffix, "Keep this run", KeyCode.K, model::keep);
            many = new Action("runMany" + suffix, "Run many", KeyCode.M, () -> {
                model.showPage(DriveModel.MANY);
                model.runMany();
            });
            stop = new Action("stopRun" + suffix, "Stop", KeyCode.S, model::cancel);
            run.button().disableProperty().bind(model.runningProperty());
            many.button().disableProperty().bind(model.runningProperty());
            stop.button().disableProperty().bind(model.runningProperty().not());
            model.driveProperty().addListener(o -> keep.button().setDisable(!model.canKeep()));
            keep.button().setDisable(!model.canKeep());
        }

        /** The page, with its progress followed. */
        Pages.Page watched(Pages.Page page) {
            return new Pages.Page(page.content(), page.actions(), nowNs -> {
                progress.setProgress(model.progress());
                page.frame().accept(nowNs);
            });
        }

        List<Action> actions() {
            return List.of(run, many, stop, keep);
        }

        FlowPane row(Action... shown) {
            ChoiceField<Laid> choice = new ChoiceField<>(
                    "course" + suffix,
                    "course",
                    "Table to simulate: the selected one, or an example course.",
                    model.courses().toArray(Laid[]::new),
                    Laid::name,
                    model::choose);
            choice.show(model.laidProperty().get().orElse(null));
            model.laidProperty()
                    .addListener(o -> choice.offer(
                            model.courses(), model.laidProperty().get().orElse(null)));
            ChoiceField<SensorState> fault = new ChoiceField<>(
                    "fault" + suffix,
                    "sensors",
                    "A sensor that fails in the next runs. Such runs are not kept.",
                    new SensorState[] {SensorState.ALL_WORK},
                    SensorState::words,
                    state -> model.fail(state.failed()));
            Runnable offer = () -> fault.offer(
                    SensorState.of(model.setupNowProperty().get()),
                    new SensorState(model.faultProperty().get()));
            model.faultProperty().addListener(o -> offer.run());
            model.setupNowProperty().addListener(o -> offer.run());
            offer.run();
            progress.setId("driveProgress" + suffix);
            progress.visibleProperty().bind(model.runningProperty());
            FlowPane row = Nodes.flow(choice, fault);
            for (Action action : shown) {
                row.getChildren().add(action.button());
            }
            row.getChildren().add(progress);
            row.getStyleClass().add("by-bottom");
            return row;
        }
    }
}
