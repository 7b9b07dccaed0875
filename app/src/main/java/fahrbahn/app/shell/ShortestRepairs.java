package fahrbahn.app.shell;

import fahrbahn.app.freshness.Freshness.Repair;
import fahrbahn.app.freshness.Repairs;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.robot.bench.BenchCard;
import fahrbahn.core.knowledge.Constant;

/** What mends what: the button's words, the station, and the deed itself. */
final class ShortestRepairs implements Repairs {
    private final Workshop workshop;

    ShortestRepairs(Workshop workshop) {
        this.workshop = workshop;
    }

    @Override
    public Repair measure(Constant constant, boolean again) {
        BenchCard card = BenchCard.measuring(constant);
        return new Repair(
                "measure the " + constant.word() + (again ? " again: " : ": ") + card.title(), Station.ROBOT, () -> {
                    workshop.robot().bench().show(card);
                    workshop.robot().showPage("Bench");
                });
    }

    @Override
    public Repair typeRobot() {
        return new Repair(
                "type your robot's numbers",
                Station.ROBOT,
                () -> workshop.robot().showPage("Numbers"));
    }

    @Override
    public Repair lightLampsAgain() {
        return new Repair(
                "switch the lamps on again (O)",
                Station.MEASURE,
                () -> workshop.measure().circumstances().switchLamps());
    }

    @Override
    public Repair capture() {
        return new Repair(
                "capture light and dark (L, D)",
                Station.MEASURE,
                () -> workshop.measure().showPage("Capture"));
    }

    @Override
    public Repair useLevels() {
        return new Repair(
                "use these thresholds on the robot",
                Station.LEVELS,
                () -> workshop.levels().useOnRobot());
    }

    @Override
    public Repair useGains() {
        return new Repair(
                "use the new gains", Station.GAINS, () -> workshop.gains().useAdvice());
    }

    @Override
    public Repair useRadius() {
        return new Repair("set the robot up for this line", Station.TABLE, () -> {
            if (workshop.season().mat().kept().isPresent()) {
                workshop.table().mat().useRadius();
            } else {
                workshop.table().useRadius();
            }
        });
    }

    @Override
    public Repair driveAgain() {
        return new Repair("drive again", Station.DRIVE, () -> workshop.drive().run());
    }

    @Override
    public Repair handOver() {
        return new Repair(
                "type the marked numbers into the program",
                Station.HANDOVER,
                () -> workshop.handover().showPage("Program"));
    }
}
