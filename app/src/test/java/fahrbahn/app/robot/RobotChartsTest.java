package fahrbahn.app.robot;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.club.RobotKind;
import fahrbahn.app.robot.bench.BenchCard;
import fahrbahn.app.robot.bench.CardSketch;
import fahrbahn.core.setup.Setup;
import fahrbahn.pen.FreeLabels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.RecordingPen;
import java.util.ArrayList;
import java.util.List;
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
                is.curve().orElseThrow().errors(),
                is.curve().orElseThrow().reachMm(),
                setup.line().widthMm(),
                is.curve().orElseThrow().features());
        assertThat(FreeLabels.in(curve, 370, 100)).isGreaterThanOrEqualTo(3);
    }

    /** With large letters, in the narrowest sketch there is. */
    @ParameterizedTest
    @EnumSource(BenchCard.class)
    void theWordsOfASketchStayInsideIt(BenchCard card) {
        List<String> outside = new ArrayList<>();
        Pen large = new RecordingPen() {
            @Override
            public double width(String words) {
                return 8.4 * words.length();
            }

            @Override
            public void text(String ink, String words, double x, double y, Anchor anchor) {
                if (x < 0 || x + width(words) > 300 || y > 170) {
                    outside.add(words);
                }
            }
        };
        CardSketch.draw(card, large, 300, 170, RobotKind.PAIR.setup("Wren"));
        assertThat(outside).isEmpty();
    }
}
