package fahrbahn.app.start;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Backups;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The backups of one season, each looked into. Looking takes a moment: not on the interface thread. */
public final class BackupList {
    /** As many as there are keys for. */
    private static final int MOST = 9;

    private BackupList() {}

    /**
     * One that can be chosen.
     *
     * @param look what is in it; null when it cannot be read
     */
    public record Choice(Backups.Backup backup, Backups.Look look) {}

    /** The newest first. */
    public static List<Choice> of(Backups backups, Path season) {
        List<Choice> all = new ArrayList<>();
        for (Backups.Backup backup : backups.of(season)) {
            if (all.size() < MOST) {
                all.add(new Choice(backup, look(backups, backup)));
            }
        }
        return List.copyOf(all);
    }

    private static Backups.Look look(Backups backups, Backups.Backup backup) {
        try {
            return backups.look(backup);
        } catch (BadFileException unreadable) {
            return null;
        }
    }
}
