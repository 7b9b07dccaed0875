package fahrbahn.app.handover;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillMaker;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.drill.DrillScore.Answer;
import java.util.Optional;
import java.util.Random;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** One drill after the other, and the score of who answers. */
public final class DrillModel {
    private final Season season;
    private final Errand<Drill> errand;
    private final ReadOnlyObjectWrapper<Optional<Drill>> drill = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Answer>> answer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private String who = "";

    DrillModel(Season season, Errands errands) {
        this.season = season;
        this.errand = errands.errand("The drill");
    }

    /** The one that is shown; empty before the first, and while one is drawn. */
    public ReadOnlyObjectProperty<Optional<Drill>> drillProperty() {
        return drill.getReadOnlyProperty();
    }

    /** What was said to it; empty as long as nobody did. */
    public ReadOnlyObjectProperty<Optional<Answer>> answerProperty() {
        return answer.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<DrillScore> scoreProperty() {
        return season.choices().drillsProperty();
    }

    /** @param name who answers from now on; empty where nobody is named */
    public void who(String name) {
        who = name.strip();
    }

    String who() {
        return who;
    }

    boolean working() {
        return errand.runningProperty().get();
    }

    /** Of who answers now. */
    public DrillScore score() {
        return scoreProperty().get().of(who);
    }

    /** Another drill: never the same twice, for its seed is of this moment. */
    public void next() {
        long seed = season.now().toEpochMilli();
        show(seed, score().next(new Random(seed)));
    }

    /** A drill by its seed, which was noted, or for who tests. */
    public void show(long seed, DrillFault fault) {
        drill.set(Optional.empty());
        answer.set(Optional.empty());
        errand.run(job -> DrillMaker.draw(seed, fault, job), made -> drill.set(Optional.of(made)));
    }

    /** Says what is wrong; the first answer counts. */
    public void say(DrillFault said) {
        if (drill.get().isPresent() && answer.get().isEmpty()) {
            Answer given = new Answer(who, drill.get().get().fault(), said);
            answer.set(Optional.of(given));
            season.choices().answerDrill(scoreProperty().get().with(given));
        }
    }
}
