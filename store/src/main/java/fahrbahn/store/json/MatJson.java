package fahrbahn.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.path.Pose;
import fahrbahn.store.file.BadFileException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;

/** A mat and its picture as documents. A place is a list of x, y and direction. */
public final class MatJson {
    private MatJson() {}

    public static String writePicture(PackedPicture picture) {
        return Fields.JSON
                .createObjectNode()
                .put("png", Base64.getEncoder().encodeToString(picture.png()))
                .toString();
    }

    public static PackedPicture parsePicture(String json) throws BadFileException {
        return Documents.parse(json, root -> {
            try {
                return new PackedPicture(Base64.getDecoder().decode(root.text("png")));
            } catch (IllegalArgumentException broken) {
                throw new BadValueException("png", "broken", "a picture in base 64");
            }
        });
    }

    public static String write(MatSheet mat) {
        ObjectNode root = Fields.JSON
                .createObjectNode()
                .put("name", mat.name())
                .put("picture", mat.picture())
                .put("columns", mat.columns())
                .put("rows", mat.rows())
                .put("widthMm", mat.widthMm())
                .put("sized", mat.sized());
        mat.lineRgb().ifPresent(rgb -> root.put("lineRgb", rgb));
        mat.groundRgb().ifPresent(rgb -> root.put("groundRgb", rgb));
        mat.traced().ifPresent(line -> fill(root.putObject("traced"), line));
        return root.toString();
    }

    private static void fill(ObjectNode json, Traced line) {
        json.put("closed", line.closed())
                .put("widthMm", line.widthMm())
                .put("crossings", line.crossings())
                .put("lengthMm", line.lengthMm());
        if (line.tightestAt() != null) {
            json.put("tightestRadiusMm", line.tightestRadiusMm());
            put(json.putArray("tightestAt"), line.tightestAt());
        }
        ArrayNode points = json.putArray("points");
        line.points().forEach(p -> put(points.addArray(), p));
        ArrayNode corners = json.putArray("corners");
        line.corners().forEach(p -> put(corners.addArray(), p));
        ArrayNode gaps = json.putArray("gapsMm");
        line.gapsMm().forEach(gaps::add);
    }

    private static void put(ArrayNode place, Pose pose) {
        place.add(pose.xMm()).add(pose.yMm()).add(pose.headingRad());
    }

    public static MatSheet parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new MatSheet(
                        root.text("name"),
                        root.text("picture"),
                        (int) root.number("columns"),
                        (int) root.number("rows"),
                        root.number("widthMm"),
                        root.truth("sized", true),
                        rgb(root, "lineRgb"),
                        rgb(root, "groundRgb"),
                        root.has("traced") ? Optional.of(traced(root.object("traced"))) : Optional.empty()));
    }

    private static Optional<Integer> rgb(Fields root, String name) {
        return root.has(name) ? Optional.of((int) root.number(name)) : Optional.empty();
    }

    private static Traced traced(Fields json) {
        boolean bends = json.has("tightestAt");
        return new Traced(
                poses(json.raw("points")),
                json.truth("closed"),
                json.number("widthMm"),
                bends ? json.number("tightestRadiusMm") : Double.POSITIVE_INFINITY,
                bends ? pose(json.raw("tightestAt")) : null,
                poses(json.raw("corners")),
                json.numbersOrNothing("gapsMm"),
                (int) json.number("crossings"),
                json.number("lengthMm"));
    }

    private static List<Pose> poses(JsonNode list) {
        List<Pose> poses = new ArrayList<>();
        list.forEach(place -> poses.add(pose(place)));
        return poses;
    }

    private static Pose pose(JsonNode place) {
        return new Pose(
                place.path(0).asDouble(),
                place.path(1).asDouble(),
                place.path(2).asDouble());
    }
}
