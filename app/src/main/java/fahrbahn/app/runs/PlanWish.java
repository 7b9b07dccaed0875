package fahrbahn.app.runs;

import fahrbahn.core.check.Check;

/**
 * What is wanted of a plan.
 *
 * @param minutes there are
 * @param tables there are
 * @param runsEach of each setting
 * @param lapS of a run; NaN for as the log book tells
 * @param resetS between two runs; NaN likewise
 * @param checkS for the sign check and a slow run of each robot
 * @param batteryRuns that a battery lasts; NaN when none is swapped
 * @param swapS how long a swap takes
 * @param lampMinute when the lamps change; NaN when they do not
 */
public record PlanWish(
        double minutes,
        double tables,
        double runsEach,
        double lapS,
        double resetS,
        double checkS,
        double batteryRuns,
        double swapS,
        double lampMinute) {
    static final PlanWish USUAL = new PlanWish(40, 1, 10, Double.NaN, Double.NaN, 60, Double.NaN, 90, Double.NaN);

    public PlanWish {
        Check.positive("minutes", minutes);
        Check.between("minutes", minutes, 0, 1440);
        Check.require(tables == Math.rint(tables), "tables", tables, "a whole number");
        Check.between("tables", tables, 1, 20);
        Check.require(runsEach == Math.rint(runsEach), "runsEach", runsEach, "a whole number");
        Check.between("runsEach", runsEach, 1, 100);
        Check.require(Double.isNaN(lapS) || lapS > 0, "lapS", lapS, "above 0, or empty for as the log book tells");
        Check.require(
                Double.isNaN(resetS) || resetS >= 0, "resetS", resetS, "0 or more, or empty for as the log book tells");
        Check.notNegative("checkS", checkS);
        Check.require(
                Double.isNaN(batteryRuns) || batteryRuns >= 1 && batteryRuns == Math.rint(batteryRuns),
                "batteryRuns",
                batteryRuns,
                "1 or more, or empty when none is swapped");
        Check.notNegative("swapS", swapS);
        Check.require(
                Double.isNaN(lampMinute) || lampMinute >= 0,
                "lampMinute",
                lampMinute,
                "0 or more, or empty when they do not change");
    }

    PlanWish withMinutes(double v) {
        return new PlanWish(v, tables, runsEach, lapS, resetS, checkS, batteryRuns, swapS, lampMinute);
    }

    PlanWish withTables(double v) {
        return new PlanWish(minutes, v, runsEach, lapS, resetS, checkS, batteryRuns, swapS, lampMinute);
    }

    PlanWish withRunsEach(double v) {
        return new PlanWish(minutes, tables, v, lapS, resetS, checkS, batteryRuns, swapS, lampMinute);
    }

    PlanWish withLapS(double v) {
        return new PlanWish(minutes, tables, runsEach, v, resetS, checkS, batteryRuns, swapS, lampMinute);
    }

    PlanWish withResetS(double v) {
        return new PlanWish(minutes, tables, runsEach, lapS, v, checkS, batteryRuns, swapS, lampMinute);
    }

    PlanWish withCheckS(double v) {
        return new PlanWish(minutes, tables, runsEach, lapS, resetS, v, batteryRuns, swapS, lampMinute);
    }

    PlanWish withBatteryRuns(double v) {
        return new PlanWish(minutes, tables, runsEach, lapS, resetS, checkS, v, swapS, lampMinute);
    }

    PlanWish withSwapS(double v) {
        return new PlanWish(minutes, tables, runsEach, lapS, resetS, checkS, batteryRuns, v, lampMinute);
    }

    PlanWish withLampMinute(double v) {
        return new PlanWish(minutes, tables, runsEach, lapS, resetS, checkS, batteryRuns, swapS, v);
    }
}
