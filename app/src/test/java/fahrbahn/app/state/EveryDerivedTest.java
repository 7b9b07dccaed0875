package fahrbahn.app.state;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.season.Sort;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** All that any page derives, found by reflection: nothing of it is shown, or kept, for another robot or table than it was worked out for. */
class EveryDerivedTest extends InShop {
    private static final int AT_LEAST = 14;

    /** The station's verdict rests on it, whatever page is up. */
    private static final Set<String> EAGER = Set.of("GainsModel.lane");

    /** They are of the runs, which a changed setup leaves as they are. */
    private static final Set<String> OF_RUNS =
            Set.of("HallModel.runS", "BookModel.shown", "BookModel.stretches", "CompareModel.groups");

    private Map<String, Derived<?>> all;

    @BeforeEach
    void twoRobotsOnATable() throws Exception {
        shop.club().addRobot(RobotKind.EDGE, "Dipper");
        shop.club().addRobot(RobotKind.PAIR, "Wren");
        shop.season().club().additions().addTable(Draft.of(DemoCourses.mission()));
        all = derived(shop);
        assertThat(all).hasSizeGreaterThanOrEqualTo(AT_LEAST);
    }

    private static Map<String, Derived<?>> derived(Object root) throws IllegalAccessException {
        Map<String, Derived<?>> found = new LinkedHashMap<>();
        Set<Object> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<Object> open = new ArrayDeque<>(Set.of(root));
        while (!open.isEmpty()) {
            Object next = open.pop();
            if (!seen.add(next)) {
                continue;
            }
            for (Class<?> type = next.getClass(); ours(type); type = type.getSuperclass()) {
                for (Field field : type.getDeclaredFields()) {
                    if (Modifier.isStatic(field.getModifiers())
                            || field.getType().isPrimitive()) {
                        continue;
                    }
                    field.setAccessible(true);
                    Object value = field.get(next);
                    if (value instanceof Derived<?> derived) {
                        found.put(type.getSimpleName() + "." + field.getName(), derived);
                    } else if (value != null && ours(value.getClass())) {
                        open.push(value);
                    }
                }
            }
        }
        return found;
    }

    private static boolean ours(Class<?> type) {
        return type != null && type.getName().startsWith("fahrbahn.app.") && !type.isEnum() && !type.isArray();
    }

    private void nothingIsLeftAfter(Runnable change, String what) {
        worker.hold();
        all.values().forEach(Derived::show);
        change.run();
        Set<String> begunAgain = new TreeSet<>();
        all.forEach((name, derived) -> {
            Value<?> value = derived.valueProperty().get();
            assertThat(value.shown().isPresent())
                    .as("%s is shown after %s", name, what)
                    .isFalse();
            if (value instanceof Value.Computing) {
                begunAgain.add(name);
            }
        });
        assertThat(begunAgain)
                .as("what is worked out for the new inputs although nobody shows it")
                .isEqualTo(EAGER);
        worker.work(); // what ends now is of inputs that are not any more
        all.forEach((name, derived) -> assertThat(derived.get().isPresent())
                .as("%s that ended after %s", name, what)
                .isEqualTo(EAGER.contains(name)));
    }

    @Test
    void nothingOfOneRobotIsShownForAnother() {
        nothingIsLeftAfter(() -> shop.season().club().takeNext(Sort.ROBOT), "another robot was selected");
    }

    /** Speed and sensors are in the setup, of which everything is. */
    @Test
    void nothingOfOneSetupIsShownForAnother() {
        all.keySet().removeAll(OF_RUNS);
        nothingIsLeftAfter(
                () -> shop.season()
                        .changeSetup(s -> s.withDrive(s.robot().drive().withTrackWidthMm(151.5))
                                .withLaw(s.law().withBaseCommand(37.5))),
                "the robot was changed");
    }
}
