package fahrbahn.core.levels;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.core.setup.Channel;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How well one channel of a colour sensor tells line from ground.
 *
 * @param separation d', contrast over scatter
 * @param plusMinus half its 95 % interval (Hedges and Olkin, Statistical Methods for Meta-Analysis, 1985, p. 86)
 */
public record ChannelChoice(Channel channel, double separation, double plusMinus) {
    private static final double Z = 1.96;

    /** Each channel of a sensor that dark and light were captured in, the best first; empty where there are none. */
    public static List<ChannelChoice> of(Capture dark, Capture light, String sensor) {
        List<ChannelChoice> choices = new ArrayList<>();
        for (Channel channel : List.of(Channel.RED, Channel.GREEN, Channel.BLUE)) {
            String name = ColourColumns.name(sensor, channel);
            double[] onDark = dark.values(name);
            double[] onLight = light.values(name);
            if (onDark.length >= 2 && onLight.length >= 2) {
                choices.add(of(channel, onDark, onLight));
            }
        }
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

    /** Whether this one is surely the better: their difference lies outside what both leave open. */
    public boolean surelyBetterThan(ChannelChoice other) {
        return separation - other.separation > Math.hypot(plusMinus, other.plusMinus);
    }
}
