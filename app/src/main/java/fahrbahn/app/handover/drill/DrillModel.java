package fahrbahn.app.handover.drill;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Document;
import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillMaker;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.core.drill.Offer;
import fahrbahn.store.document.Kinds;
import java.util.Optional;
import java.util.Random;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** One drill after the other, and the score of who answers. */
public final class DrillModel {
    private final Season season;
    private final Document<DrillScore> score;
    private final Errand<Drill> errand;
    private final ReadOnlyObjectWrapper<Optional<Drill>> drill = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Answer>> answer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Offer>> done = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Drill> ahead = Optional.empty();
    private boolean wanted;
    private String who = "";

    public DrillModel(Season season, Errands errands) {
        this.season = season;
        this.score = season.state().document(Kinds.DRILLS, () -> DrillScore.NONE);
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

    /** What was then said to be done next; empty as long as nobody did. */
    public ReadOnlyObjectProperty<Optional<Offer>> doneProperty() {
        return done.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<DrillScore> scoreProperty() {
        return score.property();
    }

    /** @param name who answers from now on; empty where nobody is named */
    public void who(String name) {
        who = name.strip();
        ahead = Optional.empty(); // it was chosen for somebody else
    }

    String who() {
        return who;
    }

    boolean working() {
        return wanted && errand.runningProperty().get();
    }

    /** Of who answers now. */
    public DrillScore score() {
        return scoreProperty().get().of(who);
    }

    /** Another drill: never the same twice, for its seed is of this moment. */
    public void next() {
        if (ahead.isPresent()) {
            lay(ahead);
            ahead = Optional.empty();
            return;
        }
        boolean under = errand.runningProperty().get();
        want();
        if (!under) {
            long seed = season.now().toEpochMilli();
            draw(seed, score().next(new Random(seed)));
        }
    }

    /** A drill by its seed, which was noted, or for who tests. */
    public void show(long seed, DrillFault fault) {
        ahead = Optional.empty();
        want();
        draw(seed, fault);
    }

    private void want() {
        lay(Optional.empty());
        wanted = true;
    }

    private void lay(Optional<Drill> shown) {
        wanted = false;
        done.set(Optional.empty());
        answer.set(Optional.empty());
        drill.set(shown);
    }

    private void draw(long seed, DrillFault fault) {
        errand.run(job -> DrillMaker.draw(seed, fault, job), made -> {
            if (wanted) {
                lay(Optional.of(made));
            } else {
                ahead = Optional.of(made);
            }
        });
    }

    /** Says what is wrong; the first answer counts. */
    public void say(DrillFault said) {
        if (drill.get().isPresent() && answer.get().isEmpty()) {
            Answer given = new Answer(who, drill.get().get().fault(), said);
            answer.set(Optional.of(given));
            score.note(score.get().with(given));
        }
    }

    /** Says what is to be done next; the first answer counts. The next drill is drawn while the reason is read. */
    public void act(int offer) {
        if (answer.get().isPresent() && done.get().isEmpty()) {
            Offer chosen = drill.get().orElseThrow().offers().get(offer);
            Answer whole = answer.get().get().thenMended(chosen.mends());

            score.note(score.get().instead(answer.get().get(), whole));
            answer.set(Optional.of(whole));
            done.set(Optional.of(chosen));
            long seed = season.now().toEpochMilli();
            draw(seed, score().next(new Random(seed)));
        }
    }
}
