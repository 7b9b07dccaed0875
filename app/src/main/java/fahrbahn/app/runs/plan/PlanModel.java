package fahrbahn.app.runs.plan;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.app.state.Document;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.Plan;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.core.plan.Schedule;
import fahrbahn.store.exchange.PlanCalendar;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The plan of trials: what is wanted of it, and the one that is on its way. */
public final class PlanModel {
    private final Season season;
    private final Document<Schedule> plan;
    private final Supplier<Optional<String>> nextTrial;
    private final Errand<PlanRequest> errand;
    private final Errand<String> save;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<PlanWish> wish = new ReadOnlyObjectWrapper<>(PlanWish.USUAL);
    private final ReadOnlyObjectWrapper<Optional<OnItsWay>> onItsWay = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Integer> row = new ReadOnlyObjectWrapper<>(0);
    private final Map<String, Aim> aims = new LinkedHashMap<>();
    private long secondLookedAt = Long.MIN_VALUE;

    /** What a robot is to run. */
    public enum Aim {
        OUT("left out"),
        CONFIRM("confirm as set"),
        COMPARE("compare its settings"),
        TUNE("tune from the start"),
        NEXT("next trials of Gains");

        private final String word;

        Aim(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** A plan with what is left of it. */
    public record OnItsWay(Schedule schedule, Plan left) {
        /** Done and to come, in the order of time. */
        List<Block> blocks() {
            List<Block> all = new ArrayList<>(schedule.done());
            all.addAll(left.blocks());
            return all;
        }
    }

    public PlanModel(Season season, Supplier<Optional<String>> nextTrial, Errands errands) {
        this.season = season;
        this.plan = season.logBook().plan();
        this.nextTrial = nextTrial;
        this.errand = errands.errand("The plan");
        this.save = errands.errand("Saving the plan");
        this.told = errands.tell();
        plan.keptProperty().addListener(o -> take());
        take();
    }

    private void take() {
        Optional<Schedule> now = plan.kept();
        onItsWay.set(now.map(s -> new OnItsWay(s, s.plan())));
        row.set(now.map(s -> s.done().size()).orElse(0));
    }

    public ReadOnlyObjectProperty<PlanWish> wishProperty() {
        return wish.getReadOnlyProperty();
    }

    /** @throws fahrbahn.core.check.BadValueException when a number of it cannot be */
    public void change(PlanItem item, double number) {
        wish.set(wish.get().with(item, number));
    }

    /** How many tables there are, or what they are called. */
    public void tables(String words) {
        wish.set(wish.get().withTables(words));
    }

    /** Empty when none was begun. */
    public ReadOnlyObjectProperty<Optional<OnItsWay>> onItsWayProperty() {
        return onItsWay.getReadOnlyProperty();
    }

    /** Of the blocks, the one that is looked at. */
    ReadOnlyObjectProperty<Integer> rowProperty() {
        return row.getReadOnlyProperty();
    }

    void move(int by) {
        int last = onItsWay.get().map(p -> p.blocks().size() - 1).orElse(0);
        row.set(Math.max(0, Math.min(last, row.get() + by)));
    }

    void takeRow(int newRow) {
        row.set(newRow);
    }

    /** Robots that may be planned for. */
    List<Entry> robots() {
        return season.club().entries(Sort.ROBOT).stream()
                .filter(e -> !e.retired())
                .toList();
    }

    /** As long as nobody said, the robot in hand is confirmed and the others are left out. */
    Aim aim(Entry robot) {
        return aims.getOrDefault(robot.id(), robot.inHand() ? Aim.CONFIRM : Aim.OUT);
    }

    public void aim(String robot, Aim aim) {
        aims.put(robot, aim);
    }

    /** Begins a plan of what is wanted; what was on its way ends with it. */
    public void begin() {
        Instant now = season.now();
        PlanMaker maker = new PlanMaker(season, wish.get());
        List<PlanMaker.Wanted> wanted = robots().stream()
                .filter(robot -> aim(robot) != Aim.OUT)
                .map(robot -> maker.wanted(robot, aim(robot)))
                .toList();
        if (wanted.isEmpty()) {
            told.accept("No robot in the plan. Choose what it runs beside its name.");
            return;
        }
        errand.run(
                job -> maker.request(wanted),
                request -> plan.set(
                        "a plan of " + Math.round(request.minutes()) + " minutes begun",
                        Schedule.begun(request, now, now.toEpochMilli())));
    }

    /** Ends it; what was run stays in the log book. */
    public void end() {
        if (onItsWay.get().isPresent()) {
            plan.remove("the plan ended");
        }
    }

    /** The block in hand was over just now. */
    public void done() {
        onItsWay.get().ifPresent(now -> {
            int at = row.get() - now.schedule().done().size();
            if (at >= 0 && at < now.left().blocks().size()) {
                Block block = now.left().blocks().get(at);
                plan.set(PlanWords.what(block) + " done", now.schedule().with(block, season.now()));
            }
        });
    }

    /** At each frame while it is on screen: once a second it is seen whether time has slipped. */
    public void watch() {
        Instant now = season.now();
        if (onItsWay.get().isEmpty() || now.getEpochSecond() == secondLookedAt) {
            return;
        }
        secondLookedAt = now.getEpochSecond();
        OnItsWay was = onItsWay.get().get();
        if (was.schedule().leftS(now) > 0 && was.schedule().slipped(was.left(), now)) {
            int before = was.left().leftOut().size();
            plan.note(was.schedule().again(now));
            told.accept(PlanWords.slipped(before, onItsWay.get().get().left()));
        }
    }

    /** Plans the rest from now on. */
    public void again() {
        onItsWay.get()
                .ifPresent(
                        was -> plan.set("the rest planned again", was.schedule().again(season.now())));
    }

    /** Whether a block has been done. */
    boolean done(Block block) {
        return onItsWay.get()
                .filter(plan -> plan.schedule().done().stream().anyMatch(b -> b == block))
                .isPresent();
    }

    /** When it is, by the clock on the wall. */
    String clock(Block block) {
        return onItsWay.get()
                .map(plan -> PlanWords.clock(plan.schedule(), block.startS()))
                .orElse("");
    }

    /** The minutes left, as a clock; empty without a plan. */
    public String left() {
        return onItsWay.get()
                .map(plan -> PlanWords.left(plan.schedule().leftS(season.now())))
                .orElse("");
    }

    /** How the plan stands. */
    public String verdict() {
        return onItsWay.get().map(plan -> PlanWords.verdict(plan, season.now())).orElse(PlanWords.NONE);
    }

    /** What the robot in hand is to run next and how much time is left; empty without a plan. */
    public String nextForRobot() {
        String robot = season.setupOrGuess().robot().name();
        return onItsWay.get()
                .map(plan -> PlanWords.next(plan, robot, nextTrial.get(), season.now()))
                .orElse("");
    }

    /** What the next trial of Gains is, for a plan that asks for it. */
    Optional<String> nextTrial() {
        return nextTrial.get();
    }

    /** A calendar when the name ends in .ics, else a page for the wall. */
    public void save(Path file) {
        Optional<OnItsWay> plan = onItsWay.get();
        if (plan.isEmpty()) {
            told.accept("No plan to save. Begin one first.");
            return;
        }
        save.run(
                job -> {
                    if (file.getFileName().toString().endsWith(".ics")) {
                        Plan all = new Plan(plan.get().blocks(), List.of());
                        PlanCalendar.write(file, all, plan.get().schedule().begins());
                    } else {
                        PlanSheet.write(plan.get(), file);
                    }
                    return "Saved as " + file.getFileName() + ".";
                },
                told);
    }
}
