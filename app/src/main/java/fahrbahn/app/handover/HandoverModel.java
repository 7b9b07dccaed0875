package fahrbahn.app.handover;

import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.handover.card.CardModel;
import fahrbahn.app.handover.drill.DrillModel;
import fahrbahn.app.handover.hall.HallModel;
import fahrbahn.app.handover.lists.ListModel;
import fahrbahn.app.handover.lists.RoundsModel;
import fahrbahn.app.handover.program.ProgramModel;
import fahrbahn.app.handover.program.TypedModel;
import fahrbahn.app.levels.LevelsModel;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.state.State;
import fahrbahn.core.table.Ground;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/** The features of Hand-over, each a package of its own, and what is said of the program's numbers. */
public final class HandoverModel extends StationModel {
    private final ProgramModel program;
    private final CardModel card;
    private final TypedModel typed;
    private final HallModel hall;
    private final DrillModel drills;
    private final ListModel lists;
    private final RoundsModel rounds;

    /**
     * @param table in hand, on which it is seen what rounding costs
     * @param log for runs in a new hall
     * @param freshness of every station, for lists that say what went stale
     */
    public HandoverModel(
            Season season,
            Supplier<Optional<Ground>> table,
            MeasureModel measure,
            LevelsModel levels,
            QuickLog log,
            Function<Station, Freshness> freshness,
            State state) {
        super(season);
        this.program = new ProgramModel(season, table, state);
        this.card = new CardModel(season, program, measure, state);
        this.typed = new TypedModel(season, program);
        this.hall = new HallModel(season, program, measure, levels, log, table);
        this.lists = new ListModel(season, freshness, state.errands());
        this.rounds = new RoundsModel(season, log, lists);
        this.drills = new DrillModel(season, state.errands());
        headline(() -> HandoverWords.verdict(program, season.robotName()));
    }

    public ProgramModel program() {
        return program;
    }

    public CardModel card() {
        return card;
    }

    public ListModel lists() {
        return lists;
    }

    public RoundsModel rounds() {
        return rounds;
    }

    public DrillModel drills() {
        return drills;
    }

    public HallModel hall() {
        return hall;
    }

    public TypedModel typed() {
        return typed;
    }
}
