package fahrbahn.app.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.club.RobotKind;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import org.junit.jupiter.api.Test;

class PlaybackTest {
    private static final long FRAME_NS = 16_666_667;

    private final Trace trace = new Trace();
    private final Playback playback;

    PlaybackTest() {
        Twin.run(Track.straight(900, RobotKind.PAIR.setup("Wren")), Start.calm(3), trace);
        playback = new Playback(trace, 0);
    }

    private void frames(int count, long fromNs) {
        for (int i = 0; i < count; i++) {
            playback.frame(fromNs + i * FRAME_NS);
        }
    }

    @Test
    void realSpeedIsTheTimeOfTheFrames() {
        frames(61, 5_000);
        assertThat(playback.atS()).isCloseTo(1, within(1e-6));
        playback.faster(-2);
        assertThat(playback.times()).isEqualTo(0.25);
        frames(60, 5_000 + 61 * FRAME_NS);
        assertThat(playback.atS()).isCloseTo(1.25, within(1e-6));
        playback.faster(9);
        assertThat(playback.times()).isEqualTo(8);
    }

    @Test
    void aWindowThatWasHiddenGoesOnWhereItWas() {
        frames(2, 0);
        playback.frame(3_600_000_000_000L);
        assertThat(playback.atS()).isLessThan(0.3);
    }

    @Test
    void atItsEndItHaltsAndBeginsAnew() {
        playback.seek(1e9);
        assertThat(playback.tick()).isEqualTo(trace.size() - 1);
        assertThat(playback.playing()).isFalse();
        playback.toggle();
        assertThat(playback.tick()).isZero();
        assertThat(playback.playing()).isTrue();
        playback.step(-3);
        assertThat(playback.tick()).isZero();
        playback.step(7);
        assertThat(playback.tick()).isEqualTo(7);
        assertThat(playback.playing()).isFalse();
    }

    @Test
    void aFrameInWhichNothingMovesShowsNothingNew() {
        assertThat(playback.frame(0)).isTrue();
        playback.toggle();
        assertThat(playback.frame(FRAME_NS)).isFalse();
    }
}
