package fahrbahn.app.runs.compare;

import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.Snapshot;
import fahrbahn.app.state.State;
import fahrbahn.core.trials.Comparison;
import fahrbahn.core.trials.Family;
import fahrbahn.core.trials.Group;
import fahrbahn.core.trials.GroupBy;
import fahrbahn.core.trials.LapScatter;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.Tangled;
import fahrbahn.core.trials.TypedRuns;
import fahrbahn.core.trials.WhatChanged;
import fahrbahn.words.Names;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;

/** Any two groups of runs compared; groups that stand on paper only are typed. */
public final class CompareModel {
    private final Season season;
    private final Parameter<GroupBy> by;
    private final Parameter<Choice> choice;
    private final Parameter<Paper> paper;
    private final Derived<Groups> groups;
    private final Derived<Compared> compared;

    /** Groups that stand on paper, as {@link TypedRuns} reads them; those of the log book are compared when both are empty. @param scatterS of laps; empty for as much as the log book says */
    private record Paper(String a, String b, String scatterS) {}

    private record Book(GroupBy by, Snapshot<Run> runs, Names names) {}

    /** @param names in their order */
    record Groups(List<GroupBy.Runs> all, List<String> names) {
        private static final Groups NONE = new Groups(List.of(), List.of());
    }

    /** All that a comparison is made of. @param table that laps are judged by */
    private record Comparing(Paper paper, Groups groups, int a, int b, Snapshot<Run> book, String table) {}

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
        public boolean unjudged() {
            return scatter.isEmpty() && Comparison.fewLaps(a, b);
        }
    }

    /** A pair that was picked from several. @param pairs that could have been picked */
    record AmongAll(Family.Pair pair, int groups, int pairs) {}

    /** @param typed rather than from laps of the log book */
    public record Scatter(LapScatter known, boolean typed) {}

    public CompareModel(Season season, State state) {
        this.season = season;
        this.by = state.parameter(GroupBy.SETTING);
        this.choice = state.parameter(new Choice(1, 0, 0));
        this.paper = state.parameter(new Paper("", "", ""));
        this.groups = state.derive("The groups", this::book, (book, job) -> groups(book));
        this.compared = state.derive("The comparison", this::comparing, (of, job) -> compared(of));
    }

    /** Of the selected robot, but for a comparison of robots. */
    private Book book() {
        Snapshot<Run> runs = by.get() == GroupBy.ROBOT ? season.runsOfAllNow() : season.runsNow();
        return new Book(by.get(), runs, names());
    }

    /** The twin's are no runs of the robot. */
    private static Groups groups(Book book) {
        List<GroupBy.Runs> all = book.by().groups(onTable(book.runs()), ZoneId.systemDefault());
        return new Groups(all, new CompareWords(book.names()).groups(book.by(), all));
    }

    private static List<Run> onTable(Snapshot<Run> runs) {
        return runs.values().stream()
                .filter(run -> run.source() == Run.Source.TABLE)
                .toList();
    }

    private Comparing comparing() {
        Paper typed = paper.get();
        Choice now = choice.get();
        if (typed.a().isEmpty() != typed.b().isEmpty()) {
            throw new RefusedException("Type the other group too.");
        }
        Groups all = Groups.NONE;
        if (typed.a().isEmpty()) {
            all = groups.get().orElseThrow(() -> new RefusedException("Making the groups."));
            if (Math.max(now.a(), now.b()) >= all.all().size() || now.a() == now.b()) {
                throw new RefusedException(CompareWords.fewGroups(all.all().size(), now));
            }
        }
        return new Comparing(
                typed,
                all,
                now.a(),
                now.b(),
                season.runsNow(),
                season.basisNow().table().id());
    }

    /** Groups of the log book, the newest first. */
    Derived<Groups> groups() {
        return groups;
    }

    ReadOnlyObjectProperty<Choice> choiceProperty() {
        return choice.property();
    }

    public Derived<Compared> compared() {
        return compared;
    }

    GroupBy by() {
        return by.get();
    }

    /** What robots and venues are called. */
    Names names() {
        return season.club().names();
    }

    /** Somebody looks. */
    public void show() {
        groups.show();
        compared.show();
    }

    void group(GroupBy newBy) {
        choice.set(new Choice(1, 0, 0));
        by.set(newBy);
    }

    /** Groups by the next thing. */
    void nextGrouping() {
        group(GroupBy.values()[(by.get().ordinal() + 1) % GroupBy.values().length]);
    }

    void move(int by) {
        int last = groups.get().map(g -> g.all().size()).orElse(0) - 1;
        Choice now = choice.get();
        choice.set(new Choice(now.a(), now.b(), Math.max(0, Math.min(last, now.row() + by))));
    }

    void takeRow(int row) {
        choice.set(new Choice(choice.get().a(), choice.get().b(), row));
    }

    /** The group that is looked at is the first of the comparison. */
    void takeAsA() {
        choice.set(new Choice(choice.get().row(), choice.get().b(), choice.get().row()));
    }

    void takeAsB() {
        choice.set(new Choice(choice.get().a(), choice.get().row(), choice.get().row()));
    }

    /** Groups that stand on paper; when both are empty those of the log book are compared. */
    public void type(String a, String b) {
        paper.set(new Paper(a.strip(), b.strip(), paper.get().scatterS()));
    }

    /** How much laps of one setting differ, s; nothing for as much as the log book says. */
    public void typeScatter(String seconds) {
        paper.set(new Paper(paper.get().a(), paper.get().b(), seconds.strip()));
    }

    /** Where a lap or two are to be judged: as typed, or of the laps on this table, or of all of this robot's. */
    private static Optional<Scatter> scatter(Comparing of, Group a, Group b) {
        if (!Comparison.fewLaps(a, b)) {
            return Optional.empty();
        }
        String typed = of.paper().scatterS();
        if (!typed.isEmpty()) {
            double lapS = (a.timeS().mean() + b.timeS().mean()) / 2;
            return Optional.of(new Scatter(LapScatter.typed(TypedRuns.seconds("lap scatter", typed), lapS), true));
        }
        List<Run> book = onTable(of.book());
        List<Run> here = book.stream()
                .filter(run -> run.basis().table().id().equals(of.table()))
                .toList();
        return pooled(here).or(() -> pooled(book)).map(known -> new Scatter(known, false));
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

    private static Compared compared(Comparing of) {
        if (!of.paper().a().isEmpty()) {
            return typed(
                    of,
                    TypedRuns.parse("A", of.paper().a()),
                    TypedRuns.parse("B", of.paper().b()));
        }
        List<GroupBy.Runs> all = of.groups().all();
        List<Run> runsA = all.get(of.a()).runs();
        List<Run> runsB = all.get(of.b()).runs();
        Group a = all.get(of.a()).named(of.groups().names().get(of.a()));
        Group b = all.get(of.b()).named(of.groups().names().get(of.b()));
        Optional<Scatter> known = scatter(of, a, b);
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
                among(all, of.a(), of.b()));
    }

    private static Optional<AmongAll> among(List<GroupBy.Runs> all, int a, int b) {
        if (all.size() < 3 || all.size() > ComparePage.MOST_ROWS) {
            return Optional.empty();
        }
        Family family = Family.of(all.stream().map(runs -> runs.named("")).toList());
        return Optional.of(
                new AmongAll(family.pair(a, b), all.size(), family.pairs().size()));
    }

    private static Comparison comparison(Group a, Group b, Optional<Scatter> scatter) {
        return scatter.map(s -> Comparison.of(a, b, s.known())).orElseGet(() -> Comparison.of(a, b));
    }

    private static Compared typed(Comparing of, Group a, Group b) {
        Optional<Scatter> known = scatter(of, a, b);
        return new Compared(
                a, b, comparison(a, b, known), Optional.empty(), Optional.empty(), Double.NaN, known, Optional.empty());
    }
}
