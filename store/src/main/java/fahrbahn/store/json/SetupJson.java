package fahrbahn.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.difference.SetupField;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.SpeedCurve;
import fahrbahn.core.setup.Traits;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.util.List;

/** The setup file format, version 1. Fields nobody here knows are kept when a document is written again. */
public final class SetupJson {
    private static final String FORMAT = "fahrbahn-setup";
    private static final int VERSION = 1;

    private SetupJson() {}

    /** @throws BadFileException naming the file, the field, the value and what was expected */
    public static Setup read(Path file) throws BadFileException {
        return Documents.read(file, "setup", SetupJson::setup);
    }

    /** @throws BadFileException naming the field, the value and what was expected */
    public static Setup parse(String json) throws BadFileException {
        return Documents.parse(json, SetupJson::setup);
    }

    private static Setup setup(Fields root) {
        Documents.checkFormat(root, FORMAT, VERSION);
        return in(root);
    }

    /** The setup inside a document that has more to say, without its format line. */
    public static Setup in(Fields root) {
        Robot robot = robot(root.object("robot"));
        Line line = line(root.object("line"));
        Law law = law(root.object("law"));
        return root.make(() -> new Setup(robot, line, law));
    }

    private static Robot robot(Fields json) {
        Fields driveJson = json.object("drive");
        Drive drive = driveJson.make(() -> new Drive(
                driveJson.number("trackWidthMm"),
                driveJson.number("freeSpeedMmPerS"),
                driveJson.number("lagS"),
                driveJson.oneOf("mixing", Mixing.values(), Mixing::word),
                driveJson.number("fullCommand"),
                traits(driveJson)));
        Fields loopJson = json.object("loop");
        Loop loop = loopJson.make(() -> new Loop(loopJson.number("periodS"), loopJson.number("delayS")));
        List<Sensor> sensors =
                json.objects("sensors").stream().map(SetupJson::sensor).toList();
        Fields chassisJson = json.objectOrNothing("chassis");
        Chassis chassis = chassisJson.make(() -> new Chassis(
                chassisJson.number("supportForwardMm", Chassis.TYPICAL.supportForwardMm()),
                chassisJson.number("sensorHeightMm", Chassis.TYPICAL.sensorHeightMm()),
                chassisJson.number("wheelRadiusMm", Chassis.TYPICAL.wheelRadiusMm()),
                chassisJson.truth("tracks", Chassis.TYPICAL.tracks())));
        return json.make(() -> new Robot(json.text("name"), drive, loop, sensors, chassis));
    }

    private static Traits traits(Fields json) {
        Traits ideal = Traits.IDEAL;
        return new Traits(
                json.truth("mayReverse", ideal.mayReverse()),
                json.number("batteryShare", ideal.batteryShare()),
                json.make(() -> new SpeedCurve(
                        json.number("deadZoneCommand", ideal.curve().deadZoneCommand()),
                        json.number("sagShare", ideal.curve().sagShare()),
                        json.number("breakawayCommand", ideal.curve().breakawayCommand()),
                        json.number("holdingCommand", ideal.curve().holdingCommand()))),
                json.number("mismatchShare", ideal.mismatchShare()),
                json.number("slipShare", ideal.slipShare()),
                json.number("scrub", ideal.scrub()));
    }

    private static Sensor sensor(Fields json) {
        return json.make(() -> new Sensor(
                json.text("name"),
                json.number("forwardMm"),
                json.number("leftMm"),
                json.number("spotSigmaMm"),
                json.number("dark"),
                json.number("light"),
                json.number("noise", 0),
                json.number("step", 0),
                json.oneOf("channel", Channel.values(), Channel::word, Channel.ALL)));
    }

    private static Line line(Fields json) {
        return json.make(() -> new Line(
                json.number("widthMm"),
                json.oneOf("polarity", Polarity.values(), Polarity::word),
                json.number("tightestRadiusMm")));
    }

    private static Law law(Fields json) {
        return json.make(() -> new Law(
                json.oneOf("kind", ErrorSignal.values(), ErrorSignal::word),
                json.oneOf("side", Side.values(), Side::word),
                Scale.called(json.text("scale")),
                json.number("target"),
                json.number("kp"),
                json.number("ki", 0),
                json.number("kd", 0),
                json.number("baseCommand"),
                OptionsJson.read(json)));
    }

    /** A new document. */
    public static String write(Setup setup) {
        return document(setup, Fields.JSON.createObjectNode()).toPrettyString();
    }

    /**
     * The setup written over an earlier document, whose unknown fields stay.
     *
     * @throws BadFileException when the earlier document is not a JSON object
     */
    public static String writeOver(String earlier, Setup setup) throws BadFileException {
        return document(setup, Fields.parse(earlier).json()).toPrettyString();
    }

    private static ObjectNode document(Setup setup, ObjectNode root) {
        root.put("format", FORMAT).put("version", VERSION);
        fill(root, setup);
        return root;
    }

    static void fill(ObjectNode root, Setup setup) {
        child(root, "robot").put("name", setup.robot().name());
        for (SetupField field : SetupField.values()) {
            put(root, field.path(), field.of(setup));
        }
        fillSensors(child(root, "robot"), setup.robot().sensors());
        OptionsJson.fill(child(root, "law"), setup.law().options());
    }

    private static void put(ObjectNode root, String path, Object value) {
        String[] names = path.split("\\.");
        ObjectNode parent = root;
        for (int i = 0; i < names.length - 1; i++) {
            parent = child(parent, names[i]);
        }
        parent.set(names[names.length - 1], Fields.JSON.valueToTree(value));
    }

    /** A sensor keeps its unknown fields as long as it keeps its name. */
    private static void fillSensors(ObjectNode robotJson, List<Sensor> sensors) {
        JsonNode earlier = robotJson.path("sensors");
        ArrayNode list = Fields.JSON.createArrayNode();
        for (Sensor sensor : sensors) {
            ObjectNode json = list.addObject();
            for (JsonNode before : earlier) {
                if (before.isObject() && before.path("name").asText().equals(sensor.name())) {
                    json.setAll((ObjectNode) before);
                }
            }
            json.put("name", sensor.name())
                    .put("forwardMm", sensor.forwardMm())
                    .put("leftMm", sensor.leftMm())
                    .put("spotSigmaMm", sensor.spotSigmaMm())
                    .put("dark", sensor.dark())
                    .put("light", sensor.light())
                    .put("noise", sensor.noise())
                    .put("step", sensor.step())
                    .put("channel", sensor.channel().word());
        }
        robotJson.set("sensors", list);
    }

    static ObjectNode child(ObjectNode parent, String name) {
        return parent.path(name).isObject() ? (ObjectNode) parent.get(name) : parent.putObject(name);
    }
}
