package fahrbahn.core.maps;

import java.util.Arrays;

/**
 * A map as far as it is known. A cell that has not been driven yet shows its coarser neighbour.
 *
 * @param x axis of the columns
 * @param y axis of the rows, the first row lowest
 * @param stride every so many-th cell of both axes has been driven; 1 when complete
 * @param completedShare of the runs of each cell, row by row
 * @param rmsMm root mean square over the completed runs of each cell; NaN where none completed
 * @param timeS mean time of the completed runs; NaN where none completed
 * @param reversalsPerM mean changes of steering side per metre of the completed runs; NaN where none completed
 */
public record MapPicture(
        Axis x,
        Axis y,
        int stride,
        int runsPerCell,
        float[] completedShare,
        float[] rmsMm,
        float[] timeS,
        float[] reversalsPerM) {
    public MapPicture {
        completedShare = completedShare.clone();
        rmsMm = rmsMm.clone();
        timeS = timeS.clone();
        reversalsPerM = reversalsPerM.clone();
    }

    public double completedShare(int column, int row) {
        return completedShare[row * x.cells() + column];
    }

    public double rmsMm(int column, int row) {
        return rmsMm[row * x.cells() + column];
    }

    public double timeS(int column, int row) {
        return timeS[row * x.cells() + column];
    }

    public double reversalsPerM(int column, int row) {
        return reversalsPerM[row * x.cells() + column];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof MapPicture that
                && x.equals(that.x)
                && y.equals(that.y)
                && stride == that.stride
                && runsPerCell == that.runsPerCell
                && Arrays.equals(completedShare, that.completedShare)
                && Arrays.equals(rmsMm, that.rmsMm)
                && Arrays.equals(timeS, that.timeS)
                && Arrays.equals(reversalsPerM, that.reversalsPerM);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(completedShare) + Arrays.hashCode(rmsMm);
    }

    @Override
    public String toString() {
        return "map of " + x.cells() + " x " + y.cells() + " cells, stride " + stride + ", " + runsPerCell
                + " runs each";
    }
}
