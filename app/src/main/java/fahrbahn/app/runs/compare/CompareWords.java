package fahrbahn.app.runs.compare;

import fahrbahn.app.runs.compare.CompareModel.Choice;
import fahrbahn.app.runs.compare.CompareModel.Compared;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Effect;
import fahrbahn.core.trials.Comparison;
import fahrbahn.core.trials.Group;
import fahrbahn.core.trials.GroupBy;
import fahrbahn.core.trials.Tangled;
import fahrbahn.core.trials.WhatChanged;
import fahrbahn.words.CauseWords;
import fahrbahn.words.LawWords;
import fahrbahn.words.Names;
import fahrbahn.words.RunWords;
import fahrbahn.words.Words;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/** A comparison in sentences. */
final class CompareWords {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final Names names;

    CompareWords(Names names) {
        this.names = names;
    }

    static String by(GroupBy by) {
        return switch (by) {
            case SETTING -> "setting";
            case PROGRAM -> "program";
            case ROBOT -> "robot";
            case WHEELS -> "wheels";
            case DAY -> "day";
            case TABLE -> "table";
            case VENUE -> "venue";
            case TAG -> "tag";
        };
    }

    /** How groups are called; two that would be called alike are told apart by when they began. */
    List<String> groups(GroupBy by, List<GroupBy.Runs> all) {
        List<String> called = all.stream().map(runs -> group(by, runs)).toList();
        List<String> apart = new ArrayList<>();
        for (int i = 0; i < called.size(); i++) {
            boolean alone = Collections.frequency(called, called.get(i)) == 1;
            apart.add(called.get(i)
                    + (alone ? "" : ", from " + RunWords.when(all.get(i).runs().get(0))));
        }
        return apart;
    }

    private String group(GroupBy by, GroupBy.Runs runs) {
        return switch (by) {
            case SETTING -> RunWords.setting(runs.runs().get(runs.runs().size() - 1));
            case PROGRAM ->
                LawWords.kind(runs.basis().setup().orElseThrow().law().signal());
            case ROBOT -> names.robot(String.valueOf(runs.key()));
            case WHEELS -> said((String) runs.key(), "wheels not noted");
            case DAY -> DAY.format((LocalDate) runs.key());
            case TABLE -> said(((TablePrint) runs.key()).name(), "no table noted");
            case VENUE -> said(names.venue((String) runs.key()), "no venue noted");
            case TAG -> (String) runs.key();
        };
    }

    private static String said(String words, String otherwise) {
        return words.isEmpty() ? otherwise : words;
    }

    /** Beside no warnings. */
    static String nothingElse(Compared compared) {
        return compared.changed().isPresent()
                ? "Nothing else differs in the notes."
                : "Typed runs: order and other differences are unknown.";
    }

    static String fewGroups(int groups, Choice now) {
        return groups < 2
                ? "There is " + Words.count(groups, "group", "groups")
                        + ". Group by something else, or type both below."
                : now.a() == now.b()
                        ? "A and B are the same group. Select another row, then press A or B."
                        : "Select a row with Up and Down, then press A or B.";
    }

    /** The answer: what is shown of finishing, else of the time, else of the scatter. */
    static String verdict(Compared compared) {
        Comparison c = compared.comparison();
        String counts = "A " + ran(compared.a()) + ", B " + ran(compared.b());
        if (c.completion().shown()) {
            boolean b = c.completion().size() > 0;
            return (b ? "B" : "A") + " finishes more often: " + ran(b ? compared.b() : compared.a()) + ", "
                    + (b ? "A " : "B ") + ran(b ? compared.a() : compared.b()) + ".";
        }
        if (c.timeS().shown()) {
            return (c.timeS().size() < 0 ? "B" : "A") + " is faster by "
                    + Words.number(Math.abs(c.timeS().size()), 2) + " s; finishing: no clear difference ("
                    + counts + ").";
        }
        if (c.alongSpread().shown()) {
            return (c.alongSpread().size() < 1 ? "B" : "A") + " stops more exactly; no other clear difference ("
                    + counts + ").";
        }
        if (compared.scatter().isPresent()) {
            return few(c.timeS());
        }
        if (compared.unjudged()) {
            return "Too few laps: type the lap scatter, or drive each twice more.";
        }
        int more = c.completion().moreRunsEach();
        return "No clear difference, " + counts
                + (more > 0 ? ": about " + more + " more runs each would show it." : ".");
    }

    /** What a lap or two of each tell, when it is not enough. */
    private static String few(Effect time) {
        int more = time.moreRunsEach();
        return (time.size() < 0 ? "B" : "A") + " was " + Words.number(Math.abs(time.size()), 2)
                + " s faster; too few laps to be sure"
                + (more > 0 ? ": about " + more + " more laps each would show it." : ".");
    }

    private static String scatter(CompareModel.Scatter scatter, double lapS) {
        String seconds = Words.number(scatter.known().share() * lapS, 2) + " s";
        return scatter.typed()
                ? "Lap scatter used: " + seconds + " (typed)."
                : "Lap scatter used: " + seconds + " (from "
                        + Words.count((int) scatter.known().freedom() + 1, "lap", "laps") + " in the log book).";
    }

    private static String ran(Group group) {
        return group.completion().completed() + " of " + group.completion().runs();
    }

    static List<String> evidence(Compared compared) {
        List<String> said = new ArrayList<>();
        Comparison c = compared.comparison();
        said.add(finished(compared.a(), compared.b(), c.completion()));
        if (!Double.isNaN(c.timeS().low())) {
            said.add("B takes " + signed(c.timeS().size(), "s more", "s less") + interval(c.timeS(), 1, " s")
                    + shown(c.timeS()));
        }
        compared.scatter()
                .ifPresent(s -> said.add(scatter(
                        s, (compared.a().timeS().mean() + compared.b().timeS().mean()) / 2)));
        if (!Double.isNaN(c.alongSpread().p())) {
            said.add("B's stop places scatter " + Words.number(c.alongSpread().size(), 2) + " times as far"
                    + interval(c.alongSpread(), 1, "") + shown(c.alongSpread()));
        }
        return said;
    }

    private static String finished(Group a, Group b, Effect effect) {
        Completion first = a.completion();
        Completion second = b.completion();
        return "A finished " + first.completed() + " of " + first.runs() + ", B " + second.completed() + " of "
                + second.runs() + ": " + Words.percent(Math.abs(effect.size()))
                + (effect.size() < 0 ? " less" : " more") + interval(effect, 100, " %") + shown(effect);
    }

    private static String signed(double value, String more, String less) {
        return Words.number(Math.abs(value), 2) + " " + (value < 0 ? less : more);
    }

    private static String interval(Effect effect, double unit, String word) {
        return Double.isNaN(effect.low())
                ? ""
                : " (" + Words.number(unit * effect.low(), 2) + " to " + Words.number(unit * effect.high(), 2) + word
                        + ", likely range)";
    }

    private static String shown(Effect effect) {
        if (effect.shown()) {
            return ": clear difference; by luck alone in " + Words.percent(effect.p()) + " of such cases.";
        }
        String more = effect.moreRunsEach() < 0
                ? ""
                : "; about " + effect.moreRunsEach() + " more runs each would show a difference of this size";
        return ": not clear yet; by luck alone in " + Words.percent(effect.p()) + " of such cases" + more + ".";
    }

    /** What keeps the comparison from telling what it seems to tell. */
    List<String> warnings(Compared compared) {
        List<String> said = new ArrayList<>();
        compared.among().ifPresent(all -> said.addAll(among(compared.comparison(), all)));
        compared.changed().ifPresent(changed -> said.addAll(changed(changed)));
        compared.tangled().ifPresent(tangled -> said.addAll(tangled(tangled, compared.usualVolts())));
        return said;
    }

    /** Of many pairs one differs by luck more often than a single one: what is shown has to be shown among all of them. */
    private static List<String> among(Comparison alone, CompareModel.AmongAll all) {
        Effect[] shown = {alone.completion(), alone.timeS(), alone.alongSpread()};
        double[] among = {
            all.pair().completionP(), all.pair().timeP(), all.pair().alongSpreadP()
        };
        for (int i = 0; i < shown.length; i++) {
            if (shown[i].shown()) {
                String pairs = "These " + all.groups() + " groups make " + all.pairs() + " pairs";
                return List.of(
                        among[i] < Effect.SHOWN
                                ? pairs + "; still a clear difference."
                                : pairs + "; by luck alone one of them differs like this in " + Words.percent(among[i])
                                        + " of cases: not clear yet.");
            }
        }
        return List.of();
    }

    private List<String> changed(WhatChanged changed) {
        List<String> said = new ArrayList<>();
        if (changed.causes().size() > 1) {
            said.add(changed.causes().size() + " things differ (" + CauseWords.label(changed.causes(), names::venue)
                    + "): two things changed. Change one at a time.");
        } else if (changed.causes().size() == 1) {
            said.add("One thing differs: " + CauseWords.of(changed.causes().get(0), names::venue) + ".");
        }
        if (changed.mixed()) {
            said.add("A group mixes runs made under different conditions.");
        }
        return said;
    }

    private static List<String> tangled(Tangled tangled, double usualVolts) {
        List<String> said = new ArrayList<>();
        if (tangled.byOrder()) {
            said.add("One was run before the other: practice, dust or battery may be the cause. Let them take turns,"
                    + " as a plan does.");
        }
        if (tangled.byBattery(usualVolts)) {
            said.add("B had " + Words.number(Math.abs(tangled.volts()), 2) + " V "
                    + (tangled.volts() > 0 ? "more" : "less")
                    + ": the battery may be the cause. Swap it between rounds.");
        }
        return said;
    }
}
