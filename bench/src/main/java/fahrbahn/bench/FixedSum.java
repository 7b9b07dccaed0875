package fahrbahn.bench;

/** The yardstick of a minute: a sum that two threads work out, always the same. */
final class FixedSum {
    private static final int TERMS = 12_000_000;
    private static final int WARM_UP = 3;

    private FixedSum() {}

    /** Of the latest of some rounds, for the first ones are compiled meanwhile. */
    static double milliseconds() throws InterruptedException {
        double latest = 0;
        for (int i = 0; i <= WARM_UP; i++) {
            long start = System.nanoTime();
            Thread other = new Thread(FixedSum::sum);
            other.start();
            sum();
            other.join();
            latest = (System.nanoTime() - start) / 1e6;
        }
        return latest;
    }

    private static double sum() {
        double sum = 0;
        for (int i = 1; i <= TERMS; i++) {
            sum += Math.sqrt(i) / (1 + sum * 1e-9);
        }
        if (sum < 0) {
            throw new IllegalStateException("never");
        }
        return sum;
    }
}
