package fahrbahn.store.season;

/** Sixty programs killed while they copy a season. */
class KilledBackupProof extends KilledBackupTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
