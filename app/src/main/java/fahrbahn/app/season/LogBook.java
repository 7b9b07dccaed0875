package fahrbahn.app.season;

import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.plan.Schedule;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Photo;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.picture.PhotoPack;
import fahrbahn.store.season.Ledger;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** Every change to the log book: a run logged, mended, taken out; runs from elsewhere. */
public final class LogBook {
    private final Season season;
    private final Ledger ledger;
    private final Document<Schedule> plan;

    LogBook(Season season, State state) {
        this.season = season;
        this.ledger = state.ledger();
        this.plan = state.document(Kinds.PLAN);
    }

    public void log(Run run) {
        log(run, Optional.empty());
    }

    /** Logs a run, as one step with what goes with it: its photograph, volts that were read, and its place in the plan. */
    public void log(Run run, Optional<PhotoPack> photo) {
        List<Put<?>> puts = new ArrayList<>();
        Run kept = photo.map(p -> run.withPhoto(p.id())).orElse(run);
        photo.ifPresent(p -> puts.add(Put.of(Kinds.PHOTO, "", p.id(), p.photo())));
        puts.add(Put.of(Kinds.RUN, run.robot(), run.id(), kept));
        if (run.source() == Run.Source.TABLE) {
            Conditions noted = ledger.get(Kinds.CONDITIONS, run.robot()).orElse(Conditions.UNKNOWN);
            if (!Double.isNaN(run.volts()) && run.volts() != noted.batteryV()) {
                puts.add(Put.of(Kinds.CONDITIONS, run.robot(), noted.withBatteryV(run.volts())));
            }
            plan.kept().flatMap(now -> ran(now, run)).ifPresent(now -> puts.add(plan.with(now)));
        }
        String how = run.outcome().completed() ? "a completed run of " : "a lost run of ";
        ledger.change(how + season.robotName(), puts);
    }

    /** What is left of the plan after this run; empty when it does none of it. */
    private Optional<Schedule> ran(Schedule plan, Run run) {
        if (plan.leftS(run.at()) < 0) {
            return Optional.empty();
        }
        Setup setup = run.setting().setup();
        return plan.ranBy(plan.plan(), setup.robot().name(), setup.law()).map(block -> plan.with(block, run.at()));
    }

    /** The plan of trials that is on its way. */
    public Document<Schedule> plan() {
        return plan;
    }

    /** Takes a run out again that was logged by mistake; a step of its own, so that it can come back. */
    public void takeOut(Run run) {
        ledger.change("a run removed from the log book", List.of(Put.away(Kinds.RUN, run.robot(), run.id())));
    }

    /** Puts another in the place of a run that was logged wrong. What was there before stays in its history. */
    public void mend(Run mended) {
        ledger.change("a run edited", List.of(Put.of(Kinds.RUN, mended.robot(), mended.id(), mended)));
    }

    /** Adds a photograph to a run, or puts another in its place. */
    public void mend(Run run, PhotoPack photo) {
        ledger.change(
                "a photograph of a run",
                List.of(
                        Put.of(Kinds.PHOTO, "", photo.id(), photo.photo()),
                        Put.of(Kinds.RUN, run.robot(), run.id(), run.withPhoto(photo.id()))));
    }

    /** Every state a run has been in with its moment, oldest first; told later, on this thread. */
    public void history(Run run, Consumer<List<Map.Entry<Instant, Run>>> told) {
        ledger.history(Kinds.RUN, run.robot(), run.id(), told);
    }

    public Optional<Photo> photo(String id) {
        return ledger.get(Kinds.PHOTO, "", id);
    }

    /** Whether the season has a run of this identifier already. */
    public boolean has(String robot, String id) {
        return ledger.get(Kinds.RUN, robot, id).isPresent();
    }

    /** Runs from elsewhere, as one step. */
    public void add(String from, List<Run> runs, Map<String, Photo> photos) {
        List<Put<?>> puts = new ArrayList<>();
        photos.forEach((id, photo) -> puts.add(Put.of(Kinds.PHOTO, "", id, photo)));
        runs.forEach(run -> puts.add(Put.of(Kinds.RUN, run.robot(), run.id(), run)));
        ledger.change("runs from " + from, puts);
    }

    /** Of one robot, oldest first. */
    public List<Run> of(String robot) {
        return ledger.all(Kinds.RUN, robot).values().stream()
                .sorted(Comparator.comparing(Run::at))
                .toList();
    }

    /** Of every robot, oldest first. */
    public List<Run> all() {
        List<Run> all = new ArrayList<>();
        ledger.owners(Kinds.RUN)
                .forEach(robot -> all.addAll(ledger.all(Kinds.RUN, robot).values()));
        all.sort(Comparator.comparing(Run::at));
        return all;
    }
}
