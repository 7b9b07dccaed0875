package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Against the closed form of what proportional gain alone leaves standing. */
class IntegralTradeTest {
    private final Setup setup = Setups.pair().withLaw(Setups.pair().law().withGains(0.3, 0, 0.6));
    private final LoopModel model = LoopModel.of(setup);
    private final List<IntegralTrade.Row> rows = IntegralTrade.of(setup);

    @Test
    void withoutItAnErrorHasToSteer() {
        double b = setup.robot().drive().effectiveTrackWidthMm();
        double steering = model.speedMmPerS() * IntegralTrade.UNEVEN_SHARE / b / model.turnRatePerCommand();
        double offset = steering / setup.law().kp() / model.slopePerMm();
        assertThat(rows.get(0).ki()).isZero();
        // The curve of the error is straight to a tenth over so few mm.
        assertThat(rows.get(0).unevenMm()).isCloseTo(offset, within(0.1 * offset));

        double radius = setup.line().tightestRadiusMm();
        double axle = Math.sqrt(radius * radius - setup.leadMm() * setup.leadMm());
        double bend = model.speedMmPerS()
                / axle
                / model.turnRatePerCommand()
                / setup.law().kp()
                / model.slopePerMm();
        assertThat(rows.get(0).bendMm()).isCloseTo(bend, within(0.15 * bend));
    }

    @Test
    void itBuysNearnessAndCostsRoomAndASwing() {
        IntegralTrade.Row none = rows.get(0);
        IntegralTrade.Row some = rows.get(2);
        assertThat(some.unevenMm()).isLessThan(0.35 * none.unevenMm());
        assertThat(some.bendMm()).isLessThan(0.7 * none.bendMm());
        assertThat(some.margin()).isLessThan(none.margin());
        IntegralTrade.Row much = rows.get(rows.size() - 1);
        assertThat(much.swingMm()).isGreaterThan(none.swingMm() + 0.5);
    }

    @Test
    void theRoomWithoutItIsThatOfTheOnset() {
        double onset = WiggleOnset.along(new SampledLoop(model), GainRay.ratio(2))
                .orElseThrow()
                .kp();
        // Halved ten times from steps of a tenth.
        assertThat(rows.get(0).margin()).isCloseTo(onset / 0.3, within(0.001 * onset / 0.3));
    }

    @Test
    void theSetupsOwnIsAmongThem() {
        Setup own = setup.withLaw(setup.law().withGains(0.3, 0.0123, 0.6));
        assertThat(IntegralTrade.of(own)).anyMatch(row -> row.ki() == 0.0123).hasSize(7);
    }
}
