package fahrbahn.core.table;

import fahrbahn.core.path.Path;
import fahrbahn.core.raster.TableTop;

/** What a robot can ride: a table top whose line is known all along, from a laid course or a traced mat. */
public interface Ground extends TableTop {
    /** The middle of the line. */
    Path path();

    /** How high the table is along it. */
    Relief relief();

    /** Whether the line leads back to its start. */
    boolean closed();

    /** Radius of the tightest bend, mm; infinite when it has none. Corners have none: they are no bends. */
    double tightestRadiusMm();
}
