package fahrbahn.store;

import fahrbahn.core.knowledge.Setting;

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
