package fahrbahn.app.runs.plan;

import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Season;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.plan.Asked;
import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.Pace;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Stage;
import fahrbahn.core.plan.Stage.Pair;
import fahrbahn.core.plan.TuningSteps;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Run;
import fahrbahn.words.RunWords;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Turns what robots are to run into a request that can be planned: crews with stages, paces from the log book. */
final class PlanMaker {
    static final String NEXT_TRIAL = "the next trial of Gains";

    /** Before anything is logged. */
    private static final double USUAL_LAP_S = 30;

    private static final double USUAL_RESET_S = 45;

    /** Three are as many as can be told apart in an evening. */
    private static final int MOST_SETTINGS = 3;

    /** Steps of a ladder are tried twice: once is luck. */
    private static final int STEP_RUNS = 2;

    private final Season season;
    private final PlanWish wish;
    private final String tableInHand;

    PlanMaker(Season season, PlanWish wish) {
        this.season = season;
        this.wish = wish;
        this.tableInHand = season.basisNow().table().name();
    }

    /** What is known of a robot that is to be planned for. @param crew its team, or itself where it has none */
    record Wanted(String name, String crew, Setup setup, PlanModel.Aim aim, List<Law> settings, Pace pace) {}

    /** Looks it up; on the interface thread. */
    Wanted wanted(Entry robot, PlanModel.Aim aim) {
        Setup setup = season.club().setupOf(robot.id()).orElseGet(season::setupOrGuess);
        List<Run> runs = season.logBook().of(robot.id()).stream()
                .filter(run -> run.source() == Run.Source.TABLE)
                .toList();
        Map<String, Law> settings = new LinkedHashMap<>(Map.of(RunWords.setting(setup.law()), setup.law()));
        for (int i = runs.size() - 1; i >= 0 && settings.size() < MOST_SETTINGS; i--) {
            settings.putIfAbsent(
                    RunWords.setting(runs.get(i)), runs.get(i).setting().setup().law());
        }
        return new Wanted(
                robot.name(),
                robot.team().isEmpty() ? robot.name() : robot.team(),
                setup,
                aim,
                List.copyOf(settings.values()),
                Pace.of(runs));
    }

    /** @throws BadValueException when so much cannot be planned */
    PlanRequest request(List<Wanted> robots) {
        Map<String, List<Wanted>> crews =
                robots.stream().collect(Collectors.groupingBy(Wanted::crew, LinkedHashMap::new, Collectors.toList()));
        List<Team> teams = new ArrayList<>();
        crews.forEach((crew, its) -> teams.add(team(crew, its)));
        List<Double> lamps = Double.isNaN(wish.of(PlanItem.LAMPS)) ? List.of() : List.of(60 * wish.of(PlanItem.LAMPS));
        return new PlanRequest(wish.of(PlanItem.MINUTES), wish.tables(tableInHand), teams, lamps, 180);
    }

    private Team team(String crew, List<Wanted> robots) {
        Map<What, List<Pair>> pairs = new EnumMap<>(What.class);
        robots.forEach(robot -> stages(robot, pairs));
        List<Stage> stages = new ArrayList<>();
        pairs.forEach((what, its) -> stages.add(new Stage(what, its, runs(what))));
        return new Team(
                crew,
                stages,
                lapS(robots),
                resetS(robots),
                wish.of(PlanItem.CHECK),
                Double.isNaN(wish.of(PlanItem.BATTERY_RUNS)) ? Team.ANY : (int) wish.of(PlanItem.BATTERY_RUNS),
                wish.of(PlanItem.SWAP));
    }

    private int runs(What what) {
        return switch (what) {
            case STRAIGHT, BENDS -> 1;
            case KP_STEP, KD_STEP -> STEP_RUNS;
            default -> (int) wish.of(PlanItem.RUNS_EACH);
        };
    }

    private double lapS(List<Wanted> robots) {
        return !Double.isNaN(wish.of(PlanItem.LAP))
                ? wish.of(PlanItem.LAP)
                : robots.stream()
                        .flatMapToDouble(r -> r.pace().lapS().stream())
                        .max()
                        .orElse(USUAL_LAP_S);
    }

    private double resetS(List<Wanted> robots) {
        return !Double.isNaN(wish.of(PlanItem.RESET))
                ? wish.of(PlanItem.RESET)
                : robots.stream()
                        .flatMapToDouble(r -> r.pace().resetS().stream())
                        .max()
                        .orElse(USUAL_RESET_S);
    }

    private static void stages(Wanted robot, Map<What, List<Pair>> pairs) {
        switch (robot.aim()) {
            case CONFIRM -> add(pairs, What.CONFIRM, robot, robot.settings().get(0));
            case COMPARE -> robot.settings().forEach(law -> add(pairs, What.RUN, robot, law));
            case NEXT -> add(pairs, What.RUN, robot, NEXT_TRIAL);
            case TUNE -> tune(robot, pairs);
            case OUT -> {}
        }
    }

    private static void tune(Wanted robot, Map<What, List<Pair>> pairs) {
        add(pairs, What.STRAIGHT, robot, "Kp low, slowly");
        add(pairs, What.BENDS, robot, "Kp low, slowly");
        for (double kp : TuningSteps.kp(robot.setup())) {
            double typed = Rounding.significant(kp, 2); // as it is told, so that a run with it counts
            add(pairs, What.KP_STEP, robot, "Kp " + Words.number(typed, 2) + ", Kd 0", Asked.gains(typed, 0));
        }
        for (double ratio : TuningSteps.KD_PER_KP) {
            add(
                    pairs,
                    What.KD_STEP,
                    robot,
                    "the best Kp, Kd " + (ratio == 0 ? "0" : Words.number(ratio, 2) + " times Kp"));
        }
        add(pairs, What.CONFIRM, robot, "the best of them");
    }

    private static void add(Map<What, List<Pair>> pairs, What what, Wanted robot, Law law) {
        add(pairs, what, robot, RunWords.setting(law), Asked.of(law));
    }

    private static void add(Map<What, List<Pair>> pairs, What what, Wanted robot, String how) {
        add(pairs, what, robot, how, Asked.ANYTHING);
    }

    private static void add(Map<What, List<Pair>> pairs, What what, Wanted robot, String setting, Asked asked) {
        pairs.computeIfAbsent(what, w -> new ArrayList<>()).add(new Pair(robot.name(), setting, asked));
    }
}
