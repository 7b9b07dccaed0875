package fahrbahn.core.loop;

/**
 * The plant over a span of time with a constant command, in closed form. With {@code a = exp(-t/tau)}:
 *
 * <pre>
 * omega(t) = a*omega + (1 - a)*G*u
 * theta(t) = theta + tau*(1 - a)*omega + (t - tau*(1 - a))*G*u
 * y(t)     = y + v*t*theta + v*tau*(t - tau*(1 - a))*omega + v*(t*t/2 - tau*(t - tau*(1 - a)))*G*u
 * </pre>
 *
 * @param turnRateKept share of omega still there at the end
 * @param headingPerTurnRate heading gained per omega at the start, s
 * @param offsetPerHeading offset gained per heading at the start, mm
 * @param offsetPerTurnRate offset gained per omega at the start, mm s
 */
record PlantStep(
        double turnRateKept,
        double headingPerTurnRate,
        double offsetPerHeading,
        double offsetPerTurnRate,
        double turnRatePerCommand,
        double headingPerCommand,
        double offsetPerCommand) {
    static PlantStep over(LoopModel model, double spanS) {
        double lagS = model.lagS();
        double speed = model.speedMmPerS();
        double gain = model.turnRatePerCommand();
        double gone = lagS > 0 ? -Math.expm1(-spanS / lagS) : 1;
        double carriedS = lagS * gone;
        double drivenS = spanS - carriedS;
        return new PlantStep(
                1 - gone,
                carriedS,
                speed * spanS,
                speed * lagS * drivenS,
                gain * gone,
                gain * drivenS,
                gain * speed * (spanS * spanS / 2 - lagS * drivenS));
    }
}
