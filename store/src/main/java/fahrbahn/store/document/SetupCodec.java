package fahrbahn.store.document;

import fahrbahn.core.setup.Setup;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.json.Shared;

/** The setup of a robot: the user's own document, whose unknown fields are kept. */
final class SetupCodec implements Codec<Setup> {
    @Override
    public String write(Setup value, Shared shared) {
        return SetupJson.write(value);
    }

    @Override
    public Setup read(String id, String json, Shared shared) throws BadFileException {
        return SetupJson.parse(json);
    }

    @Override
    public String writeOver(String before, Setup value, Shared shared) throws BadFileException {
        return SetupJson.writeOver(before, value);
    }
}
