package fahrbahn.core.quality;

/**
 * Two sensors over the same paper: as they report it, and when each is scaled by its own dark and light.
 *
 * @param rawOnLight second less first on light, in the sensors' numbers
 * @param rawOnDark second less first on dark
 * @param rawPercent the larger of the two, in percent of the first's contrast: the error two unscaled sensors show over nothing
 * @param noisePercent scatter of the difference of the two when scaled, percent: what scaling cannot take away
 */
public record Agreement(
        String first, String second, double rawOnLight, double rawOnDark, double rawPercent, double noisePercent) {
    public static Agreement of(SurfacePair first, SurfacePair second) {
        double onLight = second.light().mean() - first.light().mean();
        double onDark = second.dark().mean() - first.dark().mean();
        return new Agreement(
                first.sensor(),
                second.sensor(),
                onLight,
                onDark,
                100 * Math.max(Math.abs(onLight), Math.abs(onDark)) / first.contrast(),
                100 * Math.hypot(first.noise() / first.contrast(), second.noise() / second.contrast()));
    }

    /**
     * How far the two, scaled, differ on a third surface, percent of the way from dark to light: by their optics, height or spot.
     *
     * @param firstReading mean of the first on that surface
     */
    public static double scaledPercent(
            SurfacePair first, double firstReading, SurfacePair second, double secondReading) {
        return 100 * (second.scaled(secondReading) - first.scaled(firstReading));
    }
}
