package fahrbahn.store.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Surface;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Draft;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.util.List;

/**
 * The course file format, version 1. Lengths in mm; angles in degrees, as a person reads them off a protractor, in
 * {@code angleDeg}, {@code slopeDeg} and {@code headingDeg}. Fields nobody here knows are passed over.
 */
public final class CourseJson {
    private static final String FORMAT = "fahrbahn-course";
    private static final int VERSION = 1;

    private CourseJson() {}

    /** @throws BadFileException naming the file, the field, the value and what was expected */
    public static Course read(Path file) throws BadFileException {
        return Documents.read(file, "course", CourseJson::course);
    }

    /** A course that need not be finished. @throws BadFileException naming the field, the value and what was expected */
    public static Draft parseDraft(String json) throws BadFileException {
        return Documents.parse(json, CourseJson::draft);
    }

    /** The same from a file. */
    public static Draft readDraft(Path file) throws BadFileException {
        return Documents.read(file, "course", CourseJson::draft);
    }

    private static Course course(Fields root) {
        return in(root);
    }

    /** The course inside a document that has more to say. */
    static Course in(Fields root) {
        Draft draft = draft(root);
        return root.make(draft::course);
    }

    private static Draft draft(Fields root) {
        Documents.checkFormat(root, FORMAT, VERSION);
        Fields table = root.object("table");
        Fields start = root.object("start");
        Pose pose = new Pose(start.number("xMm"), start.number("yMm"), Math.toRadians(start.number("headingDeg", 0)));
        List<Part> parts = root.objects("parts").stream().map(CourseJson::part).toList();
        Palette palette = palette(root.objectOrNothing("surfaces"));
        return root.make(() -> new Draft(
                root.text("name"),
                table.number("widthMm"),
                table.number("heightMm"),
                pose,
                parts,
                root.truth("closed", false),
                palette));
    }

    private static Part part(Fields json) {
        return json.make(() -> switch (json.text("part")) {
            case "straight" -> new Part.Straight(json.number("lengthMm"));
            case "bend" -> new Part.Bend(json.number("radiusMm"), angle(json, "angleDeg"));
            case "right-angle" -> new Part.RightAngle(turn(json), json.number("armMm"));
            case "swing-over" -> new Part.SwingOver(json.number("radiusMm"), angle(json, "angleDeg"));
            case "gap" -> new Part.Gap(json.number("lengthMm"));
            case "crossing" -> crossing(json);
            case "bump" -> new Part.Bump(json.number("lengthMm"), json.number("heightMm"));
            case "ramp" -> new Part.Ramp(json.number("lengthMm"), angle(json, "slopeDeg"));
            case "crease" -> new Part.Crease(json.number("lengthMm"), json.number("heightMm"));
            case "obstacle" -> new Part.Obstacle(json.number("lengthMm"), json.number("radiusMm"));
            case "entry-strip" -> new Part.EntryStrip(json.number("lengthMm"));
            case "stop-strip" -> new Part.StopStrip(json.number("lengthMm"));
            case "end" -> new Part.End(json.number("lengthMm"));
            default ->
                throw new BadValueException(
                        "part",
                        "\"" + json.text("part") + "\"",
                        "straight, bend, right-angle, swing-over, gap, crossing, bump, ramp, crease, obstacle, entry-strip, stop-strip"
                                + " or end");
        });
    }

    private static double angle(Fields json, String name) {
        return Math.toRadians(json.number(name));
    }

    /** {@code marked} is short for the marks that tell its way. */
    private static Part crossing(Fields json) {
        Part.Turn way = turn(json);
        Fields marks = json.objectOrNothing("marks");
        Part.Marks usual = json.truth("marked", false) ? Part.Marks.usual(way) : Part.Marks.NONE;
        return new Part.Crossing(
                json.number("armMm"),
                way,
                marks.make(() -> new Part.Marks(
                        marks.oneOf("before", Part.Sides.values(), Part.Sides::word, usual.before()),
                        marks.oneOf("behind", Part.Sides.values(), Part.Sides::word, usual.behind()))));
    }

    private static Part.Turn turn(Fields json) {
        return json.oneOf("turn", Part.Turn.values(), Part.Turn::word);
    }

    private static Palette palette(Fields json) {
        Palette usual = Palette.USUAL;
        return json.make(() -> new Palette(
                surface(json, "dark", usual.dark()),
                surface(json, "light", usual.light()),
                surface(json, "mark", usual.mark()),
                surface(json, "entry", usual.entry()),
                surface(json, "stop", usual.stop()),
                surface(json, "crease", usual.crease())));
    }

    private static Surface surface(Fields palette, String name, Surface usual) {
        if (!palette.has(name)) {
            return usual;
        }
        Fields json = palette.object(name);
        return json.make(() -> new Surface(json.number("red"), json.number("green"), json.number("blue")));
    }

    /** A new document. */
    public static String write(Draft course) {
        ObjectNode root = Fields.JSON.createObjectNode().put("format", FORMAT).put("version", VERSION);
        root.put("name", course.name());
        root.putObject("table").put("widthMm", course.widthMm()).put("heightMm", course.heightMm());
        root.putObject("start")
                .put("xMm", course.start().xMm())
                .put("yMm", course.start().yMm())
                .put("headingDeg", Math.toDegrees(course.start().headingRad()));
        root.put("closed", course.closed());
        ArrayNode parts = root.putArray("parts");
        course.parts().forEach(part -> fill(parts.addObject(), part));
        ObjectNode surfaces = root.putObject("surfaces");
        Palette palette = course.palette();
        fill(surfaces.putObject("dark"), palette.dark());
        fill(surfaces.putObject("light"), palette.light());
        fill(surfaces.putObject("mark"), palette.mark());
        fill(surfaces.putObject("entry"), palette.entry());
        fill(surfaces.putObject("stop"), palette.stop());
        fill(surfaces.putObject("crease"), palette.crease());
        return root.toPrettyString();
    }

    private static void fill(ObjectNode json, Surface surface) {
        json.put("red", surface.red()).put("green", surface.green()).put("blue", surface.blue());
    }

    private static void fill(ObjectNode json, Part part) {
        if (part instanceof Part.Bend p) {
            json.put("part", "bend").put("radiusMm", p.radiusMm()).put("angleDeg", Math.toDegrees(p.angleRad()));
        } else if (part instanceof Part.RightAngle p) {
            json.put("part", "right-angle").put("turn", p.turn().word()).put("armMm", p.armMm());
        } else if (part instanceof Part.SwingOver p) {
            json.put("part", "swing-over").put("radiusMm", p.radiusMm()).put("angleDeg", Math.toDegrees(p.angleRad()));
        } else if (part instanceof Part.Crossing p) {
            json.put("part", "crossing")
                    .put("armMm", p.armMm())
                    .put("turn", p.way().word());
            json.putObject("marks")
                    .put("before", p.marks().before().word())
                    .put("behind", p.marks().behind().word());
        } else if (part instanceof Part.Bump p) {
            json.put("part", "bump").put("lengthMm", p.lengthMm()).put("heightMm", p.heightMm());
        } else if (part instanceof Part.Ramp p) {
            json.put("part", "ramp").put("lengthMm", p.lengthMm()).put("slopeDeg", Math.toDegrees(p.slopeRad()));
        } else if (part instanceof Part.Crease p) {
            json.put("part", "crease").put("lengthMm", p.lengthMm()).put("heightMm", p.heightMm());
        } else if (part instanceof Part.Obstacle p) {
            json.put("part", "obstacle").put("lengthMm", p.lengthMm()).put("radiusMm", p.radiusMm());
        } else {
            json.put("part", plainWord(part)).put("lengthMm", part.lengthMm());
        }
    }

    /** Parts that are a length and nothing else. */
    private static String plainWord(Part part) {
        if (part instanceof Part.Gap) {
            return "gap";
        }
        if (part instanceof Part.EntryStrip) {
            return "entry-strip";
        }
        if (part instanceof Part.StopStrip) {
            return "stop-strip";
        }
        return part instanceof Part.End ? "end" : "straight";
    }
}
