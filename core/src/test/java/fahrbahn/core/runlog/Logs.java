package fahrbahn.core.runlog;

import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;

/** Logs as robots write them, from runs of the twin. */
final class Logs {
    private Logs() {}

    /** All columns that a log may have. */
    static RunLog of(Trace trace, Setup setup) {
        int n = trace.size();
        double[] tS = new double[n];
        double[][] readings = new double[setup.lawSensors().size()][n];
        double[][] columns = new double[4][n];
        for (int i = 0; i < n; i++) {
            tS[i] = trace.tS(i);
            for (int k = 0; k < readings.length; k++) {
                readings[k][i] = trace.reading(i, k);
            }
            columns[0][i] = trace.error(i);
            columns[1][i] = trace.steering(i);
            columns[2][i] = trace.leftCommand(i);
            columns[3][i] = trace.rightCommand(i);
        }
        return new RunLog(tS, setup.lawSensors().stream().map(s -> s.name()).toList(), readings, columns);
    }
}
