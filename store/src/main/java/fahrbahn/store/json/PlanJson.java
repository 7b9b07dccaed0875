package fahrbahn.store.json;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.plan.Asked;
import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Stage;
import fahrbahn.core.plan.Stage.Pair;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** What is to be planned, version 1. */
public final class PlanJson {
    private static final String FORMAT = "fahrbahn-plan";
    private static final int VERSION = 1;
    private static final int MOST_TABLES = 100;
    private static final double USUAL_SWAP_S = 120;
    private static final double USUAL_CALIBRATE_S = 180;

    private PlanJson() {}

    /** @throws BadFileException naming the file, the field, the value and what was expected */
    public static PlanRequest read(Path file) throws BadFileException {
        return Documents.read(file, "plan", PlanJson::request);
    }

    public static PlanRequest request(Fields root) {
        if (root.has("format") || root.has("version")) {
            Documents.checkFormat(root, FORMAT, VERSION);
        }
        List<Team> teams = root.objects("teams").stream().map(PlanJson::team).toList();
        return root.make(() -> new PlanRequest(
                root.number("minutes"),
                tables(root),
                teams,
                root.numbersOrNothing("lampChangesS"),
                root.number("calibrateS", USUAL_CALIBRATE_S)));
    }

    /** Their names, or how many. */
    private static List<String> tables(Fields root) {
        if (!root.raw("tables").isNumber()) {
            return names(root, "tables");
        }
        double count = root.number("tables");
        Check.require(count == Math.rint(count), "tables", count, "a whole number, or names");
        Check.between("tables", count, 1, MOST_TABLES);
        List<String> tables = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            tables.add("table " + i);
        }
        return tables;
    }

    private static Team team(Fields json) {
        double battery = json.number("batteryRuns", Team.ANY);
        return json.make(() -> {
            Check.require(battery == Math.rint(battery), "batteryRuns", battery, "a whole number");
            Check.between("batteryRuns", battery, 1, Team.ANY);
            return new Team(
                    json.text("name"),
                    json.has("stages")
                            ? json.objects("stages").stream()
                                    .map(PlanJson::stage)
                                    .toList()
                            : Team.compared(names(json, "robots"), names(json, "settings"), runsEach(json)),
                    json.number("lapS"),
                    json.number("resetS"),
                    json.number("checkS", 0),
                    (int) battery,
                    json.number("swapS", USUAL_SWAP_S));
        });
    }

    private static int runsEach(Fields json) {
        double runs = json.number("runsEach");
        Check.require(runs == Math.rint(runs), "runsEach", runs, "a whole number");
        Check.between("runsEach", runs, 0, PlanRequest.MOST_RUNS);
        return (int) runs;
    }

    private static Stage stage(Fields json) {
        What what = json.oneOf("what", What.values(), What::word, What.RUN);
        return json.make(() -> json.has("pairs")
                ? new Stage(
                        what,
                        json.objects("pairs").stream()
                                .map(pair -> new Pair(pair.text("robot"), pair.text("setting"), asked(pair)))
                                .toList(),
                        runsEach(json))
                : Stage.of(what, names(json, "robots"), names(json, "settings"), runsEach(json)));
    }

    private static Asked asked(Fields json) {
        return new Asked(
                json.number("kp", Double.NaN),
                json.number("ki", Double.NaN),
                json.number("kd", Double.NaN),
                json.number("baseCommand", Double.NaN));
    }

    private static List<String> names(Fields json, String field) {
        if (!json.raw(field).isArray()) {
            throw new BadValueException(field, json.raw(field).toString(), "a list of names");
        }
        return json.texts(field);
    }
}
