package fahrbahn.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;

/** A whole season as one open file: every document as it stands, also those that this version does not know, and back into a season. */
public final class SeasonJson {
    private static final String FORMAT = "fahrbahn-season";
    private static final int VERSION = 1;

    private SeasonJson() {}

    /**
     * @param season the file, open elsewhere or not
     * @throws BadFileException when it cannot be read, or the other not written
     */
    public static void write(Path season, Path target, Clock clock) throws BadFileException {
        ObjectNode root = Fields.JSON.createObjectNode().put("format", FORMAT).put("version", VERSION);
        ArrayNode documents = root.putArray("documents");
        try (SeasonFile file = SeasonFile.openToRead(season, clock)) {
            for (Change change : file.contents().documents()) {
                ObjectNode one = documents
                        .addObject()
                        .put("kind", change.kind())
                        .put("owner", change.owner())
                        .put("id", change.id());
                String body = change.body().orElse("");
                try {
                    one.set("body", Fields.JSON.readTree(body));
                } catch (JsonProcessingException raw) {
                    one.put("raw", body); // kept as it is
                }
            }
        }
        Export.text(target, root.toPrettyString() + "\n");
    }

    /**
     * Begins a new season with all that such a file holds, as one step; what came before it is not in it.
     *
     * @throws BadFileException when it is no such file, when there is such a season already, or it cannot be written
     */
    public static void into(Path json, Path season, Clock clock) throws BadFileException {
        List<Change> changes = Documents.read(json, "season", root -> {
            Documents.checkFormat(root, FORMAT, VERSION);
            List<Change> all = new ArrayList<>();
            for (Fields document : root.objects("documents")) {
                String body = document.has("raw")
                        ? document.text("raw")
                        : document.raw("body").toString();
                all.add(Change.put(document.text("kind"), document.text("owner"), document.text("id"), body));
            }
            return all;
        });
        String label = "a season from " + json.getFileName();
        SeasonFile.createWith(
                season, List.of(new FileStep(clock.instant(), FileStep.Cause.NOTE, label, changes)), clock);
    }
}
