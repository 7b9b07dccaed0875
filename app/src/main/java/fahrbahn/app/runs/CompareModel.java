package fahrbahn.app.runs;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.trials.Comparison;
import fahrbahn.core.trials.Group;
import fahrbahn.core.trials.GroupBy;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.Tangled;
import fahrbahn.core.trials.TypedRuns;
import fahrbahn.core.trials.WhatChanged;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Any two groups of runs compared; groups that stand on paper only are typed. */
public final class CompareModel {
    private final Season season;
    private final Errand<Compared> errand;
    private final ReadOnlyObjectWrapper<List<GroupBy.Runs>> groups = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<Choice> choice = new ReadOnlyObjectWrapper<>(new Choice(1, 0, 0));
    private final ReadOnlyObjectWrapper<Optional<Compared>> compared = new ReadOnlyObjectWrapper<>(Optional.empty());
    private GroupBy by = GroupBy.SETTING;
    private String typedA = "";
    private String typedB = "";
    private String problem = "";
    private boolean stale = true;

    /** Places in the list of groups. @param row the one that is looked at */
    record Choice(int a, int b, int row) {}

    /**
     * Two groups compared.
     *
     * @param changed what they did differently; empty of typed ones, of which nobody knows
     * @param tangled likewise
     * @param usualVolts of all of them; NaN when none were noted
     */
    public record Compared(
            Group a,
            Group b,
            Comparison comparison,
            Optional<WhatChanged> changed,
            Optional<Tangled> tangled,
            double usualVolts) {}

    CompareModel(Season season, Errands errands) {
        this.season = season;
        this.errand = errands.errand("The comparison");
        season.runs().addListener((InvalidationListener) o -> stale = true);
    }

    ReadOnlyObjectProperty<List<GroupBy.Runs>> groupsProperty() {
        return groups.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Choice> choiceProperty() {
        return choice.getReadOnlyProperty();
    }

    /** Empty with fewer than two groups, and until it is worked out. */
    public ReadOnlyObjectProperty<Optional<Compared>> comparedProperty() {
        return compared.getReadOnlyProperty();
    }

    /** Why there is no comparison; empty when there is one, or one is on its way. */
    String problem() {
        return problem;
    }

    GroupBy by() {
        return by;
    }

    /** Somebody looks: runs that have come are taken in. */
    public void look() {
        if (stale) {
            stale = false;
            groups.set(by.groups(runs(), ZoneId.systemDefault()));
            compare();
        }
    }

    /** Of the robot in hand, but for a comparison of robots; the twin's are no runs of the robot. */
    private List<Run> runs() {
        List<Run> all = by == GroupBy.ROBOT ? season.logBook().all() : season.runs();
        return all.stream().filter(run -> run.source() == Run.Source.TABLE).toList();
    }

    void group(GroupBy newBy) {
        by = newBy;
        choice.set(new Choice(1, 0, 0));
        stale = true;
        look();
    }

    /** Groups by the next thing. */
    void nextGrouping() {
        group(GroupBy.values()[(by.ordinal() + 1) % GroupBy.values().length]);
    }

    void move(int by) {
        int last = groups.get().size() - 1;
        Choice now = choice.get();
        choice.set(new Choice(now.a(), now.b(), Math.max(0, Math.min(last, now.row() + by))));
    }

    void takeRow(int row) {
        choice.set(new Choice(choice.get().a(), choice.get().b(), row));
    }

    /** The group that is looked at is the first of the comparison. */
    void takeAsA() {
        choice.set(new Choice(choice.get().row(), choice.get().b(), choice.get().row()));
        compare();
    }

    void takeAsB() {
        choice.set(new Choice(choice.get().a(), choice.get().row(), choice.get().row()));
        compare();
    }

    /** Groups that stand on paper, as {@link TypedRuns} reads them; when both are empty those of the log book are compared. */
    public void type(String a, String b) {
        typedA = a.strip();
        typedB = b.strip();
        compare();
    }

    private void compare() {
        problem = "";
        if (!typedA.isEmpty() || !typedB.isEmpty()) {
            typed();
            return;
        }
        List<GroupBy.Runs> all = groups.get();
        Choice now = choice.get();
        if (Math.max(now.a(), now.b()) >= all.size() || now.a() == now.b()) {
            errand.stop();
            problem = CompareWords.fewGroups(all.size(), now);
            compared.set(Optional.empty());
            return;
        }
        GroupBy.Runs a = all.get(now.a());
        GroupBy.Runs b = all.get(now.b());
        List<String> names = new CompareWords(season.club()).groups(by, all);
        String nameA = names.get(now.a());
        String nameB = names.get(now.b());
        errand.runToEnd(job -> compared(a.named(nameA), b.named(nameB), a.runs(), b.runs()), this::ended);
    }

    private static Compared compared(Group a, Group b, List<Run> runsA, List<Run> runsB) {
        double volts = Stream.concat(runsA.stream(), runsB.stream())
                .mapToDouble(Run::volts)
                .filter(Double::isFinite)
                .average()
                .orElse(Double.NaN);
        return new Compared(
                a,
                b,
                Comparison.of(a, b),
                Optional.of(WhatChanged.between(runsA, runsB)),
                Optional.of(Tangled.of(runsA, runsB)),
                volts);
    }

    private void typed() {
        if (typedA.isEmpty() || typedB.isEmpty()) {
            errand.stop();
            problem = "Type the other group too.";
            compared.set(Optional.empty());
            return;
        }
        String a = typedA;
        String b = typedB;
        errand.runToEnd(job -> typed(TypedRuns.parse("A", a), TypedRuns.parse("B", b)), this::ended);
    }

    private static Compared typed(Group a, Group b) {
        return new Compared(a, b, Comparison.of(a, b), Optional.empty(), Optional.empty(), Double.NaN);
    }

    private void ended(Ending<Compared> ending) {
        problem = Ending.words(ending);
        compared.set(ending instanceof Ending.Done<Compared> done ? Optional.of(done.result()) : Optional.empty());
    }
}
