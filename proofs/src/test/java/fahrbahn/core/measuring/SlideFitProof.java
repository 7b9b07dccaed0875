package fahrbahn.core.measuring;

/** Hundreds of slides of each kind: rulers, uneven hands, discs, rings, sensors that read by a power. */
class SlideFitProof extends SlideFitTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
