package fahrbahn.core.mat;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Path;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.setup.Line;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Relief;

/** A mat whose line has been followed: flat, and ridden as it is printed. */
public record TracedMat(Mat mat, Traced line) implements Ground {
    @Override
    public String name() {
        return mat.name();
    }

    @Override
    public double widthMm() {
        return mat.widthMm();
    }

    @Override
    public double heightMm() {
        return mat.heightMm();
    }

    @Override
    public Raster painted(Line set, Channel channel, double cellMm) {
        return mat.painted(set, channel, cellMm);
    }

    @Override
    public Path path() {
        return Path.through(line.points(), line.closed());
    }

    @Override
    public Relief relief() {
        return Relief.of(path());
    }

    @Override
    public boolean closed() {
        return line.closed();
    }

    @Override
    public double tightestRadiusMm() {
        return line.tightestRadiusMm();
    }
}
