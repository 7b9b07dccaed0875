package fahrbahn.store.exchange;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectReader;
import fahrbahn.core.check.BadValueException;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.file.TextFile;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;
import fahrbahn.store.season.Change;
import fahrbahn.store.season.FileStep;
import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.SeasonFiles;
import java.io.IOException;
import java.io.OutputStream;
import java.io.Reader;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;

/**
 * A whole season as one open file: every document as it stands, also those that this version does not know, and back into a season. Written and read a
 * document at a time, for its photographs take tens of megabytes.
 */
public final class SeasonJson {
    private static final String FORMAT = "fahrbahn-season";
    private static final int VERSION = 1;
    private static final String WHAT = "season";

    /** Reads one value of several. */
    private static final ObjectReader PARTS =
            Fields.JSON.reader().without(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);

    private SeasonJson() {}

    /**
     * @param season the file, open elsewhere or not
     * @throws BadFileException when it cannot be read, or the other not written
     */
    public static void write(Path season, Path target, Clock clock) throws BadFileException {
        try (SeasonFile file = SeasonFiles.openToRead(season, clock)) {
            List<Change> documents = file.contents().documents();
            Export.streamed(target, out -> write(documents, out));
        }
    }

    private static void write(List<Change> documents, OutputStream out) throws IOException, BadFileException {
        try (JsonGenerator json = Fields.JSON.createGenerator(out).useDefaultPrettyPrinter()) {
            json.writeStartObject();
            json.writeStringField("format", FORMAT);
            json.writeNumberField("version", VERSION);
            json.writeArrayFieldStart("documents");
            long written = 0;
            for (Change document : documents) {
                write(document, json);
                written += document.body().map(String::length).orElse(0);
                if (written > TextFile.MOST_SEASON_BYTES / 2) {
                    throw new BadFileException("The season is too large for one JSON file, over "
                            + (TextFile.MOST_SEASON_BYTES >> 21)
                            + " MB of documents. Save a copy of the season itself instead");
                }
            }
            json.writeEndArray();
            json.writeEndObject();
            json.writeRaw('\n');
        }
    }

    private static void write(Change document, JsonGenerator json) throws IOException {
        json.writeStartObject();
        json.writeStringField("kind", document.kind());
        json.writeStringField("owner", document.owner());
        json.writeStringField("id", document.id());
        String body = document.body().orElse("");
        try {
            JsonNode tree = Fields.JSON.readTree(body);
            json.writeFieldName("body");
            json.writeTree(tree);
        } catch (JsonProcessingException raw) {
            json.writeStringField("raw", body); // kept as it is
        }
        json.writeEndObject();
    }

    /**
     * Begins a new season with all that such a file holds, as one step; what came before it is not in it.
     *
     * @throws BadFileException when it is no such file, when there is such a season already, or it cannot be written
     */
    public static void into(Path json, Path season, Clock clock) throws BadFileException {
        List<Change> changes = TextFile.season(json, WHAT, text -> {
            try {
                return documents(text);
            } catch (BadFileException | BadValueException refused) {
                throw new BadFileException(json + ": " + refused.getMessage(), refused);
            }
        });
        String label = "a season from " + json.getFileName();
        SeasonFiles.createWith(
                season, List.of(new FileStep(clock.instant(), FileStep.Cause.NOTE, label, changes)), clock);
    }

    private static List<Change> documents(Reader text) throws IOException, BadFileException {
        List<Change> all = new ArrayList<>();
        Fields head = Fields.parse("{}");
        try (JsonParser parser = Fields.JSON.createParser(text)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw new BadFileException("A JSON object in braces was expected");
            }
            while (parser.nextToken() == JsonToken.FIELD_NAME) {
                String field = parser.currentName();
                if (parser.nextToken() == JsonToken.START_ARRAY && field.equals("documents")) {
                    head.json().putArray(field);
                    while (parser.nextToken() != JsonToken.END_ARRAY) {
                        all.add(document(PARTS.<JsonNode>readTree(parser), all.size()));
                    }
                } else {
                    head.json().set(field, PARTS.<JsonNode>readTree(parser));
                }
            }
            if (parser.currentToken() != JsonToken.END_OBJECT || parser.nextToken() != null) {
                throw new BadFileException("A JSON object in braces was expected, and nothing after it");
            }
        } catch (JsonProcessingException broken) {
            throw Fields.notJson(broken);
        }
        Documents.checkFormat(head, FORMAT, VERSION);
        head.objects("documents"); // missing, it is named
        return all;
    }

    private static Change document(JsonNode node, int place) {
        Fields document = Fields.inside(node, "documents[" + place + "]");
        String body = document.has("raw")
                ? document.text("raw")
                : document.raw("body").toString();
        return Change.put(document.text("kind"), document.text("owner"), document.text("id"), body);
    }
}
