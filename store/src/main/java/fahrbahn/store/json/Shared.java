package fahrbahn.store.json;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.setup.Setup;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Setups kept once by content and pointed to: each is in the file as soon as a document that points to it is. */
public final class Shared {
    private static final int ID_DIGITS = 20;

    private final Map<String, Setting> settings = new ConcurrentHashMap<>();
    private final Map<Object, Object> alike = new ConcurrentHashMap<>();
    private final Map<String, Setting> unwritten = new ConcurrentHashMap<>();

    /** A setup with its identifier; equal setups have the same. */
    public static Setting setting(Setup setup) {
        return new Setting(print(SetupJson.write(setup)), setup);
    }

    /** Told by the text alone. */
    public static String print(String text) {
        return print(text.getBytes(StandardCharsets.UTF_8));
    }

    public static String print(byte[] content) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(content);
            return HexFormat.of().formatHex(digest).substring(0, ID_DIGITS);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("every Java has SHA-256", missing);
        }
    }

    /** The one instance of values that are alike: ten thousand runs on one table under one lamp hold each once, and are told apart by it. */
    @SuppressWarnings("unchecked")
    public <T> T one(T value) {
        Object before = alike.putIfAbsent(value, value);
        return before == null ? value : (T) before;
    }

    /** Takes one that is in the file already. */
    public void known(Setting setting) {
        settings.put(setting.id(), setting);
    }

    /** Where a document points to. */
    public Setting setting(String id) {
        Setting found = settings.get(id);
        if (found == null) {
            throw new BadValueException("setting", "\"" + id + "\"", "one that is in the season");
        }
        return found;
    }

    /** The one instance of a setting; noted to be written when the file has not got it. */
    public Setting keep(Setting setting) {
        Setting before = settings.putIfAbsent(setting.id(), setting);
        if (before == null) {
            unwritten.put(setting.id(), setting);
        }
        return before == null ? setting : before;
    }

    /** Those the file has not got yet. They stay noted until {@link #written}. */
    public List<Setting> unwritten() {
        return new ArrayList<>(unwritten.values());
    }

    public void written(List<Setting> now) {
        now.forEach(s -> unwritten.remove(s.id()));
    }
}
