package fahrbahn.app.handover.hall;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.core.program.Taken;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import java.util.List;
import java.util.Optional;

/** The few of a program's numbers that another hall changes: levels, and of marks what is another there. */
final class HallNumbers {
    private HallNumbers() {}

    /** @param now as it stands on the robot @param here as it is to be in this hall */
    static List<ProgramConstant> of(Setup now, Setup here, Grain grain) {
        try {
            List<ProgramConstant> old = Taken.of(now, grain).constants();
            return Taken.of(here, grain).constants().stream()
                    .filter(c -> level(c) || c.part() != ProgramConstant.Part.LAW && !old.contains(c))
                    .toList();
        } catch (BadValueException refused) {
            return List.of(); // the verdict says why
        }
    }

    private static boolean level(ProgramConstant constant) {
        String name = constant.name();
        return name.startsWith("DARK") || name.startsWith("LIGHT") || name.equals("TARGET");
    }

    static Setup with(Setup setup, TurnMarks marks) {
        return setup.withLaw(setup.law().withOptions(setup.law().options().withTurnMarks(Optional.of(marks))));
    }
}
