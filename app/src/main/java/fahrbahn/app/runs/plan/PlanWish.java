package fahrbahn.app.runs.plan;

import fahrbahn.core.check.Check;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * What is wanted of a plan.
 *
 * @param numbers for each {@link PlanItem}, NaN where nothing stands
 * @param tables how many, or their names with commas between; empty for the one in hand
 */
public record PlanWish(Map<PlanItem, Double> numbers, String tables) {
    private static final int MOST_TABLES = 20;

    static final PlanWish USUAL = new PlanWish(Map.of(), "");

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
        return new PlanWish(all, tables);
    }

    PlanWish withTables(String newTables) {
        return new PlanWish(numbers, newTables.strip());
    }

    /** @param inHand name of the table in hand; each name once */
    List<String> tables(String inHand) {
        if (!tables.matches("\\d+")) {
            List<String> names = Arrays.stream(tables.split(","))
                    .map(String::strip)
                    .filter(name -> !name.isEmpty())
                    .distinct()
                    .toList();
            return names.isEmpty() ? List.of(inHand) : names;
        }
        int count = (int) Double.parseDouble(tables);
        Check.between(PlanWords.TABLES, count, 1, MOST_TABLES);
        return count == 1
                ? List.of(inHand)
                : IntStream.rangeClosed(1, count)
                        .mapToObj(i -> inHand + " " + i)
                        .toList();
    }
}
