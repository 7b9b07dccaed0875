package fahrbahn.core.program;

import static fahrbahn.core.program.ListingBuilder.NEVER;
import static fahrbahn.core.program.ListingBuilder.number;

import fahrbahn.core.law.Program;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.LostLine.Action;
import fahrbahn.core.setup.Setup;

/** What goes before a law: emergency sensors, blanking after a crossing, the rule for a lost line. */
final class ReflexListing {
    private final Setup setup;
    private final Options options;
    private final ListingBuilder to;
    private final ReadListing read;
    private final int following;
    private final int outer;
    private final double sign;

    ReflexListing(Setup setup, ListingBuilder to, ReadListing read) {
        this.setup = setup;
        this.options = setup.law().options();
        this.to = to;
        this.read = read;
        following = setup.lawSensors().size();
        outer = setup.outerSensors().size();
        sign = Program.steerSign(setup);
    }

    void write() {
        Options.LostLine lost = options.lost();
        double blankS = options.limits().blankS();
        boolean stops = options.limits().stopsOnAll() && following > 1;
        if (outer == 0 && lost.action() == Action.NONE && blankS == 0 && !stops) {
            return;
        }
        to.note("What goes before the law");
        to.state("last_seen", 0);
        to.state("blank_left", 0);
        to.set("seeing", "0");
        for (int i = 0; i < following; i++) {
            to.when(read.share(i) + " >= " + number(lost.seenShare()), () -> to.set("seeing", "seeing + 1"));
        }
        if (stops) {
            to.state("stopped", 0);
            boolean pattern = !setup.law().signal().hasError();
            String all = pattern ? "pattern == " + ((1 << following) - 1) : "seeing == " + following;
            to.when(all, () -> to.set("stopped", "1"));
        }
        options.outer().ifPresent(this::emergency);
        to.set("blank_left", "blank_left - seconds");
        if (blankS > 0 && following > 1) {
            String blank = to.constant("BLANK", blankS, "seconds straight on after a crossing");
            to.when("seeing == " + following, () -> to.set("blank_left", blank));
        }
        Runnable unlessEmergency =
                outer == 0 ? () -> follow(lost) : () -> to.when("side != 0", this::steerToSide, () -> follow(lost));
        to.when("blank_left > 0", () -> to.set("wanted", "0"), unlessEmergency);
    }

    private void emergency(Options.Outer emergency) {
        String enter = to.constant("ENTER", emergency.enterShare(), "an emergency sensor has met the line");
        String leave = to.constant("LEAVE", emergency.leaveShare(), "and has left it again below");
        int at = following;
        for (int i = 0; i < outer; i++) {
            String met = i == 0 ? "left_met" : "right_met";
            to.state(met, 0);
            to.set("edge", enter);
            to.when(met + " == 1", () -> to.set("edge", leave));
            String share = read.share(at + i);
            to.when(share + " >= edge", () -> to.set(met, "1"), () -> to.set(met, "0"));
        }
        to.set("side", "left_met - right_met");
    }

    private void steerToSide() {
        double steering = options.outer().orElseThrow().steering();
        to.set("last_seen", "side * " + number(sign) + " * " + NEVER);
        to.set("wanted", "side * " + number(steering));
    }

    private void follow(Options.LostLine lost) {
        if (lost.action() == Action.NONE) {
            remember();
        } else {
            to.when("seeing > 0", this::remember, () -> lost(lost));
        }
    }

    /** On which side the line is, should it be lost now. */
    private void remember() {
        if (setup.law().signal().hasError()) {
            to.set("last_seen", "error");
            return;
        }
        to.set("last_seen", "0");
        to.when("wanted > 0", () -> to.set("last_seen", number(sign) + " * " + NEVER));
        to.when("wanted < 0", () -> to.set("last_seen", number(-sign) + " * " + NEVER));
    }

    private void lost(Options.LostLine lost) {
        to.note("The line is lost");
        to.set("wanted", "0");
        if (lost.action() == Action.STRAIGHT) {
            return;
        }
        String gap = lost.action() == Action.BY_LOSS ? number(lost.gapError()) : "0";
        to.when("last_seen > " + gap, () -> to.set("wanted", number(sign * lost.steering())));
        to.when("last_seen < -" + gap, () -> to.set("wanted", number(-sign * lost.steering())));
    }
}
