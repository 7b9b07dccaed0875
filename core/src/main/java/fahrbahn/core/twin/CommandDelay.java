package fahrbahn.core.twin;

import java.util.Arrays;

/** Commands on their way from the program to the wheels, held back by whole loop periods. Allocates nothing after it is made. */
final class CommandDelay {
    private final int wholePeriods;
    /** Left and right in turn. */
    private final double[] sent;
    /** Place of the command sent last. */
    private int newest;

    private int arriving;
    private int before;

    CommandDelay(int wholePeriods, double commandBefore) {
        this.wholePeriods = wholePeriods;
        sent = new double[2 * (wholePeriods + 2)];
        Arrays.fill(sent, commandBefore);
    }

    int wholePeriods() {
        return wholePeriods;
    }

    void send(double leftCommand, double rightCommand) {
        newest = newest + 2 == sent.length ? 0 : newest + 2;
        sent[newest] = leftCommand;
        sent[newest + 1] = rightCommand;
        arriving = ago(2 * wholePeriods);
        before = ago(2 * wholePeriods + 2);
    }

    /** What arrives in this period. */
    double left() {
        return sent[arriving];
    }

    double right() {
        return sent[arriving + 1];
    }

    /** What arrived in the period before, and still acts at the beginning of this one. */
    double leftBefore() {
        return sent[before];
    }

    double rightBefore() {
        return sent[before + 1];
    }

    private int ago(int places) {
        int place = newest - places;
        return place < 0 ? place + sent.length : place;
    }
}
