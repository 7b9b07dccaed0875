package fahrbahn.core.program;

import fahrbahn.core.program.TypedBack.Handed;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What was last handed over to a robot's program.
 *
 * @param constants as they were typed
 */
public record HandOver(Instant at, Grain grain, List<Handed> constants) {
    public HandOver {
        constants = List.copyOf(constants);
    }

    public static HandOver of(Instant at, Taken taken) {
        return new HandOver(
                at,
                taken.grain(),
                taken.constants().stream()
                        .map(c -> new Handed(c.name(), c.typed(taken.grain())))
                        .toList());
    }

    /**
     * After some of the numbers have been typed: the others are as they were handed over before, or are not handed over yet.
     *
     * @param last empty where nothing was handed over
     * @param typed names of constants, of those too that were taken out
     */
    public static HandOver ofSome(Instant at, Optional<HandOver> last, Taken taken, Set<String> typed) {
        Map<String, Double> before = new LinkedHashMap<>();
        last.filter(h -> h.grain().equals(taken.grain()))
                .ifPresent(h -> h.constants().forEach(c -> before.put(c.name(), c.value())));
        List<Handed> now = new ArrayList<>();
        for (ProgramConstant constant : taken.constants()) {
            Double kept = before.remove(constant.name());
            if (typed.contains(constant.name())) {
                now.add(new Handed(constant.name(), constant.typed(taken.grain())));
            } else if (kept != null) {
                now.add(new Handed(constant.name(), kept));
            }
        }
        before.keySet().removeAll(typed); // taken out of the program
        before.forEach((name, value) -> now.add(new Handed(name, value)));
        return new HandOver(at, taken.grain(), now);
    }

    /** @param before NaN for a constant that is new @param now NaN for one that is gone */
    public record Change(String name, double before, double now) {}

    /** What is to be typed anew: how what is to be typed now differs from what was. */
    public List<Change> since(Taken now) {
        Map<String, Double> left = new LinkedHashMap<>();
        constants.forEach(c -> left.put(c.name(), c.value()));
        List<Change> changes = new ArrayList<>();
        for (ProgramConstant constant : now.constants()) {
            double typed = constant.typed(now.grain());
            Double before = left.remove(constant.name());
            if (before == null || before != typed) {
                changes.add(new Change(constant.name(), before == null ? Double.NaN : before, typed));
            }
        }
        left.forEach((name, value) -> changes.add(new Change(name, value, Double.NaN)));
        return List.copyOf(changes);
    }
}
