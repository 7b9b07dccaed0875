package fahrbahn.core.readings;

/** Twenty thousand scraps of text. */
class ReadingsProof extends ReadingsTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
