package fahrbahn.app.runs;

import java.util.EnumMap;
import java.util.Map;

/** What is wanted of a plan: a number for each {@link PlanItem}, NaN where nothing stands. */
public record PlanWish(Map<PlanItem, Double> numbers) {
    static final PlanWish USUAL = new PlanWish(Map.of());

    public PlanWish {
        numbers.forEach(PlanItem::check);
        numbers = Map.copyOf(numbers);
    }

    double of(PlanItem item) {
        return numbers.getOrDefault(item, item.usual());
    }

    /** @throws fahrbahn.core.check.BadValueException when it cannot be */
    public PlanWish with(PlanItem item, double number) {
        Map<PlanItem, Double> all = new EnumMap<>(PlanItem.class);
        all.putAll(numbers);
        all.put(item, number);
        return new PlanWish(all);
    }
}
