package fahrbahn.core.raster;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.setup.Line;

/** What a sensor can look at: a course laid on a table, or a mat from a picture. Equal ones look alike. */
public interface TableTop {
    String name();

    double widthMm();

    double heightMm();

    /**
     * As a point would see it: painted for whoever asks, who may use it up.
     *
     * @param line width and polarity of the line, where the table top does not have its own
     * @param cellMm largest side of a cell, above 0
     */
    Raster painted(Line line, Channel channel, double cellMm);
}
