package fahrbahn.core.trials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Effect;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.statistics.StoppingRule;
import java.io.StringReader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ComparisonTest {
    private static Group group(String setting, int completed, int lost, double... times) {
        List<Outcome> trials = new ArrayList<>();
        for (int i = 0; i < completed + lost; i++) {
            double time = times.length > i ? times[i] : Double.NaN;
            trials.add(Outcome.of(i < completed, time).withStop(time, Double.NaN));
        }
        return new Group(setting, trials);
    }

    /** Six readings of 12.1 s and six of 11.4: a stopwatch with a tenth for its last digit, not two spreads of 0. */
    @Test
    void aStopwatchThatReadsTheSameHasAResolution() {
        Effect time = Comparison.of(
                        group("a", 6, 0, 12.1, 12.1, 12.1, 12.1, 12.1, 12.1),
                        group("b", 6, 0, 11.4, 11.4, 11.4, 11.4, 11.4, 11.4))
                .timeS();
        assertThat(time.size()).isCloseTo(-0.7, within(1e-12));
        double error = 0.1 / Math.sqrt(12) * Math.sqrt(2.0 / 6);
        // Of ten degrees of freedom, as both spreads are alike: Student's 97.5 % is 2.228.
        assertThat(time.high() - time.size()).isCloseTo(2.228 * error, within(1e-5));
        assertThat(time.shown()).isTrue();
        Effect alike = Comparison.of(group("a", 3, 0, 12, 12, 12), group("b", 3, 0, 12, 12, 12))
                .timeS();
        assertThat(alike.p()).isCloseTo(1, within(1e-9));
        assertThat(alike.shown()).isFalse();
    }

    /** Holm 1979: of 0.01, 0.04, 0.03 the family's are 0.03, 0.06 and 0.06. */
    @Test
    void pairsOfAFamilyAreJudgedByHolmsSteps() {
        assertThat(Family.holm(new double[] {0.01, 0.04, 0.03}))
                .containsExactly(new double[] {0.03, 0.06, 0.06}, within(1e-12));
        assertThat(Family.holm(new double[] {0.4, Double.NaN, 0.5})).containsExactly(0.8, Double.NaN, 0.8);
        Family three = Family.of(List.of(group("a", 9, 0), group("b", 5, 4), group("c", 0, 9)));
        assertThat(three.pair(1, 2)).isSameAs(three.pairs().get(2));
        assertThat(three.pair(2, 0)).isSameAs(three.pairs().get(1));
        assertThat(three.pair(1, 0)).isSameAs(three.pairs().get(0));
        assertThat(three.pairs()).extracting(p -> p.comparison().b()).containsExactly("b", "c", "c");
        assertThat(three.pairs().get(1).completionP())
                .isCloseTo(3 * three.pairs().get(1).comparison().completion().p(), within(1e-12));
    }

    /** Where nothing differs, three settings show something in fewer than one case in twenty; judged one by one in more. */
    @Test
    void aFamilyOfThreeShowsByLuckNoMoreThanASinglePair() {
        Random random = new Random(4);
        int families = 0;
        int single = 0;
        int cases = 600;
        for (int i = 0; i < cases; i++) {
            List<Group> groups = new ArrayList<>();
            for (String name : List.of("a", "b", "c")) {
                groups.add(group(name, 8, 0, random.doubles(8).map(d -> 12 + d).toArray()));
            }
            Family family = Family.of(groups);
            families += family.pairs().stream().anyMatch(p -> p.timeP() < 0.05) ? 1 : 0;
            single +=
                    family.pairs().stream().anyMatch(p -> p.comparison().timeS().shown()) ? 1 : 0;
        }
        // 0.05 of 600 and three of its standard deviations.
        assertThat(families).isLessThanOrEqualTo((int) (0.05 * cases + 3 * Math.sqrt(0.05 * 0.95 * cases)));
        assertThat(single).isGreaterThan(families);
    }

    /** Fisher's own example, the lady tasting tea (The Design of Experiments, 1935): 3 of 4 right, p = 34/70 two-sided. */
    @Test
    void fisherAgreesWithHisOwnTable() {
        assertThat(Comparison.fisher(3, 4, 1, 4)).isCloseTo(34.0 / 70, within(1e-12));
        assertThat(Comparison.fisher(4, 4, 0, 4)).isCloseTo(2.0 / 70, within(1e-12));
        assertThat(Comparison.fisher(5, 9, 5, 9)).isCloseTo(1, within(1e-12));
    }

    /** Newcombe 1998, table II, (a): 56/70 against 48/80 gives 0.0524 to 0.3339 by method 10. */
    @Test
    void intervalOfTheDifferenceAgreesWithTheSource() {
        Effect effect = Comparison.of(group("b", 48, 32), group("a", 56, 14)).completion();
        assertThat(effect.size()).isCloseTo(0.2, within(1e-12));
        assertThat(effect.low()).isCloseTo(0.0524, within(5e-5));
        assertThat(effect.high()).isCloseTo(0.3339, within(5e-5));
        assertThat(effect.shown()).isTrue();
        assertThat(effect.moreRunsEach()).isZero();
    }

    /** Equal variances and sizes: Welch's test is Student's, with 2n - 2 degrees of freedom. */
    @Test
    void welchIsStudentWhereVariancesAreEqual() {
        Effect effect = Comparison.of(group("a", 3, 0, 1, 2, 3), group("b", 3, 0, 3, 4, 5))
                .timeS();
        // t = 2 / sqrt(1/3 + 1/3) = 2.449 with 4 degrees of freedom: p = 0.0705 (any table of t).
        assertThat(effect.size()).isEqualTo(2);
        assertThat(effect.p()).isCloseTo(0.0705, within(5e-5));
        assertThat(effect.low()).isCloseTo(2 - 2.7764 * Math.sqrt(2.0 / 3), within(1e-3));
        assertThat(effect.shown()).isFalse();
        // n = (sd_a^2 + sd_b^2) * (t_0.975 + t_0.8)^2 / 2^2 with 2n - 2 degrees of freedom: 5.1, so six runs each,
        // three more.
        assertThat(effect.moreRunsEach()).isEqualTo(3);
    }

    @Test
    void unlikeSpreadsAreFoundAndLikeOnesAreNot() {
        double[] narrow = {10, 11, 9, 10.5, 9.5, 10.2, 9.8, 10.1};
        double[] wide = Arrays.stream(narrow).map(v -> 10 + 8 * (v - 10)).toArray();
        Effect effect =
                Comparison.of(group("a", 8, 0, narrow), group("b", 8, 0, wide)).alongSpread();
        assertThat(effect.size()).as("ratio of spreads").isCloseTo(8, within(1e-9));
        assertThat(effect.low()).isGreaterThan(1);
        assertThat(effect.shown()).isTrue();
        Effect same = Comparison.of(group("a", 8, 0, narrow), group("b", 8, 0, narrow))
                .alongSpread();
        assertThat(same.p()).isCloseTo(1, within(1e-9));
        assertThat(same.moreRunsEach()).as("nothing to show").isEqualTo(-1);
    }

    @Test
    void tooFewRunsSayNothingRatherThanSomething() {
        Comparison two = Comparison.of(group("a", 1, 0, 5), group("b", 1, 0, 6));
        assertThat(two.timeS().p()).isNaN();
        assertThat(two.timeS().shown()).isFalse();
        assertThat(two.alongSpread().p()).isNaN();
        Comparison lost = Comparison.of(group("a", 0, 3), group("b", 0, 2));
        assertThat(lost.completion().p()).isEqualTo(1);
        assertThat(lost.timeS().size()).isNaN();
    }

    /** The coverage of the interval, by drawing: 95 % of 600 within three of its own sigmas. */
    @Test
    void intervalsCoverTheTruthAsOftenAsTheySay() {
        Random random = new Random(8);
        int covered = 0;
        for (int trial = 0; trial < 600; trial++) {
            double[] a = random.doubles(9).map(d -> 20 + d).toArray();
            double[] b = random.doubles(7).map(d -> 21 + 3 * d).toArray();
            Effect effect =
                    Comparison.of(group("a", 9, 0, a), group("b", 7, 0, b)).timeS();
            covered += effect.low() <= 2 && effect.high() >= 2 ? 1 : 0;
        }
        assertThat(covered / 600.0).isCloseTo(0.95, within(3 * Math.sqrt(0.95 * 0.05 / 600)));
    }

    @Test
    void stopPlacesAreJudgedByWindowFirstRunAndTrend() {
        StopPlace place = new StopPlace(Sample.of(new double[] {14, 1, -1, 2, 0, -2, 1, -1}));
        assertThat(place.inside(-3, 3)).isEqualTo(Completion.of(7, 8));
        StopPlace.Apart first = place.firstRun();
        assertThat(first.awayMm()).isCloseTo(14, within(1e-9));
        assertThat(first.p()).isLessThan(0.001);
        assertThat(place.overRuns().slope()).isNegative();
        StopPlace drifting = new StopPlace(Sample.of(new double[] {1, 2.1, 2.9, 4.05, 5}));
        assertThat(drifting.overRuns().slope()).isCloseTo(1, within(0.03));
        assertThat(drifting.overRuns().p()).isLessThan(0.001);
        assertThat(drifting.over(new double[] {8, 7.9, 7.8, 7.7, 7.6}).slope()).isCloseTo(-10, within(0.3));
        assertThatThrownBy(() -> place.inside(3, 3)).hasMessageContaining("window.highMm is 3");
    }

    /** The rules against drawn runs: 20,000 of them tell a standard deviation to 1.5 % at three sigmas. */
    @Test
    void stoppingRulesPredictTheScatterOfDrawnRuns() {
        var c = new StoppingRule.Circumstances(1500, 300, 0.02, 0.006, 3, 0.8, 0.01, 0.09);
        Random random = new Random(3);
        double[] timer = new double[20_000];
        double[] turns = new double[timer.length];
        for (int i = 0; i < timer.length; i++) {
            timer[i] = 1500 * 0.02 * random.nextGaussian() + 3 * (random.nextDouble() - 0.5);
            turns[i] = 1500 * 0.006 * random.nextGaussian()
                    + 3 * (random.nextDouble() - 0.5)
                    + 3 * (random.nextDouble() - 0.5);
        }
        double byTimer = StoppingRule.TIMER.scatterMm(c);
        double byTurns = StoppingRule.WHEEL_TURNS.scatterMm(c);
        assertThat(new Sample(timer).sd()).isCloseTo(byTimer, within(0.02 * byTimer));
        assertThat(new Sample(turns).sd()).isCloseTo(byTurns, within(0.02 * byTurns));
        assertThat(StoppingRule.MARK.scatterMm(c)).isLessThan(byTurns);
        assertThat(byTurns).isLessThan(byTimer);
    }

    @Test
    void oneChangeTellsTwoDoNot() {
        Setup setup = Setups.pair();
        Setup gain = setup.withLaw(setup.law().withGains(0.3, 0, 0.3));
        Setup both = gain.withLaw(gain.law().withBaseCommand(50));
        WhatChanged one = WhatChanged.between(List.of(run(setup)), List.of(run(gain)));
        assertThat(one.causes()).hasSize(1);
        assertThat(one.mixed()).isFalse();
        WhatChanged two = WhatChanged.between(List.of(run(setup)), List.of(run(both)));
        assertThat(two.causes()).hasSize(2);
        WhatChanged mixed = WhatChanged.between(List.of(run(setup), run(both)), List.of(run(gain)));
        assertThat(mixed.mixed()).isTrue();
    }

    private static Run run(Setup setup) {
        String id = setup.law().kp() + " " + setup.law().baseCommand();
        Basis basis = Basis.of(Instant.EPOCH, Conditions.UNKNOWN).withSetting(new Setting(id, setup));
        return new Run(
                "r", Run.Source.TABLE, "robot", basis, Outcome.of(true, 9).withRmsMm(1), "");
    }

    @Test
    void runsAreReadFromATableAndGroupedInTheirOrder() throws Exception {
        String csv = "remark;setting;completed;timeS;alongMm\nx;B;yes;20,5;1\n;A;0;;\n;B;true;21;-2,5\n";
        List<Group> groups = TrialsFile.read(new StringReader(csv));
        assertThat(groups).extracting(Group::setting).containsExactly("B", "A");
        assertThat(groups.get(0).timeS().mean()).isCloseTo(20.75, within(1e-12));
        assertThat(groups.get(0).acrossMm().n()).isZero();
        assertThat(groups.get(1).completion()).isEqualTo(Completion.of(0, 1));
    }

    @Test
    void aBrokenTableOfRunsNamesLineColumnAndValue() {
        refused("", "empty");
        refused("setting,timeS\nA,3\n", "with 'completed' among them");
        refused("setting,completed\n", "file is empty");
        refused("setting,completed\nA,maybe\n", "line 2.completed is 'maybe'; it must be true or false");
        refused("setting,completed,timeS\nA,true,fast\n", "line 2.timeS is 'fast'");
        refused("setting,completed,timeS\nA,true,-4\n", "line 2.timeS is -4; it must be above 0");
        refused("setting,completed\nA,true,4\n", "line 2 is 3 values; it must be 2 values");
        refused("setting,completed\n,true\n", "line 2.setting is empty");
    }

    private static void refused(String csv, String message) {
        assertThatThrownBy(() -> TrialsFile.read(new StringReader(csv)))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining(message);
    }
}
