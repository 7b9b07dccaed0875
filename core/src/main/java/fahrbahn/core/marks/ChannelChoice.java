package fahrbahn.core.marks;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * How well one channel of a colour sensor tells line from ground, or all three added.
 *
 * @param channel {@link Channel#ALL} where red, green and blue are added
 * @param separation d', contrast over scatter
 * @param plusMinus half its 95 % interval (Hedges and Olkin, Statistical Methods for Meta-Analysis, 1985, p. 86)
 */
public record ChannelChoice(Channel channel, double separation, double plusMinus) {
    private static final double Z = 1.96;

    /** Each channel and their sum, the best first; empty with fewer than two readings of dark or of light. */
    public static List<ChannelChoice> of(List<MarkSample> dark, List<MarkSample> light) {
        if (dark.size() < 2 || light.size() < 2) {
            return List.of();
        }
        Map<Channel, ToDoubleFunction<MarkSample>> readings = new EnumMap<>(Channel.class);
        readings.put(Channel.RED, MarkSample::red);
        readings.put(Channel.GREEN, MarkSample::green);
        readings.put(Channel.BLUE, MarkSample::blue);
        readings.put(Channel.ALL, sample -> sample.red() + sample.green() + sample.blue());
        List<ChannelChoice> choices = new ArrayList<>();
        readings.forEach((channel, reading) -> choices.add(of(
                channel,
                dark.stream().mapToDouble(reading).toArray(),
                light.stream().mapToDouble(reading).toArray())));
        choices.sort(Comparator.comparingDouble(ChannelChoice::separation).reversed());
        return List.copyOf(choices);
    }

    static ChannelChoice of(Channel channel, double[] onDark, double[] onLight) {
        double step = SurfaceStats.smallestStep(onDark, onLight);
        SurfaceStats d = SurfaceStats.of(onDark, step);
        SurfaceStats l = SurfaceStats.of(onLight, step);
        double separation = Math.abs(l.mean() - d.mean()) / Math.sqrt((d.sd() * d.sd() + l.sd() * l.sd()) / 2);
        double n = onDark.length + onLight.length;
        double variance = n / ((double) onDark.length * onLight.length) + separation * separation / (2 * (n - 2));
        return new ChannelChoice(channel, separation, Z * Math.sqrt(variance));
    }

    /** How many times as much the noise counts with this one as with a better one: the ratio of their separations. */
    public double noiseAgainst(ChannelChoice better) {
        return better.separation / separation;
    }

    /** Whether this one is surely the better: their difference lies outside what both leave open. */
    public boolean surelyBetterThan(ChannelChoice other) {
        return separation - other.separation > Math.hypot(plusMinus, other.plusMinus);
    }
}
