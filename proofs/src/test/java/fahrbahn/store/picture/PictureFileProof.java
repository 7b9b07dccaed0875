package fahrbahn.store.picture;

/** A picture of a hundred and eight megapixels. */
class PictureFileProof extends PictureFileTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
