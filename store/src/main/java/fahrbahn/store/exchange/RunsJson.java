package fahrbahn.store.exchange;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.trials.Photo;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.RunCodec;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.file.TextFile;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.json.Shared;
import fahrbahn.store.picture.PhotoPack;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** A log book whole, version 1: runs with their settings and photographs, each of those once. */
public final class RunsJson {
    private static final String FORMAT = "fahrbahn-runs";
    private static final int VERSION = 1;

    private RunsJson() {}

    /**
     * What such a file holds.
     *
     * @param robots names of the robots by the identifiers their runs have
     * @param photos by identifier
     */
    public record Book(List<Run> runs, Map<String, String> robots, Map<String, Photo> photos) {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    public static void write(Path file, List<Run> runs, RunNames names, Function<String, Optional<Photo>> photos)
            throws BadFileException {
        String text = text(runs, names, photos);
        if (text.length() > TextFile.MOST_BOOK_BYTES / 2) { // in UTF-8 a letter of ours takes two bytes at most
            throw new BadFileException("The log book is too large for one JSON file, " + (text.length() >> 20)
                    + " MB. Write fewer runs, or save a copy of the season itself");
        }
        Export.text(file, text);
    }

    static String text(List<Run> runs, RunNames names, Function<String, Optional<Photo>> photos)
            throws BadFileException {
        Shared shared = new Shared();
        RunCodec codec = new RunCodec();
        ObjectNode root = Fields.JSON.createObjectNode().put("format", FORMAT).put("version", VERSION);
        ObjectNode robots = root.putObject("robots");
        ObjectNode settings = root.putObject("settings");
        ObjectNode pictures = root.putObject("photos");
        var list = root.putArray("runs");
        for (Run run : runs) {
            robots.put(run.robot(), names.robot().apply(run.robot()));
            if (!settings.has(run.setting().id())) {
                settings.set(
                        run.setting().id(),
                        Fields.parse(SetupJson.write(run.setting().setup())).json());
            }
            if (run.photo().isPresent() && !pictures.has(run.photo().get())) {
                Optional<Photo> photo = photos.apply(run.photo().get());
                if (photo.isPresent()) {
                    pictures.set(
                            run.photo().get(),
                            Fields.parse(PhotoPack.write(photo.get())).json());
                }
            }
            ObjectNode one = Fields.parse(codec.write(run, shared)).json();
            ObjectNode conditions = (ObjectNode) one.path("conditions");
            String venue = names.venue().apply(run.basis().conditions().venue());
            if (!venue.isEmpty()) {
                conditions.put("venue", venue);
            }
            list.add(one.put("id", run.id()));
        }
        return root.toString();
    }

    /** @throws BadFileException naming the file, the field, the value and what was expected; nothing is half read */
    public static Book read(Path file) throws BadFileException {
        String text = TextFile.read(file, "log book", TextFile.MOST_BOOK_BYTES);
        try {
            return parse(text);
        } catch (BadFileException broken) {
            throw new BadFileException(file + ": " + broken.getMessage(), broken);
        }
    }

    static Book parse(String text) throws BadFileException {
        Fields root = Fields.parse(text);
        try {
            Documents.checkFormat(root, FORMAT, VERSION);
            Shared shared = new Shared();
            Map<String, Setting> settings = settings(root, shared);
            Map<String, String> robots = new LinkedHashMap<>();
            root.objectOrNothing("robots")
                    .json()
                    .properties()
                    .forEach(e -> robots.put(e.getKey(), e.getValue().asText()));
            Map<String, Photo> photos = new LinkedHashMap<>();
            for (var photo : root.objectOrNothing("photos").json().properties()) {
                photos.put(photo.getKey(), PhotoPack.parse(photo.getValue().toString()));
            }
            List<Run> runs = new ArrayList<>();
            RunCodec codec = new RunCodec();
            for (Fields one : root.objects("runs")) {
                Run run = codec.read(one.text("id"), one.json().toString(), shared);
                Setting setting = settings.get(run.setting().id());
                Run known = run.withBasis(run.basis().withSetting(setting == null ? run.setting() : setting));
                runs.add(run.photo().filter(photos::containsKey).isPresent() ? known : known.withoutPhoto());
            }
            return new Book(runs, robots, photos);
        } catch (BadValueException refused) {
            throw new BadFileException(refused.getMessage(), refused);
        }
    }

    /** By the identifier in the file, each under the one its content has: files are edited by hand too. */
    private static Map<String, Setting> settings(Fields root, Shared shared) {
        Map<String, Setting> settings = new HashMap<>();
        Fields all = root.objectOrNothing("settings");
        all.json().fieldNames().forEachRemaining(id -> {
            Setting setting = Shared.setting(SetupJson.in(all.object(id)));
            shared.known(new Setting(id, setting.setup()));
            settings.put(id, setting);
        });
        return settings;
    }
}
