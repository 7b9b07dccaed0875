package fahrbahn.core.drill;

import static fahrbahn.core.drill.DrillFault.CREASE;
import static fahrbahn.core.drill.DrillFault.FLAT_BATTERY;
import static fahrbahn.core.drill.DrillFault.GLARE;
import static fahrbahn.core.drill.DrillFault.LAG;
import static fahrbahn.core.drill.DrillFault.LEVELS;
import static fahrbahn.core.drill.DrillFault.NO_DAMPING;
import static fahrbahn.core.drill.DrillFault.SATURATED;
import static fahrbahn.core.drill.DrillFault.SLOW_LOOP;
import static fahrbahn.core.drill.DrillFault.SWAPPED;
import static fahrbahn.core.drill.DrillFault.TOO_SHARP;
import static fahrbahn.core.drill.DrillFault.TOO_SOFT;
import static fahrbahn.core.drill.DrillFault.WORN_WHEELS;
import static fahrbahn.core.drill.DrillFault.WRONG_EDGE;

import fahrbahn.core.setup.ErrorSignal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** What one may do next about a robot: it mends one fault, and tempts who mistook another for it. */
public enum Remedy {
    /** Twice both gains. */
    STIFFER(TOO_SOFT, Set.of(TOO_SHARP, NO_DAMPING, LAG, SWAPPED, WRONG_EDGE, LEVELS, WORN_WHEELS, FLAT_BATTERY)),
    /** Half of both gains. */
    SOFTER(
            TOO_SHARP,
            Set.of(TOO_SOFT, LAG, SWAPPED, WRONG_EDGE, LEVELS, GLARE, SLOW_LOOP, WORN_WHEELS, CREASE, SATURATED)),
    /** Kd as twice Kp. */
    DAMPING(NO_DAMPING, Set.of(LAG, GLARE, SLOW_LOOP, WORN_WHEELS, FLAT_BATTERY)),
    /** What is late is looked for: a filter, loose gears, a motor that follows slowly. */
    FIND_THE_LAG(LAG, Set.of(TOO_SHARP, NO_DAMPING, GLARE, SLOW_LOOP, FLAT_BATTERY)),
    /** The plugs of two sensors are changed. */
    CHANGE_PLUGS(SWAPPED, Set.of(TOO_SOFT, LEVELS, WORN_WHEELS)),
    /** Set down on the other edge. */
    OTHER_EDGE(WRONG_EDGE, Set.of(TOO_SOFT, LEVELS, WORN_WHEELS)),
    /** Dark and light captured again and typed. */
    NEW_LEVELS(
            LEVELS,
            Set.of(TOO_SOFT, TOO_SHARP, NO_DAMPING, SWAPPED, WRONG_EDGE, GLARE, WORN_WHEELS, CREASE, SATURATED)),
    /** The lamp that is mirrored is found, the sensors shaded. */
    SHADE(GLARE, Set.of(LEVELS, CREASE)),
    /** What waits is taken out of the loop. */
    QUICKER_LOOP(SLOW_LOOP, Set.of(NO_DAMPING, LAG, FLAT_BATTERY)),
    /** The wheel that pulls less is cleaned or changed. */
    CHANGE_WHEEL(WORN_WHEELS, Set.of(TOO_SOFT, WRONG_EDGE, LEVELS, SLOW_LOOP, FLAT_BATTERY)),
    /** A full battery. */
    CHANGE_BATTERY(
            FLAT_BATTERY,
            Set.of(TOO_SOFT, TOO_SHARP, LAG, SWAPPED, WRONG_EDGE, SLOW_LOOP, WORN_WHEELS, CREASE, SATURATED)),
    /** The mat is smoothed, or captured beside the crease. */
    SMOOTH_MAT(CREASE, Set.of(SATURATED)),
    /** The sensor is held higher, or its lamp turned down. */
    HIGHER(SATURATED, Set.of(CREASE)),
    /** Three quarters of the speed; it mends nothing by itself, and hides much. */
    SLOWER(null, Set.of(TOO_SOFT, TOO_SHARP, SWAPPED, WRONG_EDGE, GLARE));

    private final DrillFault mends;
    private final Set<DrillFault> tempts;

    Remedy(DrillFault mends, Set<DrillFault> tempts) {
        this.mends = mends;
        this.tempts = tempts;
    }

    /** The one that takes a fault away. */
    static Remedy of(DrillFault fault) {
        return Arrays.stream(values()).filter(r -> r.mends == fault).findFirst().orElseThrow();
    }

    /** Its remedy among others that tempt, in an order of chance. @param count of all */
    static List<Remedy> offered(DrillFault fault, ErrorSignal kind, int count, Random random) {
        List<Remedy> others = new ArrayList<>(Arrays.stream(values())
                .filter(r -> r.tempts.contains(fault) && r.suits(kind))
                .toList());
        Collections.shuffle(others, random);
        List<Remedy> all = new ArrayList<>(others.subList(0, count - 1));
        all.add(of(fault));
        Collections.shuffle(all, random);
        return all;
    }

    private boolean suits(ErrorSignal kind) {
        return switch (this) {
            case CHANGE_PLUGS -> kind.straddles();
            case OTHER_EDGE -> kind.tracksEdge();
            default -> true;
        };
    }
}
