package fahrbahn.app.state;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.LogQuery;
import fahrbahn.store.document.Kinds;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** All that any page derives, found by reflection: nothing of it is shown, or kept, for another robot or table than it was worked out for. */
class EveryDerivedTest extends InShop {
    private static final int AT_LEAST = 14;

    /** They are of the runs, which a changed setup leaves as they are. */
    private static final Set<String> OF_RUNS =
            Set.of("HallModel.runS", "BookModel.lines", "BookModel.stretches", "CompareModel.groups");

    private Map<String, Derived<?>> all;

    @BeforeEach
    void twoRobotsOnATable() throws Exception {
        shop.club().addRobot(RobotKind.EDGE, "Dipper");
        shop.club().addRobot(RobotKind.PAIR, "Wren");
        shop.season().club().additions().addTable(Draft.of(DemoCourses.mission()));
        all = found(shop, Derived.class);
        assertThat(all).hasSizeGreaterThanOrEqualTo(AT_LEAST);
    }

    /** By class and field. */
    @SuppressWarnings("unchecked") // every value is of the type
    private static <T> Map<String, T> found(Object root, Class<? super T> wanted) throws IllegalAccessException {
        Map<String, T> found = new LinkedHashMap<>();
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
                    if (wanted.isInstance(value)) {
                        found.put(type.getSimpleName() + "." + field.getName(), (T) value);
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
        all.forEach((name, derived) -> {
            Value<?> value = derived.valueProperty().get();
            assertThat(value.shown().isEmpty() || derived.isEager() && derived.isOfItsInputs())
                    .as("%s is shown after %s only when it is of it", name, what)
                    .isTrue();
            assertThat(value)
                    .as(
                            "%s after %s: worked out for the new inputs where nobody has to show it, and there alone",
                            name, what)
                    .isNotInstanceOf(derived.isEager() ? Value.Unasked.class : Value.Computing.class);
        });
        worker.work(); // what ends now is of inputs that are not any more
        all.forEach((name, derived) -> assertThat(derived.value())
                .as("%s that ended after %s", name, what)
                .isNotInstanceOf(derived.isEager() ? Value.Computing.class : Value.Ready.class));
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

    /** Whatever is changed: what is still shown is of the inputs as they are, and who asks gets nothing else. */
    private void nothingOldIsShownAfter(Runnable change, String what) {
        all.values().forEach(Derived::show);
        worker.work();
        change.run();
        all.forEach((name, derived) -> {
            if (derived.valueProperty().get().shown().isPresent()) {
                assertThat(derived.isOfItsInputs())
                        .as("%s after %s", name, what)
                        .isTrue();
            }
        });
    }

    /** As often as a witness needs; a proof tries everything. */
    protected int times(int witness, int proof) {
        return witness;
    }

    /** Another value of the same sort; of a record one whose parts are others. */
    private static Object another(Object now) {
        if (now instanceof Enum<?> value) {
            Object[] values = value.getDeclaringClass().getEnumConstants();
            return values[(value.ordinal() + 1) % values.length];
        } else if (now instanceof Integer value) {
            return value + 1;
        } else if (now instanceof Long value) {
            return value + 1;
        } else if (now instanceof String value) {
            return value + "1";
        } else if (now instanceof Instant value) {
            return value.plusSeconds(3600);
        } else if (now instanceof Setup value) {
            return value.withLaw(value.law().withBaseCommand(41.5));
        }
        RecordComponent[] parts = now.getClass().getRecordComponents();
        Object[] values = new Object[parts.length];
        try {
            for (int i = 0; i < parts.length; i++) {
                parts[i].getAccessor().setAccessible(true);
                values[i] = another(parts[i].getAccessor().invoke(now));
            }
            Constructor<?> made = now.getClass()
                    .getDeclaredConstructor(
                            Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new));
            made.setAccessible(true);
            return made.newInstance(values);
        } catch (ReflectiveOperationException impossible) {
            throw new AssertionError(impossible);
        }
    }

    /** What is empty until the coach picks something has no other value to be made up; pages' tests pick. */
    private static boolean madeUp(Object value) {
        return !(value instanceof Optional<?>) && !(value instanceof Map<?, ?>) && !(value instanceof LogQuery);
    }

    @SuppressWarnings("unchecked") // another value is of the type
    private static <T> void another(Parameter<T> parameter) {
        parameter.set((T) another((Object) parameter.get()));
    }

    private Map<String, Runnable> changes() throws IllegalAccessException {
        Season season = shop.season();
        Map<String, Runnable> all = new LinkedHashMap<>();
        all.put("another table", () -> season.club().additions().addTable(Draft.of(DemoCourses.sprint())));
        all.put("another venue", () -> season.club().goTo("Elsewhere"));
        all.put("the battery", () -> season.changeConditions(c -> c.withBatteryV(7.1)));
        all.put(
                "captures",
                () -> season.addCaptures(List.of(
                        Shop.capture("dark", Shop.MORNING, 200, 210, shop),
                        Shop.capture("light", Shop.MORNING, 600, 610, shop))));
        all.put("a run", () -> shop.runs().log().log(true, QuickLog.Typed.NOTHING.withNote("a run")));
        all.put(
                "the stop window",
                () -> season.state().document(Kinds.STOP, () -> StopPlan.USUAL).change("s", s -> s.withWindowMm(7)));
        all.put("gains", () -> shop.gains().choice().choose(0.31, 0, 0.8));
        all.put("numbers handed over", () -> shop.handover().program().handOver());
        all.put("minutes in a hall", () -> shop.handover().hall().begin(5));
        all.put("an undone step", shop::undo);
        Map<String, Parameter<?>> parameters = found(shop, Parameter.class);
        parameters.values().removeIf(parameter -> !madeUp(parameter.get()));
        assertThat(parameters).as("choices on pages").hasSizeGreaterThan(10);
        parameters.forEach((name, parameter) -> all.put(name, () -> another(parameter)));
        return all;
    }

    /** Documents of every sort, and every choice on a page. */
    @Test
    void nothingOldIsShownAfterAnyChange() throws Exception {
        worker.hold();
        Map<String, Runnable> changes = changes();
        changes.entrySet().stream()
                .limit(times(1, changes.size()))
                .forEach(change -> nothingOldIsShownAfter(change.getValue(), change.getKey()));
    }
}
