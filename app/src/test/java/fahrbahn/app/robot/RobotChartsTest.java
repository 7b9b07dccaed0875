package fahrbahn.app.robot;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.chart.FreeLabels;
import fahrbahn.app.club.RobotKind;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The charts of the layout page, as small as they get, for every kind of robot. */
class RobotChartsTest {
    @ParameterizedTest
    @EnumSource(RobotKind.class)
    void theirLabelsLieFree(RobotKind kind) {
        Setup setup = kind.setup("Wren");
        RobotInsight is = RobotInsight.of(setup);
        LeadChart lead = new LeadChart(
                is.leastLeadPerSpeedS(),
                is.leadMm(),
                setup.speedMmPerS(),
                setup.robot().drive().freeSpeedMmPerS());
        assertThat(FreeLabels.in(lead, 430, 72)).isEqualTo(2);
        CurveChart curve = new CurveChart(
                is.errors(), is.reachMm(), setup.line().widthMm(), is.features().orElseThrow());
        assertThat(FreeLabels.in(curve, 370, 100)).isGreaterThanOrEqualTo(3);
    }
}
