package fahrbahn.core.trials;

import fahrbahn.core.check.Check;

/**
 * One run as the statistics see it. Measures nobody took are NaN.
 *
 * @param setting name of the setting it was run with
 * @param timeS above 0, or NaN
 * @param alongMm where it stopped along the line, from the place it should stop
 * @param acrossMm the same across the line, left positive
 */
public record Trial(String setting, boolean completed, double timeS, double alongMm, double acrossMm) {
    public Trial {
        Check.text("setting", setting, "the name of a setting");
        if (!Double.isNaN(timeS)) {
            Check.positive("timeS", timeS);
        }
        Check.require(!Double.isInfinite(alongMm), "alongMm", alongMm, "a finite number, or left empty");
        Check.require(!Double.isInfinite(acrossMm), "acrossMm", acrossMm, "a finite number, or left empty");
    }
}
