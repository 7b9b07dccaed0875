package fahrbahn.headless.kit;

import picocli.CommandLine.Option;

/** The same seed gives the same answer. */
public final class SeedOption {
    @Option(names = "--seed", paramLabel = "S", defaultValue = "1", description = "of what is drawn (1)")
    private long seed;

    public long seed() {
        return seed;
    }
}
