package fahrbahn.core.trace;

import fahrbahn.core.law.Controller;
import java.util.Arrays;

/** Every tick of one run, kept for drawing and for saying why. Filled by one thread, then only read. */
public final class Trace implements TickSink {
    /** What is kept of each tick, in this order; readings after them. */
    private enum Field {
        T,
        X,
        Y,
        HEADING,
        OFFSET,
        S,
        ERROR,
        PROPORTIONAL,
        INTEGRAL,
        DERIVATIVE,
        STEERING,
        LEFT_COMMAND,
        RIGHT_COMMAND,
        LEFT_SPEED,
        RIGHT_SPEED,
        DOING,
        MARKS
    }

    private static final int FIELDS = Field.values().length;
    private static final int FIRST_ROOM = 256;
    private static final Controller.Doing[] DOINGS = Controller.Doing.values();
    private static final int LEFT_MARK = 1;
    private static final int RIGHT_MARK = 2;

    private double[] values = new double[0];
    private int sensors;
    private int size;

    @Override
    public void tick(Moment now) {
        if (size == 0) {
            sensors = now.sensors();
        }
        int width = FIELDS + sensors;
        int at = width * size;
        if (at == values.length) {
            values = Arrays.copyOf(values, Math.max(width * FIRST_ROOM, 2 * values.length));
        }
        Controller controller = now.controller();
        put(at, Field.T, now.tS());
        put(at, Field.X, now.xMm());
        put(at, Field.Y, now.yMm());
        put(at, Field.HEADING, now.headingRad());
        put(at, Field.OFFSET, now.offsetMm());
        put(at, Field.S, now.sMm());
        put(at, Field.ERROR, controller.error());
        put(at, Field.PROPORTIONAL, controller.proportional());
        put(at, Field.INTEGRAL, controller.integral());
        put(at, Field.DERIVATIVE, controller.derivative());
        put(at, Field.STEERING, controller.steering());
        put(at, Field.LEFT_COMMAND, now.leftCommand());
        put(at, Field.RIGHT_COMMAND, now.rightCommand());
        put(at, Field.LEFT_SPEED, now.leftMmPerS());
        put(at, Field.RIGHT_SPEED, now.rightMmPerS());
        put(at, Field.DOING, controller.doing().ordinal());
        put(at, Field.MARKS, marks(controller));
        for (int i = 0; i < sensors; i++) {
            values[at + FIELDS + i] = now.reading(i);
        }
        size++;
    }

    private static int marks(Controller controller) {
        return controller.turns() == null
                ? 0
                : (controller.turns().sees(true) ? LEFT_MARK : 0)
                        + (controller.turns().sees(false) ? RIGHT_MARK : 0);
    }

    private void put(int at, Field field, double value) {
        values[at + field.ordinal()] = value;
    }

    private double get(int i, Field field) {
        return values[(FIELDS + sensors) * i + field.ordinal()];
    }

    public int size() {
        return size;
    }

    /** The latest tick at a time or before it; the first before there was any. */
    public int indexAt(double tS) {
        int low = 0;
        int high = size - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (tS(middle) <= tS) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    public double tS(int i) {
        return get(i, Field.T);
    }

    public double xMm(int i) {
        return get(i, Field.X);
    }

    public double yMm(int i) {
        return get(i, Field.Y);
    }

    public double headingRad(int i) {
        return get(i, Field.HEADING);
    }

    /** Of the law's point, to the left of the path it should ride. */
    public double offsetMm(int i) {
        return get(i, Field.OFFSET);
    }

    /** Of the law's point along the path; up to a few ticks old. */
    public double sMm(int i) {
        return get(i, Field.S);
    }

    /** Scale units. */
    public double error(int i) {
        return get(i, Field.ERROR);
    }

    /** Share of the steering that is in proportion to the error; command units, left positive. */
    public double proportional(int i) {
        return get(i, Field.PROPORTIONAL);
    }

    /** Share by the sum of errors. */
    public double integral(int i) {
        return get(i, Field.INTEGRAL);
    }

    /** Share by the change of the error. */
    public double derivative(int i) {
        return get(i, Field.DERIVATIVE);
    }

    /** What the program steers, inside its limit; command units, left positive. */
    public double steering(int i) {
        return get(i, Field.STEERING);
    }

    public double leftCommand(int i) {
        return get(i, Field.LEFT_COMMAND);
    }

    public double rightCommand(int i) {
        return get(i, Field.RIGHT_COMMAND);
    }

    public double leftMmPerS(int i) {
        return get(i, Field.LEFT_SPEED);
    }

    public double rightMmPerS(int i) {
        return get(i, Field.RIGHT_SPEED);
    }

    /** What drove at that tick. */
    public Controller.Doing doing(int i) {
        return DOINGS[(int) get(i, Field.DOING)];
    }

    /** Whether the program saw a turn mark on that side. */
    public boolean sawMark(int i, boolean onLeft) {
        return ((int) get(i, Field.MARKS) & (onLeft ? LEFT_MARK : RIGHT_MARK)) != 0;
    }

    /** The law's sensors, its emergency sensors after them, then the channels of those that look for marks. */
    public int sensors() {
        return sensors;
    }

    /** In the sensor's own numbers. */
    public double reading(int i, int sensor) {
        return values[(FIELDS + sensors) * i + FIELDS + sensor];
    }
}
