package fahrbahn.store.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.setup.Extent;

/** How long something lasts, in a setup file: {@code amount} and {@code unit}. */
final class ExtentJson {
    private ExtentJson() {}

    static Extent read(Fields json) {
        return json.make(
                () -> new Extent(json.number("amount"), json.oneOf("unit", Extent.Unit.values(), Extent.Unit::word)));
    }

    static void fill(ObjectNode json, Extent extent) {
        json.put("amount", extent.amount()).put("unit", extent.unit().word());
    }
}
