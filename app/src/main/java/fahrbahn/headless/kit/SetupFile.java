package fahrbahn.headless.kit;

import fahrbahn.core.setup.Setup;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import java.nio.file.Path;
import picocli.CommandLine.Parameters;

/** The setup that a command is about. */
public final class SetupFile {
    @Parameters(index = "0", paramLabel = "SETUP.json")
    private Path file;

    /** @throws BadFileException naming the file, the field, the value and what was expected */
    public Setup read() throws BadFileException {
        return SetupJson.read(file);
    }
}
