package fahrbahn.core.program;

import static fahrbahn.core.program.ListingBuilder.number;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.ObstacleMove.Found;
import fahrbahn.core.setup.Setup;

/** What a program does about an obstacle, as {@link fahrbahn.core.law.ObstacleRound} does it. */
final class ObstacleListing {
    private static final int DIGITS = 12;

    private final Setup setup;
    private final ObstacleMove move;
    private final ListingBuilder to;
    private final ReadListing read;
    private final int input;
    private final Countdown phase;

    /** @param input place of the feeler's reading */
    ObstacleListing(Setup setup, ObstacleMove move, ListingBuilder to, ReadListing read, int input) {
        this.setup = setup;
        this.move = move;
        this.to = to;
        this.read = read;
        this.input = input;
        this.phase = new Countdown(to, "o_count", "O_SPEED");
    }

    void write() {
        to.note("An obstacle, by phases: 0 follows, 1 backs off, 2 turns, 3 goes round, 4 goes on, 5 turns back");
        to.state("o_phase", 0);
        to.state("o_count", 0);
        to.state("o_clear", 0);
        constants();
        to.set("o_sees", "0");
        for (int i = 0; i < setup.lawSensors().size(); i++) {
            to.when(
                    read.share(i) + " >= " + number(setup.law().options().lost().seenShare()),
                    () -> to.set("o_sees", "1"));
        }
        String reading = "readings[" + input + "]";
        boolean distance = move.feeler().found() == Found.DISTANCE;
        to.set("o_before", "o_phase");
        to.when("o_before == 0 and " + reading + (distance ? " <= " : " >= ") + "O_AT", () -> begin(1, "O_BACK"));
        to.when("o_before == 1", () -> phase.over(move.back(), () -> begin(2, "O_TURN")));
        to.when(
                "o_before == 2",
                () -> phase.over(move.turn(), () -> {
                    begin(3, "O_MOST");
                    to.set("o_clear", "0");
                }));
        to.when("o_before == 3", this::round);
        to.when("o_before == 4", () -> phase.over(move.on(), () -> begin(5, "O_STRAIGHTEN")));
        to.when("o_before == 5", () -> phase.over(move.straighten(), () -> to.set("o_phase", "0")));
        drive();
    }

    private void round() {
        phase.run(move.arc().most());
        to.when("o_sees == 0", () -> to.set("o_clear", "1"));
        to.when(
                "o_clear == 1 and o_sees == 1",
                () -> begin(4, "O_ON"),
                () -> to.when("o_count <= 0", () -> to.set("o_phase", "0")));
    }

    private void begin(int phase, String count) {
        to.set("o_phase", String.valueOf(phase));
        to.set("o_count", count);
    }

    private void constants() {
        String found = move.feeler().found() == Found.DISTANCE ? "mm, an obstacle is so near" : "the bumper is closed";
        to.obstacleConstant("O_SPEED", Rounding.significant(setup.speedMmPerS(), DIGITS), "mm/s at the base speed");
        to.obstacleConstant("O_AT", move.at(), found);
        extent("O_BACK", move.back(), "straight back from an obstacle");
        extent("O_TURN", move.turn(), "turn away from it");
        to.obstacleConstant("O_SPIN", move.turnCommand(), "command of both wheels in that turn");
        to.obstacleConstant("O_OUTSIDE", move.arc().outside(), "command of the outer wheel round it");
        to.obstacleConstant("O_INSIDE", move.arc().inside(), "command of the inner wheel round it");
        extent("O_MOST", move.arc().most(), "longest way round");
        extent("O_ON", move.on(), "on over the line");
        extent("O_STRAIGHTEN", move.straighten(), "turn back along the line");
    }

    private void extent(String name, Extent extent, String words) {
        to.obstacleConstant(name, extent.amount(), extent.unit().word() + " " + words);
    }

    private void drive() {
        boolean inner = setup.robot().drive().mixing() == Mixing.INNER_WHEEL;
        String away = move.way() > 0 ? "" : "-";
        String back = move.way() > 0 ? "-" : "";
        String spin =
                inner ? number(Mixing.INNER_WHEEL.steeringLimit(setup.robot().drive())) : "O_SPIN";
        to.set("o_steering", "0");
        to.set("o_base", "BASE");
        to.when("o_phase == 1", () -> to.set("o_base", "-BASE"));
        to.when("o_phase == 2 or o_phase == 5", () -> {
            to.set("o_steering", away + spin);
            to.set("o_base", inner ? "O_SPIN" : "0");
        });
        to.when("o_phase == 3", () -> {
            to.set("o_steering", back + (inner ? "50 * (1 - O_INSIDE / O_OUTSIDE)" : "((O_OUTSIDE - O_INSIDE) / 2)"));
            to.set("o_base", inner ? "O_OUTSIDE" : "(O_OUTSIDE + O_INSIDE) / 2");
        });
    }
}
