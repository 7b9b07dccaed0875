package fahrbahn.headless;

/** Five thousand commands with input of every wrong kind. */
class FuzzCommandsProof extends FuzzCommandsTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
