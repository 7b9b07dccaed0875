package fahrbahn.store.document;

import fahrbahn.core.knowledge.Setting;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.json.Shared;

/** A setup under the identifier its content has. */
final class SettingCodec implements Codec<Setting> {
    @Override
    public String write(Setting value, Shared shared) {
        return SetupJson.write(value.setup());
    }

    @Override
    public Setting read(String id, String json, Shared shared) throws BadFileException {
        Setting setting = new Setting(id, SetupJson.parse(json));
        shared.known(setting);
        return setting;
    }
}
