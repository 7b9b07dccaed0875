package fahrbahn.app.season;

import fahrbahn.app.state.Document;
import fahrbahn.app.state.Documents;
import fahrbahn.app.state.State;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.json.Shared;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Changes of the selected robot's setup: each is one step of undo together with what it rests on. */
public final class SetupChanges {
    private final Season season;
    private final Document<Setup> setup;
    private final Document<Basis> gainsFor;
    private final Document<Basis> levelsFrom;
    private final Documents<Fact> facts;

    SetupChanges(Season season, State state) {
        this.season = season;
        this.setup = season.setup();
        this.gainsFor = state.document(Kinds.CHOSEN);
        this.levelsFrom = state.document(Kinds.LEVELS);
        this.facts = state.documents(Kinds.FACT);
    }

    /** What the gains were last chosen for. */
    public Document<Basis> gainsFor() {
        return gainsFor;
    }

    /** What the levels on the robot rest on: their captures, and the setting they became part of. */
    public Document<Basis> levelsFrom() {
        return levelsFrom;
    }

    /** Constants that have been measured, by {@link Constant#word}. */
    public Documents<Fact> facts() {
        return facts;
    }

    /** Something was typed; a refusal from a constructor passes through and nothing changes. */
    public void type(UnaryOperator<Setup> change) {
        Setup before = setup.get();
        Setup after = change.apply(before);
        setup.set(SeasonWords.setup(before, after), after);
    }

    /** @param known how well each constant is known */
    public void chooseGains(UnaryOperator<Setup> change, Map<Constant, Double> known) {
        Setup after = change.apply(setup.get());
        Basis basis = season.basisNow().withSetting(Shared.setting(after)).withKnown(known);
        change("gains chosen again on ", after, List.of(gainsFor.with(basis)));
    }

    /** Levels rest on what was true when the oldest of their captures was made. */
    public void useLevels(UnaryOperator<Setup> change, List<Capture> from) {
        Setup after = change.apply(setup.get());
        Capture oldest = Collections.min(from, Comparator.comparing(Capture::at));
        Basis basis = Basis.of(oldest.at(), oldest.conditions())
                .withSetting(Shared.setting(after))
                .withCaptures(from.stream().map(Capture::id).toList());
        change("levels used again on ", after, List.of(levelsFrom.with(basis)));
    }

    private void change(String sameAgain, Setup after, List<Put<?>> with) {
        Setup before = setup.get();
        String step = after.equals(before) ? sameAgain + season.robotName() : SeasonWords.setup(before, after);
        put(step, after, with);
    }

    /** Puts measured constants on the robot. @param alsoChange what the same measurement says besides */
    public void measured(List<Fact> measured, UnaryOperator<Setup> alsoChange) {
        Setup changed = setup.get();
        for (Fact fact : measured) {
            changed = fact.constant().with(changed, fact.measured().value());
        }
        changed = alsoChange.apply(changed);
        Setting measuredAs = Shared.setting(changed);
        List<Put<?>> puts = new ArrayList<>();
        for (Fact fact : measured) {
            puts.add(facts.with(
                    fact.constant().word(),
                    new Fact(
                            fact.constant(),
                            fact.measured(),
                            fact.entries(),
                            fact.basis().withSetting(measuredAs))));
        }
        String words = measured.isEmpty()
                ? "a measurement"
                : measured.get(0).constant().word() + " measured";
        put(words + " on " + season.robotName(), changed, puts);
    }

    private void put(String step, Setup after, List<Put<?>> with) {
        List<Put<?>> puts = new ArrayList<>(with);
        puts.add(0, setup.with(after));
        season.ledger().change(step, puts);
    }
}
