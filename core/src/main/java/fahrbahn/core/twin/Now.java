package fahrbahn.core.twin;

import fahrbahn.core.law.Controller;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.trace.Moment;

/** The robot of a run as its witness is told of it. */
final class Now implements Moment {
    private final Drive drive;
    private final Body body;
    private final SensorHead head;
    private final Controller controller;
    private double tS;
    private double offsetMm;
    private double sMm;

    Now(Drive drive, Body body, SensorHead head, Controller controller) {
        this.drive = drive;
        this.body = body;
        this.head = head;
        this.controller = controller;
    }

    void is(double newTimeS, double newOffsetMm, double newSMm) {
        tS = newTimeS;
        offsetMm = newOffsetMm;
        sMm = newSMm;
    }

    @Override
    public double tS() {
        return tS;
    }

    @Override
    public double xMm() {
        return body.xMm;
    }

    @Override
    public double yMm() {
        return body.yMm;
    }

    @Override
    public double headingRad() {
        return body.headingRad;
    }

    @Override
    public double offsetMm() {
        return offsetMm;
    }

    @Override
    public double sMm() {
        return sMm;
    }

    @Override
    public Controller controller() {
        return controller;
    }

    @Override
    public double leftCommand() {
        return command(controller.steering());
    }

    @Override
    public double rightCommand() {
        return command(-controller.steering());
    }

    private double command(double steering) {
        double command = drive.mixing().leftCommand(controller.baseCommand(), steering);
        return Math.max(drive.leastCommand(), Math.min(drive.fullCommand(), command));
    }

    @Override
    public double leftMmPerS() {
        return body.wheelMmPerS(-1);
    }

    @Override
    public double rightMmPerS() {
        return body.wheelMmPerS(1);
    }

    @Override
    public int sensors() {
        return head.sensors();
    }

    @Override
    public double reading(int sensor) {
        return head.reading(sensor);
    }
}
