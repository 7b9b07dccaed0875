package fahrbahn.app.shell;

/** Every page at four sizes of the window, with usual and with large letters. */
class LayoutProof extends LayoutTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
