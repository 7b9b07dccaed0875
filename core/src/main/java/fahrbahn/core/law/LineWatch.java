package fahrbahn.core.law;

import fahrbahn.core.response.LineShare;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** Which sensors see the line at all. Allocates nothing while it looks. */
final class LineWatch {
    private final LineShare lineShare;
    private final int following;
    private final boolean outer;
    private final double seenShare;
    private int seeing;
    private int outerSide;
    private final double enterShare;
    private final double leaveShare;
    private boolean leftMet;
    private boolean rightMet;

    LineWatch(Setup setup) {
        List<Sensor> all = new ArrayList<>(setup.lawSensors());
        following = all.size();
        all.addAll(setup.outerSensors());
        outer = all.size() > following;
        lineShare = new LineShare(setup, all);
        seenShare = setup.law().options().lost().seenShare();
        enterShare =
                setup.law().options().outer().map(Options.Outer::enterShare).orElse(seenShare);
        leaveShare =
                setup.law().options().outer().map(Options.Outer::leaveShare).orElse(seenShare);
    }

    void reset() {
        leftMet = false;
        rightMet = false;
    }

    void look(double[] scaled) {
        seeing = 0;
        for (int i = 0; i < following; i++) {
            seeing += sees(scaled, i) ? 1 : 0;
        }
        outerSide = 0;
        if (outer) {
            leftMet = lineShare.of(following, scaled[following]) >= (leftMet ? leaveShare : enterShare);
            rightMet = lineShare.of(following + 1, scaled[following + 1]) >= (rightMet ? leaveShare : enterShare);
            outerSide = (leftMet ? 1 : 0) - (rightMet ? 1 : 0);
        }
    }

    private boolean sees(double[] scaled, int i) {
        return lineShare.of(i, scaled[i]) >= seenShare;
    }

    /** Some sensor of the law sees the line. */
    boolean seen() {
        return seeing > 0;
    }

    /** All of two or more sensors see the line at once. */
    boolean crossing() {
        return following > 1 && seeing == following;
    }

    /** +1 when only the left emergency sensor sees the line, -1 when only the right one does, else 0. */
    int outerSide() {
        return outerSide;
    }
}
