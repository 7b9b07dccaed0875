package fahrbahn.app.state;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.store.document.Kinds;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
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

    @SuppressWarnings("unchecked") // another value of the same enumeration
    private static <T> void another(Parameter<T> parameter) {
        Enum<?> now = (Enum<?>) parameter.get();
        Object[] values = now.getDeclaringClass().getEnumConstants();
        parameter.set((T) values[(now.ordinal() + 1) % values.length]);
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
        all.put("numbers handed over", () -> shop.handover().handOver());
        all.put("minutes in a hall", () -> shop.handover().hall().begin(5));
        all.put("an undone step", shop::undo);
        Map<String, Parameter<?>> parameters = found(shop, Parameter.class);
        parameters.values().removeIf(parameter -> !(parameter.get() instanceof Enum<?>));
        assertThat(parameters).as("choices of one of several").hasSizeGreaterThan(3);
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
