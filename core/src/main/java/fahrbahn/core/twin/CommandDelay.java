package fahrbahn.core.twin;

import java.util.Arrays;

/** Commands on their way from the program to the wheels, held back by whole loop periods. Allocates nothing after it is made. */
final class CommandDelay {
    private final int wholePeriods;
    private final double[] left;
    private final double[] right;
    /** Place of the command sent last. */
    private int newest;

    CommandDelay(int wholePeriods, double commandBefore) {
        this.wholePeriods = wholePeriods;
        left = new double[wholePeriods + 2];
        right = new double[wholePeriods + 2];
        Arrays.fill(left, commandBefore);
        Arrays.fill(right, commandBefore);
    }

    int wholePeriods() {
        return wholePeriods;
    }

    void send(double leftCommand, double rightCommand) {
        newest = newest + 1 == left.length ? 0 : newest + 1;
        left[newest] = leftCommand;
        right[newest] = rightCommand;
    }

    /** What arrives in this period. */
    double left() {
        return left[ago(wholePeriods)];
    }

    double right() {
        return right[ago(wholePeriods)];
    }

    /** What arrived in the period before, and still acts at the beginning of this one. */
    double leftBefore() {
        return left[ago(wholePeriods + 1)];
    }

    double rightBefore() {
        return right[ago(wholePeriods + 1)];
    }

    private int ago(int periods) {
        int place = newest - periods;
        return place < 0 ? place + left.length : place;
    }
}
