package fahrbahn.app.runs;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.trials.Comparison;
import fahrbahn.core.trials.Family;
import fahrbahn.core.trials.Group;
import fahrbahn.core.trials.GroupBy;
import fahrbahn.core.trials.LapScatter;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.Tangled;
import fahrbahn.core.trials.TypedRuns;
import fahrbahn.core.trials.WhatChanged;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
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
    private String typedScatter = "";
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
     * @param scatter of laps, known from elsewhere and gone by; empty where both have laps enough, or none, or it is not known
     * @param among all groups that stand beside them; empty where there are no others
     */
    public record Compared(
            Group a,
            Group b,
            Comparison comparison,
            Optional<WhatChanged> changed,
            Optional<Tangled> tangled,
            double usualVolts,
            Optional<Scatter> scatter,
            Optional<AmongAll> among) {
        /** Whether there is too little of one of them to judge times by, and nothing is known from elsewhere. */
        boolean unjudged() {
            return scatter.isEmpty() && Comparison.fewLaps(a, b);
        }
    }

    /** A pair that was picked from several. @param pairs that could have been picked */
    record AmongAll(Family.Pair pair, int groups, int pairs) {}

    /** @param typed rather than from laps of the log book */
    record Scatter(LapScatter known, boolean typed) {}

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

    /** How much laps of one setting differ, s; nothing for as much as the log book says. */
    public void typeScatter(String seconds) {
        typedScatter = seconds.strip();
        compare();
    }

    /** Where a lap or two are to be judged: as typed, or of the laps on this table, or of all of this robot's. */
    private BiFunction<Group, Group, Optional<Scatter>> scatter() {
        String typed = typedScatter;
        List<Run> book = season.runs().stream()
                .filter(run -> run.source() == Run.Source.TABLE)
                .toList();
        String table = season.basisNow().table().id();
        return (a, b) -> {
            if (!Comparison.fewLaps(a, b)) {
                return Optional.empty();
            }
            if (!typed.isEmpty()) {
                double lapS = (a.timeS().mean() + b.timeS().mean()) / 2;
                return Optional.of(new Scatter(LapScatter.typed(TypedRuns.seconds("lap scatter", typed), lapS), true));
            }
            List<Run> here = book.stream()
                    .filter(run -> run.basis().table().id().equals(table))
                    .toList();
            return pooled(here).or(() -> pooled(book)).map(known -> new Scatter(known, false));
        };
    }

    private static Optional<LapScatter> pooled(List<Run> runs) {
        return LapScatter.pooled(
                runs.stream()
                        .collect(
                                Collectors.groupingBy(run -> run.basis().table().id()))
                        .values()
                        .stream()
                        .flatMap(table -> GroupBy.SETTING.groups(table, ZoneId.systemDefault()).stream())
                        .map(group -> group.named(""))
                        .toList());
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
        List<String> names = new CompareWords(season.club()).groups(by, all);
        String nameA = names.get(now.a());
        String nameB = names.get(now.b());
        BiFunction<Group, Group, Optional<Scatter>> scatter = scatter();
        Comparing comparing = new Comparing(all, now, nameA, nameB, scatter);
        errand.runToEnd(job -> compared(comparing), this::ended);
    }

    /** All that a comparison is made of. */
    private record Comparing(
            List<GroupBy.Runs> all,
            Choice choice,
            String nameA,
            String nameB,
            BiFunction<Group, Group, Optional<Scatter>> scatter) {}

    private static Compared compared(Comparing of) {
        List<Run> runsA = of.all().get(of.choice().a()).runs();
        List<Run> runsB = of.all().get(of.choice().b()).runs();
        Group a = of.all().get(of.choice().a()).named(of.nameA());
        Group b = of.all().get(of.choice().b()).named(of.nameB());
        Optional<Scatter> known = of.scatter().apply(a, b);
        double volts = Stream.concat(runsA.stream(), runsB.stream())
                .mapToDouble(Run::volts)
                .filter(Double::isFinite)
                .average()
                .orElse(Double.NaN);
        return new Compared(
                a,
                b,
                comparison(a, b, known),
                Optional.of(WhatChanged.between(runsA, runsB)),
                Optional.of(Tangled.of(runsA, runsB)),
                volts,
                known,
                among(of.all(), of.choice()));
    }

    private static Optional<AmongAll> among(List<GroupBy.Runs> all, Choice choice) {
        if (all.size() < 3 || all.size() > ComparePage.MOST_ROWS) {
            return Optional.empty();
        }
        Family family = Family.of(all.stream().map(runs -> runs.named("")).toList());
        return Optional.of(new AmongAll(
                family.pair(choice.a(), choice.b()), all.size(), family.pairs().size()));
    }

    private static Comparison comparison(Group a, Group b, Optional<Scatter> scatter) {
        return scatter.map(s -> Comparison.of(a, b, s.known())).orElseGet(() -> Comparison.of(a, b));
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
        BiFunction<Group, Group, Optional<Scatter>> scatter = scatter();
        errand.runToEnd(job -> typed(TypedRuns.parse("A", a), TypedRuns.parse("B", b), scatter), this::ended);
    }

    private static Compared typed(Group a, Group b, BiFunction<Group, Group, Optional<Scatter>> scatter) {
        Optional<Scatter> known = scatter.apply(a, b);
        return new Compared(
                a, b, comparison(a, b, known), Optional.empty(), Optional.empty(), Double.NaN, known, Optional.empty());
    }

    private void ended(Ending<Compared> ending) {
        problem = Ending.words(ending);
        compared.set(ending instanceof Ending.Done<Compared> done ? Optional.of(done.result()) : Optional.empty());
    }
}
