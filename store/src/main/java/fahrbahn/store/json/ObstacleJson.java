package fahrbahn.store.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.ObstacleMove.Feeler;
import fahrbahn.core.setup.ObstacleMove.Found;
import fahrbahn.core.setup.Side;

/** The way round an obstacle in a setup file: {@code law.obstacle}. */
final class ObstacleJson {
    private ObstacleJson() {}

    static ObstacleMove read(Fields json) {
        return json.make(() -> new ObstacleMove(
                new Feeler(
                        json.oneOf("found", Found.values(), Found::word),
                        json.number("frontMm"),
                        json.number("widthMm"),
                        json.number("noiseMm", 0),
                        json.number("missShare", 0)),
                json.number("at"),
                json.oneOf("side", Side.values(), Side::word, Side.LEFT),
                extent(json, "back"),
                extent(json, "turn"),
                json.number("turnCommand"),
                new ObstacleMove.Arc(json.number("outside"), json.number("inside"), extent(json, "most")),
                extent(json, "on"),
                extent(json, "straighten")));
    }

    private static Extent extent(Fields json, String name) {
        return ExtentJson.read(json.object(name));
    }

    static void fill(ObjectNode json, ObstacleMove move) {
        Feeler feeler = move.feeler();
        json.put("found", feeler.found().word())
                .put("at", move.at())
                .put("side", move.side().word())
                .put("turnCommand", move.turnCommand())
                .put("outside", move.arc().outside())
                .put("inside", move.arc().inside())
                .put("frontMm", feeler.frontMm())
                .put("widthMm", feeler.widthMm())
                .put("noiseMm", feeler.noiseMm())
                .put("missShare", feeler.missShare());
        ExtentJson.fill(json.putObject("back"), move.back());
        ExtentJson.fill(json.putObject("turn"), move.turn());
        ExtentJson.fill(json.putObject("most"), move.arc().most());
        ExtentJson.fill(json.putObject("on"), move.on());
        ExtentJson.fill(json.putObject("straighten"), move.straighten());
    }
}
