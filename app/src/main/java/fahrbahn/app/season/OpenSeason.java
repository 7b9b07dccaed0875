package fahrbahn.app.season;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Ledger;
import fahrbahn.store.season.Scribe;
import fahrbahn.store.season.SeasonFile;
import java.nio.file.Path;
import java.util.concurrent.Executor;

/** A season that has been read and is ready to be worked on. Reading may take a moment: not on the interface thread. */
public record OpenSeason(Ledger ledger, Path path, Saving saving) {
    /** @param writer runs one task after the other, for the season file */
    public static OpenSeason read(SeasonFile file, Executor writer, Executor interfaceThread) throws BadFileException {
        Saving saving = new Saving();
        Ledger ledger = Ledger.open(file, new Scribe.Desk(writer, interfaceThread, saving));
        return new OpenSeason(ledger, file.file(), saving);
    }
}
