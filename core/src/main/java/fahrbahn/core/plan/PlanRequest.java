package fahrbahn.core.plan;

import fahrbahn.core.check.Check;
import fahrbahn.core.plan.Block.What;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What is to be planned.
 *
 * @param minutes that are left; above 0, at most a day
 * @param tables names of the tables; one or more, each once
 * @param teams the crews; one or more, each name once
 * @param calibrateAtS when lamps change and every crew captures its surfaces again; in any order
 * @param calibrateS how long that takes one crew; above 0
 */
public record PlanRequest(
        double minutes, List<String> tables, List<Team> teams, List<Double> calibrateAtS, double calibrateS) {
    private static final double MOST_MINUTES = 24 * 60;
    private static final int MOST_NAMES = 100;

    /** More than a venue has time for, and few enough to be planned at once. */
    public static final int MOST_RUNS = 20_000;

    /**
     * A crew, which runs one robot at a time.
     *
     * @param stages what it runs, one after the other; one or more
     * @param lapS how long a run takes, s; above 0
     * @param resetS from the end of a run until the next can start, s; 0 or more
     * @param checkS how long its sign check and first slow run take before the first run of each robot, s; 0 for none
     * @param batteryRuns runs that a battery lasts, 1 or more; {@link #ANY} when none is changed
     * @param swapS how long a swap takes, s; 0 or more
     */
    public record Team(
            String name, List<Stage> stages, double lapS, double resetS, double checkS, int batteryRuns, double swapS) {
        /** A battery lasts all day. */
        public static final int ANY = Integer.MAX_VALUE;

        public Team {
            Check.between("stages", stages.size(), 1, MOST_NAMES);
            stages = List.copyOf(stages);
            Check.positive("lapS", lapS);
            Check.notNegative("resetS", resetS);
            Check.between("runsEach", runs(stages), 0, MOST_RUNS);
            Check.notNegative("checkS", checkS);
            Check.between("batteryRuns", batteryRuns, 1, ANY);
            Check.notNegative("swapS", swapS);
        }

        /** Every robot with every setting, without checks and batteries. @param robots each name once @param settings likewise */
        public Team(String name, List<String> robots, List<String> settings, double lapS, double resetS, int runsEach) {
            this(name, compared(robots, settings, runsEach), lapS, resetS, 0, ANY, 0);
        }

        /** The one stage in which every robot runs with every setting. @param robots each name once @param settings likewise */
        public static List<Stage> compared(List<String> robots, List<String> settings, int runsEach) {
            checkNames("robots", robots);
            checkNames("settings", settings);
            return List.of(Stage.of(What.RUN, robots, settings, runsEach));
        }

        /** In the order in which they first run. */
        List<String> robots() {
            return stages.stream()
                    .flatMap(stage -> stage.pairs().stream())
                    .map(Stage.Pair::robot)
                    .distinct()
                    .toList();
        }

        private static double runs(List<Stage> stages) {
            return stages.stream().mapToDouble(Stage::runs).sum();
        }
    }

    public PlanRequest {
        Check.positive("minutes", minutes);
        Check.between("minutes", minutes, 0, MOST_MINUTES);
        checkNames("tables", tables);
        checkNames("teams", teams.stream().map(Team::name).toList());
        tables = List.copyOf(tables);
        teams = List.copyOf(teams);
        calibrateAtS = calibrateAtS.stream().sorted().toList();
        calibrateAtS.forEach(at -> Check.notNegative("calibrateAtS", at));
        Check.positive("calibrateS", calibrateS);
        double runs = teams.stream().mapToDouble(t -> Team.runs(t.stages())).sum();
        Check.between("runsEach", runs, 0, MOST_RUNS);
    }

    /** Without lamps that change. */
    public PlanRequest(double minutes, List<String> tables, List<Team> teams) {
        this(minutes, tables, teams, List.of(), 60);
    }

    private static void checkNames(String field, List<String> names) {
        Check.between(field, names.size(), 1, MOST_NAMES);
        Set<String> each = new HashSet<>(names);
        Check.require(each.size() == names.size(), field, String.join(", ", names), "each name once");
    }
}
