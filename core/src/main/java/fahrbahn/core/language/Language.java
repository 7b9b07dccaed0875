package fahrbahn.core.language;

import fahrbahn.core.program.LawListing;
import fahrbahn.core.program.Listing;
import fahrbahn.core.setup.Setup;
import java.util.function.Function;

/** A language in which a law is written down. */
public enum Language {
    /** A module with {@code reset()} and {@code tick(readings, seconds)}, which gives both commands. */
    PYTHON("python", listing -> new PythonWriter(listing).write()),
    /** A struct {@code Law}. */
    CPP("cpp", listing -> CurlyWriter.cpp(listing).write()),
    /** A class {@code Law}. */
    JAVA("java", listing -> CurlyWriter.java(listing).write()),
    /** Numbered steps in plain words, for programs put together from blocks. */
    BLOCKS("blocks", listing -> new BlocksWriter(listing).write());

    private final String word;
    private final Function<Listing, String> writer;

    Language(String word, Function<Listing, String> writer) {
        this.word = word;
        this.writer = writer;
    }

    /** As commands call it. */
    public String word() {
        return word;
    }

    /**
     * The law of a setup as a program.
     *
     * @throws fahrbahn.core.check.BadValueException when the setup's robot would ride nowhere
     */
    public String program(Setup setup) {
        return writer.apply(LawListing.of(setup));
    }
}
